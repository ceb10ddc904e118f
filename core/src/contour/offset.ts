import { Clipper, EndType, FillRule, JoinType } from 'clipper2-ts';
import { type Contour, edgesOf } from './contour.ts';
import { type Circle, circlesOf, fromLattice, LATTICE_MM, toLattice } from './lattice.ts';

/** Circles that an offset outline follows: about each corner, and beside each arc. */
function offsetCircles(contour: Contour, byMm: number): readonly Circle[] {
  const about: Circle[] = [];
  for (const [{ zMm, rMm }] of edgesOf(contour))
    for (const sign of [1, -1]) about.push({ centreZMm: zMm, centreRMm: sign * rMm, radiusMm: Math.abs(byMm) });
  const beside = circlesOf(contour).flatMap((c) =>
    [c.radiusMm + byMm, c.radiusMm - byMm].filter((r) => r > LATTICE_MM).map((radiusMm) => ({ ...c, radiusMm })),
  );
  return [...beside, ...about];
}

/**
 * The contour grown on all sides, round its corners, or with a negative distance shrunk. The axis is no side: a solid bar stays solid.
 * @param byMm outwards, mm of radius and of length alike
 */
export function offset(contour: Contour, byMm: number): Contour {
  if (byMm === 0 || contour.loops.length === 0) return contour;
  const upper = toLattice(contour);
  // with what lies below the axis the axis itself is inside, and nothing is taken off it
  const lower = upper.map((path) => path.map(({ x, y }) => ({ x, y: -y })).reverse());
  const whole = Clipper.union([...upper, ...lower], FillRule.NonZero);
  const grown = Clipper.inflatePaths(whole, byMm / LATTICE_MM, JoinType.Round, EndType.Polygon, 2, 1);
  const far = 1e9;
  const above = [
    { x: -far, y: 0 },
    { x: far, y: 0 },
    { x: far, y: far },
    { x: -far, y: far },
  ];
  return fromLattice(Clipper.intersect(grown, [above], FillRule.NonZero), offsetCircles(contour, byMm));
}
