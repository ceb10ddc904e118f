import { z } from 'zod';
import type { Corner } from '../../contour/index.ts';
import { type Rational, ROUNDING, radians, rational } from '../../quantity/index.ts';
import { readTaper } from '../../taper/index.ts';
import { bottomOf } from '../ask.ts';
import { readEdge } from '../edge.ts';
import type { Path, Reader } from '../read.ts';
import { blank, shortText } from '../schema-parts.ts';
import { isSolvedTaper, solveTaper } from '../shapes.ts';
import { BORE_KINDS, type BoreKind, type Inside, type RoundEdge } from '../surface.ts';
import { edgeId, opposite } from '../surface-id.ts';
import { arcFields } from './arc.ts';
import { arcWall } from './bore-arc.ts';
import { detailSchema } from './details.ts';
import { exact, sizedFields } from './drawn.ts';
import { taperFields } from './taper.ts';

/** One length of a hole on the axis. `length` from where the one before it ends; empty on the last: right through. */
export const boreStepSchema = z.strictObject({
  ...sizedFields,
  kind: z.enum(BORE_KINDS),
  /** countersunk, taper and arc: diameter at its inner end */
  ...taperFields,
  /** arc: its radius, and whether it is curved into the metal */
  ...arcFields,
  details: z.array(detailSchema).max(20),
  /** a round in the corner at its inner end: `R2`; empty: sharp */
  corner: shortText.optional(),
});
export type BoreStep = z.infer<typeof boreStepSchema>;

/** Half included angle of a drill's point from the axis: 118° in all. */
const DRILL_HALF_DEG = 59;

/** What sets the ways of making a step of a hole apart. */
interface BoreShape {
  /** a cone: two diameters; the slope that it has where none is typed */
  readonly sloped?: { readonly usual?: string };
  /** an arc: two diameters, a length and a radius, all typed; down to the axis where no inner diameter is */
  readonly curved?: true;
  /** how far the tool's point goes beyond a blind bottom of that radius, mm */
  pointMm?(radiusMm: number): number;
}
const shapes: Readonly<Record<BoreKind, BoreShape>> = {
  drilled: { pointMm: (radiusMm) => radiusMm / Math.tan(radians(DRILL_HALF_DEG)) },
  bored: {},
  reamed: {},
  counterbored: {},
  countersunk: { sloped: { usual: '90° incl' } },
  taper: { sloped: {} },
  arc: { curved: true },
};
/** Whether a step of a hole is a cone: two diameters and a slope. */
export const isSloped = (kind: BoreKind): boolean => shapes[kind].sloped !== undefined;
/** Whether a step of a hole is an arc between two diameters. */
export const isCurved = (kind: BoreKind): boolean => shapes[kind].curved === true;

/** A step of a hole as it is read. */
export interface ReadBore {
  readonly step: BoreStep;
  readonly index: number;
  readonly at: (...rest: Path) => Path;
  readonly diameter: Rational | undefined;
  readonly end: Rational | undefined;
  readonly length: Rational | undefined;
  readonly radius?: Rational;
  readonly through: boolean;
}

/** Reads diameters and depth of a step, as typed or following from its slope. @param isLast of its hole */
export function readBore(step: BoreStep, index: number, isLast: boolean, at: ReadBore['at'], reader: Reader): ReadBore {
  const diameter = reader.size(step.diameter, at('diameter'));
  const { sloped, curved } = shapes[step.kind];
  const radius = curved ? reader.size(step.radius ?? blank(step.diameter.unit), at('radius')) : undefined;
  let end = curved
    ? (reader.sizeOrNone(step.end, at('end')) ?? rational(0))
    : sloped
      ? reader.sizeOrNone(step.end, at('end'))
      : diameter;
  let length = reader.sizeOrNone(step.length, at('length'));
  if (sloped && diameter) {
    const text = step.taper?.trim() || (sloped.usual ?? '');
    const taper = text === '' ? undefined : readTaper(text, step.length.unit);
    if (taper && !taper.ok) reader.add({ code: taper.code, path: at('taper'), value: text });
    const perLength = taper?.ok ? Math.abs(taper.perLength) : undefined;
    const solved = solveTaper(diameter.valueOf(), end?.valueOf(), length?.valueOf(), perLength);
    if (isSolvedTaper(solved)) {
      end ??= exact(solved.endMm);
      length ??= exact(solved.lengthMm);
    } else reader.add({ code: 'taper.unsolved', path: at('end'), value: '' });
  }
  const through = isLast && !sloped && !curved && step.length.text.trim() === '';
  return { step, index, at, diameter, end, length, radius, through };
}

/** The wall of a step between its two ends: straight, or an arc where its radius reaches from one to the other; what is wrong is told. */
export function boreWall(
  { step, radius, at }: ReadBore,
  ends: { readonly leftMm: number; readonly rightMm: number },
  lengthMm: number,
  reader: Reader,
) {
  const arc = radius && arcWall({ ...ends, lengthMm, radiusMm: radius.valueOf() }, step, at('radius'), reader);
  return arc ?? ({ kind: ends.leftMm === ends.rightMm ? 'cylinder' : 'taper' } as const);
}

/**
 * The round in the corner at the inner end of a step.
 * @param nextMm diameter of the step that follows; 0 where it is the floor
 */
export function readCorner(
  { step, at, through }: ReadBore,
  inside: Inside,
  nextMm: number,
  reader: Reader,
): RoundEdge | undefined {
  const text = step.corner?.trim() ?? '';
  if (text === '') return undefined;
  const read = readEdge(text, step.diameter.unit, 'm');
  const radiusMm = read.ok ? read.roundMm : undefined;
  if (radiusMm === undefined) {
    reader.add({ code: 'bore.cornerNotRound', path: at('corner'), value: text });
    return undefined;
  }
  const { zMm, diameterMm } = bottomOf(inside);
  const room = Math.min((diameterMm - nextMm) / 2, inside.zToMm - inside.zFromMm);
  if (through || inside.kind !== 'cylinder' || pointMm(inside) > 0 || radiusMm > room + ROUNDING) {
    reader.add({ code: 'bore.cornerTooLarge', path: at('corner'), value: text, limit: Math.max(0, room), unit: 'mm' });
    return undefined;
  }
  const towards = opposite[inside.from];
  const span = towards === 'right' ? { zFromMm: zMm - radiusMm, zToMm: zMm } : { zFromMm: zMm, zToMm: zMm + radiusMm };
  return {
    ...{ id: edgeId(inside.id, towards), of: inside.id, side: 'inside', kind: 'round', towards, ...span },
    ...{ radiusMm, inner: true },
  };
}

/** How far the point of its tool goes beyond the bottom of a step, mm. */
export const pointMm = (step: Inside): number => shapes[step.made].pointMm?.(bottomOf(step).diameterMm / 2) ?? 0;

/** What the point of the tool leaves beyond the bottom of a blind hole, from its bottom to the axis. */
export function blindCorners(last: Inside, lengthMm: number): readonly Corner[] {
  const { zMm, diameterMm } = bottomOf(last);
  if (last.through || diameterMm <= 0) return [];
  const inwards = last.from === 'left' ? 1 : -1;
  return [{ zMm: Math.min(lengthMm, Math.max(0, zMm + inwards * pointMm(last))), rMm: 0 }];
}
