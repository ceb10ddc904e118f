import { TOOL_MATERIALS } from '@whelk/core/material';
import { toolPicture } from '@whelk/core/picture';
import { type BarShank, TOOL_KINDS, type Tool, type ToolKind } from '@whelk/core/tool';
import { curveNames, handNames, patternNames, shankNames, toolKindNames, toolText } from '../messages/tools.ts';
import { toolMaterialNames } from '../messages/words.ts';
import { fieldReader } from '../ui/records/read-fields.ts';
import type { Column, RecordKindView } from '../ui/records/record-view.ts';
import { readTurns, turningBarColumns } from './turning-bar.ts';

/** A field that some kinds of tools have: how it is typed, and what it may be. */
type OwnField = { readonly label: string } & (
  | { readonly as: 'length'; readonly sign: 'positive' | 'notNegative'; readonly most: number; readonly may?: 'miss' }
  | { readonly as: 'angle'; readonly least: number; readonly most: number; readonly may?: 'miss' }
  | { readonly as: 'text'; readonly most: number }
  | { readonly as: 'number'; readonly least: number; readonly most: number }
  | { readonly as: 'choice'; readonly of: readonly (readonly [string, string])[] }
);
const length = (label: string, most: number, sign: 'positive' | 'notNegative' = 'positive') =>
  ({ as: 'length', label: `${label}, mm`, sign, most }) as const;
const angle = (label: string, least: number, most: number) =>
  ({ as: 'angle', label: `${label}, °`, least, most }) as const;
const choice = (label: string, of: Readonly<Record<string, string>>) =>
  ({ as: 'choice', label, of: Object.entries(of) }) as const;

const fields = {
  diameterMm: length('Diameter', 200),
  sizeMm: length('Pilot', 30),
  pointDeg: angle('Point', 60, 180),
  fluteMm: length('Flutes or teeth', 1000),
  leadMm: length('Tapers in over', 200, 'notNegative'),
  angleDeg: angle('Included angle', 10, 170),
  noseRadiusMm: length('Nose radius', 10, 'notNegative'),
  kappaDeg: angle('Setting angle', 5, 120),
  deepestMm: length('Deepest cut', 30),
  edgeRadiusMm: length('Edge rounding', 0.5),
  flatMm: { ...length('Finishing flat', 20), may: 'miss' },
  leastBoreMm: length('Smallest hole', 1000),
  shankMm: length('Shank Ø', 200),
  shank: choice('Shank of', shankNames),
  leastOuterMm: length('Clears from Ø', 1000),
  tipMm: length('Flat at its tip', 5, 'notNegative'),
  widthMm: length('Width', 200),
  reachMm: length('Reaches', 2000),
  frontDeg: angle('Front leans', 0, 20),
  radiusMm: length('Radius', 100),
  curve: choice('Curve', curveNames),
  pattern: choice('Pattern', patternNames),
  pitchMm: length('Pitch', 5),
  carryingDeg: { ...angle('Carrying flank', 0, 60), may: 'miss' },
  reliefDeg: { ...angle('Relief of flanks', 0, 40), may: 'miss' },
  designation: { as: 'text', label: 'Thread', most: 40 },
  hand: choice('Hand', handNames),
  leadsOver: { as: 'number', label: 'Threads of lead', least: 1, most: 20 },
} as const satisfies Record<string, OwnField>;
type FieldKey = keyof typeof fields;

const edge: readonly FieldKey[] = ['noseRadiusMm', 'kappaDeg', 'deepestMm', 'edgeRadiusMm', 'flatMm'];
/** What each kind is told by, in the order in which it is typed. */
const fieldsOf: Readonly<Record<ToolKind, readonly FieldKey[]>> = {
  rougher: edge,
  finisher: edge,
  facing: edge,
  chamfer: ['kappaDeg'],
  'centre drill': ['sizeMm'],
  drill: ['diameterMm', 'fluteMm', 'pointDeg'],
  reamer: ['diameterMm', 'fluteMm', 'leadMm'],
  countersink: ['angleDeg', 'diameterMm'],
  'boring bar': ['leastBoreMm', 'shankMm', 'shank', 'reachMm', ...edge],
  blade: ['widthMm', 'reachMm', 'frontDeg'],
  'inside blade': ['widthMm', 'deepestMm', 'leastBoreMm', 'reachMm', 'radiusMm'],
  form: ['radiusMm', 'curve', 'widthMm'],
  'face blade': ['widthMm', 'deepestMm', 'leastOuterMm', 'leastBoreMm', 'reachMm'],
  vee: ['angleDeg', 'tipMm', 'deepestMm'],
  knurling: ['pattern', 'pitchMm', 'widthMm'],
  threading: ['angleDeg', 'tipMm', 'radiusMm', 'deepestMm', 'widthMm', 'carryingDeg', 'reliefDeg'],
  'inside threading': [
    ...(['angleDeg', 'tipMm', 'radiusMm', 'deepestMm', 'widthMm', 'leastBoreMm', 'reachMm'] as const),
    ...(['carryingDeg', 'reliefDeg'] as const),
  ],
  tap: ['designation', 'hand', 'leadsOver'],
  die: ['designation', 'hand'],
};
/** What stands in a field of a new tool. */
const usual: Partial<Record<FieldKey, string>> = {
  ...{ pointDeg: '118', angleDeg: '90', kappaDeg: '90', leadMm: '2', frontDeg: '0', edgeRadiusMm: '0.015' },
  ...{ shank: 'steel' satisfies BarShank, curve: 'round', pattern: 'diamond', hand: 'right', leadsOver: '4' },
};

