import { intersect } from './clip.ts';
import { type Contour, edgesOf } from './contour.ts';
import { flatten } from './flatten.ts';

/** How closely arcs are followed when distances are taken, mm. */
const FOLLOWED_MM = 0.001;

type Point = readonly [number, number];

function segments(contour: Contour): (readonly [Point, Point])[] {
  const list: (readonly [Point, Point])[] = [];
  for (const [a, b] of edgesOf(contour)) {
    const points = flatten([a, b], FOLLOWED_MM);
    for (let i = 1; i < points.length; i++) list.push([points[i - 1]!, points[i]!]);
  }
  return list;
}

function toSegment([z, r]: Point, [[z1, r1], [z2, r2]]: readonly [Point, Point]): number {
  const [dz, dr] = [z2 - z1, r2 - r1];
  const along = dz * dz + dr * dr;
  const share = along === 0 ? 0 : Math.min(1, Math.max(0, ((z - z1) * dz + (r - r1) * dr) / along));
  return Math.hypot(z - z1 - share * dz, r - r1 - share * dr);
}

/** How far two contours stand apart, mm; 0 where they overlap or touch; undefined where one of them is nothing. */
export function distanceMm(one: Contour, other: Contour): number | undefined {
  if (one.loops.length === 0 || other.loops.length === 0) return undefined;
  if (intersect(one, other).loops.length > 0) return 0;
  const [here, there] = [segments(one), segments(other)];
  let least = Number.POSITIVE_INFINITY;
  for (const a of here) for (const b of there) least = Math.min(least, toSegment(a[0], b), toSegment(b[0], a));
  return least;
}
