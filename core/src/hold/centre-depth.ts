import { ROUNDING, radians } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';

/** Half of the included angle of a centre hole's cone, degrees. */
const HALF_DEG = 30;
const slope = Math.tan(radians(HALF_DEG));

/** How deep a centre drill goes for a mouth: pilot and cone together, from the face. */
export interface CentreDepth {
  readonly coneMm: number;
  readonly totalMm: number;
}

/**
 * Depth for a wanted mouth. @param pilotLengthMm length of the drill's pilot, its point included
 * @source geometry: (mouth − pilot)/2 / tan 30°
 * @example centreDepth(3.15, 3.9, 6.7).coneMm.toFixed(4) // '3.0744'
 */
export function centreDepth(pilotMm: number, pilotLengthMm: number, mouthMm: number, record?: Recorder): CentreDepth {
  const coneMm = (mouthMm - pilotMm) / 2 / slope;
  const totalMm = pilotLengthMm + coneMm;
  record?.({ code: 'hold.centreDepth', values: { pilotMm, pilotLengthMm, mouthMm, coneMm, totalMm } });
  return { coneMm, totalMm };
}

/** What to do about a mouth that was measured. */
export type MouthRemedy =
  | { readonly kind: 'good' }
  | { readonly kind: 'deeper'; readonly byMm: number }
  /** face so much off the end: the mouth shrinks with it, and the length allowance bears it */
  | { readonly kind: 'faceBack'; readonly byMm: number; readonly leftMm: number }
  /** no length is left to face it back; it may serve where the end still bears it */
  | { readonly kind: 'tooLarge'; readonly byMm: number; readonly serves: boolean };

/**
 * Remedy for a mouth that is too small or too large. @param allowanceMm length that may still be faced off this end
 * @param endMm diameter of the end: a mouth above six tenths of it leaves too thin a rim
 * @param withinMm difference of diameter that may stay
 * @source geometry as above
 */
export function mouthRemedy(
  measuredMm: number,
  wantedMm: number,
  allowanceMm: number,
  endMm: number,
  withinMm: number,
): MouthRemedy {
  const byMm = Math.abs(measuredMm - wantedMm) / 2 / slope;
  if (Math.abs(measuredMm - wantedMm) <= withinMm + ROUNDING) return { kind: 'good' };
  if (measuredMm < wantedMm) return { kind: 'deeper', byMm };
  if (byMm <= allowanceMm + ROUNDING) return { kind: 'faceBack', byMm, leftMm: allowanceMm - byMm };
  return { kind: 'tooLarge', byMm, serves: measuredMm <= 0.6 * endMm };
}

/**
 * Pressure that the cone of a centre hole bears, N/mm²: on a greased plain centre it slides, on a running one it stands.
 * provenance: recalled, usual of lubricated slow bearings and of seats at rest
 */
const BEARS = { plain: 12, live: 50 } as const;

/** Force that a centre hole bears across the axis, N. @source pressure on the cone's projected area, (D + d)/2 · h */
export function centreBearsN(pilotMm: number, mouthMm: number, centre: 'plain' | 'live'): number {
  const coneMm = (mouthMm - pilotMm) / 2 / slope;
  return BEARS[centre] * ((mouthMm + pilotMm) / 2) * coneMm;
}
