import { describe, expect, it } from 'vitest';
import { type Drawing, emptyDetail, emptyDrawing, emptyFaceGroove } from '../part/index.ts';
import { boreStep, holeGauges } from '../testing/drawer.ts';
import { families } from '../testing/families.ts';
import { jobOf, shopWith } from '../testing/jobs.ts';
import { feature, mm } from '../testing/shop.ts';
import type { FaceBlade, Tool } from '../tool/index.ts';
import { nextSetup } from './next-setup.ts';
import { planJob } from './plan-job.ts';
import { proveJob } from './prove.ts';
import type { Job, Shop } from './schema.ts';

const plainEnd = emptyDrawing('mm').ends.left;
const blade = (widthMm: number, more: Partial<FaceBlade> = {}): FaceBlade => ({
  ...{ id: `00000000-0000-4000-8000-00090000010${widthMm}`, name: `face blade ${widthMm}`, kind: 'face blade' },
  ...{ material: 'hss', widthMm, deepestMm: 8, leastOuterMm: 25, ...more },
});
const shopOf = (...blades: Tool[]): Shop => ({
  ...shopWith('62', '900', families.lathe),
  ...{ tools: [...families.tools, ...blades], instruments: holeGauges },
});
const grooveAt = (outer: number, inner: number | '', depth: number, more: object = {}) => ({
  ...{ ...emptyFaceGroove('k1', 'mm'), outer: mm(outer), inner: mm(inner), depth: mm(depth) },
  ...more,
});
function disc(groove: object, end: 'left' | 'right' = 'right', drawn: Partial<Drawing> = {}): Job {
  const job = jobOf([feature(1, 60, 12), feature(2, 40, 10)], 1, {
    ends: { left: plainEnd, right: plainEnd, [end]: { ...plainEnd, grooves: [groove] } },
    ...drawn,
  });
  return { ...job, hold: { ...job.hold, latheId: families.lathe.id } };
}
const made = (job: Job, shop = shopOf(blade(3), blade(2))) => {
  const planned = planJob(job, shop);
  const operation = planned.setups.flatMap((s) => s.plan.operations).find((o) => o.kind === 'faceGroove');
  return {
    planned,
    operation,
    waits: Object.fromEntries(planned.setups.at(-1)!.plan.waiting.map((w) => [w.id, w.why])),
  };
};

describe('a groove in a face', () => {
  it('is plunged with the widest blade between its walls, from the outer one inwards, and swept', () => {
    const { operation } = made(disc(grooveAt(36, 24, 3)));
    // 6 wide by a blade of 3: its outer corner at 18, then so that its inner one comes to 12
    expect(operation).toMatchObject({ toolMm: 3, sweep: true, depthMm: 3, fromDiameterMm: 40, zToMm: 22, zFromMm: 19 });
    const { plungesMm } = operation as { plungesMm: number[] };
    expect(plungesMm[0]).toBe(18);
    expect(plungesMm.at(-1)).toBe(15);
    for (const [i, r] of plungesMm.entries()) if (i > 0) expect(plungesMm[i - 1]! - r).toBeLessThanOrEqual(2.4 + 1e-9);
  });
  it.each([
    ['a ring', disc(grooveAt(36, 24, 3))],
    ['as wide as the blade', disc(grooveAt(34, 30, 2))],
    ['a recess to the middle', disc(grooveAt(30, '', 2))],
    [
      'a recess to the hole',
      disc(grooveAt(30, '', 2), 'right', { bores: { left: [], right: [boreStep('b1', 16, '')] } }),
    ],
    ['in the shoulder', disc(grooveAt(56, 48, 3, { on: 'f1.right' }))],
    ['up to the foot of the shoulder', disc(grooveAt(56, 40, 3, { on: 'f1.right' }))],
  ])('is cut with the tools as they are: %s', (_, job) => {
    let all = job;
    const shop = shopOf(blade(3), blade(2));
    for (let n = 2; n <= 3; n++) {
      const next = nextSetup(planJob(all, shop).setups, `00000000-0000-4000-8000-00000000000${n}`);
      if (next) all = { ...all, hold: { ...all.hold, setups: [...all.hold.setups, next] } };
    }
    const { planned, operation } = made(all);
    expect(operation?.kind).toBe('faceGroove');
    expect(proveJob(planned)).toMatchObject({ findings: [], waiting: [], proved: true });
  });
  it('on the other face waits for that end, which a second holding brings', () => {
    const job = disc(grooveAt(36, 24, 3), 'left');
    expect(made(job).waits.k1).toBe('otherEnd');
    const next = nextSetup(planJob(job, shopOf(blade(3))).setups, '00000000-0000-4000-8000-000000000002')!;
    const both = { ...job, hold: { ...job.hold, setups: [...job.hold.setups, next] } } as Job;
    const { planned } = made(both);
    expect(planned.setups[1]!.plan.after.finished).toHaveProperty('k1');
  });
  it('waits for a blade that goes in, as deep, and clears the outer wall', () => {
    for (const b of [blade(3, { deepestMm: 2 }), blade(3, { leastOuterMm: 50 })]) {
      const { planned, waits } = made(disc(grooveAt(36, 24, 3)), shopOf(b));
      expect(waits.k1).toBe('noTool');
      expect(planned.problems).toContainEqual(
        expect.objectContaining({ code: 'route.lacks.faceBlade', value: 6, limit: 3 }),
      );
    }
  });
});

