import { arcOfStroke, arcStrokes, arcsAlong, type Stroke } from '@whelk/core/trace';
import { type Circle, onCircle, type Point, splineOf } from './dxf-curves.ts';
import { type DxfThing, figureOf, figuresOf, readDxfThings, textOf } from './dxf-pairs.ts';

/** Largest file that is read, bytes; a turned part's drawing has some ten thousand. */
export const MOST_BYTES = 24_000_000;
/** Most entities of a file, and most strokes after its blocks are laid out. */
export const MOST_ENTITIES = 60_000;
/** Blocks inside blocks, at most. */
const DEEPEST = 8;

/** Why a file cannot be read at all. */
export interface DxfRefusal {
  readonly code: 'dxf.notDxf' | 'dxf.binary' | 'dxf.tooLarge' | 'dxf.tooMany' | 'dxf.broken' | 'dxf.empty';
  readonly value?: string | number;
  readonly limit?: number;
}
/** One kind of thing in the file and what became of it. */
export interface DxfCount {
  readonly type: string;
  readonly count: number;
  /** taken up, followed within the tolerance, or left out and why */
  readonly how: 'taken' | 'followed' | 'unknown' | 'notFlat' | 'notANumber' | 'noLength' | 'tooDeep';
}
export interface DxfRead {
  readonly strokes: readonly Stroke[];
  /** millimetres in one unit of the file; undefined: the file does not say */
  readonly mmPerUnit: number | undefined;
  readonly counts: readonly DxfCount[];
  /** layers with strokes, most strokes first; texts and notes are not strokes */
  readonly layers: readonly { readonly name: string; readonly count: number; readonly chosen: boolean }[];
}

/** Units that a header can name, mm. source: the values of $INSUNITS; provenance: recalled */
const UNITS: Readonly<Record<number, number>> = {
  1: 25.4,
  2: 304.8,
  4: 1,
  5: 10,
  6: 1000,
  8: 0.000_025_4,
  9: 0.0254,
  13: 0.001,
  14: 100,
};
/** Layers that seldom hold outlines, by the words in their names. */
const NOT_OUTLINES =
  /dim|size|text|note|hatch|cent(re|er)|axis|frame|border|title|thin|hidden|defpoints|mass|mittel|schraff/i;

interface Matrix {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly x: number;
  readonly y: number;
}
const SAME: Matrix = { a: 1, b: 0, c: 0, d: 1, x: 0, y: 0 };
const apply = (m: Matrix, [x, y]: Point): Point => [m.a * x + m.c * y + m.x, m.b * x + m.d * y + m.y];
const times = (m: Matrix, n: Matrix): Matrix => ({
  ...{ a: m.a * n.a + m.c * n.b, b: m.b * n.a + m.d * n.b, c: m.a * n.c + m.c * n.d, d: m.b * n.c + m.d * n.d },
  ...{ x: m.a * n.x + m.c * n.y + m.x, y: m.b * n.x + m.d * n.y + m.y },
});
/** Whether circles stay circles: equal stretch and square axes. */
const isEven = (m: Matrix): boolean =>
  Math.abs(m.a * m.c + m.b * m.d) < 1e-9 &&
  Math.abs(m.a ** 2 + m.b ** 2 - m.c ** 2 - m.d ** 2) < 1e-9 * (m.a ** 2 + m.b ** 2);

const at = (thing: DxfThing, code: number): Point => [figureOf(thing, code), figureOf(thing, code + 10)];
/** Heights above the plane that a thing names; all of its points at one height are flat. */
const heights = (thing: DxfThing): readonly number[] =>
  [thing, ...(thing.parts ?? [])]
    .flatMap((t) => [...figuresOf(t, 30), ...(thing.type === 'LINE' ? figuresOf(t, 31) : [])])
    .filter((z) => !Number.isNaN(z));
/** Things whose figures are in a plane of their own, which may be seen from behind. */
const OWN_PLANE = new Set(['ARC', 'CIRCLE', 'LWPOLYLINE', 'POLYLINE', 'INSERT']);

class Reading {
  readonly strokes: Stroke[] = [];
  /** more than any honest file has: the rest is not looked at */
  isFull = false;
  private steps = 0;
  private readonly tally = new Map<string, number>();
  constructor(
    private readonly blocks: ReadonlyMap<string, { readonly base: DxfThing; readonly things: readonly DxfThing[] }>,
    private readonly tolerance: number,
  ) {}

  note(type: string, how: DxfCount['how']): void {
    const key = `${type}|${how}`;
    this.tally.set(key, (this.tally.get(key) ?? 0) + 1);
  }
  counts(): readonly DxfCount[] {
    return [...this.tally]
      .map(([key, count]) => ({ type: key.split('|')[0]!, how: key.split('|')[1] as DxfCount['how'], count }))
      .sort((a, b) => b.count - a.count);
  }

