import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { materialById, TOOL_MATERIALS } from '../material/index.ts';
import { metricLathe } from '../testing/shop.ts';
import { BAND, chooseSpeed, speedTable } from './choose-speed.ts';
import { correctedSpeed } from './corrected-speed.ts';
import { feedForRa, raUm, rzUm } from './finish.ts';
import { chipSize, cutForces } from './force.ts';
import { cuttingSpeedMPerMin, rpmFor } from './speed.ts';

describe('speed', () => {
  it('gives the published values', () => {
    expect(cuttingSpeedMPerMin(1200, 60)).toBeCloseTo(226.194671058, 6);
    expect(rpmFor(300 * 0.3048, 6 * 25.4)).toBeCloseTo(190.98593171, 6);
  });
  it('never turns a larger diameter faster', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 400, noNaN: true }),
        fc.double({ min: 1, max: 400, noNaN: true }),
        fc.double({ min: 5, max: 300, noNaN: true }),
        (a, b, v) => (a <= b ? rpmFor(v, a) >= rpmFor(v, b) : rpmFor(v, a) <= rpmFor(v, b)),
      ),
    );
  });
});

describe('correctedSpeed', () => {
  const reference = {
    ...materialById('low-carbon-steel')!.speeds.coated,
    speedMPerMin: 120,
  };
  it('is the reference at its own conditions, and 100.9 for twice the life', () => {
    expect(correctedSpeed(reference, 0.2, 2, 15).speedMPerMin).toBe(120);
    expect(correctedSpeed(reference, 0.2, 2, 30).speedMPerMin).toBeCloseTo(100.90756983, 6);
  });
  it('keeps every factor and their product inside the caps', () => {
    const any = fc.double({ min: 0.001, max: 100, noNaN: true });
    fc.assert(
      fc.property(any, any, any, fc.constantFrom(...TOOL_MATERIALS), (f, d, t, tool) => {
        const c = correctedSpeed(materialById('titanium-alloy')!.speeds[tool], f, d, t);
        return (
          [c.feedFactor, c.depthFactor, c.lifeFactor].every((x) => x <= 1.5 + 1e-12 && x >= 1 / 1.5 - 1e-12) &&
          c.product <= 1.75 + 1e-12 &&
          c.product >= 1 / 1.75 - 1e-12
        );
      }),
    );
  });
});

describe('force', () => {
  it('takes the straight edge beyond the nose and the arc inside it', () => {
    expect(chipSize({ depthMm: 2, feedMmPerRev: 0.2, kappaDeg: 90, noseRadiusMm: 0.8 })).toEqual({
      widthMm: 2,
      thicknessMm: 0.2,
    });
    const arc = chipSize({ depthMm: 0.2, feedMmPerRev: 0.1, kappaDeg: 90, noseRadiusMm: 0.8 });
    expect(arc.widthMm).toBeCloseTo(0.8 * Math.acos(0.75), 12);
    expect(arc.widthMm * arc.thicknessMm).toBeCloseTo(0.02, 12);
  });
  it('grows with depth and with feed', () => {
    const steel = materialById('medium-carbon-steel')!;
    const at = (depthMm: number, feedMmPerRev: number) =>
      cutForces(steel, 'hss', { depthMm, feedMmPerRev, kappaDeg: 90, noseRadiusMm: 0.8 }).cuttingN;
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 4, noNaN: true }),
        fc.double({ min: 0.02, max: 0.5, noNaN: true }),
        (d, f) => at(d * 1.1, f) >= at(d, f) && at(d, f * 1.1) > at(d, f),
      ),
    );
  });
});

describe('finish', () => {
  it('gives the published roughness and its inverse', () => {
    expect(rzUm(0.1, 0.4)).toBeCloseTo(3.125, 9);
    expect(raUm(0.1, 0.4)).toBeCloseTo(0.801875373874, 9);
    expect(feedForRa(0.4, 0.4)).toBeCloseTo(0.0706279429532, 9);
    expect(feedForRa(50, 0.4)).toBe(0.2);
  });
});

describe('chooseSpeed', () => {
  const table = speedTable(metricLathe, 3000);
  it.each([
    [500, 500, 'nearestBelow'],
    [499.9, 500, 'justAbove'],
    [499.9 / 1.2, 335, 'nearestBelow'],
    [222, 230, 'justAbove'],
    [30, 45, 'belowLowest'],
    [9000, 1600, 'nothingNearer'],
  ])('for %d takes %d: %s', (ideal, rpm, reason) => {
    const chosen = chooseSpeed(table, ideal)!;
    expect([chosen.speed.rpm, chosen.reason]).toEqual([rpm, reason]);
  });
  it('stays inside the band or says why not', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 6000, noNaN: true }), (ideal) => {
        const { off, reason } = chooseSpeed(table, ideal)!;
        return (
          (off >= -BAND.below - 1e-9 && off <= BAND.above + 1e-9) ||
          reason === 'nothingNearer' ||
          reason === 'belowLowest' ||
          reason === 'chuckLimit'
        );
      }),
    );
  });
  it('never exceeds the chuck, and takes tens of a stepless range', () => {
    const slowChuck = {
      ...metricLathe,
      holding: { ...metricLathe.holding, chucks: metricLathe.holding.chucks.map((c) => ({ ...c, maxRpm: 800 })) },
    };
    expect(chooseSpeed(speedTable(slowChuck, 750), 1600)).toMatchObject({ speed: { rpm: 750 }, reason: 'chuckLimit' });
    const stepless = {
      ...metricLathe,
      spindle: {
        ...metricLathe.spindle,
        controls: [],
        settings: [{ kind: 'stepless' as const, at: {}, minRpm: 80, maxRpm: 900, baseRpm: 600 }],
      },
    };
    expect(chooseSpeed(speedTable(stepless, 3000), 456)).toMatchObject({ speed: { rpm: 450 }, reason: 'stepless' });
    expect(
      chooseSpeed(speedTable({ ...metricLathe, spindle: { ...metricLathe.spindle, settings: [] } }, 3000), 456),
    ).toBeUndefined();
  });
});
