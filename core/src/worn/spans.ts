import type { Recorder } from '../working/index.ts';

/** What a span over two holes was taken between. */
export const SPANS = ['outsides', 'insides', 'centres'] as const;
export type SpanOf = (typeof SPANS)[number];

/**
 * Distance of two holes' centres from a span over them.
 * @param spanMm over their far sides (outsides), between their near sides (insides), or of the centres
 * @returns mm; undefined where it would be nothing or less
 * @source FIELD 10: over outsides less a diameter, between insides plus a diameter
 * @example centreDistanceMm(55, 'outsides', 6, 6) // 49
 */
export function centreDistanceMm(
  spanMm: number,
  of: SpanOf,
  oneMm: number,
  otherMm: number,
  record?: Recorder,
): number | undefined {
  const mean = (oneMm + otherMm) / 2;
  const distanceMm = Number((of === 'centres' ? spanMm : of === 'outsides' ? spanMm - mean : spanMm + mean).toFixed(6));
  if (distanceMm <= 0) return undefined;
  record?.({ code: 'worn.centres', values: { spanMm, of, meanMm: mean, distanceMm } });
  return distanceMm;
}

/**
 * Diameter of the circle that holes lie on, from the distance of two of them.
 * @param count holes evenly around, at least 2
 * @param way neighbours, or opposite ones (an even count)
 * @returns mm; undefined for opposite ones of an odd count
 * @source chord of a circle: distance = D·sin(180°/count)
 * @example holeCircleMm(30, 6, 'neighbours') // 60
 */
export function holeCircleMm(
  distanceMm: number,
  count: number,
  way: 'neighbours' | 'opposite',
  record?: Recorder,
): number | undefined {
  if (count < 2 || (way === 'opposite' && count % 2 === 1)) return undefined;
  const circleMm = Number((way === 'opposite' ? distanceMm : distanceMm / Math.sin(Math.PI / count)).toFixed(6));
  record?.({ code: 'worn.circle', values: { distanceMm, count, way, circleMm } });
  return circleMm;
}

/**
 * Angle that a chord spans on a circle, degrees up to 180. @returns undefined where the chord is longer than the circle is wide
 * @source α = 2·arcsin(c/D) @example chordAngleDeg(25, 50)?.toFixed(1) // '60.0'
 */
export function chordAngleDeg(chordMm: number, circleMm: number, record?: Recorder): number | undefined {
  if (chordMm > circleMm) return undefined;
  const angleDeg = Number(((Math.asin(chordMm / circleMm) * 360) / Math.PI).toFixed(6));
  record?.({ code: 'worn.chordAngle', values: { chordMm, circleMm, angleDeg } });
  return angleDeg;
}

/** Steps of halving in which the circle of unequal holes is found. */
const HALVINGS = 100;

/**
 * The circle of holes that are not evenly spaced, and where they lie on it, from the distances of neighbours all the way round.
 * @param distancesMm of the centres of each hole and the next, the last back to the first; at least three
 * @returns diameter and the angles of the holes from the first, anticlockwise; undefined where no circle closes: one distance is longer
 *   than all others together
 * @source chords: the angles 2·arcsin(c/D) add up to 360°; where the longest chord has the centre on its other side, it counts 360° less
 * @example unevenCircle([30, 40, 50])?.circleMm // 50
 */
export function unevenCircle(
  distancesMm: readonly number[],
): { readonly circleMm: number; readonly anglesDeg: readonly number[] } | undefined {
  const longest = Math.max(...distancesMm);
  const others = distancesMm.reduce((sum, c) => sum + c, 0) - longest;
  if (distancesMm.length < 3 || longest >= others || Math.min(...distancesMm) <= 0) return undefined;
  const half = (chord: number, circleMm: number): number => Math.asin(Math.min(1, chord / circleMm));
  const rest = (circleMm: number): number => {
    let sum = -half(longest, circleMm);
    for (const c of distancesMm) sum += half(c, circleMm);
    return sum;
  };
  // at the smallest circle the longest chord is its diameter: do the others reach round the far half?
  const inside = rest(longest) >= Math.PI / 2;
  const wanted = (circleMm: number): number =>
    inside ? rest(circleMm) + half(longest, circleMm) - Math.PI : rest(circleMm) - half(longest, circleMm);
  let [low, high] = [longest, longest];
  const falls = inside ? 1 : -1;
  while (falls * wanted(high) > 0 && high < longest * 1e6) high *= 2;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (falls * wanted(middle) > 0) low = middle;
    else high = middle;
  }
  const circleMm = Number(high.toFixed(6));
  const degrees = (c: number): number => {
    const angle = (2 * half(c, high) * 180) / Math.PI;
    return !inside && c === longest ? 360 - angle : angle;
  };
  let angle = 0;
  const anglesDeg = distancesMm.map((c) => {
    const here = Number(angle.toFixed(6));
    angle += degrees(c);
    return here;
  });
  return { circleMm, anglesDeg };
}

/**
 * Radius of an arc from a chord and its height over it, mm. @source R = c²/(8h) + h/2
 * @example arcRadiusMm(40, 5) // 42.5
 */
export function arcRadiusMm(chordMm: number, heightMm: number): number {
  return (chordMm * chordMm) / (8 * heightMm) + heightMm / 2;
}

/** A dovetail measured over two rollers that lie in its corners. */
export interface Dovetail {
  readonly of: 'outside' | 'inside';
  /** over the rollers outside, between them inside */
  readonly measuredMm: number;
  readonly rollerMm: number;
  readonly angleDeg: number;
  readonly heightMm: number;
}
/**
 * Widths of a dovetail at its sharp corners, mm: at the corners where the rollers lie, and at the far side of its flanks.
 * @source a roller touches floor and flank: its middle stands d/2·cot(α/2) from the corner, its far side d/2 more; a flank runs h·cot α
 * @example dovetail({ of: 'outside', measuredMm: 62, rollerMm: 8, angleDeg: 60, heightMm: 10 }).cornerMm.toFixed(3) // '40.144'
 */
export function dovetail({ of, measuredMm, rollerMm, angleDeg, heightMm }: Dovetail): {
  readonly cornerMm: number;
  readonly farMm: number;
} {
  const half = Math.tan((angleDeg * Math.PI) / 360);
  const over = rollerMm * (1 + 1 / half);
  const runs = (2 * heightMm) / Math.tan((angleDeg * Math.PI) / 180);
  // outside the rollers lie in the narrow corners, and the far side is wider; inside they lie in the wide ones
  return of === 'outside'
    ? { cornerMm: measuredMm - over, farMm: measuredMm - over + runs }
    : { cornerMm: measuredMm + over, farMm: measuredMm + over - runs };
}
