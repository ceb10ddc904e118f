import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { hydrated, press, sees, textOf, type, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';
import { TestShop } from './support/shop.ts';

let page: Page;
const { shop, openPage, jobIdOf } = demoInBrowser();
beforeAll(async () => {
  ({ page } = await openPage());
});
const submit = () => page.click('form.sheet button[type=submit]');

describe('tools and gauges', () => {
  it('adds a tool only when every field is right, and it is used at once', async () => {
    await visit(page, `${shop.url}/tools`);
    await press(page, 'Add');
    expect(await page.$eval('form.sheet button[type=submit]', (b) => (b as HTMLButtonElement).disabled)).toBe(true);
    await type(page, 'tool-name', 'Round-nosed rougher');
    await type(page, 'tool-noseRadiusMm', '1.2');
    await type(page, 'tool-kappaDeg', '200');
    await sees(page, 'At most 120°');
    await type(page, 'tool-kappaDeg', '75');
    await type(page, 'tool-deepestMm', '3');
    await type(page, 'tool-edgeRadiusMm', '0.02');
    await submit();
    await sees(page, 'Round-nosed rougher');
    await page.reload();
    await hydrated(page);
    await sees(page, 'Round-nosed rougher');
  });
  it('asks of each kind what it is told by, and finds it by size and kind', async () => {
    await visit(page, `${shop.url}/tools`);
    await press(page, 'Add');
    expect(await page.$('[data-field="tool-noseRadiusMm"]')).not.toBeNull();
    await page.select('form.sheet select', 'drill');
    await page.waitForSelector('[data-field="tool-pointDeg"]');
    expect(await page.$('[data-field="tool-noseRadiusMm"]')).toBeNull();
    await type(page, 'tool-name', 'Drill 14.25, long');
    await type(page, 'tool-diameterMm', '14.25');
    await type(page, 'tool-fluteMm', '160');
    await submit();
    await sees(page, 'Ø14.25 mm, flutes 160 mm, point 118°');
    await type(page, 'tool-find', '14.25 long');
    await page.waitForFunction(
      () =>
        document.querySelectorAll('#list-tool ~ * tbody tr, section[aria-labelledby="list-tool"] tbody tr').length ===
        1,
    );
    await type(page, 'tool-find', 'nothing like it');
    await sees(page, 'None of these');
  });
  it('changes a gauge, and the drawing says what it can no longer judge', async () => {
    for (const name of ['Micrometer 0–25', 'Micrometer 25–50', 'Micrometer 50–75', 'Inch micrometer 0–1']) {
      await visit(page, `${shop.url}/tools`);
      await page.click(`button[aria-label="Change ${name}"]`);
      await type(page, 'instrument-uncertainty', '0.2 mm');
      await submit();
      await page.waitForFunction(() => !document.querySelector('form.sheet'));
    }
    const id = await jobIdOf('Winding spindle');
    await visit(page, `${shop.url}/jobs/${id}/drawing`);
    await sees(page, 'No gauge of the shop can judge');
  });
  it('removes a tool and brings it back', async () => {
    await visit(page, `${shop.url}/tools`);
    await page.click('button[aria-label="Remove Round-nosed rougher"]');
    await sees(page, 'Removed: Round-nosed rougher');
    await press(page, 'Undo');
    await page.waitForSelector('button[aria-label="Remove Round-nosed rougher"]');
  });
});

describe('the stock rack', () => {
  it('keeps a bar that a job is to be cut from, and says why', async () => {
    await visit(page, `${shop.url}/stock`);
    const rows = await page.$$eval('tbody tr', (all) => all.map((r) => (r as HTMLElement).innerText));
    const at = rows.findIndex((text) => text.includes('Gunmetal'));
    await (await page.$$('tbody tr button[aria-label^="Remove"]'))[at]!.click();
    await sees(page, 'job(s) still use it');
    expect(await page.$$eval('tbody tr', (all) => all.length)).toBe(rows.length);
  });
});

describe('lathes', () => {
  it('show what they really have: the Grey’s gears and fixed rings, the Small one’s range', async () => {
    await visit(page, `${shop.url}/lathes`);
    for (const text of ['the Grey', 'the Long one', 'the Small one', '45–1600 rpm in 10', 'stepless', 'hand feed'])
      await sees(page, text);
    await press(page, 'the Grey');
    await page.waitForFunction(() => location.pathname.startsWith('/lathes/'));
    for (const text of [
      '20/80 × 20/75',
      'fixed: note the number',
      '0.001 in, 100 lines',
      'no cutting in reverse',
      'Belt 3, Back gear out',
    ])
      await sees(page, text);
  });
});

describe('the log', () => {
  it('finds what was cut by material, tool, title or note', async () => {
    for (const [find, found] of [
      ['medium-carbon', true],
      ['HSS rougher', true],
      ['bowed', true],
      ['winding', true],
      ['titanium', false],
      ['<b>', false],
    ] as const) {
      await visit(page, `${shop.url}/log?find=${encodeURIComponent(find)}`);
      expect([find, (await textOf(page)).includes('Winding spindle, gate 3, piece 1')]).toEqual([find, found]);
    }
    await sees(page, 'Nothing in the log speaks of “<b>”');
  });
});

describe('an empty shop', () => {
  it('says what to do next on every page', async () => {
    const empty = await new TestShop().start('empty');
    try {
      for (const [url, text] of [
        ['/', 'Your first part'],
        ['/lathes', 'no lathe yet'],
        ['/tools', 'Add the first one'],
        ['/stock', 'Add the first one'],
        ['/log', 'Nothing has been cut yet'],
      ] as const) {
        await visit(page, `${empty.url}${url}`);
        await sees(page, text);
      }
      await visit(page, empty.url);
      await press(page, 'New job');
      await page.click('form.sheet button[type=submit]');
      await sees(page, 'This is too small');
      await type(page, 'new-job', 'First');
      await page.keyboard.press('Enter');
      await sees(page, 'Nothing is drawn yet');
    } finally {
      await empty.end();
    }
  });
});
