import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { heldBy, type Setup } from '../hold/index.ts';
import { outsides } from '../part/index.ts';
import { locksThrough } from '../run/index.ts';
import { jobOf, shopWith, twoChucks } from '../testing/jobs.ts';
import { feature } from '../testing/shop.ts';
import { reachOf, type Workpiece } from '../work/index.ts';
import { collectWorking } from '../working/index.ts';
import { acrossMm, outOfSquareMm, turnedTogether } from './concentric.ts';
import { nextSetup } from './next-setup.ts';
import { freezeJob, planJob } from './plan-job.ts';
import { type Job, jobSchema } from './schema.ts';
import { pieceAtLast, stillWaiting } from './setups.ts';
import { waysOfHolding } from './ways.ts';

const ID = (n: number) => `00000000-0000-4000-8000-00000000000${n}`;
const shop = shopWith('45');
const spindle = jobOf([
  feature(1, 30, 40, 'h9', { edges: { left: '1x45', right: '' } }),
  feature(2, 42, 12, '', { edges: { left: '0.5x45', right: '' } }),
  feature(3, 28, 60, 'h7'),
  feature(4, 18, 20, '', { edges: { left: '', right: '1x45' } }),
]);
const withFurther = (job: Job, ...further: Setup[]): Job => ({
  ...job,
  hold: { ...job.hold, setups: [job.hold.setups[0]!, ...further] },
});
const firstBy = (job: Job, more: Partial<Setup>): Job => ({
  ...job,
  hold: { ...job.hold, setups: [{ ...job.hold.setups[0]!, ...more }, ...job.hold.setups.slice(1)] },
});
const finishedOf = (piece: Workpiece | undefined) => Object.keys(piece?.finished ?? {}).toSorted();
const next = (job: Job, n: number): Setup => nextSetup(planJob(job, shop).setups, ID(n))!;
const turned = withFurther(spindle, next(spindle, 1));

describe('setups that were planned before', () => {
  const all = planJob(turned, shop).setups;
  const between: Setup = { ...all[1]!.setup, grip: { kind: 'centres' }, support: 'centre' };
  it('are taken over as they are, as far as they are wanted', () => {
    const again = planJob(turned, shop, undefined, { known: all });
    expect(again.setups.map((s, i) => s === all[i])).toEqual([true, true]);
    expect(planJob(turned, shop, undefined, { known: all, upTo: 1 }).setups).toHaveLength(1);
    expect(planJob(turned, shop, undefined, { upTo: 1 }).setups[0]!.plan.operations).toEqual(all[0]!.plan.operations);
  });
  it('stand up to the first that differs; what comes after it is planned on the piece as it then is', () => {
    const other = withFurther(spindle, between);
    const again = planJob(other, shop, undefined, { known: all });
    expect(again.setups[0]).toBe(all[0]);
    expect(again.setups[1]).toEqual(planJob(other, shop).setups[1]);
    const tighter = firstBy(turned, { grip: { kind: 'jaws', on: 'spare', mm: 31 } });
    expect(planJob(tighter, shop, undefined, { known: all })).toEqual(planJob(tighter, shop));
  });
  it('are planned again where another setup cuts the piece off its spare stock', () => {
    const again = withFurther(spindle, { ...between, grip: { kind: 'jaws', on: 'spare', mm: 0 }, support: 'none' });
    const { setups } = planJob(again, shop, undefined, { known: all });
    expect(setups[0]).not.toBe(all[0]);
    expect(setups).toEqual(planJob(again, shop).setups);
  });
});

