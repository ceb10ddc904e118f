import type { Decision } from '../gauge/index.ts';
import type { Stand, StandBesides } from '../lathe/index.ts';
import type { ShownSpring } from '../mechanics/index.ts';
import type { Told } from './event.ts';
import type { Step } from './step.ts';
import { isTaperStep } from './taper.ts';
import { isThreadStep } from './thread.ts';

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
  /** of a gauge that tells no number: how it went on, `mm` being what it is set or made to */
  readonly feel?: 'large' | 'touches' | 'small';
  /** over one wire: half of an error of the pitch diameter shows */
  readonly oneWire?: true;
  /** of a cone: where along it, mm from its end towards the tail */
  readonly stationMm?: number;
  /** how far a ring or plug stands off its line, mm; the work is larger or the hole smaller for it */
  readonly standOff?: true;
  /** how deep a groove is: the pitch diameter changes by twice as much */
  readonly grooveDepth?: true;
  /** looked at again after it was doubted */
  readonly lookedAgain: boolean;
  /** taken back, or an outlier: kept in the record, not counted */
  readonly setAside: boolean;
}

/** A length along the axis that was read while its face was being cut. */
export interface LengthReading {
  readonly eventId: string;
  readonly stepId: string;
  /** what the step makes: a shoulder of this length, none where it is the whole piece */
  readonly featureId?: string;
  readonly mm: number;
  readonly text: string;
  readonly unit: 'mm' | 'in';
  readonly instrumentId: string;
  readonly at: string;
}

/** The rings with which the tool's place is known: lines of each, as they stood when it was. */
export interface Rings {
  readonly crossSlide: number;
  /** where the compound is swung to the fine angle, or feeds a thread */
  readonly compound?: number;
  /** what of its travel goes across, where that is not the fine angle's tenth */
  readonly acrossShare?: number;
}

/** Ring lines at which the metal's size is known for the tool that stands in the post. */
export interface Reference {
  readonly rings: Rings;
  readonly diameterMm: number;
  /** depth really cut by the pass that made it, mm of radius; 0 when touched */
  readonly depthMm: number;
  /** share by which that pass was reckoned to spring */
  readonly springShare?: number;
  /** of the size, half-width at k = 2 */
  readonly uncertaintyMm: number;
  readonly by: 'touchOff' | 'measured';
  /** of a touch on a cone, besides the touch itself: where along it that was, mm on the radius */
  readonly placeDoubtMm?: number;
  readonly featureId?: string;
  /** a short trial cut: the length beyond it has its metal still */
  readonly trial?: boolean;
}

/** What a tool's numbers were worth when a piece was done: they are still worth it for the next, if nothing was disturbed. */
export interface LivingReference {
  readonly toolId: string;
  readonly reference: Pick<Reference, 'rings' | 'diameterMm'>;
  /** where the carriage's ring stood at the faced end */
  readonly endLines?: number;
  /** where the cross-slide stands, of whichever tool was last */
  readonly crossLines?: number;
}

/** Metal that stands on a length now. */
export interface Metal {
  readonly diameterMm: number;
  /** half-width of what it may really be, mm on the diameter */
  readonly doubtMm: number;
  readonly by: 'stock' | 'expected' | 'measured';
}

/** The pass cut last, as it was told. */
export interface LastCut {
  readonly featureId?: string;
  readonly stepId: string;
  readonly told: Told;
  /** metal before it, mm on the diameter */
  readonly beforeMm: number;
  readonly beforeDoubtMm: number;
  readonly springShare?: number;
  readonly toolId?: string;
}

/** A measured cut of the tool in the post, since it was touched off. */
export interface MeasuredCut {
  readonly featureId: string;
  /** place of the tool by the rings, mm of radius */
  readonly placeMm: number;
  readonly diameterMm: number;
  readonly depthMm: number;
  readonly springShare: number;
  readonly uncertaintyMm: number;
  readonly setMm: number;
}

/** Spring shown by two cuts of different depth, as a share of what was reckoned, so that it holds at other places too. */
export interface SpringSample extends ShownSpring {
  readonly toolId: string;
}

export interface Outcome {
  readonly featureId: string;
  readonly stepId: string;
  readonly sizeMm: number;
  readonly uncertaintyMm: number;
  readonly decision: Decision;
}

