import { type Corner, flatten } from '../contour/index.ts';
import {
  cutInto,
  faceGroovesOf,
  insideProfiles,
  insides,
  outsideProfile,
  outsides,
  type Resolved,
} from '../part/index.ts';
import {
  cornerLines,
  crossShapes,
  detailLines,
  faceShapes,
  type PathCorner,
  type Role,
  type Shape,
} from '../picture/index.ts';
import { radians } from '../quantity/index.ts';
import type { Point } from './clear.ts';
import { hatchLines } from './hatch.ts';

/** Distance of hatching lines on paper, mm. */
const HATCH_APART = 2.2;
/** Hatching follows arcs this closely on paper, mm. */
const HATCH_CLOSE = 0.02;
/** A line that turns less than this is smooth: no edge is seen there. */
const SMOOTH_DEG = 1;

type At = (zMm: number, rMm: number) => Point;

/** Direction in which an outline leaves (`end` false) or reaches (`end` true) a corner, radians. */
function direction(a: Corner, b: Corner, end: boolean): number {
  const chord = Math.atan2(b.rMm - a.rMm, b.zMm - a.zMm);
  return chord + (end ? 2 : -2) * Math.atan(a.bulge ?? 0);
}

/** Places where an outline has a corner that is seen as a line across the part, with its radius there. */
function edgesOf(profile: readonly Corner[]): readonly Corner[] {
  const most = new Map<number, Corner>();
  for (let i = 1; i < profile.length - 1; i++) {
    const [a, b, c] = [profile[i - 1]!, profile[i]!, profile[i + 1]!];
    const turn = Math.abs(Math.sin((direction(b, c, false) - direction(a, b, true)) / 2));
    if (turn < Math.sin(radians(SMOOTH_DEG / 2))) continue;
    const key = Math.round(b.zMm * 1e6);
    if ((most.get(key)?.rMm ?? 0) < b.rMm) most.set(key, b);
  }
  return [...most.values()];
}

const pathOf = (role: Role, corners: readonly Corner[], at: At, side: 1 | -1): Shape => ({
  ...{ kind: 'path', role, closed: false },
  corners: corners.map((c): PathCorner => {
    const [x, y] = at(c.zMm, side * c.rMm);
    // paper counts y downwards: above the centreline arcs turn the other way round
    return c.bulge ? { x, y, bulge: -side * c.bulge } : { x, y };
  }),
});

/**
 * A part from the side as drawings have it: outlines with true arcs, edges across, threads and knurls thin; below the
 * centreline cut open and hatched where it is hollow; the centreline dotted and dashed.
 * @param at maps zPart and radius (negative below the centreline) to paper
 */
export function frontView(resolved: Resolved, at: At): readonly Shape[] {
  const { part } = resolved;
  const outside = outsideProfile(part);
  if (outside.length === 0) return [];
  const hollow = insides(part).length > 0;
  const holes = insideProfiles(part);
  const shapes: Shape[] = [];
  if (hollow) {
    const below = (corners: readonly Corner[]): Point[] => flatten(corners, HATCH_CLOSE).map(([z, r]) => at(z, -r));
    const rings = faceGroovesOf(part).map(({ zFromMm, zToMm, innerMm, outerMm }) => [
      ...[at(zFromMm, -innerMm / 2), at(zToMm, -innerMm / 2), at(zToMm, -outerMm / 2), at(zFromMm, -outerMm / 2)],
    ]);
    const areas = [
      below(outside),
      ...holes.map((h) => [...below(h), at(h.at(-1)!.zMm, 0), at(h[0]!.zMm, 0)]),
      ...rings,
    ];
    for (const points of hatchLines(areas, HATCH_APART)) shapes.push({ kind: 'polyline', role: 'hatch', points });
  }
  const across = (c: Corner, from: number, to: number): Shape => ({
    ...{ kind: 'polyline', role: 'outline' },
    points: [at(c.zMm, from), at(c.zMm, to)],
  });
  for (const c of edgesOf(outside)) shapes.push(across(c, c.rMm, hollow ? 0 : -c.rMm));
  for (const c of holes.flatMap((h) => [h[0]!, ...edgesOf(h)])) shapes.push(across(c, 0, -c.rMm));
  shapes.push(pathOf('outline', outside, at, 1), pathOf('outline', outside, at, -1));
  for (const h of holes) shapes.push(pathOf('outline', h, at, -1));
  for (const f of outsides(part)) {
    shapes.push(...cornerLines(f, at));
    for (const d of cutInto(part, f.id)) {
      shapes.push(...detailLines(d, f, 1, at));
      if (!hollow) shapes.push(...detailLines(d, f, -1, at));
    }
  }
  for (const b of insides(part)) for (const d of cutInto(part, b.id)) shapes.push(...detailLines(d, b, -1, at));
  shapes.push(...faceShapes(part, at), ...crossShapes(part, at));
  const [left, right] = [at(0, 0), at(part.lengthMm, 0)];
  shapes.push({
    kind: 'polyline',
    role: 'centreline',
    points: [
      [left[0] - 4, left[1]],
      [right[0] + 4, right[1]],
    ],
  });
  return shapes;
}
