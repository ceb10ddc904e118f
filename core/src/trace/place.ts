import { PLACE_MM, ROUNDING } from '../quantity/index.ts';
import { arcOfStroke, type Stroke } from './stroke.ts';

/** How a file's figures become millimetres beside an axis. */
export interface Placing {
  /** millimetres in one of the file's units */
  readonly mmPerUnit: number;
  /** the way of the axis in the file */
  readonly along: 'x' | 'y';
  /** where the axis lies across its way, in the file's units */
  readonly axis: number;
  /** the half on the other side of the axis is read */
  readonly below: boolean;
  /** the file's far end becomes the headstock end */
  readonly turned: boolean;
}

/** Ends of strokes closer than this are one point, mm; the next is tried where the one before leaves gaps. */
export const JOINS_MM = [0.0005, 0.005, 0.05] as const;

/** Box around strokes, arcs at their fullest; undefined for none. */
export function boundsOf(strokes: readonly Stroke[]) {
  if (strokes.length === 0) return undefined;
  let [left, bottom, right, top] = [
    Number.POSITIVE_INFINITY,
    Number.POSITIVE_INFINITY,
    Number.NEGATIVE_INFINITY,
    Number.NEGATIVE_INFINITY,
  ];
  const take = (x: number, y: number): void => {
    left = Math.min(left, x);
    right = Math.max(right, x);
    bottom = Math.min(bottom, y);
    top = Math.max(top, y);
  };
  for (const s of strokes) {
    take(s.a[0], s.a[1]);
    take(s.b[0], s.b[1]);
    if (!s.bulge) continue;
    const { centre, radius, from, sweep } = arcOfStroke(s);
    for (let k = -4; k <= 4; k++) {
      const angle = (k * Math.PI) / 2;
      const turn = sweep > 0 ? angle - from : from - angle;
      if (turn > 0 && turn < Math.abs(sweep))
        take(centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle));
    }
  }
  return { left, right, bottom, top };
}

/**
 * How strokes of a file come to lie with the axis at 0 and the left end of some of them at 0, in mm.
 * @param strokes those whose left end it is
 */
export function placerOf(strokes: readonly Stroke[], placing: Placing): (stroke: Stroke) => Stroke {
  const k = placing.mmPerUnit;
  const half = placing.below ? -1 : 1;
  const map = ([x, y]: readonly [number, number]): readonly [number, number] =>
    placing.along === 'x' ? [x * k, half * (y - placing.axis) * k] : [y * k, half * (placing.axis - x) * k];
  const flip = placing.below !== placing.turned;
  const flat = (s: Stroke): Stroke => ({ ...s, a: map(s.a), b: map(s.b) });
  const bounds = boundsOf(strokes.map((s) => ({ ...flat(s), bulge: placing.below ? -s.bulge : s.bulge }))) ?? {
    left: 0,
    right: 0,
  };
  const move = ([z, r]: readonly [number, number]): readonly [number, number] =>
    placing.turned ? [bounds.right - z, r] : [z - bounds.left, r];
  return (s) => {
    const { a, b, bulge, layer } = flat(s);
    return { a: move(a), b: move(b), bulge: flip ? -bulge || 0 : bulge, layer };
  };
}

/** Strokes in millimetres with the axis at 0 and the left end at 0. */
export function placed(strokes: readonly Stroke[], placing: Placing): readonly Stroke[] {
  return strokes.map(placerOf(strokes, placing));
}

/** Length of strokes on either side of a line across the file, to see whether both halves are drawn. */
function sides(strokes: readonly Stroke[], along: 'x' | 'y', axis: number) {
  const i = along === 'x' ? 1 : 0;
  let [above, below] = [0, 0];
  for (const { a, b } of strokes) {
    const middle = (a[i]! + b[i]!) / 2 - axis;
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (middle > 0) above += long;
    else below += long;
  }
  return { above, below };
}

