import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { heldBy, type Setup } from '../hold/index.ts';
import { emptyBoreStep, outsides } from '../part/index.ts';
import { planSetup } from '../route/index.ts';
import { jobOf, shopWith } from '../testing/jobs.ts';
import { feature, mm } from '../testing/shop.ts';
import type { Workpiece } from '../work/index.ts';
import { nextSetup } from './next-setup.ts';
import { planJob } from './plan-job.ts';
import type { Job } from './schema.ts';
import { pieceAtLast, stillWaiting } from './setups.ts';

const ID = (n: number) => `00000000-0000-4000-8000-00000000000${n}`;
const made = (piece: Workpiece | undefined): number => Object.keys(piece?.finished ?? {}).length;

/** A job with setup after setup as they are proposed. */
function asProposed(job: Job, shop: ReturnType<typeof shopWith>): Job {
  let all = job;
  for (let n = 2; n <= 5; n++) {
    const next = nextSetup(planJob(all, shop).setups, ID(n));
    if (!next) return all;
    all = { ...all, hold: { ...all.hold, setups: [...all.hold.setups, next] } };
  }
  return all;
}

/** What the best order of so many further setups finishes, every one of them planned: slow, and knows no shortcut. */
function bestOfAll(job: Job, shop: ReturnType<typeof shopWith>, further: number): number {
  const [first] = planJob(job, shop).setups;
  const { means, wishes } = first!;
  let best = made(first!.plan.after);
  let stand = new Map([['', first!.plan.after]]);
  for (let n = 0; n < further; n++) {
    const next = new Map<string, Workpiece>();
    for (const piece of stand.values())
      for (const setup of waysToGoOn(piece, first!.setup)) {
        const { after, problems } = planSetup(piece, setup, means, wishes, n + 2);
        // what something speaks against is no way that would be proposed
        if (problems.some((p) => p.code.startsWith('hold.'))) continue;
        best = Math.max(best, made(after));
        next.set(Object.keys(after.finished).toSorted().join(), after);
      }
    stand = next;
  }
  return best;
}
function waysToGoOn(piece: Workpiece, like: Setup): readonly Setup[] {
  const jaws = { kind: 'jaws', mm: 0 } as const;
  return (['left', 'right'] as const).flatMap((tail) => [
    { ...like, tail, grip: jaws, support: 'auto' as const },
    ...outsides(piece.part).map(({ id }) => ({ ...like, tail, grip: { ...jaws, on: id }, support: 'auto' as const })),
    heldBy({ ...like, tail, grip: jaws, support: 'auto' as const }, 'mandrel'),
  ]);
}

describe('the setups that are proposed', () => {
  it('leave nothing of a flange with a shank behind it, nor of a bush with its flange at the tail', () => {
    const shop = shopWith('65');
    const flange = jobOf([feature(1, 20, 25), feature(2, 60, 6), feature(3, 30, 4)]);
    const bush = jobOf([feature(1, 40, 40), feature(2, 60, 8)]);
    for (const job of [flange, bush]) {
      const { setups } = planJob(asProposed(job, shop), shop);
      expect(setups).toHaveLength(2);
      expect(stillWaiting(setups)).toEqual([]);
    }
    // the flange is held by its rim, however short that is; what speaks against it nothing does
    const [, second] = planJob(asProposed(flange, shop), shop).setups;
    expect(second!.plan.held).toMatchObject({ onId: 'f2', gripMm: 4 });
    expect(second!.problems).toEqual([]);
  });
  it('prefer another setup to a hold that something speaks against', () => {
    const shop = shopWith('65');
    // a hub too short to hold the long rim by
    const job = jobOf([feature(1, 50, 60), feature(2, 24, 5)]);
    for (const { problems } of planJob(asProposed(job, shop), shop).setups.slice(1))
      expect(problems.filter((p) => p.code === 'hold.shortGrip')).toEqual([]);
  });
  it('reach all that any order of setups reaches', () => {
    const shop = shopWith('45');
    const bored = {
      bores: { left: [{ ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(12), length: mm('') }], right: [] },
    };
    let several = 0;
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 18, max: 42 }), fc.integer({ min: 4, max: 45 })), {
          minLength: 2,
          maxLength: 4,
        }),
        fc.boolean(),
        (lengths, hollow) => {
          const features = lengths.map(([d, l], i) =>
            feature(i + 1, d, l, '', i === 0 ? { edges: { left: '1x45', right: '' } } : {}),
          );
          const job = jobOf(features, 1, hollow ? (bored as never) : {});
          const { setups } = planJob(asProposed(job, shop), shop);
          if (setups.length === 0 || setups[0]!.plan.operations.length === 0) return;
          if (setups.length > 1) several++;
          expect(made(pieceAtLast(setups))).toBeGreaterThanOrEqual(bestOfAll(job, shop, 3));
        },
      ),
      { numRuns: 12 },
    );
    expect(several).toBeGreaterThan(6);
  });
});