describe('grooves within a hole', () => {
  const onBar = blade(2, { id: '00000000-0000-4000-8000-000900000200', leastBoreMm: 14, reachMm: 40 });
  const bit: Tool = {
    ...{ id: '00000000-0000-4000-8000-000900000201', name: 'on a bar', kind: 'inside threading', material: 'hss' },
    ...{ angleDeg: 60, tipMm: 0.1, deepestMm: 4, widthMm: 6, leastBoreMm: 16, reachMm: 50 },
  };
  const bush = (details: object[], right: Partial<Drawing['ends']['right']> = {}): Job => {
    const bores = [{ ...boreStep('b1', 30, 15), details: details as never }, { ...boreStep('b2', 12, '') }];
    const job = jobOf([feature(1, 60, 40)], 1, {
      ends: { left: plainEnd, right: { ...plainEnd, ...right } },
      bores: { left: [], right: bores },
    });
    return { ...job, hold: { ...job.hold, latheId: families.lathe.id } };
  };
  const inBottom = (outer: number, inner: number | '', more: object = {}) => ({
    grooves: [{ ...grooveAt(outer, inner, 3), on: 'b1.floor', ...more }] as never,
  });
  const detail = (more: object) => ({
    ...{ ...emptyDetail('g1', 'groove', 'mm'), from: 'right', at: mm(5), width: mm(''), floor: mm(34) },
    ...more,
  });
  const all = (job: Job, shop: Shop) => {
    let now = job;
    for (let n = 2; n <= 3; n++) {
      const next = nextSetup(planJob(now, shop).setups, `00000000-0000-4000-8000-00000000000${n}`);
      if (next) now = { ...now, hold: { ...now.hold, setups: [...now.hold.setups, next] } };
    }
    return planJob(now, shop);
  };
  const made = (planned: ReturnType<typeof planJob>, kind: string) =>
    planned.setups.flatMap((s) => s.plan.operations).find((o) => o.kind === kind);
  it.each([
    ['a ring in its bottom, at the wall', bush([], inBottom(30, 20)), 'faceGroove'],
    ['a ring in its bottom', bush([], inBottom(27, 21)), 'faceGroove'],
    ['a V in its wall', bush([detail({ shape: 'vee', angle: '60' })]), 'groove'],
    ['leaning walls in it', bush([detail({ shape: 'angled', angle: '20', width: mm(7) })]), 'groove'],
  ])('are cut with the tools as they are: %s', (_, job, kind) => {
    const planned = all(job, shopOf(onBar, bit));
    expect(made(planned, kind)).toBeDefined();
    expect(proveJob(planned)).toMatchObject({ findings: [], waiting: [], proved: true });
  });
  it('want a blade on a bar that comes down to the bottom, clear of the wall', () => {
    const job = bush([], inBottom(27, 21));
    const why = (...tools: Tool[]) => {
      const planned = all(job, shopOf(...tools));
      return [made(planned, 'faceGroove')?.toolId, planned.problems.some((p) => p.code === 'route.lacks.floorBlade')];
    };
    expect(why(onBar)).toEqual([onBar.id, false]);
    // no bar behind it, one that is too short, one that does not go beside the axis
    expect(why(blade(2))).toEqual([undefined, true]);
    expect(why({ ...onBar, reachMm: 17 })).toEqual([undefined, true]);
    expect(why({ ...onBar, leastBoreMm: 28 })).toEqual([undefined, true]);
    // so long a blade needs none
    expect(why(blade(2, { deepestMm: 18 }))).toEqual([blade(2).id, false]);
  });
});
