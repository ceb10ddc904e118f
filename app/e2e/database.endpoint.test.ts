import { spawnSync } from 'node:child_process';
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
  const calc = (...args: string[]) =>
    spawnSync('npm', ['run', '--silent', 'calc', '--', ...args], { cwd: ROOT, encoding: 'utf8' });
  it('lists, describes, calculates, and refuses with its exit codes', () => {
    const list = calc('--list');
    expect(list.status).toBe(0);
    for (const line of list.stdout.trim().split('\n')) expect(line).toMatch(/^[a-z]+\.[a-zA-Z0-9]+\t[a-z]+\t.+\.$/);
    const schema = JSON.parse(calc('cutting.rpm', '--schema').stdout);
    expect(schema.input.properties).toHaveProperty('speedMPerMin');
    expect(schema.output.properties).toHaveProperty('rpm');
    const good = calc('cutting.rpm', '{"speedMPerMin":30,"diameterMm":19.0985932}');
    expect([good.status, Math.round(JSON.parse(good.stdout).result.rpm)]).toEqual([0, 500]);
    const bad = calc('cutting.rpm', '{"speedMPerMin":-1}');
    expect([bad.status, JSON.parse(bad.stdout).problems.length]).toEqual([1, 2]);
    expect(calc('cutting.rpm', '{').status).toBe(1);
    expect(calc('no.such').status).toBe(2);
  });
});
