import { describe, expect, it } from 'vitest';
import { brassBar } from '../testing/bars.ts';
import { type Bar, barSizes, checkBar } from './bar.ts';
import { cleanUpOf } from './clean-up.ts';
import { barMassKg } from './mass.ts';
import { inchParts, nearestBar, standardBars } from './standard-bar.ts';

const bar = (more: Partial<Bar> = {}): Bar => brassBar({ diameter: { text: '26', unit: 'mm' }, ...more });

describe('a bar', () => {
  it.each([
    ['round', 26, 530.93],
    ['hexagon', 30.022, 585.43],
    ['square', 36.77, 676],
  ] as const)('that is %s measures so much over its corners, with its area', (shape, corners, area) => {
    const sizes = barSizes(bar({ shape }))!;
    expect([sizes.acrossMm, sizes.cornersMm, sizes.areaMm2]).toEqual([
      26,
      expect.closeTo(corners, 2),
      expect.closeTo(area, 2),
    ]);
  });
  it('is refused with a reason: a tube without its hole, a hole as large as the bar, sizes that are none', () => {
    const codes = (b: Bar) => checkBar(b).map((p) => [p.code, p.path[0]]);
    expect(codes(bar({ shape: 'tube' }))).toEqual([['bar.tubeWithoutBore', 'bore']]);
    expect(codes(bar({ shape: 'tube', bore: { text: '1 1/32', unit: 'in' } }))).toEqual([['bar.boreTooLarge', 'bore']]);
    expect(codes(bar({ length: { text: '0', unit: 'mm' } }))[0]![1]).toBe('length');
    expect(barSizes(bar({ diameter: { text: 'thick', unit: 'mm' } }))).toBeUndefined();
  });
  it('is as straight and as clean as its surface says, unless it was measured', () => {
    expect(barSizes(bar({ surface: 'black' }))).toMatchObject({ bowMmPerM: 4, skinMm: 0.5 });
    expect(barSizes(bar({ surface: 'black', bowMmPerM: 1.2 }))).toMatchObject({ bowMmPerM: 1.2, skinMm: 0.5 });
    expect(barSizes(bar({ shape: 'casting' }))).toMatchObject({ skinMm: 1.5 });
  });
});

describe('cleaning up', () => {
  it('adds the runout once, bow and skin twice', () => {
    const black = { acrossMm: 45, bowMmPerM: 4, skinMm: 0.5 };
    const up = cleanUpOf(42.3, black, 0.1, 250);
    // 42.3 + 0.1 + 2·1 + 2·0.5
    expect(up.needMm).toBeCloseTo(45.4, 9);
    expect([up.cleans, up.spareMm]).toEqual([false, -0.4]);
    expect(cleanUpOf(41.9, black, 0.1, 250).cleans).toBe(true);
  });
});

describe('bars as merchants keep them', () => {
  it.each([
    ['round', 'mm', 42.3, '45 mm'],
    ['round', 'in', 42.3, '1 11/16 in'],
    ['hexagon', 'mm', 23, '24 mm'],
    ['hexagon', 'in', 20, '13/16 in'],
    ['square', 'mm', 14, '14 mm'],
    ['square', 'in', 25.4, '1 in'],
  ] as const)('%s, %s: nearest that is at least %d is %s', (shape, system, need, text) => {
    expect(nearestBar(shape, system, need)?.text).toBe(text);
  });
  it('takes the tube with the least metal, its hole inside what is bored', () => {
    const tube = nearestBar('tube', 'mm', 58.4, 29)!;
    expect(tube.acrossMm).toBeGreaterThanOrEqual(58.4);
    expect(tube.boreMm).toBeLessThanOrEqual(29);
    for (const other of standardBars('tube', 'mm'))
      if (other.acrossMm >= 58.4 && other.boreMm <= 29) expect(other.areaMm2).toBeGreaterThanOrEqual(tube.areaMm2);
    expect(nearestBar('tube', 'mm', 58.4, 2)).toBeUndefined();
    expect(nearestBar('round', 'in', 250)).toBeUndefined();
  });
  it('rise in size without a repeat, inch sizes exactly', () => {
    for (const shape of ['round', 'hexagon', 'square'] as const)
      for (const system of ['mm', 'in'] as const) {
        const sizes = standardBars(shape, system).map((b) => b.acrossMm);
        expect(sizes).toEqual([...new Set(sizes)].sort((a, b) => a - b));
      }
    expect(standardBars('round', 'in').find((b) => b.text === '1 3/8 in')?.acrossMm).toBe(34.925);
    expect([inchParts(22, 16), inchParts(16, 16), inchParts(6, 32)]).toEqual(['1 3/8', '1', '3/16']);
  });
  it('weigh what their section and density say: 25 mm round steel 3.85 kg a metre', () => {
    const round = standardBars('round', 'mm').find((b) => b.text === '25 mm')!;
    expect(barMassKg(round.areaMm2, 1000, 7850)).toBeCloseTo(3.853, 3);
  });
});
