import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rational } from '../quantity/index.ts';
import { generalToleranceMm } from './general.ts';
import { holeZone, itGradeUm, shaftZone } from './iso286.ts';
import { parseLimits } from './parse-limits.ts';
import { itRows } from './standard/it-grades.ts';
import { SHAFT_RANGES_MM, shaftLower, shaftUpper } from './standard/shaft-deviations.ts';

const published: [number, string, number, number, number][] = [
  [25, 'p', 6, 35, 22],
  [3, 'h', 6, 0, -6],
  [75, 'b', 11, -200, -390],
  [160, 'd', 10, -145, -305],
  [100, 'f', 8, -36, -90],
  [1, 'h', 8, 0, -14],
  [130, 'js', 5, 9, -9],
  [225, 'k', 5, 24, 4],
  [24, 'm', 7, 29, 8],
  [260, 'p', 8, 137, 56],
  [450, 's', 7, 295, 232],
  [380, 'x', 6, 696, 660],
  [260, 'zc', 8, 1631, 1550],
  [18.01, 'g', 6, -7, -20],
  [40.01, 'c', 11, -130, -290],
  [200, 'u', 6, 265, 236],
  [28, 'h', 7, 0, -21],
  [30, 'k', 9, 52, 0],
];

describe('ISO 286 shafts', () => {
  it.each(published)('Ø%d %s%d is %d / %d µm', (nominal, letter, grade, upperUm, lowerUm) => {
    expect(shaftZone(nominal, letter, grade)).toEqual({ ok: true, upperUm, lowerUm });
  });
  it('keeps the grades near the formula from IT6 up (the smallest range is rounded up further)', () => {
    const factor: Record<number, number> = { 6: 10, 7: 16, 8: 25, 9: 40, 10: 64, 11: 100, 12: 160, 13: 250 };
    for (const [row, { upToMm }] of itRows.entries()) {
      const below = row === 0 ? 1 : itRows[row - 1]!.upToMm;
      const d = Math.sqrt(below * upToMm);
      for (const [grade, k] of Object.entries(factor)) {
        const formula = k * (0.45 * Math.cbrt(d) + 0.001 * d);
        const table = itGradeUm(upToMm, Number(grade))!;
        expect(Math.abs(table - formula) / formula).toBeLessThan(row === 0 ? 0.16 : 0.1);
      }
    }
  });
  it('keeps d, e, f and g within rounding of their formulas', () => {
    const formulas: [string, (d: number) => number][] = [
      ['d', (d) => 16 * d ** 0.44],
      ['e', (d) => 11 * d ** 0.41],
      ['f', (d) => 5.5 * d ** 0.41],
      ['g', (d) => 2.5 * d ** 0.34],
    ];
    for (const [letter, formula] of formulas)
      for (const [row, { upToMm }] of itRows.entries()) {
        if (row === 0) continue;
        const d = Math.sqrt(itRows[row - 1]!.upToMm * upToMm);
        const zone = shaftZone(upToMm, letter, 7);
        expect(zone.ok && Math.abs(-zone.upperUm - formula(d))).toBeLessThanOrEqual(Math.max(1, 0.05 * formula(d)));
      }
  });
  it('has 25 steps in every row, never falling with size', () => {
    for (const row of [...Object.values(shaftUpper), ...Object.values(shaftLower)]) {
      expect(row).toHaveLength(SHAFT_RANGES_MM.length);
      const known = row.filter((value): value is number => value !== null);
      expect(known.every((value, i) => i === 0 || value >= known[i - 1]!)).toBe(true);
    }
  });
  it('orders the letters: each lies above the one before at every size', () => {
    const letters = [
      'a',
      'b',
      'c',
      'd',
      'e',
      'f',
      'g',
      'h',
      'k',
      'm',
      'n',
      'p',
      'r',
      's',
      'u',
      'x',
      'z',
      'za',
      'zb',
      'zc',
    ];
    for (const upTo of SHAFT_RANGES_MM) {
      const uppers = letters
        .map((letter) => shaftZone(upTo, letter, 7))
        .map((zone) => (zone.ok ? zone.upperUm : Number.NaN));
      expect(uppers.every((value, i) => i === 0 || value >= uppers[i - 1]!)).toBe(true);
    }
  });
  it('refuses what the standard does not give', () => {
    expect(shaftZone(501, 'h', 7)).toMatchObject({ ok: false, code: 'limit.sizeOutside' });
    expect(shaftZone(20, 'h', 14)).toMatchObject({ ok: false, code: 'limit.gradeOutside' });
    expect(shaftZone(20, 'q', 7)).toMatchObject({ ok: false, code: 'limit.zoneUnknown' });
    expect(shaftZone(10, 't', 7)).toMatchObject({ ok: false, code: 'limit.zoneNotForSize' });
    expect(shaftZone(1, 'a', 11)).toMatchObject({ ok: false, code: 'limit.zoneNotForSize' });
    // coarse N holes are not for the smallest sizes
    expect(holeZone(1, 'N', 9)).toMatchObject({ ok: false, code: 'limit.zoneNotForSize' });
    expect(holeZone(1.1, 'N', 9)).toMatchObject({ ok: true, upperUm: -4 });
    expect(holeZone(1, 'N', 8)).toMatchObject({ ok: true });
    // the letters between others are for small sizes
    expect([4, 8, 20].map((d) => shaftZone(d, 'cd', 8))).toMatchObject([
      { upperUm: -46 },
      { upperUm: -56 },
      { upperUm: -85 },
    ]);
    expect(shaftZone(3, 'ef', 6)).toMatchObject({ upperUm: -10, lowerUm: -16 });
    expect(holeZone(6, 'FG', 7)).toMatchObject({ lowerUm: 6, upperUm: 18 });
    expect(shaftZone(60, 'fg', 7)).toMatchObject({ ok: false, code: 'limit.zoneNotForSize' });
  });
});

