import { cutForces, shallowestCutMm } from '../cutting/index.ts';
import { chooseInstrument, UNLISTED_UNCERTAINTY_MM } from '../gauge/index.ts';
import { finenessesOf, latheGivesMmPerN } from '../lathe/index.ts';
import { middleMm, toleranceMm } from '../limit/index.ts';
import { SPRING_BOUND_FACTOR } from '../mechanics/index.ts';
import type { Outside } from '../part/index.ts';
import { edgeFor } from '../tool/index.ts';
import { worstBendPerN } from './bending.ts';
import { FINE_FEED, type FitContext, type RecorderFor } from './fit-context.ts';
import { type LastCuts, lastCutsFor, type TooFine } from './last-cuts.ts';

/** Left on a diameter that is finished elsewhere, mm. */
const LEFT_TO_OTHERS_MM = 0.3;

/** A feature together with how far left it is cut and how it is finished. */
export interface Level {
  readonly feature: Outside;
  readonly zFromMm: number;
  readonly shoulder: boolean;
  readonly allowanceMm: number;
  readonly last: LastCuts | TooFine;
  readonly targetMm: number;
}

/** Decides allowance, last cuts and their means. Two equal cuts must each be deep enough for the edge. */
export function levelOf(
  context: FitContext,
  feature: Outside,
  zFromMm: number,
  shoulder: boolean,
  startMm: number,
  recorderFor: RecorderFor,
): Level {
  const { means } = context;
  const finisher = edgeFor(means.tools, 'finisher')!;
  const record = recorderFor(`${feature.id}-finish`);
  const targetMm = middleMm(feature.limits);
  const tolerance = toleranceMm(feature.limits);
  const shallowestMm = shallowestCutMm(finisher.material, finisher.noseRadiusMm, finisher.edgeRadiusMm);
  const gauge = chooseInstrument(means.instruments, 'outside', feature.diameterMm, tolerance, means.lathe.unit);
  const bend = worstBendPerN(context.shaft, context.held, zFromMm, feature.zToMm);
  const cut = { depthMm: 0.2, feedMmPerRev: FINE_FEED, ...finisher };
  const perMmN = cutForces(means.material, finisher.material, cut).radialN / cut.depthMm;
  const last = lastCutsFor(
    {
      ...{ toleranceMm: tolerance, roomMm: startMm - targetMm, shallowestMm },
      ...{ uncertaintyMm: gauge?.uncertaintyMm ?? UNLISTED_UNCERTAINTY_MM, listed: gauge !== undefined },
      finenesses: finenessesOf(means.lathe),
      highestShare: SPRING_BOUND_FACTOR * perMmN * (bend.perN / 2 + latheGivesMmPerN(means.lathe).mmPerN),
    },
    record,
  );
  // what cannot be brought to size here keeps enough for a grinder or a finer lathe
  const leaveMm = last.kind === 'planned' ? last.allowanceMm : Math.min(LEFT_TO_OTHERS_MM, startMm - targetMm);
  return { feature, zFromMm, shoulder, allowanceMm: Number(leaveMm.toFixed(9)), last, targetMm };
}