  take(thing: DxfThing, outerMatrix: Matrix, depth: number, outer: string): void {
    if (this.isFull || ++this.steps > MOST_ENTITIES * 4) {
      this.isFull = true;
      return;
    }
    if (figureOf(thing, 67, 0) === 1 || figureOf(thing, 60, 0) === 1) return;
    const type = thing.type.slice(0, 40);
    const own = textOf(thing, 8);
    const layer = own === undefined || own === '0' ? outer : own.slice(0, 60);
    const matrix =
      OWN_PLANE.has(type) && figureOf(thing, 230, 1) < 0 ? times(outerMatrix, { ...SAME, a: -1 }) : outerMatrix;
    if (type === 'INSERT') {
      this.insert(thing, matrix, depth, layer);
      return;
    }
    const zs = heights(thing);
    if (zs.some((z) => Math.abs(z - zs[0]!) > 1e-6)) {
      this.note(type, 'notFlat');
      return;
    }
    const made = this.strokesOf(type, thing, matrix, layer);
    if (made === undefined) {
      this.note(type, 'unknown');
      return;
    }
    if (made.strokes.some((s) => ![...s.a, ...s.b, s.bulge].every((v) => Number.isFinite(v) && Math.abs(v) < 1e9))) {
      this.note(type, 'notANumber');
      return;
    }
    const real = made.strokes.filter((s) => Math.hypot(s.b[0] - s.a[0], s.b[1] - s.a[1]) > 0);
    if (real.length === 0) {
      this.note(type, 'noLength');
      return;
    }
    this.note(type, made.followed ? 'followed' : 'taken');
    for (const s of real) this.strokes.push(s);
    if (this.strokes.length > MOST_ENTITIES) this.isFull = true;
  }

  private insert(thing: DxfThing, matrix: Matrix, depth: number, layer: string): void {
    const block = this.blocks.get(textOf(thing, 2) ?? '');
    if (!block) {
      this.note('INSERT', 'unknown');
      return;
    }
    if (depth >= DEEPEST) {
      this.note('INSERT', 'tooDeep');
      return;
    }
    const [x, y] = at(thing, 10);
    const angle = (figureOf(thing, 50, 0) * Math.PI) / 180;
    const [sx, sy] = [figureOf(thing, 41, 1), figureOf(thing, 42, 1)];
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    const [bx, by] = at(block.base, 10);
    const turn: Matrix = { a: c, b: s, c: -s, d: c, x, y };
    const [columns, rows] = [70, 71].map((code) => Math.max(1, Math.trunc(figureOf(thing, code, 1)) || 1));
    const [wide, high] = [figureOf(thing, 44, 0), figureOf(thing, 45, 0)];
    if (![c, s, sx, sy, x, y, wide, high].every(Number.isFinite)) {
      this.note('INSERT', 'notANumber');
      return;
    }
    this.note('INSERT', 'taken');
    for (let row = 0; row < rows! && !this.isFull; row++)
      for (let column = 0; column < columns! && !this.isFull; column++) {
        this.steps++;
        const shift: Matrix = { a: sx, b: 0, c: 0, d: sy, x: column * wide, y: row * high };
        const to = times(matrix, times(turn, times(shift, { ...SAME, x: -bx || 0, y: -by || 0 })));
        for (const inner of block.things) this.take(inner, to, depth + 1, layer);
      }
  }

