import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { connect } from '../src/server/db/connection.ts';
import { aMomentLater, doStep } from './support/at-the-lathe.ts';
import { axe, choose, sees, textOf, visit } from './support/browser.ts';
import { cutAhead } from './support/cut-ahead.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, jobIdOf, loadJob } = demoInBrowser();

const heading = (page: Page) => page.$$eval('main h2', (all) => all.map((h) => h.textContent).join(' | '));
const beatNow = (page: Page) =>
  page.$eval('ol[aria-label="Beats of this pass"] [aria-current="step"] b', (b) => b.textContent);

const press = (page: Page, words: RegExp) =>
  page.evaluate((source) => {
    const button = [...document.querySelectorAll('button')].find((b) => new RegExp(source).test(b.textContent ?? ''));
    if (!button) throw new Error(`no button ${source}`);
    button.click();
  }, words.source);

describe('a thread at the lathe', () => {
  it('is cut beat by beat, measured over wires, and comes into its limits', async () => {
    const id = await jobIdOf('Guide rail bolts');
    const { body } = await shop.ask('POST', `/api/jobs/${id}/runs`, { piece: 1 });
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/runs/${body.id}`);
    for (let i = 0; i < 60 && !/Touch off the threading bit/.test(await heading(page)); i++)
      await doStep(page, 'click', 27);
    await sees(page, 'Compound at 29.5° by its scale');
    await doStep(page, 'click', 27);
    // the levers of the lead are told, and what a scratch has to measure
    await sees(page, 'Lead to 4:1');
    await sees(page, '13 leads');
    await doStep(page, 'click', 27);
    await sees(page, 'Thread M16, pass 1 of');
    // one key goes on from beat to beat
    await sees(page, 'Cross-slide at its own');
    expect(await axe(page)).toEqual([]);
    for (const beat of ['Stop', 'Open', 'Out', 'Back', 'In']) {
      const now = await beatNow(page);
      if (!now!.includes(beat)) continue;
      await aMomentLater(page, 'Space');
    }
    await sees(page, 'Thread M16, pass 2 of');
    // opened anew in the middle of it, it asks for a look before the next chip
    await visit(page, page.url());
    await sees(page, 'Coming back to a thread: look before the next chip.');
    await page.evaluate(() =>
      [...document.querySelectorAll('button')].find((b) => b.textContent?.startsWith('All of it stands'))!.click(),
    );
    for (let i = 0; i < 30 && !/pitch diameter/.test(await heading(page)); i++) await doStep(page, 'click', 27);
    await sees(page, 'Three wires of Ø');
    await sees(page, 'more than the pitch diameter');
    expect(await axe(page)).toEqual([]);
    for (let i = 0; i < 12 && !/last pass/.test(await heading(page)); i++) await doStep(page, 'click', 27);
    await doStep(page, 'click', 27);
    await doStep(page, 'click', 27);
    const events = async () =>
      (
        (await shop.ask('GET', `/api/runs/${body.id}/events`)).body as unknown as {
          events: { kind: string; wireMm?: number; took?: { verdict: string } }[];
        }
      ).events;
    await expect
      .poll(async () => (await events()).findLast((e) => e.took)!.took!.verdict, { timeout: 20_000 })
      .toBe('fits');
    const readings = (await events()).filter((e) => e.kind === 'reading' && e.wireMm !== undefined);
    expect(readings.length).toBeGreaterThanOrEqual(3);
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('threads that ask for more', () => {
  /** Cuts on until a heading says so. */
  const until = async (page: Page, heads: RegExp, barMm: number) => {
    for (let i = 0; i < 80 && !heads.test(await heading(page)); i++) await doStep(page, 'click', barMm);
    expect(await heading(page)).toMatch(heads);
  };
  it('of two starts: both at every depth, each at marks of its own; the way in is the turner’s own', async () => {
    const id = await jobIdOf('Paddle lift screw, two-start');
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/jobs/${id}/route`);
    await sees(page, 'Threads: along a flank, by the compound');
    const { body } = await shop.ask('POST', `/api/jobs/${id}/runs`, { piece: 1 });
    await visit(page, `${shop.url}/runs/${body.id}`);
    await until(page, /to prove them/, 27);
    await sees(page, '3 leads');
    expect(await axe(page)).toEqual([]);
    await until(page, /pass 1 of 28/, 27);
    await sees(page, 'Start 1 of 2');
    await sees(page, 'Close the nuts at 1, 3, 5, 7');
    for (let beat = 0; beat < 4; beat++) await aMomentLater(page, 'Space');
    await sees(page, 'Start 2 of 2');
    await sees(page, 'Close the nuts at 2, 4, 6, 8');
    expect(await axe(page)).toEqual([]);
    for (let beat = 0; beat < 4; beat++) await aMomentLater(page, 'Space');
    await sees(page, 'pass 2 of 28');
    expect(errors).toEqual([]);
    await page.close();
  });
  it('inside, away from the chuck: picked up again, and opened until its plug goes', async () => {
    const id = await jobIdOf('Grease cap, blind thread');
    const { body } = await shop.ask('POST', `/api/jobs/${id}/runs`, { piece: 1 });
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/runs/${body.id}`);
    await until(page, /pass 3 of 6/, 36);
    await sees(page, 'Cut away from the chuck, spindle reversed, tool upside down');
    await press(page, /pick up the thread/);
    await sees(page, 'White card under it');
    expect(await axe(page)).toEqual([]);
    await page.type('[data-field="pick-cross"]', '0.50');
    await page.type('[data-field="pick-compound"]', '1.20');
    await press(page, /The point lies in its groove/);
    await sees(page, 'Picked up: straight in since then.');
    await sees(page, 'Cross-slide, straight in');
    await until(page, /pitch diameter/, 36);
    await sees(page, 'Plug gauge M24x1.5 6H');
    expect(await axe(page)).toEqual([]);
    const verdicts = async () =>
      (
        (await shop.ask('GET', `/api/runs/${body.id}/events`)).body as unknown as {
          events: { kind: string; feel?: string; took?: { verdict: string } }[];
        }
      ).events.flatMap((e) => (e.took ? [e.took.verdict] : []));
    // go does not go: metal is on, and the next number follows from that
    await press(page, /Go does not go/);
    await sees(page, 'At most');
    await page.click('button.act.main');
    await page.waitForFunction(() => !/pitch diameter/.test(document.querySelector('main h2')?.textContent ?? ''));
    await until(page, /pitch diameter/, 36);
    await press(page, /Go does not go/);
    await sees(page, 'At most');
    await page.click('button.act.main');
    await page.waitForFunction(() => !/pitch diameter/.test(document.querySelector('main h2')?.textContent ?? ''));
    await until(page, /pitch diameter/, 36);
    await press(page, /Go goes all the way/);
    await sees(page, 'Inside the limits');
    await page.click('button.act.main');
    await expect.poll(async () => (await verdicts()).at(-1), { timeout: 20_000 }).toBe('fits');
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('a coarse thread and its mate', () => {
  it('is formed in the groove of a narrower bit, and its nut follows the pitch diameter that was measured', async () => {
    const spindle = await jobIdOf('Winding spindle, gate 3');
    const db = connect(shop.databaseUrl);
    const { id } = await cutAhead(shop, db, spindle, { piece: 2, to: 'd1-centred' });
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/runs/${id}`);
    await sees(page, 'Bring the forming bit into its groove');
    await sees(page, 'About 0.22 mm stand on each flank');
    await sees(page, 'Lead, away from the chuck');
    expect(await axe(page)).toEqual([]);
    await doStep(page, 'click', 30);
    await sees(page, 'Thread Tr 24x5 LH, pass 1 of 8');
    await sees(page, 'Cross-slide, straight in');
    expect(await axe(page)).toEqual([]);
    // another piece is cut to its end, and measured over wires
    const { lathe } = await cutAhead(shop, db, spindle, { piece: 3, finished: true });
    await db.destroy();
    const { sizeMm } = lathe.state.outcomes.find((o) => o.featureId === 'd1')!;
    const nut = await jobIdOf('Winding nut blank');
    await visit(page, `${shop.url}/jobs/${nut}/drawing`);
    await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
    await sees(page, 'Fit to a measured piece');
    await press(page, /Fit to a measured piece/);
    await choose(page, /^This/, /Tr 24x5/);
    await sees(page, 'Sizes are pitch diameters');
    await choose(page, /^goes over/, /Tr 24x5/);
    const shown = (mm: number) => mm.toFixed(3);
    await page.waitForFunction(
      (text) => document.querySelector<HTMLInputElement>('[data-field$="-measured"]')?.value.startsWith(text),
      {},
      shown(sizeMm).slice(0, 5),
    );
    // running clearance from 0.02 to 0.05 over the screw that is there
    await sees(page, `→ ${(Number(sizeMm.toFixed(3)) + 0.05).toFixed(3)}`);
    expect(await axe(page)).toEqual([]);
    await expect
      .poll(async () => (await loadJob(nut)).job.drawing.mates, { timeout: 20_000 })
      .toMatchObject([{ on: 'd1', from: { jobId: spindle, featureId: 'd1' } }]);
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('the bench book of threads', () => {
  it('has the threads of a lathe, a card for the wall, a sheet for the grinder, and goes into a job', async () => {
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/bench-book/threads`);
    await page.evaluate(() => {
      const table = [...document.querySelectorAll('details')].find((d) => /Threads of/.test(d.textContent ?? ''))!;
      table.open = true;
    });
    await sees(page, 'over them at the basic pitch');
    expect(await axe(page)).toEqual([]);
    for (const link of await page.$$eval('a[href$=".pdf"], a[href*=".pdf?"]', (all) =>
      all.map((a) => a.getAttribute('href')!),
    )) {
      const { status, text } = await shop.ask('GET', link);
      expect([link, status, text.slice(0, 5)]).toEqual([link, 200, '%PDF-']);
    }
    await Promise.all([
      page.waitForNavigation(),
      page.evaluate(() =>
        [...document.querySelectorAll('button')].find((b) => b.textContent?.trim() === 'Into a new job')!.click(),
      ),
    ]);
    await sees(page, 'Screw M20');
    const made = await loadJob(/jobs\/([^/]+)/.exec(page.url())![1]!);
    expect(made.job.drawing.features[1]!.details).toMatchObject([
      { kind: 'groove' },
      { kind: 'thread', designation: 'M20' },
    ]);
    expect(errors).toEqual([]);
    await page.close();
  });

  it('tells everything of a designation, what a misprint may have meant, and what a worn one probably is', async () => {
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/bench-book/threads`);
    const name = async (text: string) => {
      await page.$eval('[data-field="thread-name"]', (e) => (e as HTMLInputElement).select());
      await page.type('[data-field="thread-name"]', text);
    };
    const cells = () => page.$$eval('section[aria-label="Sizes"] td', (all) => all.map((td) => td.textContent));
    await name('M10x1.25-6g');
    await sees(page, 'best Ø0.722');
    // as published
    expect(await cells()).toEqual(['9.972', '9.760', '9.160', '9.042', '8.466', '']);
    await name('5/8-8 ACME-3G');
    await sees(page, 'to the inch');
    expect((await cells())[2]).toBe('0.5578');
    expect(await axe(page)).toEqual([]);
    // what no list has is answered with what is near, a tap away
    await name('M23');
    await sees(page, 'has no pitch of its own');
    await page.evaluate(() =>
      [...document.querySelectorAll('#thread-says button')].find((b) => b.textContent === 'M22') instanceof
      HTMLButtonElement
        ? (
            [...document.querySelectorAll('#thread-says button')].find((b) => b.textContent === 'M22') as HTMLElement
          ).click()
        : undefined,
    );
    await sees(page, 'it climbs');
    // the metric screw on a leadscrew in inches: gears with a wheel of 127, and nuts that stay shut
    await choose(page, /^On the lathe/, /^the Grey$/);
    await sees(page, 'No mark is right: the half-nuts stay shut');
    expect(await textOf(page)).toMatch(/gears [^\n]*127[^\n]*\s+exact/);
    for (const [key, text] of [
      ['diameter', '12.5'],
      ['count', '12'],
      ['over', '1"'],
    ] as const)
      await page.type(`[data-field="worn-${key}"]`, text);
    await sees(page, '1/2-12 BSW');
    expect(await axe(page)).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });
});
