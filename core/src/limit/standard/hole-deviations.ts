// source: ISO 286-1, fundamental deviations: the letters that follow no rule; values in µm by main nominal range "over … up to and
// including" in mm; provenance: recalled
export const MAIN_RANGES_MM = [3, 6, 10, 18, 30, 50, 80, 120, 180, 250, 315, 400, 500] as const;
/** Upper deviation ES of J holes, by grade. */
export const holeJUpper: Readonly<Record<number, readonly number[]>> = {
  6: [2, 5, 5, 6, 8, 10, 13, 16, 18, 22, 25, 29, 33],
  7: [4, 6, 8, 10, 12, 14, 18, 22, 26, 30, 36, 39, 43],
  8: [6, 10, 12, 15, 20, 24, 28, 34, 41, 47, 55, 60, 66],
};
/** Lower deviation ei of j shafts, by grade; without its minus sign. */
export const shaftJLower: Readonly<Record<number, readonly number[]>> = {
  5: [2, 2, 2, 3, 4, 5, 7, 9, 11, 13, 16, 18, 20],
  6: [2, 2, 2, 3, 4, 5, 7, 9, 11, 13, 16, 18, 20],
  7: [4, 4, 5, 6, 8, 10, 12, 15, 18, 21, 26, 28, 32],
};
/** Δ for IT5, which needs the grade below the table's finest: IT5 − IT4. */
export const deltaIt5Um = [0, 1, 2, 3, 3, 4, 5, 5, 6, 6, 7, 7, 7] as const;
