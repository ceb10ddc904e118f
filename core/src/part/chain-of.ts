import type { Rational } from '../quantity/index.ts';
import { type ChainSize, type SolvedChain, solveChain } from './chain.ts';
import type { Drawing } from './drawing.ts';
import type { Reader } from './read.ts';
import { PART, type SurfaceId, surfaceName } from './surface-id.ts';

/** The planes of a drawing by name: boundary i of the outside is `o<i>`, the inner end of a hole's step `b<id>`. */
export interface DrawingChain extends SolvedChain {
  /** where a dimension that names an id that is gone would be: undefined */
  readonly plane: (name: SurfaceId) => string | undefined;
}

function planeOf(drawing: Drawing): (name: SurfaceId) => string | undefined {
  const outside = new Map(drawing.features.map((f, i) => [f.id, i]));
  const inside = new Set([...drawing.bores.left, ...drawing.bores.right].map((b) => b.id));
  return (name) => {
    const { of, end, what } = surfaceName(name);
    if (what === 'floor') return inside.has(of) ? `b${of}` : undefined;
    if (what !== 'face') return undefined;
    if (of === PART) return end === 'left' ? 'o0' : `o${drawing.features.length}`;
    const i = outside.get(of);
    return i === undefined ? undefined : `o${end === 'left' ? i : i + 1}`;
  };
}

/**
 * Whether the first of two planes lies nearer to the headstock, so that a size between them, typed as a plain length, is
 * counted the right way. Boundaries of the outside are in order; a hole's bottom is inside both ends; else as it was said.
 */
function leftFirst(from: string, to: string, last: string): boolean {
  if (from[0] === 'o' && to[0] === 'o') return Number(from.slice(1)) < Number(to.slice(1));
  return from !== last && to !== 'o0';
}

/**
 * Solves all sizes along Z of a drawing: lengths of features and holes, the whole, and sizes from datums.
 * @param lengths of the outside features as far as typed or following from their shape
 * @param depths of the steps of holes, by id
 */
export function solveDrawing(
  drawing: Drawing,
  lengths: readonly (Rational | undefined)[],
  depths: ReadonlyMap<string, Rational | undefined>,
  overall: Rational | undefined,
  reader: Reader,
): DrawingChain {
  const last = `o${drawing.features.length}`;
  const planes = [...drawing.features.map((_, i) => `o${i}`), last];
  const sizes: ChainSize[] = lengths.flatMap((mm, i) =>
    mm ? [{ id: `f${drawing.features[i]!.id}`, from: `o${i}`, to: `o${i + 1}`, mm }] : [],
  );
  for (const side of ['left', 'right'] as const) {
    let face = side === 'left' ? 'o0' : last;
    for (const { id } of drawing.bores[side]) {
      const inner = `b${id}`;
      const mm = depths.get(id);
      planes.push(inner);
      const [from, to] = side === 'left' ? [face, inner] : [inner, face];
      if (mm) sizes.push({ id: inner, from, to, mm });
      face = inner;
    }
  }
  if (overall) sizes.push({ id: 'overall', from: 'o0', to: last, mm: overall });
  const plane = planeOf(drawing);
  for (const [i, d] of drawing.dimensions.entries()) {
    const [from, to] = [plane(d.from), plane(d.to)];
    const mm = reader.size(d.size, ['dimensions', i, 'size']);
    if (from === undefined || to === undefined || from === to)
      reader.add({ code: 'dimension.noSuchPlane', path: ['dimensions', i, from === undefined ? 'from' : 'to'] });
    else if (mm)
      sizes.push({ id: `d${d.id}`, ...(leftFirst(from, to, last) ? { from, to } : { from: to, to: from }), mm });
  }
  return { ...solveChain(planes, sizes, 'o0'), plane };
}
