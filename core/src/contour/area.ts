import { type Contour, edgesOf } from './contour.ts';
import { arcOf, type Corner } from './corner.ts';

/** Area between a straight edge and the origin, and its moment about the axis; signed by its turn. */
function straight(a: Corner, b: Corner): readonly [number, number] {
  const cross = a.zMm * b.rMm - b.zMm * a.rMm;
  return [cross / 2, (cross * (a.rMm + b.rMm)) / 6];
}

/** Below this turn, radians, a segment's centroid is its arc to far more than a lattice step. */
const FLAT = 1e-3;

/** The same of the piece between an arc and its chord. */
function segment(a: Corner, b: Corner): readonly [number, number] {
  if (!a.bulge) return [0, 0];
  const { radius, centreR, from, sweep } = arcOf(a, b, a.bulge);
  const area = (radius ** 2 * (sweep - Math.sin(sweep))) / 2;
  const turn = Math.abs(sweep);
  // the centroid lies on the bisector
  const off = turn < FLAT ? radius : (4 * radius * Math.sin(turn / 2) ** 3) / (3 * (turn - Math.sin(turn)));
  return [area, area * (centreR + off * Math.sin(from + sweep / 2))];
}

function sums(contour: Contour): readonly [number, number] {
  let area = 0;
  let moment = 0;
  for (const [a, b] of edgesOf(contour))
    for (const [more, turned] of [straight(a, b), segment(a, b)]) {
      area += more;
      moment += turned;
    }
  return [area, moment];
}

/** Area of the half-section, mm². @example areaMm2(ring(0, 10, 2, 5)) // 30 */
export function areaMm2(contour: Contour): number {
  return sums(contour)[0];
}

/**
 * Volume of the metal that the half-section stands for, mm³.
 * @source Pappus: area × way of its centroid about the axis
 * @example Number(volumeMm3(ring(0, 10, 2, 5)).toFixed(3)) // 659.734
 */
export function volumeMm3(contour: Contour): number {
  return 2 * Math.PI * sums(contour)[1];
}

/** Length of all outlines, the axis included where metal reaches it, mm. @example outlineMm(ring(0, 10, 0, 5)) // 30 */
export function outlineMm(contour: Contour): number {
  let total = 0;
  for (const [a, b] of edgesOf(contour))
    total += a.bulge
      ? Math.abs(arcOf(a, b, a.bulge).sweep) * arcOf(a, b, a.bulge).radius
      : Math.hypot(b.zMm - a.zMm, b.rMm - a.rMm);
  return total;
}