/** Whether the half that lies lower in the file tells more: the one that is cut open has more lines, or it is the only one. */
function fullerBelow(strokes: readonly Stroke[], along: 'x' | 'y', axis: number, tall: number): boolean {
  const i = along === 'x' ? 1 : 0;
  const way = along === 'x' ? 1 : -1;
  const close = tall * 1e-3;
  let [above, below] = [0, 0];
  for (const { a, b } of strokes) {
    // edges are drawn across either half and say nothing of which is cut open
    if (Math.abs(a[1 - i]! - b[1 - i]!) < close) continue;
    const ends = [way * (a[i]! - axis), way * (b[i]! - axis)];
    if (Math.max(...ends) > close) above++;
    if (Math.min(...ends) < -close) below++;
  }
  return below > above;
}

/** Why the axis was taken where it is. */
export type AxisReason = 'centreline' | 'symmetric' | 'origin' | 'bottom';

/**
 * Where the axis of a turned part probably is: on a line of a layer for centrelines, in the middle of a part drawn whole, or
 * along the lower edge of a half; of a half that is open at its ends, at the file's own zero.
 * @param all every stroke of the file, with those of centreline layers
 */
export function guessAxis(
  strokes: readonly Stroke[],
  all: readonly Stroke[],
  along: 'x' | 'y',
): { readonly axis: number; readonly why: AxisReason; readonly below: boolean } {
  const i = along === 'x' ? 1 : 0;
  const bounds = boundsOf(strokes);
  if (!bounds) return { axis: 0, why: 'bottom', below: false };
  const [low, high] = along === 'x' ? [bounds.bottom, bounds.top] : [bounds.left, bounds.right];
  const tall = high - low;
  const centre = all.find(
    (s) =>
      !s.bulge &&
      /cent(re|er)|axis|mittel/i.test(s.layer) &&
      Math.abs(s.a[i]! - s.b[i]!) < tall * PLACE_MM + 1e-12 &&
      s.a[i]! > low - tall &&
      s.a[i]! < high + tall,
  );
  if (centre) return { axis: centre.a[i]!, why: 'centreline', below: fullerBelow(strokes, along, centre.a[i]!, tall) };
  const middle = (low + high) / 2;
  // both halves of a whole part weigh the same; a half has its closing line or its faces below the middle
  const mirrored = strokes.filter((s) => Math.abs((s.a[i]! + s.b[i]!) / 2 - middle) > tall * 0.02);
  const { above, below } = sides(mirrored, along, middle);
  const bin = tall * 1e-4 + ROUNDING;
  const ends = new Set(strokes.flatMap(({ a, b }) => [Math.round(a[i]! / bin), Math.round(b[i]! / bin)]));
  const twin = mirrored.filter(({ a }) => {
    const other = Math.round((2 * middle - a[i]!) / bin);
    return ends.has(other) || ends.has(other - 1) || ends.has(other + 1);
  }).length;
  const whole = Math.abs(above - below) < 0.05 * (above + below) && twin > 0.9 * mirrored.length;
  if (whole) return { axis: middle, why: 'symmetric', below: fullerBelow(strokes, along, middle, tall) };
  return low > bin && !closesAt(strokes, along, low, bin)
    ? { axis: 0, why: 'origin', below: false }
    : { axis: low, why: 'bottom', below: false };
}

/** Whether a half comes down to a line at both of its ends: where it does not it is open, and its axis lies farther down. */
function closesAt(strokes: readonly Stroke[], along: 'x' | 'y', low: number, bin: number): boolean {
  const [i, k] = along === 'x' ? ([1, 0] as const) : ([0, 1] as const);
  const ends = strokes.flatMap(({ a, b }) => [a, b]);
  const places = ends.map((p) => p[k]!);
  const [first, last] = [places.reduce((x, y) => Math.min(x, y)), places.reduce((x, y) => Math.max(x, y))];
  return [first, last].every((at) => ends.some((p) => Math.abs(p[k]! - at) <= bin && p[i]! <= low + bin));
}
