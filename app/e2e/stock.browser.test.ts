import { randomUUID } from 'node:crypto';
import type { Bar } from '@whelk/core/stock';
import pg from 'pg';
import { describe, expect, it } from 'vitest';
import { axe, press, sees, station, type, typeInto, visit } from './support/browser.ts';
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
    const section = await page.$$eval(
      'section[aria-labelledby="cutting"] select option',
      (all) => (all as HTMLOptionElement[]).find((option) => option.text.includes('Ø25 '))!.value,
    );
    await page.select('section[aria-labelledby="cutting"] select', section);
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
    expect((await loadJob(axles)).job.stock).toMatchObject({ sawn: 8, sawnMm: 121 });
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
    const hexagons = (await bars())
      .filter((b) => b.materialId === 'brass' && b.shape === 'hexagon')
      .map((b) => [b.length.text, b.pieces]);
    expect(hexagons).toEqual([
      ['600', 1],
      ['100', undefined],
    ]);
    const tube = await shop.ask('PUT', '/api/records/bar', { record: { ...bar, shape: 'tube' } });
    expect([tube.status, JSON.stringify(tube.body)]).toEqual([400, expect.stringContaining('A tube has no hole')]);
  });
});

describe('the stock of a job', () => {
  it('is found in place: the lathe first, then a usual bar with one press or one typed in; a sawn blank keeps its length', async () => {
    const { page, errors } = await openPage();
    const bush = await jobIdOf('Gland follower blank');
    const { latheId } = (await loadJob(bush)).job.hold;
    await changeJob(bush, (job) => ({
      ...job,
      stock: { ...job.stock, barId: null },
      hold: { ...job.hold, latheId: null },
    }));
    await visit(page, `${shop.url}/jobs/${bush}/stock`);
    const sawOne = () =>
      page.$$eval('button', (all) => all.find((b) => b.textContent === 'One more lies ready')?.disabled);
    await sees(page, 'Which lathe?');
    expect(await page.$eval('button[aria-label^="Take it"]', (b) => (b as HTMLButtonElement).disabled)).toBe(true);
    await page.select('select[aria-label="Lathe"]', latheId!);
    await page.select('select[aria-label="Material of a usual bar"]', 'gunmetal');
    const before = (await bars()).length;
    await press(page, 'Take it');
    await sees(page, 'On the rack and chosen');
    await sees(page, '· saved');
    const taken = (await bars()).at(-1)!;
    const { job } = await loadJob(bush);
    expect([(await bars()).length, job.stock.barId]).toEqual([before + 1, taken.id]);
    expect(taken).toMatchObject({ materialId: 'gunmetal', note: 'for Gland follower blank' });
    // one of one's own, typed where one stands
    await press(page, 'Add a bar');
    await type(page, 'bar-diameter', '70');
    await type(page, 'bar-length', '250');
    await page.click('form button[type="submit"]');
    await page.waitForFunction(() =>
      document.querySelector('tr.bg-\\[var\\(--brass-soft\\)\\]')?.textContent?.includes('Ø70 mm'),
    );
    // Undo takes back the choice, at another station too
    await press(page, 'Undo');
    await sees(page, '· saved');
    expect((await loadJob(bush)).job.stock.barId).toBe(taken.id);
    await station(page, 'hold');
    await press(page, 'Redo');
    await sees(page, '· saved');
    expect((await loadJob(bush)).job.stock.barId).toBe((await bars()).at(-1)!.id);
    await press(page, 'Undo');
    await sees(page, '· saved');
    await station(page, 'stock');
    // from the first blank on its length stands: less grip wanted is more that is gripped
    expect(await sawOne()).toBe(false);
    const length = () => page.$eval('section[aria-labelledby="blank"] .figure', (e) => e.textContent);
    const sawn = await length();
    await press(page, 'One more lies ready');
    await sees(page, 'has to fit into that');
    await typeInto(page, 'To face at the tail end, mm', '3');
    await sees(page, '· saved');
    expect(await length()).toBe(sawn);
    expect((await loadJob(bush)).job).toMatchObject({ stock: { sawn: 1, allow: { faceTailMm: 3 } } });
    expect(errors).toEqual([]);
    await page.close();
  });
  it('shows what was added elsewhere when one comes back to it', async () => {
    const { page } = await openPage();
    const spindle = await jobIdOf('Winding spindle, gate 3');
    await visit(page, `${shop.url}/jobs/${spindle}/stock`);
    const [bar] = await bars();
    const record = { ...bar, id: randomUUID(), note: 'just came', diameter: { text: '46', unit: 'mm' } };
    expect((await shop.ask('PUT', '/api/records/bar', { record })).status).toBe(200);
    await page.evaluate(() => dispatchEvent(new Event('pageshow')));
    await sees(page, 'just came');
    await page.close();
  });
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
    await changeJob(spindle, (job) => ({ ...job, stock: { allow: job.stock.allow, barId: tube.id } }));
    await visit(page, `${shop.url}/jobs/${spindle}/stock`);
    await sees(page, 'the part is not hollow all the way');
    expect(errors).toEqual([]);
    await page.close();
  });
});
