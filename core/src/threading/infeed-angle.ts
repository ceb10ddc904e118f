/** A flank is fed along by so much less than its own angle, so that the other is just shaved, degrees. FIELD 7: 29.5 of 30, 14.5 of 15 */
const LESS_DEG = 0.5;
/** Flanks as steep as this are fed straight: the compound would hardly move them along. */
const STEEP_DEG = 5;

/**
 * Angle of the compound from the cross-slide's line for a flank, degrees; 0 where it is fed straight.
 * @param lessDeg than the flank; never more, or the leading flank would stay in steps
 * @example usualCompoundDeg(30) // 29.5
 */
export const usualCompoundDeg = (leadingFlankDeg: number, lessDeg = LESS_DEG): number =>
  leadingFlankDeg < STEEP_DEG ? 0 : Math.max(0, leadingFlankDeg - lessDeg);
