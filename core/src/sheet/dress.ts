import { type Shape, textWidth } from '../picture/index.ts';
import { type Box, clearOf, type Point } from './clear.ts';
import { lineShapes, lineWidth } from './signs.ts';
import type { LabelLine, SizeAlong, SizeLabel } from './sizes.ts';
import { rowsFor, spread } from './spread.ts';

/** Room on paper, mm: between the part and the first words, between a line and a text, and around a text. */
const FIRST = 6;
const AROUND = 0.7;
const ARROW = 2.6;

export interface Side {
  /** −1 above the part, 1 below it */
  readonly way: -1 | 1;
  /** y of the part's outermost line on that side */
  readonly edgeY: number;
  readonly labels: readonly SizeLabel[];
  readonly lengths: readonly SizeAlong[];
}
export interface Dressed {
  readonly shapes: readonly Shape[];
  /** boxes of all texts */
  readonly boxes: readonly Box[];
  /** how far it reaches from the part's edge, mm */
  readonly reach: number;
}
interface Paper {
  readonly at: (zMm: number, rMm: number) => Point;
  readonly size: number;
  /** x that nothing may pass */
  readonly from: number;
  readonly to: number;
  /** radius where a size along Z takes its lines from, by place */
  readonly radiusAt: (zMm: number, inside: boolean) => number;
}

interface Placed {
  readonly shapes: Shape[];
  readonly lines: (readonly [Point, Point])[];
  readonly boxes: Box[];
  readonly reach: number;
}

/** Words of labels beside one another, level where they fit, else read from the right; undefined where they fit neither way. */
function placeLabels(side: Side, paper: Paper): Placed | undefined {
  const { size, at } = paper;
  const { way, edgeY } = side;
  const sorted = side.labels.toSorted((a, b) => a.zMm - b.zMm);
  if (sorted.length === 0) return { shapes: [], lines: [], boxes: [], reach: 0 };
  const high = size * 1.35;
  const wide = (lines: readonly LabelLine[]): number => Math.max(...lines.map((l) => lineWidth(l, size)));
  for (const upright of [false, true]) {
    const wishes = sorted.map((l) => ({
      want: at(l.zMm, 0)[0],
      half: (upright ? l.lines.length * high : wide(l.lines)) / 2 + (upright ? AROUND : 1.4),
    }));
    const middles = spread(wishes, paper.from, paper.to);
    if (!middles) continue;
    const near = edgeY + way * FIRST;
    const out: Placed = { shapes: [], lines: [], boxes: [], reach: 0 };
    let reach = 0;
    for (const [i, label] of sorted.entries()) {
      const [x, rows] = [middles[i]!, label.lines.length];
      const [w, h] = [wide(label.lines), rows * high];
      const [bw, bh] = upright ? [h, w] : [w, h];
      const top = way < 0 ? near - bh : near;
      out.boxes.push([x - bw / 2 - 0.3, top - 0.2, x + bw / 2 + 0.3, top + bh + 0.2]);
      reach = Math.max(reach, FIRST + bh);
      // turned texts begin at the bottom of their box and are read upwards
      const turn = (p: Point): Point =>
        upright ? [x - bw / 2 + p[1], top + bh - p[0]] : [x - bw / 2 + p[0], top + p[1]];
      for (const [k, line] of label.lines.entries()) {
        const indent = upright ? 0 : (w - lineWidth(line, size)) / 2;
        out.shapes.push(...lineShapes(line, size, [indent, (k + 1) * high - size * 0.38], turn, upright, label.id));
      }
      const foot = at(label.zMm, -way * label.rMm);
      const knee: Point = [foot[0], edgeY + way * FIRST * 0.35];
      out.lines.push([foot, knee], [knee, [x, near - way * 0.5]]);
      out.shapes.push(arrow(foot, [foot[0], foot[1] + way]));
    }
    return { ...out, reach };
  }
  return undefined;
}

/** A filled arrowhead with its tip at a place, coming from a direction. */
function arrow(tip: Point, from: Point): Shape {
  const [dx, dy] = [from[0] - tip[0], from[1] - tip[1]];
  const long = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [dx / long, dy / long];
  const half = ARROW / 6;
  return {
    ...{ kind: 'polygon', role: 'arrow' },
    points: [
      tip,
      [tip[0] + ux * ARROW - uy * half, tip[1] + uy * ARROW + ux * half],
      [tip[0] + ux * ARROW + uy * half, tip[1] + uy * ARROW - ux * half],
    ],
  };
}

