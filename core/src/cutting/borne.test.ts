import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Lathe, powerKwAt } from '../lathe/index.ts';
import { materialById } from '../material/index.ts';
import { atJaws, gripUse, tipUse } from '../mechanics/index.ts';
import { latheSpeeds, turningCut } from '../testing/cuts.ts';
import { metricLathe } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { chooseSpeed, MOST_SLOWED, slowerSpeed, speedTable, switchRpm, usualPolicy } from './choose-speed.ts';
import { decideCut } from './decide.ts';
import { edgeLifeMin } from './edge-life.ts';
import { evaluateCut, finishFeedMm } from './evaluate.ts';
import { cutForces, radialPart } from './force.ts';
import { cutMap } from './map.ts';
import { operationRules } from './operations.ts';
import { cutProbe, limitsOfBits } from './probe.ts';
import { bendPerN, type CutSetup, forceLeft } from './setup.ts';
import { weighStay } from './stay.ts';

const [table, setup] = [latheSpeeds, turningCut];
const stepless = (settings: Lathe['spindle']['settings']): Lathe => ({
  ...metricLathe,
  spindle: { ...metricLathe.spindle, settings },
});
const low = { kind: 'stepless' as const, at: { lever: '2' }, minRpm: 80, maxRpm: 900, baseRpm: 600 };

describe('a slower speed that is borne', () => {
  it('is the fastest of those there are that is, above a fifth of the ideal', () => {
    const rpms = table.fixed.map((s) => s.rpm);
    fc.assert(
      fc.property(fc.constantFrom(...table.fixed), fc.double({ min: 40, max: 1700, noNaN: true }), (from, most) => {
        const idealRpm = from.rpm;
        const found = slowerSpeed(table, { speed: from, idealRpm }, (s) => s.rpm <= most);
        const wanted = rpms.filter((n) => n < from.rpm && n <= most && n >= MOST_SLOWED * idealRpm - 1e-9).at(-1);
        expect(found?.speed.rpm).toBe(wanted);
        if (found) expect(found).toMatchObject({ reason: 'power', idealRpm, off: found.speed.rpm / idealRpm - 1 });
      }),
    );
  });
  it('of a stepless range goes down in steps, in whole tens, never faster than it was', () => {
    const ranged = speedTable(stepless([low]), 2500);
    const from = chooseSpeed(ranged, 800)!;
    const { steps, record } = collectWorking();
    const found = slowerSpeed(ranged, from, (s) => s.rpm <= 505, 'grip', record)!;
    expect(found.speed.rpm % 10).toBe(0);
    expect(found.speed.rpm).toBeGreaterThan(505 * 0.9);
    expect(found.speed.rpm).toBeLessThanOrEqual(505);
    expect(found.reason).toBe('grip');
    expect(steps[0]!.values).toMatchObject({ offPercent: (found.speed.rpm / 800 - 1) * 100, reason: 'grip' });
    expect(slowerSpeed(ranged, from, () => true)!.speed.rpm).toBeLessThan(800);
    expect(slowerSpeed(ranged, from, () => true)!.speed.rpm).toBeGreaterThan(720);
    expect(slowerSpeed(ranged, from, (s) => s.rpm < 100)).toBeUndefined();
  });
  it('is taken where jaws are thrown outwards, and told so', () => {
    // jaws hold by a third at the most that the chuck may turn
    const fast = { ...setup, table: speedTable(metricLathe, 1600), diameterMm: 12 };
    const at = (jawForceN: number) =>
      evaluateCut({ ...fast, hold: { ...fast.hold, gripDiameterMm: 12, jawForceN } }, 0.5, 0.1, 'shopRule')!;
    const firm = at(40_000);
    const share = firm.gripShare;
    // so little that it slips at that speed and not at a slower one
    const weak = at(40_000 * share * 1.02 * forceLeft({}, firm.chosen.speed.rpm, 1600));
    expect(firm.chosen.reason).not.toBe('grip');
    expect(weak.chosen.reason).toBe('grip');
    expect(weak.chosen.speed.rpm).toBeLessThan(firm.chosen.speed.rpm);
    expect(weak.gripShare).toBeLessThanOrEqual(1);
    expect(weak.limits).not.toContain('grip');
    // jaws that hold it at no speed leave it as fast as the motor bears
    const none = at(10);
    expect(none.limits).toContain('grip');
    expect(none.chosen.speed.rpm).toBe(firm.chosen.speed.rpm);
  });
});

