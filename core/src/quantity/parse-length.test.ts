import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimalsOf, exactText, formatLength, inchFraction, roundToStep, shortLength } from './format-length.ts';
import { type LengthUnit, parseLength } from './parse-length.ts';
import { plainMm } from './plain-length.ts';
import { rational, sum } from './rational.ts';

const good: [string, LengthUnit, string][] = [
  ['12.5', 'mm', '12.5'],
  ['12,5', 'mm', '12.5'],
  ['0,125', 'mm', '0.125'],
  ['12.5mm', 'in', '12.5'],
  ['.492in', 'mm', '12.4968'],
  ['1/2"', 'mm', '12.7'],
  ['1 3/8', 'in', '34.925'],
  ['1-3/8', 'in', '34.925'],
  ['1-3/8"', 'mm', '34.925'],
  ['1 - 3/8', 'in', '15.875'],
  ['0.5+.010', 'in', '12.954'],
  ['30 thou', 'mm', '0.762'],
  ['5 tenths', 'in', '0.0127'],
  ['25 µm', 'mm', '0.025'],
  ['10 mm + 1/4 in', 'mm', '16.35'],
  ['1/3', 'mm', '1/3'],
];
const bad: [string, LengthUnit, string][] = [
  ['', 'mm', 'length.empty'],
  ['3/0"', 'mm', 'length.divisionByZero'],
  ['-5', 'mm', 'length.negative'],
  ['0', 'mm', 'length.zero'],
  ['1,000', 'mm', 'length.ambiguousComma'],
  ['1,000.5', 'mm', 'length.ambiguousComma'],
  ['1.000,5', 'mm', 'length.ambiguousComma'],
  ['1e999', 'mm', 'length.exponent'],
  ['9'.repeat(70), 'mm', 'length.tooLong'],
  ['9'.repeat(60), 'mm', 'length.tooLarge'],
  ['5 tenths', 'mm', 'length.tenthInMetric'],
  ['abc', 'mm', 'length.notALength'],
  ['12 cubits', 'mm', 'length.notALength'],
  ['1 2', 'mm', 'length.notALength'],
  ['5++5', 'mm', 'length.notALength'],
  ['1/2/3', 'mm', 'length.notALength'],
];

describe('parseLength', () => {
  it.each(good)('reads %s in a field of %s', (text, unit, mm) => {
    const read = parseLength(text, unit);
    expect(read.ok && read.mm.equals(rational(mm))).toBe(true);
  });
  it.each(bad)('refuses %s in a field of %s with %s', (text, unit, code) => {
    expect(parseLength(text, unit)).toMatchObject({ ok: false, code });
  });
  it('takes a negative deviation where the field allows it', () => {
    const read = parseLength('-0.02', 'mm', 'any');
    expect(read.ok && read.mm.valueOf()).toBe(-0.02);
  });
  it('reads back exactly what exactText wrote, in both units', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10 ** 7 }),
        fc.integer({ min: 1, max: 128 }),
        fc.constantFrom<LengthUnit>('mm', 'in'),
        (n, d, unit) => {
          const mm = rational(`${n}/${d * 1000}`);
          const read = parseLength(exactText(mm, unit), 'mm');
          return read.ok && read.mm.equals(mm);
        },
      ),
    );
  });
  it('never throws and never returns a number out of range, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...'0123456789.,/+- "inmthoue'), maxLength: 80 }), (text) => {
        const read = parseLength(text, 'mm');
        return !read.ok || (read.mm.compare(0) > 0 && read.mm.compare(100_000) <= 0);
      }),
    );
  });
});

describe('plainMm', () => {
  it('equals the exact path to the last bit for every plain decimal it takes', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 999 }),
        fc.integer({ min: 0, max: 99999 }),
        fc.integer({ min: 0, max: 5 }),
        fc.constantFrom<LengthUnit>('mm', 'in'),
        (whole, part, places, unit) => {
          const text = places === 0 ? String(whole) : `${whole}.${String(part).slice(0, places)}`;
          const read = parseLength(text, unit);
          expect(plainMm({ text, unit })).toBe(read.ok ? read.mm.valueOf() : undefined);
        },
      ),
    );
  });
  it('leaves everything else to parseLength', () => {
    expect(['1/2', '12,5', '5mm', '', '-1', '1e3', '9999'].map((text) => plainMm({ text, unit: 'mm' }))).toEqual(
      Array(7).fill(undefined),
    );
  });
});

describe('exact sums', () => {
  it('adds thirds of an inch and millimetres without a remainder', () => {
    const parts = ['1/3 in', '1/3 in', '1/3 in', '0.1', '0.2'].map((text) => {
      const read = parseLength(text, 'mm');
      if (!read.ok) throw new Error(read.code);
      return read.mm;
    });
    expect(sum(parts).equals(rational('25.7'))).toBe(true);
  });
});

describe('formatting', () => {
  it('shows no more digits than the graduation has', () => {
    expect([0.02, 0.001, 0.5, 1, 0.1, 0.0005].map(decimalsOf)).toEqual([2, 3, 1, 0, 1, 4]);
  });
  it('rounds to whole lines, halves away from zero', () => {
    expect(roundToStep(0.215, 0.02)).toBe(0.22);
    expect(roundToStep(-0.03, 0.02)).toBe(-0.04);
  });
  it('rounds as on paper and never shows a negative nothing', () => {
    expect(formatLength(1.005, 'mm', 2)).toBe('1.01');
    expect(formatLength(-0.0001, 'mm', 2)).toBe('0.00');
    expect(shortLength(28.5, 'mm', 3)).toBe('28.5');
    expect(shortLength(100, 'mm', 0)).toBe('100');
    expect(inchFraction(34.925, 64)).toBe('1 3/8');
  });
});
