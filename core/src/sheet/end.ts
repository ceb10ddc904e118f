import { crossHoles, type Drawing, faceGroovesOf, flatsOf, keywaysOf, type Resolved } from '../part/index.ts';
import { endViewShapes, type Shape } from '../picture/index.ts';
import { radians } from '../quantity/index.ts';
import { type Box, clearOf, type Point } from './clear.ts';
import { lineWidth } from './signs.ts';
import { spread } from './spread.ts';

/** Words for what an end view shows. */
export interface EndWords {
  /** by id of a hole or flat; a text may have several lines */
  readonly texts: Readonly<Record<string, string>>;
}
export interface EndSheet {
  readonly shapes: readonly Shape[];
  readonly boxes: readonly Box[];
}
/** Words stand so far beside the view, clear of its centrelines, mm. */
const AWAY = 8.5;
/** Roles that paint areas on screens; on paper there are lines only. */
const PAINTED = new Set(['body', 'void']);

/** Whether there is anything that only a view along the axis can tell. */
export function needsEndView({ part }: Resolved): boolean {
  return [...faceGroovesOf(part), ...crossHoles(part), ...flatsOf(part), ...keywaysOf(part), ...part.notes].length > 0;
}

/** Width of the words beside an end view at a size of letters. */
export function endTextWidth(drawing: Drawing, words: EndWords, size: number): number {
  const texts = [...Object.values(words.texts), ...drawing.endView.notes.map((n) => n.text)];
  return Math.max(0, ...texts.flatMap((text) => text.split('\n')).map((text) => lineWidth({ text }, size)));
}

/**
 * The view along the axis with its words in a column beside it, in the order of what they belong to.
 * @returns undefined where the words do not fit one over the other
 */
export function endSheet(
  resolved: Resolved,
  words: EndWords,
  scale: number,
  middle: Point,
  size: number,
  from: number,
  to: number,
): EndSheet | undefined {
  const { part } = resolved;
  const r = (part.largestMm / 2) * scale;
  const at = (mm: number, deg: number): Point => [
    middle[0] + mm * scale * Math.cos(radians(deg)),
    middle[1] - mm * scale * Math.sin(radians(deg)),
  ];
  /** the one of several places that lies nearest to the words */
  const rightmost = (mm: number, angles: readonly number[]): Point =>
    angles.map((a) => at(mm, a)).toSorted((a, b) => b[0] - a[0])[0] ?? middle;
  const items = [
    ...crossHoles(part).flatMap((h) => {
      const text = words.texts[h.id];
      const away = h.way === 'radial' ? part.largestMm / 2 : h.radiusMm;
      return text ? [{ text, foot: rightmost(away, h.anglesDeg), id: h.id }] : [];
    }),
    ...flatsOf(part).flatMap((f) => {
      const text = words.texts[f.id];
      return text ? [{ text, foot: rightmost(f.distanceMm, f.anglesDeg), id: f.id }] : [];
    }),
    ...faceGroovesOf(part).flatMap((g) => {
      const text = words.texts[g.id];
      return text ? [{ text, foot: at(g.outerMm / 2, 45), id: g.id }] : [];
    }),
    ...keywaysOf(part).flatMap((k) => {
      const text = words.texts[k.id];
      return text ? [{ text, foot: at(k.floorMm, k.angleDeg), id: k.id }] : [];
    }),
    ...part.notes.map((n, i) => ({ text: n.text, foot: at(part.largestMm / 2, n.angleDeg), id: `note${i}` })),
  ].toSorted((a, b) => a.foot[1] - b.foot[1]);
  const high = size * 1.4;
  const tall = items.map((i) => i.text.split('\n').length * high + size * 0.5);
  const places = spread(
    items.map((i, k) => ({ want: i.foot[1], half: tall[k]! / 2 })),
    from,
    to,
  );
  if (!places) return undefined;
  const left = middle[0] + r + AWAY;
  const shapes: Shape[] = endViewShapes({ ...part, notes: [] }, scale, middle, { textSize: size }).filter(
    (s) => !PAINTED.has(s.role),
  );
  const boxes: Box[] = [];
  const lines: (readonly [Point, Point])[] = [];
  for (const [i, item] of items.entries()) {
    const y = places[i]!;
    const rows = item.text.split('\n');
    for (const [k, text] of rows.entries()) {
      const foot = y + (k - (rows.length - 1) / 2) * high + size * 0.34;
      shapes.push({ kind: 'text', role: 'label', at: [left, foot], text, anchor: 'start', size, id: item.id });
    }
    const wide = Math.max(...rows.map((text) => lineWidth({ text }, size)));
    boxes.push([left - 0.4, y - (rows.length * high) / 2, left + wide + 0.4, y + (rows.length * high) / 2]);
    lines.push([item.foot, [left - 1, y]]);
  }
  for (const [a, b] of lines)
    for (const points of clearOf(a, b, boxes)) shapes.push({ kind: 'polyline', role: 'dimension', points });
  return { shapes, boxes };
}
