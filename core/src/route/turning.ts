import { cutForces, feedForRa, SCHOOLS, type School, shallowestCutMm } from '../cutting/index.ts';
import { chooseInstrument, UNLISTED_UNCERTAINTY_MM } from '../gauge/index.ts';
import { onTailCentre } from '../hold/index.ts';
import { finenessesOf, latheGivesMmPerN } from '../lathe/index.ts';
import { middleMm, toleranceMm } from '../limit/index.ts';
import { SPRING_BOUND_FACTOR } from '../mechanics/index.ts';
import type { Outside } from '../part/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import type { Tool } from '../tool/index.ts';
import { toolFor } from '../tool/index.ts';
import type { Recorder } from '../working/index.ts';
import { cutHold, roughedShaft, worstBendPerN } from './bending.ts';
import type { FitContext } from './fit-context.ts';
import { answerOf, type CutWish, type FittedCut, fitCut } from './fit-cut.ts';
import { type LastCuts, lastCutsFor, type TooFine } from './last-cuts.ts';
import type { AnyOperation, Limiter, MeasuredAfter, Operation, OwnCut } from './plan.ts';
import { usualMinutes } from './usual-minutes.ts';

/** Left on a diameter that is finished elsewhere, mm. */
const LEFT_TO_OTHERS_MM = 0.3;
/** Roughing stops this short of a shoulder, mm (FIELD 4: 0.2 to 0.8). */
const SHOULDER_LEFT_MM = 0.3;
/** A roughing and a finishing feed that suit any small lathe, mm per rev, where the school does not push them. */
const USUAL_ROUGH_FEED = 0.2;
const USUAL_FINISH_FEED = 0.1;

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
  const finisher = toolFor(means.tools, 'finisher')!;
  const record = recorderFor(`${feature.id}-finish`);
  const targetMm = middleMm(feature.limits);
  const tolerance = toleranceMm(feature.limits);
  const shallowestMm = shallowestCutMm(finisher.material, finisher.noseRadiusMm, finisher.edgeRadiusMm);
  const gauge = chooseInstrument(means.instruments, 'outside', feature.diameterMm, tolerance, means.lathe.unit);
  const bend = worstBendPerN(context.shaft, context.held, zFromMm, feature.zToMm);
  const cut = { depthMm: 0.2, feedMmPerRev: USUAL_FINISH_FEED, ...finisher };
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

/** What is recorded for an operation when its working is asked for. */
export type RecorderFor = (operationId: string) => Recorder | undefined;

function depthCap(context: FitContext, tool: Tool, school: School): { mm: number; by: Limiter } {
  const { usualDepthMm, deepestCutMm } = context.means.lathe.rigidity;
  const wanted = school === 'machineFirst' ? deepestCutMm : usualDepthMm;
  if (tool.deepestMm < wanted) return { mm: tool.deepestMm, by: 'tool' };
  return { mm: wanted, by: school === 'machineFirst' ? 'lathe' : 'usual' };
}

function bySchools(
  context: FitContext,
  wishFor: (school: School) => CutWish,
  passes: number | undefined,
  record?: Recorder,
) {
  const own = context.wishes.school;
  const fitted = SCHOOLS.map((school) => ({
    school,
    cut: fitCut(context, wishFor(school), school, passes, school === own ? record : undefined),
  }));
  const chosen = fitted.find((f) => f.school === own)?.cut;
  return { chosen, schools: fitted.flatMap(({ school, cut }) => (cut ? [answerOf(school, cut)] : [])) };
}

/** The same wish with the turner's own depth and feed in it, where there are any. */
function asChosen(wishFor: (school: School) => CutWish, own: OwnCut | undefined): (school: School) => CutWish {
  if (!own) return wishFor;
  return (school) => ({
    ...wishFor(school),
    depthCapMm: own.depthMm,
    depthCapBy: 'own',
    feedCapMm: own.feedMmPerRev,
    feedCapBy: 'own',
  });
}

function operationOf(
  id: string,
  kind: 'rough' | 'semiFinish' | 'finish',
  level: Level,
  zToMm: number,
  tool: Tool,
  cut: FittedCut,
  schools: Operation['schools'],
  rest: Partial<AnyOperation>,
): Operation {
  return {
    id,
    kind,
    featureId: level.feature.id,
    zFromMm: level.zFromMm,
    zToMm,
    toolId: tool.id,
    setting: cut.setting,
    passes: cut.passes,
    loads: cut.loads,
    decidedBy: cut.decidedBy,
    exceeds: cut.exceeds,
    schools,
    minutes: cut.minutes,
    ...rest,
  };
}

/** Roughing from one diameter to a level's size plus its allowance, up to where the raw metal ends; nothing when there is none. */
export function roughLevel(
  context: FitContext,
  level: Level,
  startMm: number,
  endMm: number,
  recorderFor: RecorderFor,
): Operation | undefined {
  const toMm = Number((level.targetMm + level.allowanceMm).toFixed(9));
  const tool = toolFor(context.means.tools, 'rougher');
  if (!tool || startMm - toMm < 0.02) return undefined;
  const zFromMm = level.shoulder ? level.zFromMm + SHOULDER_LEFT_MM : level.zFromMm;
  const shaft = roughedShaft(context.shaft, context.stepped, context.held, zFromMm, toMm);
  const hold = cutHold(shaft, context.held, { zFromMm, zToMm: endMm, bendAllowedMm: level.allowanceMm / 2 });
  const wishFor = (school: School): CutWish => {
    const cap = depthCap(context, tool, school);
    return {
      fromMm: startMm,
      toMm,
      zFromMm,
      zToMm: endMm,
      tool,
      hold,
      depthCapMm: cap.mm,
      depthCapBy: cap.by,
      feedCapMm:
        school === 'machineFirst' ? tool.noseRadiusMm * 0.6 : Math.min(USUAL_ROUGH_FEED, tool.noseRadiusMm * 0.6),
      feedCapBy: school === 'machineFirst' || tool.noseRadiusMm * 0.6 < USUAL_ROUGH_FEED ? 'nose' : 'usual',
    };
  };
  const id = `${level.feature.id}-rough`;
  const { chosen, schools } = bySchools(
    context,
    asChosen(wishFor, context.wishes.own?.[id]),
    undefined,
    recorderFor(id),
  );
  return (
    chosen &&
    operationOf(id, 'rough', { ...level, zFromMm }, endMm, tool, chosen, schools, {
      targetMm: toMm,
      caution: level.shoulder ? 'throwOutShort' : 'nearJaws',
    })
  );
}

