import type { Contour } from './contour.ts';
import type { Corner } from './corner.ts';
import { flatten } from './flatten.ts';
import { offset } from './offset.ts';
import { outsideOf, ringsAt } from './section.ts';

/** Places of a round nose's centre along a line, from its right end to its left one; how high the metal between them stands over it. */
export interface NoseSteps {
  readonly steps: readonly { readonly zMm: number; readonly rMm: number }[];
  readonly cuspMm: number;
  /** how far from either end of the line the nose does not touch it, in a corner that it does not go into, mm along Z */
  readonly leftMm: number;
  readonly rightMm: number;
}

/** A point of the line, the direction out of the metal, and the nose's centre where it touches there. */
interface Touch {
  readonly z: number;
  readonly r: number;
  readonly nz: number;
  readonly nr: number;
  readonly cz: number;
  readonly cr: number;
}

/** Points of a line are so far apart at the least, mm, and so many of them on all of it; how closely arcs are followed, and how far a nose may stand in what stays, mm. */
const APART_MM = 0.04;
const POINTS = 600;
const FOLLOWED_MM = 0.0002;
const TOUCHES_MM = 0.002;

function touchesOf(line: readonly Corner[], noseMm: number): Touch[] {
  const points = flatten(line, FOLLOWED_MM);
  const wholeMm = points.reduce(
    (sum, [z, r], i) => sum + Math.hypot(z - points[Math.max(0, i - 1)]![0], r - points[Math.max(0, i - 1)]![1]),
    0,
  );
  const apartMm = Math.max(APART_MM, wholeMm / POINTS);
  const touches: Touch[] = [];
  for (let i = 1; i < points.length; i++) {
    const [[z1, r1], [z2, r2]] = [points[i - 1]!, points[i]!];
    const long = Math.hypot(z2 - z1, r2 - r1);
    if (long < 1e-9) continue;
    const [nz, nr] = [-(r2 - r1) / long, (z2 - z1) / long];
    const count = Math.max(1, Math.ceil(long / apartMm));
    for (let k = i === 1 ? 0 : 1; k <= count; k++) {
      const [z, r] = [z1 + ((z2 - z1) * k) / count, r1 + ((r2 - r1) * k) / count];
      touches.push({ z, r, nz, nr, cz: z + nz * noseMm, cr: r + nr * noseMm });
    }
  }
  return touches;
}

/** How far over a point a nose at a place leaves metal, out along the point's own direction, mm. */
function leftOver({ z, r, nz, nr }: Touch, { cz, cr }: Touch, noseMm: number): number {
  const [dz, dr] = [cz - z, cr - r];
  const along = nz * dz + nr * dr;
  const under = along ** 2 - dz ** 2 - dr ** 2 + noseMm ** 2;
  return under < 0 ? Number.POSITIVE_INFINITY : Math.max(0, along - Math.sqrt(under));
}

/** Equal steps along the way of the centre, the first and the last place with them. */
function chosen(touches: readonly Touch[], count: number): readonly number[] {
  const along = [0];
  for (let i = 1; i < touches.length; i++) {
    const [a, b] = [touches[i - 1]!, touches[i]!];
    along.push(along[i - 1]! + Math.hypot(b.cz - a.cz, b.cr - a.cr));
  }
  const whole = along.at(-1)!;
  let at = 0;
  return Array.from({ length: count }, (_, k) => {
    while (at < along.length - 1 && along[at]! < (whole * k) / (count - 1) - 1e-9) at++;
    return at;
  });
}

function cuspOf(touches: readonly Touch[], places: readonly number[], noseMm: number): number {
  let most = 0;
  for (let k = 1; k < places.length; k++) {
    const [from, to] = [places[k - 1]!, places[k]!];
    for (let i = from + 1; i < to; i++) {
      const p = touches[i]!;
      most = Math.max(most, Math.min(leftOver(p, touches[from]!, noseMm), leftOver(p, touches[to]!, noseMm)));
    }
  }
  return most;
}

/**
 * The fewest equal steps of a round nose along a line of an outline, which goes into nothing that stays and comes to every place from
 * outside, straight down.
 * @param contour all that stays @param line from left to right, part of its outside
 * @param most steps that a hand winds, and how high a cusp may stand
 * @returns undefined where the nose does not go along the line, but for corners at its ends, or no such number of steps does
 * @source FIELD 6: contours by hand, a table of X/Z steps with the remaining cusp
 */
export function noseSteps(
  contour: Contour,
  line: readonly Corner[],
  noseMm: number,
  most: { readonly steps: number; readonly cuspMm: number },
): NoseSteps | undefined {
  if (noseMm <= 0) return undefined;
  const grown = offset(contour, noseMm);
  const all = touchesOf(line, noseMm);
  const highAt = (z: number): number => outsideOf(ringsAt(grown, z, 'after'));
  // beside a steep wall a little along is much across
  const free = ({ cz, cr }: Touch): boolean =>
    [0, -TOUCHES_MM, TOUCHES_MM].some((by) => cr >= highAt(cz + by) - TOUCHES_MM);
  const first = all.findIndex(free);
  const last = all.findLastIndex(free);
  const touches = all.slice(first, last + 1);
  if (first < 0 || touches.length < 2 || !touches.every(free)) return undefined;
  const tried = (count: number) => {
    const places = chosen(touches, count);
    return { places, cuspMm: cuspOf(touches, places, noseMm) };
  };
  if (tried(most.steps).cuspMm > most.cuspMm) return undefined;
  let [low, high] = [2, most.steps];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (tried(middle).cuspMm <= most.cuspMm) high = middle;
    else low = middle + 1;
  }
  const { places, cuspMm } = tried(high);
  return {
    steps: places.map((i) => ({ zMm: touches[i]!.cz, rMm: touches[i]!.cr })).toReversed(),
    cuspMm,
    leftMm: touches[0]!.z - all[0]!.z,
    rightMm: all.at(-1)!.z - touches.at(-1)!.z,
  };
}
