import { type Feature, type FeatureKind, flatsOfShape, hasOwnEnd } from '@whelk/core/part';
import type { FeatureEnd } from '@whelk/core/picture';

export type Length = 'diameter' | 'end' | 'radius' | 'length';
export type Key = Length | 'name' | 'limits' | 'taper' | 'lengthLimits' | 'finish' | 'faceFinish' | 'left' | 'right';
const REST: Key[] = ['length', 'lengthLimits', 'finish', 'faceFinish', 'left', 'right'];
/** Fields of each kind, in the order in which a drawing is read. */
export const ORDERS: Record<FeatureKind, Key[]> = {
  cylinder: ['name', 'diameter', 'limits', ...REST],
  taper: ['name', 'diameter', 'end', 'limits', 'taper', ...REST],
  arc: ['name', 'diameter', 'end', 'limits', 'radius', ...REST],
  ball: ['name', 'diameter', 'limits', 'length', 'finish'],
  hexagon: ['name', 'diameter', 'limits', ...REST],
  square: ['name', 'diameter', 'limits', ...REST],
};
export const isLength = (key: Key): key is Length =>
  key === 'diameter' || key === 'length' || key === 'end' || key === 'radius';
export const LABELS: Record<Key, string> = {
  name: 'Name',
  diameter: 'Ø',
  end: 'Ø right',
  radius: 'Radius',
  taper: 'Taper',
  limits: 'Limits',
  length: 'Length',
  lengthLimits: 'its limits',
  finish: 'Finish',
  faceFinish: 'Finish of faces',
  left: 'Left edge',
  right: 'Right edge',
};

/** Sizes that belong to a face or an edge: while they are typed it stands out on the strip. */
export const endOf: Partial<Record<Key, FeatureEnd>> = { left: 'left', right: 'right', faceFinish: 'face' };

export function textOf(feature: Feature, key: Key): string {
  if (isLength(key)) return feature[key]?.text ?? '';
  if (key === 'left' || key === 'right') return feature.edges[key];
  return feature[key] ?? '';
}
export function withText(feature: Feature, key: Key, text: string): Feature {
  if (isLength(key)) return { ...feature, [key]: { ...(feature[key] ?? { unit: feature.diameter.unit }), text } };
  if (key === 'left' || key === 'right') return { ...feature, edges: { ...feature.edges, [key]: text } };
  return { ...feature, [key]: text };
}

/** What an empty field of each kind comes from. */
const FOLLOWS: Record<FeatureKind, Partial<Record<Key, string>>> = {
  cylinder: { length: 'from the rest' },
  taper: { length: 'follows', end: 'follows' },
  arc: {},
  ball: { length: 'follows' },
  hexagon: { length: 'from the rest' },
  square: { length: 'from the rest' },
};
const HINTS: Partial<Record<Key, string>> = {
  ...{ limits: 'general', lengthLimits: 'general', finish: 'Ra 3.2', faceFinish: 'Ra 3.2' },
  ...{ left: 'broken', right: 'broken', taper: '1:20, 5°' },
};

/** What stands in a field while it is empty. */
export const hintOf = (kind: FeatureKind, key: Key): string | undefined => HINTS[key] ?? FOLLOWS[kind][key];

/** What a field is called, with its unit where it is a length. */
export function labelOf(kind: FeatureKind, key: Key, unit: string): string {
  if (!isLength(key)) return LABELS[key];
  const across = key === 'diameter' && (flatsOfShape(kind) ? 'Across flats' : hasOwnEnd(kind) && 'Ø left');
  return `${across || LABELS[key]}, ${unit}`;
}
