/** A diameter read at a station along a cone; mm, the doubt a half-width at k = 2. */
export interface Station {
  readonly zMm: number;
  readonly diameterMm: number;
  readonly uncertaintyMm: number;
}
/** The cone that stations tell. */
export interface FittedCone {
  /** change of diameter per length, positive where it grows with z */
  readonly perLength: number;
  /** half-width of it at k = 2 */
  readonly doubtPerLength: number;
  readonly diameterAtMm: (zMm: number) => number;
  /** what each reading is off the line, mm on the diameter */
  readonly offMm: readonly number[];
  /** from the hollowest to the fullest place, mm on the diameter */
  readonly straightMm: number;
  /** place in the list of a reading that the others do not bear out */
  readonly doubtful?: number;
}

/** A reading is doubted where the others' line is so many of its own doubts away. */
const DOUBTED = 2;

interface Line {
  readonly slope: number;
  readonly at: (zMm: number) => number;
  readonly spread: number;
}
function lineOf(stations: readonly Station[]): Line {
  const weights = stations.map((s) => 1 / Math.max(1e-6, s.uncertaintyMm) ** 2);
  const all = weights.reduce((a, b) => a + b, 0);
  const mean = (of: (s: Station) => number): number =>
    stations.reduce((sum, s, i) => sum + weights[i]! * of(s), 0) / all;
  const [z, d] = [mean((s) => s.zMm), mean((s) => s.diameterMm)];
  const spread = stations.reduce((sum, s, i) => sum + weights[i]! * (s.zMm - z) ** 2, 0);
  const slope = stations.reduce((sum, s, i) => sum + weights[i]! * (s.zMm - z) * (s.diameterMm - d), 0) / spread;
  return { slope, at: (zMm) => d + slope * (zMm - z), spread };
}

/**
 * The straight line through diameters at stations, each weighed by its doubt.
 * @returns undefined for fewer than two different places
 * @source least squares; of the slope the larger of what the gauge and what the scatter says, at k = 2
 */
export function fitCone(stations: readonly Station[]): FittedCone | undefined {
  if (new Set(stations.map((s) => s.zMm)).size < 2) return undefined;
  const { slope, at, spread } = lineOf(stations);
  const offMm = stations.map((s) => s.diameterMm - at(s.zMm));
  // readings scatter by as many of their own doubts
  const free = stations.length - 2;
  const chi = free > 0 ? stations.reduce((sum, s, i) => sum + (2 * (offMm[i]! / s.uncertaintyMm)) ** 2, 0) / free : 1;
  const doubtful = doubtfulOf(stations);
  return {
    perLength: slope,
    doubtPerLength: Math.sqrt(Math.max(1, chi) / spread),
    diameterAtMm: at,
    offMm,
    straightMm: stations.length < 3 ? 0 : Math.max(...offMm) - Math.min(...offMm),
    ...(doubtful === undefined ? {} : { doubtful }),
  };
}

/** The one reading without which the others lie in a line, and which lies far off that. */
function doubtfulOf(stations: readonly Station[]): number | undefined {
  if (stations.length < 4) return undefined;
  let worst: { at: number; share: number } | undefined;
  for (const [i, s] of stations.entries()) {
    const others = stations.toSpliced(i, 1);
    if (new Set(others.map((o) => o.zMm)).size < 2) continue;
    const { at } = lineOf(others);
    const inLine = others.every((o) => Math.abs(o.diameterMm - at(o.zMm)) <= o.uncertaintyMm * DOUBTED);
    const share = Math.abs(s.diameterMm - at(s.zMm)) / s.uncertaintyMm;
    if (inLine && share > 2 * DOUBTED && share > (worst?.share ?? 0)) worst = { at: i, share };
  }
  return worst?.at;
}
