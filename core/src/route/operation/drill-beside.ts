import { z } from 'zod';
import { type DialMove, dialMove } from '../../lathe/index.ts';
import type { CrossHole } from '../../part/index.ts';
import { radians } from '../../quantity/index.ts';
import { type Drill, pointLengthMm } from '../../tool/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { drillCut } from '../hole/drill-cut.ts';
import { pecksMm } from './drill.ts';
import { bare, type KindOfOperation, type OfKind } from './kind.ts';

/**
 * How far the slide goes from where the axis was picked up, mm, positive inwards; as its wheel counts it; the drills one after
 * another, the last one its size; and which of so many it is.
 */
const own = {
  ...{ acrossMm: z.number(), fullTurns: z.number(), rest: z.string().max(20) },
  ...{ hand: z.enum(['clockwise', 'anticlockwise', 'none']), drillsMm: z.array(z.number()).max(10) },
  ...{ diameterMm: z.number(), depthMm: z.number(), pointMm: z.number(), pecksMm: z.array(z.number()).max(400) },
  ...{ through: z.boolean(), placeNumber: z.number(), placeCount: z.number() },
};
export type DrillBesideOperation = OfKind<'drillBeside', typeof own>;

/** Winding there with the slack taken up, and changing to each drill, minutes. */
const GO_MIN = 1.5;
const CHANGE_MIN = 0.7;

/**
 * Travel of the slide that brings a place beside the axis under the spindle, mm, positive inwards: what lies towards the turner, three
 * o'clock on the face that the cutter enters, goes in.
 * @example slideToMm({ radiusMm: 25 }, 180) // -25
 */
export const slideToMm = ({ radiusMm }: Pick<CrossHole, 'radiusMm'>, angleDeg: number): number =>
  Number((radiusMm * Math.cos(radians(angleDeg))).toFixed(6)) || 0;

/** One hole beside the axis, from the place that was picked up by turns of the slide's own wheel. @param drills one after another */
export function drillBesideOperation(
  context: FitContext,
  hole: CrossHole,
  place: { readonly acrossMm: number; readonly number: number; readonly count: number },
  drills: readonly Drill[],
  recorderFor: RecorderFor,
): DrillBesideOperation | undefined {
  const { piece, means } = context;
  const drill = drills.at(-1)!;
  const id = `${hole.id}-beside-${place.number}`;
  const record = recorderFor(id);
  const cut = drillCut(context, drill, drills.at(-2)?.diameterMm ?? 0, record);
  if (!cut) return undefined;
  const { lengthMm } = piece.part;
  const depthMm = hole.depthMm ?? lengthMm;
  const pointMm = pointLengthMm(drill);
  const pecks = pecksMm(drill.diameterMm, depthMm + pointMm);
  const move: DialMove = dialMove(means.lathe.slides.crossSlide, 0, place.acrossMm, record);
  const minutes =
    GO_MIN + drills.length * CHANGE_MIN + (depthMm + pointMm) / (cut.setting.feedMmPerRev * cut.setting.rpm);
  return {
    ...{ ...bare, id, kind: 'drillBeside', featureId: hole.id, toolId: drill.id, zFromMm: lengthMm - depthMm },
    ...{ zToMm: lengthMm, setting: cut.setting, loads: cut.loads, exceeds: cut.exceeds, minutes },
    ...{ acrossMm: place.acrossMm, fullTurns: move.fullTurns, rest: move.rest, hand: move.hand },
    ...{ drillsMm: drills.map((d) => d.diameterMm), diameterMm: drill.diameterMm, depthMm },
    ...{ pointMm: Number(pointMm.toFixed(3)), pecksMm: [...pecks], through: hole.depthMm === undefined },
    ...{ placeNumber: place.number, placeCount: place.count, caution: 'drillTurns' },
  };
}

export const drillBeside = {
  ...{ kind: 'drillBeside', own, act: 'plain', turns: true, tailstock: 'carries' },
  // the last of a pattern finishes it
  finishes: ({ featureId, placeNumber, placeCount }) => (featureId && placeNumber === placeCount ? [featureId] : []),
} as const satisfies KindOfOperation<DrillBesideOperation>;
