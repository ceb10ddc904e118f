import { describe, expect, it } from 'vitest';
import { brokenBy } from '../route/index.ts';
import { simulate } from '../simulate/index.ts';
import { FAMILIES, partOf, toItsEnd } from '../testing/families.ts';
import { seeded } from '../testing/seeded.ts';
import { planJob } from './plan-job.ts';
import type { PlannedSetup } from './setups.ts';

const aboutOf = ({ plan, piece }: PlannedSetup) => ({
  part: piece.part,
  planned: new Map(plan.planned.map((id, i) => [id, i])),
});

describe('the planner’s own order', () => {
  it('keeps every rule, in every family of parts', () => {
    for (const family of FAMILIES)
      for (let number = 1; number <= 10; number++)
        for (const setup of partOf(family, number).planned.setups)
          expect([family, number, brokenBy(setup.plan.operations, aboutOf(setup))]).toEqual([family, number, []]);
  });
});

describe('operations moved by hand, anywhere', () => {
  it('are refused, or are cut all the same without a finding', () => {
    const next = seeded(4711);
    let [refused, stood] = [0, 0];
    for (const family of FAMILIES)
      for (let number = 1; number <= 8; number++) {
        const { job, shop, planned } = partOf(family, number);
        const { plan } = planned.setups[0]!;
        const ids = plan.operations.map((o) => o.id);
        const any = (): string => ids[Math.floor(next() * ids.length)]!;
        const moves = Array.from({ length: 4 }, () => ({ id: any(), before: next() < 0.1 ? null : any() }));
        const [first, ...rest] = job.hold.setups;
        const again = planJob({ ...job, hold: { ...job.hold, setups: [{ ...first!, moves }, ...rest] } }, shop);
        const setup = again.setups[0]!;
        const told = setup.plan.problems.filter((p) => p.code === 'route.moveRefused').length;
        refused += told;
        if (setup.plan.operations.some((o, i) => o.id !== ids[i])) stood++;
        expect([...setup.plan.operations.map((o) => o.id)].sort()).toEqual([...ids].sort());
        const never = brokenBy(setup.plan.operations, aboutOf(setup)).filter((b) => b.severity === 'never');
        expect([family, number, never]).toEqual([family, number, []]);
        expect([family, number, moves, simulate(setup).findings]).toEqual([family, number, moves, []]);
      }
    // both happen: the test would say nothing otherwise
    expect(refused).toBeGreaterThan(30);
    expect(stood).toBeGreaterThan(10);
  }, 60_000);
  it('what is left for later holdings is made there, and nothing of it is cut away before', () => {
    const next = seeded(815);
    for (const family of ['shafts', 'bushes'] as const)
      for (let number = 1; number <= 6; number++) {
        const { job, shop, planned } = partOf(family, number);
        const made = Object.keys(planned.setups[0]!.plan.after.finished).filter((id) => /^[fhg]\d+$/.test(id));
        const left = made[Math.floor(next() * made.length)];
        if (!left) continue;
        const [first] = job.hold.setups;
        const begun = { ...job, hold: { ...job.hold, setups: [{ ...first!, leave: [left] }] } };
        const again = toItsEnd(begun, shop).planned;
        expect(again.setups[0]!.plan.after.finished[left]).toBeUndefined();
        for (const setup of again.setups)
          expect([family, number, left, simulate(setup).findings]).toEqual([family, number, left, []]);
      }
  }, 60_000);
});
