import { beforeAll, describe, expect, it } from 'vitest';
import { axe, hydrated, press, sees, textOf, type, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

let jobUrl: string;
let runUrl: string;
let latheUrl: string;
const { shop, openPage, browser, jobIdOf } = demoInBrowser({ ownCluster: true });
beforeAll(async () => {
  jobUrl = `${shop.url}/jobs/${await jobIdOf('Winding spindle')}`;
  runUrl = `${shop.url}${/\/runs\/[0-9a-f-]{36}/.exec((await shop.ask('GET', '/log?find=spindle')).text)![0]}`;
  latheUrl = `${shop.url}${/\/lathes\/[0-9a-f-]{36}/.exec((await shop.ask('GET', '/lathes')).text)![0]}`;
});

describe.each([
  ['daylight', 'all'],
  ['night-shift', 'contrast'],
] as const)('every page in %s', (theme, rules) => {
  it('has no accessibility fault that axe can find, and no error in its console', async () => {
    const { page, errors } = await openPage();
    await browser().setCookie({ name: 'whelk-theme', value: theme, domain: '127.0.0.1', path: '/' });
    const found: string[] = [];
    const look = async (name: string) => {
      for (const fault of await axe(page, rules)) found.push(`${name}: ${fault}`);
    };
    const book = [
      'speeds',
      'operations',
      'bits',
      'trouble',
      'materials',
      'truing',
      'centres',
      'inserts',
      'threads',
    ].map((p) => `/bench-book/${p}`);
    for (const url of ['/', '/lathes', '/tools', '/stock', ...book, '/log', '/settings', '/nowhere']) {
      await visit(page, `${shop.url}${url}`);
      await look(url);
    }
    for (const part of ['', '/card', '/describe']) {
      await visit(page, `${latheUrl}${part}`);
      await look(`lathe${part}`);
    }
    for (const section of ['Spindle', 'Slides and dials', 'Holding owned']) {
      await press(page, section);
      await look(`describe ${section}`);
    }
    for (const station of ['drawing', 'printed', 'revisions', 'stock', 'hold', 'route', 'cut']) {
      await visit(page, `${jobUrl}/${station}`);
      if (station === 'route') {
        // operations of a tool stand folded in a long route
        for (const head of await page.$$('[aria-expanded="false"][data-group]')) await head.click();
        await page.click('[data-operation$="-rough"]');
        await page.click('button[aria-label="Working of speed"]');
      }
      await look(station);
      if (station !== 'hold' && station !== 'route') continue;
      // the second holding, with the part the other way round
      await page.$$eval('.setup-card', (cards) => (cards[1] as HTMLElement).click());
      await page.waitForFunction(() => document.querySelector('.setup-shown')?.textContent?.startsWith('2.'));
      await look(`${station}, second holding`);
    }
    await visit(page, runUrl);
    await look('measure');
    expect(found).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('the drawing while typing', () => {
  it('says beside the field what is wrong and what would be right, and goes on drawing', async () => {
    const { page } = await openPage();
    await visit(page, `${jobUrl}/drawing`);
    for (const [text, what] of [
      ['3/0"', 'divides by zero'],
      ['-5', 'less than nothing'],
      ['1,000', 'two ways'],
      ['1e999', 'exponent'],
      ['9'.repeat(70), 'longer than any length'],
    ] as const) {
      await type(page, 'f1-diameter', text);
      await sees(page, what);
      expect(await page.$eval('[data-field="f1-diameter"]', (e) => e.getAttribute('aria-invalid'))).toBe('true');
    }
    await type(page, 'f1-diameter', '60');
    await sees(page, 'larger than the bar');
    await type(page, 'f1-diameter', '1 1/4 in');
    await sees(page, 'Ø1 1/4 in h9');
    await sees(page, '31.750 / 31.688');
    await type(page, 'f3-limits', '-0.1/+0.1');
    await sees(page, 'The lower limit stands above the upper one');
    await press(page, 'Undo');
    await page.waitForFunction(() => !document.body.innerText.includes('stands above'));
    await page.close();
  });
  it('selects a chamfer or a face on the strip, so that it can be typed at once', async () => {
    const { page } = await openPage();
    await visit(page, `${jobUrl}/drawing`);
    const edge = await page.$$eval('[data-end$="-right"]', (all) => all.map((e) => e.getAttribute('data-end')!)[0]!);
    const click = (end: string) =>
      page.$eval(`[data-end="${end}"]`, (e) => e.dispatchEvent(new MouseEvent('click', { bubbles: true })));
    await click(edge);
    await page.waitForFunction((f) => document.activeElement?.getAttribute('data-field') === f, {}, edge);
    expect(await page.$$eval('.r-selectedEnd', (all) => all.length)).toBe(2);
    await page.keyboard.press('End');
    await page.keyboard.type(' ±0.07');
    // half a millimetre of chamfer on the collar
    expect(edge).toBe('f2-right');
    await sees(page, '0.570 / 0.430');
    await press(page, 'Undo');
    await click('f1-face');
    await page.waitForFunction(() => document.activeElement?.getAttribute('data-field') === 'f1-faceFinish');
    await page.close();
  });
  it('keeps what was typed over a reload, valid or not', async () => {
    const { page } = await openPage();
    await visit(page, `${jobUrl}/drawing`);
    await type(page, 'f2-name', 'x'.repeat(30));
    await type(page, 'f2-limits', 'y'.repeat(66));
    await sees(page, 'not saved yet');
    await page.reload();
    await hydrated(page);
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[data-field="f2-limits"]')?.value.length === 66,
    );
    await type(page, 'f2-limits', '±0.3');
    await sees(page, '· saved');
    expect(
      (
        (await shop.ask('GET', `/api${new URL(jobUrl).pathname}`)).body as unknown as {
          job: { drawing: { features: { name: string }[] } };
        }
      ).job.drawing.features[1]!.name,
    ).toBe('x'.repeat(30));
    await page.close();
  });
  it('shows both versions when a second tab saved first, and keeps the one chosen', async () => {
    const one = (await openPage()).page;
    const context = await browser().browser().createBrowserContext();
    const two = await context.newPage();
    await two.setViewport({ width: 1280, height: 800 });
    await visit(one, `${jobUrl}/drawing`);
    await visit(two, `${jobUrl}/drawing`);
    await type(two, 'f5-name', 'From the second');
    await sees(two, '· saved');
    await one.bringToFront();
    await type(one, 'f5-name', 'From the first');
    await sees(one, 'Choose which version to keep');
    await sees(one, 'Theirs');
    await press(one, 'Keep theirs');
    await one.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[data-field="f5-name"]')?.value === 'From the second',
    );
    await press(one, 'Undo');
    await one.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[data-field="f5-name"]')?.value === 'From the first',
    );
    await sees(one, '· saved');
    await context.close();
    await one.close();
  });
  it('keeps what was typed while the database is away and saves it when it is back', async () => {
    const { page } = await openPage();
    await visit(page, `${jobUrl}/drawing`);
    shop.cluster.stop('immediate');
    await type(page, 'f4-name', 'Typed in the dark');
    await sees(page, 'the database is away');
    await shop.cluster.start({ fast: true });
    await sees(page, '· saved');
    expect(JSON.stringify((await shop.ask('GET', `/api${new URL(jobUrl).pathname}`)).body)).toContain(
      'Typed in the dark',
    );
    await page.close();
  });
});

describe('the shop’s lists', () => {
  it('adds, changes, removes and brings back a bar', async () => {
    const { page } = await openPage();
    await visit(page, `${shop.url}/stock`);
    await press(page, 'Add');
    await type(page, 'bar-diameter', '1,000');
    await sees(page, 'two ways');
    await type(page, 'bar-diameter', '33');
    await type(page, 'bar-length', '500');
    await page.evaluate(() =>
      [...document.querySelectorAll('form button')]
        .find((b) => b.textContent === 'Add')!
        .dispatchEvent(new MouseEvent('click', { bubbles: true })),
    );
    await sees(page, '33 mm');
    await page.reload();
    await hydrated(page);
    expect(await textOf(page)).toContain('33 mm');
    await page.close();
  });
  it('renames, duplicates, deletes and undoes on the jobs page', async () => {
    const { page } = await openPage();
    await visit(page, shop.url);
    await page.click('button[aria-label="More for Locking pins"]');
    await press(page, 'Delete');
    await sees(page, '“Locking pins” deleted');
    await press(page, 'Undo');
    await page.waitForSelector('button[aria-label="More for Locking pins"]');
    await page.click('button[aria-label="More for Locking pins"]');
    await press(page, 'Archive');
    await sees(page, 'archived');
    await visit(page, `${shop.url}/?archived=1`);
    await sees(page, 'Locking pins');
    await page.close();
  });
});
