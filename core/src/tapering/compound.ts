import { type Lathe, scaleDeg } from '../lathe/index.ts';
import { radians } from '../quantity/index.ts';

/** A scale of whole degrees set by eye is within so much, degrees. Shop: a sixth of a division */
const EYE_DEG = 1 / 6;
/** Kept of the compound's travel at either end, mm. */
const KEPT_MM = 4;

/** A compound set to turn a cone. Lengths in mm. */
export interface CompoundSet {
  /** as the scale marks it, degrees */
  readonly scaleDeg: number;
  /** what the scale may be off, and what that is on the diameter over the cone */
  readonly eyeDeg: number;
  readonly eyeMm: number;
  /** how far the slide goes along the cone, and how far it may */
  readonly travelMm: number;
  readonly roomMm: number;
  /** settings along the work that it takes: 1, or more where the cone is longer than the slide goes */
  readonly settings: number;
  /** how far back from the end of its travel the slide stands when it begins, mm */
  readonly beginsMm: number;
  /** of one pass by hand, at a steady hand's speed */
  readonly passMin: number;
}
/** A hand feeds the compound along for a finish, mm a minute. Shop */
const HAND_MM_PER_MIN = 25;

/**
 * The compound for a cone.
 * @param halfDeg half the included angle, from the axis @param lengthMm of the cone along the axis
 * @source the slide goes the cone's own side: length / cos α; what the eye is off: 2·l·(tan(α + ε) − tan α)
 */
export function compoundFor(lathe: Pick<Lathe, 'slides'>, halfDeg: number, lengthMm: number): CompoundSet {
  const alpha = radians(halfDeg);
  const travelMm = lengthMm / Math.cos(alpha);
  const roomMm = Math.max(0, lathe.slides.compound.travelMm - 2 * KEPT_MM);
  const settings = roomMm > 0 ? Math.ceil(travelMm / roomMm - 1e-9) : Number.POSITIVE_INFINITY;
  return {
    ...{ scaleDeg: scaleDeg(lathe, 90 - halfDeg), eyeDeg: EYE_DEG },
    eyeMm: 2 * lengthMm * (Math.tan(alpha + radians(EYE_DEG)) - Math.tan(alpha)),
    ...{ travelMm, roomMm, settings, beginsMm: KEPT_MM + Math.min(travelMm, roomMm) },
    passMin: travelMm / HAND_MM_PER_MIN,
  };
}

/** An indicator is read over so much of a travel, where there is as much, by the unit of the lathe. Usual */
export const INDICATOR_OVER_MM = { mm: 50, in: 50.8 } as const;

/**
 * What an indicator rises while it is moved, mm: on the compound square to a true cylinder or test bar, or on the carriage along a cone.
 * @param travelMm of the compound, or of the carriage
 * @source compound moved t: t·sin α; carriage along a cone: t·tan α
 * @example riseMm(1.4321, 50, 'compound').toFixed(3) // '1.250'
 */
export const riseMm = (halfDeg: number, travelMm: number, along: 'compound' | 'cone'): number =>
  travelMm * (along === 'compound' ? Math.sin(radians(halfDeg)) : Math.tan(radians(halfDeg)));

/** Blocks under the end of a sine bar that sets an angle, mm. @source L·sin α @example sineHeightMm(30, 100).toFixed(3) // '50.000' */
export const sineHeightMm = (angleDeg: number, barMm: number): number => barMm * Math.sin(radians(angleDeg));
/** Angle that blocks under a sine bar set: the inverse. */
export const sineAngleDeg = (heightMm: number, barMm: number): number => (Math.asin(heightMm / barMm) * 180) / Math.PI;
