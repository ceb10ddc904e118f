import { toleranceMm } from '../../limit/index.ts';
import { cutHold } from '../bending.ts';
import { FINE_FEED, type FitContext, type RecorderFor } from '../fit-context.ts';
import { type CutWish, type FittedCut, fitCut } from '../fit-cut.ts';
import { depthCap, finishFeed, RA_AIMED_SHARE, ROUGH_OF_NOSE } from '../turning.ts';
import type { PlannedCone } from './planned.ts';

const round = (mm: number): number => Number(mm.toFixed(6));

/** Along the cone from a diameter to another in its passes. @param finish as fine as its surface asks */
export function fitAlong(
  context: FitContext,
  { cone, way, edges, level }: PlannedCone,
  fromMm: number,
  toMm: number,
  finish: boolean,
  recorderFor: RecorderFor,
  id: string,
): FittedCut | undefined {
  const { on, sign, limits } = cone;
  const { school } = context.wishes;
  const tool = edges.finisher;
  // the speed is that of the largest place that is cut
  const shiftMm = sign === 1 ? on.diameterMm - (limits.upperMm + limits.lowerMm) / 2 : 0;
  const bendAllowedMm = finish ? toleranceMm(limits) / 4 : level.allowanceMm / 2;
  const hold = cutHold(context.shaft, context.held, {
    ...{ zFromMm: on.zFromMm, zToMm: on.zToMm, bendAllowedMm, weightNmm: context.weightNmm },
    ...(edges.barMmPerN === undefined ? {} : { barMmPerN: edges.barMmPerN }),
  });
  const feed = finish
    ? finishFeed(tool, on.raUm * RA_AIMED_SHARE)
    : ({ mm: Math.max(FINE_FEED, ROUGH_OF_NOSE.usual * tool.noseRadiusMm), by: 'nose' } as const);
  const cap = depthCap(context, tool, school);
  const wish: CutWish = {
    ...{ fromMm: fromMm + shiftMm, toMm: toMm + shiftMm, sign, zFromMm: on.zFromMm, zToMm: on.zToMm, tool, hold },
    depthCapMm: finish ? (sign * (fromMm - toMm)) / 2 : cap.mm,
    depthCapBy: finish ? 'finish' : cap.by,
    ...{ feedCapMm: feed.mm, feedCapBy: feed.by },
  };
  // the compound has no feed but the hand's
  const fed = way.set.by === 'compound' ? { ...context, feeds: [] } : context;
  const found = fitCut(fed, wish, school, finish ? 1 : undefined, recorderFor(id));
  return (
    found && {
      ...found,
      passes: found.passes.map((p) => ({
        ...p,
        diameterBeforeMm: round(p.diameterBeforeMm - shiftMm),
        diameterAfterMm: round(p.diameterAfterMm - shiftMm),
      })),
    }
  );
}
