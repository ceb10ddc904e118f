import { ROUNDING } from '../quantity/index.ts';
import { arcOf, type Corner } from './corner.ts';

/** Most pieces that one arc is made into. */
const MOST_PIECES = 4096;

/**
 * Straight lines that follow an outline.
 * @param toleranceMm most that a line may lie off its arc, > 0
 * @returns points [zPart, radius]; corners without arcs are passed on as they are
 */
export function flatten(corners: readonly Corner[], toleranceMm: number): readonly (readonly [number, number])[] {
  const points: [number, number][] = [];
  for (const [i, corner] of corners.entries()) {
    points.push([corner.zMm, corner.rMm]);
    const next = corners[i + 1];
    if (!corner.bulge || !next) continue;
    const { radius, centreZ, centreR, from, sweep } = arcOf(corner, next, corner.bulge);
    const step = 2 * Math.acos(Math.max(0, 1 - Math.min(toleranceMm, radius) / radius));
    const count = Math.min(MOST_PIECES, Math.max(2, Math.ceil(Math.abs(sweep) / Math.max(step, 0.001))));
    for (let k = 1; k < count; k++) {
      const angle = from + (sweep * k) / count;
      points.push([centreZ + radius * Math.cos(angle), centreR + radius * Math.sin(angle)]);
    }
  }
  return points;
}

/** Largest radius on an outline, arcs at their fullest. */
export function largestRadius(corners: readonly Corner[]): number {
  return Math.max(0, ...flatten(corners, 0.001).map(([, r]) => r));
}

/** Smallest and largest radius of an outline at a place along Z; undefined where it is not. */
export function radiiAt(
  points: readonly (readonly [number, number])[],
  zMm: number,
): { readonly least: number; readonly most: number } | undefined {
  let least = Number.POSITIVE_INFINITY;
  let most = Number.NEGATIVE_INFINITY;
  for (let i = 1; i < points.length; i++) {
    const [[z1, r1], [z2, r2]] = [points[i - 1]!, points[i]!];
    if (zMm < Math.min(z1, z2) - ROUNDING || zMm > Math.max(z1, z2) + ROUNDING) continue;
    const share = Math.abs(z2 - z1) < 1e-12 ? undefined : (zMm - z1) / (z2 - z1);
    for (const r of share === undefined ? [r1, r2] : [r1 + (r2 - r1) * share]) {
      least = Math.min(least, r);
      most = Math.max(most, r);
    }
  }
  return most < least ? undefined : { least, most };
}
