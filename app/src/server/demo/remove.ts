import type { ShopFile } from '@whelk/core/job';
import type { Knex } from 'knex';
import { Refused } from '../answer.ts';
import { countJobsUsing, deleteCalibrationsOf } from '../shop/queries.ts';
import { loadDemo } from './load.ts';

type Demo = Pick<
  ShopFile,
  'jobs' | 'lathes' | 'bars' | 'tools' | 'materials' | 'calibrations' | 'instruments' | 'holders' | 'inserts'
>;

const recordIds = (demo: Demo): string[] =>
  [
    ...demo.lathes,
    ...demo.bars,
    ...demo.tools,
    ...demo.materials,
    ...demo.calibrations,
    ...demo.instruments,
    ...demo.holders,
    ...demo.inserts,
  ].map((record) => record.id);

/** How much of the demo is in the shop: jobs that are not deleted, and records. */
export async function demoThere(db: Knex, demo: Demo): Promise<{ jobs: number; records: number }> {
  const count = async (query: Knex.QueryBuilder) => Number(((await query.count('* as n').first()) as { n: string }).n);
  return {
    jobs: await count(
      db('jobs')
        .whereNull('deleted_at')
        .whereIn(
          'id',
          demo.jobs.map((j) => j.id),
        ),
    ),
    records: await count(db('shop_records').whereIn('id', recordIds(demo))),
  };
}

/**
 * Takes the demo out of the shop in one transaction: its jobs with their runs, and of its lathes, bars, tools and gauges all that no job
 * of the shop's own uses.
 * @returns how many jobs and records went, and how many records stay for jobs that use them
 */
export async function removeDemo(db: Knex, demo: Demo): Promise<{ jobs: number; records: number; kept: number }> {
  return db.transaction(async (trx) => {
    const jobs = await trx('jobs')
      .whereIn(
        'id',
        demo.jobs.map((j) => j.id),
      )
      .delete();
    const own = Number(((await trx('jobs').whereNull('deleted_at').count('* as n').first()) as { n: string }).n);
    // tools, gauges and materials are planned with, not pointed at: they stay as long as there is a job to plan
    const planned = new Set([...demo.tools, ...demo.materials, ...demo.instruments].map((r) => r.id));
    let records = 0;
    let kept = 0;
    for (const id of recordIds(demo)) {
      const there = await trx('shop_records').where({ id }).first();
      if (!there) continue;
      if ((own > 0 && planned.has(id)) || (await countJobsUsing(trx, id)) > 0) {
        kept += 1;
        continue;
      }
      await deleteCalibrationsOf(trx, id);
      records += await trx('shop_records').where({ id }).delete();
    }
    return { jobs, records, kept };
  });
}

/** Brings the demo into a shop that has nothing of it. @throws Refused 409 when some of it is there */
export async function addDemo(db: Knex, demo: ShopFile): Promise<void> {
  await db.transaction(async (trx) => {
    const { jobs, records } = await demoThere(trx, demo);
    // a demo job that was deleted can be brought back singly; it stands in the way here
    const deleted = await trx('jobs').whereIn(
      'id',
      demo.jobs.map((j) => j.id),
    );
    if (jobs + records + deleted.length > 0)
      throw new Refused(409, [{ code: 'demo.there', path: [], value: jobs + records }]);
    await loadDemo(trx, demo);
  });
}
