import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { metricLathe } from '../testing/shop.ts';
import { calculate, calculationNamed } from './catalogue.ts';

const ok = (name: string, input: unknown) => {
  const outcome = calculate(calculationNamed(name)!, input);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
  return outcome.result as Record<string, number> & { anglesDeg: number[] };
};
const refusal = (name: string, input: unknown) => {
  const outcome = calculate(calculationNamed(name)!, input);
  return outcome.ok ? undefined : outcome.problems[0]!.code;
};

describe('centre drills', () => {
  it('have the bodies of their standards', () => {
    expect(ok('hold.centreHole', { pilotMm: 2.5 })).toMatchObject({ bodyMm: 6.3, mouthMm: 5.3, guardedMm: 8 });
    expect(ok('hold.centreHole', { pilotMm: 0.5 })).toMatchObject({ bodyMm: 3.15, guardedMm: null });
    // number 3: 7/64 pilot, 1/4 body; 5: 3/16 and 7/16; 00: 0.025 in and 5/64
    expect(ok('hold.plainCentreDrill', { size: '3' })).toMatchObject({ pilotIn: 7 / 64, bodyIn: 0.25, bodyMm: 6.35 });
    expect(ok('hold.plainCentreDrill', { size: '5' })).toMatchObject({ pilotIn: 3 / 16, bodyIn: 7 / 16 });
    expect(ok('hold.plainCentreDrill', { size: '00' })).toMatchObject({ pilotIn: 0.025, bodyIn: 5 / 64 });
    expect(refusal('hold.plainCentreDrill', { size: '9' })).toBe('input.notOneOf');
  });
});

describe('bending', () => {
  const bar = { modulusGPa: 207, forceN: 200, diameterMm: 20 };
  it('of a tube is that of its second moment: 30/26 bends 2.3 times its solid', () => {
    const at = (insideMm: number) =>
      ok('mechanics.steppedDeflection', {
        ...{ held: 'chuck', forceN: 100, toolFromChuckMm: 100, modulusGPa: 207 },
        lengths: [{ lengthMm: 100, diameterMm: 30, insideMm }],
      }).deflectionMm!;
    expect(at(26) / at(0)).toBeCloseTo(1 / (1 - (26 / 30) ** 4), 9);
    expect(at(26) / at(0)).toBeCloseTo(2.294, 2);
    expect(
      refusal('mechanics.steppedDeflection', {
        ...{ held: 'chuck', forceN: 100, toolFromChuckMm: 100, modulusGPa: 207 },
        lengths: [{ lengthMm: 100, diameterMm: 30, insideMm: 30 }],
      }),
    ).toBe('mechanics.holeTooWide');
  });
  it.each(['chuck', 'centres', 'chuckAndCentre'] as const)(
    'as far out as it may stand, %s, reaches the error at its worst place and no more',
    (held) => {
      fc.assert(
        fc.property(fc.double({ min: 0.005, max: 0.2, noNaN: true }), (errorMm) => {
          const { lengthMm } = ok('mechanics.longestOverhang', { ...bar, held, errorMm });
          const errors = Array.from(
            { length: 100 },
            (_, i) =>
              ok('mechanics.steppedDeflection', {
                ...{
                  held,
                  forceN: 200,
                  modulusGPa: 207,
                  toolFromChuckMm: Math.min(lengthMm!, (lengthMm! * (i + 1)) / 100),
                },
                lengths: [{ lengthMm, diameterMm: 20 }],
              }).diameterErrorMm!,
          );
          const worst = Math.max(...errors);
          return worst <= errorMm * 1.0001 && worst > errorMm * 0.99;
        }),
        { numRuns: 8 },
      );
    },
  );
  it('of a ring goes with the cube of its radius over its wall, and jaw force for a micron follows', () => {
    const ring = { outsideMm: 105, insideMm: 95, lengthMm: 20, jawForceN: 3000, modulusGPa: 206 };
    // 0.016·1000·50³/(206 000·20·5³/12) = 0.0466
    expect(ok('mechanics.ringLobes', ring).givesMm).toBeCloseTo(0.0464, 4);
    expect(ok('mechanics.ringLobes', ring).diameterErrorMm).toBeCloseTo(0.0928, 4);
    const { jawForceForMicronN } = ok('mechanics.ringLobes', ring);
    expect(ok('mechanics.ringLobes', { ...ring, jawForceN: jawForceForMicronN }).diameterErrorMm).toBeCloseTo(0.001, 9);
  });
});

