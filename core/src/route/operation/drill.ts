import { z } from 'zod';
import type { Contour } from '../../contour/index.ts';
import { insides } from '../../part/index.ts';
import { PLACE_MM } from '../../quantity/index.ts';
import { type Drill, drillShape, pointLengthMm } from '../../tool/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { drillCut } from '../hole/drill-cut.ts';
import type { Note } from './any.ts';
import { bare, inOnePass, type KindOfOperation, type OfKind, PAST_MM } from './kind.ts';

/** Its full diameter reaches so deep from the face, its point so much farther; the depths at which it is drawn back to clear chips. */
const own = {
  ...{ diameterMm: z.number(), depthMm: z.number(), pointMm: z.number(), pecksMm: z.array(z.number()).max(400) },
  /** what the hole is drilled up from; none into solid metal */
  fromMm: z.number().optional(),
  /** whether it comes out at the far end */
  through: z.boolean(),
};
export type DrillOperation = OfKind<'drill', typeof own>;

/** Diameters that a drill goes in before it first clears its chips, and between two clearings from there and from twice as deep on. FIELD 5 */
const FIRST_PECK = 3;
const NEXT_PECK = 1;
const DEEP_PECK = 0.5;
/** Drawing back, clearing and going in again; bringing up the tailstock and putting the drill in, minutes. */
const PECK_MIN = 0.1;
const DRILL_MIN = 1.5;

/**
 * Depths of the point from the face at which a drill is drawn back, the last being the whole depth.
 * @example pecksMm(5, 24) // [15, 20, 24]
 */
export function pecksMm(diameterMm: number, deepMm: number): readonly number[] {
  const pecks: number[] = [];
  let next = FIRST_PECK * diameterMm;
  while (next < deepMm - diameterMm / 4) {
    pecks.push(Number(next.toFixed(2)));
    next += diameterMm * (next < 2 * FIRST_PECK * diameterMm ? NEXT_PECK : DEEP_PECK);
  }
  return [...pecks, Number(deepMm.toFixed(2))];
}

/** What a drill is to make. Places zPart, mm. */
export interface DrillWish {
  readonly id: string;
  readonly featureId: string;
  readonly drill: Drill;
  /** how far its full diameter goes */
  readonly zFullMm: number;
  readonly fromMm: number;
  readonly through: boolean;
}

/** One drill to one depth, its quill wound by hand. */
export function drillOperation(
  context: FitContext,
  wish: DrillWish,
  recorderFor: RecorderFor,
): DrillOperation | undefined {
  const { drill, zFullMm, id, featureId, fromMm, through } = wish;
  const record = recorderFor(id);
  const cut = drillCut(context, drill, fromMm, record);
  if (!cut) return undefined;
  const faceMm = context.piece.part.lengthMm;
  const pointMm = pointLengthMm(drill);
  const depthMm = faceMm - zFullMm;
  const pecks = pecksMm(drill.diameterMm, depthMm + pointMm);
  const cutMin = (depthMm + pointMm) / (cut.setting.feedMmPerRev * cut.setting.rpm);
  const minutes = DRILL_MIN + cutMin + PECK_MIN * pecks.length;
  record?.({
    code: 'route.drillDepth',
    values: { depthMm, pointMm, pointDeg: drill.pointDeg, diameterMm: drill.diameterMm, wholeMm: depthMm + pointMm },
  });
  record?.({
    code: 'route.drillMinutes',
    values: { handlingMin: DRILL_MIN, cutMin, pecks: pecks.length, peckMin: PECK_MIN, minutes },
  });
  return {
    ...{ ...bare, id, kind: 'drill', featureId, zFromMm: zFullMm, zToMm: faceMm, toolId: drill.id },
    ...{ setting: cut.setting, loads: cut.loads, exceeds: cut.exceeds, minutes },
    ...{ diameterMm: drill.diameterMm, depthMm: Number(depthMm.toFixed(3)), pointMm: Number(pointMm.toFixed(3)) },
    ...{ pecksMm: [...pecks], through, ...(fromMm > 0 ? { fromMm } : {}) },
    caution: context.turning ? 'drillTurns' : through ? 'breaksThrough' : 'clearDrill',
  };
}

/** The hole that a drill leaves, its point with it. */
function drilled({ zFromMm, zToMm, diameterMm, pointMm }: DrillOperation): Contour {
  const r = diameterMm / 2;
  return {
    loops: [
      [
        { zMm: zFromMm - pointMm, rMm: 0 },
        { zMm: zToMm + PAST_MM, rMm: 0 },
        { zMm: zToMm + PAST_MM, rMm: r },
        { zMm: zFromMm, rMm: r },
      ],
    ],
  };
}

export const drill = {
  kind: 'drill',
  own,
  act: 'plain',
  turns: true,
  tailstock: 'drills',
  swept: drilled,
  strokes: ({ zFromMm, zToMm, diameterMm, pointMm }, { tool }) =>
    inOnePass(drillShape(diameterMm, pointMm, tool.kind === 'drill' ? tool.fluteMm : zToMm - zFromMm), [
      { zMm: zToMm + pointMm + PAST_MM, rMm: 0 },
      { zMm: zFromMm, rMm: 0 },
    ]),
  opens: ({ diameterMm, zFromMm, zToMm }) => ({ diameterMm, zFromMm, zToMm }),
  // a drill makes a hole that it brings inside the limits, to its depth
  finishes: ({ featureId, diameterMm, zFromMm }, part) =>
    insides(part)
      .filter(
        (s) =>
          s.id === featureId &&
          diameterMm >= s.limits.lowerMm - PLACE_MM &&
          diameterMm <= s.limits.upperMm + PLACE_MM &&
          zFromMm <= s.zFromMm + PLACE_MM,
      )
      .map((s) => s.id),
  notes: ({ depthMm, pointMm }, { lathe }): readonly Note[] => {
    // where the work stands the carriage feeds it, and no quill
    if (lathe.slides.cutter) return [];
    const travelMm = lathe.tailstock.quillTravelMm - QUILL_FREE_MM;
    return depthMm + pointMm > travelMm ? [{ code: 'quillAgain', value: travelMm }] : [];
  },
} satisfies KindOfOperation<DrillOperation>;

/** What the quill must still draw back for the drill to come out of it, mm. */
const QUILL_FREE_MM = 15;
