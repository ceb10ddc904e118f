import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { askFor, believedSpring, comesTo, missMm, shownSpring, springPassTakesMm, trialZoneLowerMm } from './spring.ts';

/** The world itself, slowly: a tool at x gives way by k for each millimetre that it really cuts, and by c whatever it cuts. */
function cutSlowly(sign: 1 | -1, xMm: number, cMm: number, k: number, beforeMm: number): number {
  let r = beforeMm;
  for (let i = 0; i < 400; i++) {
    const depth = Math.max(0, sign * (beforeMm - r));
    const next = xMm + sign * (cMm + k * depth);
    r = sign * (beforeMm - next) > 0 ? next : beforeMm;
  }
  return r;
}
const sign = fc.constantFrom(1 as const, -1 as const);
const some = { c: fc.double({ min: -0.03, max: 0.03, noNaN: true }), k: fc.double({ min: 0, max: 0.2, noNaN: true }) };

describe('a pass that springs', () => {
  it('comes out where metal and tool balance, outside and inside', () => {
    fc.assert(
      fc.property(
        fc.record({
          sign,
          ...some,
          a1: fc.double({ min: 0.02, max: 1, noNaN: true }),
          a2: fc.double({ min: -0.1, max: 1, noNaN: true }),
        }),
        ({ sign, c, k, a1, a2 }) => {
          const x1 = 15 - sign * a1;
          const r1 = cutSlowly(sign, x1, c, k, 15);
          fc.pre(sign * (15 - r1) > 1e-6);
          const known = { xMm: x1, rMm: r1, depthMm: sign * (15 - r1), share: k };
          const x2 = x1 - sign * a2;
          expect(comesTo(sign, known, x2, r1, k)).toBeCloseTo(cutSlowly(sign, x2, c, k, r1), 7);
        },
      ),
    );
  });
  it('is asked for by the place that brings it out there', () => {
    fc.assert(
      fc.property(
        fc.record({
          sign,
          k: some.k,
          k1: some.k,
          a1: fc.double({ min: 0, max: 1, noNaN: true }),
          a2: fc.double({ min: 0.001, max: 1, noNaN: true }),
        }),
        ({ sign, k, k1, a1, a2 }) => {
          const known = { xMm: 3, rMm: 15, depthMm: a1, share: k1 };
          const aim = 15 - sign * a2;
          expect(comesTo(sign, known, askFor(sign, known, aim, 15, k), 15, k)).toBeCloseTo(aim, 9);
        },
      ),
    );
  });
  it('follows the three rules as a turner has them', () => {
    // next pass: asked to 10, 0.3 deep, measured 10.02; 0.2 more wanted at 5 %: 0.2 − 0.05·(0.3 − 0.2) = 0.195
    const known = { xMm: 10, rMm: 10.02, depthMm: 0.3, share: 0.05 };
    expect(askFor(1, known, 9.82, 10.02, 0.05)).toBeCloseTo(10 - 0.195, 12);
    // equal depths need no k
    expect(askFor(1, known, 9.72, 10.02, 0.05)).toBeCloseTo(9.7, 12);
    // after a trial cut the run meets the uncut metal: (1 + k)·0.2
    expect(askFor(1, known, 9.82, 10.32, 0.05)).toBeCloseTo(10 - 1.05 * 0.2, 12);
    // a bore goes the other way
    expect(askFor(-1, known, 10.22, 10.02, 0.05)).toBeCloseTo(10 + 0.195, 12);
    // the same number again
    expect(springPassTakesMm(0.2, 0.05)).toBeCloseTo(0.01 / 1.05, 12);
    expect(10.02 - comesTo(1, known, 10, 10.02, 0.05)).toBeCloseTo(springPassTakesMm(0.3, 0.05), 12);
    // the short zone of the trial lies lower than the run by as much
    const x = askFor(1, known, 9.82, 10.32, 0.05);
    expect(9.82 - comesTo(1, known, x, 10.02, 0.05)).toBeCloseTo(trialZoneLowerMm(0.3, 0.05), 12);
  });
  it('cuts nothing that it does not reach', () => {
    expect(comesTo(1, { xMm: 10, rMm: 10, depthMm: 0, share: 0 }, 10.4, 10.2, 0.1)).toBe(10.2);
    expect(comesTo(-1, { xMm: 10, rMm: 10, depthMm: 0, share: 0 }, 9.6, 9.8, 0.1)).toBe(9.8);
  });
});

describe('spring that cuts show', () => {
  it('is found from two of different depth, with what setting and reading leave open', () => {
    const k = 0.06;
    const [r1, r2] = [cutSlowly(1, 14.6, 0.01, k, 15), 0];
    const second = cutSlowly(1, 14.5, 0.01, k, r1);
    const shown = shownSpring(missMm(1, 14.6, r1), missMm(1, 14.5, second), 15 - r1, r1 - second, 0.002, 0.001)!;
    expect(r2).toBe(0);
    expect(shown.share).toBeCloseTo(k, 6);
    expect(shown.uncertaintyShare).toBeCloseTo(Math.sqrt(2 * 4e-6 + 2 * 1e-6) / (15 - r1 - (r1 - second)), 9);
    expect(shownSpring(0.01, 0.01, 0.2, 0.2, 0.002, 0.001)).toBeUndefined();
  });
  it('lies anywhere up to the bound until cuts have shown it', () => {
    expect(believedSpring([], 0.12)).toEqual({ lowShare: 0, bestShare: 0.06, highShare: 0.12, count: 0 });
  });
  it('is held the narrower the surer it was shown, never beyond the bound', () => {
    const sure = believedSpring([{ share: 0.04, uncertaintyShare: 0.004 }], 0.12);
    const loose = believedSpring([{ share: 0.04, uncertaintyShare: 0.03 }], 0.12);
    expect(sure.bestShare).toBeCloseTo(0.04, 2);
    expect(sure.highShare - sure.lowShare).toBeLessThan(0.021);
    expect(loose.highShare - loose.lowShare).toBeGreaterThan(sure.highShare - sure.lowShare);
    expect(loose.highShare).toBeLessThanOrEqual(0.12);
    const twice = believedSpring(Array(4).fill({ share: 0.04, uncertaintyShare: 0.03 }), 0.12);
    expect(twice.highShare - twice.lowShare).toBeLessThan(loose.highShare - loose.lowShare);
  });
  it('does not take for spring what is touch or a slip, and does not average away what contradicts', () => {
    expect(believedSpring([{ share: 0.9, uncertaintyShare: 0.02 }], 0.12).count).toBe(0);
    expect(believedSpring([{ share: -0.4, uncertaintyShare: 0.02 }], 0.12).count).toBe(0);
    const torn = believedSpring(
      [
        { share: 0.01, uncertaintyShare: 0.003 },
        { share: 0.11, uncertaintyShare: 0.003 },
      ],
      0.12,
    );
    expect(torn.lowShare).toBeLessThan(0.03);
    expect(torn.highShare).toBeGreaterThan(0.09);
  });
});
