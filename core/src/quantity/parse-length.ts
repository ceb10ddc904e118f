import Fraction from 'fraction.js';
import { MM_PER_IN, type Rational } from './rational.ts';
import { LONGEST_LENGTH_MM, LONGEST_LENGTH_TEXT } from './tolerance.ts';

/** The two units a length field can have. */
export type LengthUnit = 'mm' | 'in';

/** Why a length's text was refused. */
export type LengthFault =
  | 'length.empty'
  | 'length.tooLong'
  | 'length.notALength'
  | 'length.ambiguousComma'
  | 'length.divisionByZero'
  | 'length.exponent'
  | 'length.tenthInMetric'
  | 'length.negative'
  | 'length.zero'
  | 'length.tooLarge';

export type ParsedLength =
  | { readonly ok: true; readonly mm: Rational; readonly unit: LengthUnit }
  | { readonly ok: false; readonly code: LengthFault; readonly value: string };

/** Which signs a field takes: a size is positive, a distance may be zero, a deviation may be negative. */
export type LengthSign = 'positive' | 'notNegative' | 'any';

const UNIT = String.raw`mm|in(?:ch(?:es)?)?\.?|"|″|”|thou|tenths?|µm|um`;
const NUMBER = String.raw`\d+[ -]\d+\/\d+|\d+\/\d+|\d+[.,]\d*|[.,]\d+|\d+`;
const TERM = new RegExp(String.raw`^\s*(${NUMBER})\s*(${UNIT})?\s*`, 'i');

/** Exact number of one term's digits, or the fault in them. */
function readNumber(text: string): Rational | LengthFault {
  const mixed = /^(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(text);
  if (mixed) {
    const [, whole = '0', over = '0', under = '0'] = mixed;
    if (/^0+$/.test(under)) return 'length.divisionByZero';
    return new Fraction(whole).add(new Fraction(over).div(new Fraction(under)));
  }
  // one comma and exactly three digits may be a thousand or a decimal: ask, never guess
  if (/^[1-9]\d{0,2},\d{3}$/.test(text)) return 'length.ambiguousComma';
  const decimal = text.replace(',', '.').replace(/\.$/, '');
  return new Fraction(decimal.startsWith('.') ? `0${decimal}` : decimal);
}

const PER_UNIT: Record<string, Rational> = {
  mm: new Fraction(1),
  in: MM_PER_IN,
  thou: MM_PER_IN.div(1000),
  tenth: MM_PER_IN.div(10_000),
  um: new Fraction(1, 1000),
};

function unitName(text: string): string {
  const unit = text.toLowerCase();
  if (unit.startsWith('in') || unit === '"' || unit === '″' || unit === '”') return 'in';
  if (unit.startsWith('tenth')) return 'tenth';
  return unit === 'µm' ? 'um' : unit;
}

/**
 * Reads a length as a turner types it: `12.5`, `12,5`, `12.5mm`, `.492in`, `1/2"`, `1 3/8`, `1-3/8`, `0.5+.010`, `30 thou`.
 * The field's unit applies to each term that names none. A hyphen without spaces before a proper fraction is a mixed
 * number (`1-3/8` is 1.375); with spaces it subtracts. `tenth` is 0.0001 in and only understood in an inch field.
 * @param text at most 64 characters are looked at
 * @param fieldUnit unit of a number that names none
 * @param sign which results the field takes
 * @returns exact millimetres and the unit last named (for showing it back), or the fault's code
 * @source FIELD 0; 1 in = 127/5 mm exactly
 * @example parseLength('1-3/8', 'in') // { ok: true, mm: 34.925, unit: 'in' }
 */
export function parseLength(text: string, fieldUnit: LengthUnit, sign: LengthSign = 'positive'): ParsedLength {
  const fail = (code: LengthFault): ParsedLength => ({ ok: false, code, value: text.slice(0, LONGEST_LENGTH_TEXT) });
  if (text.length > LONGEST_LENGTH_TEXT) return fail('length.tooLong');
  let rest = text.trim().replaceAll('−', '-');
  if (rest === '') return fail('length.empty');
  if (/\de[+-]?\d/i.test(rest)) return fail('length.exponent');
  if (/\d[.,]\d+[.,]\d|\d,\d{3},/.test(rest)) return fail('length.ambiguousComma');
  let total = new Fraction(0);
  let unit = fieldUnit;
  let operator = 1;
  const leading = /^([+-])\s*/.exec(rest);
  if (leading) {
    operator = leading[1] === '-' ? -1 : 1;
    rest = rest.slice(leading[0].length);
  }
  for (;;) {
    const term = TERM.exec(rest);
    if (!term) return fail('length.notALength');
    const value = readNumber(term[1]!);
    if (typeof value === 'string') return fail(value);
    const named = term[2] ? unitName(term[2]) : fieldUnit;
    if (named === 'tenth' && fieldUnit === 'mm') return fail('length.tenthInMetric');
    if (term[2]) unit = named === 'mm' || named === 'um' ? 'mm' : 'in';
    total = total.add(value.mul(PER_UNIT[named]!).mul(operator));
    rest = rest.slice(term[0].length);
    if (rest === '') break;
    const next = /^([+-])\s*/.exec(rest);
    if (!next) return fail('length.notALength');
    operator = next[1] === '-' ? -1 : 1;
    rest = rest.slice(next[0].length);
  }
  if (total.compare(LONGEST_LENGTH_MM) > 0) return fail('length.tooLarge');
  if (sign !== 'any' && total.compare(0) < 0) return fail('length.negative');
  if (sign === 'positive' && total.compare(0) === 0) return fail('length.zero');
  return { ok: true, mm: total, unit };
}
