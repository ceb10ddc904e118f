import type { Knex } from 'knex';
import type { JobRow } from './rows.ts';

const live = (db: Knex) => db<JobRow>('jobs').whereNull('deleted_at');

export async function selectJobs(db: Knex, archived: boolean, find: string): Promise<JobRow[]> {
  const query = live(db).orderBy('updated_at', 'desc').limit(500);
  if (archived) query.whereNotNull('archived_at');
  else query.whereNull('archived_at');
  // strpos takes the text literally, so that % and _ in it mean themselves
  if (find) query.andWhereRaw('strpos(lower(title), lower(?)) > 0', [find]);
  return query;
}
export async function selectJob(db: Knex, id: string): Promise<JobRow | undefined> {
  return live(db).where({ id }).first();
}
export async function insertJob(
  db: Knex,
  id: string,
  row: { title: string; quantity: number; document: string },
): Promise<void> {
  await db('jobs').insert({ id, ...row });
  await db('job_revisions').insert({ job_id: id, revision: 1, document: row.document });
}
/** Saves over a known version; undefined when somebody else was first. Saves within two minutes fold into one revision. */
export async function updateJob(
  db: Knex,
  id: string,
  version: number,
  row: { title: string; quantity: number; document: string },
): Promise<{ version: number; revision: number } | undefined> {
  return db.transaction(async (trx) => {
    const current = await live(trx).where({ id, version }).forUpdate().first();
    if (!current) return undefined;
    const folds = await trx('job_revisions')
      .where({ job_id: id, revision: current.revision })
      .andWhereRaw(`saved_at > now() - interval '2 minutes'`)
      .first();
    const revision = folds ? current.revision : current.revision + 1;
    await trx('jobs')
      .where({ id })
      .update({ ...row, version: version + 1, revision, updated_at: trx.fn.now() });
    await trx('job_revisions')
      .insert({ job_id: id, revision, document: row.document })
      .onConflict(['job_id', 'revision'])
      .merge({ document: row.document });
    return { version: version + 1, revision };
  });
}
export async function markJob(
  db: Knex,
  id: string,
  change: 'archive' | 'unarchive' | 'delete' | 'undelete',
): Promise<number> {
  const set = {
    archive: { archived_at: db.fn.now() },
    unarchive: { archived_at: null },
    delete: { deleted_at: db.fn.now() },
    undelete: { deleted_at: null },
  }[change];
  return db('jobs').where({ id }).update(set);
}

/** Revisions of a job, latest first. */
export async function selectRevisions(
  db: Knex,
  id: string,
  most: number,
): Promise<{ revision: number; document: unknown; saved_at: Date }[]> {
  return db('job_revisions').where({ job_id: id }).orderBy('revision', 'desc').limit(most);
}
