import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { hydrated, press, sees, textOf, type, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, jobIdOf } = demoInBrowser();
const latheUrl = async (name: string) =>
  `${shop.url}${new RegExp(`(/lathes/[0-9a-f-]{36})"[^>]*>${name}`).exec((await shop.ask('GET', '/lathes')).text)![1]}`;
const choose = (page: Page, field: string, value: string) => page.select(`[data-field="${field}"]`, value);

describe('describing a lathe', () => {
  it('goes round it from a blank pattern, says what is wrong beside the field, and keeps what was typed', async () => {
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/lathes`);
    await press(page, 'Describe a lathe');
    await type(page, 'lathe-name', 'the Yard one');
    await press(page, 'Begin');
    await page.waitForFunction(() => location.pathname.endsWith('/describe'));
    await hydrated(page);
    await press(page, 'Spindle');
    await sees(page, 'This lathe has no spindle speeds');
    await type(page, 'spindle.controls.1.positions', '1, 2');
    await press(page, 'Add a line for each of the 4 positions');
    for (const [i, rpm] of ['80', '160', '320', '640'].entries()) await type(page, `spindle.settings.${i}.rpm`, rpm);
    await type(page, 'drive.motorKw', '1,000');
    await sees(page, 'is not a power');
    expect(await page.$eval('button[type="submit"]', (b) => (b as HTMLButtonElement).disabled)).toBe(true);
    await type(page, 'drive.motorKw', '0.75');
    await press(page, 'Slides and dials');
    await type(page, 'slides.crossSlide.divisions', '120');
    await sees(page, 'gives no plain figure for a line');
    await type(page, 'slides.crossSlide.divisions', '100');
    await type(page, 'slides.crossSlide.slackMm', '3 thou');
    await choose(page, 'slides.crossSlide.clockwiseMoves', 'out');
    await sees(page, 'everything makes sense');
    // what was typed survives a reload before it is saved
    await page.reload();
    await hydrated(page);
    await sees(page, 'not saved is back');
    await press(page, 'Save as revision 2');
    await page.waitForFunction(() => /\/lathes\/[0-9a-f-]{36}$/.test(location.pathname));
    await hydrated(page);
    const text = await textOf(page);
    for (const rpm of ['80', '160', '320', '640']) expect(text).toContain(rpm);
    expect(text).toContain('revision 2');
    const id = new URL(page.url()).pathname.split('/').at(-1)!;
    const { lathe } = (await shop.ask('GET', `/api/lathes/${id}`)).body as { lathe: Record<string, never> };
    expect(lathe).toMatchObject({
      drive: { motorKw: 0.75 },
      slides: { crossSlide: { slackMm: 0.0762, clockwiseMoves: 'out', divisions: 100 } },
    });
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('a lathe that is odd', () => {
  it('has a feed without a figure, positions that must not meet, a readout and a taper attachment', async () => {
    const { page } = await openPage();
    await visit(page, `${shop.url}/lathes`);
    await press(page, 'Describe a lathe');
    await type(page, 'lathe-name', 'Long, changed');
    const long = (await latheUrl('the Long one')).split('/').at(-1)!;
    await page.select('form select', long);
    await press(page, 'Begin');
    await page.waitForFunction(() => location.pathname.endsWith('/describe'));
    await hydrated(page);
    await press(page, 'Spindle');
    await press(page, 'Add a combination');
    await choose(page, 'spindle.forbidden.0.at.range', 'H');
    await choose(page, 'spindle.forbidden.0.at.lever', '5');
    await type(page, 'spindle.forbidden.0.why', 'the belt slips');
    await type(page, 'spindle.settings.0.torque', '45:150, 30:160');
    await press(page, 'Feeds');
    await press(page, 'Add an unmarked feed');
    await choose(page, 'feeds.settings.8.at.box', 'C');
    await choose(page, 'feeds.settings.8.at.knob', '1');
    await sees(page, 'This feed has no figure yet');
    await press(page, 'Slides and dials');
    await page.evaluate(() =>
      [...document.querySelectorAll('label')].find((l) => l.textContent === 'A digital readout')!.click(),
    );
    await type(page, 'slides.readout.resolutionMm', '0.01');
    await press(page, 'Tailstock and tapers');
    await page.evaluate(() =>
      [...document.querySelectorAll('label')].find((l) => l.textContent === 'A taper attachment')!.click(),
    );
    // the feed still has no figure
    await sees(page, 'can be saved; to look at: Feeds');
    await press(page, 'Save as revision 2');
    await page.waitForFunction(() => /\/lathes\/[0-9a-f-]{36}$/.test(location.pathname));
    await hydrated(page);
    // what must not stand together is no speed of it any more
    expect(await textOf(page, '#speeds ~ table')).not.toContain('1600');
    await sees(page, 'no attachment');
    await press(page, 'Feed, by time and distance');
    await page.select('form select', 'box=C;knob=1');
    await type(page, 'calibration-rpm', '100');
    await type(page, 'calibration-seconds', '60');
    await type(page, 'calibration-distance', '3.3');
    await sees(page, 'Gives 0.033 mm a turn');
    await press(page, 'Keep this calibration');
    await press(page, 'put in force');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('#feeds ~ table th')].some((th) => th.textContent === 'Feed C, Position 1'),
    );
    const id = new URL(page.url()).pathname.split('/').at(-1)!;
    const file = await shop.ask('GET', `/api/lathes/${id}/export`);
    const { lathe } = JSON.parse(file.text) as { lathe: Record<string, unknown> };
    expect(lathe).toMatchObject({
      taperAttachment: null,
      slides: { readout: { axes: ['crossSlide', 'carriage'], resolutionMm: 0.01 } },
      spindle: { forbidden: [{ at: { range: 'H', lever: '5' }, why: 'the belt slips' }] },
    });
    // and its file comes in again through the page
    await visit(page, `${shop.url}/lathes`);
    const dir = mkdtempSync(path.join(os.tmpdir(), 'whelk-lathe-'));
    const at = path.join(dir, 'lathe.json');
    writeFileSync(at, file.text);
    const chooser = (await page.$('input[type="file"]')) as import('puppeteer-core').ElementHandle<HTMLInputElement>;
    await chooser.uploadFile(at);
    await page.waitForFunction(() => /\/lathes\/[0-9a-f-]{36}$/.test(location.pathname));
    await hydrated(page);
    await sees(page, '1 calibrations in force');
    rmSync(dir, { recursive: true });
    await page.close();
  });
});

describe('how a job chooses', () => {
  it('is its own: nearest either way gives other settings than nearest not above', async () => {
    const { page } = await openPage();
    const job = await jobIdOf('Winding spindle');
    await visit(page, `${shop.url}/jobs/${job}/route`);
    const settings = () => page.$$eval('.setting-text', (all) => all.map((e) => e.textContent).join());
    const before = await settings();
    await page.select('select[aria-label="Choice of speed"]', 'nearest');
    await page.select('select[aria-label="Faster than the ideal by at most"]', '0.2');
    await sees(page, '· saved');
    expect(await settings()).not.toBe(before);
    await visit(page, `${shop.url}/bench-book/speeds`);
    await page.select('select[aria-label="Lathe"]', (await latheUrl('the Small one')).split('/').at(-1)!);
    await sees(page, 'stepless');
    await sees(page, 'By hand');
    await page.evaluate(() => localStorage.clear());
    await page.close();
  });
});

describe('a lathe’s own page', () => {
  it('keeps how it stands, measures itself, and puts a calibration in force and out again', async () => {
    const { page } = await openPage();
    const url = await latheUrl('the Long one');
    await visit(page, url);
    // the half-cut spindle left it so
    expect(await page.$$eval('.position[aria-pressed="true"]', (all) => all.map((b) => b.textContent))).toContain('H');
    await press(page, 'reverse');
    await sees(page, 'Kept.');
    await press(page, 'Spindle, by tachometer');
    await type(page, 'calibration-rpms', '44, 4x');
    await sees(page, 'is not a number');
    await type(page, 'calibration-rpms', '43, 42');
    await sees(page, 'Gives 43 rpm; written down: 45 rpm');
    await press(page, 'Keep this calibration');
    await press(page, 'put in force');
    await sees(page, '1 calibrations in force');
    await page.reload();
    await hydrated(page);
    await sees(page, '42.5');
    expect(await page.$$eval('.position[aria-pressed="true"]', (all) => all.map((b) => b.textContent))).toEqual(
      expect.arrayContaining(['reverse', 'in force']),
    );
    await press(page, 'in force');
    await page.waitForFunction(() => !document.body.innerText.includes('calibrations in force'));
    await page.close();
  });
});

describe('the bench book', () => {
  it('answers a sentence with settings of the lathe, by typing, by keys on the chart and on the map', async () => {
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/bench-book/speeds`);
    const rpms = () =>
      page.$$eval('section p[class*="2.6rem"]', (all) => all.map((p) => Number.parseInt(p.textContent!, 10)));
    expect(await rpms()).toEqual([230, 230, 230]);
    await type(page, 'speeds-diameter', '20');
    await sees(page, '500');
    expect(Math.max(...(await rpms()))).toBe(500);
    await type(page, 'speeds-diameter', '1,000');
    await sees(page, 'the answers wait for it');
    await type(page, 'speeds-diameter', '20');
    await page.focus('[role="slider"]');
    for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
    expect(
      Number(await page.$eval('[data-field="speeds-diameter"]', (e) => (e as HTMLInputElement).value)),
    ).toBeGreaterThan(25);
    // the map is made in a worker
    await page.waitForFunction(() => {
      const canvas = document.querySelector('canvas')!;
      const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
      return data.some((x) => x !== 0);
    });
    await page.focus('[role="application"]');
    for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowUp');
    await sees(page, 'Too much for');
    await press(page, 'make it mine');
    await page.reload();
    await hydrated(page);
    expect(await page.$eval('section[aria-label="From the table"]', (e) => e.textContent)).toContain('yours');
    await sees(page, 'Life of the edge');
    expect(errors).toEqual([]);
    await page.close();
  });
  it('takes an operation of a job up, and puts the answer back into it', async () => {
    const { page } = await openPage();
    const job = await jobIdOf('Gland follower');
    await visit(page, `${shop.url}/jobs/${job}/route`);
    await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('ol[aria-label="Operations in order"] > li button')]
        .find((b) => b.querySelector('svg')?.getAttribute('aria-label')?.includes('Rough'))!
        .click(),
    );
    await press(page, 'Choose depth and feed in the bench book');
    await page.waitForFunction(() => location.pathname === '/bench-book/speeds');
    await hydrated(page);
    await sees(page, 'Gland follower blank: rough');
    await type(page, 'speeds-depth', '0.6');
    await type(page, 'speeds-feed', '0.11');
    await press(page, 'Put your answer into the job');
    await page.waitForFunction(() => location.pathname.endsWith('/route'));
    const own = ((await shop.ask('GET', `/api/jobs/${job}`)).body as { job: { route: { own: object } } }).job.route.own;
    expect(Object.values(own)).toEqual([{ depthMm: 0.6, feedMmPerRev: 0.1 }]);
    await page.close();
  });
  it('takes the shop’s own figure for a material, everywhere, and takes it back', async () => {
    const { page } = await openPage();
    await visit(page, `${shop.url}/bench-book/materials`);
    await press(page, 'Medium-carbon steel');
    await type(page, 'speeds.hss.speedMPerMin', '14');
    await page.keyboard.press('Enter');
    await sees(page, 'Kept.');
    await visit(page, `${shop.url}/bench-book/speeds`);
    await sees(page, '14 m/min');
    await visit(page, `${shop.url}/bench-book/materials`);
    await press(page, 'Medium-carbon steel');
    await type(page, 'kc11NPerMm2', '99999');
    await page.keyboard.press('Enter');
    await sees(page, 'outside of what any material has');
    await press(page, 'Make one of our own from it');
    await sees(page, 'Medium-carbon steel, ours');
    await page.$eval('form .input', (e) => (e as HTMLInputElement).select());
    await page.type('form .input', 'Sluice shaft steel');
    await press(page, 'Keep');
    await page.waitForFunction(() => document.querySelector('h2.text-2xl')?.textContent === 'Sluice shaft steel');
    // it is shown at once; the next page knows it when the server has it
    await page.waitForFunction(async () =>
      (await (await fetch('/bench-book/materials')).text()).includes('Sluice shaft steel'),
    );
    await visit(page, `${shop.url}/stock`);
    await press(page, 'Add');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('option')].some((o) => o.textContent?.startsWith('Sluice shaft steel')),
    );
    await visit(page, `${shop.url}/bench-book/materials`);
    await press(page, 'Sluice shaft steel');
    await press(page, 'Remove it');
    await page.waitForFunction(() => !document.body.innerText.includes('Sluice shaft steel'));
    await press(page, 'Free-cutting brass');
    await choose(page, 'coolant', 'wet');
    await sees(page, 'Kept.');
    await type(page, 'mc', '0.2');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => document.querySelector('button[aria-label^="Take Its exponent mc back"]'));
    await sees(page, 'Kept.');
    // a figure changed afterwards leaves it as it was said
    await page.reload();
    await hydrated(page);
    await press(page, 'Free-cutting brass');
    const said = () =>
      page.$$eval('[data-field="coolant"], [data-field="mc"]', (all) => all.map((e) => (e as HTMLInputElement).value));
    expect(await said()).toEqual(['wet', '0.2']);
    await page.click('button[aria-label^="Take Its exponent mc back"]');
    await choose(page, 'coolant', 'dry');
    await sees(page, 'As it came along again.');
    await press(page, 'Medium-carbon steel');
    await page.click('button[aria-label="Take HSS, m/min back to 28"]');
    await sees(page, 'As it came along again.');
    expect(await page.$eval('[data-field="speeds.hss.speedMPerMin"]', (e) => (e as HTMLInputElement).value)).toBe('28');
    await page.close();
  });
  it('knows drills, blades and centre drills by their own rules', async () => {
    const { page } = await openPage();
    await visit(page, `${shop.url}/bench-book/operations`);
    await sees(page, 'Torque');
    await page.select('select[aria-label="Operation"]', 'centreDrilling');
    await page.select('select[aria-label="Habit"]', 'slow');
    await sees(page, '335');
    await page.select('select[aria-label="Operation"]', 'dieOrTap');
    await sees(page, 'turned by hand');
    await page.close();
  });
  it('goes from a symptom to causes, and what helped at the lathe stands in the log', async () => {
    const { page } = await openPage();
    await visit(page, `${shop.url}/bench-book/trouble`);
    await type(page, 'speeds-overhang', '300');
    await press(page, 'It chatters');
    await sees(page, 'diameters stand out');
    const job = await jobIdOf('Guide roller');
    const run = (await shop.ask('POST', `/api/jobs/${job}/runs`, { piece: 1 })).body.id as string;
    await visit(page, `${shop.url}/runs/${run}`);
    await press(page, 'Done');
    // what stands already need not be told
    await press(page, 'it stands so already');
    await sees(page, 'as it stands');
    await page.keyboard.press('t');
    await press(page, 'It chatters');
    await type(page, 'trouble-tool-out', '5');
    await sees(page, '5.0 times its height out of the holder');
    await press(page, 'It squeals');
    await page.click('button[aria-label$="did not help"]');
    await page.waitForFunction(() => !document.querySelector('dialog'));
    const logged = async () => (await shop.ask('GET', '/log?find=squeals')).text;
    await expect.poll(logged, { timeout: 20_000 }).toContain('did not help');
    await visit(page, `${shop.url}/log?find=squeals`);
    await sees(page, 'did not help');
    await page.close();
  });
});

describe('edges', () => {
  it('count what they have cut until they are sharpened', async () => {
    const { page } = await openPage();
    await visit(page, `${shop.url}/tools`);
    await sees(page, 'min in the cut');
    await page.click('button[aria-label="Sharpened now: HSS rougher, nose 0.8"]');
    await sees(page, 'counted from now');
    await page.reload();
    await hydrated(page);
    expect(await page.$('button[aria-label="Sharpened now: HSS rougher, nose 0.8"]')).toBeNull();
    await page.close();
  });
});
