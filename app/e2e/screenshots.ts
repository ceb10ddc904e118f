import path from 'node:path';
import type { Page } from 'puppeteer-core';
import { ensureBuilt } from '../../scripts/lib/build.mjs';
import { connect } from '../src/server/db/connection.ts';
import { aMomentLater, doStep } from './support/at-the-lathe.ts';
import { openBrowser, openPage, press, sees, type, visit } from './support/browser.ts';
import { cutAhead } from './support/cut-ahead.ts';
import { TestShop } from './support/shop.ts';

/** Makes the pictures in docs/screenshots from the demo shop: `npm run screenshots`. */
const DOCS = path.resolve(import.meta.dirname, '../../docs/screenshots');
ensureBuilt();
const shop = await new TestShop().start('demo');
const { browser, end } = await openBrowser();

async function theme(name: 'daylight' | 'night-shift'): Promise<void> {
  await browser.setCookie({ name: 'whelk-theme', value: name, domain: '127.0.0.1', path: '/' });
}
async function keep(page: Page, name: string): Promise<void> {
  await page.evaluate(() => new Promise((resolve) => setTimeout(resolve, 400)));
  await page.screenshot({ path: path.join(DOCS, `${name}.png`) as `${string}.png` });
}
async function jobId(title: string): Promise<string> {
  return new RegExp(`/jobs/([0-9a-f-]{36})/drawing"[^>]*>${title}<`).exec((await shop.ask('GET', '/')).text)![1]!;
}
async function startRun(title: string): Promise<string> {
  return `${shop.url}/runs/${((await shop.ask('POST', `/api/jobs/${await jobId(title)}/runs`, { piece: 1 })).body as { id: string }).id}`;
}
async function toTouchOff(page: Page): Promise<void> {
  for (let i = 0; i < 6 && !(await page.$('[data-field="touch-diameter"]')); i++) {
    await page.click('button.act.main');
    await page.evaluate(() => new Promise((resolve) => setTimeout(resolve, 250)));
  }
}

/** Cuts a demo job until a heading says so. */
async function cutTo(page: Page, title: string, barSize: number, heads: RegExp): Promise<void> {
  await visit(page, await startRun(title));
  const heading = () => page.$$eval('main h2', (all) => all.map((h) => h.textContent).join(' | '));
  for (let i = 0; i < 90 && !heads.test(await heading()); i++) await doStep(page, 'click', barSize);
}

