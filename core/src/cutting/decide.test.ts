import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chuckOf, type Lathe } from '../lathe/index.ts';
import { materialById, materials, TOOL_MATERIALS } from '../material/index.ts';
import { shaftOf } from '../mechanics/index.ts';
import { latheSpeeds, turningCut } from '../testing/cuts.ts';
import { metricLathe } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { BAND, chooseSpeed, speedTable, usualPolicy } from './choose-speed.ts';
import { decideCut } from './decide.ts';
import { edgeLifeMin } from './edge-life.ts';
import { evaluateCut } from './evaluate.ts';
import { drillLoad, plungeForceN } from './hole-forces.ts';
import { cutMap } from './map.ts';
import { CUTTING_OPERATIONS, operationRules, usualFeedMmPerRev } from './operations.ts';
import { cutProbe, limitsOfBits } from './probe.ts';
import { type CutSetup, holdWhereItBends, SCHOOLS } from './setup.ts';
import { weighStay } from './stay.ts';

const [table, setup] = [latheSpeeds, turningCut];
const anySetup = fc
  .record({
    material: fc.constantFrom(...materials),
    toolMaterial: fc.constantFrom(...TOOL_MATERIALS),
    noseRadiusMm: fc.constantFrom(0, 0.2, 0.4, 0.8, 1.6),
    kappaDeg: fc.constantFrom(45, 75, 90, 95),
    diameterMm: fc.double({ min: 3, max: 180, noNaN: true }),
    overhangMm: fc.double({ min: 10, max: 600, noNaN: true }),
    tailCentre: fc.boolean(),
    operation: fc.constantFrom('turning' as const, 'facing' as const, 'boring' as const, 'parting' as const),
    raUm: fc.constantFrom(undefined, 0.8, 3.2),
    bendAllowedMm: fc.constantFrom(0.005, 0.05, 0.4),
    flatMm: fc.constantFrom(0, 0, 2),
    choice: fc.constantFrom('notAbove' as const, 'nearest' as const, 'stepless' as const),
  })
  .map(
    (x): CutSetup => ({
      ...setup,
      material: x.material,
      tool: {
        ...setup.tool,
        material: x.toolMaterial,
        noseRadiusMm: x.noseRadiusMm,
        kappaDeg: x.kappaDeg,
        flatMm: x.flatMm,
      },
      operation: x.operation,
      diameterMm: x.diameterMm,
      raUm: x.raUm,
      hold: {
        ...setup.hold,
        bending: {
          shaft: shaftOf([{ lengthMm: x.overhangMm, diameterMm: x.diameterMm }], x.material.modulusGPa),
          support: x.tailCentre ? 'chuckAndCentre' : 'chuck',
          atMm: x.overhangMm * 0.6,
        },
        gripDiameterMm: x.diameterMm,
        bendAllowedMm: x.bendAllowedMm,
      },
      policy: { ...usualPolicy, choice: x.choice },
    }),
  );
const depth = fc.double({ min: 0.02, max: 6, noNaN: true });
const feed = fc.double({ min: 0.01, max: 0.8, noNaN: true });

describe('a cut that the motor does not bear at its ideal speed', () => {
  const steel = materialById('medium-carbon-steel')!;
  const setup = (motorKw: number): CutSetup => {
    const lathe = { ...metricLathe, drive: { ...metricLathe.drive, motorKw } };
    return {
      ...{
        material: steel,
        lathe,
        table: speedTable(lathe, 2500),
        feeds: [],
        policy: usualPolicy,
        operation: 'turning',
      },
      tool: { material: 'coated', noseRadiusMm: 0.8, kappaDeg: 95, edgeRadiusMm: 0.03, deepestMm: 4, flatMm: 0 },
      diameterMm: 45,
      hold: holdWhereItBends({
        ...{ tailCentre: false, overhangMm: 60, diameterMm: 45, modulusGPa: 207, jawForceN: 18_000, bendAllowedMm: 1 },
      }),
    };
  };
  it('is slowed and keeps its feed, down to a fifth of the ideal', () => {
    const strong = evaluateCut(setup(11), 1.5, 0.4, 'conditions')!;
    const small = evaluateCut(setup(2.2), 1.5, 0.4, 'conditions')!;
    expect(strong.chosen.reason).not.toBe('power');
    expect(small.chosen.reason).toBe('power');
    expect(small.chosen.speed.rpm).toBeLessThan(strong.chosen.speed.rpm);
    expect(small.limits).not.toContain('power');
    expect(small.powerKw).toBeLessThanOrEqual(small.availableKw);
    // the next faster one would be too much
    const rpms = metricLathe.spindle.settings.flatMap((s) => (s.kind === 'fixed' ? [s.rpm] : []));
    const faster = rpms[rpms.indexOf(small.chosen.speed.rpm) + 1]!;
    expect((small.cuttingN * Math.PI * 45 * faster) / 60_000_000).toBeGreaterThan(small.availableKw);
    // no slower than a fifth: then the feed has to give way
    const weak = evaluateCut(setup(0.2), 1.5, 0.4, 'conditions')!;
    expect(weak.limits).toContain('power');
    expect(small.chosen.speed.rpm).toBeGreaterThanOrEqual(0.2 * small.chosen.idealRpm - 1e-9);
  });
});

