import { randomUUID } from 'node:crypto';
import { problemsOf } from '@whelk/core/calc';
import { jobFileSchema } from '@whelk/core/job';
import { asFrozenRun, replay } from '@whelk/core/run';
import type { Knex } from 'knex';
import { jobFile, renewIds, renewRuns } from '../../exchange/job-file.ts';
import { Refused } from '../answer.ts';
import { createJob, loadJob } from '../jobs/service.ts';
import { addLathe, leaveStanding } from '../lathes/service.ts';
import { loadRunsOf } from '../runs/load.ts';
import { insertEvents, insertRun } from '../runs/queries.ts';
import { loadShop, saveRecord } from '../shop/service.ts';

/** The file of a job: itself, its bar and lathe, and all that was cut for it. */
export async function exportJob(db: Knex, id: string) {
  const { job } = await loadJob(db, id);
  const shop = await loadShop(db);
  const runs = await loadRunsOf(db, [id]);
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  return jobFile({
    exportedAt: new Date().toISOString(),
    job,
    bar: shop.bars.find((b) => b.id === job.stock.barId) ?? null,
    // with what was measured on it in the place of what was written down; the readings stay with the lathe's own file
    lathe: lathe ? { ...lathe, inForce: {} } : null,
    runs: runs.map((run) => ({
      id: run.id,
      piece: run.piece,
      setup: run.setup,
      startedAt: run.startedAt,
      frozen: run.frozen as never,
      events: run.events.map(({ receivedAt: _r, ...event }) => event as (typeof run.events)[number]),
    })),
  });
}

/** Takes a job file in as a new job. Its bar and lathe are added when the shop has none with that id. Nothing is overwritten. */
export async function importJob(db: Knex, body: unknown): Promise<string> {
  const head = body as { format?: unknown; schema?: unknown } | null;
  if (head?.format !== 'whelk.job') throw new Refused(400, [{ code: 'file.unknown', path: ['format'] }]);
  if (typeof head.schema === 'number' && head.schema > 1)
    throw new Refused(400, [{ code: 'file.newer', path: ['schema'], value: head.schema, limit: 1 }]);
  const parsed = jobFileSchema.safeParse(body);
  if (!parsed.success) throw new Refused(400, problemsOf(parsed.error).slice(0, 50));
  const file = parsed.data;
  const renew = renewIds(randomUUID);
  return db.transaction(async (trx) => {
    const shop = await loadShop(trx);
    if (file.bar && !shop.bars.some((b) => b.id === file.bar?.id)) await saveRecord(trx, 'bar', file.bar);
    if (file.lathe && !shop.lathes.some((l) => l.id === file.lathe?.id)) await addLathe(trx, file.lathe);
    const id = await createJob(trx, file.job);
    await insertRuns(trx, id, renewRuns(file.runs, renew));
    return id;
  });
}

/** Puts runs of a file into the database; their end follows from their events. */
export async function insertRuns(db: Knex, jobId: string, runs: ReturnType<typeof renewRuns>): Promise<void> {
  for (const run of runs) {
    const frozen = asFrozenRun(run.frozen);
    const state = replay(frozen, run.events);
    const { ended, stepIndex } = state;
    await insertRun(db, {
      id: run.id,
      job_id: jobId,
      piece: run.piece,
      setup: run.setup ?? 1,
      frozen: JSON.stringify(run.frozen),
      started_at: run.startedAt,
      ended_at: ended?.at ?? null,
      outcome: ended?.outcome ?? null,
      step_index: stepIndex,
      step_count: run.frozen.steps.length,
    });
    await insertEvents(db, run.events);
    // a piece that is being cut left the lathe as it set it
    if (!ended) await leaveStanding(db, frozen, state);
  }
}
