import type { Instrument, Measurand } from '../gauge/index.ts';
import { acrossShare, type Fineness, type Lathe, threadFinenesses } from '../lathe/index.ts';
import { type Part, roundOf } from '../part/index.ts';
import {
  crestFlatShareOf,
  gaugeFits,
  oneWireStandsMm,
  overWiresMm,
  pitchDiameterByOneWireMm,
  wireFor,
} from '../thread/index.ts';
import type { Step } from './step.ts';

/** A pass of a thread that a bit cuts. Its sizes are pitch diameters. */
export type ThreadStep = Extract<Step, { kind: 'thread' | 'threadNear' | 'threadLast' }>;

export const isThreadStep = (step: Pick<Step, 'kind'>): step is ThreadStep =>
  step.kind === 'thread' || step.kind === 'threadNear' || step.kind === 'threadLast';

/** The thread that a name stands for in a run, as its steps tell it; undefined for everything else. */
export const threadOf = (
  run: { readonly steps: readonly Step[] },
  featureId: string | undefined,
): ThreadStep | undefined =>
  featureId === undefined
    ? undefined
    : run.steps.find((s): s is ThreadStep => isThreadStep(s) && s.threadId === featureId);

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

/** Wires to lay in, and what is read over them when the pitch diameter is so large, mm. */
export interface OverWires {
  readonly wireMm: number;
  readonly atMm: (pitchDiameterMm: number) => number;
}
/** What stands of the surface between the grooves when it is done, as a share of the pitch. */
function crestShareOf({ steps }: { readonly steps: readonly Step[] }, thread: ThreadStep): number {
  const last = steps.findLast((s): s is ThreadStep => isThreadStep(s) && s.threadId === thread.threadId) ?? thread;
  return crestFlatShareOf(thread, thread.blankMm, last.targetMm ?? thread.blankMm - thread.depthMm);
}
/** Diameter over the crests that a thread is cut into: as it was measured, else as it is drawn. */
export function crestsMm(
  run: { readonly steps: readonly Step[] },
  metal: Readonly<Record<string, { readonly diameterMm: number }>>,
  { threadId, blankMm }: ThreadStep,
): number {
  const on = run.steps.find((s) => s.kind === 'touchOff' && s.forThread && s.id === `${threadId}-touchOff`)?.featureId;
  return (on === undefined ? undefined : metal[on]?.diameterMm) ?? blankMm;
}

/** Forms so flat that one wire tells them as well as three. FIELD 7: 29° and 30° */
const ONE_WIRE_DEG = 30;
/** Whether one wire may be laid in instead of three. */
export const takesOneWire = (run: { readonly steps: readonly Step[] }, featureId: string | undefined): boolean =>
  (threadOf(run, featureId)?.includedDeg ?? 90) <= ONE_WIRE_DEG;

/** What is read over one wire and the crests beyond, and back. */
export const overOneWire = (
  thread: ThreadStep,
  wireMm: number,
  onMm: number,
): { readonly atMm: (pitchDiameterMm: number) => number; readonly ofMm: (readMm: number) => number } => ({
  atMm: (pitchDiameterMm) => onMm + oneWireStandsMm(thread, pitchDiameterMm, wireMm, onMm),
  ofMm: (readMm) => pitchDiameterByOneWireMm(thread, readMm - onMm, wireMm, onMm),
});

/**
 * How wires of an instrument tell a thread; undefined for any other gauge, and where none of its wires fits.
 * @param onMm over one wire: the diameter that the other anvil lies on
 */
export function overWires(
  run: { readonly steps: readonly Step[] },
  featureId: string | undefined,
  instrument: Instrument | undefined,
  onMm?: number,
): OverWires | undefined {
  const thread = instrument?.kind === 'thread wires' ? threadOf(run, featureId) : undefined;
  const wireMm = thread && wireFor(thread, instrument?.wiresMm ?? [], crestShareOf(run, thread));
  if (thread && wireMm !== undefined && onMm !== undefined)
    return { wireMm, atMm: overOneWire(thread, wireMm, onMm).atMm };
  return thread && wireMm !== undefined
    ? { wireMm, atMm: (pitchDiameterMm) => overWiresMm(thread, pitchDiameterMm, wireMm) }
    : undefined;
}
