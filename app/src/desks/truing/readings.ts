import type { FourReadings } from '@whelk/core/hold';
import { type LengthUnit, parseLength, type TypedLength } from '@whelk/core/quantity';

/** How an indicator is read: in which unit, and what its number does as the plunger is pushed in. */
export interface IndicatorSense {
  readonly unit: LengthUnit;
  readonly pushedIn: 'rises' | 'falls';
}

/** Four typed readings as mm that rise as the surface comes nearer; undefined while one is missing or cannot be read. */
export function readFour(typed: readonly TypedLength[], sense: IndicatorSense): FourReadings | undefined {
  const mm = typed.map((t) => parseLength(t.text, t.unit, 'any'));
  if (mm.length !== 4 || mm.some((m) => !m.ok)) return undefined;
  const sign = sense.pushedIn === 'rises' ? 1 : -1;
  return mm.map((m) => (m.ok ? sign * m.mm.valueOf() : 0)) as unknown as FourReadings;
}

/** A reading as that indicator will show it. */
export function asShown(mm: number, sense: IndicatorSense): string {
  const value = (sense.pushedIn === 'rises' ? mm : -mm) / (sense.unit === 'mm' ? 1 : 25.4);
  const text = value.toFixed(sense.unit === 'mm' ? 2 : 4);
  return Number(text) === 0 ? '0' : text.replace('-', '−');
}
export const amount = (mm: number, unit: LengthUnit): string =>
  unit === 'mm' ? `${mm.toFixed(2)} mm` : `${(mm / 25.4).toFixed(4)} in`;