try {
  await theme('daylight');
  const { page } = await openPage(browser);
  const spindle = `${shop.url}/jobs/${await jobId('Winding spindle, gate 3')}`;
  const openRun = /\/runs\/[0-9a-f-]{36}/.exec((await shop.ask('GET', '/log?find=spindle')).text)![0];
  await visit(page, shop.url);
  await keep(page, 'jobs');
  await visit(page, `${spindle}/drawing`);
  await page.focus('[data-field="f3-diameter"]');
  await keep(page, 'drawing');
  await visit(page, `${shop.url}/jobs/${await jobId('Hinge bush, flanged')}/drawing`);
  await page.focus('[data-field="h2-diameter"]');
  await page.evaluate(() => scrollTo(0, 0));
  await keep(page, 'hollow');
  await visit(page, `${spindle}/hold`);
  // the second holding with its ways, in one picture
  await page.setViewport({ width: 1280, height: 1500 });
  await page.$$eval('.setup-card', (cards) => (cards[1] as HTMLElement).click());
  await sees(page, 'Holding 2: put in again');
  await page.waitForSelector('[aria-label^="Hold it so"]');
  await keep(page, 'hold');
  await page.setViewport({ width: 1280, height: 800 });
  await visit(page, `${spindle}/route`);
  for (const head of await page.$$('[aria-expanded="false"][data-group]')) await head.click();
  await page.click('[data-operation$="-rough"]');
  await keep(page, 'route');
  // a bush being cut with the true shapes of its tools
  await visit(page, `${shop.url}/jobs/${await jobId('Hinge bush, flanged')}/route`);
  await sees(page, 'Watch it being cut');
  await press(page, 'Watch it being cut');
  await page.waitForSelector('[data-pass]');
  await press(page, 'As a solid');
  await page.waitForSelector('canvas');
  await page.focus('[aria-label="Pass"]');
  for (let i = 0; i < 14; i++) await page.click('[aria-label="One pass on"]');
  await page.focus('[aria-label="Pass"]');
  for (let i = 0; i < 30; i++) await page.keyboard.press('ArrowRight');
  await page.evaluate(() => new Promise((resolve) => setTimeout(resolve, 1500)));
  await keep(page, 'simulated');
  await visit(page, `${shop.url}${openRun}`);
  await keep(page, 'measure');
  // gears for a metric thread on a leadscrew in inches, and a thread of two starts in the middle of its passes
  await cutTo(page, 'Gate stop adjuster, left-hand', 1.36, /to prove them/);
  await keep(page, 'gear-train');
  await cutTo(page, 'Paddle lift screw, two-start', 27, /pass 5 of/);
  for (let beat = 0; beat < 5; beat++) await aMomentLater(page, 'Space');
  await sees(page, 'Start 2 of 2');
  await keep(page, 'thread');
  await visit(page, `${shop.url}/bench-book/threads`);
  await page.$eval('[data-field="thread-name"]', (e) => (e as HTMLInputElement).select());
  await page.type('[data-field="thread-name"]', 'Tr 24x5 LH');
  await keep(page, 'threads');
  // a cone that came out a little too slow
  await visit(page, `${shop.url}/bench-book/tapers`);
  for (const [i, mm] of ['23.624', '22.376', '21.128', '19.979'].entries()) await type(page, `station-${i}`, mm);
  await sees(page, 'Compound steeper by');
  await page.$eval('section[aria-label="On the lathe"]', (e) =>
    scrollTo(0, e.getBoundingClientRect().top + scrollY - 20),
  );
  await keep(page, 'tapers');
  await page.evaluate(() => scrollTo(0, 0));
  // a cone read along its length at the lathe, too steep, and what is set next
  const db = connect(shop.databaseUrl);
  const pin = await cutAhead(shop, db, await jobId('Gate locking pin, 1:50'), { to: 'f2-roughed' });
  await db.destroy();
  await visit(page, `${shop.url}/runs/${pin.id}`);
  const toldMm = pin.lathe.state.lastCut!.told.comesToMm;
  for (const [i, mm] of [4, 41, 66].entries()) {
    await type(page, `station-${mm}`, (toldMm + 0.0212 * mm + (i % 2) * 0.003).toFixed(3));
    await page.keyboard.press('Enter');
    await sees(page, `${mm}.0 mm from the small end`);
  }
  await sees(page, 'Compound less steep by');
  await keep(page, 'cone');
  await visit(page, await startRun('Guide roller axles'));
  await toTouchOff(page);
  await type(page, 'touch-diameter', '24.72');
  await press(page, 'Touched off');
  await sees(page, 'A look before the feed goes in');
  await press(page, 'Done');
  await sees(page, 'Rough Head');
  await page.click('button.act.main');
  await sees(page, 'Rough Roller seat');
  await visit(page, `${shop.url}/bench-book/speeds`);
  await keep(page, 'speeds');
  // blanks for a batch and four more, sawn from what is there
  await visit(page, `${shop.url}/stock`);
  const section = await page.$$eval(
    'section[aria-labelledby="cutting"] select option',
    (all) => (all as HTMLOptionElement[]).find((option) => option.text.includes('Ø25 '))!.value,
  );
  await page.select('section[aria-labelledby="cutting"] select', section);
  await type(page, 'other-length', '110');
  await type(page, 'other-count', '4');
  await press(page, 'Work out');
  await sees(page, 'Nothing shorter does');
  await page.$eval('#cutting', (e) => scrollTo(0, e.getBoundingClientRect().top + scrollY - 60));
  await keep(page, 'rack');
  await visit(page, `${shop.url}/bench-book/truing`);
  for (const [i, reading] of ['0.42', '0.18', '0.06', '0.30'].entries()) await type(page, `read-${i + 1}`, reading);
  await keep(page, 'four-jaw');
  const lathe = /\/lathes\/[0-9a-f-]{36}/.exec((await shop.ask('GET', '/lathes')).text)![0];
  await visit(page, `${shop.url}${lathe}`);
  await keep(page, 'lathe');
  // a worn part on its way to a drawing, and a drawing as it is printed
  const stud = `${shop.url}/jobs/${await jobId('Old stud, copied')}`;
  await visit(page, `${stud}/drawing`);
  await press(page, 'Begin anew');
  await page.waitForSelector('ol[aria-label="Surfaces from the headstock end"]');
  await page.$eval('[aria-label="Begin from"]', (e) => e.scrollIntoView({ block: 'start' }));
  await keep(page, 'worn-part');
  const bush = await jobId('Hinge bush, flanged');
  await visit(page, `${shop.url}/jobs/${bush}/printed`);
  await keep(page, 'printed');

  await theme('night-shift');
  const upright = (await openPage(browser, 800, 1280)).page;
  await visit(upright, await startRun('Old stud, copied'));
  await toTouchOff(upright);
  await type(upright, 'touch-diameter', '.985');
  await type(upright, 'touch-cross', '.037');
  await type(upright, 'touch-end', '.060');
  await press(upright, 'Touched off');
  await sees(upright, 'A look before the feed goes in');
  await press(upright, 'Done');
  await sees(upright, 'Rough Collar');
  await keep(upright, 'cut-grey-night');
} finally {
  await end();
  await shop.end();
}
