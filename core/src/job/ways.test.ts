import { describe, expect, it } from 'vitest';
import { jawForceShare } from '../mechanics/index.ts';
import { jobOf, shopWith, twoChucks } from '../testing/jobs.ts';
import { feature } from '../testing/shop.ts';
import { planJob } from './plan-job.ts';
import { waysOfHolding } from './ways.ts';

const shop = shopWith('25');
const plain = jobOf([feature(1, 24, 20), feature(2, 20, 30)]);
const strict = jobOf([feature(1, 20, 20), feature(2, 24, 10), feature(3, 20, 30, 'h6')]);
const pin = jobOf([feature(1, 24, 20), feature(2, 20, 30, 'h6')]);

describe('ways of holding', () => {
  it('are compared by the whole route in each, quickest first, with the one that is chosen marked', () => {
    const ways = waysOfHolding(plain, shop);
    const [first] = ways;
    expect(first).toMatchObject({ kind: 'threeJaw', tailCentre: false, does: true, chosen: true });
    const own = ways.filter((w) => w.does && w.owned && w.costMin !== undefined);
    expect(own.map((w) => w.costMin)).toEqual(own.map((w) => w.costMin).toSorted((a, b) => a! - b!));
    expect(own).toHaveLength(5);
    for (const way of own)
      expect(way.costMin).toBeCloseTo(
        way.reasons.reduce((sum, r) => sum + r.minutes, 0),
        9,
      );
    // the route's own minutes are those of the plan with that chuck
    expect(first!.reasons[0]!.values!.eachMin).toBe(planJob(plain, shop).setups[0]!.plan.minutes);
  });
  it('weigh runout against fits: one piece goes into the four-jaw, many into what needs no truing', () => {
    expect(waysOfHolding(strict, shop)[0]).toMatchObject({ kind: 'fourJaw' });
    expect(
      waysOfHolding(strict, shop)
        .find((w) => w.kind === 'threeJaw')!
        .reasons.map((r) => r.code),
    ).toContain('way.loses');
    // made in one holding it loses nothing, however close its limits are
    const chucks = waysOfHolding(pin, shop).filter((w) => w.does && w.method === 'chuck');
    expect(chucks).toHaveLength(2);
    for (const way of chucks) expect(way.reasons.map((r) => r.code)).not.toContain('way.loses');
    expect(waysOfHolding({ ...strict, quantity: 12 }, shop)[0]).toMatchObject({ kind: 'threeJaw' });
    expect(waysOfHolding(plain, shop)[0]!.reasons.map((r) => r.code)).not.toContain('way.loses');
  });
  it('put the four-jaw first for a rough casting, and mark nothing that is still to be turned', () => {
    const casting = {
      ...shopWith('46', '60', twoChucks, 'grey-iron'),
      bars: [
        {
          ...shopWith('46', '60', twoChucks, 'grey-iron').bars[0]!,
          ...{ shape: 'casting' as const, allowance: { text: '3', unit: 'mm' as const } },
        },
      ],
    };
    const job = jobOf([feature(1, 40, 30), feature(2, 30, 24)]);
    const onPart: typeof job = {
      ...job,
      hold: { ...job.hold, setups: [{ ...job.hold.setups[0]!, grip: { kind: 'jaws', mm: 0 } }] },
    };
    const chucks = waysOfHolding(onPart, casting).filter((w) => w.does && w.method === 'chuck');
    expect(chucks[0]).toMatchObject({ kind: 'fourJaw' });
    const codes = (kind: string) => chucks.find((w) => w.kind === kind)!.reasons.map((r) => r.code);
    expect(codes('threeJaw')).toContain('hold.castingUneven');
    expect(codes('fourJaw')).not.toContain('hold.castingUneven');
    for (const kind of ['threeJaw', 'fourJaw']) expect(codes(kind)).not.toContain('way.marks');
  });
  it('charge nothing that is lost where nothing is turned yet', () => {
    const ends: typeof strict = {
      ...strict,
      hold: { ...strict.hold, setups: [{ ...strict.hold.setups[0]!, extent: 'ends' }] },
    };
    for (const way of waysOfHolding(ends, shop)) expect(way.reasons.map((r) => r.code)).not.toContain('way.loses');
  });
  it('change the plan when one is taken: another chuck is on, its jaws and runout count', () => {
    const inChuck = (chuckId: string) => {
      const grip = { kind: 'jaws' as const, on: 'spare' as const, mm: 0, chuckId };
      return { ...plain, hold: { ...plain.hold, setups: [{ ...plain.hold.setups[0]!, grip }] } };
    };
    const taken = inChuck('four');
    expect(planJob(taken, shop).setups[0]!.chuck.id).toBe('four');
    expect(planJob(taken, shop).cleanUp!.needMm).toBeLessThan(planJob(plain, shop).cleanUp!.needMm);
    expect(waysOfHolding(taken, shop).find((w) => w.chosen)).toMatchObject({ chuckId: 'four' });
    // a chuck that the lathe has not got is passed over
    expect(planJob(inChuck('none'), shop).setups[0]!.plan.minutes).toBe(planJob(plain, shop).setups[0]!.plan.minutes);
  });
  it('charge what one leaves and another cuts with a further holding, and with the time that it saves so', () => {
    // a steady on the thin length leaves the thick one behind it
    const ways = waysOfHolding(jobOf([feature(1, 24, 60), feature(2, 20, 60)], 3), shop);
    const of = (method: string) => ways.find((w) => w.method === method && w.kind !== 'fourJaw')!;
    const [all, steady] = [of('chuckAndCentre'), of('chuckAndSteady')];
    expect(all.reasons.map((r) => r.code)).not.toContain('way.leaves');
    const leaves = steady.reasons.find((r) => r.code === 'way.leaves')!;
    const eachMin = ({ reasons }: typeof all) => Number(reasons[0]!.values!.eachMin);
    const fullest = Math.min(...ways.filter((w) => w.does && w.owned && !w.reasons.includes(leaves)).map(eachMin));
    expect(leaves.values!.count).toBeGreaterThan(0);
    expect(leaves.minutes).toBeCloseTo(3 * (10 + fullest - eachMin(steady)), 6);
    expect(steady.costMin).toBeCloseTo(
      steady.reasons.reduce((sum, r) => sum + r.minutes, 0),
      9,
    );
    expect(ways.indexOf(all)).toBeLessThan(ways.indexOf(steady));
  });
  it('say why not, and put what is not owned last', () => {
    const ways = waysOfHolding(jobOf([feature(1, 24, 400)]), shopWith('25'));
    const of = (kind: string) => ways.find((w) => w.kind === kind)!;
    // a rest is planned as any other way, and told to be wanted; only the steady is owned here
    expect(of('chuckAndSteady')).toMatchObject({ does: true, owned: true });
    expect(of('chuckAndSteady').reasons.map((r) => r.code)).toContain('way.wantsSteady');
    expect(of('followingRest')).toMatchObject({ does: true, owned: false });
    expect(of('followingRest').reasons.map((r) => r.code)).toContain('way.slender');
    expect(of('insideJaws')).toMatchObject({ does: false });
    expect(of('insideJaws').reasons.map((r) => r.code)).toEqual(['hold.noHoleForJaws']);
    expect(of('mandrel').reasons.map((r) => r.code)).toEqual(['way.noThroughHole']);
    const owned = ways.map((w) => w.owned);
    expect(owned).toEqual(owned.toSorted((a, b) => Number(b) - Number(a)));
    const thick = waysOfHolding(jobOf([feature(1, 160, 30)]), shopWith('165', '300'));
    expect(thick.filter((w) => w.chuckId).every((w) => !w.does && w.reasons.length === 1)).toBe(true);
    expect(waysOfHolding({ ...plain, stock: { ...plain.stock, barId: null } }, shop)).toEqual([]);
  });
});

describe('jaws at speed', () => {
  it('hold with a third of their force at the fastest the chuck may turn, and never less than nothing', () => {
    expect([0, 1, 0.5].map((n) => jawForceShare(n * 2000, 2000))).toEqual([
      1,
      expect.closeTo(1 / 3, 12),
      expect.closeTo(5 / 6, 12),
    ]);
    expect(jawForceShare(9000, 2000)).toBeGreaterThan(0);
  });
});
