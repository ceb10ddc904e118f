import { randomUUID } from 'node:crypto';
import { type WaitingBlanks, waitingBlanks } from '@whelk/core/job';
import { type Bar, barSchema, barSizes, bookBar } from '@whelk/core/stock';
import type { Knex } from 'knex';
import { z } from 'zod';
import { Refused } from '../answer.ts';
import { listJobs, loadJob, saveJob } from '../jobs/service.ts';
import { summariesOf } from '../runs/load.ts';
import { selectRecordForUpdate, upsertRecord } from './queries.ts';
import { loadShop } from './service.ts';

/** Blanks that jobs in hand wait for, in the order of the jobs. */
export async function loadWaiting(db: Knex): Promise<WaitingBlanks[]> {
  const jobs = await listJobs(db, false, '');
  const [shop, runs] = await Promise.all([
    loadShop(db),
    summariesOf(
      db,
      jobs.map((j) => j.id),
    ),
  ]);
  return jobs.flatMap(({ id, job }) => {
    const own = runs.filter((r) => r.jobId === id);
    const spoilt = own.filter((r) => r.outcome === 'cannotBePutBack').length;
    return waitingBlanks(id, job, shop, { begun: own.length, spoilt }) ?? [];
  });
}

/** What was sawn, as a cutting list said: from which bar of which length, for which jobs, and what is left of it. */
export const sawnSchema = z.strictObject({
  keepMm: z.number().min(0).max(5000),
  bars: z
    .array(
      z.strictObject({
        barId: z.uuid(),
        /** as the list knew it */
        lengthMm: z.number().positive().max(50_000),
        leftMm: z.number().min(0).max(50_000),
        cuts: z
          .array(
            z.strictObject({
              jobId: z.uuid().nullable(),
              count: z.number().int().min(1).max(1000),
              /** of the blanks: from now on they are so long */
              lengthMm: z.number().positive().max(10_000).optional(),
            }),
          )
          .max(500),
      }),
    )
    .min(1)
    .max(200),
});
export type Sawn = z.infer<typeof sawnSchema>;

/**
 * Books what was sawn, all or nothing: bars become remnants, jobs know how many blanks they have.
 * @throws Refused 409 when a bar is not as the list knew it any more
 */
export async function bookSawn(db: Knex, sawn: Sawn): Promise<{ bars: readonly Bar[] }> {
  return db.transaction(async (trx) => {
    const written: Bar[] = [];
    for (const cut of sawn.bars) {
      const row = await selectRecordForUpdate(trx, 'bar', cut.barId);
      const bar = barSchema.safeParse(row?.document);
      const sizes = bar.success && !bar.data.usedUp ? barSizes(bar.data) : undefined;
      if (!bar.success || !sizes || Math.abs(sizes.lengthMm - cut.lengthMm) > 0.01 || cut.leftMm >= cut.lengthMm)
        throw new Refused(409, [
          {
            ...{ code: 'stock.barChanged', path: ['bars'], unit: 'mm' },
            ...{ value: sizes?.lengthMm ?? 0, limit: Number(cut.lengthMm.toFixed(2)) },
          },
        ]);
      const [itself, remnant] = bookBar(bar.data, cut, sawn.keepMm, randomUUID());
      for (const document of [itself, remnant])
        if (document) {
          await upsertRecord(trx, { id: document.id, kind: 'bar', document });
          written.push(document);
        }
    }
    const counts = new Map<string, { count: number; lengthMm?: number }>();
    for (const { jobId, count, lengthMm } of sawn.bars.flatMap((b) => b.cuts))
      if (jobId) counts.set(jobId, { count: (counts.get(jobId)?.count ?? 0) + count, lengthMm });
    for (const [jobId, { count, lengthMm }] of counts) {
      const { job, version } = await loadJob(trx, jobId);
      const have = Math.min(1000, (job.stock.sawn ?? 0) + count);
      const sawnMm = ((job.stock.sawn ?? 0) > 0 ? job.stock.sawnMm : undefined) ?? lengthMm;
      const stock = { ...job.stock, sawn: have, ...(sawnMm === undefined ? {} : { sawnMm }) };
      await saveJob(trx, jobId, version, { ...job, stock });
    }
    return { bars: written };
  });
}
