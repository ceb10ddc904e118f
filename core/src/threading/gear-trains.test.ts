import { describe, expect, it } from 'vitest';
import { rational } from '../quantity/index.ts';
import { seeded } from '../testing/seeded.ts';
import { clearsStuds, gearTrains, offOverMm } from './gear-trains.ts';

const fives = Array.from({ length: 13 }, (_, i) => 20 + 5 * i);
const many = { most: 100_000 };
const inch = (perInch: number) => rational('25.4').div(perInch);

describe('trains of change gears', () => {
  it('are exact with a 127, and as near as can be without it', () => {
    const ratio = rational(2).div(inch(8));
    const withIt = gearTrains({ gears: [...fives, 127], ratio, pairs: 2, ...many });
    expect(withIt.filter((t) => t.exact)).toHaveLength(3);
    expect(withIt[0]).toMatchObject({ exact: true, errorPpm: 0 });
    const [best] = gearTrains({ gears: fives, ratio, pairs: 2 });
    expect(best).toMatchObject({ exact: false, errorPpm: expect.closeTo(606.06, 2) });
    expect([best!.drivers.toSorted(), best!.driven.toSorted()]).toEqual([
      [40, 65],
      [55, 75],
    ]);
  });
  it.each([
    // gears, ratio, pairs → exact ones, least error
    [fives, inch(10).div(inch(8)), 1, 3, 0],
    [[20, 20, 25, 30, 35, 40, 40, 45, 50, 55, 57, 60, 65, 80, 80], rational('1/3'), 2, 11, 0],
    [[20, 24, 28, 30, 32, 36, 40, 44, 48, 52, 56, 60, 63, 65, 72, 80], inch(16).div(2), 2, 0, 124.984],
  ] as const)('number as many as worked examples have', (gears, ratio, pairs, exact, errorPpm) => {
    const found = gearTrains({ gears: [...gears], ratio, pairs, ...many });
    expect(found.filter((t) => t.exact)).toHaveLength(exact);
    expect(Math.abs(found[0]!.errorPpm)).toBeCloseTo(errorPpm, 2);
  });
  it('are all that brute force finds, in the same order of error', () => {
    const next = seeded(23);
    for (let n = 0; n < 12; n++) {
      const gears = Array.from({ length: 8 }, () => 20 + Math.floor(next() * 60));
      const ratio = rational(Math.floor(20 + next() * 80)).div(Math.floor(20 + next() * 80));
      const sets = new Map<string, number>();
      const each = gears.map((_, i) => i);
      for (const a of each)
        for (const c of each)
          for (const b of each)
            for (const d of each) {
              if (new Set([a, b, c, d]).size < 4) continue;
              const key = [[gears[a]!, gears[c]!].toSorted().join(), [gears[b]!, gears[d]!].toSorted().join()].join(
                '/',
              );
              const ppm = ((gears[a]! * gears[c]!) / (gears[b]! * gears[d]!) / ratio.valueOf() - 1) * 1e6;
              if (Math.abs(ppm) <= 20_000) sets.set(key, ppm);
            }
      const found = gearTrains({ gears, ratio, pairs: 2, ...many });
      expect(found).toHaveLength(sets.size);
      const errors = found.map((t) => Math.abs(t.errorPpm));
      expect(errors).toEqual(errors.toSorted((a, b) => a - b));
      const least = Math.min(...[...sets.values()].map(Math.abs));
      if (found[0]) expect(errors[0]).toBeCloseTo(least, 4);
    }
  });
  it('are turned about until they go onto the banjo, or are none', () => {
    expect(clearsStuds([20, 80], [25, 30])).toBe(false);
    expect(clearsStuds([80, 20], [30, 25])).toBe(true);
    expect(clearsStuds([20], [80])).toBe(true);
    const wish = { gears: [20, 25, 30, 80], ratio: rational(20 * 80).div(25 * 30), pairs: 2 } as const;
    const [made] = gearTrains({ ...wish, goesOn: clearsStuds });
    expect(clearsStuds(made!.drivers, made!.driven)).toBe(true);
    expect(gearTrains({ ...wish, goesOn: () => false })).toEqual([]);
  });
  it('tell their error over what is screwed in', () => {
    expect(offOverMm(606, 20)).toBeCloseTo(0.01212, 6);
  });
});