describe('a decided cut', () => {
  it('is three settings that the lathe has, each with its reason', () => {
    fc.assert(
      fc.property(anySetup, depth, feed, (s, depthMm, feedMmPerRev) => {
        for (const { cut, feed: power } of decideCut(s, { depthMm, feedMmPerRev, lengthMm: 50 })!) {
          expect(table.fixed.map((f) => f.rpm)).toContain(cut.chosen.speed.rpm);
          expect(s.feeds).toContain(power);
          const { off, reason } = cut.chosen;
          const inside = off >= -BAND.below - 1e-9 && off <= BAND.above + 1e-9;
          expect(inside || ['nothingNearer', 'belowLowest', 'chuckLimit', 'power'].includes(reason)).toBe(true);
          expect(cut.corrected.product).toBeLessThanOrEqual(1.75 + 1e-12);
        }
      }),
    );
  });
  it('never turns a larger diameter faster', () => {
    fc.assert(
      fc.property(anySetup, depth, feed, fc.double({ min: 1.0001, max: 5, noNaN: true }), (s, d, f, times) => {
        for (const school of SCHOOLS) {
          const small = evaluateCut(s, d, f, school)!.chosen.speed.rpm;
          const large = evaluateCut({ ...s, diameterMm: s.diameterMm * times }, d, f, school)!.chosen.speed.rpm;
          expect(large).toBeLessThanOrEqual(small);
        }
      }),
    );
  });
  it('at the same speed and feed asks for no less power when it is deeper', () => {
    fc.assert(
      fc.property(anySetup, depth, feed, fc.double({ min: 1, max: 4, noNaN: true }), (s, d, f, times) => {
        const [a, b] = [d, d * times].map((x) => evaluateCut(s, x, f, 'shopRule')!);
        expect(b!.cuttingN).toBeGreaterThanOrEqual(a!.cuttingN - 1e-9);
        // where power limits, the deeper one may be turned slower
        if (b!.chosen.speed.rpm === a!.chosen.speed.rpm) expect(b!.powerKw).toBeGreaterThanOrEqual(a!.powerKw - 1e-9);
        else
          expect(
            b!.chosen.speed.rpm < a!.chosen.speed.rpm || b!.limits.some((l) => l === 'power' || l === 'torque'),
          ).toBe(true);
      }),
    );
  });
  it('takes machine first what the machine bears, and says what stopped it', () => {
    const [, conditions, machine] = decideCut(setup, { depthMm: 1, feedMmPerRev: 0.2, lengthMm: 100 })!;
    expect(machine!.cut.removalMm3PerMin).toBeGreaterThan(conditions!.cut.removalMm3PerMin);
    expect(machine!.cut.limits.filter((l) => l !== 'thinChip' && l !== 'shallow')).toEqual([]);
    expect(['power', 'torque', 'bend', 'grip', 'tool', 'finish', undefined]).toContain(machine!.stoppedBy);
    const thin = { ...setup.hold.bending, shaft: shaftOf([{ lengthMm: 90, diameterMm: 10 }], 210) };
    const hold = { ...setup.hold, bending: thin, bendAllowedMm: 0.02, gripDiameterMm: 10 };
    const slender = { ...setup, diameterMm: 10, hold };
    expect(decideCut(slender, { depthMm: 1, feedMmPerRev: 0.2, lengthMm: 100 })![2]!.stoppedBy).toBe('bend');
  });
  it('tells its working by the same path', () => {
    const { steps, record } = collectWorking();
    decideCut(setup, { depthMm: 1, feedMmPerRev: 0.2, lengthMm: 100 }, { lever: '4' }, (s) =>
      s === 'conditions' ? record : undefined,
    );
    expect(steps.map((s) => s.code)).toEqual([
      'cutting.correctedSpeed',
      'cutting.rpm',
      'cutting.chosenSpeed',
      'cutting.force',
      'cutting.power',
      'mechanics.cantilever',
      'cutting.spring',
      'mechanics.grip',
      // what stands is too far off to be stayed at
      'cutting.outOfBand',
    ]);
  });
});

