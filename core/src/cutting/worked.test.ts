import { describe, expect, it } from 'vitest';
import { CALIBRATION_N_PER_MM, latheGivesMmPerN } from '../lathe/index.ts';
import { type Material, materialById } from '../material/index.ts';
import { metricLathe } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { chipLook } from './chip.ts';
import { correctedSpeed } from './corrected-speed.ts';
import { edgeLifeMin } from './edge-life.ts';
import { feedForRa, raUm, rzUm, shallowestCutMm, thinnestChipMm } from './finish.ts';
import { chipSize, cutForces, cutPowerKw } from './force.ts';
import { drillLoad, plungeForceN } from './hole-forces.ts';
import { drillFeedMmPerRev, operationRules, usualDepthMm, usualFeedMmPerRev } from './operations.ts';
import { holdWhereItBends } from './setup.ts';
import { cuttingSpeedMPerMin, rpmFor } from './speed.ts';

/** A material with round constants, so that every figure here can be worked out on paper. */
const plain = { kc11NPerMm2: 2000, mc: 0.25 };

describe('cutting force, worked by hand', () => {
  const cut = { depthMm: 2, feedMmPerRev: 0.2, noseRadiusMm: 0, kappaDeg: 90 };
  it.each([
    // 2000·2·0.2^0.75·1.3, and 1.15 times that for high-speed steel
    ['coated', 90, 1555.1627],
    ['uncoated', 90, 1555.1627],
    ['hss', 90, 1788.4371],
    ['cobalt', 90, 1788.4371],
    // b = 2/sin 45°, h = 0.2·sin 45°
    ['coated', 45, 1695.917],
  ] as const)('%s at κ %d°: %d N', (tool, kappaDeg, newton) => {
    expect(cutForces(plain, tool, { ...cut, kappaDeg }).cuttingN).toBeCloseTo(newton, 3);
  });
  it.each([
    // square edge, no nose: the chord stands upright, three tenths back and half along; at 45° as much each way
    [{ kappaDeg: 90 }, 0.3, 0.5],
    [{ kappaDeg: 45 }, 0.4, 0.4],
    // r 0.8, 0.1 deep: 1 − 0.1/1.6 = 0.9375 of the fifth that moves between them; 0.8 deep: the quarter's chord at 45°
    [{ noseRadiusMm: 0.8, depthMm: 0.1 }, 0.4875, 0.3125],
    [{ noseRadiusMm: 0.8, depthMm: 0.8 }, 0.4, 0.4],
    // 2 deep, upright beyond the nose: 0.8²/(0.8² + 2²) = 0.1379
    [{ noseRadiusMm: 0.8, depthMm: 2 }, 0.32759, 0.47241],
  ])('%o pushes back with %d of itself and along with %d', (more, back, along) => {
    const { cuttingN, radialN, feedN } = cutForces(plain, 'coated', { ...cut, ...more });
    expect(radialN / cuttingN).toBeCloseTo(back, 5);
    expect(feedN / cuttingN).toBeCloseTo(along, 5);
  });
  it('needs so much of the motor: 1555 N at 60 m/min are 1.56 kW', () => {
    expect(cutPowerKw(1555.1627, 60)).toBeCloseTo(1.5551627, 9);
  });
  it('tells every figure it used', () => {
    const { steps, record } = collectWorking();
    cutForces(plain, 'hss', cut, record);
    expect(steps[0]!.values).toMatchObject({
      kc11NPerMm2: 2000,
      mc: 0.25,
      widthMm: 2,
      thicknessMm: 0.2,
      wear: 1.3,
      tool: 1.15,
      radialShare: 0.3,
    });
  });
  it('holds the nose’s force until the straight edge has caught up', () => {
    // κ 45°, r 2: the nose ends at 2·(1 − cos 45°) = 0.5858 mm
    const at = (depthMm: number) =>
      cutForces(plain, 'coated', { depthMm, feedMmPerRev: 0.2, noseRadiusMm: 2, kappaDeg: 45 }).cuttingN;
    expect(at(0.586)).toBeCloseTo(at(0.5857), 0);
    expect(at(0.59)).toBeGreaterThanOrEqual(at(0.5857));
    expect(at(1.5)).toBeGreaterThan(at(0.59));
  });
  it('spreads over the arc of the nose in a shallow cut', () => {
    // r 1, depth 0.5: the arc is arccos 0.5 = π/3 long
    const { widthMm, thicknessMm } = chipSize({ depthMm: 0.5, feedMmPerRev: 0.1, kappaDeg: 90, noseRadiusMm: 1 });
    expect(widthMm).toBeCloseTo(Math.PI / 3, 12);
    expect(thicknessMm).toBeCloseTo(0.05 / (Math.PI / 3), 12);
  });
});

