import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { byCompound, equalAreaDepths, stepByCompound } from './infeed.ts';

const tangentsOf = (includedDeg: number): number => 2 * Math.tan((includedDeg * Math.PI) / 360);

describe('going into a thread', () => {
  it('is farther by the compound than across, and shifts along', () => {
    expect(byCompound(0.135, 29)).toEqual({
      travelMm: expect.closeTo(0.1543528, 6),
      alongMm: expect.closeTo(0.0748317, 6),
    });
    expect(byCompound(3, 14.5)).toEqual({ travelMm: expect.closeTo(3.0987, 4), alongMm: expect.closeTo(0.77585, 4) });
    // straight in
    expect(byCompound(1, 0)).toEqual({ travelMm: 1, alongMm: 0 });
  });
  it('leaves the trailing flank alone at half the angle, and shaves it at less', () => {
    const step = stepByCompound(0.001, 14.5, 29);
    expect(step.pitchDiameterMm).toBeCloseTo(-0.0019362953, 9);
    expect(step.trailingMm).toBeCloseTo(0, 12);
    expect(stepByCompound(0.1, 29.5, 60).trailingMm).toBeGreaterThan(0);
    expect(stepByCompound(0.1, 30.5, 60).trailingMm).toBeLessThan(0);
  });
  it('takes equal areas pass by pass', () => {
    const depths = equalAreaDepths(0.92, 6, tangentsOf(60), 0.19);
    for (const [i, mm] of [0.303004, 0.475868, 0.61112, 0.726064, 0.827781, 0.92].entries())
      expect(depths[i]).toBeCloseTo(mm, 5);
  });
  it('never takes more than the pass before, and ends where it should', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 6, noNaN: true }),
        fc.integer({ min: 1, max: 40 }),
        fc.constantFrom(29, 30, 47.5, 55, 60),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (depth, passes, angle, flat) => {
          const at = equalAreaDepths(depth, passes, tangentsOf(angle), flat);
          const cuts = at.map((mm, i) => mm - (at[i - 1] ?? 0));
          expect(at.at(-1)).toBe(depth);
          for (const [i, cut] of cuts.entries()) {
            expect(cut).toBeGreaterThan(0);
            if (i > 0) expect(cut).toBeLessThanOrEqual(cuts[i - 1]! + 1e-9);
          }
        },
      ),
      { seed: 3 },
    );
  });
});
