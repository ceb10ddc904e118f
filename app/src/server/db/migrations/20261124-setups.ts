import type { Knex } from 'knex';

/** A run is of one holding of a piece. Frozen: never edited after release. */
export async function up(db: Knex): Promise<void> {
  await db.raw('alter table runs add column setup integer not null default 1 check (setup >= 1)');
  await db.raw('drop index runs_open_piece');
  await db.raw('create unique index runs_open_piece on runs (job_id, piece, setup) where ended_at is null');
}

export async function down(db: Knex): Promise<void> {
  // the older shape knows the first holding alone
  await db('runs').where('setup', '>', 1).delete();
  await db.raw('drop index runs_open_piece');
  await db.raw('alter table runs drop column setup');
  await db.raw('create unique index runs_open_piece on runs (job_id, piece) where ended_at is null');
}
