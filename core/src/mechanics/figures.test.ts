import { describe, expect, it } from 'vitest';
import { collectWorking } from '../working/index.ts';
import { deflectionMm, longestOverhangMm, secondMomentMm4, shaftOf } from './beam.ts';
import { atJaws, gripUse, jawForceShare } from './grip.ts';
import { lengthAt20Mm, measuredWarmMm, warmingOf } from './heat.ts';

describe('the second moment of area', () => {
  it('of a tube is what its outside has less what its hole takes', () => {
    expect(secondMomentMm4(20)).toBeCloseTo(7853.98, 2);
    // 30/26: 39 761 − 22 432; its solid bends 2.3 times less
    expect(secondMomentMm4(30, 26)).toBeCloseTo(17_329.03, 2);
    expect(secondMomentMm4(30) / secondMomentMm4(30, 26)).toBeCloseTo(2.2945, 4);
  });
});

describe('how far work may stand out', () => {
  it.each(['chuck', 'centres', 'chuckAndCentre'] as const)(
    '%s: there its error is what is allowed, and no more',
    (held) => {
      const bar = { diameterMm: 20, insideMm: 12, modulusGPa: 207, forceN: 200, errorMm: 0.02, held };
      const lengthMm = longestOverhangMm(bar);
      const shaft = shaftOf([{ lengthMm, diameterMm: 20, insideMm: 12 }], 207);
      const errors = Array.from(
        { length: 400 },
        (_, i) => 2 * deflectionMm(shaft, (lengthMm * (i + 1)) / 400, 200, held),
      );
      const worst = Math.max(...errors);
      expect(worst).toBeLessThanOrEqual(0.02 + 1e-9);
      expect(worst).toBeGreaterThan(0.0199);
      // half the error reaches as far as the cube root of a half
      expect(longestOverhangMm({ ...bar, errorMm: 0.01 })).toBeCloseTo(lengthMm * Math.cbrt(0.5), 9);
    },
  );
  it('is 62.5 of Ø20 steel under 200 N for two hundredths', () => {
    const solid = { diameterMm: 20, modulusGPa: 207, forceN: 200, errorMm: 0.02, held: 'chuck' as const };
    // (0.02·3·207 000·7854/(2·200))^(1/3)
    expect(longestOverhangMm(solid)).toBeCloseTo(Math.cbrt((0.02 * 3 * 207_000 * secondMomentMm4(20)) / 400), 9);
    expect(longestOverhangMm(solid)).toBeCloseTo(62.47, 1);
  });
  it('tells what it was worked with', () => {
    const { steps, record } = collectWorking();
    deflectionMm(shaftOf([{ lengthMm: 100, diameterMm: 20 }], 207), 80, 100, 'chuck', record);
    expect(steps[0]!.values).toMatchObject({ modulusGPa: 207, lengthMm: 100, aMm: 80, forceN: 100 });
    const { deflectionMm: y, diameterErrorMm } = steps[0]!.values as Record<string, number>;
    expect(diameterErrorMm).toBe(2 * y!);
  });
});

describe('jaws', () => {
  it('lose force with the square of the speed, to a third at their fastest', () => {
    expect([0, 500, 1000, 1500, 2000].map((n) => Number(jawForceShare(n, 2000).toFixed(6)))).toEqual([
      1, 0.958333, 0.833333, 0.625, 0.333333,
    ]);
    expect(jawForceShare(3000, 2000)).toBe(0.01);
  });
  it('bear torque and feed together within the friction circle, half of it', () => {
    expect(atJaws(300, 400, 40, 40)).toBe(500);
    expect(atJaws(300, 0, 80, 40)).toBe(600);
    expect(gripUse(300, 400, 40, 40, 10_000)).toBeCloseTo(500 / (0.18 * 0.5 * 10_000), 12);
  });
});

describe('warmth', () => {
  it.each([
    // a tenth of 0.6 kW for a minute into 3 kg: 3600 J over 3·c
    ['P', 470],
    ['M', 500],
    ['K', 500],
    ['N', 700],
    ['S', 500],
    ['H', 460],
    ['O', 1400],
  ] as const)('of a cut in %s, %d J/(kg·K)', (group, heat) => {
    const { steps, record } = collectWorking();
    const found = warmingOf({ massKg: 3, lengthMm: 240, expansionPerK: 1.15e-5, group }, 0.6, 0.03, record);
    expect(found.risesKPerMin).toBeCloseTo(3600 / (3 * heat), 9);
    expect(found.growsMmPerMin).toBeCloseTo(1.15e-5 * 240 * (3600 / (3 * heat)), 12);
    expect(found.easeAfterMin).toBeCloseTo(0.03 / found.growsMmPerMin, 9);
    expect(steps[0]!.values).toMatchObject({ heat, growsMmPerMin: found.growsMmPerMin });
  });
  it('of work and gauge: the gauge’s own growth is read too little', () => {
    const steel = { expansionPerK: 1.15e-5, temperatureDegC: 30 };
    expect(measuredWarmMm(100, steel, steel)).toBeCloseTo(100, 12);
    const cold = { expansionPerK: 1.15e-5, temperatureDegC: 20 };
    expect(measuredWarmMm(100, steel, cold)).toBeCloseTo(lengthAt20Mm(100, 1.15e-5, 30), 12);
    expect(measuredWarmMm(100, cold, steel)).toBeCloseTo(100 * 1.000115, 9);
  });
});
