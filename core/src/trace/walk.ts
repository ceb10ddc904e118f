import { PLACE_MM } from '../quantity/index.ts';
import { arcOfStroke, reversed, type Stroke } from './stroke.ts';

interface Way {
  readonly to: number;
  readonly stroke: Stroke;
  readonly index: number;
}
/** Strokes above the axis, joined at their ends. */
export interface Net {
  readonly points: readonly (readonly [number, number])[];
  readonly ways: readonly (readonly Way[])[];
  readonly strokes: readonly Stroke[];
  /** strokes that are left out: on or below the axis, or too short */
  readonly dropped: number;
}

/** Strokes cut off at the axis; what lies on or below it goes. */
function upper(stroke: Stroke, joinMm: number): Stroke[] {
  const { a, b } = stroke;
  const high = joinMm / 2;
  if (Math.abs(a[1]) <= high && Math.abs(b[1]) <= high && !stroke.bulge) return [];
  if (a[1] >= -high && b[1] >= -high) return [stroke];
  if (a[1] <= high && b[1] <= high) return [];
  if (!stroke.bulge) {
    const t = a[1] / (a[1] - b[1]);
    const cut: readonly [number, number] = [a[0] + (b[0] - a[0]) * t, 0];
    return [a[1] > 0 ? { ...stroke, b: cut } : { ...stroke, a: cut }];
  }
  const { centre, radius, from, sweep } = arcOfStroke(stroke);
  const out = Math.sqrt(Math.max(0, radius ** 2 - centre[1] ** 2));
  const cuts = [centre[0] - out, centre[0] + out]
    .map((z) => {
      const raw = Math.atan2(-centre[1], z - centre[0]) - from;
      const turn = sweep > 0 ? raw : -raw;
      return ((turn % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
    })
    .filter((turn) => turn < Math.abs(sweep))
    .sort((m, n) => m - n);
  const turn = cuts[0];
  if (turn === undefined) return [];
  const angle = from + Math.sign(sweep) * turn;
  const cut: readonly [number, number] = [centre[0] + radius * Math.cos(angle), 0];
  const rest = Math.abs(sweep) - turn;
  return [
    a[1] > 0
      ? { ...stroke, b: cut, bulge: Math.tan((Math.sign(sweep) * turn) / 4) }
      : { ...stroke, a: cut, bulge: Math.tan((Math.sign(sweep) * rest) / 4) },
  ];
}

/** Joins strokes at ends that lie within the join's distance, over a grid of that size. */
export function netOf(strokes: readonly Stroke[], joinMm: number): Net {
  const points: [number, number][] = [];
  const cells = new Map<string, number[]>();
  const cell = (v: number): number => Math.floor(v / joinMm);
  const node = ([x, y]: readonly [number, number]): number => {
    const [cx, cy] = [cell(x), cell(y)];
    for (let i = cx - 1; i <= cx + 1; i++)
      for (let j = cy - 1; j <= cy + 1; j++)
        for (const k of cells.get(`${i},${j}`) ?? [])
          if (Math.hypot(points[k]![0] - x, points[k]![1] - y) <= joinMm) return k;
    points.push([x, Math.abs(y) <= joinMm / 2 ? 0 : y]);
    const key = `${cx},${cy}`;
    cells.set(key, [...(cells.get(key) ?? []), points.length - 1]);
    return points.length - 1;
  };
  const kept: Stroke[] = [];
  const ends: (readonly [number, number])[] = [];
  const seen = new Set<string>();
  let dropped = 0;
  for (const whole of strokes) {
    const halves = upper(whole, joinMm);
    if (halves.length === 0) dropped++;
    for (const s of halves) {
      const [a, b] = [node(s.a), node(s.b)];
      const key = `${Math.min(a, b)},${Math.max(a, b)},${Math.round(Math.abs(s.bulge) * 1e4)}`;
      if (a === b || seen.has(key)) {
        dropped++;
        continue;
      }
      seen.add(key);
      kept.push(s);
      ends.push([a, b]);
    }
  }
  const ways: Way[][] = points.map(() => []);
  for (const [index, s] of kept.entries()) {
    const [a, b] = ends[index]!;
    ways[a]!.push({ to: b, stroke: s, index });
    ways[b]!.push({ to: a, stroke: reversed(s), index });
  }
  return { points, ways, strokes: kept, dropped };
}

/** Strokes that end in nothing, above the axis: hatching, leaders, arrows. They are taken away until none is left. */
export function withoutLooseEnds(net: Net, joinMm: number): ReadonlySet<number> {
  const gone = new Set<number>();
  const degree = net.ways.map((w) => w.length);
  const loose = degree.flatMap((d, i) => (d === 1 && net.points[i]![1] > joinMm ? [i] : []));
  for (let i = loose.pop(); i !== undefined; i = loose.pop()) {
    const way = net.ways[i]!.find((w) => !gone.has(w.index));
    if (!way) continue;
    gone.add(way.index);
    degree[way.to] = degree[way.to]! - 1;
    if (degree[way.to] === 1 && net.points[way.to]![1] > joinMm) loose.push(way.to);
  }
  return gone;
}

const startAngle = (s: Stroke): number => Math.atan2(s.b[1] - s.a[1], s.b[0] - s.a[0]) - 2 * Math.atan(s.bulge);
const endAngle = (s: Stroke): number => Math.atan2(s.b[1] - s.a[1], s.b[0] - s.a[0]) + 2 * Math.atan(s.bulge);
const turnOf = (angle: number): number => {
  const t = ((angle % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
  // straight back is the last way to go, whichever hand is kept to
  return t > Math.PI - PLACE_MM ? t - 2 * Math.PI : t;
};

/**
 * Follows a boundary from a point, at each join turning as far to one side as there is a way.
 * @param hand 1 keeps to the left, −1 to the right
 * @param index of the point it begins at
 * @param headingRad direction before the first stroke
 * @param stop whether the walk ends at a point
 */
export function walk(
  net: Net,
  used: Set<number>,
  index: number,
  headingRad: number,
  hand: 1 | -1,
  stop: (point: number) => boolean,
): readonly Stroke[] {
  const path: Stroke[] = [];
  let [here, angle] = [index, headingRad];
  for (;;) {
    let best: Way | undefined;
    let most = Number.NEGATIVE_INFINITY;
    for (const way of net.ways[here]!) {
      if (used.has(way.index)) continue;
      const turn = turnOf(hand * (startAngle(way.stroke) - angle));
      if (turn > most) {
        most = turn;
        best = way;
      }
    }
    if (!best) return path;
    used.add(best.index);
    // ends as they were joined, so that the path has no gaps
    path.push({ ...best.stroke, a: net.points[here]!, b: net.points[best.to]! });
    angle = endAngle(best.stroke);
    here = best.to;
    if (stop(here)) return path;
  }
}