describe('drills and blades, worked by hand', () => {
  it('10 mm at 0.2 a turn: 12.0 N·m and 2883 N', () => {
    // kc = 2000·(0.1·sin 59°)^−0.25·1.3; M = 2·kc·0.1·5·2.5/1000; thrust = 0.5·kc·5·0.2·sin 59°·1.4
    expect(drillLoad(plain, 10, 0.2)).toEqual({
      torqueNm: expect.closeTo(12.012875, 5),
      thrustN: expect.closeTo(2883.17217, 4),
    });
  });
  it('has torque with the square of the diameter, thrust with its first power', () => {
    const [small, large] = [drillLoad(plain, 5, 0.1), drillLoad(plain, 15, 0.1)];
    expect(large!.torqueNm / small!.torqueNm).toBeCloseTo(9, 9);
    expect(large!.thrustN / small!.thrustN).toBeCloseTo(3, 9);
  });
  it('a blunter point pushes harder and twists no more than a little', () => {
    const [sharp, blunt] = [drillLoad(plain, 10, 0.2, 90), drillLoad(plain, 10, 0.2, 140)];
    expect(blunt!.thrustN).toBeGreaterThan(sharp!.thrustN);
    expect(blunt!.torqueNm).toBeLessThan(sharp!.torqueNm);
  });
  it('a 3 mm blade at 0.05: 2000·3·0.05^0.75·1.3', () => {
    const { steps, record } = collectWorking();
    expect(plungeForceN(plain, 3, 0.05, record)).toBeCloseTo(824.7496, 3);
    expect(steps[0]!.values).toMatchObject({ widthMm: 3, feedMmPerRev: 0.05, wear: 1.3 });
  });
});

describe('speeds of worked examples', () => {
  it.each([
    [30, 19.0985932, 499.999999242],
    [91.44, 152.4, 190.98593171],
    [226.194671058, 60, 1200],
  ])('%d m/min at Ø%d: %d rpm', (v, d, n) => {
    expect(rpmFor(v, d)).toBeCloseTo(n, 6);
    expect(cuttingSpeedMPerMin(n, d)).toBeCloseTo(v, 6);
  });
  it('corrects by the extended equation: half the feed, half the depth, twice the life', () => {
    const reference = {
      speedMPerMin: 100,
      feedRefMmPerRev: 0.2,
      depthRefMm: 2,
      lifeRefMin: 15,
      feedExponent: 0.3,
      depthExponent: 0.1,
      lifeExponent: 0.25,
    };
    const c = correctedSpeed(reference, 0.1, 1, 30);
    expect(c).toMatchObject({
      feedFactor: expect.closeTo(2 ** 0.3, 12),
      depthFactor: expect.closeTo(2 ** 0.1, 12),
      lifeFactor: expect.closeTo(0.5 ** 0.25, 12),
    });
    expect(c.speedMPerMin).toBeCloseTo(100 * 2 ** 0.15, 9);
    // a hundredth of the feed would be four times the speed: no factor goes beyond one and a half
    expect(correctedSpeed(reference, 0.002, 2, 15)).toMatchObject({ feedFactor: 1.5, product: 1.5 });
    expect(correctedSpeed(reference, 0.002, 0.002, 15).product).toBe(1.75);
    expect(correctedSpeed(reference, 20, 200, 15).product).toBeCloseTo(1 / 1.75, 12);
  });
  it('gives an edge four times the life for three quarters of the root', () => {
    const reference = materialById('low-carbon-steel')!.speeds.hss;
    // n = 0.12: (v/0.9v)^(1/0.12) = 2.406
    const at = (v: number) => edgeLifeMin(reference, reference.feedRefMmPerRev, reference.depthRefMm, v);
    expect(at(reference.speedMPerMin)).toBeCloseTo(60, 9);
    expect(at(reference.speedMPerMin * 0.9)).toBeCloseTo(60 * 0.9 ** (-1 / 0.12), 6);
    expect([at(reference.speedMPerMin * 3), at(reference.speedMPerMin / 3)]).toEqual([1, 600]);
  });
});

