import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { aMomentLater } from './support/at-the-lathe.ts';
import { hydrated, sees, textOf, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, jobIdOf } = demoInBrowser();

/** What the focused element is called: its label, or what it says. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const e = document.activeElement as HTMLInputElement | null;
    return e?.getAttribute('aria-label') ?? e?.labels?.[0]?.textContent ?? e?.textContent ?? '';
  });
/** Presses Tab until something of that name has the focus, as somebody without a mouse does; the focus must be seen. */
async function tabTo(page: Page, name: string): Promise<void> {
  for (let i = 0; i < 150; i++) {
    await page.keyboard.press('Tab');
    if ((await focused(page)).trim().startsWith(name)) {
      const outline = await page.evaluate(() => getComputedStyle(document.activeElement!).outlineStyle);
      expect([name, outline]).not.toEqual([name, 'none']);
      return;
    }
  }
  throw new Error(`Tab never reaches “${name}” on ${page.url()}`);
}
async function arrive(page: Page, part: string): Promise<void> {
  await page.waitForFunction((p) => location.pathname.includes(p), {}, part);
  await hydrated(page);
}
async function goTo(page: Page, tab: string, part: string): Promise<void> {
  await sees(page, '· saved');
  await page.focus('body');
  for (let i = 0; i < 60; i++) {
    await page.keyboard.press('Tab');
    const href = await page.evaluate(
      () => (document.activeElement as HTMLAnchorElement | null)?.getAttribute('href') ?? '',
    );
    if (href.endsWith(`/${part}`)) break;
  }
  expect((await focused(page)).endsWith(tab)).toBe(true);
  await page.keyboard.press('Enter');
  await arrive(page, `/${part}`);
}

describe('by keyboard alone', () => {
  it('a three-step shaft goes from the first page to its first dial number', async () => {
    const { page, errors } = await openPage();
    await visit(page, shop.url);
    await tabTo(page, 'New job');
    await page.keyboard.press('Enter');
    await tabTo(page, 'What is to be made');
    await page.keyboard.type('Latch pin');
    await page.keyboard.press('Enter');
    await arrive(page, '/drawing');
    await tabTo(page, 'Add the first diameter');
    await page.keyboard.press('Enter');
    // Ø has the focus; Enter goes on, Insert adds the next diameter
    for (const [i, sizes] of [
      ['28', '±0.1', '25'],
      ['22', 'h8', '40'],
      ['16', '', '18'],
    ].entries()) {
      await page.waitForFunction(
        (n) => (document.activeElement as HTMLElement).dataset.field === `f${n}-diameter`,
        {},
        i + 1,
      );
      for (const size of sizes) {
        await page.keyboard.type(size);
        await page.keyboard.press('Enter');
      }
      if (i < 2) await page.keyboard.press('Insert');
    }
    await sees(page, '83 mm');
    await page.keyboard.down('Alt');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.up('Alt');
    await page.waitForFunction(() => (document.activeElement as HTMLElement).dataset.field?.startsWith('f2-'));
    // the strip answers to arrow keys as well
    await page.focus('[aria-label^="Strip:"]');
    await page.keyboard.press('ArrowRight');
    await page.waitForFunction(() =>
      document.querySelector('button[aria-pressed="true"]')?.textContent?.startsWith('3'),
    );
    await goTo(page, 'Stock', 'stock');
    // the thinnest bar that does stands first
    await tabTo(page, 'Stainless, free-machining');
    await page.keyboard.press('Space');
    await sees(page, 'Ø30 ×');
    await goTo(page, 'Hold', 'hold');
    await tabTo(page, 'the Long one');
    await page.keyboard.press('Space');
    await sees(page, 'diameters:');
    await goTo(page, 'Route', 'route');
    await tabTo(page, '1');
    await goTo(page, 'Cut', 'cut');
    await tabTo(page, 'Start cutting');
    await page.keyboard.press('Enter');
    await arrive(page, '/runs/');
    for (const next of ['Face the end', 'Touch off']) {
      await aMomentLater(page, 'Space');
      await sees(page, next);
    }
    await tabTo(page, 'Diameter measured');
    await page.keyboard.type('29.8');
    await page.keyboard.press('Enter');
    await sees(page, 'A look before the feed goes in');
    await aMomentLater(page, 'Space');
    await sees(page, 'Cross-slide');
    await sees(page, 'clockwise');
    expect(await textOf(page, 'h2')).toMatch(/^Rough/);
    expect(errors).toEqual([]);
    await page.close();
  });
  it('stops a piece for good only after asking, and Back takes it back', async () => {
    const id = await jobIdOf('Gland follower');
    const run = (await shop.ask('POST', `/api/jobs/${id}/runs`, { piece: 1 })).body as { id: string };
    const { page } = await openPage();
    await visit(page, `${shop.url}/runs/${run.id}`);
    await tabTo(page, 'Stop piece');
    await page.keyboard.press('Enter');
    await page.waitForSelector('dialog[open]');
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => !document.querySelector('dialog[open]'));
    await sees(page, 'Put the blank in');
    await tabTo(page, 'Stop piece');
    await page.keyboard.press('Enter');
    await page.waitForSelector('dialog[open]');
    await page.keyboard.type('hard spot');
    await page.keyboard.press('Enter');
    await sees(page, 'Stopped');
    await sees(page, 'hard spot');
    await page.keyboard.press('b');
    await sees(page, 'Put the blank in');
    await page.close();
  });
});

