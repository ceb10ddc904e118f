import { describe, expect, it } from 'vitest';
import { boreStep } from '../testing/drawer.ts';
import { jobOf, shopWith } from '../testing/jobs.ts';
import { feature } from '../testing/shop.ts';
import { alternatives } from './alternatives.ts';
import { planJob } from './plan-job.ts';
import { stillWaiting } from './setups.ts';

const pin = jobOf([feature(1, 20, 30, 'h7'), feature(2, 30, 30), feature(3, 16, 20, 'h7')], 4);
const shop = shopWith('35');

describe('other ways to make a part', () => {
  const found = alternatives(pin, shop);
  it('differ in their holdings, the one that is planned among them, none leaves more than the best', () => {
    expect(found.length).toBeGreaterThanOrEqual(3);
    expect(new Set(found.map((a) => a.key)).size).toBe(found.length);
    const others = found.filter((a) => !a.chosen);
    expect(found.length - others.length).toBe(1);
    // the job itself has one holding so far, and leaves what lies behind its largest
    expect(others.every((a) => a.leftCount === 0 && a.holdings.length === 2)).toBe(true);
    expect(found.find((a) => a.chosen)!.leftCount).toBeGreaterThan(0);
    expect(others.map((a) => a.costMin)).toEqual(others.map((a) => a.costMin).toSorted((a, b) => a - b));
  });
  it('each is what comes of it when it is taken', () => {
    for (const a of found) {
      const planned = planJob({ ...pin, hold: { ...pin.hold, setups: [...a.setups] } }, shop);
      expect(stillWaiting(planned.setups).filter((w) => w.why !== 'asBar')).toHaveLength(a.leftCount);
      const routes = planned.setups.reduce((sum, s) => sum + s.plan.minutes, 0) * pin.quantity;
      // putting in and truing come on top of it
      expect(a.minutes).toBeGreaterThan(routes);
      expect(a.stockMm).toBe(planned.kind === 'planned' ? planned.blank.lengthMm : 0);
      expect(a.measureCount).toBe(
        planned.setups.flatMap((s) => s.plan.operations).filter((o) => o.kind === 'measure').length,
      );
    }
  });
  it('say what is lost between holdings: two fits turned in two of them run out as the chuck does', () => {
    const jaws = found.filter((a) => a.holdings.every((h) => h.chuck.kind === 'threeJaw' && h.method === 'chuck'));
    for (const a of jaws) expect(a.runoutMm).toBeCloseTo(0.08, 6);
    // more than the fits bear is a risk, and costs
    for (const a of jaws) expect(a.costMin).toBeGreaterThanOrEqual(a.minutes + 30);
    const on = (spare: boolean) =>
      found.filter((a) =>
        a.holdings.some((h) => h.setup.grip.kind === 'jaws' && (h.setup.grip.on === 'spare') === spare),
      );
    expect(Math.min(...on(true).map((a) => a.stockMm))).toBeGreaterThan(
      Math.min(...on(false).map((a) => a.stockMm), 1e6) - 1e-9,
    );
  });
  it('nothing is compared where nothing can be planned', () => {
    expect(alternatives({ ...pin, hold: { ...pin.hold, latheId: null } }, shop)).toEqual([]);
  });
  it('a bush is turned on a mandrel besides, where there is one', () => {
    const bush = jobOf([feature(1, 30, 30, 'h7')], 1, { bores: { left: [], right: [boreStep('h1', 12, '')] } });
    const lathe = {
      ...shop.lathes[0]!,
      holding: {
        ...shop.lathes[0]!.holding,
        arbors: [{ name: 'mandrel', kind: 'mandrel' as const, fromMm: 5, toMm: 60 }],
      },
    };
    const keys = alternatives(bush, { ...shop, lathes: [lathe] }).map((a) => a.key);
    expect(keys.length).toBeGreaterThan(1);
  });
});
