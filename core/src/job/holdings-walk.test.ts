import { describe, expect, it } from 'vitest';
import { setupSchema } from '../hold/index.ts';
import { materials } from '../material/index.ts';
import { outsides } from '../part/index.ts';
import { asFrozenRun, type FrozenRun, frozenRunSchema } from '../run/index.ts';
import { AtTheLathe } from '../testing/at-the-lathe.ts';
import { jobOf, shopWith } from '../testing/jobs.ts';
import { feature } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { cutOf } from './cut-of.ts';
import { nextSetup } from './next-setup.ts';
import { freezeJob, planJob } from './plan-job.ts';
import { type Job, jobSchema } from './schema.ts';

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const shop = shopWith('45');
const first = jobOf([feature(1, 30, 40, 'h9'), feature(2, 42, 12), feature(3, 28, 60, 'h7'), feature(4, 18, 20)]);
const setup = nextSetup(planJob(first, shop).setups, uuid(1))!;
const job: Job = { ...first, hold: { ...first.hold, setups: [first.hold.setups[0]!, setup] } };

/** Follows a run to its end: every cut comes out as it was told. */
function follow(run: FrozenRun) {
  const lathe = new AtTheLathe(run);
  const seen: { kind: string; stopMm?: number; setting?: string }[] = [];
  for (let guard = 0; guard < 200; guard++) {
    const { advice } = lathe;
    if (!advice) return { state: lathe.state, seen };
    const { step, expected, measured } = advice;
    if (!measured) seen.push({ kind: step.kind, stopMm: step.zStopMm, setting: step.setting?.speedLabel });
    if (step.kind === 'touchOff') lathe.touch(step.targetMm === undefined ? 44.7 : expected!.mm, '0', '0');
    else if (step.kind === 'measure' && !measured) lathe.read(expected!.mm);
    else lathe.act();
  }
  throw new Error('it does not come to its end');
}

describe('a later holding at the lathe', () => {
  const planned = planJob(job, shop);
  const run = freezeJob(job, planned, 2)!;
  it('is followed to its end like any other, and measures what it turned alone', () => {
    const { state, seen } = follow(run);
    expect(state.ignored).toBe(0);
    expect(state.outcomes.map((o) => [o.featureId, o.decision.verdict])).toEqual([['f1', 'fits']]);
    expect(seen[0]!.kind).toBe('mount');
    // nothing is cut beyond the collar, which is finished
    const collar = outsides(run.piece.part).find((f) => f.id === 'f2')!;
    for (const cut of seen.filter((s) => s.setting && s.stopMm !== undefined))
      expect(cut.stopMm!).toBeGreaterThanOrEqual(collar.zFromMm - 1e-9);
  });
  it('comes back from a file as it was written', () => {
    const written = JSON.parse(JSON.stringify(run));
    const read = frozenRunSchema.safeParse(written);
    expect(read.error).toBeUndefined();
    expect(asFrozenRun(read.data!)).toEqual(written);
    const bad = { ...written, piece: { ...written.piece, part: { ...written.piece.part, tail: 'up' } } };
    expect(frozenRunSchema.safeParse(bad).error!.issues[0]!.path.join('.')).toBe('piece.part.tail');
  });
  it('tells the working of its own operations, by the holding’s number', () => {
    const { steps, record } = collectWorking();
    planJob(job, shop, (id) => (id === '2/f1-rough' ? record : undefined));
    expect(steps.map((s) => s.code)).toEqual(expect.arrayContaining(['route.passes', 'mechanics.grip']));
    const grip = steps.find((s) => s.code === 'mechanics.grip')!;
    // held on the bearing, not on the bar
    expect(grip.values.gripDiameterMm).toBe(28);
    const own = collectWorking();
    planJob(job, shop, (id) => (id === 'f1-rough' ? own.record : undefined));
    expect(own.steps).toEqual([]);
  });
  it('is taken to the bench book like the first', () => {
    expect(cutOf(job, shop, 'f1-rough')).toMatchObject({ kind: 'rough', diameterMm: 45, tailCentre: false });
    expect(cutOf(first, shop, 'f1-rough')).toBeUndefined();
  });
  it('keeps the turner’s own depth and feed of an operation', () => {
    const own = { 'f1-rough': { depthMm: 0.5, feedMmPerRev: 0.1 } };
    const again = planJob({ ...job, route: { ...job.route, own } }, shop).setups[1]!.plan;
    const rough = again.operations.find((o) => o.id === 'f1-rough')!;
    expect(Math.max(...rough.passes.map((p) => p.depthMm))).toBeLessThanOrEqual(0.5 + 1e-9);
    expect(rough.decidedBy).toBe('own');
  });
  it('is planned anew when the first one changes: what that leaves is cut in the second', () => {
    const onPart = { ...job.hold.setups[0]!, grip: { kind: 'jaws' as const, mm: 0 } };
    const part = { ...job, hold: { ...job.hold, setups: [onPart, setup] } };
    const { setups } = planJob(part, shop);
    // the journal was in the jaws either way; the head face is still raw
    expect(setups[1]!.plan.operations.find((o) => o.kind === 'face')!.offMm).toBe(1);
    const noFacing = { ...job, stock: { ...job.stock, allow: { ...job.stock.allow, faceHeadMm: 0 } } };
    expect(planJob(noFacing, shop).setups[1]!.plan.operations.some((o) => o.kind === 'face')).toBe(false);
  });
});

describe('what a job may say of its holdings', () => {
  const refused = (setups: unknown) =>
    jobSchema.safeParse({ ...job, hold: { ...job.hold, setups } }).error?.issues.map((i) => i.path.join('.')) ?? [];
  it('is checked field by field', () => {
    expect(refused([setup])).toEqual([]);
    const gripped = (more: object) => refused([{ ...setup, grip: { kind: 'jaws', mm: 0, ...more } }]);
    expect(gripped({ kind: 'glue' })).toEqual(['hold.setups.0.grip.kind']);
    expect(gripped({ mm: -1 })).toEqual(['hold.setups.0.grip.mm']);
    expect(gripped({ chuckId: 'a b' })).toEqual(['hold.setups.0.grip.chuckId']);
    expect(refused([{ ...setup, tail: 'up' }])).toEqual(['hold.setups.0.tail']);
    expect(refused([])).toEqual(['hold.setups']);
    expect(refused(Array.from({ length: 9 }, () => setup))).toEqual(['hold.setups']);
    expect(setupSchema.safeParse({ ...setup, more: 1 }).success).toBe(false);
  });
  it('is planned for every material without a hole in the figures', () => {
    for (const { id } of materials) {
      const bars = [{ ...shop.bars[0]!, materialId: id }];
      const { setups } = planJob(job, { ...shop, bars });
      expect([id, setups.length]).toEqual([id, 2]);
      for (const s of setups)
        for (const o of s.plan.operations) expect([id, o.id, Number.isFinite(o.minutes)]).toEqual([id, o.id, true]);
    }
  });
});
