import { PLACE_MM, ROUNDING } from '../quantity/index.ts';
export type Point = readonly [number, number];
/** A box that lines keep out of: x, y of two corners, the lesser ones first. */
export type Box = readonly [number, number, number, number];

/** Share of a line, from and to, that lies inside a box; undefined where it misses it. */
function inside(
  [x1, y1]: Point,
  [x2, y2]: Point,
  [left, top, right, bottom]: Box,
): readonly [number, number] | undefined {
  let from = 0;
  let to = 1;
  const slabs = [
    [x2 - x1, left - x1, right - x1],
    [y2 - y1, top - y1, bottom - y1],
  ] as const;
  for (const [run, low, high] of slabs) {
    if (Math.abs(run) < 1e-12) {
      if (low > 0 || high < 0) return undefined;
      continue;
    }
    const [a, b] = run > 0 ? [low / run, high / run] : [high / run, low / run];
    from = Math.max(from, a);
    to = Math.min(to, b);
  }
  return from < to - ROUNDING ? [from, to] : undefined;
}

/** The pieces of a line that are left when it is taken away wherever it would run through a text. */
export function clearOf(a: Point, b: Point, boxes: readonly Box[]): readonly (readonly [Point, Point])[] {
  let pieces: (readonly [number, number])[] = [[0, 1]];
  for (const box of boxes) {
    const hit = inside(a, b, box);
    if (!hit) continue;
    pieces = pieces.flatMap(([from, to]) =>
      [[from, Math.min(to, hit[0])] as const, [Math.max(from, hit[1]), to] as const].filter(
        ([f, t]) => t - f > PLACE_MM,
      ),
    );
  }
  const at = (t: number): Point => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
  return pieces.map(([f, t]) => [at(f), at(t)]);
}

/** Whether two boxes share any area. */
export function overlap(a: Box, b: Box): boolean {
  return a[0] < b[2] - ROUNDING && b[0] < a[2] - ROUNDING && a[1] < b[3] - ROUNDING && b[1] < a[3] - ROUNDING;
}
