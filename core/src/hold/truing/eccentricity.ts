import type { Recorder } from '../../working/index.ts';

/** What an indicator showed with each of four jaws, 90° apart, in turn under it; mm, rising as the surface comes nearer. */
export type FourReadings = readonly [number, number, number, number];

/** How far work stands off the spindle's axis at one station. */
export interface Eccentricity {
  /** towards jaw 1 (negative: towards 3) and towards jaw 2 (negative: towards 4), mm */
  readonly towardsMm: readonly [number, number];
  /** distance of its middle from the axis */
  readonly offMm: number;
  /** what the indicator swings because of it over a turn: twice that */
  readonly runoutMm: number;
  /** what it swings because the piece is not round: no truing takes that away */
  readonly ovalMm: number;
}

/**
 * Eccentricity from opposite pairs: half the difference of two readings that lie opposite is how far the middle stands off towards the
 * higher. What both pairs have different in their sums is form: the piece is oval.
 * @source first principles: r(θ) = c + e·cos(θ − φ) + o·cos 2θ, read at 0°, 90°, 180° and 270°
 */
export function eccentricityOf([r1, r2, r3, r4]: FourReadings, record?: Recorder): Eccentricity {
  const towardsMm = [(r1 - r3) / 2, (r2 - r4) / 2] as const;
  const offMm = Math.hypot(...towardsMm);
  const ovalMm = Math.abs(r1 + r3 - r2 - r4) / 2;
  record?.({
    code: 'truing.eccentricity',
    values: { r1, r2, r3, r4, towards1Mm: towardsMm[0], towards2Mm: towardsMm[1], offMm, runoutMm: 2 * offMm, ovalMm },
  });
  return { towardsMm, offMm, runoutMm: 2 * offMm, ovalMm };
}