describe('time and metal', () => {
  it('of a face: following the diameter to the ceiling and then level', () => {
    // π·(100² − 31.83²)/(4000·100·0.1) + 31.83/(2·0.1·1000) = 0.7058 + 0.1592
    const face = ok('cutting.facingTime', { outsideMm: 100, feedMmPerRev: 0.1, speedMPerMin: 100, mostRpm: 1000 });
    expect(face).toMatchObject({ ceilingFromMm: expect.closeTo(31.831, 3), rimRpm: expect.closeTo(318.31, 2) });
    expect(face.followingMin).toBeCloseTo(0.865, 3);
    expect(face.oneSettingMin).toBeCloseTo(1.5708, 4);
    // a slow sum of thin rings
    let slow = 0;
    for (let d = 0.005; d < 100; d += 0.01) slow += 0.005 / (0.1 * Math.min(1000, 100_000 / (Math.PI * d)));
    expect(face.followingMin).toBeCloseTo(slow, 3);
    // a ceiling that is met at the rim already: one setting all the way
    const slowest = ok('cutting.facingTime', { outsideMm: 100, feedMmPerRev: 0.1, speedMPerMin: 100, mostRpm: 200 });
    expect(slowest.followingMin).toBeCloseTo(2.5, 9);
    expect(slowest.oneSettingMin).toBeCloseTo(2.5, 9);
  });
  it('of a cut: 2000·2·0.2^0.75·1.3 N at 60 m/min, 24 cm³ a minute', () => {
    const cut = ok('cutting.power', {
      ...{ kc11NPerMm2: 2000, mc: 0.25, depthMm: 2, feedMmPerRev: 0.2, speedMPerMin: 60, noseRadiusMm: 0 },
      efficiency: 0.75,
    });
    expect(cut.cuttingN).toBeCloseTo(1555.1627, 3);
    expect(cut.motorKw).toBeCloseTo(1.5551627 / 0.75, 6);
    expect(cut.removalMm3PerMin).toBeCloseTo(24_000, 6);
    expect(ok('cutting.time', { lengthMm: 100, feedMmPerRev: 0.2, rpm: 500, passes: 3, handlingMin: 0.4 })).toEqual({
      cuttingMin: 3,
      minutes: expect.closeTo(4.2, 9),
    });
  });
  it('of an edge: four times the life costs 4^0.25 of the speed, and back', () => {
    const known = { speedMPerMin: 200, lifeMin: 15, exponent: 0.25 };
    expect(ok('cutting.taylor', { ...known, wantedLifeMin: 60 }).speedMPerMin).toBeCloseTo(200 / Math.SQRT2, 9);
    expect(ok('cutting.taylor', { ...known, wantedSpeedMPerMin: 200 / Math.SQRT2 }).lifeMin).toBeCloseTo(60, 6);
    expect(refusal('cutting.taylor', known)).toBe('input.oneOfTwo');
  });
});

describe('what was there', () => {
  it('holes that are not even lie on one circle: a right triangle’s is its hypotenuse', () => {
    expect(ok('worn.unevenCircle', { spansMm: [30, 40, 50], of: 'centres' }).circleMm).toBeCloseTo(50, 4);
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 5, max: 100, noNaN: true }), { minLength: 3, maxLength: 9 }),
        fc.double({ min: 10, max: 300, noNaN: true }),
        (shares, circleMm) => {
          const whole = shares.reduce((a, b) => a + b, 0);
          const turns = shares.map((s) => (s / whole) * 360);
          const spansMm = turns.map((t) => circleMm * Math.sin((t * Math.PI) / 360) + 4);
          if (Math.max(...turns) > 340) return true;
          const found = ok('worn.unevenCircle', { spansMm, of: 'outsides', holeMm: 4 });
          const angles = turns.map((_, i) => turns.slice(0, i).reduce((a, b) => a + b, 0));
          return (
            Math.abs(found.circleMm! - circleMm) < circleMm * 1e-4 &&
            found.anglesDeg.every((a, i) => Math.abs(a - angles[i]!) < 0.2)
          );
        },
      ),
    );
    expect(refusal('worn.unevenCircle', { spansMm: [10, 10, 30], of: 'centres' })).toBe('worn.neverCloses');
  });
  it('an arc, a dovetail over rollers, and a reading taken warm', () => {
    expect(ok('worn.arcRadius', { chordMm: 40, heightMm: 5 }).radiusMm).toBe(42.5);
    // 62 − 8·(1 + cot 30°); its far side 2·10·cot 60° wider
    expect(ok('worn.dovetail', { of: 'outside', measuredMm: 62, rollerMm: 8, heightMm: 10 })).toMatchObject({
      cornerMm: expect.closeTo(40.1436, 4),
      farMm: expect.closeTo(51.6906, 4),
    });
    expect(ok('worn.dovetail', { of: 'inside', measuredMm: 20, rollerMm: 8, heightMm: 10 })).toMatchObject({
      cornerMm: expect.closeTo(41.8564, 4),
      farMm: expect.closeTo(30.3094, 4),
    });
    // aluminium 12 K warm, steel gauge 4 K warm: 100·(1 + 46e-6)/(1 + 280.8e-6)
    const warm = { expansionPerK: 2.34e-5, temperatureDegC: 32 };
    const gauge = { expansionPerK: 1.15e-5, temperatureDegC: 24 };
    expect(ok('mechanics.measuredWarm', { readMm: 100, work: warm, gauge }).lengthMm).toBeCloseTo(99.97653, 4);
    expect(ok('mechanics.measuredWarm', { readMm: 100, work: gauge, gauge }).differsMm).toBeCloseTo(0, 12);
  });
  it('an insert tells its countersink and all three of its tolerances', () => {
    expect(ok('tool.insert', { code: 'CCMT 09 T3 04' })).toMatchObject({
      ...{ countersinks: 1, countersinkDeg: [40, 60] },
      ...{ circleToleranceMm: 0.05, heightToleranceMm: 0.08, thicknessToleranceMm: 0.13 },
    });
    expect(ok('tool.insert', { code: 'CNMG 12 04 08' })).toMatchObject({ countersinks: 0, heightToleranceMm: 0.13 });
    expect(ok('tool.insert', { code: 'CCGT 09 T3 04' })).toMatchObject({ heightToleranceMm: 0.025 });
  });
});

describe('choosing a speed', () => {
  it('goes by the policy that is given', () => {
    // in the tests of the chooser itself by every policy; here that it is asked
    const lathe = JSON.parse(JSON.stringify(metricLathe));
    const policy = { choice: 'nearest', belowShare: 0.3, aboveShare: 0.1 };
    expect(ok('lathe.chooseSpeed', { lathe, idealRpm: 470 }).rpm).toBe(335);
    expect(ok('lathe.chooseSpeed', { lathe, idealRpm: 470, policy }).rpm).toBe(500);
  });
});
