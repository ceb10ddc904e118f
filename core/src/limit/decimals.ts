import { z } from 'zod';
import { type LengthUnit, lengthUnitSchema, parseLength, type Rational } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';

/**
 * Tolerances that follow from the way a size is written: ± for sizes with no, one, two, three or four decimals, and for
 * fractions. A shop's own, as its drawings' title blocks have them; `unit` is that of the figures. Empty: none is given.
 */
export const decimalLimitsSchema = z.strictObject({
  unit: lengthUnitSchema,
  fraction: z.string().max(16),
  places: z.tuple([z.string().max(16), z.string().max(16), z.string().max(16), z.string().max(16), z.string().max(16)]),
});
export type DecimalLimits = z.infer<typeof decimalLimitsSchema>;

/** What many inch drawings print in their title block; a shop writes its own over it. provenance: recalled, shop */
export const usualDecimalLimits: DecimalLimits = {
  unit: 'in',
  fraction: '1/64',
  places: ['', '.1', '.01', '.005', '.0005'],
};

/**
 * How a size is written: its decimals, or as a fraction.
 * @returns 0 to 4 decimals (more count as four), or 'fraction'; of a sum the term written finest
 * @example writtenWith('1.250') // 3
 */
export function writtenWith(text: string): 'fraction' | 0 | 1 | 2 | 3 | 4 {
  const decimals = [...text.matchAll(/\d*[.,](\d*)/g)].map((m) => m[1]!.length);
  if (decimals.length === 0) return /\d\s*\/\s*\d/.test(text) ? 'fraction' : 0;
  return Math.min(4, Math.max(...decimals)) as 0 | 1 | 2 | 3 | 4;
}

/**
 * Half the tolerance of a size that names no limits, by the way it is written, exact mm.
 * @returns undefined where the shop gives none for that way, or what it gives is no length
 * @example decimalTolerance('1.250', usualDecimalLimits) // 0.127
 */
export function decimalTolerance(text: string, rows: DecimalLimits, record?: Recorder): Rational | undefined {
  const way = writtenWith(text);
  const given = way === 'fraction' ? rows.fraction : rows.places[way];
  const read = parseLength(given.replace(/^[±+]/, ''), rows.unit as LengthUnit);
  if (!read.ok) return undefined;
  record?.({ code: 'limit.decimals', values: { text, given, unit: rows.unit, halfMm: read.mm.valueOf() } });
  return read.mm;
}