describe('on a tablet held upright', () => {
  it('nothing is wider than the page, and what is pressed at the lathe is at least 48 high', async () => {
    const { page } = await openPage(800, 1280);
    const job = `/jobs/${await jobIdOf('Old stud')}`;
    const run = /\/runs\/[0-9a-f-]{36}/.exec((await shop.ask('GET', '/log?find=spindle')).text)![0];
    const wide: string[] = [];
    for (const url of [
      '/',
      `${job}/drawing`,
      `${job}/stock`,
      `${job}/hold`,
      `${job}/route`,
      `${job}/cut`,
      run,
      '/log',
      '/settings',
      '/lathes',
      '/stock',
      '/tools',
      '/bench-book/inserts',
      '/bench-book/centres',
      '/bench-book/truing',
    ]) {
      await visit(page, `${shop.url}${url}`);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      if (over > 1) wide.push(`${url}: ${over}`);
    }
    // a later holding, its strip and its ways
    await visit(page, `${shop.url}/jobs/${await jobIdOf('Winding spindle')}/hold`);
    await page.$$eval('.setup-card', (cards) => (cards[1] as HTMLElement).click());
    await sees(page, 'within 0.01 mm of what the first holding turned');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(800);
    expect(wide).toEqual([]);
    await visit(page, `${shop.url}${run}`);
    const heights = await page.$$eval('.act, main select, main input', (all) =>
      all.map((e) => Math.round(e.getBoundingClientRect().height)),
    );
    expect(Math.min(...heights)).toBeGreaterThanOrEqual(48);
    // while measuring, the next dial move is as readable as at a cut: the window is wide, and lies inside the page
    const { left, right } = await page.$eval(
      'section[aria-label="Verdict and next move"] svg[aria-label^="Compound"]',
      (e) => e.getBoundingClientRect().toJSON(),
    );
    expect(right - left).toBeGreaterThan(400);
    expect(right).toBeLessThanOrEqual(800);
    await page.close();
  });
});

describe('choices of hold and route', () => {
  it('change what is planned at once, and settings stay', async () => {
    const id = await jobIdOf('Winding spindle');
    const { page } = await openPage();
    await visit(page, `${shop.url}/jobs/${id}/route`);
    const before = await textOf(page, 'nav[aria-label="Stations"]');
    await page.evaluate(() =>
      [...document.querySelectorAll('label')].find((l) => l.textContent?.includes('What the lathe bears'))!.click(),
    );
    await page.waitForFunction(
      (b) => document.querySelector<HTMLElement>('nav[aria-label="Stations"]')!.innerText !== b,
      {},
      before,
    );
    await sees(page, '· saved');
    await visit(page, `${shop.url}/jobs/${id}/hold`);
    await page.select('select:has(option[value="chuck"])', 'chuck');
    await sees(page, 'as you chose');
    await sees(page, 'of spare stock');
    await sees(page, 'Stands out');
    await visit(page, `${shop.url}/settings`);
    await page.select('select', 'in');
    await sees(page, 'Saved.');
    await page.reload();
    await hydrated(page);
    expect(await page.$eval('select', (e) => (e as HTMLSelectElement).value)).toBe('in');
    await page.click('form[action="/theme"] button');
    await page.waitForFunction(() => document.documentElement.dataset.theme === 'night-shift');
    expect(new URL(page.url()).pathname).toBe('/settings');
    await page.close();
  });
  it('export and import a job through the page', async () => {
    const id = await jobIdOf('Winding spindle');
    const { writeFileSync, mkdtempSync, rmSync } = await import('node:fs');
    const dir = mkdtempSync('/tmp/whelk-file-');
    writeFileSync(`${dir}/job.json`, (await shop.ask('GET', `/api/jobs/${id}/export`)).text);
    writeFileSync(`${dir}/broken.json`, '{"format":"whelk.job","schema":1');
    const { page } = await openPage();
    await visit(page, shop.url);
    const input = (await page.$('input[type=file]')) as import('puppeteer-core').ElementHandle<HTMLInputElement>;
    await input.uploadFile(`${dir}/broken.json`);
    await sees(page, 'broken.json is not JSON');
    await input.uploadFile(`${dir}/job.json`);
    await arrive(page, '/drawing');
    await sees(page, 'Winding spindle, gate 3');
    expect(page.url()).not.toContain(id);
    rmSync(dir, { recursive: true });
    await page.close();
  });
});
