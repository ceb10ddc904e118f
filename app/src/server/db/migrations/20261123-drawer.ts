import type { Knex } from 'knex';

/** The drawer keeps holders and inserts. Frozen: never edited after release. */
export async function up(db: Knex): Promise<void> {
  await db.raw('alter table shop_records drop constraint shop_records_kind');
  await db.raw(
    `alter table shop_records add constraint shop_records_kind check (kind in ('lathe', 'bar', 'tool', 'instrument', 'calibration', 'material', 'holder', 'insert'))`,
  );
}

export async function down(db: Knex): Promise<void> {
  // what the older shape has no room for goes with it
  await db('shop_records').whereIn('kind', ['holder', 'insert']).delete();
  await db.raw('alter table shop_records drop constraint shop_records_kind');
  await db.raw(
    `alter table shop_records add constraint shop_records_kind check (kind in ('lathe', 'bar', 'tool', 'instrument', 'calibration', 'material'))`,
  );
}
