/** Lengths closer than this are the same length to any tool or gauge of a workshop (a hundredth of a micrometre). */
export const SAME_LENGTH_MM = 1e-5;

/** Relative slack for comparing computed ratios; far above rounding, far below any shop figure. */
export const SAME_RATIO = 1e-9;

/** Longest text of a length that is read at all; typed lengths are a dozen characters. */
export const LONGEST_LENGTH_TEXT = 64;

/** Longest length that a manual lathe's drawing can hold, 100 m: beyond it the text is a slip. */
export const LONGEST_LENGTH_MM = 100_000;

/** What floating point leaves between figures that are equal; added where a comparison must not turn on it. */
export const ROUNDING = 1e-9;
/** Places along the work or across it that are nearer than this are one place, mm. */
export const PLACE_MM = 1e-6;
