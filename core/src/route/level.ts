import { cutForces, shallowestCutMm } from '../cutting/index.ts';
import { chooseInstrument, signOf, UNLISTED_UNCERTAINTY_MM } from '../gauge/index.ts';
import { finenessesOf, latheGivesMmPerN } from '../lathe/index.ts';
import { middleMm, toleranceMm } from '../limit/index.ts';
import { type Sign, SPRING_BOUND_FACTOR } from '../mechanics/index.ts';
import type { Inside, Outside } from '../part/index.ts';
import { type EdgeTool, edgeFor } from '../tool/index.ts';
import { barGivesMmPerN } from './bar-gives.ts';
import { worstBendPerN } from './bending.ts';
import { FINE_FEED, type FitContext, type RecorderFor } from './fit-context.ts';
import { type LastCuts, lastCutsFor, type TooFine } from './last-cuts.ts';

/** Left on a diameter that is finished elsewhere, mm. */
const LEFT_TO_OTHERS_MM = 0.3;

/** Roughing stops this short of a shoulder, mm (FIELD 4: 0.2 to 0.8). */
export const SHOULDER_LEFT_MM = 0.3;

/** The edges that a length or a step of a hole is cut with; how far the bar of one in a hole gives, mm per N. */
export interface Edges {
  readonly rougher: EdgeTool;
  readonly finisher: EdgeTool;
  readonly barMmPerN?: number;
}
/** The turning tools of the drawer, or the bar that turns; what is missing has been told by then. */
export const turningEdges = ({ means: { tools }, turning }: Pick<FitContext, 'means' | 'turning'>): Edges =>
  turning
    ? { rougher: turning, finisher: turning, barMmPerN: barGivesMmPerN(turning, turning.reachMm) }
    : { rougher: edgeFor(tools, 'rougher')!, finisher: edgeFor(tools, 'finisher')! };

/** A feature together with how far left it is cut and how it is finished. */
export interface Level {
  readonly feature: Outside | Inside;
  /** +1 outside, −1 in a hole, where what is cut gets larger */
  readonly sign: Sign;
  readonly edges: Edges;
  readonly zFromMm: number;
  readonly shoulder: boolean;
  readonly allowanceMm: number;
  readonly last: LastCuts | TooFine;
  readonly targetMm: number;
}

/** The diameter that roughing comes to, mm. */
export const roughedMm = ({ sign, targetMm, allowanceMm }: Pick<Level, 'sign' | 'targetMm' | 'allowanceMm'>): number =>
  Number((targetMm + sign * allowanceMm).toFixed(9));

/** Decides allowance, last cuts and their means. Two equal cuts must each be deep enough for the edge. */
export function levelOf(
  context: FitContext,
  edges: Edges,
  feature: Outside | Inside,
  zFromMm: number,
  shoulder: boolean,
  startMm: number,
  recorderFor: RecorderFor,
): Level {
  const { means } = context;
  const { finisher, barMmPerN = 0 } = edges;
  const sign = signOf(feature.side);
  const record = recorderFor(`${feature.id}-finish`);
  const targetMm = Number(middleMm(feature.limits).toFixed(9));
  const tolerance = toleranceMm(feature.limits);
  const shallowestMm = shallowestCutMm(finisher.material, finisher.noseRadiusMm, finisher.edgeRadiusMm);
  const gauge = chooseInstrument(means.instruments, feature.side, feature.diameterMm, tolerance, means.lathe.unit);
  const bend = worstBendPerN(context.shaft, context.held, zFromMm, feature.zToMm);
  const cut = { depthMm: 0.2, feedMmPerRev: FINE_FEED, ...finisher };
  const perMmN = cutForces(means.material, finisher.material, cut).radialN / cut.depthMm;
  const last = lastCutsFor(
    {
      wanted: context.wishes.lastCuts,
      ...{ toleranceMm: tolerance, roomMm: sign * (startMm - targetMm), shallowestMm },
      ...{ uncertaintyMm: gauge?.uncertaintyMm ?? UNLISTED_UNCERTAINTY_MM, listed: gauge !== undefined },
      finenesses: finenessesOf(means.lathe),
      highestShare: SPRING_BOUND_FACTOR * perMmN * (bend.perN / 2 + barMmPerN + latheGivesMmPerN(means.lathe).mmPerN),
    },
    record,
  );
  // what cannot be brought to size here keeps enough for a grinder or a finer lathe
  const leaveMm = last.kind === 'planned' ? last.allowanceMm : Math.min(LEFT_TO_OTHERS_MM, sign * (startMm - targetMm));
  return { feature, sign, edges, zFromMm, shoulder, allowanceMm: Number(leaveMm.toFixed(9)), last, targetMm };
}

/** What roughing alone leaves on the diameter for a later setup, which may run out a little, mm. FIELD 4 */
const LEFT_FOR_LATER_MM = 0.8;

/** A level that is only roughed keeps more on it: put in again it runs otherwise. */
export const leavingFor = ({ setup }: Pick<FitContext, 'setup'>, level: Level, startMm: number): Level =>
  setup.extent !== 'rough'
    ? level
    : {
        ...level,
        allowanceMm: Number(
          Math.min(level.sign * (startMm - level.targetMm), Math.max(level.allowanceMm, LEFT_FOR_LATER_MM)).toFixed(9),
        ),
      };
