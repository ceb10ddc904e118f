import type { Corner } from './corner.ts';

/** A closed outline: from its last corner it goes back to its first. Metal is on its left. */
export type Loop = readonly Corner[];

/**
 * A half-section: what of the half-plane Z × radius is metal, as closed outlines of lines and arcs. Outlines around metal turn left,
 * those around a hollow inside it turn right; two that do not touch are two pieces. Millimetres; no corner lies below the axis.
 */
export interface Contour {
  readonly loops: readonly Loop[];
}

/** No metal. */
export const NOTHING: Contour = { loops: [] };

/** The outline gone through the other way, arcs and all. */
export function reversed(loop: Loop): Loop {
  const { length } = loop;
  return loop.map((_, i) => {
    const corner = loop[length - 1 - i]!;
    // the arc that left a corner now arrives at it: each takes the one of the corner that was before it
    const bulge = loop[(2 * length - 2 - i) % length]!.bulge;
    return { zMm: corner.zMm, rMm: corner.rMm, ...(bulge ? { bulge: -bulge } : {}) };
  });
}

/** A rectangle of the half-section: a disc, or a ring where `innerMm` is not 0. Radii, mm. */
export function ring(zFromMm: number, zToMm: number, innerMm: number, outerMm: number): Contour {
  if (!(zToMm > zFromMm && outerMm > innerMm)) return NOTHING;
  return {
    loops: [
      [
        { zMm: zFromMm, rMm: innerMm },
        { zMm: zToMm, rMm: innerMm },
        { zMm: zToMm, rMm: outerMm },
        { zMm: zFromMm, rMm: outerMm },
      ],
    ],
  };
}

/** The contour turned end for end about the middle of a length. */
export function mirrored(contour: Contour, lengthMm: number): Contour {
  // mirrored it turns the other way, so it is also gone through the other way; an arc's turn is then as before
  return {
    loops: contour.loops.map((loop) => {
      const there = loop.map((c) => ({ ...c, zMm: lengthMm - c.zMm, ...(c.bulge ? { bulge: -c.bulge } : {}) }));
      return reversed(there);
    }),
  };
}

/** The contour moved along the axis. */
export function moved(contour: Contour, byMm: number): Contour {
  return { loops: contour.loops.map((loop) => loop.map((c) => ({ ...c, zMm: c.zMm + byMm }))) };
}

/** The edges of a contour, each from one corner to the next. */
export function* edgesOf(contour: Contour): Generator<readonly [Corner, Corner]> {
  for (const loop of contour.loops)
    for (const [i, corner] of loop.entries()) yield [corner, loop[(i + 1) % loop.length]!] as const;
}
