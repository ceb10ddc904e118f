import { outerProfile } from '../contour/index.ts';
import { freeFromMm, heldInside, type Waiting } from '../hold/index.ts';
import { toleranceMm } from '../limit/index.ts';
import { isConeLength, isShapedLater, type Outside, outsides } from '../part/index.ts';
import { PLACE_MM, type Problem } from '../quantity/index.ts';
import { standingMm, type Workpiece } from '../work/index.ts';
import { roundIt } from './curves.ts';
import { beforeKnurl } from './cut-in/knurl.ts';
import type { FitContext, RecorderFor } from './fit-context.ts';
import { type Level, leavingFor, levelOf, roughedMm, SHOULDER_LEFT_MM, turningEdges } from './level.ts';
import type { Operation } from './operation/kinds.ts';
import { measureRoughed } from './operation/measure.ts';
import { shoulderOperation } from './operation/shoulder.ts';
import { touchAgainOperation } from './operation/touch-off.ts';
import { cornerMm } from './rounds.ts';
import { CONE_LEAVE_MM, outsideConeSteps } from './taper/steps.ts';
import { finishLevel, roughLevel } from './turning.ts';

/** How far towards the tail the raw metal over a length goes on as thick as it is there, mm. */
export function rawUpTo(piece: Workpiece, feature: Outside): number {
  const { placesMm, radiiMm } = outerProfile(piece.contour);
  const thick = standingMm(piece, feature.zFromMm, feature.zToMm);
  const end = piece.part.lengthMm;
  for (let i = 0; i < radiiMm.length; i++)
    if (placesMm[i]! >= feature.zToMm - PLACE_MM && Math.abs(2 * radiiMm[i]! - thick) > 1e-5)
      return Math.min(end, placesMm[i]!);
  return end;
}

/** What is turned in a setup, and what of it cannot be. */
export interface Turned {
  readonly waiting: readonly Waiting[];
  readonly problems: readonly Problem[];
  /** lengths that are finished in this setup */
  readonly cut: ReadonlySet<string>;
}
/** A length with all that is done on it, and how far out the shoulder beside it is squared. */
interface Planned {
  readonly feature: Outside;
  readonly level: Level;
  readonly outsideMm: number;
  /** of the round that stays in its corner */
  readonly cornerMm: number;
  readonly rough: Operation | undefined;
  readonly finish: readonly Operation[];
}

/**
 * Roughs all that can be reached, measures, changes the tool, and finishes it; operations are put after those that are wanted already.
 * @param afterRoughing what else is done between roughing and finishing the outside: holes bored while the rougher rests
 * What even the lightest cut asks more of motor, work or grip than they bear is not cut, and waits.
 */
export function turnLevels(
  context: FitContext,
  reachable: readonly Outside[],
  wanted: Operation[],
  afterRoughing: readonly Operation[],
  recorderFor: RecorderFor,
): Turned {
  const { piece, setup } = context;
  const { extent } = setup;
  const waiting: Waiting[] = [];
  const problems: Problem[] = [];
  const levels: Planned[] = [];
  const standing = new Map<string, number>();
  let startMm = context.stockMm;
  let regionMm = Number.NaN;
  for (const feature of reachable) {
    const endMm = rawUpTo(piece, feature);
    const raw = endMm !== regionMm;
    // the narrow ring that roughing before left at a shoulder comes off with the shoulder
    if (raw) startMm = standingMm(piece, feature.zFromMm + SHOULDER_LEFT_MM + PLACE_MM, feature.zToMm);
    regionMm = endMm;
    const planned = planLevel(context, feature, startMm, endMm, raw, recorderFor);
    const later = isShapedLater(feature);
    if (later && !planned.rough) {
      standing.set(feature.id, startMm);
      continue;
    }
    // only the last cuts: what has not been roughed yet waits for that
    if (extent === 'finish' && startMm - planned.level.targetMm > MOST_TO_FINISH_MM) {
      waiting.push({ id: feature.id, why: 'otherSetup' });
      regionMm = Number.NaN;
      continue;
    }
    const broken = tooMuch(context, planned);
    if (broken) {
      waiting.push({ id: feature.id, why: 'wontBear' });
      problems.push({
        code: `route.exceeds.${broken}`,
        path: ['setup', 'support'],
        value: feature.name || feature.id,
        severity: 'warning',
      });
      // what lies nearer to the tail is cut from where the metal stands now
      regionMm = raw ? Number.NaN : regionMm;
      continue;
    }
    const { level, rough } = planned;
    if (rough) wanted.push(rough);
    startMm = Math.min(startMm, roughedMm(level));
    standing.set(feature.id, startMm);
    levels.push(planned);
  }
  if (extent !== 'finish') wanted.push(...outsideConeSteps(context, standing, recorderFor));
  wanted.push(...afterRoughing);
  // what is curved or a cone is only brought to its largest here
  const plain = levels.flatMap((l) => (isShapedLater(l.feature) ? [] : [l.level]));
  if (extent !== 'rough') wanted.push(...measureRoughed(context, plain, recorderFor));
  const { rougher, finisher } = turningEdges(context);
  const byCompound = plain.some(({ last }) => last.kind === 'planned' && last.fineness.slide === 'compound');
  const last = plain.at(-1)?.feature as Outside | undefined;
  if (last && extent !== 'rough' && (finisher.id !== rougher.id || byCompound)) {
    // what is curved or a cone lies lower beyond it by now: touched is what is parallel, as it was roughed
    const outermost = levels.at(-1)?.feature.id === last.id;
    const again = touchAgainOperation(
      ...([context, last, standing.get(last.id) ?? startMm] as const),
      ...([outermost ? rawUpTo(piece, last) : last.zToMm, finisher, byCompound, recorderFor] as const),
    );
    if (again) wanted.push(again);
  }
  const shoulders: Operation[] = [];
  for (const { feature, level, outsideMm, cornerMm: corner, finish } of levels) {
    if (isShapedLater(feature)) {
      // the shoulder at a cone's large end is squared as beside any length
      if (isConeLength(feature) && extent !== 'rough' && level.shoulder && outsideMm > roughedMm(level) + PLACE_MM)
        // only down to what was roughed: the corner is the cone's own
        pushAll(
          shoulders,
          shoulderOperation(context, { ...level, targetMm: roughedMm(level) }, outsideMm, recorderFor, corner),
        );
      continue;
    }
    if (extent === 'rough') {
      waiting.push({ id: level.feature.id, why: 'otherSetup' });
      continue;
    }
    const squared =
      level.last.kind === 'planned' && level.shoulder && outsideMm > level.targetMm + 2 * corner + PLACE_MM
        ? shoulderOperation(context, level, outsideMm, recorderFor, corner)
        : undefined;
    // beside a round the wall is squared first: the last cuts run on into the corner, and would meet all of it
    if (squared && corner > 0) wanted.push(squared);
    wanted.push(...finish);
    if (squared && corner === 0) shoulders.push(squared);
    if (level.last.kind === 'tooFine') {
      waiting.push({ id: level.feature.id, why: 'tooFine' });
      problems.push({
        ...{ code: `route.tooFine.${level.last.why}`, path: ['drawing', 'features', level.feature.index, 'limits'] },
        ...{ value: Number(toleranceMm(level.feature.limits).toFixed(4)), unit: 'mm', severity: 'warning' },
      });
    }
  }
  // at one speed, which the largest has: slower does for the others
  wanted.push(...shoulders);
  const brought = extent === 'rough' ? [] : plain;
  return { waiting, problems, cut: new Set(brought.flatMap((l) => (l.last.kind === 'planned' ? [l.feature.id] : []))) };
}

