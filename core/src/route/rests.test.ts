import { describe, expect, it } from 'vitest';
import { heldIn } from '../hold/index.ts';
import type { Lathe } from '../lathe/index.ts';
import { setupBy } from '../testing/pieces.ts';
import { feature, metricLathe, planInput } from '../testing/shop.ts';
import { finishedShaft, worstBendPerN } from './bending.ts';
import { planSetup } from './plan-setup.ts';

const lathe: Lathe = {
  ...metricLathe,
  holding: {
    ...metricLathe.holding,
    rests: [
      { name: 'steady', kind: 'steady', fromMm: 10, toMm: 90 },
      { name: 'following', kind: 'following', fromMm: 8, toMm: 50 },
    ],
  },
};
const long = planInput([feature(1, 40, 300), feature(2, 30, 150)], 45);
const slender = planInput([feature(1, 14, 260)], 16);
const perN = ({ piece, means }: typeof long, setup: ReturnType<typeof setupBy>, from: number, to: number): number => {
  const held = heldIn(piece, setup, lathe, 5).held!;
  return worstBendPerN(finishedShaft(piece, held, means.material.modulusGPa), held, from, to).perN;
};

describe('work in a rest', () => {
  it('bends beyond a steady as a short end, not as the whole that stands out', () => {
    const alone = perN(long, setupBy('chuck', { on: 'f1' }), 310, 450);
    const carried = perN(long, { ...setupBy('chuckAndSteady', { on: 'f1' }), restMm: 170 }, 310, 450);
    expect(carried).toBeGreaterThan(0);
    expect(carried).toBeLessThan(alone / 4);
  });
  it('is faced, centred and turned beyond the steady only', () => {
    const setup = { ...setupBy('chuckAndSteady', { on: 'f1' }), restMm: 170 };
    const plan = planSetup(long.piece, setup, { ...long.means, lathe }, long.wishes);
    const cuts = plan.operations.filter((o) => o.passes.length > 0);
    expect(plan.operations.map((o) => o.kind)).toContain('face');
    expect(cuts.map((o) => o.featureId)).toEqual(expect.arrayContaining(['f2']));
    for (const o of cuts) expect(o.zFromMm).toBeGreaterThan(450 - 170);
    expect(plan.operations.find((o) => o.kind === 'mount')!.caution).toBe('steadySet');
    const ends = planSetup(
      long.piece,
      { ...setup, restMm: undefined, extent: 'ends' },
      { ...long.means, lathe },
      long.wishes,
    );
    expect(ends.operations.map((o) => o.kind)).toEqual(['mount', 'face', 'centre']);
  });
  it('gives way under the tool only between it and a following rest', () => {
    const bare = perN(slender, setupBy('chuckAndCentre', { mm: 20 }), 30, 250);
    const followed = perN(slender, setupBy('followingRest', { mm: 20 }), 30, 250);
    expect(followed).toBeLessThan(bare / 4);
    // it is set when the tool is 17.5 in: until then only the centre carries
    const begun = perN(slender, setupBy('followingRest', { mm: 20 }), 140, 150);
    expect(begun).toBeCloseTo(perN(slender, setupBy('chuckAndCentre', { mm: 20 }), 140, 150), 9);
    expect(perN(slender, setupBy('followingRest', { mm: 20 }), 140, 170)).toBeGreaterThan(begun * 0.9);
    const plan = planSetup(
      slender.piece,
      setupBy('followingRest', { mm: 20 }),
      { ...slender.means, lathe },
      slender.wishes,
    );
    expect(plan.held).toMatchObject({ method: 'followingRest', rest: { kind: 'following' }, wantsRest: false });
    expect(plan.operations.some((o) => o.kind === 'centre')).toBe(true);
    expect(plan.problems.map((p) => p.code)).not.toContain('hold.wantsRest');
  });
});

describe('where the work is carried at each operation', () => {
  const carried = (setup: ReturnType<typeof setupBy>, input = long) =>
    Object.fromEntries(
      planSetup(input.piece, setup, { ...input.means, lathe }, input.wishes).operations.map((o) => [o.kind, o.carried]),
    );
  it('never stands free at its end when it is long: in a steady what does not go through the spindle, drawn back what does', () => {
    expect(carried(setupBy('chuckAndCentre', { mm: 40 }))).toMatchObject({
      ...{ mount: undefined, face: 'steady', centre: 'steady', changeSupport: undefined },
      ...{ rough: 'centre', finish: 'centre' },
    });
    expect(carried(setupBy('chuckAndCentre', { mm: 20 }), slender)).toMatchObject({ face: 'free', rough: 'centre' });
    const short = planInput([feature(1, 40, 100)], 45);
    expect(carried(setupBy('chuckAndCentre', { mm: 40 }), short)).toMatchObject({ face: 'free', rough: 'centre' });
  });
  it('is drawn back before its end is made, drawn out and gripped again after it', () => {
    const { held, operations } = planSetup(
      slender.piece,
      setupBy('chuckAndCentre', { mm: 20 }),
      { ...slender.means, lathe },
      slender.wishes,
    );
    expect(held).toMatchObject({ method: 'chuckAndCentre', ends: { kind: 'drawnBack', outMm: 16, onMm: 16 } });
    const of = (kind: string) => operations.findIndex((o) => o.kind === kind);
    expect(of('centre')).toBeLessThan(of('changeSupport'));
    expect(of('changeSupport')).toBeLessThan(of('touchOff'));
    expect(operations[0]).toMatchObject({ kind: 'mount', overhangMm: 16, caution: 'barBehind' });
    expect(operations[of('centre')]).toMatchObject({ broughtUp: false });
    expect(operations[of('changeSupport')]).toMatchObject({ overhangMm: held!.overhangMm, toCentre: true });
  });
  it('is refused where its end can neither be drawn back nor run in a steady, and with nothing at its end', () => {
    const bare: Lathe = { ...lathe, holding: { ...lathe.holding, rests: [] } };
    const said = (setup: ReturnType<typeof setupBy>, input = long, on = bare) => {
      const plan = planSetup(input.piece, setup, { ...input.means, lathe: on }, input.wishes);
      return [plan.operations.length, ...plan.problems.map((p) => p.code)];
    };
    expect(said(setupBy('chuckAndCentre', { mm: 40 }))).toEqual([0, 'hold.endStandsFree']);
    expect(said(setupBy('chuck', { mm: 20 }), slender, lathe)).toEqual([
      0,
      'hold.standsTooFar',
      'hold.tips',
      'hold.wantsRest',
    ]);
    // a spindle that it goes through makes it possible
    const wide = { ...bare, spindle: { ...bare.spindle, boreMm: 46 } };
    expect(said(setupBy('chuckAndCentre', { mm: 40 }), long, wide)[0]).toBeGreaterThan(5);
  });
  it('is only faced and centred, short out of the jaws, where only its ends are made', () => {
    const ends = { ...setupBy('auto', { mm: 20 }), extent: 'ends' as const };
    const plan = planSetup(slender.piece, ends, { ...slender.means, lathe }, slender.wishes);
    expect(plan.held).toMatchObject({ method: 'chuck', overhangMm: 16, overhangDiameters: 1 });
    expect(plan.operations.map((o) => o.kind)).toEqual(['mount', 'face', 'centre']);
  });
  it('is in the steady all along', () => {
    expect(carried({ ...setupBy('chuckAndSteady', { on: 'f1' }), restMm: 170 })).toMatchObject({
      ...{ face: 'steady', rough: 'steady' },
    });
  });
});