describe('what jaws bear of a cut', () => {
  const forces = cutForces(setup.material, 'hss', { depthMm: 1, feedMmPerRev: 0.2, kappaDeg: 80, noseRadiusMm: 0.8 });
  const shareOf = (hold: Partial<CutSetup['hold']>) =>
    evaluateCut({ ...setup, hold: { ...setup.hold, jawForceN: 60_000, ...hold } }, 1, 0.2, 'shopRule')!;
  it('is slipping or tipping, whichever is more', () => {
    const plain = shareOf({});
    const jawsN = 60_000 * forceLeft({}, plain.chosen.speed.rpm, table.mostRpm);
    const slips = gripUse(forces.cuttingN, forces.feedN, 40, 45, jawsN);
    expect(plain.gripShare).toBeCloseTo(slips, 9);
    const tipping = { gripMm: 8, armMm: 90, weightNmm: 3000 };
    const tips = tipUse(
      Math.hypot(forces.cuttingN, forces.radialN),
      atJaws(forces.cuttingN, forces.feedN, 40, 45),
      tipping,
      45,
      jawsN,
    );
    expect(tips).toBeGreaterThan(slips);
    expect(shareOf({ tipping }).gripShare).toBeCloseTo(tips, 9);
    expect(shareOf({ tipping: { ...tipping, gripMm: 500, armMm: 1, weightNmm: 0 } }).gripShare).toBeCloseTo(slips, 9);
  });
  it('is its torque alone where it is driven', () => {
    const driven = shareOf({ driven: true });
    const jawsN = 60_000 * forceLeft({}, driven.chosen.speed.rpm, table.mostRpm);
    expect(driven.gripShare).toBeCloseTo(gripUse(forces.cuttingN, 0, 40, 45, jawsN), 9);
    expect(driven.gripShare).toBeLessThan(shareOf({}).gripShare);
  });
  it('goes with how much work, tool and lathe spring for each millimetre of depth', () => {
    const { springShare, radialN } = shareOf({});
    expect(radialN).toBeCloseTo(forces.radialN, 9);
    // 0.00025 mm a newton where nothing is known of the lathe
    expect(springShare).toBeCloseTo((forces.radialN / 1) * (bendPerN(setup) / 2 + 0.00025), 9);
  });
});

describe('how much pushes back', () => {
  it.each([
    // κ 45°, r 2: the nose ends at 0.5858; above it 1 − d/2r, below it the chord over nose and edge
    [0.3, 45, 2, 0.925],
    [0.58, 45, 2, 0.855],
    [1, 45, 2, 0.76976],
    [3, 45, 2, 0.61956],
    [2, 90, 0, 0],
    [2, 45, 0, 0.5],
  ])('%d deep, κ %d°, nose %d: %d', (depthMm, kappaDeg, noseRadiusMm, part) => {
    expect(radialPart({ depthMm, kappaDeg, noseRadiusMm, feedMmPerRev: 0.1 })).toBeCloseTo(part, 4);
  });
  it('is told as it is', () => {
    const { steps, record } = collectWorking();
    const cut = { depthMm: 1, feedMmPerRev: 0.1, kappaDeg: 90, noseRadiusMm: 0.4 };
    const { radialN, cuttingN } = cutForces(setup.material, 'hss', cut, record);
    expect(steps[0]!.values).toMatchObject({ radialN, cuttingN, radialShare: radialN / cuttingN });
  });
});

describe('rules of operations', () => {
  it('share the speed of turning as practice has it', () => {
    const shares = Object.fromEntries(Object.entries(operationRules).map(([name, rule]) => [name, rule.speedShare]));
    expect(shares).toEqual({
      ...{ turning: 1, facing: 1, boring: 0.8, drilling: 0.8, centreDrilling: 0.5, reaming: 0.4, parting: 0.5 },
      ...{ grooving: 0.5, form: 0.5, threading: 0.3, knurling: 0.35, dieOrTap: 0.15, filing: 1.1 },
    });
  });
  it('hold what cuts with its whole edge to its feed, by hand too', () => {
    const most = Object.entries(operationRules).flatMap(([name, r]) =>
      r.mostFeedMmPerRev ? [[name, r.mostFeedMmPerRev]] : [],
    );
    expect(most).toEqual([
      ['parting', 0.08],
      ['grooving', 0.08],
      ['form', 0.05],
    ]);
    const byHand = { ...setup, feeds: [], operation: 'parting' as const };
    for (const [asked, fed] of [
      [0.3, 0.08],
      [0.03, 0.03],
    ] as const)
      for (const { cut, feed } of decideCut(byHand, { depthMm: 1, feedMmPerRev: asked, lengthMm: 10 })!) {
        expect(feed).toBeUndefined();
        expect(cut.feedMmPerRev).toBe(fed);
      }
  });
  it('finish on a ground flat below its length', () => {
    expect(finishFeedMm({ ...setup, raUm: 1.6, tool: { ...setup.tool, flatMm: 1 } })).toBe(0.8);
    expect(finishFeedMm({ ...setup, raUm: undefined })).toBe(Number.POSITIVE_INFINITY);
  });
});