/** What a cone's stations showed, and what its setting was moved by then. */
export interface Proof {
  readonly featureId: string;
  readonly stepId: string;
  /** change of diameter per length as it was measured, or as it is after a move */
  readonly perLength: number;
  readonly doubtPerLength: number;
  /** of the setting: an indicator's change over its travel, or the tailstock's, mm */
  readonly movedMm?: number;
  readonly at: string;
}

/** A step that is not in the plan: a further cut that measuring asked for, or a measurement that a cut asked for. */
export type Extra =
  | {
      readonly kind: 'cut';
      readonly stepId: string;
      readonly fromMm: number;
      /** of a cut that only cleans a cone: to there, and not to its size */
      readonly toMm?: number;
      /** it was gone over once; the same number again, so that what sprang unevenly comes off */
      readonly over?: true;
    }
  | { readonly kind: 'measure'; readonly stepId: string; readonly trial: boolean };

/** Where a run stands. Everything here follows from the frozen plan and the events. */
export interface RunState {
  readonly stepIndex: number;
  readonly extra?: Extra;
  readonly rounds: Readonly<Record<string, number>>;
  readonly reference?: Reference;
  /** what each tool's numbers are worth, for the next piece of the batch */
  readonly living: Readonly<Record<string, LivingReference>>;
  /** where the rings stand, in lines of the rising sense */
  readonly crossLines?: number;
  readonly compoundLines?: number;
  /** what of the compound's travel goes across while it feeds a thread */
  readonly compoundShare?: number;
  readonly endLines?: number;
  readonly lastCut?: LastCut;
  readonly metal: Readonly<Record<string, Metal>>;
  readonly cuts: readonly MeasuredCut[];
  readonly samples: readonly SpringSample[];
  /** tools whose spring was forgotten in this run */
  readonly forgotten: readonly string[];
  readonly readings: readonly Reading[];
  readonly lengths: readonly LengthReading[];
  readonly outcomes: readonly Outcome[];
  /** of cones, oldest first */
  readonly proofs: readonly Proof[];
  /** threads whose tool was brought into its groove again: from then on straight in */
  readonly pickedUp: readonly string[];
  /** cuts that were passed over: what stands there was left as it was */
  readonly leftSo: readonly { readonly stepId: string; readonly featureId?: string }[];
  readonly notes: readonly { readonly stepId: string; readonly text: string; readonly at: string }[];
  /** a diameter at touching off that was doubted and has not been looked at again */
  readonly touchDoubted?: { readonly eventId: string; readonly text: string; readonly mm: number };
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
    living: {},
    metal: {},
    cuts: [],
    samples: [],
    forgotten: [],
    readings: [],
    lengths: [],
    outcomes: [],
    proofs: [],
    pickedUp: [],
    leftSo: [],
    notes: [],
    advances: [],
    standing: stand?.controls ?? {},
    besides: {},
    toolId: stand?.toolId ?? undefined,
    ignored: 0,
  };
}

/** What a further cut of a surface is: of its own kind, a cone's cleaning cut as a rough one. */
function againAs(cut: Step | undefined, cleans: boolean): Step['kind'] {
  if (cut && isThreadStep(cut)) return 'threadLast';
  if (cut && isTaperStep(cut)) return cleans ? 'taper' : 'taperLast';
  return 'finish';
}

/** The step to do now; undefined when all are done. One that is not in the plan has an id of its own. */
export function currentStep(steps: readonly Step[], state: RunState): Step | undefined {
  const step = steps[state.stepIndex];
  if (!step || !state.extra) return step;
  const round = (state.rounds[step.id] ?? 0) + 1;
  if (state.extra.kind === 'measure')
    return {
      ...step,
      id: `${step.id}-check-${round}`,
      kind: 'measure',
      passNumber: undefined,
      passCount: undefined,
      last: false,
      caution: 'stopToMeasure',
    } as Step;
  const cut = steps
    .slice(0, state.stepIndex)
    .findLast((s) => s.featureId === step.featureId && s.passNumber !== undefined);
  return {
    ...(cut ?? step),
    id: `${step.id}-again-${round}${state.extra.over ? '-over' : ''}`,
    kind: againAs(cut, state.extra.toMm !== undefined),
    fromMm: state.extra.fromMm,
    targetMm: state.extra.toMm ?? (step.limits ? (step.limits.upperMm + step.limits.lowerMm) / 2 : step.targetMm),
    leavesMm: undefined,
    passNumber: undefined,
    passCount: undefined,
    // what only cleans is not taken to the limits
    limits: state.extra.toMm === undefined ? step.limits : undefined,
    featureId: step.featureId,
  } as Step;
}
