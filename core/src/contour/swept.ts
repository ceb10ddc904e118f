import type { Contour, Loop } from './contour.ts';
import type { Corner } from './corner.ts';

/** Twice the area that three corners turn about, left turns positive. */
const turns = (a: Corner, b: Corner, c: Corner): number =>
  (b.zMm - a.zMm) * (c.rMm - a.rMm) - (b.rMm - a.rMm) * (c.zMm - a.zMm);

/**
 * The smallest outline without a hollow round some corners; metal on its left.
 * @source Andrew's monotone chain
 */
export function hull(corners: readonly Corner[]): Loop {
  const sorted = corners.toSorted((a, b) => a.zMm - b.zMm || a.rMm - b.rMm);
  const chain = (points: readonly Corner[]): Corner[] => {
    const made: Corner[] = [];
    for (const p of points) {
      while (made.length > 1 && turns(made.at(-2)!, made.at(-1)!, p) <= 0) made.pop();
      made.push(p);
    }
    return made.slice(0, -1);
  };
  const [lower, upper] = [chain(sorted), chain(sorted.toReversed())];
  return [...lower, ...upper].map(({ zMm, rMm }) => ({ zMm, rMm }));
}

/** A loop moved to a place. */
const movedTo = (loop: Loop, { zMm, rMm }: Corner): Loop =>
  loop.map((c) => ({ ...c, zMm: c.zMm + zMm, rMm: c.rMm + rMm }));

/**
 * What shapes go through on their way from place to place, straight from one to the next; at a single place the shape itself.
 * @param shapes outlines without arcs about the point that is moved; where they are moved at all, without a hollow
 * @returns outlines that may overlap, to be cut away or put together; what passes the axis lies below it
 */
export function swept(shapes: readonly Loop[], path: readonly Corner[]): readonly Contour[] {
  const [first, ...others] = path;
  if (!first) return [];
  if (others.length === 0) return shapes.map((shape) => ({ loops: [movedTo(shape, first)] }));
  return shapes.flatMap((shape) =>
    others.map((to, i) => ({ loops: [hull([...movedTo(shape, path[i]!), ...movedTo(shape, to)])] })),
  );
}
