import { type Job, planJob, type Shop } from '@whelk/core/job';
import { bottomOf, insides, mouthOf, outsides } from '@whelk/core/part';
import { adviseStep, replay, sizesRead } from '@whelk/core/run';
import { connect } from '../../src/server/db/connection.ts';
import { listJobs } from '../../src/server/jobs/service.ts';
import { loadRunsOf } from '../../src/server/runs/load.ts';
import type { StoredRun } from '../../src/server/runs/rows.ts';
import { loadShop } from '../../src/server/shop/service.ts';

/** What is shown of a job. */
export interface ShownJob {
  readonly title: string;
  readonly runs: readonly unknown[];
}

/** Figures as a page has room for them: what is shown is compared, not the last bit. */
const told = (value: unknown): unknown =>
  typeof value === 'number'
    ? Number(value.toFixed(4))
    : Array.isArray(value)
      ? value.map(told)
      : value && typeof value === 'object'
        ? Object.fromEntries(
            Object.entries(value)
              .filter(([, v]) => v !== undefined)
              .sort(([a], [b]) => (a < b ? -1 : 1))
              .map(([k, v]) => [k, told(v)]),
          )
        : value;

const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(told(value)));

/** What the pages show of a job by itself: its drawing as it is read, and how many setups it has. */
export function shownDrawing(job: Job, shop: Shop): object {
  const planned = planJob(job, shop);
  return plain({
    title: job.title,
    part: {
      lengthMm: planned.part.lengthMm,
      outside: outsides(planned.part).map((f) => [f.id, f.kind, f.leftMm, f.rightMm, f.zFromMm, f.zToMm]),
      inside: insides(planned.part).map((b) => {
        const [mouth, bottom] = [mouthOf(b), bottomOf(b)];
        return [b.id, b.made, mouth.diameterMm, bottom.diameterMm, mouth.zMm, bottom.zMm];
      }),
    },
    setups: planned.setups.length,
  }) as object;
}

/** Where a run stands, with the number that it tells next. */
function shownRun(run: StoredRun): unknown {
  const state = replay(run.frozen, run.events);
  const advice = state.ended ? undefined : adviseStep(run.frozen, state);
  return {
    where: [run.setup, run.piece, state.stepIndex, run.frozen.steps.length, state.ended?.outcome],
    ignored: state.ignored,
    readings: state.readings.map((r) => [r.featureId, r.mm, r.text, r.place, r.feel, r.setAside, r.was]),
    lengths: state.lengths.map((l) => [l.featureId, l.mm]),
    outcomes: state.outcomes.map((o) => [o.featureId, o.sizeMm, o.decision.verdict, o.decision.left]),
    sizes: sizesRead(state),
    springs: state.samples.map((s) => [s.share, s.uncertaintyShare]),
    metal: state.metal,
    standing: state.standing,
    now: advice && [advice.step.id, advice.step.kind, advice.expected?.mm],
    move: advice?.move,
    next: advice?.next,
  };
}

/**
 * All that a shop's pages show of its jobs and runs, as plain data in an order of its own: drawings as they are read, and
 * where each run stands.
 */
export async function shownBy(databaseUrl: string): Promise<readonly ShownJob[]> {
  const db = connect(databaseUrl);
  try {
    const shop = await loadShop(db);
    const jobs = [...(await listJobs(db, false, '')), ...(await listJobs(db, true, ''))];
    const shown = [];
    for (const { id, job } of jobs.toSorted((a, b) => (a.job.title < b.job.title ? -1 : 1))) {
      const runs = (await loadRunsOf(db, [id])).toSorted(
        (a, b) => a.setup - b.setup || a.piece - b.piece || (a.id < b.id ? -1 : 1),
      );
      shown.push({ ...shownDrawing(job, shop), runs: runs.map((run) => plain(shownRun(run))) });
    }
    return shown as unknown as readonly ShownJob[];
  } finally {
    await db.destroy();
  }
}