describe('holdings of a job', () => {
  it('begin with the first one, which is the plan as it was', () => {
    const { setups } = planJob(spindle, shop);
    expect(setups).toHaveLength(1);
    expect(setups[0]!.setup).toBe(spindle.hold.setups[0]);
    expect(planJob({ ...spindle, stock: { ...spindle.stock, barId: null } }, shop).setups).toEqual([]);
  });
  it('go on with the other end: faced to length, what waited turned on what is finished', () => {
    expect(next(spindle, 1)).toMatchObject({
      tail: 'left',
      grip: { kind: 'jaws', protect: 'strips' },
      support: 'auto',
    });
    const { setups } = planJob(turned, shop);
    const second = setups[1]!;
    expect(finishedOf(second.piece)).toEqual([
      ...['f2', 'f2.right', 'f3', 'f3.right', 'f4', 'f4.right.edge', 'part.right'],
    ]);
    expect(second.plan.operations.map((o) => o.id)).toEqual([
      'mount',
      'face',
      'touchOff',
      'glance',
      'f1-rough',
      'f1-roughed',
      'touchOff-finisher',
      'f1-semi',
      'f1-between',
      'f1-finish',
      'f1-after',
      'f1-shoulder',
      'f2-chamfer',
      'f1-chamfer',
    ]);
    // the raw bar comes down to the journal's size, from the new tail end to the collar
    const rough = second.plan.operations.find((o) => o.id === 'f1-rough')!;
    expect(rough.passes[0]!.diameterBeforeMm).toBe(45);
    expect([rough.zFromMm, rough.zToMm]).toEqual([92.3, 132]);
    expect(reachOf(second.piece)).toMatchObject({ zFromMm: 0, zToMm: 133, largestMm: 45 });
    const made = finishedOf(pieceAtLast(setups));
    for (const id of ['f1', 'f1.left.edge', 'f2.left.edge', 'part.left']) expect(made).toContain(id);
    expect(stillWaiting(setups)).toEqual([]);
    expect(nextSetup(setups, ID(2))).toBeUndefined();
    expect(jobSchema.safeParse(turned).success).toBe(true);
  });
  it('turn each length once, whatever the shape, and leave none that any end could reach', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 16, max: 42 }), fc.integer({ min: 25, max: 45 })), {
          minLength: 2,
          maxLength: 5,
        }),
        (lengths) => {
          const job = jobOf(lengths.map(([d, l], i) => feature(i + 1, d, l)));
          const one = planJob(job, shop);
          const after = nextSetup(one.setups, ID(1));
          if (!after) return;
          const { setups } = planJob(withFurther(job, after), shop);
          const cut = setups.flatMap((s) =>
            s.plan.operations.filter((o) => o.kind === 'finish').map((o) => o.featureId),
          );
          expect(new Set(cut).size).toBe(cut.length);
          // what is left lies between larger ones, or is held by
          for (const w of stillWaiting(setups).filter((left) => /^f\d+$/.test(left.id))) {
            const at = lengths.findIndex((_, i) => `f${i + 1}` === w.id);
            const [d] = lengths[at]!;
            const larger = (side: typeof lengths) => side.some(([other]) => other > d);
            expect(w.why === 'inJaws' || (larger(lengths.slice(0, at)) && larger(lengths.slice(at + 1)))).toBe(true);
          }
        },
      ),
      { numRuns: 25 },
    );
  });
  it('can make the ends first, then turn all between the centres, the dog changed over', () => {
    const lathe = {
      ...twoChucks,
      holding: { ...twoChucks.holding, drivers: [{ name: 'dog', fromMm: 10, toMm: 50 }] },
    };
    const owned = { ...shop, lathes: [lathe] };
    const ends = firstBy(spindle, { extent: 'ends' });
    const job = withFurther(
      ends,
      { id: ID(1), tail: 'left', grip: { kind: 'jaws', mm: 0 }, support: 'none', extent: 'ends' },
      { id: ID(2), tail: 'right', grip: { kind: 'centres' }, support: 'centre' },
      { id: ID(3), tail: 'left', grip: { kind: 'centres' }, support: 'centre' },
    );
    const { setups, problems } = planJob(job, owned);
    expect(problems.filter((p) => p.severity !== 'warning')).toEqual([]);
    const kinds = (n: number) => setups[n]!.plan.operations.map((o) => o.kind);
    expect(kinds(0)).toEqual(['mount', 'face', 'centre', 'saw']);
    expect(kinds(1)).toEqual(['mount', 'face', 'centre']);
    expect(setups[2]!.plan.operations.filter((o) => o.kind === 'finish').map((o) => o.featureId)).toEqual([
      'f2',
      'f3',
      'f4',
    ]);
    expect(setups[3]!.plan.operations.filter((o) => o.kind === 'finish').map((o) => o.featureId)).toEqual(['f1']);
    // nothing is lost from one to the other
    expect(acrossMm(setups, 3, 4)).toBeLessThan(acrossMm(setups, 1, 2));
    expect(turnedTogether(setups).map((t) => t.heldBy)).toEqual(['bar', 'length', 'centres', 'centres']);
    // bending between the centres is told as such
    const { steps, record } = collectWorking();
    planJob(job, owned, (op) => (op === '3/f3-finish' ? record : undefined));
    expect(steps.map((s) => s.code)).toContain('mechanics.betweenCentres');
  });
  it('say where in the job something is wrong', () => {
    const wrong = planJob(withFurther(spindle, { ...next(spindle, 1), grip: { kind: 'jaws', mm: 0, on: 'f9' } }), shop);
    expect(wrong.problems.find((p) => p.code === 'hold.cannotGripThere')!.path).toEqual([
      ...['hold', 'setups', 1, 'grip', 'on'],
    ]);
    const centres = planJob(withFurther(spindle, heldBy(next(spindle, 1), 'betweenCentres')), shop);
    expect(centres.problems.map((p) => p.code)).toContain('hold.noCentreHoles');
  });
  it('cut the piece off its spare stock before it is put in again, and only then', () => {
    const ends = (job: Job) => planJob(job, shop).setups.map((s) => [reachOf(s.piece).zFromMm, s.piece.marks.length]);
    // grip 34, clear of the jaws 5, saw 3, and 1 to face; turned round, what is still to be faced is at the tail
    expect(ends(turned)).toEqual([
      [-43, 1],
      [0, 0],
    ]);
    expect(reachOf(planJob(turned, shop).setups[1]!.piece).zToMm).toBe(133);
    expect(ends(firstBy(turned, { grip: { kind: 'jaws', mm: 34 } }))[0]).toEqual([-1, 0]);
  });
  it('are each frozen for themselves, and list their locks', () => {
    const planned = planJob(turned, shop);
    const run = freezeJob(turned, planned, 2)!;
    expect(outsides(run.piece.part)[0]!.id).toBe('f4');
    expect(run.number).toBe(2);
    expect(freezeJob(turned, planned, 3)).toBeUndefined();
    const locks = locksThrough(run);
    expect(locks[0]).toEqual({ operationId: 'face', kind: 'face', slide: 'carriage', set: true });
    expect(locks[1]).toEqual({ operationId: 'touchOff', kind: 'touchOff', slide: 'carriage', set: false });
    // what is set is loosened before it is set again
    const carriage = locks.filter((l) => l.slide === 'carriage').map((l) => l.set);
    expect(carriage.every((set, i) => set === (i % 2 === 0))).toBe(true);
  });
});

