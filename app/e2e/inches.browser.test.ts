import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { cutToTheEnd } from './support/at-the-lathe.ts';
import { openAll, textOf, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, jobIdOf, loadJob } = demoInBrowser();

/** What is in millimetres by itself: a choice of unit, a bar that was bought so, the field of a gauge that reads so. */
const OWN = /^mm$|^\t.*(steel|brass|alloy|metal|iron|bronze|Stainless)|^\d+ mm\t|^Length read, mm$/;

/** Lines of a page that speak of millimetres. */
async function millimetres(page: Page): Promise<string[]> {
  await openAll(page);
  // what is written in pictures is no text of the page by itself
  const drawn = await page.$$eval('svg text', (all) => all.map((e) => e.textContent ?? ''));
  return [...(await textOf(page)).split('\n'), ...drawn].filter(
    (line) => !OWN.test(line) && /\bmm\b|\bmillimet/i.test(line),
  );
}

describe('a job in inches on an inch lathe', () => {
  it('says no millimetre, from the drawing to the last cut', async () => {
    const { page, errors } = await openPage();
    const id = await jobIdOf('Old stud, copied');
    expect((await loadJob(id)).job.drawing.unit).toBe('in');
    const found: string[] = [];
    const look = async (where: string) => {
      for (const line of await millimetres(page)) found.push(`${where}: ${line}`);
    };
    for (const station of ['drawing', 'stock', 'hold', 'route', 'cut']) {
      await visit(page, `${shop.url}/jobs/${id}/${station}`);
      if (station === 'route') for (const button of await page.$$('[data-operation]')) await button.click();
      await look(station);
    }
    const run = (await shop.ask('POST', `/api/jobs/${id}/runs`, { piece: 1 })).body as { id: string };
    await visit(page, `${shop.url}/runs/${run.id}`);
    await cutToTheEnd(page, 1.25, () => look('cutting'));
    await look('the end');
    expect([...new Set(found)]).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });
  it('has a lathe whose page and description are in inches', async () => {
    const { page } = await openPage();
    const lathe = /\/lathes\/([0-9a-f-]{36})"[^>]*>the Grey/.exec((await shop.ask('GET', '/lathes')).text)![1]!;
    const found: string[] = [];
    for (const part of ['', '/describe']) {
      await visit(page, `${shop.url}/lathes/${lathe}${part}`);
      for (const line of await millimetres(page)) found.push(`lathe${part}: ${line}`);
    }
    expect([...new Set(found)]).toEqual([]);
    await page.close();
  });
});
