import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { betweenCentresMm, deflectionMm, secondMomentMm4, shaftOf } from './beam.ts';

/**
 * Deflection at the force by finite differences: the bending line EI·y'' = M on a grid, its unknown reactions found from what the
 * supports hold. A way of its own to the same answer.
 */
function byDifferences(
  lengths: readonly { readonly lengthMm: number; readonly diameterMm: number }[],
  atMm: number,
  forceN: number,
  modulusMPa: number,
  support: 'free' | 'centre' | 'betweenCentres',
): number {
  const wholeMm = lengths.reduce((sum, l) => sum + l.lengthMm, 0);
  const steps = 4000;
  const h = wholeMm / steps;
  const stiffness = Array.from({ length: steps + 1 }, (_, i) => {
    let left = i * h;
    const here = lengths.find((l) => {
      if (left <= l.lengthMm) return true;
      left -= l.lengthMm;
      return false;
    });
    return modulusMPa * secondMomentMm4((here ?? lengths.at(-1)!).diameterMm);
  });
  const bend = (moment: (zMm: number) => number, slope: number): number[] => {
    const y = [0, slope * h + (h * h * moment(0)) / (2 * stiffness[0]!)];
    for (let i = 1; i < steps; i++) y.push(2 * y[i]! - y[i - 1]! + (h * h * moment(i * h)) / stiffness[i]!);
    return y;
  };
  const at = (y: readonly number[]) => y[Math.round(atMm / h)]!;
  const load = (z: number) => Math.max(0, atMm - z) * forceN;
  if (support === 'betweenCentres') {
    // simply held at both ends: M = −R·z + F·(z − a), the slope at the head such that the tail does not move
    const reaction = (forceN * (wholeMm - atMm)) / wholeMm;
    const moment = (z: number) => -reaction * z + forceN * Math.max(0, z - atMm);
    const plain = bend(moment, 0);
    return at(bend(moment, -plain.at(-1)! / wholeMm));
  }
  const free = bend(load, 0);
  if (support === 'free') return at(free);
  const unit = bend((z) => wholeMm - z, 0);
  const reaction = free.at(-1)! / unit.at(-1)!;
  return at(free) - reaction * at(unit);
}

const relative = (a: number, b: number) => Math.abs(a - b) / Math.abs(b);

describe('bending of the work, against finite differences', () => {
  const step = fc.record({ lengthMm: fc.integer({ min: 20, max: 120 }), diameterMm: fc.integer({ min: 8, max: 60 }) });
  it('agrees on stepped shafts held in the chuck, with and without the tail centre', () => {
    fc.assert(
      fc.property(
        fc.array(step, { minLength: 1, maxLength: 4 }),
        fc.double({ min: 0.2, max: 0.9, noNaN: true }),
        (lengths, share) => {
          const wholeMm = lengths.reduce((sum, l) => sum + l.lengthMm, 0);
          const atMm = Math.round(share * 40) * (wholeMm / 40);
          const shaft = shaftOf(lengths, 207);
          for (const centre of [false, true]) {
            const found = deflectionMm(shaft, atMm, 300, centre);
            const slow = byDifferences(lengths, atMm, 300, 207_000, centre ? 'centre' : 'free');
            expect(relative(found, slow)).toBeLessThan(0.01);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
  it('agrees on plain bars between the centres', () => {
    for (const [d, l, a] of [
      [25, 200, 100],
      [16, 220, 55],
      [40, 500, 400],
    ] as const)
      expect(
        relative(
          betweenCentresMm(100, d, l, a, 207),
          byDifferences([{ lengthMm: l, diameterMm: d }], a, 100, 207_000, 'betweenCentres'),
        ),
      ).toBeLessThan(0.005);
  });
});
