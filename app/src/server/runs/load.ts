import type { Knex } from 'knex';
import { notFound } from '../answer.ts';
import { selectEventsOf, selectRecentRuns, selectRun, selectRunsOf, selectSummariesOf } from './queries.ts';
import { type RunRow, type RunSummary, type StoredRun, toRun, toSummary } from './rows.ts';

/** Runs with their events. */
export async function loadRunEvents(db: Knex, rows: readonly RunRow[]): Promise<StoredRun[]> {
  const events =
    rows.length > 0
      ? await selectEventsOf(
          db,
          rows.map((r) => r.id),
        )
      : [];
  return rows.map((row) =>
    toRun(
      row,
      events.filter((e) => e.run_id === row.id),
    ),
  );
}
export async function loadRun(db: Knex, id: string): Promise<StoredRun> {
  const row = await selectRun(db, id);
  if (!row) throw notFound();
  return (await loadRunEvents(db, [row]))[0]!;
}
export const loadRunsOf = async (db: Knex, jobIds: readonly string[]): Promise<StoredRun[]> =>
  loadRunEvents(db, await selectRunsOf(db, jobIds));
/** Where the runs of some jobs stand. */
export const summariesOf = async (db: Knex, jobIds: readonly string[]): Promise<RunSummary[]> =>
  (await selectSummariesOf(db, jobIds)).map(toSummary);
export const recentRuns = async (db: Knex, most = 200): Promise<StoredRun[]> =>
  loadRunEvents(db, await selectRecentRuns(db, most));
