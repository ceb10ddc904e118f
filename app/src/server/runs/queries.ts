import type { StoredEvent } from '@whelk/core/run';
import type { Knex } from 'knex';
import type { EventRow, RunRow } from './rows.ts';

export async function selectRun(db: Knex, id: string): Promise<RunRow | undefined> {
  return db<RunRow>('runs').where({ id }).first();
}
export async function selectRunsOf(db: Knex, jobIds: readonly string[]): Promise<RunRow[]> {
  return db<RunRow>('runs')
    .whereIn('job_id', [...jobIds])
    .orderBy('started_at');
}
export async function selectSummariesOf(db: Knex, jobIds: readonly string[]): Promise<Omit<RunRow, 'frozen'>[]> {
  return db<RunRow>('runs')
    .select('id', 'job_id', 'piece', 'setup', 'started_at', 'ended_at', 'outcome', 'step_index', 'step_count')
    .whereIn('job_id', [...jobIds])
    .orderBy('started_at');
}
export async function selectRecentRuns(db: Knex, limit: number): Promise<RunRow[]> {
  return db<RunRow>('runs').orderBy('started_at', 'desc').limit(limit);
}
export async function selectEventsOf(db: Knex, runIds: readonly string[]): Promise<EventRow[]> {
  return db<EventRow>('run_events')
    .whereIn('run_id', [...runIds])
    .orderBy(['run_id', 'device', 'seq']);
}
export async function insertRun(
  db: Knex,
  row: {
    id: string;
    job_id: string;
    piece: number;
    setup: number;
    frozen: string;
    started_at: string;
    ended_at: string | null;
    outcome: string | null;
    step_index: number;
    step_count: number;
  },
): Promise<void> {
  await db('runs').insert(row);
}
/** Adds events; one that is already there stays as it is. */
export async function insertEvents(db: Knex, events: readonly StoredEvent[]): Promise<number> {
  if (events.length === 0) return 0;
  const rows = events.map((e) => ({
    id: e.id,
    run_id: e.runId,
    device: e.device,
    seq: e.seq,
    body: JSON.stringify(e),
  }));
  const inserted = await db('run_events').insert(rows).onConflict('id').ignore().returning('id');
  return inserted.length;
}
export async function setRunStand(
  db: Knex,
  id: string,
  stand: { ended_at: string | null; outcome: string | null; step_index: number },
): Promise<void> {
  await db('runs').where({ id }).update(stand);
}
