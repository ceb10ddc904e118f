import { type DxfThing, figureOf, figuresOf } from './dxf-pairs.ts';

export type Point = readonly [number, number];
export interface Circle {
  readonly centre: Point;
  readonly radius: number;
  readonly from: number;
  readonly sweep: number;
}
/** Most points of a curve that are looked at. */
const MOST_POINTS = 2000;

/** A point of an arc by its share of the way. */
export const onCircle = ({ centre, radius, from, sweep }: Circle, t: number): Point => [
  centre[0] + radius * Math.cos(from + sweep * t),
  centre[1] + radius * Math.sin(from + sweep * t),
];

const pointsOf = (thing: DxfThing, code: number): readonly Point[] => {
  const ys = figuresOf(thing, code + 10);
  return figuresOf(thing, code).map((x, i): Point => [x, ys[i] ?? Number.NaN]);
};

/**
 * A spline by its control points, weights and knots; by its fit points, joined by lines, where it has no others.
 * @returns the point for a share of its way, or undefined where the figures make no spline
 * @source de Boor, A Practical Guide to Splines: evaluation by repeated interpolation, in homogeneous coordinates
 */
export function splineOf(thing: DxfThing): ((t: number) => Point) | undefined {
  const [points, fit] = [pointsOf(thing, 10), pointsOf(thing, 11)];
  const [knots, weights] = [figuresOf(thing, 40), figuresOf(thing, 41)];
  const degree = figureOf(thing, 71, 3);
  if (points.length > MOST_POINTS || fit.length > MOST_POINTS || !(degree >= 1 && degree <= 12)) return undefined;
  if (points.length <= degree || knots.length !== points.length + degree + 1) {
    if (fit.length < 2) return undefined;
    return (t) => {
      const k = Math.min(fit.length - 2, Math.floor(t * (fit.length - 1)));
      const [p, q, share] = [fit[k]!, fit[k + 1]!, t * (fit.length - 1) - k];
      return [p[0] + (q[0] - p[0]) * share, p[1] + (q[1] - p[1]) * share];
    };
  }
  const [low, high] = [knots[degree]!, knots[points.length]!];
  if (!(high > low)) return undefined;
  return (t) => {
    const u = low + (high - low) * t;
    let k = degree;
    while (k < points.length - 1 && knots[k + 1]! <= u) k++;
    const d = Array.from({ length: degree + 1 }, (_, j): [number, number, number] => {
      const [p, w] = [points[k - degree + j]!, weights[k - degree + j] ?? 1];
      return [p[0] * w, p[1] * w, w];
    });
    for (let r = 1; r <= degree; r++)
      for (let j = degree; j >= r; j--) {
        const [from, to] = [knots[k - degree + j]!, knots[k + 1 + j - r]!];
        const share = to > from ? (u - from) / (to - from) : 0;
        for (const axis of [0, 1, 2] as const) d[j]![axis] = (1 - share) * d[j - 1]![axis] + share * d[j]![axis];
      }
    const [x, y, w] = d[degree]!;
    return [x / w, y / w];
  };
}
