import { type ShopFile, usualSettings } from '@whelk/core/job';
import type { Knex } from 'knex';
import { insertRuns } from '../exchange/job-exchange.ts';
import { createJob } from '../jobs/service.ts';
import { addLathe } from '../lathes/service.ts';
import { saveRecord, saveSettings } from '../shop/service.ts';

/** Whether the shop was begun before: then nothing is ever loaded over it. */
export async function begun(db: Knex): Promise<boolean> {
  const tables = ['shop_settings', 'jobs', 'shop_records'];
  for (const table of tables) if (await db(table).first()) return true;
  return false;
}

/** Begins a shop: empty, or with the demo shop, in one transaction. Does nothing to a shop that was begun. */
export async function beginShop(db: Knex, file: ShopFile | undefined): Promise<'begun' | 'demo' | 'empty'> {
  return db.transaction(async (trx) => {
    await trx.raw('lock table shop_settings in exclusive mode');
    if (await begun(trx)) return 'begun';
    await saveSettings(trx, file?.settings ?? usualSettings);
    if (!file) return 'empty';
    await loadDemo(trx, file);
    return 'demo';
  });
}

/** Keeps all records, jobs and runs of a shop file. */
export async function loadDemo(trx: Knex, file: ShopFile): Promise<void> {
  for (const lathe of file.lathes) await addLathe(trx, lathe);
  for (const bar of file.bars) await saveRecord(trx, 'bar', bar);
  for (const tool of file.tools) await saveRecord(trx, 'tool', tool);
  for (const material of file.materials) await saveRecord(trx, 'material', material);
  for (const calibration of file.calibrations) await saveRecord(trx, 'calibration', calibration);
  for (const instrument of file.instruments) await saveRecord(trx, 'instrument', instrument);
  for (const holder of file.holders) await saveRecord(trx, 'holder', holder);
  for (const insert of file.inserts) await saveRecord(trx, 'insert', insert);
  for (const { id, job, runs } of file.jobs.toReversed()) {
    await createJob(trx, job, id);
    await insertRuns(trx, id, runs);
  }
}