describe('the lean form', () => {
  it('has the same limits and the same speed as the full one, everywhere', () => {
    fc.assert(
      fc.property(anySetup, depth, feed, fc.constantFrom(...SCHOOLS), (s, d, f, school) => {
        const full = evaluateCut(s, d, f, school)!;
        const lean = cutProbe(s, school)(d, f);
        expect([limitsOfBits(lean.bits), lean.rpm]).toEqual([full.limits, full.chosen.speed.rpm]);
        expect(lean.removalMm3PerMin).toBeCloseTo(full.removalMm3PerMin, 6);
      }),
      { numRuns: 600 },
    );
  });
  it('agrees on a stepless lathe too', () => {
    const lathe: Lathe = {
      ...metricLathe,
      spindle: {
        ...metricLathe.spindle,
        controls: [],
        settings: [{ kind: 'stepless', at: {}, minRpm: 80, maxRpm: 900, baseRpm: 500 }],
      },
    };
    const stepless = { lathe, table: speedTable(lathe, chuckOf(lathe).maxRpm) };
    fc.assert(
      fc.property(anySetup, depth, feed, fc.constantFrom(...SCHOOLS), (s, d, f, school) => {
        const full = evaluateCut({ ...s, ...stepless }, d, f, school)!;
        const lean = cutProbe({ ...s, ...stepless }, school)(d, f);
        expect([limitsOfBits(lean.bits), lean.rpm]).toEqual([full.limits, full.chosen.speed.rpm]);
      }),
    );
  });
  it('fills a map whose limits close in from above', () => {
    const map = cutMap(setup, 'conditions', 4, 0.4, 40);
    expect(map.bits).toHaveLength(1600);
    const at = (i: number, k: number) => limitsOfBits(map.bits[i * 40 + k]!);
    expect(at(39, 39)).toContain('grip');
    expect(at(4, 10)).toEqual([]);
    expect(map.rpms[0]).toBe(
      evaluateCut(setup, map.depthsMm[0]!, map.feedsMmPerRev[0]!, 'conditions')!.chosen.speed.rpm,
    );
  });
});

describe('changing a setting', () => {
  const policy = { ...usualPolicy, choice: 'nearest' as const };
  // 215 is nearer to 230 than to 155, which is 28 % slow: still inside the band
  const chosen = chooseSpeed(table, 215, undefined, policy)!;
  const weigh = (lever: string, cutMin: number) =>
    weighStay(metricLathe, table.fixed, { lever }, chosen, cutMin, policy);
  it('is left alone while the slower cut costs less time than the lever', () => {
    expect(chosen.speed.rpm).toBe(230);
    // half as long again costs the lever's 0.2 min from 0.41 min of cutting on
    expect(weigh('4', 0.3)).toMatchObject({ stay: true, speed: { rpm: 155 }, changeMin: 0.2 });
    expect(weigh('4', 0.5)).toMatchObject({ stay: false });
    // what stands too far off is no question, however short the cut
    expect(weigh('3', 0.01)).toBeUndefined();
  });
  it('tells what either way costs', () => {
    const { steps, record } = collectWorking();
    weighStay(metricLathe, table.fixed, { lever: '4' }, chosen, 0.3, policy, record);
    expect(steps[0]).toMatchObject({ code: 'cutting.stay', values: { rpm: 155, changeMin: 0.2, stay: 1 } });
  });
  it('is no question where it stands already, or where nobody knows', () => {
    expect(weigh('5', 1)).toBeUndefined();
    expect(weighStay(metricLathe, table.fixed, {}, chosen, 1, usualPolicy)).toBeUndefined();
  });
});

describe('choosing', () => {
  it('by nearest takes the one above when it is nearer and inside the band', () => {
    const nearest = { ...usualPolicy, choice: 'nearest' as const };
    expect(chooseSpeed(table, 470, undefined, nearest)).toMatchObject({ speed: { rpm: 500 }, reason: 'nearest' });
    expect(chooseSpeed(table, 470)).toMatchObject({ speed: { rpm: 335 }, reason: 'nearestBelow' });
    expect(chooseSpeed(table, 400, undefined, nearest)).toMatchObject({ speed: { rpm: 335 } });
  });
});

