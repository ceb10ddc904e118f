import { feedForRa, SCHOOLS, type School, shallowestCutMm } from '../cutting/index.ts';
import { chooseInstrument } from '../gauge/index.ts';
import { onTailCentre } from '../hold/index.ts';
import { middleMm, toleranceMm } from '../limit/index.ts';
import type { Turned } from '../part/index.ts';
import type { Tool } from '../tool/index.ts';
import { toolFor } from '../tool/index.ts';
import type { Recorder } from '../working/index.ts';
import { roughingShaft } from './bending.ts';
import { answerOf, type CutWish, type FitContext, type FittedCut, fitCut } from './fit-cut.ts';
import type { Limiter, Operation, OwnCut } from './plan.ts';
import { usualMinutes } from './usual-minutes.ts';

/** Left on the diameter for the last cuts, mm: within FIELD 4's 0.4 to 0.8, more where two equal cuts with a measurement follow. */
const ALLOWANCE_TWO_CUTS_MM = 0.8;
const ALLOWANCE_ONE_CUT_MM = 0.5;
/** Tolerances up to this are met with two equal cuts and a measurement between, mm. */
const TWO_CUTS_UP_TO_MM = 0.12;
/** Roughing stops this short of a shoulder, mm (FIELD 4: 0.2 to 0.8). */
const SHOULDER_LEFT_MM = 0.3;
/** A roughing and a finishing feed that suit any small lathe, mm per rev, where the school does not push them. */
const USUAL_ROUGH_FEED = 0.2;
const USUAL_FINISH_FEED = 0.1;

/** A feature together with how far left it is cut and how it is finished. */
export interface Level {
  readonly feature: Turned;
  readonly zFromMm: number;
  readonly shoulder: boolean;
  readonly allowanceMm: number;
  readonly twoCuts: boolean;
  readonly targetMm: number;
}

/** Decides allowance and number of last cuts. Two equal cuts must each be deep enough for the edge. */
export function levelOf(feature: Turned, zFromMm: number, shoulder: boolean, startMm: number, finisher: Tool): Level {
  const targetMm = middleMm(feature.limits);
  const room = startMm - targetMm;
  const shallowest = shallowestCutMm(finisher.material, finisher.noseRadiusMm, finisher.edgeRadiusMm);
  const twoCuts = toleranceMm(feature.limits) <= TWO_CUTS_UP_TO_MM && room >= 4 * shallowest - 1e-9;
  const wanted = twoCuts
    ? Math.max(ALLOWANCE_TWO_CUTS_MM, 4 * shallowest)
    : Math.max(ALLOWANCE_ONE_CUT_MM, 2 * shallowest);
  return { feature, zFromMm, shoulder, allowanceMm: Number(Math.min(wanted, room).toFixed(9)), twoCuts, targetMm };
}

/** What is recorded for an operation when its working is asked for. */
export type RecorderFor = (operationId: string) => Recorder | undefined;

function depthCap(context: FitContext, tool: Tool, school: School): { mm: number; by: Limiter } {
  const { usualDepthMm, deepestCutMm } = context.input.lathe.rigidity;
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
  const own = context.input.school;
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
  kind: Operation['kind'],
  level: Level,
  zToMm: number,
  tool: Tool,
  cut: FittedCut,
  schools: Operation['schools'],
  rest: Partial<Operation>,
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
  const tool = toolFor(context.input.tools, 'rougher');
  if (!tool || startMm - toMm < 0.02) return undefined;
  // a casting is nowhere thicker towards the tail than it will be by much: its finished shape is the safe answer
  const shaft = context.input.rough
    ? context.shaft
    : roughingShaft(context.shaft, context.holding, level.zFromMm, toMm);
  const zFromMm = level.shoulder ? level.zFromMm + SHOULDER_LEFT_MM : level.zFromMm;
  const wishFor = (school: School): CutWish => {
    const cap = depthCap(context, tool, school);
    return {
      fromMm: startMm,
      toMm,
      zFromMm,
      zToMm: endMm,
      tool,
      shaft,
      bendAllowedMm: level.allowanceMm / 2,
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
    asChosen(wishFor, context.input.own?.[id]),
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

/** Last cuts of a level with the measurements between and after. */
export function finishLevel(context: FitContext, level: Level, recorderFor: RecorderFor): Operation[] {
  const { instruments } = context.input;
  const { feature } = level;
  const tool = toolFor(context.input.tools, 'finisher');
  if (!tool || level.allowanceMm <= 0) return [];
  const tolerance = toleranceMm(feature.limits);
  const { shaft } = context;
  const finishCap = finishCapMm(tool, feature.raUm);
  const cut = (fromMm: number, toMm: number, suffix: string) => {
    const wishFor = (school: School): CutWish => ({
      fromMm,
      toMm,
      zFromMm: level.zFromMm,
      zToMm: feature.zToMm,
      tool,
      shaft,
      bendAllowedMm: tolerance / 4,
      depthCapMm: (fromMm - toMm) / 2,
      depthCapBy: 'finish',
      feedCapMm: school === 'machineFirst' ? finishCap : Math.min(finishCap, USUAL_FINISH_FEED),
      feedCapBy: school === 'machineFirst' || finishCap < USUAL_FINISH_FEED ? 'finish' : 'usual',
    });
    const id = `${feature.id}-${suffix}`;
    return { id, ...bySchools(context, asChosen(wishFor, context.input.own?.[id]), 1, recorderFor(id)) };
  };
  const measure = (suffix: string, last: boolean): Operation => ({
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
    targetMm: level.targetMm,
    instrumentId: chooseInstrument(instruments, feature.diameterMm, tolerance, context.input.lathe.unit)?.id,
    last,
  });
  const centre = onTailCentre(context.holding.method);
  const startMm = Number((level.targetMm + level.allowanceMm).toFixed(9));
  const betweenMm = level.twoCuts ? Number((level.targetMm + level.allowanceMm / 2).toFixed(9)) : startMm;
  const operations: Operation[] = [];
  if (level.twoCuts) {
    const semi = cut(startMm, betweenMm, 'semi');
    if (semi.chosen)
      operations.push(
        operationOf(semi.id, 'semiFinish', level, feature.zToMm, tool, semi.chosen, semi.schools, {
          targetMm: betweenMm,
          limits: feature.limits,
          caution: centre ? 'easeCentre' : 'throwOutShort',
        }),
        measure('between', false),
      );
  }
  const last = cut(betweenMm, level.targetMm, 'finish');
  if (last.chosen)
    operations.push(
      operationOf(last.id, 'finish', level, feature.zToMm, tool, last.chosen, last.schools, {
        targetMm: level.targetMm,
        limits: feature.limits,
        caution: 'throwOutShort',
      }),
      measure('after', true),
    );
  return operations;
}
