import type { DialMove } from '../lathe/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import { kindOf } from '../route/index.ts';
import type { Recorder } from '../working/index.ts';
import { carriageMove } from './carriage-move.ts';
import { type Expected, expectedOf, expectedTouch } from './expect.ts';
import type { FrozenRun } from './frozen.ts';
import { type LengthAdvice, lengthAt } from './length.ts';
import { type CheckCut, checkCut } from './living.ts';
import { type Measured, measured } from './measured.ts';
import { type Move, moveFor, type NoMove } from './move/next.ts';
import { knownBesides, type StandChange, standChanges } from './needs.ts';
import { afterMeasuring } from './replay.ts';
import { currentStep, type RunState } from './state.ts';
import { actOf, isPass, type Step } from './step.ts';
import { isTaperStep } from './taper.ts';

/** One lever, belt or gear to change, from where it stands to where it should. */
export interface ControlChange {
  readonly id: string;
  readonly name: string;
  readonly from?: string;
  readonly to: string;
  readonly stopFirst: boolean;
}
export interface StepAdvice {
  readonly step: Step;
  readonly changes: readonly ControlChange[];
  readonly newTool: boolean;
  /** chuck, tailstock, locks and direction, where they stand otherwise than the step needs */
  readonly besides: readonly StandChange[];
  /** the number of a pass, or why there is none */
  readonly move?: Move | NoMove;
  /** for a short cut first, that is measured before the run */
  readonly trial?: Move;
  /** by the school of trial cuts that is the next thing: none has been measured on this length yet */
  readonly trialFirst?: boolean;
  readonly carriage?: DialMove;
  readonly fromEndMm?: number;
  /** facing to length, or a shoulder: what is read of it and what is left */
  readonly length?: LengthAdvice;
  /** touching off, where the numbers of the piece before live on: the short cut that checks them */
  readonly check?: CheckCut;
  /** what a measurement should find */
  readonly expected?: Expected;
  readonly measured?: Measured;
  /** after a measurement: the cut that follows it and its number, once the size is accepted */
  readonly next?: Move | NoMove;
  readonly nextStep?: Step;
  /** inside the limits by half the uncertainty or more, before all cuts are made: one may stop there */
  readonly inside?: boolean;
}

/**
 * What to set and do at the present step: only what changes, the dial moves, and after readings the next move.
 * @returns undefined when the run is over
 */
export function adviseStep(run: FrozenRun, state: RunState, record?: Recorder): StepAdvice | undefined {
  const step = currentStep(run.steps, state);
  if (!step || state.ended) return undefined;
  const { spindle, feeds, threads } = run.means.lathe;
  const ofFeeds = new Set(feeds.controls.map((c) => c.id));
  // levers of the gearbox stand in both lists
  const controls = [...spindle.controls, ...feeds.controls, ...threads.controls.filter((c) => !ofFeeds.has(c.id))];
  const wanted = { ...step.setting?.speedAt, ...step.setting?.feedAt };
  const changes = controls.flatMap((control): ControlChange[] => {
    const to = wanted[control.id];
    const from = state.standing[control.id];
    return to === undefined || to === from
      ? []
      : [{ id: control.id, name: control.name, from, to, stopFirst: control.stopFirst }];
  });
  const advice = {
    step,
    changes,
    newTool: step.toolId !== undefined && step.toolId !== state.toolId,
    besides: standChanges(run, step, knownBesides(run, state)),
  };
  const act = actOf(step);
  // what is brought into a groove touches no diameter
  if (step.kind === 'touchOff' && step.inGroove) return advice;
  if (act === 'touchOff')
    return { ...advice, expected: expectedTouch(run, state, step), check: checkCut(run, state, step) };
  if (act === 'measure') return { ...advice, ...afterReadings(run, state, step, record) };
  const move = moveFor(run, state, step, false, record);
  const trial =
    move?.kind === 'move' && act !== 'rough' && !isTaperStep(step) ? moveFor(run, state, step, true) : undefined;
  const fromEndMm =
    step.zStopMm !== undefined && (move || kindOf(step.kind).makes === 'shoulder')
      ? run.piece.part.lengthMm - step.zStopMm
      : undefined;
  const carriage =
    fromEndMm !== undefined && state.endLines !== undefined
      ? carriageMove(run.means.lathe, state.endLines, fromEndMm, record)
      : undefined;
  const length = lengthAt(run, state, step, record);
  const measuredHere = state.reference?.trial === true && state.reference.featureId === step.featureId;
  const found = trial?.kind === 'move' ? trial : undefined;
  const trialFirst = step.trialFirst === true && found !== undefined && !measuredHere;
  return { ...advice, length, move, trial: found, ...(trialFirst ? { trialFirst } : {}), carriage, fromEndMm };
}

/** The cut that follows an accepted size: the step's own again after a check, the next planned, or a further one. */
function stepAfter(run: FrozenRun, state: RunState, step: Step): Step | undefined {
  if (state.extra?.kind === 'measure') return run.steps[state.stepIndex];
  // a reamer has one size: what it left too small is no cut of a ring
  if (step.last && step.after === 'ream') return undefined;
  if (step.last) return currentStep(run.steps, { ...state, extra: { kind: 'cut', stepId: step.id, fromMm: 0 } });
  return run.steps.slice(state.stepIndex + 1).find((s) => s.featureId === step.featureId && isPass(s));
}

function afterReadings(run: FrozenRun, state: RunState, step: Step, record?: Recorder): Partial<StepAdvice> {
  const expected = expectedOf(run, state, step.featureId);
  const found = measured(run, state, step);
  if (!found || !step.featureId) return { expected };
  const { guardMm, smallestMm, largestMm, uncertaintyMm } = found.combined;
  const { decision } = found;
  const half = uncertaintyMm / 2;
  const inside =
    !step.last &&
    step.limits !== undefined &&
    !(state.extra?.kind === 'measure' && state.extra.trial) &&
    smallestMm >= step.limits.lowerMm + half - ROUNDING &&
    largestMm <= step.limits.upperMm - half + ROUNDING;
  const base = { expected, measured: found, inside };
  const cutNext = stepAfter(run, state, step);
  if (!cutNext || found.doubts.length > 0 || decision?.left === 'gone') return base;
  if (step.last && decision?.left === 'inside') return base;
  const after = afterMeasuring(run, state, step.featureId, guardMm, uncertaintyMm);
  const nextStep: Step = { ...cutNext, fromMm: guardMm };
  const sameTool = cutNext.toolId === undefined || cutNext.toolId === state.toolId;
  // another tool is touched off first: its number is not known yet
  const next = sameTool ? moveFor(run, after, nextStep, false, record) : undefined;
  return { ...base, next, nextStep };
}
