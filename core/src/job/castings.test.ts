import { describe, expect, it } from 'vitest';
import { type Bar, barSizes, checkBar, checkCasting, roughShape } from '../stock/index.ts';
import { drawer, drillOf, holeGauges } from '../testing/drawer.ts';
import { jobOf, shopWith, twoChucks } from '../testing/jobs.ts';
import { feature, mm } from '../testing/shop.ts';
import { standingMm } from '../work/index.ts';
import { nextSetup } from './next-setup.ts';
import { freezeJob, planJob } from './plan-job.ts';
import type { Job } from './schema.ts';
import { stillWaiting } from './setups.ts';

const [bar] = shopWith('102', '70').bars;
const casting: Bar = { ...bar!, materialId: 'grey-iron', shape: 'casting', surface: 'cast', allowance: mm(3) };
const lathe = {
  ...twoChucks,
  sizes: { ...twoChucks.sizes, swingOverCrossSlideMm: 195 },
  holding: {
    ...twoChucks.holding,
    arbors: [{ name: 'mandrel 20', kind: 'mandrel' as const, fromMm: 19.9, toMm: 20.1 }],
  },
};
const shop = {
  ...shopWith('102', '70', lathe),
  bars: [casting],
  tools: [...drawer, drillOf(18.5, 135)],
  instruments: holeGauges,
};
const bore = {
  ...{ id: 'h1', kind: 'bored' as const, name: '', limits: 'H8', finish: '', details: [] },
  ...{ diameter: mm(20), length: mm(''), end: mm(''), through: true },
};
/** A roller: hub, rim, hub, bored through. */
const roller = jobOf([feature(1, 44, 8), feature(2, 96, 48), feature(3, 44, 8)], 4, {
  bores: { left: [bore] as never, right: [] },
});
const onwards = (job: Job): Job => {
  const { setups } = job.hold;
  const setup = nextSetup(planJob(job, shop).setups, `00000000-0000-4000-8000-00000000000${setups.length + 1}`);
  return setup ? { ...job, hold: { ...job.hold, setups: [...setups, setup] } } : job;
};

describe('a casting that follows its part', () => {
  it('has the part’s steps with the allowance on every surface', () => {
    const { part } = planJob(roller, shop);
    expect(roughShape(part, barSizes(casting)!)).toEqual({ f1: 50, f2: 102, f3: 50 });
    expect(roughShape(part, barSizes({ ...casting, allowance: undefined })!)).toBeUndefined();
    const codes = (b: Bar) => checkBar(b).map((p) => [p.code, p.path.join('.')]);
    expect(codes(casting)).toEqual([]);
    expect(codes({ ...casting, allowance: mm('x') })).toEqual([['length.notALength', 'allowance']]);
    expect(codes({ ...casting, shape: 'round' })).toEqual([['bar.allowanceOfCasting', 'allowance']]);
  });
  it('must be cut below its skin all round', () => {
    const sizes = barSizes(casting)!;
    expect(checkCasting(sizes, 1)).toEqual([]);
    expect(checkCasting({ ...sizes, allowanceMm: 1.6 }, 1)).toMatchObject([
      { code: 'stock.castingSkin', value: 1.6, limit: 2 },
    ]);
  });
  it('is roughed step by step from its own diameters, not from a bar over all of it', () => {
    const planned = planJob(roller, shop);
    const [first] = planned.setups;
    const hub = first!.plan.operations.find((o) => o.id === 'f3-rough')!;
    expect(hub.passes[0]!.diameterBeforeMm).toBe(50);
    // held on a rough step with nothing larger before it; both ends have the allowance to come off
    expect(first!.plan.held).toMatchObject({ onId: 'f2', onMm: 102, rawEndMm: 67, headEndMm: -3 });
    expect(first!.plan.operations.find((o) => o.kind === 'face')!.offMm).toBe(3);
    expect(planned.blank!.lengthMm).toBe(70);
    const at = (zMm: number) => standingMm(first!.piece, zMm - 0.1, zMm + 0.1);
    expect([-2, 4, 30, 60, 66].map(at)).toEqual([50, 50, 102, 50, 50]);
  });
  it('comes to its end in two holdings: a hub with the bore, then all the rest true to it by the hole', () => {
    const done = onwards(onwards(roller));
    const { setups } = planJob(done, shop);
    expect(setups.map((s) => s.plan.held!.method)).toEqual(['chuck', 'mandrel']);
    expect(setups.map((s) => s.plan.operations.filter((o) => o.kind === 'finish').map((o) => o.featureId))).toEqual([
      ['h1', 'f3'],
      ['f2', 'f1'],
    ]);
    expect(setups[1]!.plan.operations.find((o) => o.id === 'f2-rough')!.passes[0]!.diameterBeforeMm).toBe(102);
    expect(stillWaiting(setups).filter((w) => w.id.startsWith('f'))).toEqual([]);
    expect(onwards(done)).toBe(done);
    // what is frozen plans the same again
    const { piece } = freezeJob(done, planJob(done, shop), 2)!;
    expect(standingMm(piece, 20, 40)).toBe(102);
  });
});