  private strokesOf(
    type: string,
    thing: DxfThing,
    m: Matrix,
    layer: string,
  ): { strokes: readonly Stroke[]; followed: boolean } | undefined {
    const flip = m.a * m.d - m.b * m.c < 0 ? -1 : 1;
    const even = isEven(m);
    const follow = (curve: (t: number) => Point) => ({
      ...{ strokes: arcsAlong((t) => apply(m, curve(t)), this.tolerance, layer), followed: true },
    });
    switch (type) {
      case 'LINE':
        return {
          ...{
            strokes: [{ a: apply(m, at(thing, 10)), b: apply(m, at(thing, 11)), bulge: 0, layer }],
            followed: false,
          },
        };
      case 'LWPOLYLINE':
      case 'POLYLINE': {
        const flags = figureOf(thing, 70, 0);
        // meshes, and points that only shape a curve
        if (type === 'POLYLINE' && flags & (8 | 16 | 64)) return undefined;
        const points = type === 'POLYLINE' ? oldVertices(thing) : vertices(thing);
        const strokes = points.flatMap(({ p, bulge }, i): readonly Stroke[] => {
          const next =
            points[i + 1]?.p ??
            (flags & 1 && (points.length > 2 || points.some((v) => v.bulge)) && points.length > 1
              ? points[0]!.p
              : undefined);
          if (!next) return [];
          if (!bulge || even || !Number.isFinite(bulge))
            return [{ a: apply(m, p), b: apply(m, next), bulge: flip * bulge || bulge, layer }];
          const arc = arcOfStroke({ a: p, b: next, bulge });
          return follow((t) => onCircle(arc, t)).strokes;
        });
        return { strokes, followed: !even && points.some((v) => v.bulge) };
      }
      case 'ARC':
      case 'CIRCLE': {
        const centre = at(thing, 10);
        const radius = figureOf(thing, 40);
        const [from, to] =
          type === 'CIRCLE' ? [0, 360] : [figureOf(thing, 50), figureOf(thing, 51)].map((deg) => deg % 360);
        const sweep = (((to! - from! + 720) % 360 || 360) * Math.PI) / 180;
        if (!(radius > 0) || ![sweep, ...centre].every(Number.isFinite))
          return { strokes: [nan(layer)], followed: false };
        const circle: Circle = { centre, radius, from: (from! * Math.PI) / 180, sweep };
        if (!even) return follow((t) => onCircle(circle, t));
        const strokes = arcStrokes(centre, radius, circle.from, sweep, layer).map((s) => ({
          ...s,
          a: apply(m, s.a),
          b: apply(m, s.b),
          bulge: flip * s.bulge,
        }));
        return { strokes, followed: false };
      }
      case 'ELLIPSE': {
        const [centre, [mx, my]] = [at(thing, 10), at(thing, 11)];
        const ratio = figureOf(thing, 40);
        const [from, to] = [figureOf(thing, 41, 0), figureOf(thing, 42, 2 * Math.PI)];
        const sweep = (((to - from) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
        if (![...centre, mx, my, ratio, sweep].every(Number.isFinite)) return { strokes: [nan(layer)], followed: true };
        const side = figureOf(thing, 230, 1) < 0 ? -1 : 1;
        return follow((t) => {
          const [c, s] = [Math.cos(from + sweep * t), side * Math.sin(from + sweep * t) * ratio];
          return [centre[0] + mx * c - my * s, centre[1] + my * c + mx * s];
        });
      }
      case 'SPLINE': {
        const curve = splineOf(thing);
        return curve && follow(curve);
      }
      default:
        return undefined;
    }
  }
}

interface Vertex {
  readonly p: Point;
  readonly bulge: number;
}
/** Vertices of a light polyline: each begins with a group 10. */
function vertices(thing: DxfThing): readonly Vertex[] {
  const found: { p: [number, number]; bulge: number }[] = [];
  for (const [i, code] of thing.codes.entries()) {
    const value = Number(thing.values[i]);
    if (code === 10) found.push({ p: [value, Number.NaN], bulge: 0 });
    const last = found.at(-1);
    if (last && code === 20) last.p[1] = value;
    if (last && code === 42) last.bulge = value;
  }
  return found;
}
const oldVertices = (thing: DxfThing): readonly Vertex[] =>
  (thing.parts ?? [])
    .filter((v) => !(figureOf(v, 70, 0) & 16))
    .map((v) => ({ p: at(v, 10), bulge: figureOf(v, 42, 0) }));

const nan = (layer: string): Stroke => ({ a: [Number.NaN, 0], b: [0, 0], bulge: 0, layer });

/**
 * Reads a DXF file into lines and arcs.
 * @param text the whole file
 * @param tolerance how close ellipses, splines and stretched arcs are followed, in the file's unit, > 0
 */
export function readDxf(text: string, tolerance: number): DxfRead | DxfRefusal {
  if (text.length > MOST_BYTES) return { code: 'dxf.tooLarge', value: text.length, limit: MOST_BYTES };
  if (text.slice(0, 4000).includes('\0')) return { code: 'dxf.binary' };
  const file = readDxfThings(text, MOST_ENTITIES * 4);
  if (file === 'tooMany') return { code: 'dxf.tooMany', limit: MOST_ENTITIES };
  if (typeof file === 'string') return { code: `dxf.${file}` };
  const reading = new Reading(file.blocks, tolerance);
  for (const thing of file.entities) reading.take(thing, SAME, 0, '0');
  if (reading.isFull) return { code: 'dxf.tooMany', limit: MOST_ENTITIES };
  const counts = reading.counts();
  if (reading.strokes.length === 0)
    return {
      code: 'dxf.empty',
      value: counts
        .map((c) => `${c.count} ${c.type}`)
        .slice(0, 6)
        .join(', '),
    };
  const perLayer = new Map<string, number>();
  for (const { layer } of reading.strokes) perLayer.set(layer, (perLayer.get(layer) ?? 0) + 1);
  const named = [...perLayer]
    .map(([name, count]) => ({ name, count, chosen: !NOT_OUTLINES.test(name) }))
    .sort((a, b) => b.count - a.count);
  const layers = named.some((l) => l.chosen) ? named : named.map((l) => ({ ...l, chosen: true }));
  const units = Number(file.header.get('$INSUNITS'));
  return { strokes: reading.strokes, mmPerUnit: UNITS[units], counts, layers };
}

/** Whether reading gave strokes. */
export const isDxfRead = (result: DxfRead | DxfRefusal): result is DxfRead => 'strokes' in result;
