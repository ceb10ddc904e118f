import type { LengthUnit } from './parse-length.ts';
import { MM_PER_IN, type Rational, rational } from './rational.ts';
import { PLACE_MM, ROUNDING } from './tolerance.ts';

/**
 * Decimal places that a step of this size can show: 0.02 → 2, 0.001 → 3, 0.5 → 1, 1 → 0.
 * @param step graduation in the shown unit, > 0
 * @example decimalsOf(0.02) // 2
 */
export function decimalsOf(step: number): number {
  for (let places = 0; places < 6; places++) {
    const scaled = step * 10 ** places;
    if (scaled > 0.5 && Math.abs(scaled - Math.round(scaled)) < PLACE_MM) return places;
  }
  return 6;
}

/**
 * The whole multiple of `step` nearest to `value`; halves go away from zero.
 * @example roundToStep(0.215, 0.02) // 0.22
 */
export function roundToStep(value: number, step: number): number {
  const lines = Math.sign(value) * Math.round(Math.abs(value) / step + ROUNDING);
  return Number((lines * step).toFixed(9));
}

/** Value of millimetres in the unit asked for, exact for rationals. */
export function inUnit(mm: Rational, unit: LengthUnit): Rational {
  return unit === 'mm' ? mm : mm.div(MM_PER_IN);
}

/**
 * A length as a figure with a fixed number of decimals, in the given unit, without the unit's name.
 * @param valueMm millimetres, exact or not
 * @param decimals digits after the point
 * @example formatLength(12.5, 'in', 3) // '0.492'
 */
export function formatLength(valueMm: number | Rational, unit: LengthUnit, decimals: number): string {
  const value =
    typeof valueMm === 'number' ? (unit === 'mm' ? valueMm : valueMm / 25.4) : inUnit(valueMm, unit).valueOf();
  // toFixed cuts 1.005 short because the float lies below it; a nudge of a part in 10^12 rounds as on paper
  const text = (value + Math.sign(value) * Math.abs(value) * 1e-12).toFixed(decimals);
  return /^-0\.?0*$/.test(text) ? text.slice(1) : text;
}

/** Digits usual on a drawing in that unit: hundredths of a millimetre, thousandths of an inch. */
export function drawingDecimals(unit: LengthUnit): number {
  return unit === 'mm' ? 2 : 3;
}

/**
 * A length without needless zeros, at most the decimals given.
 * @example shortLength(28, 'mm', 3) // '28'
 */
export function shortLength(valueMm: number | Rational, unit: LengthUnit, decimals: number): string {
  const text = formatLength(valueMm, unit, decimals);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}

/**
 * The inch fraction nearest to a length, as a turner reads a rule.
 * @param denominator finest division, a power of two
 * @example inchFraction(34.925, 64) // '1 3/8'
 */
export function inchFraction(valueMm: number | Rational, denominator: number): string {
  const parts = Math.round(((typeof valueMm === 'number' ? valueMm : valueMm.valueOf()) / 25.4) * denominator);
  const whole = Math.floor(parts / denominator);
  const over = rational(`${parts - whole * denominator}/${denominator}`);
  if (over.equals(0)) return String(whole);
  return whole === 0 ? over.toFraction() : `${whole} ${over.toFraction()}`;
}

/** Text that parseLength reads back to exactly the same millimetres: `12.5 mm`, or a fraction where no decimal is exact. */
export function exactText(mm: Rational, unit: LengthUnit): string {
  const value = inUnit(mm, unit);
  // only halves and fifths end as decimals; anything else stays a fraction
  let rest = value.d;
  for (const prime of [2n, 5n]) while (rest % prime === 0n) rest /= prime;
  return `${rest === 1n ? value.toString(40) : value.toFraction(true)} ${unit}`;
}
