import { replay } from '@whelk/core/run';
import type { Knex } from 'knex';
import { idOf } from '../params.ts';
import type { StoredRun } from '../runs/rows.ts';
import { loadRunsOf } from '../runs/service.ts';
import { loadSettings, loadShop } from '../shop/service.ts';
import { loadJob } from './service.ts';

/** A run as far as lists show it. */
export function runSummary(run: StoredRun) {
  const state = replay(run.frozen, run.events);
  return {
    id: run.id,
    piece: run.piece,
    open: !state.ended,
    outcome: state.ended?.outcome ?? null,
    stepIndex: state.stepIndex,
    stepCount: run.frozen.steps.length,
    startedAt: run.startedAt,
  };
}

/** All that a job's page needs. @throws Refused 404 for an id that is not one, or of no job */
export async function loadJobPage(db: Knex, rawId: string | undefined) {
  const id = idOf(rawId);
  const [{ job, version, revision }, shop, settings, runs] = await Promise.all([
    loadJob(db, id),
    loadShop(db),
    loadSettings(db),
    loadRunsOf(db, [id]),
  ]);
  return { id, stored: { job, version, revision }, shop, settings, runs: runs.map(runSummary) };
}