/** Coarsest feed of a finishing tool: below a ground flat the marks vanish; a nose leaves what its radius lets it. */
function finishCapMm(tool: Tool, raUm: number): number {
  if (tool.flatMm) return tool.flatMm * 0.8;
  return tool.noseRadiusMm > 0 ? feedForRa(raUm, tool.noseRadiusMm) : USUAL_FINISH_FEED;
}

/** The measurement of a level after one of its cuts. */
function measureOperation(
  context: FitContext,
  level: Level,
  after: MeasuredAfter,
  aimMm: number,
  recorderFor: RecorderFor,
): Operation {
  const { feature } = level;
  const suffix = { rough: 'roughed', near: 'neared', semi: 'between', finish: 'after' }[after];
  const { instruments, lathe } = context.means;
  return {
    id: `${feature.id}-${suffix}`,
    kind: 'measure',
    featureId: feature.id,
    zFromMm: feature.zFromMm,
    zToMm: feature.zToMm,
    passes: [],
    exceeds: [],
    schools: [],
    minutes: usualMinutes(1.5, recorderFor(`${feature.id}-${suffix}`)),
    caution: 'stopToMeasure',
    limits: feature.limits,
    targetMm: aimMm,
    instrumentId: chooseInstrument(instruments, 'outside', feature.diameterMm, toleranceMm(feature.limits), lathe.unit)
      ?.id,
    last: after === 'finish',
    after,
  };
}

/** Sizes that are measured after all roughing and before the finishing tool goes in, while the spindle stands. */
export function measureRoughed(context: FitContext, levels: readonly Level[], recorderFor: RecorderFor): Operation[] {
  return levels
    .filter(({ last }) => last.kind === 'planned' && last.afterRough)
    .map((level) =>
      measureOperation(context, level, 'rough', Number((level.targetMm + level.allowanceMm).toFixed(9)), recorderFor),
    );
}

/** Last cuts of a level with the measurements between and after; none where it cannot be brought to size here. */
export function finishLevel(context: FitContext, level: Level, recorderFor: RecorderFor): Operation[] {
  const { feature, last } = level;
  const tool = toolFor(context.means.tools, 'finisher');
  if (!tool || level.allowanceMm <= 0 || last.kind === 'tooFine') return [];
  const tolerance = toleranceMm(feature.limits);
  const bendAllowedMm = tolerance / 4;
  const { zFromMm } = level;
  const hold = cutHold(context.shaft, context.held, { zFromMm, zToMm: feature.zToMm, bendAllowedMm });
  const finishCap = finishCapMm(tool, feature.raUm);
  const cut = (fromMm: number, toMm: number, suffix: string) => {
    const wishFor = (school: School): CutWish => ({
      fromMm,
      toMm,
      zFromMm,
      zToMm: feature.zToMm,
      tool,
      hold,
      depthCapMm: (fromMm - toMm) / 2,
      depthCapBy: 'finish',
      feedCapMm: school === 'machineFirst' ? finishCap : Math.min(finishCap, USUAL_FINISH_FEED),
      feedCapBy: school === 'machineFirst' || finishCap < USUAL_FINISH_FEED ? 'finish' : 'usual',
    });
    const id = `${feature.id}-${suffix}`;
    return { id, ...bySchools(context, asChosen(wishFor, context.wishes.own?.[id]), 1, recorderFor(id)) };
  };
  const centre = onTailCentre(context.held.method);
  const round = (mm: number) => Number(mm.toFixed(9));
  const startMm = round(level.targetMm + level.allowanceMm);
  const nearMm = last.nearMm === undefined ? startMm : round(level.targetMm + Math.min(last.nearMm, level.allowanceMm));
  const betweenMm = last.cuts === 2 ? round((nearMm + level.targetMm) / 2) : nearMm;
  const operations: Operation[] = [];
  const add = (
    kind: 'semiFinish' | 'finish',
    fromMm: number,
    toMm: number,
    suffix: 'near' | 'semi' | 'finish',
    more: Partial<AnyOperation>,
  ): void => {
    const { id, chosen, schools } = cut(fromMm, toMm, suffix);
    if (!chosen) return;
    const shared = { targetMm: toMm, limits: feature.limits, ...more };
    operations.push(
      operationOf(id, kind, level, feature.zToMm, tool, chosen, schools, shared),
      measureOperation(context, level, suffix, toMm, recorderFor),
    );
  };
  const { means } = last.fineness;
  const first = centre ? 'easeCentre' : 'throwOutShort';
  if (nearMm < startMm - ROUNDING)
    add('semiFinish', startMm, nearMm, 'near', {
      ...{ fineness: 'lines', leavesMm: round(nearMm - level.targetMm), caution: first },
    });
  if (last.cuts === 2) add('semiFinish', nearMm, betweenMm, 'semi', { fineness: means, caution: first });
  add('finish', betweenMm, level.targetMm, 'finish', { fineness: means, caution: 'throwOutShort' });
  return operations;
}
