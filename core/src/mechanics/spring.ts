import { PLACE_MM, ROUNDING } from '../quantity/index.ts';
/**
 * What springs under a cut, in radii. σ is +1 outside, where deeper is smaller, and −1 inside. After a pass that the ring asked to
 * x the metal stands at r = x + σ·(c + k·a): a the depth that was really cut, c what does not depend on depth (touch, tool set),
 * k the spring: the share of a cut's depth by which it falls short.
 * @source FIELD 13
 */
export type Sign = 1 | -1;

/** A place of the ring whose result is known: asked to `xMm`, `depthMm` was really cut, the metal was measured at `rMm`. */
export interface KnownPlace {
  readonly xMm: number;
  readonly rMm: number;
  readonly depthMm: number;
  /** spring at that place */
  readonly share: number;
}

/**
 * Where a pass comes out: metal at `beforeMm`, ring asked to `xMm`. A tool that does not reach the metal cuts nothing.
 * @param share spring of this pass, k ≥ 0
 * @returns radius after the pass, mm; r = (x + σ·c + k·before)/(1 + k) with σ·c = r1 − x1 − σ·k1·a1
 * @example comesTo(1, { xMm: 10, rMm: 10.01, depthMm: 0.2, share: 0.05 }, 9.8, 10.01, 0.05) // 9.81
 */
export function comesTo(sign: Sign, known: KnownPlace, xMm: number, beforeMm: number, share: number): number {
  const fixedMm = known.rMm - known.xMm - sign * known.share * known.depthMm;
  const rMm = (xMm + fixedMm + share * beforeMm) / (1 + share);
  return sign * (beforeMm - rMm) > 0 ? rMm : beforeMm;
}

/**
 * What to ask the ring for, so that a pass over metal at `beforeMm` comes out at `aimMm`.
 * @returns x2 = x1 − σ·[σ·(r1 − aim) + k·a2 − k1·a1], a2 = σ·(before − aim). Over the metal just measured (before = r1) this is
 *   x1 − σ·[a2 − k·(a1 − a2)]; after a short trial cut (before = r1 + σ·a1) it is x1 − σ·(1 + k)·|r1 − aim|
 */
export function askFor(sign: Sign, known: KnownPlace, aimMm: number, beforeMm: number, share: number): number {
  const depthMm = sign * (beforeMm - aimMm);
  return known.xMm - sign * (sign * (known.rMm - aimMm) + share * depthMm - known.share * known.depthMm);
}

/** Most that the same number again takes off the radius after a pass `depthMm` deep. @source k·a/(1 + k) */
export function springPassTakesMm(depthMm: number, share: number): number {
  return (share * depthMm) / (1 + share);
}

/** How much lower the short zone of a trial cut comes out than the run that follows. @source k·a1/(1 + k) */
export const trialZoneLowerMm = springPassTakesMm;

/** Spring is bounded by so many times what work, tool and lathe are reckoned to give way. provenance: recalled */
export const SPRING_BOUND_FACTOR = 1.5;

/** Spring as two cuts of different depth over the same metal show it, with its standard uncertainty. */
export interface ShownSpring {
  readonly share: number;
  readonly uncertaintyShare: number;
}

/** What a pass fell short by: measured radius against the place that the ring asked for. @source c + k·a = σ·(r − x) */
export const missMm = (sign: Sign, xMm: number, rMm: number): number => sign * (rMm - xMm);

/**
 * The spring that two cuts of one tool show, from what each fell short by and how deep it really was.
 * @param setMm @param readMm standard uncertainties of setting the ring and of reading, on the radius
 * @returns undefined for equal depths, which show only c + k·a
 * @source k = (miss1 − miss2)/(a1 − a2), which over the same metal is [σ(x2 − x1) + a2]/(a1 − a2);
 *   u² ≈ (2·u_set² + 2·u_read²)/(a1 − a2)²
 * @example shownSpring(0.018, 0.008, 0.3, 0.1, 0.002, 0.001)?.share // 0.05
 */
export function shownSpring(
  miss1Mm: number,
  miss2Mm: number,
  depth1Mm: number,
  depth2Mm: number,
  setMm: number,
  readMm: number,
): ShownSpring | undefined {
  const apartMm = depth1Mm - depth2Mm;
  if (Math.abs(apartMm) < PLACE_MM) return undefined;
  return {
    share: (miss1Mm - miss2Mm) / apartMm,
    uncertaintyShare: Math.sqrt(2 * setMm ** 2 + 2 * readMm ** 2) / Math.abs(apartMm),
  };
}

/** What is believed of the spring at a place: from `lowShare` to `highShare`, most likely `bestShare`. */
export interface SpringShare {
  readonly lowShare: number;
  readonly bestShare: number;
  readonly highShare: number;
  /** cuts that it rests on; 0: reckoned only */
  readonly count: number;
}

/** Learned spring is held between its value less and plus so many standard uncertainties. */
const COVER = 2.5;
/** What was shown and lies so many standard uncertainties beyond the bound is touch, tool or a slip, not spring. */
const BEYOND = 3;

/**
 * The spring that is believed: from nothing to the bound until cuts have shown it; what they show weighs by its uncertainty, and
 * what lies beyond the bound is not taken for spring.
 * @param highestShare bound: 1.5 times what work, tool and lathe are reckoned to give way
 * @source FIELD 13, learning
 */
export function believedSpring(shown: readonly ShownSpring[], highestShare: number): SpringShare {
  const within = shown.filter(
    ({ share, uncertaintyShare: u }) => share > -BEYOND * u - ROUNDING && share < highestShare + BEYOND * u + ROUNDING,
  );
  // reckoned: somewhere between nothing and the bound, as likely here as there
  const prior: ShownSpring = { share: highestShare / 2, uncertaintyShare: highestShare / Math.sqrt(12) };
  if (within.length === 0) return { lowShare: 0, bestShare: prior.share, highShare: highestShare, count: 0 };
  const all = [prior, ...within];
  const weight = ({ uncertaintyShare: u }: ShownSpring) => 1 / Math.max(1e-4, u) ** 2;
  const weights = all.reduce((sum, s) => sum + weight(s), 0);
  const mean = all.reduce((sum, s) => sum + weight(s) * s.share, 0) / weights;
  // cuts that contradict one another widen the range instead of being averaged away
  const scatter = Math.max(0, ...within.map((s) => Math.abs(s.share - mean) - BEYOND * s.uncertaintyShare));
  const half = COVER / Math.sqrt(weights) + scatter;
  const clip = (share: number) => Math.min(highestShare, Math.max(0, share));
  return { lowShare: clip(mean - half), bestShare: clip(mean), highShare: clip(mean + half), count: within.length };
}
