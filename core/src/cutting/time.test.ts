import { describe, expect, it } from 'vitest';
import { collectWorking } from '../working/index.ts';
import { alongMin, facingMin, removalMm3PerMin, speedForLifeMPerMin } from './time.ts';

describe('what cuts take', () => {
  it('along: length over feed and revolutions, as often as there are passes', () => {
    expect(alongMin(100, 0.2, 500)).toBe(1);
    expect(alongMin(100, 0.2, 500, 3)).toBe(3);
    expect(alongMin(50, 0.1, 250, 1)).toBe(2);
  });
  it('across: with the speed that follows, against a slow sum of thin rings, and with the setting of the rim', () => {
    for (const [outsideMm, insideMm, mostRpm] of [
      [100, 0, 1000],
      [100, 40, 1000],
      [100, 10, 200],
      [60, 20, 400],
    ] as const) {
      const { steps, record } = collectWorking();
      const face = { outsideMm, insideMm, feedMmPerRev: 0.1, speedMPerMin: 100, mostRpm };
      const found = facingMin(face, record);
      let slow = 0;
      const ring = 0.005;
      for (let d = insideMm + ring; d < outsideMm; d += 2 * ring)
        slow += ring / (0.1 * Math.min(mostRpm, 100_000 / (Math.PI * d)));
      expect(found.followingMin).toBeCloseTo(slow, 3);
      expect(found.ceilingFromMm).toBeCloseTo(100_000 / (Math.PI * mostRpm), 9);
      expect(found.rimRpm).toBeCloseTo(Math.min(mostRpm, 100_000 / (Math.PI * outsideMm)), 9);
      expect(found.oneSettingMin).toBeCloseTo((outsideMm - insideMm) / 2 / (0.1 * found.rimRpm), 9);
      expect(found.followingMin).toBeLessThanOrEqual(found.oneSettingMin + 1e-9);
      expect(steps[0]!.values).toMatchObject({ followingMin: found.followingMin, oneSettingMin: found.oneSettingMin });
    }
  });
  it('metal and edges: a millimetre at 0.2 and 30 m/min is 6 cm³ a minute; four times the life costs 4^n of the speed', () => {
    expect(removalMm3PerMin(1, 0.2, 30)).toBe(6000);
    expect(removalMm3PerMin(2, 0.1, 60)).toBe(12_000);
    expect(speedForLifeMPerMin({ speedMPerMin: 200, lifeMin: 15, exponent: 0.25 }, 60)).toBeCloseTo(141.42136, 4);
    expect(speedForLifeMPerMin({ speedMPerMin: 200, lifeMin: 15, exponent: 0.5 }, 15)).toBe(200);
  });
});
