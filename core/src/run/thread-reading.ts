import { type Instrument, signOf, uncertaintyOf } from '../gauge/index.ts';
import {
  crestFlatShareOf,
  oneWireStandsMm,
  overWiresMm,
  pitchDiameterByOneWireMm,
  pitchDiameterOverWiresMm,
  wireFor,
} from '../thread/index.ts';
import type { Reading } from './state.ts';
import type { Step } from './step.ts';
import { formedThread, POINT_MM, type ThreadStep, threadOf } from './thread.ts';

type Steps = { readonly steps: readonly Step[] };

/** How a gauge that shows no pitch diameter tells one, and what it reads when that is so large, mm. */
export type ThreadReads = { readonly atMm: (pitchDiameterMm: number) => number } & (
  | { readonly by: 'threeWires' | 'oneWire'; readonly wireMm: number }
  | { readonly by: 'depth' }
);

/** What stands of the surface between the grooves when it is done, as a share of the pitch. */
function crestShareOf(run: Steps, thread: ThreadStep): number {
  const last = formedThread(run, thread.threadId) ?? thread;
  return crestFlatShareOf(thread, thread.blankMm, last.targetMm ?? thread.blankMm - thread.depthMm);
}
/** Diameter over the crests that a thread is cut into: as it was measured, else as it is drawn. */
export function crestsMm(
  run: Steps,
  metal: Readonly<Record<string, { readonly diameterMm: number }>>,
  { threadId, blankMm }: ThreadStep,
): number {
  const on = run.steps.find((s) => s.kind === 'touchOff' && s.forThread && s.id === `${threadId}-touchOff`)?.featureId;
  return (on === undefined ? undefined : metal[on]?.diameterMm) ?? blankMm;
}

/** Forms so flat that one wire tells them as well as three. FIELD 7: 29° and 30° */
const ONE_WIRE_DEG = 30;
/** Whether one wire may be laid in instead of three. */
export const takesOneWire = (run: Steps, featureId: string | undefined): boolean =>
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

/** How deep a groove is below the crests beside it, and back; the bit's own point is at its floor. */
export function grooveDepth(
  { side, pitchOverPointMm }: Pick<ThreadStep, 'side' | 'pitchOverPointMm'>,
  onMm: number,
): { readonly atMm: (pitchDiameterMm: number) => number; readonly ofMm: (depthMm: number) => number } {
  const sign = signOf(side);
  return {
    atMm: (pitchDiameterMm) => (sign * (onMm + pitchOverPointMm - pitchDiameterMm)) / 2,
    ofMm: (depthMm) => onMm + pitchOverPointMm - 2 * sign * depthMm,
  };
}

/**
 * How an instrument tells a thread that it does not show by itself; undefined for any other gauge, and where none of its wires fits.
 * @param onMm diameter over the crests, for what is read from them
 * @param one one wire instead of three, the other anvil on the crests
 */
export function threadReads(
  run: Steps,
  featureId: string | undefined,
  instrument: Pick<Instrument, 'kind' | 'wiresMm'> | undefined,
  onMm: number,
  one = false,
): ThreadReads | undefined {
  const thread = featureId === undefined ? undefined : formedThread(run, featureId);
  if (thread && instrument?.kind === 'groove indicator') return { by: 'depth', atMm: grooveDepth(thread, onMm).atMm };
  if (!thread || instrument?.kind !== 'thread wires') return undefined;
  const wireMm = wireFor(thread, instrument.wiresMm ?? [], crestShareOf(run, thread));
  if (wireMm === undefined) return undefined;
  return one
    ? { by: 'oneWire', wireMm, atMm: overOneWire(thread, wireMm, onMm).atMm }
    : { by: 'threeWires', wireMm, atMm: (pitchDiameterMm) => overWiresMm(thread, pitchDiameterMm, wireMm) };
}

/** How far a ring or plug stands off its plane on a taper thread, and back: a turn of it is its limit either way. @source FIELD 8: stand-off times taper */
export const offPlane = ({
  limits,
  targetMm = 0,
  side,
  taperPerLength = 0,
}: ThreadStep): { readonly ofMm: (offMm: number) => number } => ({
  ofMm: (offMm) => (limits ? (limits.lowerMm + limits.upperMm) / 2 : targetMm) + signOf(side) * taperPerLength * offMm,
});
/** A stand-off is read by rule or feeler so nearly; what that is on the diameter at 1 in 16, mm. */
const STAND_OFF_MM = 0.1;
const TAPER = 1 / 16;

/** What was said of a reading besides its number. */
export interface ReadBy {
  readonly wireMm?: number;
  readonly oneWire?: true;
  readonly grooveDepth?: true;
  /** of a taper thread: how far a ring or plug stands off its plane */
  readonly standOff?: true;
}
/** What a reading over wires or into a groove tells of the pitch diameter, mm; any other reading is what it says. */
export function sizeOfReading(
  run: Steps,
  metal: Readonly<Record<string, { readonly diameterMm: number }>>,
  featureId: string,
  mm: number,
  { wireMm, oneWire, grooveDepth: deep, standOff }: ReadBy,
): number {
  const thread = wireMm === undefined && !deep && !standOff ? undefined : formedThread(run, featureId);
  if (!thread) return mm;
  if (standOff) return offPlane(thread).ofMm(mm);
  const onMm = crestsMm(run, metal, thread);
  if (wireMm === undefined) return grooveDepth(thread, onMm).ofMm(mm);
  return oneWire ? overOneWire(thread, wireMm, onMm).ofMm(mm) : pitchDiameterOverWiresMm(thread, mm, wireMm);
}

/** How surely a reading tells its size, half-width at k = 2, mm: from the crests it counts twice, into a groove the bit's point besides. */
export function uncertaintyOfReading(
  instruments: readonly Instrument[],
  {
    instrumentId,
    oneWire,
    grooveDepth: deep,
    standOff,
  }: Pick<Reading, 'instrumentId' | 'oneWire' | 'grooveDepth' | 'standOff'>,
): number {
  if (standOff) return STAND_OFF_MM * TAPER;
  const own = uncertaintyOf(instruments, instrumentId);
  return deep ? 2 * (own + POINT_MM) : oneWire ? 2 * own : own;
}