/**
 * A blade for holes is square and a bit for threads ends in a flat where no radius is typed; a radius tool has one. A blade for faces is on a
 * bar where that is typed.
 */
const mayMiss = (kind: ToolKind, key: FieldKey): boolean =>
  (key === 'radiusMm' && kind !== 'form') || (kind === 'face blade' && (key === 'leastBoreMm' || key === 'reachMm'));

const kindIn = (texts: Readonly<Record<string, string>>): ToolKind =>
  TOOL_KINDS.find((kind) => kind === texts.kind) ?? 'rougher';

/** A field that the chosen kind has; it is typed, and in the list it stands among the tool's own words. */
const typedField = (key: FieldKey): Column<Tool> => {
  const field: OwnField = fields[key];
  return {
    key,
    label: field.label,
    show: () => '',
    edit: (tool) => String((tool as Partial<Record<FieldKey, unknown>>)[key] ?? usual[key] ?? ''),
    onlyTyped: true,
    when: (texts) => fieldsOf[kindIn(texts)].includes(key),
    begins: usual[key] ?? '',
    ...(field.as === 'choice' ? { choices: field.of } : {}),
  };
};

/** The list of cutting tools; when each was fresh is kept. */
export const toolsWith = (known: readonly Tool[]): RecordKindView<Tool> => ({
  kind: 'tool',
  name: 'Tools',
  groups: TOOL_KINDS.map((kind) => [kind, toolKindNames[kind]] as const),
  groupOf: (t) => t.kind,
  picture: (t) => toolPicture(t, 104, 38),
  columns: [
    { key: 'name', label: 'Name', show: (t) => t.name, edit: (t) => t.name },
    {
      key: 'kind',
      label: 'Kind',
      show: (t) => toolKindNames[t.kind],
      edit: (t) => t.kind,
      choices: TOOL_KINDS.map((kind) => [kind, toolKindNames[kind]] as const),
    },
    {
      key: 'material',
      label: 'Material',
      show: (t) => toolMaterialNames[t.material],
      edit: (t) => t.material,
      choices: TOOL_MATERIALS.map((t) => [t, toolMaterialNames[t]] as const),
    },
    { key: 'says', label: 'What it is', show: toolText, edit: () => '', onlyShown: true },
    ...(Object.keys(fields) as FieldKey[]).map(typedField),
    ...turningBarColumns,
  ],
  read: (texts, id) => {
    const reader = fieldReader(texts);
    const kind = kindIn(texts);
    const sharpenedAt = known.find((t) => t.id === id)?.sharpenedAt;
    const own: Partial<Record<FieldKey, number | string>> = {};
    for (const key of fieldsOf[kind]) {
      const field: OwnField = fields[key];
      const text = (texts[key] ?? '').trim();
      if ('may' in field && field.may === 'miss' && text === '') continue;
      if (field.as === 'angle') own[key] = reader.degrees(key, field.least, field.most);
      else if (field.as === 'number') own[key] = reader.number(key, field.least, field.most);
      else if (field.as === 'text') own[key] = reader.text(key, field.most);
      else if (field.as === 'choice') own[key] = text;
      else if ((field.may !== 'miss' && !mayMiss(kind, key)) || !/^0*([.,]0*)?$/.test(text))
        own[key] = reader.mm(key, field.sign, field.most);
    }
    const record = {
      ...(sharpenedAt ? { sharpenedAt } : {}),
      ...{ id, name: reader.text('name', 60), kind, material: texts.material },
      ...own,
      ...readTurns(texts, reader),
    } as Tool;
    if (record.kind === 'boring bar' && record.shankMm >= record.leastBoreMm && !reader.problems.shankMm)
      reader.problems.leastBoreMm = {
        ...{ code: 'holder.boreBelowShank', path: ['leastBoreMm'], unit: 'mm' },
        ...{ value: record.leastBoreMm, limit: record.shankMm },
      };
    return Object.keys(reader.problems).length > 0 ? { ok: false, problems: reader.problems } : { ok: true, record };
  },
});
