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
