import { radians } from '../quantity/index.ts';

/** A thread that wires are laid into: pitch, lead and included angle. Lengths in mm. */
export interface WiredThread {
  readonly pitchMm: number;
  readonly leadMm: number;
  readonly includedDeg: number;
}

const half = ({ includedDeg }: Pick<WiredThread, 'includedDeg'>): number => radians(includedDeg / 2);

/** The wire that touches the flanks at the pitch line, mm: there an error of the angle does least. @source w = P/(2·cos α) */
export const bestWireMm = (thread: Pick<WiredThread, 'pitchMm' | 'includedDeg'>): number =>
  thread.pitchMm / (2 * Math.cos(half(thread)));

/**
 * Wires that can be used at all, mm: the smallest stands just level with the crests, the largest touches just at their edges.
 * @param crestFlatShare flat at the crest as a share of the pitch
 * @source first principles: contact at half the groove's width at the crest; r + r/sin α = its height above the sharp root
 */
export function wireRangeMm(
  thread: Pick<WiredThread, 'pitchMm' | 'includedDeg'>,
  crestFlatShare = 1 / 8,
): { readonly leastMm: number; readonly mostMm: number } {
  const a = half(thread);
  const halfWide = (thread.pitchMm * (1 - crestFlatShare)) / 2;
  return { leastMm: (2 * halfWide) / Math.tan(a) / (1 + 1 / Math.sin(a)), mostMm: (2 * halfWide) / Math.cos(a) };
}

/**
 * Flat at the crest as a share of the pitch: what a groove of that pitch diameter leaves of the surface that it is cut into.
 * @example crestFlatShareOf({ pitchMm: 4, includedDeg: 30 }, 20, 18).toFixed(3) // '0.366'
 */
export const crestFlatShareOf = (
  thread: Pick<WiredThread, 'pitchMm' | 'includedDeg'>,
  blankMm: number,
  pitchDiameterMm: number,
): number => 1 / 2 - ((blankMm - pitchDiameterMm) * Math.tan(half(thread))) / thread.pitchMm;

/** Of the wires that are there the one nearest to the best that can be used at all, mm; undefined where none can. */
export function wireFor(
  thread: Pick<WiredThread, 'pitchMm' | 'includedDeg'>,
  wiresMm: readonly number[],
  crestFlatShare: number,
): number | undefined {
  const { leastMm, mostMm } = wireRangeMm(thread, crestFlatShare);
  const best = bestWireMm(thread);
  return wiresMm
    .filter((w) => w >= leastMm && w <= mostMm)
    .toSorted((a, b) => Math.abs(a - best) - Math.abs(b - best))[0];
}

/** How steep a thread is at its pitch diameter, degrees. @source tan λ = lead/(π·d2) */
export const leadAngleDeg = (leadMm: number, pitchDiameterMm: number): number =>
  (Math.atan(leadMm / (Math.PI * pitchDiameterMm)) * 180) / Math.PI;

/** What a wire stands higher in a groove that winds, mm on the measurement. @source the standards' approximation c = w·tan²λ·cos α·cot α/2 */
export function leadCorrectionMm(thread: WiredThread, pitchDiameterMm: number, wireMm: number): number {
  const a = half(thread);
  const tan = thread.leadMm / (Math.PI * pitchDiameterMm);
  return (wireMm * tan ** 2 * Math.cos(a)) / Math.tan(a) / 2;
}

/**
 * Measurement over three wires of a pitch diameter, mm.
 * @source M = d2 + w·(1 + 1/sin α) − (P/2)·cot α + c (FIELD 7); c as {@link leadCorrectionMm}
 */
export function overWiresMm(thread: WiredThread, pitchDiameterMm: number, wireMm: number): number {
  const a = half(thread);
  const c = leadCorrectionMm(thread, pitchDiameterMm, wireMm);
  return pitchDiameterMm + wireMm * (1 + 1 / Math.sin(a)) - thread.pitchMm / 2 / Math.tan(a) + c;
}

/** Steps of going back to the pitch diameter; each brings it nearer by far more than any gauge shows. */
const BACK_STEPS = 40;
/** The pitch diameter that a measurement over three wires tells, mm; the inverse of {@link overWiresMm}. */
export function pitchDiameterOverWiresMm(thread: WiredThread, overMm: number, wireMm: number): number {
  let mm = overMm;
  for (let i = 0; i < BACK_STEPS; i++) mm += overMm - overWiresMm(thread, mm, wireMm);
  return mm;
}

/**
 * One wire that lies flush with the basic major diameter of a trapezoidal thread when its pitch diameter is basic, mm.
 * @source w = (P/2)·(1 + cot α)/(1 + 1/sin α) (FIELD 7)
 * @example flushWireMm({ pitchMm: 5, includedDeg: 30 }).toFixed(3) // '2.432'
 */
export function flushWireMm(thread: Pick<WiredThread, 'pitchMm' | 'includedDeg'>): number {
  const a = half(thread);
  return ((thread.pitchMm / 2) * (1 + 1 / Math.tan(a))) / (1 + 1 / Math.sin(a));
}

/**
 * How far the top of one wire stands above the crests, mm on the radius; below them it is negative. Crests that are really smaller or larger
 * than basic show it by half of that, so the blank is the one that was measured.
 */
export function oneWireStandsMm(
  thread: Pick<WiredThread, 'pitchMm' | 'includedDeg'>,
  pitchDiameterMm: number,
  wireMm: number,
  blankMm: number,
): number {
  const a = half(thread);
  const top = pitchDiameterMm / 2 + (wireMm / 2) * (1 + 1 / Math.sin(a)) - thread.pitchMm / 4 / Math.tan(a);
  return top - blankMm / 2;
}
/** The pitch diameter that one wire tells by how far its top stands above the crests; the inverse of {@link oneWireStandsMm}. */
export const pitchDiameterByOneWireMm = (
  thread: Pick<WiredThread, 'pitchMm' | 'includedDeg'>,
  standsMm: number,
  wireMm: number,
  blankMm: number,
): number => 2 * (standsMm - oneWireStandsMm(thread, 0, wireMm, blankMm));
