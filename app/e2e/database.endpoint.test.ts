import { spawn } from 'node:child_process';
import path from 'node:path';
import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connect } from '../src/server/db/connection.ts';
import { migrate, migrationSource } from '../src/server/db/migrate.ts';
import { TestShop } from './support/shop.ts';

let shop: TestShop;
let db: Knex;
beforeAll(async () => {
  shop = await new TestShop().startDatabase('bare');
  db = connect(shop.databaseUrl);
});
afterAll(async () => {
  await db.destroy();
  await shop.end();
});

const shape = async () =>
  (
    await db.raw(
      `select table_name, column_name, data_type, is_nullable from information_schema.columns where table_schema = 'public' and table_name not like 'knex%' order by 1, 2`,
    )
  ).rows;

describe('migrations', () => {
  it('go up, down and up again to the same shape', async () => {
    await migrate(db);
    const first = await shape();
    expect(first.length).toBeGreaterThan(25);
    await db.migrate.rollback({ migrationSource }, true);
    expect(await shape()).toEqual([]);
    await migrate(db);
    expect(await shape()).toEqual(first);
  });
  it('can be run by several at once, and after one that was killed while it held the lock', async () => {
    await db.migrate.rollback({ migrationSource }, true);
    const others = [1, 2, 3].map(() => connect(shop.databaseUrl));
    await Promise.all(others.map(migrate));
    await Promise.all(others.map((o) => o.destroy()));
    await db('knex_migrations_lock').update({ is_locked: 1 });
    await migrate(db);
    expect((await shape()).length).toBeGreaterThan(25);
  });
  it('are made by a role that is no superuser', async () => {
    const [role] = (
      await db.raw('select rolsuper, rolcreatedb, rolcreaterole from pg_roles where rolname = current_user')
    ).rows;
    expect(role).toEqual({ rolsuper: false, rolcreatedb: false, rolcreaterole: false });
  });
});

describe('the calc command', () => {
  const ROOT = path.resolve(import.meta.dirname, '../..');
  const TSX = path.join(ROOT, 'node_modules/tsx/dist/cli.mjs');
  const calc = (...args: string[]) => run(process.execPath, TSX, 'app/src/cli/calc.ts', ...args);
  const run = (command: string, ...args: string[]) =>
    new Promise<{ status: number | null; stdout: string }>((resolve) => {
      const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'ignore'] });
      let stdout = '';
      child.stdout.on('data', (chunk: Buffer) => {
        stdout += chunk.toString();
      });
      child.once('close', (status) => resolve({ status, stdout }));
    });
  it('lists, describes, calculates, and refuses with its exit codes', async () => {
    const [list, described, good, bad, broken, unknown] = await Promise.all([
      run('npm', 'run', '--silent', 'calc', '--', '--list'),
      calc('cutting.rpm', '--schema'),
      calc('cutting.rpm', '{"speedMPerMin":30,"diameterMm":19.0985932}'),
      calc('cutting.rpm', '{"speedMPerMin":-1}'),
      calc('cutting.rpm', '{'),
      calc('no.such'),
    ]);
    expect(list.status).toBe(0);
    for (const line of list.stdout.trim().split('\n')) expect(line).toMatch(/^[a-z]+\.[a-zA-Z0-9]+\t[a-z]+\t.+\.$/);
    const schema = JSON.parse(described.stdout);
    expect(schema.input.properties).toHaveProperty('speedMPerMin');
    expect(schema.output.properties).toHaveProperty('rpm');
    expect([good.status, Math.round(JSON.parse(good.stdout).result.rpm)]).toEqual([0, 500]);
    expect([bad.status, JSON.parse(bad.stdout).problems.length]).toEqual([1, 2]);
    expect([broken.status, unknown.status]).toEqual([1, 2]);
  });
});
