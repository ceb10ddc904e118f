/** Preferred numbers of the tenth-root series. ISO 3 */
const R10 = [1, 1.25, 1.6, 2, 2.5, 3.15, 4, 5, 6.3, 8] as const;
/** Lengths at which the next smaller tolerance begins, mm. ISO 1947 */
const FROM_MM = [6, 10, 16, 25, 40, 63, 100, 160, 250, 400, 630] as const;
/** AT1 on the shortest cones is the seventeenth of these: 50 µrad. */
const FIRST = 17;

/** A cone's angle tolerance. */
export interface AngleGrade {
  /** of the cone's angle, microradians */
  readonly microradians: number;
  /** the same as a difference of diameter over the cone's length, µm */
  readonly overLengthUm: number;
}

/**
 * Angle tolerance of a cone of grade AT1 to AT12.
 * @param lengthMm of the cone's generator or, of slender ones, its length; above 6 up to 630
 * @returns undefined beyond the table
 * @source ISO 1947: each grade 1.6 times the one before, each range of length 0.8 times; AT_D = AT_α · L
 * @example angleGrade(7, 80) // { microradians: 250, overLengthUm: 20 }
 */
export function angleGrade(grade: number, lengthMm: number): AngleGrade | undefined {
  const range = FROM_MM.findLastIndex((mm) => lengthMm > mm);
  if (!Number.isInteger(grade) || grade < 1 || grade > 12 || range < 0 || range > FROM_MM.length - 2) return undefined;
  const step = FIRST + 2 * (grade - 1) - range;
  const microradians = Number((R10[((step % 10) + 10) % 10]! * 10 ** Math.floor(step / 10)).toPrecision(3));
  return { microradians, overLengthUm: (microradians * lengthMm) / 1000 };
}

/** The finest grade that so much of an angle is within, AT1 to AT12; undefined where it is in none. @param offRad of the cone's angle */
export function gradeWithin(offRad: number, lengthMm: number): number | undefined {
  for (let grade = 1; grade <= 12; grade++) {
    const found = angleGrade(grade, lengthMm);
    if (found && 2 * Math.abs(offRad) * 1e6 <= found.microradians + 1e-9) return grade;
  }
  return undefined;
}

/** What a diameter's limits that hold all along a cone leave open. */
export interface ConeZone {
  /** the cone's angle may be off by so much either way, microradians, and the coarsest grade that is no wider */
  readonly microradians: number;
  readonly grade?: number;
  /** a gauge stands within so much of its line either way, mm */
  readonly gaugeMm: number;
}
/**
 * What one width of limits all along a cone of a basic taper lets its angle and its place be.
 * @param zoneMm of the diameter, from limit to limit
 * @source ISO 3040, basic taper method: the zone is the same at every section, so its ends may lie at opposite limits
 * @example coneZone(0.04, 80, 0.05).microradians // 500
 */
export function coneZone(zoneMm: number, lengthMm: number, perLength: number): ConeZone {
  const microradians = Number(((zoneMm / lengthMm) * 1e6).toFixed(3));
  const grades = Array.from({ length: 12 }, (_, i) => 12 - i);
  const grade = grades.find((at) => (angleGrade(at, lengthMm)?.microradians ?? Infinity) <= 2 * microradians + 1e-9);
  return { microradians, ...(grade === undefined ? {} : { grade }), gaugeMm: zoneMm / 2 / Math.abs(perLength) };
}
