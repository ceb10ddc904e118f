import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rational } from '../quantity/index.ts';
import { generalToleranceMm } from './general.ts';
import { itGradeUm, shaftZone } from './iso286.ts';
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
  });
});

describe('parseLimits', () => {
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
  });
});
