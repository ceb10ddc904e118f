import { type Contour, edgesOf } from './contour.ts';
import { type Circle, circlesOf, fromLattice, LATTICE_MM, toLattice } from './lattice.ts';
import { inflated, intersection, union } from './polygons.ts';

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
  const whole = union([...upper, ...lower]);
  const grown = inflated(whole, byMm / LATTICE_MM);
  const far = 1e9;
  const above = [
    { x: -far, y: 0 },
    { x: far, y: 0 },
    { x: far, y: far },
    { x: -far, y: far },
  ];
  return fromLattice(intersection(grown, [above]), offsetCircles(contour, byMm));
}
