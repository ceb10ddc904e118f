import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { upgradeFrozen } from '../../core/src/run/index.ts';
import { connect } from '../src/server/db/connection.ts';
import { cutAhead } from './support/cut-ahead.ts';
import { TestShop } from './support/shop.ts';

let shop: TestShop;
let db: Knex;
beforeAll(async () => {
  shop = await new TestShop().start('demo');
  db = connect(shop.databaseUrl);
});
afterAll(async () => {
  await db.destroy();
  await shop.end();
});

type Answer = Awaited<ReturnType<TestShop['ask']>>;
const told = (answer: Answer) => [answer.status, answer.body.problems?.[0]?.code, answer.body.problems?.[0]?.path];
const demoJob = async (title: string): Promise<string> =>
  new RegExp(`/jobs/([0-9a-f-]{36})/drawing"[^>]*>${title}<`).exec((await shop.ask('GET', '/')).text)![1]!;
const load = async (id: string) =>
  (await shop.ask('GET', `/api/jobs/${id}`)).body as unknown as {
    job: { hold: Record<string, unknown> };
    version: number;
  };
const save = async (id: string, further: readonly unknown[]) => {
  const { job, version } = await load(id);
  return shop.ask('PUT', `/api/jobs/${id}`, {
    version,
    job: { ...job, hold: { ...job.hold, setups: [(job.hold.setups as unknown[])[0], ...further] } },
  });
};
const again = { id: randomUUID(), tail: 'left', grip: { kind: 'jaws', mm: 0 }, support: 'auto' };

describe('holdings at the door', () => {
  it('are kept as they are sent, and refused by the field that is wrong', async () => {
    const id = await demoJob('Locking pins');
    expect((await save(id, [again])).status).toBe(200);
    expect((await load(id)).job.hold.setups).toEqual([expect.objectContaining({ tail: 'right' }), again]);
    for (const [wrong, field] of [
      [{ ...again, grip: { kind: 'magnet' } }, ['grip', 'kind']],
      [{ ...again, grip: { kind: 'jaws', mm: 5000 } }, ['grip', 'mm']],
      [{ ...again, id: 'mine' }, ['id']],
      [{ ...again, tail: 'both' }, ['tail']],
    ] as const) {
      const [status, , path] = told(await save(id, [wrong]));
      expect([status, path]).toEqual([400, ['job', 'hold', 'setups', 1, ...field]]);
    }
    expect((await save(id, Array(8).fill(again))).status).toBe(400);
    // nothing of what was refused is kept
    expect((await load(id)).job.hold.setups).toEqual([expect.objectContaining({ tail: 'right' }), again]);
  });
  it('cut a piece in a holding once it has been through the one before, and each once at a time', async () => {
    const id = await demoJob('Locking pins');
    const start = (setup?: number) => shop.ask('POST', `/api/jobs/${id}/runs`, { piece: 2, setup });
    expect(told(await start(2)).slice(0, 2)).toEqual([409, 'run.setupBefore']);
    expect((await start(0)).status).toBe(400);
    const many = await Promise.all([1, 2, 3, 4].map(() => start(1)));
    expect(new Set(many.map((a) => (a.body as unknown as { id: string }).id)).size).toBe(1);
    expect(many.filter((a) => a.status === 201)).toHaveLength(1);
  });
});

describe('a piece that goes into its second holding', () => {
  it('takes along what the first one measured on it', async () => {
    const id = await demoJob('Locking pins');
    const { lathe } = await cutAhead(shop, db, id, { piece: 3, finished: true });
    const frozenOf = async (setup: number) => {
      const { body } = await shop.ask('POST', `/api/jobs/${id}/runs`, { piece: 3, setup });
      const [row] = await db('runs').where({ id: body.id }).select('frozen');
      return upgradeFrozen(row.frozen);
    };
    expect(lathe.run.piece.measured).toBeUndefined();
    const taken = Object.fromEntries(
      lathe.state.outcomes.map((o) => [o.featureId, { sizeMm: o.sizeMm, uncertaintyMm: o.uncertaintyMm }]),
    );
    expect(Object.keys(taken).length).toBeGreaterThan(0);
    expect((await frozenOf(2)).piece.measured).toEqual(taken);
  });
});

describe('the rack and the lathe', () => {
  it('know castings by what stands on every surface, and nothing else so', async () => {
    const typed = (text: string) => ({ text, unit: 'mm' });
    const record = {
      ...{ id: randomUUID(), materialId: 'grey-iron', diameter: typed('90'), length: typed('60'), note: '' },
      ...{ shape: 'casting', allowance: typed('2.5') },
    };
    const put = (more: object) => shop.ask('PUT', '/api/records/bar', { record: { ...record, ...more } });
    expect((await put({})).status).toBe(200);
    expect((await put({ allowance: { text: '2.5' } })).status).toBe(400);
    expect((await put({ allowance: 2.5 })).status).toBe(400);
  });
  it('refuse a mandrel whose sizes run backwards', async () => {
    const id = /\/lathes\/([0-9a-f-]{36})/.exec((await shop.ask('GET', '/lathes')).text)![1]!;
    const { lathe } = (await shop.ask('GET', `/api/lathes/${id}`)).body as unknown as {
      lathe: { holding: object };
    };
    const put = (arbors: unknown) =>
      shop.ask('PUT', `/api/lathes/${id}`, { lathe: { ...lathe, holding: { ...lathe.holding, arbors } } });
    const mandrel = { name: 'no. 7', kind: 'mandrel', fromMm: 22.01, toMm: 21.99 };
    expect(told(await put([mandrel]))).toEqual([400, 'lathe.rangeReversed', ['holding', 'arbors', 0, 'toMm']]);
    expect((await put([{ ...mandrel, toMm: 22.03 }])).status).toBe(200);
    expect((await put([{ ...mandrel, kind: 'glue' }])).status).toBe(400);
  });
});
