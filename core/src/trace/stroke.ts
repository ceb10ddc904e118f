import { arcOf } from '../contour/index.ts';
import { ROUNDING } from '../quantity/index.ts';

/** A line or an arc of a file, in the file's own plane and unit. `bulge` as in outlines: positive turns left on the way. */
export interface Stroke {
  readonly a: readonly [number, number];
  readonly b: readonly [number, number];
  readonly bulge: number;
  readonly layer: string;
}

/** Centre, radius and angles of an arc, radians; the sweep is signed. @param stroke one that is no straight line */
export function arcOfStroke({ a, b, bulge }: Pick<Stroke, 'a' | 'b' | 'bulge'>) {
  const arc = arcOf({ zMm: a[0], rMm: a[1] }, { zMm: b[0], rMm: b[1] }, bulge);
  const centre: readonly [number, number] = [arc.centreZ, arc.centreR];
  return { centre, radius: arc.radius, from: arc.from, sweep: arc.sweep };
}

/** The way of a stroke the other way round. */
export function reversed(stroke: Stroke): Stroke {
  return { ...stroke, a: stroke.b, b: stroke.a, bulge: -stroke.bulge || 0 };
}

/** An arc about a centre as strokes of at most half a turn each. @param sweepRad signed */
export function arcStrokes(
  centre: readonly [number, number],
  radius: number,
  fromRad: number,
  sweepRad: number,
  layer: string,
): readonly Stroke[] {
  const parts = Math.max(1, Math.ceil(Math.abs(sweepRad) / (Math.PI * 0.75)));
  const at = (i: number): readonly [number, number] => {
    const angle = fromRad + (sweepRad * i) / parts;
    return [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)];
  };
  return Array.from({ length: parts }, (_, i) => ({
    a: at(i),
    b: at(i + 1),
    bulge: Math.tan(sweepRad / parts / 4),
    layer,
  }));
}

/** Most pieces that one curve is made into. */
const MOST_PIECES = 256;

/**
 * Arcs that follow a curve closely: through its ends and middle, halved wherever they lie too far off.
 * @param curve point for a parameter from 0 to 1
 * @param tolerance most that an arc may lie off the curve, > 0
 */
export function arcsAlong(
  curve: (t: number) => readonly [number, number],
  tolerance: number,
  layer: string,
): readonly Stroke[] {
  const strokes: Stroke[] = [];
  const fit = (from: number, to: number, depth: number): void => {
    const [a, m, b] = [curve(from), curve((from + to) / 2), curve(to)];
    const chord = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const bow = chord > 0 ? ((b[0] - a[0]) * (m[1] - a[1]) - (b[1] - a[1]) * (m[0] - a[0])) / chord : 0;
    // height of the arc over half its chord; a curve that bows to the right of its way turns left
    const bulge = chord > 0 ? (-2 * bow) / chord : 0;
    const stroke: Stroke = { a, b, bulge: Math.abs(bulge) < ROUNDING ? 0 : bulge, layer };
    const arc = stroke.bulge ? arcOfStroke(stroke) : undefined;
    let off = 0;
    for (const t of [0.125, 0.25, 0.375, 0.625, 0.75, 0.875]) {
      const p = curve(from + (to - from) * t);
      const away = arc
        ? Math.abs(Math.hypot(p[0] - arc.centre[0], p[1] - arc.centre[1]) - arc.radius)
        : chord > 0
          ? Math.abs(((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / chord)
          : Math.hypot(p[0] - a[0], p[1] - a[1]);
      off = Math.max(off, away);
    }
    if ((off <= tolerance && Math.abs(bulge) < 0.6) || depth === 0) {
      if (chord > 0) strokes.push(stroke);
      return;
    }
    const middle = (from + to) / 2;
    fit(from, middle, depth - 1);
    fit(middle, to, depth - 1);
  };
  // begun in quarters, so that a closed curve does not look like a point
  for (let i = 0; i < 4; i++) fit(i / 4, (i + 1) / 4, Math.log2(MOST_PIECES / 4));
  return strokes;
}
