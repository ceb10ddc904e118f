import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { collectWorking } from '../working/index.ts';
import { ringBearsN, ringGivesMm } from './ring.ts';
import { tipUse } from './tipping.ts';

describe('tipping out of the jaws', () => {
  it('is borne by the grip’s length and by what friction is left', () => {
    // 0.5 · (18 000 · 30/6 + 0.18 · 18 000 · 40/4) = 61.2 N·m
    const tipping = { gripMm: 30, armMm: 60, weightNmm: 0 };
    expect(tipUse(500, 0, tipping, 40, 18_000)).toBeCloseTo(30_000 / 61_200, 9);
    // friction that torque and feed use is not there twice: at the end of it only the length is left
    expect(tipUse(500, 0.18 * 18_000, tipping, 40, 18_000)).toBeCloseTo(30_000 / 45_000, 9);
    expect(tipUse(500, 99_000, tipping, 40, 18_000)).toBeCloseTo(30_000 / 45_000, 9);
    // half of it used leaves √3/2 of it: 0.5 · (90 + 0.1559 · 180) = 59.03 N·m
    expect(tipUse(500, 0.09 * 18_000, tipping, 40, 18_000)).toBeCloseTo(30_000 / 59_029.61, 6);
    // its weight turns with it
    expect(tipUse(0, 0, { ...tipping, weightNmm: 61_200 }, 40, 18_000)).toBeCloseTo(1, 9);
  });
  it('is told in newton metres', () => {
    const { steps, record } = collectWorking();
    tipUse(500, 0, { gripMm: 30, armMm: 60, weightNmm: 2000 }, 40, 18_000, record);
    expect(steps[0]!.values).toMatchObject({ weightNm: 2, momentNm: 32, bearsNm: expect.closeTo(61.2, 6) });
  });
  it('comes sooner with a longer arm and a shorter grip', () => {
    const share = (armMm: number, gripMm: number) => tipUse(400, 900, { gripMm, armMm, weightNmm: 500 }, 30, 12_000);
    fc.assert(
      fc.property(fc.double({ min: 1, max: 200, noNaN: true }), fc.double({ min: 1, max: 60, noNaN: true }), (a, l) => {
        expect(share(a + 5, l)).toBeGreaterThan(share(a, l));
        expect(share(a, l + 1)).toBeLessThan(share(a, l));
      }),
    );
  });
});

describe('a thin ring in the jaws', () => {
  const ring = { forceN: 1000, jaws: 3, radiusMm: 50, wallMm: 5, lengthMm: 20, modulusGPa: 206 };
  it('goes in under three jaws by 0.016 P R³/(E I), under two by 0.0744, as textbooks have it', () => {
    const unit = (1000 * 50 ** 3) / (206_000 * ((20 * 125) / 12));
    expect(ringGivesMm(ring) / unit).toBeCloseTo(0.016, 3);
    expect(ringGivesMm({ ...ring, jaws: 2 }) / unit).toBeCloseTo(0.0744, 4);
    expect(ringGivesMm({ ...ring, jaws: 4 }) / unit).toBeCloseTo(0.0061, 4);
  });
  it('gives by the cube of its radius and of its wall', () => {
    expect(ringGivesMm({ ...ring, radiusMm: 100 })).toBeCloseTo(8 * ringGivesMm(ring), 12);
    expect(ringGivesMm({ ...ring, wallMm: 10 })).toBeCloseTo(ringGivesMm(ring) / 8, 12);
  });
  it('bears under each jaw what bends its wall to a stress: M = 0.189·P·R under three, 0.1366 under four, P·R/π under two', () => {
    // 100 N/mm² in a wall of 5, 20 long: M = 100·20·25/6 = 8333 N·mm
    expect((ringBearsN(ring, 100) * 50) / (100 * ((20 * 25) / 6))).toBeCloseTo(1 / 0.18879, 3);
    expect((ringBearsN({ ...ring, jaws: 4 }, 100) * 50) / (100 * ((20 * 25) / 6))).toBeCloseTo(1 / 0.13662, 3);
    expect((ringBearsN({ ...ring, jaws: 2 }, 100) * 50) / (100 * ((20 * 25) / 6))).toBeCloseTo(Math.PI, 9);
    expect(ringBearsN({ ...ring, wallMm: 10 }, 100)).toBeCloseTo(4 * ringBearsN(ring, 100), 9);
  });
});
