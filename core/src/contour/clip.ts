import { Clipper, FillRule } from 'clipper2-ts';
import type { Contour } from './contour.ts';
import { circlesOf, fromLattice, toLattice } from './lattice.ts';

/** What is left of a contour when others are cut away from it. */
export function cutAway(from: Contour, ...cuts: readonly Contour[]): Contour {
  const left = Clipper.difference(toLattice(from), cuts.flatMap(toLattice), FillRule.NonZero);
  return fromLattice(left, circlesOf(from, ...cuts));
}

/** What two contours have in common. */
export function intersect(one: Contour, other: Contour): Contour {
  const both = Clipper.intersect(toLattice(one), toLattice(other), FillRule.NonZero);
  return fromLattice(both, circlesOf(one, other));
}

/** Contours put together; where they overlap, once. */
export function unite(...contours: readonly Contour[]): Contour {
  const all = Clipper.union(contours.flatMap(toLattice), FillRule.NonZero);
  return fromLattice(all, circlesOf(...contours));
}
