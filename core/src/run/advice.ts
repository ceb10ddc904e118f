import { type DialMove, dialScale } from '../lathe/index.ts';
import type { Recorder } from '../working/index.ts';
import { type FineFeed, fineFeed } from './fine-feed.ts';
import type { FrozenRun } from './frozen.ts';
import { knownBesides, type StandChange, standChanges } from './needs.ts';
import { type CrossMove, carriageMove, crossMove } from './next-move.ts';
import { lastSpring, measured } from './replay.ts';
import { currentStep, type RunState } from './state.ts';
import type { Step } from './step.ts';

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
  readonly cross?: CrossMove;
  readonly carriage?: DialMove;
  readonly fromEndMm?: number;
  readonly measured?: ReturnType<typeof measured>;
  /** after a measurement: the move that would follow, aimed at the middle */
  readonly nextCross?: CrossMove;
  readonly nextTargetMm?: number;
  /** what the nearest line leaves to the middle, where the limits are finer than the dial: by the swung compound */
  readonly fine?: FineFeed;
}

/**
 * What to set and do at the present step: only what changes, the two dial moves, and after readings the next move.
 * @returns undefined when the run is over
 */
export function adviseStep(run: FrozenRun, state: RunState, record?: Recorder): StepAdvice | undefined {
  const step = currentStep(run.steps, state);
  if (!step || state.ended) return undefined;
  const controls = [...run.lathe.spindle.controls, ...run.lathe.feeds.controls];
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
  if (step.kind === 'measure') return { ...advice, ...afterReadings(run, state, step, record) };
  const cuts = step.targetMm !== undefined && step.fromMm !== undefined && state.reference;
  const cross = cuts
    ? crossMove(
        run.lathe,
        state.reference!,
        state.crossLines ?? state.reference!.lines,
        step.targetMm!,
        {
          last: state.reference!.by === 'measured' ? lastSpring(state) : undefined,
          lowestMm: step.limits?.lowerMm,
          passDepthMm: (step.fromMm! - step.targetMm!) / 2,
        },
        record,
      )
    : undefined;
  const fromEndMm =
    step.zStopMm !== undefined && (cuts || step.kind === 'shoulder') ? run.part.lengthMm - step.zStopMm : undefined;
  const carriage =
    fromEndMm !== undefined && state.endLines !== undefined
      ? carriageMove(run.lathe, state.endLines, fromEndMm, record)
      : undefined;
  return { ...advice, cross, carriage, fromEndMm };
}

function afterReadings(run: FrozenRun, state: RunState, step: Step, record?: Recorder) {
  const result = measured(run, state, step);
  if (!result || !step.limits) return {};
  const targetMm = (step.limits.upperMm + step.limits.lowerMm) / 2;
  const last =
    state.lastCut && state.crossLines !== undefined
      ? {
          cut: state.lastCut,
          spring: { askedMm: state.lastCut.dialMm, gotMm: result.combined.meanMm, depthMm: state.lastCut.depthMm },
        }
      : undefined;
  const more = result.combined.meanMm > targetMm;
  const nextCross =
    more && state.crossLines !== undefined
      ? crossMove(
          run.lathe,
          { lines: state.crossLines, diameterMm: result.combined.meanMm, by: 'measured' },
          state.crossLines,
          targetMm,
          { last, lowestMm: step.limits.lowerMm },
          record,
        )
      : undefined;
  const tolerance = step.limits.upperMm - step.limits.lowerMm;
  const leftMm = nextCross ? -nextCross.offByMm : 0;
  const coarse = tolerance < 4 * dialScale(run.lathe.slides.crossSlide).lineTravelMm.valueOf();
  const fine = coarse && leftMm > 0 ? fineFeed(run.lathe, leftMm, record) : undefined;
  return { measured: result, fine, nextCross, nextTargetMm: more ? targetMm : undefined };
}
