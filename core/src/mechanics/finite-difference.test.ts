import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bentLineMm, deflectionMm, type Support, secondMomentMm4, shaftOf } from './beam.ts';

/**
 * Deflection at the force by finite differences: the bending line EI·y'' = M on a grid, its unknown reactions found from what the
 * supports hold. A way of its own to the same answer.
 */
function byDifferences(
  lengths: readonly { readonly lengthMm: number; readonly diameterMm: number }[],
  atMm: number,
  forceN: number,
  modulusMPa: number,
  support: Support,
): { readonly at: number; readonly line: readonly number[] } {
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
  const told = (line: readonly number[]) => ({ at: line[Math.round(atMm / h)]!, line });
  const load = (z: number) => Math.max(0, atMm - z) * forceN;
  if (support === 'centres') {
    // simply held at both ends: M = −R·z + F·(z − a), the slope at the head such that the tail does not move
    const reaction = (forceN * (wholeMm - atMm)) / wholeMm;
    const moment = (z: number) => -reaction * z + forceN * Math.max(0, z - atMm);
    const plain = bend(moment, 0);
    return told(bend(moment, -plain.at(-1)! / wholeMm));
  }
  const free = bend(load, 0);
  if (support === 'chuck') return told(free);
  const unit = bend((z) => wholeMm - z, 0);
  const reaction = free.at(-1)! / unit.at(-1)!;
  return told(free.map((y, i) => y - reaction * unit[i]!));
}

const relative = (a: number, b: number) => Math.abs(a - b) / Math.abs(b);

describe('bending of the work, against finite differences', () => {
  const step = fc.record({ lengthMm: fc.integer({ min: 20, max: 120 }), diameterMm: fc.integer({ min: 8, max: 60 }) });
  it('agrees on stepped shafts in the chuck, with the tail centre, and between the centres', () => {
    fc.assert(
      fc.property(
        fc.array(step, { minLength: 1, maxLength: 4 }),
        fc.double({ min: 0.2, max: 0.9, noNaN: true }),
        (lengths, share) => {
          const wholeMm = lengths.reduce((sum, l) => sum + l.lengthMm, 0);
          const atMm = Math.round(share * 40) * (wholeMm / 40);
          const shaft = shaftOf(lengths, 207);
          for (const support of ['chuck', 'chuckAndCentre', 'centres'] as const) {
            const found = deflectionMm(shaft, atMm, 300, support);
            expect(relative(found, byDifferences(lengths, atMm, 300, 207_000, support).at)).toBeLessThan(0.01);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
  it('draws the whole line as it bends, not only the place of the force', () => {
    fc.assert(
      fc.property(
        fc.array(step, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 10, max: 36 }),
        fc.integer({ min: 2, max: 39 }),
        (lengths, force, place) => {
          const wholeMm = lengths.reduce((sum, l) => sum + l.lengthMm, 0);
          const [atMm, xMm] = [(force * wholeMm) / 40, (place * wholeMm) / 40];
          const shaft = shaftOf(lengths, 207);
          for (const support of ['chuck', 'chuckAndCentre', 'centres'] as const) {
            const slow = byDifferences(lengths, atMm, 300, 207_000, support);
            const most = Math.max(...slow.line.map(Math.abs));
            const [found] = bentLineMm(shaft, atMm, 300, support, [xMm]);
            expect(Math.abs(found! - slow.line[Math.round((xMm / wholeMm) * (slow.line.length - 1))]!)).toBeLessThan(
              0.012 * most,
            );
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});
