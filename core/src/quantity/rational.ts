import Fraction from 'fraction.js';

/** An exact rational number; every length that was typed is one of these until it is shown. */
export type Rational = Fraction;

/** Millimetres in one inch, exact by definition (1959 agreement). */
export const MM_PER_IN: Rational = new Fraction(127, 5);

/**
 * An exact rational from a whole number, a decimal text or a quotient text.
 * @param value `'12.5'`, `'3/8'` or a finite number that is meant as its decimal text
 * @throws Error on text that is no number: callers parse users' text with parseLength first
 * @example rational('1/8').toString() // '0.125'
 */
export function rational(value: string | number | Rational): Rational {
  if (typeof value !== 'number') return new Fraction(value);
  // very small and very large numbers print with an exponent, which is no decimal text
  const text = String(value);
  return text.includes('e') ? new Fraction(value) : new Fraction(text);
}

/** Sum of exact rationals. @example sum([rational('0.1'), rational('0.2')]).toString() // '0.3' */
export function sum(values: readonly Rational[]): Rational {
  return values.reduce((total, value) => total.add(value), new Fraction(0));
}
