import type { Knex } from 'knex';

/** First tables: jobs with their revisions, the shop's records, runs and their events. Frozen: never edited after release. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('jobs', (t) => {
    t.uuid('id').primary();
    t.text('title').notNullable();
    t.integer('quantity').notNullable();
    t.jsonb('document').notNullable();
    t.integer('version').notNullable().defaultTo(1);
    t.integer('revision').notNullable().defaultTo(1);
    t.timestamp('created_at').notNullable().defaultTo(db.fn.now());
    t.timestamp('updated_at').notNullable().defaultTo(db.raw('clock_timestamp()'));
    t.timestamp('archived_at').nullable();
    t.timestamp('deleted_at').nullable();
  });
  await db.schema.createTable('job_revisions', (t) => {
    t.uuid('job_id').notNullable().references('id').inTable('jobs').onDelete('CASCADE');
    t.integer('revision').notNullable();
    t.jsonb('document').notNullable();
    t.timestamp('saved_at').notNullable().defaultTo(db.fn.now());
    t.primary(['job_id', 'revision']);
  });
  await db.schema.createTable('shop_records', (t) => {
    t.uuid('id').primary();
    t.text('kind').notNullable();
    t.integer('position').notNullable();
    t.jsonb('document').notNullable();
    t.timestamp('updated_at').notNullable().defaultTo(db.fn.now());
    t.index(['kind', 'position']);
  });
  await db.raw(
    `alter table shop_records add constraint shop_records_kind check (kind in ('lathe', 'bar', 'tool', 'instrument'))`,
  );
  await db.schema.createTable('shop_settings', (t) => {
    t.integer('id').primary();
    t.jsonb('document').notNullable();
    t.timestamp('started_at').notNullable().defaultTo(db.fn.now());
  });
  await db.raw('alter table shop_settings add constraint shop_settings_one check (id = 1)');
  await db.schema.createTable('runs', (t) => {
    t.uuid('id').primary();
    t.uuid('job_id').notNullable().references('id').inTable('jobs').onDelete('CASCADE');
    t.integer('piece').notNullable();
    t.jsonb('frozen').notNullable();
    t.timestamp('started_at').notNullable();
    t.timestamp('ended_at').nullable();
    t.text('outcome').nullable();
    // where the run stands, as its events say; kept here so that lists need not replay them
    t.integer('step_index').notNullable();
    t.integer('step_count').notNullable();
    t.index(['job_id']);
  });
  // one piece is cut by one run at a time; ended runs may be repeated
  await db.raw('create unique index runs_open_piece on runs (job_id, piece) where ended_at is null');
  await db.schema.createTable('run_events', (t) => {
    t.uuid('id').primary();
    t.uuid('run_id').notNullable().references('id').inTable('runs').onDelete('CASCADE');
    t.uuid('device').notNullable();
    t.integer('seq').notNullable();
    t.jsonb('body').notNullable();
    t.timestamp('received_at').notNullable().defaultTo(db.fn.now());
    t.unique(['run_id', 'device', 'seq']);
  });
}

export async function down(db: Knex): Promise<void> {
  for (const table of ['run_events', 'runs', 'shop_settings', 'shop_records', 'job_revisions', 'jobs'])
    await db.schema.dropTable(table);
}