describe('finish, worked by hand', () => {
  it.each([
    // feed, nose, Rz = f²/8r, Ra = f²/(18√3·r)
    [0.1, 0.4, 3.125, 0.801875],
    [0.2, 0.8, 6.25, 1.603751],
    [0.05, 1.2, 0.260417, 0.066823],
    [0.3, 0.4, 28.125, 7.216878],
  ])('%d a turn on a nose of %d: Rz %d, Ra %d', (f, r, rz, ra) => {
    expect(rzUm(f, r)).toBeCloseTo(rz, 5);
    expect(raUm(f, r)).toBeCloseTo(ra, 5);
    if (f < r / 2) expect(feedForRa(raUm(f, r), r)).toBeCloseTo(f, 9);
  });
  it('keeps thickness and depth apart: what rubs, and what is pushed away', () => {
    expect(thinnestChipMm(0.03)).toBeCloseTo(0.01, 12);
    // an insert’s nose of 0.8 wants a quarter of a millimetre; keen high-speed steel two hundredths
    expect(shallowestCutMm('coated', 0.8, 0.03)).toBeCloseTo(0.26667, 5);
    expect(shallowestCutMm('hss', 0.8, 0.015)).toBe(0.01);
    expect(shallowestCutMm('cobalt', 0.8, 0.3)).toBeCloseTo(0.1, 12);
    expect(shallowestCutMm('brazed', 0.1, 0.3)).toBeCloseTo(0.1, 12);
  });
});

describe('how the chip will look', () => {
  const steel = { group: 'P', cautions: ['stringyChip'] } satisfies Pick<Material, 'group' | 'cautions'>;
  const dry = { group: 'P', cautions: [] } satisfies Pick<Material, 'group' | 'cautions'>;
  const iron = { group: 'K', cautions: [] } satisfies Pick<Material, 'group' | 'cautions'>;
  const brass = { group: 'N', cautions: ['flyingChips'] } satisfies Pick<Material, 'group' | 'cautions'>;
  it.each([
    // edge radius 0.03: thinner than 0.01 rubs, whatever the material
    [steel, 1, 0.009, 'rubs'],
    [iron, 1, 0.009, 'rubs'],
    // eighteen times as wide as thick and more strings where the material does
    [steel, 2, 0.1, 'stringy'],
    [dry, 2, 0.1, 'fine'],
    [steel, 1.8, 0.1, 'good'],
    [steel, 0.31, 0.1, 'good'],
    [steel, 0.29, 0.1, 'heavy'],
    // iron and brass break short: fine while it is hardly thicker than what rubs
    [iron, 2, 0.019, 'fine'],
    [iron, 2, 0.021, 'good'],
    [brass, 0.1, 0.1, 'good'],
  ] as const)('%o, %d wide and %d thick: %s', (material, widthMm, thicknessMm, look) => {
    expect(chipLook(material, { widthMm, thicknessMm }, 0.03)).toBe(look);
  });
});