/** Sizes along Z in rows away from the part, shortest nearest, the whole outermost. */
function placeLengths(side: Side, paper: Paper, startY: number): Placed {
  const { at, size } = paper;
  const { way } = side;
  const pitch = size * 1.3 + 1.6;
  const rows = side.lengths
    .map((s) => {
      const [a, b] = [at(s.fromMm, 0)[0], at(s.toMm, 0)[0]];
      const text = textWidth(s.text, size);
      const fits = b - a >= text + 2 * ARROW + 1.5;
      // a text without room stands beside its arrows, on the side where there is paper
      const right = b + ARROW * 1.8 + text + 1 <= paper.to;
      const textX = fits ? (a + b) / 2 : right ? b + ARROW * 1.8 + text / 2 : a - ARROW * 1.8 - text / 2;
      // neighbours in a chain share their line; a text beside its arrows keeps off others
      const from = fits ? a : Math.min(a - ARROW * 1.8, textX - text / 2) - 0.8;
      const to = fits ? b : Math.max(b + ARROW * 1.8, textX + text / 2) + 0.8;
      return { s, a, b, text, fits, textX, room: [from, to] as const };
    })
    .sort((m, n) => Number(m.s.id === 'part') - Number(n.s.id === 'part') || m.b - m.a - (n.b - n.a));
  const chosen = rowsFor(rows.map((r) => r.room));
  const last = Math.max(-1, ...chosen);
  const out: Placed = { shapes: [], lines: [], boxes: [], reach: 0 };
  for (const [i, { s, a, b, text, fits, textX }] of rows.entries()) {
    const row = s.id === 'part' ? last : chosen[i]!;
    const y = startY + way * (size * 0.6 + 2.6 + row * pitch);
    for (const [x, z] of [
      [a, s.fromMm],
      [b, s.toMm],
    ] as const) {
      const foot = at(z, -way * paper.radiusAt(z, s.inside))[1] + way * 1;
      out.lines.push([
        [x, foot],
        [x, y + way * 1.2],
      ]);
    }
    if (fits)
      out.lines.push([
        [a, y],
        [b, y],
      ]);
    else {
      const [outerA, outerB] = [
        Math.min(a - ARROW * 1.8, textX < a ? textX - text / 2 : a),
        Math.max(b + ARROW * 1.8, textX > b ? textX + text / 2 : b),
      ];
      out.lines.push([
        [outerA, y],
        [outerB, y],
      ]);
    }
    out.shapes.push(arrow([a, y], [fits ? b : a - 1, y]), arrow([b, y], [fits ? a : b + 1, y]));
    const base = y - 0.8;
    out.shapes.push({ kind: 'text', role: 'label', at: [textX, base], text: s.text, anchor: 'middle', size, id: s.id });
    out.boxes.push([textX - text / 2 - 0.3, base - size * 0.78, textX + text / 2 + 0.3, base + 0.45]);
  }
  return { ...out, reach: last < 0 ? 0 : size * 0.6 + 2.6 + last * pitch + size + 1.6 };
}

/**
 * Places all sizes on one side of a part: labels with leaders nearest, rows of lengths beyond them. No text lies over another,
 * and lines stop before a text that they would run through.
 * @returns undefined where the labels do not fit on the paper at this size
 */
export function dress(side: Side, paper: Paper): Dressed | undefined {
  const labels = placeLabels(side, paper);
  if (!labels) return undefined;
  const lengths = placeLengths(side, paper, side.edgeY + side.way * Math.max(FIRST, labels.reach));
  const boxes = [...labels.boxes, ...lengths.boxes];
  const lines = [...labels.lines, ...lengths.lines].flatMap(([a, b]) => clearOf(a, b, boxes));
  return {
    shapes: [
      ...lines.map((points): Shape => ({ kind: 'polyline', role: 'dimension', points })),
      ...labels.shapes,
      ...lengths.shapes,
    ],
    boxes,
    reach: Math.max(FIRST, labels.reach) + lengths.reach,
  };
}
