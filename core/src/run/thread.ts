import type { Instrument, Measurand } from '../gauge/index.ts';
import { acrossShare, type Fineness, type Lathe, threadFinenesses } from '../lathe/index.ts';
import { type Part, roundOf } from '../part/index.ts';
import { gaugeFits } from '../thread/index.ts';
import type { Step } from './step.ts';

/** A pass of a thread that a bit cuts. Its sizes are pitch diameters. */
export type ThreadStep = Extract<Step, { kind: 'thread' | 'threadNear' | 'threadLast' }>;

export const isThreadStep = (step: Pick<Step, 'kind'>): step is ThreadStep =>
  step.kind === 'thread' || step.kind === 'threadNear' || step.kind === 'threadLast';

/** The thread that a name stands for in a run, as its first step tells it, or that of one tool; undefined for everything else. */
export const threadOf = (
  run: { readonly steps: readonly Step[] },
  featureId: string | undefined,
  toolId?: string,
): ThreadStep | undefined =>
  featureId === undefined
    ? undefined
    : run.steps.find(
        (s): s is ThreadStep =>
          isThreadStep(s) && s.threadId === featureId && (toolId === undefined || s.toolId === toolId),
      );

/** A thread as its last cut tells it: by the bit that forms it, where a narrower one went before. */
export const formedThread = (run: { readonly steps: readonly Step[] }, featureId: string): ThreadStep | undefined =>
  run.steps.findLast((s): s is ThreadStep => isThreadStep(s) && s.threadId === featureId);

/** How surely a bit's own point is known, besides its touch, mm on the radius: its flat is measured by eye. Shop */
export const POINT_MM = 0.02;

/** How a depth is set in a thread: the step's own way, lines where it has none. */
export function threadFineness(
  { means }: { readonly means: { readonly lathe: Lathe } },
  { compoundDeg, fineness }: ThreadStep,
  rough: boolean,
): Fineness {
  const all = threadFinenesses(means.lathe, compoundDeg);
  return all.find((f) => f.means === (rough ? 'lines' : (fineness ?? 'lines'))) ?? all[0]!;
}

/** What of the compound's travel goes across while it feeds a thread; undefined where it goes straight in, and for anything else. */
export function acrossOf(step: Step): number | undefined {
  if (step.kind === 'touchOff')
    return step.forThread && step.compoundDeg !== undefined ? acrossShare(step.compoundDeg) : undefined;
  return undefined;
}

/** What a measuring step reads: which side, what kind of size, and about how large it is drawn, mm. */
export interface ReadThere {
  readonly side: 'outside' | 'inside';
  readonly what: Measurand;
  readonly sizeMm: number;
}
/** What is measured at a step; undefined where nothing is. */
export function readThere(
  run: { readonly steps: readonly Step[]; readonly piece: { readonly part: Part } },
  step: Step,
): ReadThere | undefined {
  const thread = threadOf(run, step.featureId);
  if (thread)
    return {
      side: thread.side,
      what: thread.side === 'inside' ? 'inside thread' : 'thread',
      sizeMm: step.targetMm ?? thread.blankMm,
    };
  const round = roundOf(run.piece.part, step.featureId ?? '');
  return round && { side: round.side, what: round.side, sizeMm: round.diameterMm };
}

/** The gauges of a list that are for what is measured at a step: of rings and plugs for threads only those of this one. */
export function gaugesThere(
  run: { readonly steps: readonly Step[]; readonly means: { readonly instruments: readonly Instrument[] } },
  step: Step,
): readonly Instrument[] {
  const thread = threadOf(run, step.featureId);
  return run.means.instruments.filter(
    ({ kind, designation }) =>
      (kind !== 'thread ring' && kind !== 'thread plug') ||
      (thread !== undefined && designation !== undefined && gaugeFits(designation, thread)),
  );
}
