import { z } from 'zod';
import type { Contour, Corner } from '../../contour/index.ts';
import { asAimed, type Inside, insides, type Outside, outsides, type Part, roundOf } from '../../part/index.ts';
import { PLACE_MM, radians } from '../../quantity/index.ts';
import { barShape, hasEdge, turningShape } from '../../tool/index.ts';
import { reachOf, type Workpiece } from '../../work/index.ts';
import { AIR_MM, type KindOfOperation, type OfKind, PAST_MM, type Stroke, type StrokesOf } from './kind.ts';

/** What turns a cone on a lathe in the route. */
export const TAPER_BY = ['compound', 'attachment', 'setOver'] as const;
export type TaperBy = (typeof TAPER_BY)[number];

/**
 * Lengths in mm. Sizes of passes, limits and targets are diameters at the end of the cone towards the tail, where its cut begins; the
 * drawn size stands so far from there along the axis.
 */
const own = {
  by: z.enum(TAPER_BY),
  side: z.enum(['outside', 'inside']),
  /** change of diameter per length, and half the included angle, degrees */
  perLength: z.number(),
  halfDeg: z.number(),
  lengthMm: z.number(),
  gaugeFromTailMm: z.number(),
};
export type TaperRough = OfKind<'taper', typeof own>;
export type TaperNear = OfKind<'taperNear', typeof own>;
export type TaperLast = OfKind<'taperLast', typeof own>;
export type TaperOperation = TaperRough | TaperNear | TaperLast;

/** What lies beside a cone towards the tail and towards the head; undefined at an end of the part. */
function beside(part: Part, on: Outside | Inside): readonly [(Outside | Inside)?, (Outside | Inside)?] {
  const all: readonly (Outside | Inside)[] = on.side === 'outside' ? outsides(part) : insides(part);
  const meets = (a: number, b: number): boolean => Math.abs(a - b) <= PLACE_MM;
  return [all.find((s) => meets(s.zFromMm, on.zToMm)), all.find((s) => meets(s.zToMm, on.zFromMm))];
}

/** How far a nose's middle goes at a diameter: over the end at the tail, and up to what lies beside the cone. zPart, mm */
function wayOf(part: Part, o: TaperOperation, on: Outside | Inside, tailMm: number, noseMm: number) {
  const [tail, head] = beside(part, on);
  const sign = o.side === 'outside' ? 1 : -1;
  const alpha = radians(o.halfDeg);
  // a nose that goes on along the slope would cut into what goes on parallel
  const free = o.carried === undefined || o.carried === 'free' || o.carried === 'steady';
  const roomMm = tail ? (sign * (tailMm - asAimed(tail).leftMm)) / 2 : Number.POSITIVE_INFINITY;
  const overMm = Math.max(0, roomMm + noseMm * (1 / Math.cos(alpha) - 1)) / Math.tan(alpha);
  const stands = head !== undefined && sign * (asAimed(head).rightMm - asAimed(on).leftMm) > PLACE_MM;
  return {
    // a tail centre stands close behind the end
    fromMm: on.zToMm + Math.min(free ? PAST_MM + noseMm : 0, overMm),
    toMm: stands ? on.zFromMm + noseMm : on.zFromMm - PAST_MM / 2,
  };
}

/** From before the end towards the tail along the slope, at the diameter of each pass. */
function strokesOf(o: TaperOperation, { piece, tool }: StrokesOf): readonly Stroke[] {
  const on = roundOf(piece.part, o.featureId ?? '');
  if (!on || !hasEdge(tool)) return [];
  const bar = tool.kind === 'boring bar';
  const sign = o.side === 'outside' ? 1 : -1;
  const { noseRadiusMm: nose } = tool;
  const tan = Math.tan(radians(o.halfDeg));
  const onNormalMm = nose / Math.cos(radians(o.halfDeg));
  return o.passes.map(({ diameterAfterMm }, i): Stroke => {
    const { fromMm, toMm } = wayOf(piece.part, o, on, diameterAfterMm, nose);
    const at = (zMm: number): Corner => {
      const surfaceMm = diameterAfterMm / 2 + sign * (on.zToMm - zMm) * tan;
      return { zMm: zMm - nose, rMm: surfaceMm + sign * (onNormalMm - nose) };
    };
    const first = at(fromMm);
    const clear = { zMm: first.zMm, rMm: sign === 1 ? reachOf(piece).largestMm / 2 + AIR_MM : first.rMm - PAST_MM };
    return {
      shape: bar ? barShape(tool) : turningShape(tool),
      path: [clear, first, at(toMm)],
      passNumber: i + 1,
    };
  });
}

/** Everything outside the cone as its last pass leaves it, or inside it in a hole. */
function sweptBy(o: TaperOperation, piece: Workpiece): Contour | undefined {
  const tailMm = o.passes.at(-1)?.diameterAfterMm;
  if (tailMm === undefined) return undefined;
  const { zFromMm, zToMm, side, perLength, lengthMm } = o;
  const sign = side === 'outside' ? 1 : -1;
  const { largestMm, zToMm: endMm } = reachOf(piece);
  const beyondMm = zToMm >= piece.part.lengthMm - PLACE_MM ? endMm + PAST_MM : zToMm;
  const head = { zMm: zFromMm, rMm: (tailMm + sign * perLength * lengthMm) / 2 };
  const [tail, end] = [
    { zMm: zToMm, rMm: tailMm / 2 },
    { zMm: beyondMm, rMm: tailMm / 2 },
  ];
  const line = beyondMm > zToMm ? [head, tail, end] : [head, tail];
  const farMm = sign === 1 ? largestMm / 2 + AIR_MM : 0;
  const back = [
    { zMm: beyondMm, rMm: farMm },
    { zMm: zFromMm, rMm: farMm },
  ];
  return { loops: [sign === 1 ? [...line, ...back] : [...back.toReversed(), ...line.toReversed()]] };
}

const shared = {
  ...({ own, turns: true, tailstock: 'carries', feeds: 'along' } as const),
  swept: sweptBy,
  strokes: strokesOf,
} as const;
export const taper = { ...{ ...shared, kind: 'taper', act: 'rough' } } as const satisfies KindOfOperation<TaperRough>;
export const taperNear = {
  ...{ ...shared, kind: 'taperNear', act: 'half' },
} as const satisfies KindOfOperation<TaperNear>;
export const taperLast = {
  ...{ ...shared, kind: 'taperLast', act: 'last' },
  finishes: ({ featureId }) => (featureId === undefined ? [] : [featureId]),
} as const satisfies KindOfOperation<TaperLast>;
