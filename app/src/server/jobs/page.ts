import type { Knex } from 'knex';
import { idOf } from '../params.ts';
import { summariesOf } from '../runs/load.ts';
import { loadSettings, loadShop } from '../shop/service.ts';
import { loadJob } from './service.ts';

/** All that a job's page needs. @throws Refused 404 for an id that is not one, or of no job */
export async function loadJobPage(db: Knex, rawId: string | undefined) {
  const id = idOf(rawId);
  const [{ job, version, revision }, shop, settings, runs] = await Promise.all([
    loadJob(db, id),
    loadShop(db),
    loadSettings(db),
    summariesOf(db, [id]),
  ]);
  return { id, stored: { job, version, revision }, shop, settings, runs };
}
