import { radians } from '../quantity/index.ts';

/**
 * What a gauge's stand-off says of the diameter at the gauge line, mm: positive where the work is larger than the gauge.
 * @param standOffMm how far a ring stands off the large end, or a plug out of the hole; negative: beyond its line
 * @source FIELD 8: stand-off s → diameter off by s × taper
 * @example diameterOfStandOff(1, 0.04995) // 0.04995
 */
export const diameterOfStandOff = (standOffMm: number, perLength: number): number => standOffMm * perLength;
/** How far a gauge goes on for so much of the diameter, mm. */
export const goesOnMm = (offMm: number, perLength: number): number => offMm / perLength;

/** A cone measured over two pairs of equal rollers. Lengths in mm. */
export interface OverRollers {
  readonly rollerMm: number;
  /** over the rollers on the table at the small end, and on blocks so high */
  readonly lowMm: number;
  readonly highMm: number;
  readonly blocksMm: number;
}
/**
 * Taper and diameter at the small end of a plug that stands on it, from rollers beside it.
 * @source the flank leans by α: over the blocks M grows by 2·H·tan α; at the table M = d + w·(1 + tan(45° + α/2))
 */
export function ofRollers({ rollerMm, lowMm, highMm, blocksMm }: OverRollers): {
  readonly halfDeg: number;
  readonly smallEndMm: number;
} {
  const alpha = Math.atan((highMm - lowMm) / 2 / blocksMm);
  return {
    halfDeg: (alpha * 180) / Math.PI,
    smallEndMm: lowMm - rollerMm * (1 + Math.tan(Math.PI / 4 + alpha / 2)),
  };
}

/** A hole measured with two balls, one after the other. Lengths in mm. */
export interface InBalls {
  readonly smallMm: number;
  readonly largeMm: number;
  /** from the face down to the top of each ball; negative where it stands out */
  readonly smallDownMm: number;
  readonly largeDownMm: number;
}
/**
 * Half angle of a hole and its diameter at the face from two balls in it.
 * @source their middles are R2 + h2 and so on apart along the axis: sin α = (R − r) / distance; at the face D = 2·(R/cos α + (h + R)·tan α)
 */
export function ofBalls({ smallMm, largeMm, smallDownMm, largeDownMm }: InBalls): {
  readonly halfDeg: number;
  readonly atFaceMm: number;
} {
  const [r, big] = [smallMm / 2, largeMm / 2];
  const apart = smallDownMm + r - (largeDownMm + big);
  const alpha = Math.asin((big - r) / apart);
  return {
    halfDeg: (alpha * 180) / Math.PI,
    atFaceMm: 2 * (big / Math.cos(alpha) + (largeDownMm + big) * Math.tan(alpha)),
  };
}

/**
 * How blue tells a cone: rubbed only at one end, the other has to come up there.
 * @param at where the blue was rubbed off, seen along the cone
 * @returns whether the work's taper is too steep or too slow for its gauge
 * @source a plug that bears at its large end alone is in a hole that is too slow; a ring that does is on a cone that is too steep
 */
export function ofBlue(at: 'large' | 'small' | 'all', side: 'outside' | 'inside'): 'steep' | 'slow' | 'right' {
  if (at === 'all') return 'right';
  return (at === 'large') === (side === 'outside') ? 'steep' : 'slow';
}

/** Size of a sharp cone by a small flat that was left: how far it is from its point, mm. @source flat / (2·tan α) */
export const pointBeyondMm = (flatMm: number, halfDeg: number): number => flatMm / (2 * Math.tan(radians(halfDeg)));
