import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { shopFileSchema } from '@whelk/core/job';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TestShop } from './support/shop.ts';
import { type ShownJob, shownBy, shownDrawing } from './support/shown.ts';

const ROOT = path.resolve(import.meta.dirname, '../..');
const kept = path.join(import.meta.dirname, 'fixtures');
let shop: TestShop;
let now: readonly ShownJob[];
const then = JSON.parse(readFileSync(path.join(kept, 'november.json'), 'utf8')) as readonly ShownJob[];

beforeAll(async () => {
  shop = await new TestShop().startDatabase('bare');
  execFileSync(process.execPath, [path.join(ROOT, 'scripts/restore.mjs'), path.join(kept, 'november.backup')], {
    env: { ...process.env, WHELK_DATABASE_URL: shop.databaseUrl },
  });
  now = await shownBy(shop.databaseUrl);
}, 120_000);
afterAll(() => shop.end());

/** A job's own part of what is shown, without its runs. */
const drawingOf = (list: readonly ShownJob[], title: string) => {
  const { runs: _runs, ...job } = list.find((j) => j.title === title)!;
  return job;
};

describe('a shop file of an earlier version', () => {
  const file = shopFileSchema.parse(JSON.parse(readFileSync(path.join(kept, 'november-shop.json'), 'utf8')));
  it.each(then.map((j) => j.title))('holds “%s” as it was', (title) => {
    const { job } = file.jobs.find((j) => j.job.title === title)!;
    const drawing = shownDrawing(job, { ...file, materials: [] });
    expect(drawing).toEqual(drawingOf(then, title));
  });
});

describe('a backup of an earlier version', () => {
  it('has all its jobs and runs again', () => {
    expect(now.map((j) => [j.title, j.runs.length])).toEqual(then.map((j) => [j.title, j.runs.length]));
    expect(then.flatMap((j) => j.runs).length).toBeGreaterThan(15);
  });
  it.each(then.map((j) => j.title))('shows the drawing of “%s” as it was', (title) => {
    expect(drawingOf(now, title)).toEqual(drawingOf(then, title));
  });
  it.each(then.map((j) => j.title))('tells at the lathe what it told, in every run of “%s”', (title) => {
    const of = (list: readonly ShownJob[]) => list.find((j) => j.title === title)!.runs;
    expect(of(now)).toEqual(of(then));
  });
});
