import type { GeometryKind } from '../part/index.ts';
import { circleCorners, type Shape, textWidth } from '../picture/index.ts';
import type { Point } from './clear.ts';
import type { Cell, LabelLine } from './sizes.ts';

/** Room in a frame's cell beside its words, as a share of the letters' size. */
const CELL_ROOM = 0.4;

const cellWidth = (cell: Cell, size: number): number =>
  'sign' in cell ? 1.3 * size : textWidth(cell.text, size) + 2 * CELL_ROOM * size;

/** Width of a label's line at a size of letters. */
export function lineWidth(line: LabelLine, size: number): number {
  return 'text' in line ? textWidth(line.text, size) : line.cells.reduce((sum, c) => sum + cellWidth(c, size), 0);
}

/**
 * The sign of a geometrical tolerance inside a square of one unit, as lines; circles by their radius.
 * @source ISO 1101, signs of runout, concentricity, squareness, parallelism; provenance: recalled
 */
const SIGNS: Readonly<
  Record<GeometryKind, { readonly lines: readonly (readonly Point[])[]; readonly rounds: readonly number[] }>
> = {
  runout: {
    lines: [
      [
        [0.15, 0.85],
        [0.85, 0.15],
      ],
      [
        [0.5, 0.2],
        [0.85, 0.15],
        [0.8, 0.5],
      ],
    ],
    rounds: [],
  },
  concentricity: { lines: [], rounds: [0.38, 0.2] },
  squareness: {
    lines: [
      [
        [0.12, 0.85],
        [0.88, 0.85],
      ],
      [
        [0.5, 0.85],
        [0.5, 0.12],
      ],
    ],
    rounds: [],
  },
  parallelism: {
    lines: [
      [
        [0.1, 0.9],
        [0.5, 0.1],
      ],
      [
        [0.5, 0.9],
        [0.9, 0.1],
      ],
    ],
    rounds: [],
  },
};

/**
 * Draws a line of a label with its left end at x and its letters' foot at y; `turn` maps that place to paper, for lines that
 * are read from the right.
 */
export function lineShapes(
  line: LabelLine,
  size: number,
  at: Point,
  turn: (p: Point) => Point,
  upright: boolean,
  id: string,
): Shape[] {
  const [x, y] = at;
  const text = (words: string, tx: number): Shape => ({
    ...{ kind: 'text', role: 'label', text: words, anchor: 'start', size, upright, id },
    at: turn([tx, y]),
  });
  if ('text' in line) return [text(line.text, x)];
  const shapes: Shape[] = [];
  const [top, foot] = [y - size * 0.95, y + size * 0.25];
  const box = (from: number, to: number): Shape => ({
    ...{ kind: 'polyline', role: 'dimension' },
    points: [turn([from, top]), turn([to, top]), turn([to, foot]), turn([from, foot]), turn([from, top])],
  });
  let left = x;
  for (const cell of line.cells) {
    const wide = cellWidth(cell, size);
    shapes.push(box(left, left + wide));
    if ('sign' in cell) {
      const [ox, oy] = [left + 0.15 * size, y - 0.85 * size];
      for (const points of SIGNS[cell.sign].lines)
        shapes.push({
          kind: 'polyline',
          role: 'dimension',
          points: points.map(([px, py]) => turn([ox + px * size, oy + py * size])),
        });
      for (const r of SIGNS[cell.sign].rounds) {
        const [cx, cy] = turn([ox + 0.5 * size, oy + 0.5 * size]);
        shapes.push({ kind: 'path', role: 'dimension', corners: circleCorners(cx, cy, r * size), closed: true });
      }
    } else shapes.push(text(cell.text, left + CELL_ROOM * size));
    left += wide;
  }
  return shapes;
}
