import { randomUUID } from 'node:crypto';
import { type Job, storedJobSchema } from '@whelk/core/job';
import type { Knex } from 'knex';
import { notFound, Refused } from '../answer.ts';
import { insertJob, markJob, selectJob, selectJobs, selectRevisions, updateJob } from './queries.ts';
import { type StoredJob, toDomain, toRow } from './rows.ts';

export async function listJobs(db: Knex, archived: boolean, find: string): Promise<StoredJob[]> {
  return (await selectJobs(db, archived, find)).map(toDomain);
}
export async function loadJob(db: Knex, id: string): Promise<StoredJob> {
  const row = await selectJob(db, id);
  if (!row) throw notFound();
  return toDomain(row);
}
export async function createJob(db: Knex, job: Job, id: string = randomUUID()): Promise<string> {
  await db.transaction((trx) => insertJob(trx, id, toRow(job)));
  return id;
}
/** Saves a job over the version it started from. A stale save is refused with both versions. */
export async function saveJob(
  db: Knex,
  id: string,
  version: number,
  job: Job,
): Promise<{ version: number; revision: number }> {
  const saved = await updateJob(db, id, version, toRow(job));
  if (saved) return saved;
  const theirs = await loadJob(db, id);
  throw new Refused(409, [{ code: 'save.stale', path: ['version'], value: version, limit: theirs.version }], {
    mine: job,
    theirs: theirs.job,
    theirVersion: theirs.version,
  });
}
export async function duplicateJob(db: Knex, id: string): Promise<string> {
  const { job } = await loadJob(db, id);
  return createJob(db, { ...job, title: `${job.title.slice(0, 73)}, copy` });
}
export async function changeJob(db: Knex, id: string, change: Parameters<typeof markJob>[2]): Promise<void> {
  if ((await markJob(db, id, change)) === 0) throw notFound();
}

/** How many revisions a page shows. */
const MOST_REVISIONS = 60;

/** Earlier states of a job with when they were saved, latest first. @throws Refused 404 for no such job */
export async function loadRevisions(db: Knex, id: string): Promise<{ revision: number; savedAt: string; job: Job }[]> {
  await loadJob(db, id);
  const rows = await selectRevisions(db, id, MOST_REVISIONS);
  return rows.flatMap((row) => {
    const job = storedJobSchema.safeParse(row.document);
    return job.success ? [{ revision: row.revision, savedAt: row.saved_at.toISOString(), job: job.data }] : [];
  });
}
