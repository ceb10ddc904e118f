import type { NamedThread } from './designation.ts';
import { metricTolerances } from './standard/metric-tolerances.ts';

/** Largest and smallest diameter over the crests of an outside thread, mm. */
export interface MajorLimits {
  readonly upperMm: number;
  readonly lowerMm: number;
}
/** Tolerance of the major diameter by its grade, as a share of grade 6. ISO 965-1: grades 4, 6 and 8 */
const OF_SIX: Readonly<Record<string, number>> = { 4: 0.63, 6: 1, 8: 1.6 };

/**
 * Limits of an outside metric thread's own major diameter: what the blank is turned to, closer than a general tolerance.
 * @param close class as a drawing gives it, `6g` where it is not; of two grades the second is the major diameter's: `5g6g`
 * @returns undefined for other forms, pitches beyond the table and classes that are not known here
 * @source ISO 965-1: upper = D + es, lower = upper − Td
 */
export function majorLimits({ form, majorMm, pitchMm }: NamedThread, close: string): MajorLimits | undefined {
  const row = metricTolerances.find((r) => Math.abs(r.pitchMm - pitchMm) < 1e-9);
  const read = /(\d)([egh])$/.exec(close.trim() || '6g');
  const share = read && OF_SIX[read[1]!];
  if (form !== 'metric' || !row || !read || !share) return undefined;
  const esUm = { h: 0, g: row.g, e: 50 + 11 * pitchMm }[read[2] as 'e' | 'g' | 'h'];
  const upperMm = Number((majorMm - esUm / 1000).toFixed(4));
  return { upperMm, lowerMm: Number((upperMm - (share * row.td6) / 1000).toFixed(4)) };
}
