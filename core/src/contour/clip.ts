import type { Contour } from './contour.ts';
import { circlesOf, fromLattice, toLattice } from './lattice.ts';
import { difference, intersection, union } from './polygons.ts';

/** What is left of a contour when others are cut away from it. */
export function cutAway(from: Contour, ...cuts: readonly Contour[]): Contour {
  const left = difference(toLattice(from), cuts.flatMap(toLattice));
  return fromLattice(left, circlesOf(from, ...cuts));
}

/** What two contours have in common. */
export function intersect(one: Contour, other: Contour): Contour {
  const both = intersection(toLattice(one), toLattice(other));
  return fromLattice(both, circlesOf(one, other));
}

/** Contours put together; where they overlap, once. */
export function unite(...contours: readonly Contour[]): Contour {
  const all = union(contours.flatMap(toLattice));
  return fromLattice(all, circlesOf(...contours));
}
