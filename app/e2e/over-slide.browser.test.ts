import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { cutToTheEnd } from './support/at-the-lathe.ts';
import { axe, openBrowser, openPage, press, sees, textOf, visit } from './support/browser.ts';
import { TestShop } from './support/shop.ts';

describe('work that stands on the cross-slide', () => {
  const shop = new TestShop();
  let opened: Awaited<ReturnType<typeof openBrowser>>;
  beforeAll(async () => {
    await shop.start('demo');
    opened = await openBrowser();
  });
  afterAll(async () => {
    await opened.end();
    await shop.end();
  });
  it('is packed, picked up, bored by the bar’s own screw and drilled by the slide’s wheel', async () => {
    const { page, errors } = await openPage(opened.browser, 1280, 900);
    const id = /\/jobs\/([0-9a-f-]{36})\/drawing"[^>]*>Sluice bracket/.exec((await shop.ask('GET', '/')).text)![1]!;
    await visit(page, `${shop.url}/jobs/${id}/hold`);
    await sees(page, 'right end to the headstock');
    await sees(page, 'on 17.15 mm of packing');
    expect(await axe(page)).toEqual([]);
    await visit(page, `${shop.url}/jobs/${id}/route`);
    await sees(page, 'Proved: cut with these tools it ends at the drawing');
    await visit(page, `${shop.url}/jobs/${id}/cut`);
    await press(page, 'Start cutting');
    await sees(page, '0.675 in of packing under it');
    const seen: string[] = [];
    const told = new Set<string>();
    await cutToTheEnd(page, 32, async () => {
      const text = await textOf(page);
      seen.push(await page.$eval('main h2', (e) => e.textContent!));
      for (const section of ['The cutter’s screw in its bar', 'Cross-slide'])
        if (await page.$(`section[aria-label="${section}"]`)) told.add(section);
      if (text.includes('Pick') || text.includes('pointed bar')) expect(await axe(page)).toEqual([]);
    });
    // every cut is set by the bar's screw, none by the slide's wheel
    expect([...told]).toEqual(['The cutter’s screw in its bar']);
    expect(seen.filter((t) => t.startsWith('Drill Bolts'))).toHaveLength(2);
    expect(errors).toEqual([]);
    await page.close();
  });
});
