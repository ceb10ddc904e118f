import type { Knex } from 'knex';

/** Lathes get revisions, a stand of their own and calibrations; the shop its own materials. Frozen: never edited after release. */
export async function up(db: Knex): Promise<void> {
  await db.raw('alter table shop_records drop constraint shop_records_kind');
  await db.raw(
    `alter table shop_records add constraint shop_records_kind check (kind in ('lathe', 'bar', 'tool', 'instrument', 'calibration', 'material'))`,
  );
  await db.schema.createTable('record_revisions', (t) => {
    t.uuid('record_id').notNullable().references('id').inTable('shop_records').onDelete('CASCADE');
    t.integer('revision').notNullable();
    t.jsonb('document').notNullable();
    t.timestamp('saved_at').notNullable().defaultTo(db.fn.now());
    t.primary(['record_id', 'revision']);
  });
  await db.schema.createTable('lathe_stands', (t) => {
    t.uuid('lathe_id').primary().references('id').inTable('shop_records').onDelete('CASCADE');
    t.jsonb('document').notNullable();
    t.timestamp('updated_at').notNullable().defaultTo(db.fn.now());
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('lathe_stands');
  await db.schema.dropTable('record_revisions');
  // what the older shape has no room for goes with it
  await db('shop_records').whereIn('kind', ['calibration', 'material']).delete();
  await db.raw('alter table shop_records drop constraint shop_records_kind');
  await db.raw(
    `alter table shop_records add constraint shop_records_kind check (kind in ('lathe', 'bar', 'tool', 'instrument'))`,
  );
}
