import { describe, expect, it } from 'vitest';
import type { Setup } from '../hold/index.ts';
import { jobOf, shopWith } from '../testing/jobs.ts';
import { feature, metricLathe, mm } from '../testing/shop.ts';
import { planJob } from './plan-job.ts';
import { waysOfHolding } from './ways.ts';

/** A tube with its bore drawn, put into the three-jaw in some way. */
function tubeOf(
  [outsideMm, boreMm, longMm]: readonly [number, number, number],
  limits: string,
  protect?: 'softJaws' | 'plug' | 'strips',
) {
  const shop = shopWith(String(outsideMm + 1), '900', metricLathe, 'low-carbon-steel');
  const [bar] = shop.bars;
  const tube = { ...bar!, shape: 'tube' as const, bore: mm(boreMm - 1) };
  const bore = {
    ...{ id: 'h1', name: '', kind: 'bored', diameter: mm(boreMm), limits, length: mm(''), lengthLimits: '' },
    ...{ finish: '', details: [] },
  } as never;
  const job = jobOf([feature(1, outsideMm, longMm)], 1, { bores: { left: [bore], right: [] } });
  const [first] = job.hold.setups;
  const setup: Setup = { ...first!, grip: { kind: 'jaws', on: 'spare', mm: 0, ...(protect ? { protect } : {}) } };
  return {
    job: { ...job, hold: { latheId: metricLathe.id, setups: [setup] as typeof job.hold.setups } },
    shop: { ...shop, bars: [tube] },
  };
}
function planned(outsideMm: number, boreMm: number, longMm: number, protect?: 'softJaws' | 'plug' | 'strips') {
  const { job, shop } = tubeOf([outsideMm, boreMm, longMm], '', protect);
  const { plan } = planJob(job, shop).setups[0]!;
  return { plan, codes: plan.problems.map((p) => p.code) };
}

describe('hollow work in single jaws', () => {
  it('is tightened with what its wall bears, and that is told and noted where it is put in', () => {
    const { plan, codes } = planned(60, 54, 60);
    expect(codes).toContain('hold.tightenLess');
    const { gentleShare, forceN } = plan.held!;
    expect(gentleShare).toBeGreaterThan(0.02);
    expect(gentleShare).toBeLessThan(0.9);
    expect(forceN).toBeCloseTo(gentleShare! * 18_000, -2);
    expect(plan.operations[0]!.notes).toEqual([{ code: 'tightenLess', value: Math.round(gentleShare! * 100) }]);
    // whatever is cut is borne by what is left of the grip
    for (const o of plan.operations) expect(o.loads?.gripShare ?? 0).toBeLessThanOrEqual(1);
  });
  it('is charged for the lobes where ways of holding are weighed, and has its little force told', () => {
    const told = (protect?: 'softJaws') => {
      const { job, shop } = tubeOf([118, 108, 18], 'H8', protect);
      const way = waysOfHolding(job, shop).find((w) => w.chosen)!;
      return way.reasons.filter((r) => r.code.startsWith('hold.')).map((r) => [r.code, r.minutes]);
    };
    expect(told()).toEqual([
      ['hold.tightenLess', 0],
      ['hold.lobes', 30],
    ]);
    expect(told('softJaws')).toEqual([]);
  });
  it('bears the usual force where its wall is thick, or something spreads it or fills the bore', () => {
    expect(planned(60, 20, 60).plan.held!.gentleShare).toBeUndefined();
    for (const protect of ['softJaws', 'plug'] as const)
      expect(planned(60, 54, 60, protect).plan.held!.gentleShare).toBeUndefined();
    expect(planned(60, 54, 60, 'strips').plan.held!.gentleShare).toBeDefined();
  });
  it('counts the hole that is there, not the one that is still to be bored; lobes are of the one that is drawn', () => {
    const shop = shopWith('61', '900', metricLathe, 'low-carbon-steel');
    const bore = {
      ...{ id: 'h1', name: '', kind: 'bored', diameter: mm(56), limits: 'H7', length: mm(''), lengthLimits: '' },
      ...{ finish: '', details: [] },
    } as never;
    const job = jobOf([feature(1, 60, 30), feature(2, 59, 20)], 1, { bores: { left: [bore], right: [] } });
    const setup: Setup = { ...job.hold.setups[0]!, grip: { kind: 'jaws', mm: 0 } };
    const { plan } = planJob({ ...job, hold: { latheId: metricLathe.id, setups: [setup] } }, shop).setups[0]!;
    expect(plan.held!.gentleShare).toBeUndefined();
    expect(plan.problems.map((p) => p.code)).toContain('hold.lobes');
  });
  it('is opened out as gently as it is pressed in', () => {
    const [chuck] = metricLathe.holding.chucks;
    const opening = { ...chuck!, jaws: [{ name: 'outside', fromMm: 3, toMm: 150, inside: { fromMm: 30, toMm: 140 } }] };
    const lathe = { ...metricLathe, holding: { ...metricLathe.holding, chucks: [opening] } };
    const share = (boreMm: number) => {
      const shop = shopWith('81', '42', lathe, 'low-carbon-steel');
      const tube = { ...shop.bars[0]!, shape: 'tube' as const, bore: mm(boreMm - 1) };
      const bore = {
        ...{ id: 'h1', name: '', kind: 'bored', diameter: mm(boreMm), limits: '', length: mm(''), lengthLimits: '' },
        ...{ finish: '', details: [] },
      } as never;
      const job = jobOf([feature(1, 80, 40)], 1, { bores: { left: [bore], right: [] } });
      const setup: Setup = { ...job.hold.setups[0]!, grip: { kind: 'jaws', by: 'inside', mm: 0 } };
      return planJob({ ...job, hold: { latheId: lathe.id, setups: [setup] } }, { ...shop, bars: [tube] }).setups[0]!
        .plan.held!.gentleShare;
    };
    expect(share(40)).toBeUndefined();
    expect(share(74)).toBeLessThan(0.5);
  });
  it('bears much less the thinner its wall', () => {
    const share = (boreMm: number) => planned(80, boreMm, 40).plan.held!.gentleShare!;
    expect(share(72) / share(76)).toBeGreaterThan(3);
  });
  it('is not held at all where so little holds nothing', () => {
    const { plan, codes } = planned(40, 38, 90);
    expect(plan.operations).toEqual([]);
    expect(codes).toEqual(expect.arrayContaining(['hold.tightenLess', 'hold.tips']));
  });
});