describe('what stops the machine', () => {
  it('is what the next step deeper or coarser runs into', () => {
    const of = (change: Partial<CutSetup['hold']>, more: Partial<CutSetup> = {}) =>
      decideCut(
        { ...setup, ...more, hold: { ...setup.hold, jawForceN: 90_000, bendAllowedMm: 50, ...change } },
        { depthMm: 1, feedMmPerRev: 0.2, lengthMm: 50 },
      )![2]!;
    expect(of({ bendAllowedMm: 0.005 }).stoppedBy).toBe('bend');
    expect(of({ jawForceN: 2500 }).stoppedBy).toBe('grip');
    // an edge that goes no deeper, on soft metal with all the motor it wants: nothing stops it
    const mighty = { ...metricLathe, drive: { motorKw: 30, efficiency: 1 } };
    const soft = { lathe: mighty, table: speedTable(mighty, 2500), material: materialById('acetal')! };
    const all = of({}, { ...soft, tool: { ...setup.tool, deepestMm: 0.4 } });
    expect(all.stoppedBy).toBeUndefined();
    expect(all.cut.depthMm).toBeCloseTo(0.4, 9);
    expect(all.feed!.mmPerRev).toBe(setup.feeds.at(-1)!.mmPerRev);
  });
  it('finds nothing where nothing is borne, and says what with', () => {
    const none = decideCut(
      { ...setup, hold: { ...setup.hold, jawForceN: 1 } },
      { depthMm: 1, feedMmPerRev: 0.2, lengthMm: 50 },
    )![2]!;
    expect(none.cut.limits).toContain('grip');
    expect(none.cut.depthMm).toBeCloseTo(3 / 16, 9);
  });
});

describe('maps, stays and lives', () => {
  it('begin at a fiftieth of their ends, a hundred steps each way', () => {
    const map = cutMap(setup, 'shopRule', 3, 0.5);
    expect([map.depthsMm.length, map.feedsMmPerRev.length]).toEqual([100, 100]);
    expect([map.depthsMm[0], map.depthsMm.at(-1)]).toEqual([expect.closeTo(0.06, 12), expect.closeTo(3, 12)]);
    expect([map.feedsMmPerRev[0], map.feedsMmPerRev.at(-1)]).toEqual([
      expect.closeTo(0.01, 12),
      expect.closeTo(0.5, 12),
    ]);
  });
  it('mark a depth that the edge just takes as taken, and the next one not', () => {
    const probe = cutProbe(setup, 'shopRule');
    expect(limitsOfBits(probe(4, 0.2).bits)).not.toContain('tool');
    expect(limitsOfBits(probe(4.001, 0.2).bits)).toContain('tool');
    expect(evaluateCut(setup, 4, 0.2, 'shopRule')!.limits).not.toContain('tool');
    expect(evaluateCut(setup, 4.001, 0.2, 'shopRule')!.limits).toContain('tool');
  });
  it('tell how far off a speed is that stands', () => {
    const { steps, record } = collectWorking();
    const chosen = chooseSpeed(table, 400)!;
    const standing = table.fixed.find((s) => s.rpm !== chosen.speed.rpm && s.rpm > 290 && s.rpm < 440);
    const other = standing ?? table.fixed.find((s) => s.rpm === 335)!;
    weighStay(
      metricLathe,
      table.fixed,
      other.setting.at,
      { ...chosen, speed: table.fixed.at(-1)!, idealRpm: 400 },
      2,
      usualPolicy,
      record,
    );
    expect(steps[0]!.values).toMatchObject({ rpm: other.rpm, offPercent: (other.rpm / 400 - 1) * 100 });
  });
  it('lose nothing of an exponent that is all but none', () => {
    const reference = {
      ...{ speedMPerMin: 100, feedRefMmPerRev: 0.2, depthRefMm: 2, lifeRefMin: 15, feedExponent: 0, depthExponent: 0 },
      lifeExponent: 0.001,
    };
    // held at a fiftieth: (100/99)^50 of the reference
    expect(edgeLifeMin(reference, 0.2, 2, 99)).toBeCloseTo(15 * (100 / 99) ** 50, 6);
  });
  it('take the speed that is nearer, and the faster one from where it is', () => {
    const nearest = { choice: 'nearest' as const, belowShare: 0.3, aboveShare: 0.1 };
    const rpms = table.fixed.map((s) => s.rpm);
    for (let ideal = 50; ideal <= 1600; ideal += 3) {
      const below = rpms.filter((n) => n <= ideal * (1 + 1e-9)).at(-1);
      const above = rpms.find((n) => n > ideal * (1 + 1e-9));
      const inReach = above !== undefined && above <= ideal * 1.1;
      const slow = below !== undefined && below >= ideal * 0.7;
      const nearer = inReach && below !== undefined && ideal / below > above / ideal;
      const wanted = nearer ? above : slow ? below : inReach ? above : (below ?? rpms[0]);
      expect([ideal, chooseSpeed(table, ideal, undefined, nearest)!.speed.rpm]).toEqual([ideal, wanted]);
    }
    // far apart: the faster one is never taken before its own band begins, nor later than itself
    expect(switchRpm(100, 1000)).toBeCloseTo(1000 / 1.1, 9);
    expect(switchRpm(995, 1000)).toBe(1000);
    expect(switchRpm(700, 770, nearest)).toBeCloseTo(Math.sqrt(700 * 770), 9);
  });
  it('bear what the motor gives at the speed that is set', () => {
    const cut = evaluateCut(setup, 3, 0.28, 'shopRule')!;
    const { setting, rpm } = cut.chosen.speed;
    expect(cut.availableKw).toBe(powerKwAt(metricLathe, setting, rpm));
    expect(cut.powerKw).toBeCloseTo((cut.cuttingN * cut.speedMPerMin) / 60_000, 9);
  });
});
