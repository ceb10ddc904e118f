import type { Knex } from 'knex';
import * as first from './migrations/20260105-first.ts';
import * as lathes from './migrations/20260110-lathes.ts';
import * as drawer from './migrations/20261123-drawer.ts';
import * as setups from './migrations/20261124-setups.ts';

const migrations: Record<string, { up: (db: Knex) => Promise<void>; down: (db: Knex) => Promise<void> }> = {
  '20260105-first': first,
  '20260110-lathes': lathes,
  '20261123-drawer': drawer,
  '20261124-setups': setups,
};

/** Static list instead of a folder, so that bundles and test runners find the same migrations. */
export const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: async () => Object.keys(migrations),
  getMigrationName: (name) => name,
  getMigration: async (name) => migrations[name]!,
};

const LOCK = 7_274_421;

/** Brings the database to the newest shape. Two at once wait for each other; a lock left by a killed one is freed. */
export async function migrate(db: Knex): Promise<void> {
  const connection = await db.client.acquireConnection();
  try {
    await db.raw('select pg_advisory_lock(?)', [LOCK]).connection(connection);
    const locked = await db.schema.hasTable('knex_migrations_lock');
    if (locked) await db.migrate.forceFreeMigrationsLock({ migrationSource });
    await db.migrate.latest({ migrationSource });
  } finally {
    await db
      .raw('select pg_advisory_unlock(?)', [LOCK])
      .connection(connection)
      .catch(() => undefined);
    await db.client.releaseConnection(connection);
  }
}