describe('what an operation usually wants', () => {
  it.each([
    ['turning', 'rough', 0.2],
    ['turning', 'semi', 0.14],
    ['facing', 'finish', 0.08],
    ['boring', 'rough', 0.14],
    ['centreDrilling', 'rough', 0.03],
    ['grooving', 'rough', 0.05],
    ['form', 'rough', 0.03],
    ['knurling', 'rough', 0.3],
    ['threading', 'rough', undefined],
    ['dieOrTap', 'rough', undefined],
    ['filing', 'finish', undefined],
  ] as const)('%s, %s: %s a turn', (operation, grade, feed) => {
    const usual = usualFeedMmPerRev(operation, grade, 10, { group: 'P', hardnessHb: 190 });
    if (feed === undefined) expect(usual).toBeUndefined();
    else expect(usual).toBeCloseTo(feed, 12);
  });
  it.each([
    // hand tables for drills of high-speed steel: a hundredth or two at 1 mm, D/50 up to 8, 0.3 at 20 in steel
    [0.5, 'P', 190, 0.01],
    [1, 'P', 190, 0.02],
    [1, 'S', 330, 0.01],
    [8, 'P', 190, 0.16],
    [20, 'P', 190, 0.304],
    [8, 'P', 290, 0.12],
    [8, 'N', 95, 0.224],
    [8, 'M', 180, 0.112],
  ] as const)('a drill of %d in %s of %d HB: %d a turn', (diameterMm, group, hardnessHb, feed) => {
    expect(drillFeedMmPerRev(diameterMm, { group, hardnessHb })).toBeCloseTo(feed, 3);
  });
  it('takes off what lathe and edge bear: the usual cut, half a millimetre, a scrape', () => {
    const depths = (family: 'hss' | 'carbide', usual: number) =>
      (['rough', 'semi', 'finish'] as const).map((g) => usualDepthMm(g, { usualDepthMm: usual }, family));
    expect(depths('hss', 1.5)).toEqual([1.5, 0.5, 0.15]);
    expect(depths('carbide', 1.5)).toEqual([1.5, 0.5, 0.25]);
    expect(depths('hss', 0.3)).toEqual([0.3, 0.3, 0.15]);
  });
  it('knows which diameter its speed is for, and what is turned by hand', () => {
    expect(operationRules.facing.diameterOf).toBe('rim');
    expect(operationRules.boring.diameterOf).toBe('bore');
    expect(operationRules.centreDrilling.diameterOf).toBe('mouth');
    expect(Object.values(operationRules).filter((r) => r.byHand)).toEqual([operationRules.dieOrTap]);
    expect(operationRules.parting.notes).toContain('lockCarriage');
  });
});

describe('where work bends most', () => {
  it('is its free end in the chuck, and a little outside the middle on a centre', () => {
    const wanted = { overhangMm: 100, diameterMm: 20, jawForceN: 9000, bendAllowedMm: 0.02, modulusGPa: 210 };
    expect(holdWhereItBends({ ...wanted, tailCentre: false })).toMatchObject({
      ...{ bending: { atMm: 100, support: 'chuck' }, gripDiameterMm: 20 },
    });
    expect(holdWhereItBends({ ...wanted, tailCentre: true })).toMatchObject({
      ...{ bending: { atMm: 60, support: 'chuckAndCentre' }, jawForceN: 9000 },
    });
    // uniform bar, fixed and propped: the slowest search finds the same place within a twentieth of the length
    const bend = (share: number) => share ** 3 * (1 - share) ** 2 * (4 - share);
    const worst = Array.from({ length: 999 }, (_, i) => (i + 1) / 1000).reduce((a, b) => (bend(b) > bend(a) ? b : a));
    expect(Math.abs(worst - 0.6)).toBeLessThan(0.05);
  });
});

describe('the lathe’s own giving', () => {
  it('takes the force of a calibration’s cut for what the formula gives for such a cut', () => {
    const steel = materialById('medium-carbon-steel')!;
    const cut = { depthMm: 0.3, feedMmPerRev: 0.1, kappaDeg: 90, noseRadiusMm: 0.8 };
    expect(cutForces(steel, 'hss', cut).radialN / 0.3 / CALIBRATION_N_PER_MM).toBeCloseTo(1, 1);
    expect(latheGivesMmPerN(metricLathe)).toEqual({ mmPerN: 0.00025, by: 'assumed' });
    const stiff = { rigidity: { ...metricLathe.rigidity, springShare: 0 } };
    expect(latheGivesMmPerN(stiff)).toEqual({ mmPerN: 0.01 / CALIBRATION_N_PER_MM, by: 'calibrated' });
  });
});