describe('parseLimits', () => {
  it('reads one side alone, and two sizes with a dash, whichever stands first', () => {
    const at = (text: string, nominal: string, unit: 'mm' | 'in' = 'mm') => {
      const mm = unit === 'mm' ? rational(nominal) : rational(nominal).mul(25.4);
      const read = parseLimits(text, mm, unit, 'm');
      return read.ok ? [read.limits.upperMm, read.limits.lowerMm, read.limits.how] : [read.code];
    };
    expect(at('-0.05', '28')).toEqual([28, 27.95, 'deviations']);
    expect(at('+.1', '28')).toEqual([28.1, 28, 'deviations']);
    expect(at('−0,05', '28')).toEqual([28, 27.95, 'deviations']);
    expect(at('24.98-25.02', '25')).toEqual([25.02, 24.98, 'sizes']);
    expect(at('25.02 – 24.98', '25')).toEqual([25.02, 24.98, 'sizes']);
    const inch = at('.6245-.6255', '0.625', 'in') as [number, number, string];
    expect(inch[0]).toBeCloseTo(0.6255 * 25.4, 9);
    expect(inch[1]).toBeCloseTo(0.6245 * 25.4, 9);
    // no size at all, and none of this part
    expect(at('1-2', '25')).toEqual(['limit.notLimits']);
    expect(at('25-25', '25')).toEqual(['limit.noTolerance']);
    expect(at('ef6', '4')).toEqual([3.986, 3.978, 'zone']);
  });
  const at = (text: string, nominal = '28') => parseLimits(text, rational(nominal), 'mm', 'm');
  it.each([
    ['±0.1', 28.1, 27.9],
    ['+/-0.1', 28.1, 27.9],
    ['+0.02/-0.01', 28.02, 27.99],
    ['+0.02 -0.01', 28.02, 27.99],
    ['0/-0.02', 28, 27.98],
    ['-0.01/-0.03', 27.99, 27.97],
    ['28.00/27.98', 28, 27.98],
    ['h7', 28, 27.979],
    ['', 28.2, 27.8],
    ['±1 thou', 28.0254, 27.9746],
  ])('reads %s', (text, upperMm, lowerMm) => {
    expect(at(text)).toMatchObject({ ok: true, limits: { upperMm, lowerMm } });
  });
  it.each([
    ['-0.02/+0.01', 'limit.reversed'],
    ['27.98/28', 'limit.reversed'],
    ['±0', 'limit.noTolerance'],
    ['+0.1/+0.1', 'limit.noTolerance'],
    ['±30', 'limit.belowZero'],
    ['H7', 'limit.holeZone'],
    ['h22', 'limit.gradeOutside'],
    ['tight', 'limit.notLimits'],
    ['±1,000', 'length.ambiguousComma'],
  ])('refuses %s with %s', (text, code) => {
    expect(at(text)).toMatchObject({ ok: false, code });
  });
  it('always gives an upper limit above the lower one', () => {
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...'+-±/0123456789. hjsk'), maxLength: 12 }), (text) => {
        const read = at(text);
        return !read.ok || read.limits.upperMm > read.limits.lowerMm;
      }),
    );
  });
  it('gives no general tolerance where the standard has none', () => {
    expect(generalToleranceMm(28, 'm')).toBe(0.2);
    expect(generalToleranceMm(0.3, 'm')).toBeUndefined();
    expect(generalToleranceMm(2.5, 'v')).toBeUndefined();
    expect([generalToleranceMm(3000, 'm'), generalToleranceMm(3000, 'f')]).toEqual([2, undefined]);
  });
});
