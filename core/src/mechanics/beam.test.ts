import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deflectionMm, secondMomentMm4, shaftOf } from './beam.ts';
import { gripUse } from './grip.ts';
import { lengthAt20Mm } from './heat.ts';

const uniform = (d: number, l: number) => shaftOf([{ lengthMm: l, diameterMm: d }], 207);

describe('deflection', () => {
  it('gives the published cantilever: 10 dia, 50 N at 60 of 120', () => {
    expect(deflectionMm(uniform(10, 120), 60, 50, 'chuck')).toBeCloseTo(0.0354292742883, 9);
    expect(secondMomentMm4(10)).toBeCloseTo(490.873852123, 6);
  });
  it('gives the published bar between centres', () => {
    expect(deflectionMm(uniform(25, 200), 100, 100, 'centres')).toBeCloseTo(0.00419902510083, 10);
    expect(deflectionMm(shaftOf([{ lengthMm: 220, diameterMm: 16 }], 110), 110, 80, 'centres')).toBeCloseTo(
      0.0501503857139,
      9,
    );
  });
  it('gives the published bar in chuck and tail centre', () => {
    expect(deflectionMm(uniform(12, 180), 20, 60, 'chuckAndCentre')).toBeCloseTo(0.000583331263532, 11);
  });
  it('gives the published bar fixed at one end, propped by a rest, loaded at its overhanging end', () => {
    const [restMm, outMm, forceN] = [150, 60, 80];
    const stiff = 207_000 * secondMomentMm4(20);
    const known = (forceN * outMm ** 2 * (3 * restMm + 4 * outMm)) / (12 * stiff);
    expect(deflectionMm(uniform(20, 210), 210, forceN, 'chuck', undefined, restMm)).toBeCloseTo(known, 10);
    // a rest at the very end is a centre, and the tool on the rest moves nothing
    const atEnd = deflectionMm(uniform(20, 210), 90, forceN, 'chuck', undefined, 210);
    expect(atEnd).toBeCloseTo(deflectionMm(uniform(20, 210), 90, forceN, 'chuckAndCentre'), 12);
    expect(deflectionMm(uniform(20, 210), 150, forceN, 'centres', undefined, 150)).toBeCloseTo(0, 12);
  });
  const lengths = fc.array(
    fc.record({ lengthMm: fc.integer({ min: 5, max: 90 }), diameterMm: fc.integer({ min: 6, max: 60 }) }),
    { minLength: 1, maxLength: 8 },
  );
  it('agrees with a slow numeric integral on stepped shafts, with and without the centre', () => {
    fc.assert(
      fc.property(lengths, fc.double({ min: 0.05, max: 0.95, noNaN: true }), fc.boolean(), (steps, share, centre) => {
        const shaft = shaftOf(steps, 207);
        const a = shaft.lengthMm * share;
        const n = 4000;
        const h = shaft.lengthMm / n;
        let free = 0;
        let cross = 0;
        let tail = 0;
        for (let i = 0; i < n; i++) {
          const x = (i + 0.5) * h;
          const at = shaft.endsMm.findIndex((end) => x <= end);
          const ei = 207_000 * shaft.momentsMm4[at]!;
          const m = Math.max(0, a - x);
          free += (m * m * h) / ei;
          cross += (m * (shaft.lengthMm - x) * h) / ei;
          tail += ((shaft.lengthMm - x) ** 2 * h) / ei;
        }
        const slow = 100 * (free - (centre ? cross ** 2 / tail : 0));
        const fast = deflectionMm(shaft, a, 100, centre ? 'chuckAndCentre' : 'chuck');
        return Math.abs(fast - slow) <= 0.01 * 100 * free + 1e-9;
      }),
      { numRuns: 60 },
    );
  });
  it('is never more with the centre than without, and grows with the force', () => {
    fc.assert(
      fc.property(lengths, fc.double({ min: 0, max: 1, noNaN: true }), (steps, share) => {
        const shaft = shaftOf(steps, 207);
        const a = shaft.lengthMm * share;
        return (
          deflectionMm(shaft, a, 100, 'chuckAndCentre') <= deflectionMm(shaft, a, 100, 'chuck') + 1e-12 &&
          deflectionMm(shaft, a, 200, 'chuck') >= deflectionMm(shaft, a, 100, 'chuck')
        );
      }),
    );
  });
});

describe('grip and heat', () => {
  it('uses more of the grip the larger the cut is against the gripped diameter', () => {
    expect(gripUse(1000, 300, 40, 40, 10_000)).toBeLessThan(gripUse(1000, 300, 40, 20, 10_000));
    expect(gripUse(900, 0, 40, 40, 10_000)).toBeCloseTo(1, 9);
  });
  it('gives the published brass length at 20 °C', () => {
    expect(lengthAt20Mm(250, 1.87e-5, 26.5)).toBeCloseTo(249.969616193, 8);
  });
});
