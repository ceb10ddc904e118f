import { insertShapes } from '../standard/insert-letters.ts';
import { insertSizes } from './insert-sizes.ts';
import { has } from './letters.ts';

/** Thickness of an inch designation in sixteenths, and its figures in the metric one. ISO 1832 */
const THICKNESS: Readonly<Record<string, string>> = {
  ...{
    '1': '01',
    '1.2': 'T1',
    '1.5': '02',
    '1.8': 'T2',
    '2': '03',
    '2.5': 'T3',
    '3': '04',
    '3.5': '05',
    '4': '06',
    '5': '07',
  },
};
/** Corner radius in sixty-fourths, and its figures in the metric one. */
const RADIUS: Readonly<Record<string, string>> = {
  ...{ '0': '00', '.2': '01', '.5': '02', '1': '04', '2': '08', '3': '12', '4': '16', '5': '20', '6': '24', '8': '32' },
};

/**
 * An inch designation in the metric one's figures: its inscribed circle in eighths, thickness in sixteenths, radius in
 * sixty-fourths of an inch.
 * @returns undefined for what is no inch designation
 * @source ISO 1832, inch sizes: `CNMG 432` is a circle of 1/2 in, 3/16 thick, 1/32 radius
 * @example metricDesignation('CNMG 432') // 'CNMG120408'
 */
export function metricDesignation(text: string): string | undefined {
  const read =
    /^\s*([A-Z])([A-Z]{3})\s*-?\s*(\d(?:\.[258])?|1\.[258])(\d(?:\.[258])?)(\d|\.[25])([A-Z]*(?:-.*)?)$/i.exec(text);
  if (!read) return undefined;
  const [, shape = '', letters = '', circle = '', thick = '', radius = '', rest = ''] = read;
  const letter = shape.toUpperCase();
  if (!has(insertShapes, letter)) return undefined;
  const circleMm = Number(circle) * 3.175;
  const size = insertSizes(letter).find((s) => Math.abs(s.circleMm - circleMm) < 0.03);
  const [s, r] = [THICKNESS[thick], RADIUS[radius]];
  return size && s && r ? `${shape}${letters}${size.sizeCode}${s}${r}${rest}`.toUpperCase() : undefined;
}
