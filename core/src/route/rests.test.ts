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
  it('stands free while it is faced and centred out of the chuck, on the centre when it is turned', () => {
    expect(carried(setupBy('chuckAndCentre', { mm: 40 }))).toMatchObject({
      ...{ mount: undefined, face: 'free', centre: 'free', rough: 'centre', finish: 'centre' },
    });
    expect(carried(setupBy('chuck', { mm: 40 }), slender)).toMatchObject({ face: 'free', rough: 'free' });
  });
  it('is in the steady all along', () => {
    expect(carried({ ...setupBy('chuckAndSteady', { on: 'f1' }), restMm: 170 })).toMatchObject({
      ...{ face: 'steady', rough: 'steady' },
    });
  });
});