describe('truth across holdings', () => {
  const datums = [{ letter: 'A', on: 'f3' }];
  const geometry = (tolerance: string) => [
    {
      ...{ id: 'g1', kind: 'runout' as const, on: 'f1', datum: 'A' },
      tolerance: { text: tolerance, unit: 'mm' as const },
    },
  ];
  const held = (chuckId: string | undefined, tolerance: string) => {
    const drawing = { ...turned.drawing, datums, geometry: geometry(tolerance) };
    const again = { ...next(spindle, 1), grip: { kind: 'jaws' as const, mm: 0, chuckId } };
    return planJob(withFurther({ ...turned, drawing }, again), shop);
  };
  it('is lost by as much as the chuck runs out, and said where the drawing wants more', () => {
    expect(acrossMm(held(undefined, '0.1').setups, 1, 2)).toBe(0.08);
    const lost = (p: ReturnType<typeof held>) => p.problems.filter((x) => x.code === 'hold.losesTruth');
    expect(lost(held(undefined, '0.1'))).toEqual([]);
    expect(lost(held(undefined, '0.05'))).toMatchObject([
      { path: ['hold', 'setups', 1, 'grip'], value: 0.08, limit: 0.05, severity: 'warning' },
    ]);
    expect(lost(held('four', '0.05'))).toEqual([]);
    // jaws bored to the size in their place are as true as that
    const soft = withFurther(spindle, { ...next(spindle, 1), grip: { kind: 'jaws', mm: 0, protect: 'softJaws' } });
    expect(acrossMm(planJob(soft, shop).setups, 1, 2)).toBe(0.02);
  });
  it.each([
    ['squareness', 'f1.left', 'f3', 30],
    ['squareness', 'f2.left', 'f3', 42],
    ['parallelism', 'f2.left', 'f2.right', 42],
    ['runout', 'f1.left', 'f3', 30],
  ] as const)('of a face, %s of %s to %s: half the runout over the grip, across its Ø%i', (kind, on, to, faceMm) => {
    const wanted = (tolerance: string, protect?: 'softJaws') => {
      const drawing = {
        ...turned.drawing,
        datums: [{ letter: 'A', on: to }],
        geometry: [{ ...geometry(tolerance)[0]!, kind, on }],
      };
      const grip = { kind: 'jaws' as const, mm: 0, ...(protect && { protect }) };
      return planJob(withFurther({ ...turned, drawing }, { ...next(spindle, 1), grip }), shop);
    };
    const { setups, problems } = wanted('0.01');
    const { held } = setups[1]!.plan;
    const value = (0.04 * faceMm) / held!.gripMm;
    const lost = problems.filter((p) => p.code === 'hold.losesSquare');
    expect(lost).toMatchObject([{ path: ['hold', 'setups', 1, 'grip'], limit: 0.01, severity: 'warning' }]);
    expect(lost[0]!.value).toBeCloseTo(value, 4);
    expect(wanted(String(value + 0.001)).problems.filter((p) => p.code === 'hold.losesSquare')).toEqual([]);
    // jaws bored in their place hold a quarter as far out
    expect(wanted('0.001', 'softJaws').problems.find((p) => p.code === 'hold.losesSquare')!.value).toBeCloseTo(
      value / 4,
      4,
    );
  });
  it('of a face is what its seat is, on a step or a faceplate, whatever its size', () => {
    const { setups } = planJob(turned, shop);
    const on = (grip: Setup['grip'], method: 'stepJaws' | 'faceplate' | 'betweenCentres') =>
      setups.map((s) =>
        s.number === 1
          ? s
          : { ...s, setup: { ...s.setup, grip }, plan: { ...s.plan, held: { ...s.plan.held!, method } } },
      );
    expect(outOfSquareMm(on({ kind: 'jaws', by: 'step', mm: 0 }, 'stepJaws'), 1, 2, 42)).toBe(0.02);
    expect(outOfSquareMm(on({ kind: 'faceplate' }, 'faceplate'), 1, 2, 30)).toBe(0.02);
    // between centres half of what they run out, over the whole length
    expect(outOfSquareMm(on({ kind: 'centres' }, 'betweenCentres'), 1, 2, 42)).toBeCloseTo((0.005 * 42) / 133, 4);
  });
});

describe('ways to hold a piece again', () => {
  it('weigh what is cut and what is lost; what cannot be done comes with its reason', () => {
    const ways = waysOfHolding(turned, shop, 2);
    const good = ways.filter((w) => w.does && w.owned);
    expect(good[0]).toMatchObject({ chuckId: 'four', method: 'chuck' });
    expect(good.map((w) => w.costMin)).toEqual(good.map((w) => w.costMin).toSorted((a, b) => a! - b!));
    for (const way of good)
      expect(way.costMin).toBeCloseTo(
        way.reasons.reduce((sum, r) => sum + r.minutes, 0),
        9,
      );
    expect(ways.filter((w) => w.chosen)).toHaveLength(1);
    expect(ways.find((w) => w.method === 'mandrel')!.reasons[0]!.code).toBe('hold.noThroughHole');
    expect(ways.find((w) => w.method === 'betweenCentres')!.reasons[0]!.code).toBe('hold.noCentreHoles');
    expect(waysOfHolding(spindle, shop, 2)).toEqual([]);
  });
});
