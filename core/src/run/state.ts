import type { Decision } from '../gauge/index.ts';
import type { Stand, StandBesides } from '../lathe/index.ts';
import type { Step } from './step.ts';

export interface Reading {
  readonly eventId: string;
  readonly stepId: string;
  readonly round: number;
  readonly featureId: string;
  readonly mm: number;
  readonly text: string;
  readonly unit: 'mm' | 'in';
  readonly instrumentId: string;
  readonly place: string;
  readonly at: string;
  /** what was typed before it was corrected, oldest first */
  readonly was: readonly string[];
}

/** Ring lines of the cross-slide at a diameter that was measured. */
export interface Reference {
  readonly lines: number;
  readonly diameterMm: number;
  readonly by: 'touchOff' | 'measured';
}
export interface LastCut {
  readonly featureId?: string;
  readonly dialMm: number;
  readonly depthMm: number;
}
export interface Spring {
  readonly askedMm: number;
  readonly gotMm: number;
  readonly depthMm: number;
}
export interface Outcome {
  readonly featureId: string;
  readonly stepId: string;
  readonly sizeMm: number;
  readonly uncertaintyMm: number;
  readonly decision: Decision;
}

/** Where a run stands. Everything here follows from the frozen plan and the events. */
export interface RunState {
  readonly stepIndex: number;
  /** a further finishing cut that measuring asked for */
  readonly again?: { readonly measureStepId: string; readonly targetMm: number; readonly fromMm: number };
  readonly rounds: Readonly<Record<string, number>>;
  readonly reference?: Reference;
  readonly crossLines?: number;
  readonly endLines?: number;
  readonly lastCut?: LastCut;
  readonly springs: readonly Spring[];
  readonly readings: readonly Reading[];
  readonly outcomes: readonly Outcome[];
  readonly notes: readonly { readonly stepId: string; readonly text: string; readonly at: string }[];
  /** events that moved the run on, latest last: what Back takes back */
  readonly advances: readonly string[];
  readonly standing: Readonly<Record<string, string>>;
  /** what this run has set or was told of chuck, set-over, locks and direction; before that it is as the lathe stood */
  readonly besides: StandBesides;
  readonly toolId?: string;
  readonly ended?: {
    readonly outcome: 'finished' | 'cannotBePutBack' | 'stopped';
    readonly reason: string;
    readonly at: string;
  };
  /** events that did not apply when their turn came, e.g. a step done on two devices */
  readonly ignored: number;
}

/** The state before the first event, arrays of its own. */
export function startState(stand?: Stand): RunState {
  return {
    stepIndex: 0,
    rounds: {},
    springs: [],
    readings: [],
    outcomes: [],
    notes: [],
    advances: [],
    standing: stand?.controls ?? {},
    besides: {},
    toolId: stand?.toolId ?? undefined,
    ignored: 0,
  };
}

/** The step to do now; undefined when all are done. A further cut has an id of its own. */
export function currentStep(steps: readonly Step[], state: RunState): Step | undefined {
  const step = steps[state.stepIndex];
  if (!step || !state.again) return step;
  const cut = steps
    .slice(0, state.stepIndex)
    .findLast((s) => s.featureId === step.featureId && s.passNumber !== undefined);
  const round = state.rounds[step.id] ?? 0;
  return {
    ...(cut ?? step),
    id: `${step.id}-again-${round + 1}`,
    kind: 'finish',
    fromMm: state.again.fromMm,
    targetMm: state.again.targetMm,
    passNumber: undefined,
    passCount: undefined,
    limits: step.limits,
    featureId: step.featureId,
  };
}
