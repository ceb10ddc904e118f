import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { cutToTheEnd, doStep } from './support/at-the-lathe.ts';
import { press, sees, textOf, type, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, jobIdOf } = demoInBrowser();

describe('pieces of a batch', () => {
  it('begin from the numbers of the piece before, checked on the first short cut', async () => {
    const { page, errors } = await openPage();
    const id = await jobIdOf('Locking pins');
    const start = async (piece: number) =>
      `${shop.url}/runs/${((await shop.ask('POST', `/api/jobs/${id}/runs`, { piece })).body as { id: string }).id}`;
    const toTouchOff = async () => {
      while (!(await page.$('[data-field="touch-diameter"]'))) await doStep(page, 'click', 14);
    };
    await visit(page, await start(1));
    await toTouchOff();
    expect(await textOf(page)).not.toContain('The numbers of the piece before');
    await cutToTheEnd(page, 14);
    await press(page, 'Close this piece');
    await sees(page, 'Back to the job');
    await expect
      .poll(async () => (await shop.ask('GET', `/jobs/${id}/cut`)).text.includes('Finished'), { timeout: 20_000 })
      .toBe(true);
    await visit(page, await start(2));
    await toTouchOff();
    await sees(page, 'The numbers of the piece before still hold');
    const wanted = Number(/should measure Ø(\d+\.\d+)/.exec(await textOf(page))![1]);
    // the ring's number stands there already; a diameter far from it is asked about
    await type(page, 'touch-diameter', (wanted + 0.3).toFixed(2));
    await sees(page, `Is it ${(wanted + 0.3).toFixed(2)}?`);
    await type(page, 'touch-diameter', (wanted + 0.02).toFixed(2));
    await page.keyboard.press('Enter');
    // this lathe's carriage has no ring: every piece has its lines
    await sees(page, 'Set out the lengths: 2 lines');
    await doStep(page, 'click');
    await sees(page, 'A look before the feed goes in');
    await doStep(page, 'click');
    await sees(page, 'Rough Grip');
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('a gauge without a number', () => {
  it('is told by how it went on, and gives a move all the same', async () => {
    const { page, errors } = await openPage();
    const record = {
      ...{ id: randomUUID(), name: 'Outside calipers', kind: 'preset calipers', unit: 'mm', fromMm: 0, toMm: 150 },
      ...{ resolutionMm: 0.05, uncertaintyMm: 0.02 },
    };
    expect((await shop.ask('PUT', '/api/records/instrument', { record })).status).toBe(200);
    const id = await jobIdOf('Guide roller axles');
    const run = (await shop.ask('POST', `/api/jobs/${id}/runs`, { piece: 1 })).body as { id: string };
    await visit(page, `${shop.url}/runs/${run.id}`);
    while (!(await page.$('[data-field="reading"]'))) await doStep(page, 'click', 25);
    await page.select('section[aria-label="Readings"] select', record.id);
    const setTo = async (text: string) => {
      await page.$eval('section[aria-label="Readings"] input', (e) => (e as HTMLInputElement).select());
      await page.keyboard.type(text);
    };
    // the head: 23.8 to 24.2. Set well above, they do not go on: there is metal to come off
    await setTo('24.30');
    await press(page, 'Does not go over: the work is larger');
    await sees(page, 'At least 24.30');
    await sees(page, 'Cut once more');
    await sees(page, 'off the diameter for');
    // and set wider they go loose: the size lies between
    await setTo('24.40');
    await press(page, 'Goes over loose: the work is smaller');
    await sees(page, 'work smaller, any place');
    expect(await page.$$eval('section[aria-label="Readings"] li', (all) => all.length)).toBe(2);
    expect(errors).toEqual([]);
    await page.close();
  });
});