describe('stepless ranges', () => {
  const ranged = (settings: Lathe['spindle']['settings']): Lathe => ({
    ...metricLathe,
    spindle: { ...metricLathe.spindle, settings },
  });
  it('that both have a speed: the one with the most torque there', () => {
    // at 500 the high range gives 500/1600 of the motor, the low one 500/600
    const high = { kind: 'stepless' as const, at: { lever: '1' }, minRpm: 250, maxRpm: 3000, baseRpm: 1600 };
    const low = { kind: 'stepless' as const, at: { lever: '2' }, minRpm: 80, maxRpm: 900, baseRpm: 600 };
    for (const order of [
      [high, low],
      [low, high],
    ]) {
      const chosen = chooseSpeed(speedTable(ranged(order), 2500), 505);
      expect(chosen).toMatchObject({ speed: { rpm: 500, setting: { at: { lever: '2' } } }, reason: 'stepless' });
      expect(chooseSpeed(speedTable(ranged(order), 2500), 1200)?.speed.setting.at).toEqual({ lever: '1' });
    }
  });
});

describe('operations', () => {
  const steel = { group: 'P', hardnessHb: 190 } as const;
  it('each have rules, and none is faster than filing', () => {
    for (const operation of CUTTING_OPERATIONS) {
      expect(operationRules[operation].speedShare).toBeLessThanOrEqual(1.1);
      const usual = usualFeedMmPerRev(operation, 'rough', 10, steel);
      if (usual !== undefined) expect(usual).toBeGreaterThan(0.02);
    }
    // a 10 mm drill about 0.2 a turn; its reamer half the speed and two and a half times the feed
    expect(usualFeedMmPerRev('drilling', 'rough', 10, steel)).toBeCloseTo(0.19, 2);
    expect(usualFeedMmPerRev('reaming', 'rough', 10, steel)! / usualFeedMmPerRev('drilling', 'rough', 10, steel)!).toBe(
      2.5,
    );
    expect(operationRules.reaming.speedShare).toBe(operationRules.drilling.speedShare / 2);
    expect(operationRules.parting.speedShare).toBe(0.5);
    expect(usualFeedMmPerRev('parting', 'rough', 50, steel)).toBeGreaterThanOrEqual(0.03);
    expect(usualFeedMmPerRev('parting', 'rough', 50, steel)).toBeLessThanOrEqual(0.08);
  });
  it('that cut with the whole edge are never fed as a turning tool is, whatever the motor bears', () => {
    const blade = { ...setup, operation: 'parting' as const };
    for (const { feed, cut } of decideCut(blade, { depthMm: 2, feedMmPerRev: 0.3, lengthMm: 10 })!) {
      expect(cut.feedMmPerRev).toBeLessThanOrEqual(0.08);
      expect(feed?.mmPerRev ?? 0).toBeLessThanOrEqual(0.08);
    }
  });
  it('of drills take the torque that tables give: 10 mm, 0.2 a turn, plain steel, 8 to 12 N·m', () => {
    const { torqueNm, thrustN } = drillLoad(materialById('medium-carbon-steel')!, 10, 0.2);
    expect(torqueNm).toBeGreaterThan(8);
    expect(torqueNm).toBeLessThan(14);
    expect(thrustN).toBeGreaterThan(1000);
    expect(thrustN).toBeLessThan(3500);
  });
  it('of blades cut over their whole width', () => {
    const steel = materialById('low-carbon-steel')!;
    expect(plungeForceN(steel, 4, 0.05)).toBeCloseTo(2 * plungeForceN(steel, 2, 0.05), 9);
    expect(plungeForceN(steel, 3, 0.05)).toBeCloseTo(1780 * 3 * 0.05 ** 0.83 * 1.3, 9);
  });
});

describe('the life of an edge', () => {
  const reference = materialById('medium-carbon-steel')!.speeds.coated;
  it('is the reference at the reference, and a quarter of the speed exponent away from it', () => {
    expect(edgeLifeMin(reference, 0.2, 2, 220)).toBeCloseTo(15, 9);
    // Taylor with n = 0.25: a fifth faster lasts (1/1.2)^4
    expect(edgeLifeMin(reference, 0.2, 2, 220 * 1.2)).toBeCloseTo(15 / 1.2 ** 4, 9);
  });
  it('falls with speed and never leaves what the equation can say', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 900, noNaN: true }), feed, depth, (v, f, d) => {
        const [slow, fast] = [v, v * 1.3].map((x) => edgeLifeMin(reference, f, d, x));
        return slow! >= fast! && slow! <= 600 && fast! >= 1;
      }),
    );
  });
});
