import { PLACE_MM } from '../quantity/index.ts';
import type { Point } from './clear.ts';

/**
 * Lines at 45° over an area with holes in it: inside an odd number of its closed outlines.
 * @param outlines closed by their last point to their first
 * @param apart distance of the lines, > 0, in the outlines' unit
 * @returns pieces of lines
 */
export function hatchLines(
  outlines: readonly (readonly Point[])[],
  apart: number,
): readonly (readonly [Point, Point])[] {
  // lines x + y = c, found along the turned axis d = x − y
  const edges = outlines.flatMap((points) =>
    points.map(([x, y], i) => {
      const [x2, y2] = points[(i + 1) % points.length]!;
      return { c1: x + y, d1: x - y, c2: x2 + y2, d2: x2 - y2 };
    }),
  );
  if (edges.length === 0) return [];
  const step = apart * Math.SQRT2;
  const least = Math.min(...edges.map((e) => e.c1));
  const most = Math.max(...edges.map((e) => e.c1));
  const lines: [Point, Point][] = [];
  for (let c = Math.ceil(least / step + PLACE_MM) * step; c < most; c += step) {
    const hits = edges
      .filter((e) => e.c1 <= c !== e.c2 <= c)
      .map((e) => e.d1 + ((e.d2 - e.d1) * (c - e.c1)) / (e.c2 - e.c1))
      .sort((a, b) => a - b);
    for (let i = 1; i < hits.length; i += 2) {
      const [a, b] = [hits[i - 1]!, hits[i]!];
      if (b - a > PLACE_MM)
        lines.push([
          [(c + a) / 2, (c - a) / 2],
          [(c + b) / 2, (c - b) / 2],
        ]);
    }
  }
  return lines;
}
