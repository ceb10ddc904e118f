/**
 * Depth of the point of a centre hole's cone below the face, mm: there the work turns about a point centre.
 * @param mouthMm diameter of the cone at the face @source a cone of 60°: half the mouth times cot 30°
 * @example pointDepthMm(6.3).toFixed(2) // '5.46'
 */
export const pointDepthMm = (mouthMm: number): number => (mouthMm / 2) * Math.sqrt(3);

/** Depth of the middle of a ball that sits in a centre hole's cone, mm below the face; negative: before it. @source r / sin 30° above the point */
export const ballDepthMm = (mouthMm: number, ballMm: number): number => pointDepthMm(mouthMm) - ballMm;

/** The work between its centres. Lengths in mm. */
export interface BetweenCentres {
  /** of the work from face to face */
  readonly wholeMm: number;
  /** below each face, where it turns about its centre */
  readonly headDepthMm: number;
  readonly tailDepthMm: number;
}
/** How far apart the places are about which the work turns, mm along its own axis. */
export const pivotsMm = ({ wholeMm, headDepthMm, tailDepthMm }: BetweenCentres): number =>
  wholeMm - headDepthMm - tailDepthMm;

/** A tailstock set over for a taper. */
export interface SetOver {
  readonly offsetMm: number;
  /** by the small-angle rule, taper × whole length / 2, and what that is off */
  readonly byRuleMm: number;
  /** `tool`: towards the side that the tool cuts from, small end at the tail; `away`: large end there */
  readonly way: 'tool' | 'away';
  /** the tail centre comes so much nearer to the headstock */
  readonly nearerMm: number;
}

/**
 * How far the tailstock is set over: the work's axis lies at the taper's half angle to the bed, between the places it turns about.
 * @param perLength positive where the diameter falls towards the tailstock
 * @source offset = L·sin α exactly; the rule of the trade, taper × L / 2, is L·tan α
 * @example setOver(0.05, { wholeMm: 200, headDepthMm: 0, tailDepthMm: 0 }).offsetMm.toFixed(4) // '4.9984'
 */
export function setOver(perLength: number, between: BetweenCentres): SetOver {
  const alpha = Math.atan(Math.abs(perLength) / 2);
  const pivots = pivotsMm(between);
  return {
    offsetMm: pivots * Math.sin(alpha),
    byRuleMm: (Math.abs(perLength) * between.wholeMm) / 2,
    way: perLength >= 0 ? 'tool' : 'away',
    nearerMm: pivots * (1 - Math.cos(alpha)),
  };
}

/** Taper that an offset gives: the inverse of {@link setOver}. */
export const taperOfOffset = (offsetMm: number, between: BetweenCentres): number =>
  2 * Math.tan(Math.asin(offsetMm / pivotsMm(between)));

/** A centre of 60° bears on an edge only where the work leans so far, degrees; from there on ball-ended ones. Shop */
const BALL_FROM_DEG = 1.5;
/** Whether ball-ended centres are wanted. */
export const wantsBalls = (halfDeg: number): boolean => halfDeg > BALL_FROM_DEG;

/** What every hundredth of a millimetre of offset changes, on the diameter over a length, mm. @example perOffset(0.01, 20, 200) // 0.002 */
export const perOffset = (offMm: number, lengthMm: number, pivots: number): number => (2 * offMm * lengthMm) / pivots;
