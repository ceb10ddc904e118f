import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TestShop } from './support/shop.ts';

let shop: TestShop;
beforeAll(async () => {
  shop = await new TestShop().start('demo');
});
afterAll(() => shop.end());

const count = async (kind: string) =>
  ((await shop.ask('GET', `/api/records/${kind}`)).body as { records: { id: string }[] }).records.length;

describe('the demo', () => {
  it('goes with one request; what the shop’s own jobs use stays, and can go when they do', async () => {
    const made = (await shop.ask('POST', '/api/jobs', { title: 'Own pin' })).body as { id: string };
    const [bar] = ((await shop.ask('GET', '/api/records/bar')).body as { records: { id: string }[] }).records;
    const { job, version } = (await shop.ask('GET', `/api/jobs/${made.id}`)).body as {
      job: Record<string, object>;
      version: number;
    };
    const stock = { ...job.stock, barId: bar!.id };
    expect((await shop.ask('PUT', `/api/jobs/${made.id}`, { version, job: { ...job, stock } })).status).toBe(200);
    const gone = await shop.ask('DELETE', '/api/demo', {});
    expect(gone.status).toBe(200);
    expect(gone.body).toMatchObject({ jobs: 25 });
    // the bar it is cut from, and tools and gauges that it is planned with
    expect(await count('bar')).toBe(1);
    expect(await count('tool')).toBeGreaterThan(3);
    const home = (await shop.ask('GET', '/')).text;
    expect(home).toContain('Own pin');
    expect(home).not.toContain('Winding spindle');
    // the log forgets the demo's pieces too
    expect((await shop.ask('GET', '/log')).text).not.toContain('Winding spindle');
    await shop.ask('DELETE', `/api/jobs/${made.id}`);
    expect((await shop.ask('DELETE', '/api/demo', {})).body).toMatchObject({ jobs: 0, kept: 0 });
    expect([await count('bar'), await count('tool')]).toEqual([0, 0]);
  });
  it('comes back into a shop that has nothing of it, and only there', async () => {
    expect((await shop.ask('POST', '/api/demo', {})).status).toBe(201);
    expect((await shop.ask('GET', '/')).text).toContain('Winding spindle');
    expect(await count('bar')).toBeGreaterThan(10);
    const again = await shop.ask('POST', '/api/demo', {});
    expect([again.status, again.body.problems?.[0]?.code]).toEqual([409, 'demo.there']);
  });
});
