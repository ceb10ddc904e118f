import type { Bar } from '@whelk/core/stock';
import pg from 'pg';
import { describe, expect, it } from 'vitest';
import { axe, press, sees, type, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, loadJob, changeJob, jobIdOf } = demoInBrowser();
/** What stands on the rack, straight from the database. */
async function bars(): Promise<Bar[]> {
  const client = new pg.Client({ connectionString: shop.databaseUrl });
  await client.connect();
  const found = await client.query("select document from shop_records where kind = 'bar' order by position, id");
  await client.end();
  return found.rows.map((row: { document: Bar }) => row.document);
}

describe('the rack', () => {
  it('works a cutting list out, books it, and knows what is left', async () => {
    const { page, errors } = await openPage();
    const axles = await jobIdOf('Guide roller axles');
    await visit(page, `${shop.url}/stock`);
    await sees(page, 'Guide roller axles: 8 × 121 mm');
    await press(page, 'Work out');
    await sees(page, 'Nothing shorter does');
    await sees(page, '1000 mm bar: 8 × 121 mm Guide roller axles; 8 mm of scrap');
    // four more of 110: the remnant of 470 takes them all
    await type(page, 'other-length', '110');
    await type(page, 'other-count', '4');
    await press(page, 'Work out');
    await sees(page, '2 bars are cut into, 1470 mm together');
    expect(await axe(page)).toEqual([]);
    await press(page, 'It is sawn: book it');
    await sees(page, 'Booked: 2 bars cut');
    expect((await loadJob(axles)).job.stock.sawn).toBe(8);
    const rack = await bars();
    const of = (length: string) => rack.filter((b) => b.diameter.text === '25' && b.length.text === length);
    // nothing worth keeping is left of either
    expect(rack.filter((b) => b.usedUp)).toHaveLength(2);
    expect(of('245').map((b) => b.usedUp)).toEqual([undefined]);
    // the job whose bar is gone is still planned
    await visit(page, `${shop.url}/jobs/${axles}/stock`);
    await sees(page, 'used up');
    await sees(page, '8 of 8');
    expect(errors).toEqual([]);
    await page.close();
  });
  it('refuses to book from a bar that is not as the list knew it, and bars that cannot be', async () => {
    const bar = (await bars()).find((b) => b.shape === 'hexagon')!;
    const sawn = (lengthMm: number, leftMm = 100) =>
      shop.ask('POST', '/api/stock/sawn', {
        keepMm: 40,
        bars: [{ barId: bar.id, lengthMm, leftMm, cuts: [{ jobId: null, count: 4 }] }],
      });
    const stale = await sawn(599);
    expect([stale.status, JSON.stringify(stale.body)]).toEqual([409, expect.stringContaining('The rack has changed')]);
    expect((await sawn(600, 600)).status).toBe(409);
    expect((await sawn(-1)).status).toBe(400);
    // one of two is cut: the other stays as it is, and the remnant is a bar of its own
    expect((await sawn(600)).status).toBe(200);
    const hexagons = (await bars()).filter((b) => b.shape === 'hexagon').map((b) => [b.length.text, b.pieces]);
    expect(hexagons).toEqual([
      ['600', 1],
      ['100', undefined],
    ]);
    const tube = await shop.ask('PUT', '/api/records/bar', { record: { ...bar, shape: 'tube' } });
    expect([tube.status, JSON.stringify(tube.body)]).toEqual([400, expect.stringContaining('A tube has no hole')]);
  });
});

describe('the stock of a job', () => {
  it('says which bars do, what a merchant would have, and whether the piece on the bench does', async () => {
    const { page, errors } = await openPage();
    const spindle = await jobIdOf('Winding spindle, gate 3');
    await visit(page, `${shop.url}/jobs/${spindle}/stock`);
    await sees(page, 'wants 42.5 mm, has 45');
    await sees(page, '1 11/16 in');
    await type(page, 'real-diameter', '44.9');
    await type(page, 'real-length', '240');
    await sees(page, '4 mm shorter than wanted: take it from the air before the jaws (3 mm), then grip (1 mm)');
    await type(page, 'real-length', '200');
    await sees(page, 'too short; grip and facing cannot give it');
    await type(page, 'real-diameter', '42');
    await sees(page, 'too thin to be sure');
    await page.select('section[aria-labelledby="blank"] select', 'slot');
    await sees(page, 'parting slot, as wide as it becomes');
    expect(await axe(page)).toEqual([]);
    await sees(page, '· saved');
    expect((await loadJob(spindle)).job.stock.real?.diameter.text).toBe('42');
    // a hollow bar for a solid part is refused with words
    const tube = (await bars()).find((b) => b.shape === 'tube')!;
    await changeJob(spindle, (job) => ({ ...job, stock: { barId: tube.id } }));
    await visit(page, `${shop.url}/jobs/${spindle}/stock`);
    await sees(page, 'the part is not hollow all the way');
    expect(errors).toEqual([]);
    await page.close();
  });
});