function pushAll(list: Operation[], operation: Operation | undefined): void {
  if (operation) list.push(operation);
}

/** All that is done on one length, from the metal that stands there. @param raw whether that is the surface as it came */
function planLevel(
  context: FitContext,
  drawn: Outside,
  startMm: number,
  endMm: number,
  raw: boolean,
  recorderFor: RecorderFor,
): Planned {
  const { piece, held } = context;
  const { part } = piece;
  const lengths = outsides(part);
  const left = lengths[lengths.indexOf(drawn) - 1];
  const feature = isShapedLater(drawn) ? roundIt(drawn) : beforeKnurl(part, drawn, context.means.tools);
  const stepsUp = left !== undefined && left.diameterMm > feature.diameterMm;
  // a cutter in the spindle does not face: it leaves the wall square by itself, pass by pass
  const shoulder = stepsUp && !context.turning;
  // a round in the corner is made after: it keeps its metal
  const corner = shoulder ? cornerMm(part, feature) : 0;
  const runPast = runPastMm(context, left, stepsUp);
  // over an arbor nothing stands in the way
  const keptMm = heldInside(held.method) ? 0 : 0.5;
  const zFromMm = Math.max(feature.zFromMm + corner - runPast, freeFromMm(held) + keptMm);
  const usual = levelOf(context, turningEdges(context), feature, zFromMm, shoulder, startMm, recorderFor);
  const room = Math.max(usual.allowanceMm, Math.min(CONE_LEAVE_MM, Number((startMm - usual.targetMm).toFixed(9))));
  const level = leavingFor(context, isConeLength(drawn) ? { ...usual, allowanceMm: room } : usual, startMm);
  const outsideMm = left ? Math.min(left.diameterMm, standingMm(piece, left.zFromMm, left.zToMm)) : context.stockMm;
  // the wall that roughing leaves comes off with the shoulder, fed outwards: no cut along meets it in its whole height
  const short = shoulder && corner === 0 && outsideMm > level.targetMm + PLACE_MM ? SHOULDER_LEFT_MM : 0;
  return {
    ...{ feature, level, cornerMm: corner, outsideMm },
    rough: roughLevel(context, level, startMm, endMm, raw, recorderFor),
    finish: finishLevel(context, { ...level, zFromMm: level.zFromMm + short }, recorderFor),
  };
}

/** More than this on the diameter is not left for the last cuts, mm. */
const MOST_TO_FINISH_MM = 1.2;

/** What a length's cuts ask more of than it bears, unless the turner chose that cut himself. */
function tooMuch({ wishes }: FitContext, { rough, finish }: Planned): Operation['exceeds'][number] | undefined {
  const own = (o: Operation): boolean => wishes.own?.[o.id] !== undefined;
  return [...(rough ? [rough] : []), ...finish].find((o) => o.exceeds.length > 0 && !own(o))?.exceeds[0];
}

/** How far the tool runs on to the left where nothing larger stands there, so that its nose brings the whole length to size, mm. */
function runPastMm(context: FitContext, left: Outside | undefined, shoulder: boolean): number {
  const { piece, held } = context;
  const noseMm = turningEdges(context).finisher.noseRadiusMm;
  const spare = piece.marks.find((m) => m.kind === 'cutOff');
  // half way into what the saw or the blade takes
  if (left === undefined && spare) return -(spare.zFromMm + spare.zToMm) / 2;
  return !shoulder && (left !== undefined || held.headEndMm !== undefined) ? Math.max(1, noseMm + 0.1) : 0;
}
