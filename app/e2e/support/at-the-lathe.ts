import type { Page } from 'puppeteer-core';
import { sees, textOf, type } from './browser.ts';

/** Number of the present step as the page says it. */
export const stepOf = async (page: Page): Promise<number> =>
  Number(/^(\d+) of (\d+)/.exec(await textOf(page))?.[1] ?? 0);

/** What every length came to, mm, as the pages told it when it was cut: the piece that is pretended to be in the lathe. */
const pieces = new WeakMap<Page, Map<string, number>>();

/** Remembers what the pass on this page leaves, by the length's name. */
async function cut(page: Page): Promise<void> {
  const found = await page.evaluate(() => {
    const title = document.querySelector('section[aria-label="This step"] h2')?.textContent ?? '';
    // what comes from the tailstock makes its own size
    const made = /^(?:Ream|Drill) (.*?) Ø([\d.]+)/.exec(title);
    if (made) return { name: made[1]!, to: Number(made[2]) };
    const to = /→ Ø([\d.]+)/.exec(document.querySelector('section[aria-label="This step"]')?.textContent ?? '');
    return { name: title.replace(/^(?:Rough|Thread) /, '').replace(/[:,].*$/, ''), to: to ? Number(to[1]) : undefined };
  });
  // a lathe in inches tells them so, whatever the gauge that reads them
  const perUnit = /in\/rev/.test(await textOf(page)) ? 25.4 : 1;
  if (found.to === undefined) return;
  const piece = pieces.get(page) ?? new Map<string, number>();
  piece.set(found.name, found.to * perUnit);
  pieces.set(page, piece);
}

/** A key as a hand presses it the next time: the page takes a second press within 0.4 s for a bounce. */
export async function aMomentLater(page: Page, key: 'Space' | 'Enter'): Promise<void> {
  await page.evaluate(
    (began) => new Promise((resolve) => setTimeout(resolve, Math.max(0, 420 - (performance.now() - began)))),
    await page.evaluate(() => performance.now()),
  );
  await page.keyboard.press(key);
}

/** Which step the page shows: its number and its heading, which a further cut or measurement changes too. */
const whereItIs = (): string =>
  `${document.querySelector('header b')?.textContent} ${document.querySelector('main h2')?.textContent}`;

/** Does the present step: touches off, reads what was cut, or says done. */
export async function doStep(page: Page, by: 'click' | 'key', barMm = 30): Promise<void> {
  const before = await page.evaluate(whereItIs);
  const has = (field: string) => page.$(`[data-field="${field}"]`);
  if (await has('touch-diameter')) {
    const expected = /about Ø([\d.]+)/.exec(await textOf(page))?.[1];
    const typed = await page.$eval('[data-field="touch-diameter"]', (e) => (e as HTMLInputElement).value);
    if (typed === '') await type(page, 'touch-diameter', expected ?? String(barMm - 0.3));
    await type(page, 'touch-cross', '0');
    if (await has('touch-compound')) await type(page, 'touch-compound', '0');
    if (await has('touch-end')) await type(page, 'touch-end', '0');
    await page.keyboard.press('Enter');
  } else if (await has('centre-cross')) {
    await type(page, 'centre-cross', '0');
    await page.keyboard.press('Enter');
  } else if (await has('reading')) {
    const name = await page.$eval('section[aria-label="Readings"] h2', (e) =>
      e.textContent!.replace(/ Ø[\d.]+$|, pitch diameter$/, ''),
    );
    // it springs a little, and the gauge is not quite still
    const size = pieces.get(page)?.get(name);
    if (size === undefined) throw new Error(`${name} is measured and was never cut`);
    const inch = /(?:Readings|Over the wires), in\b/.test(await textOf(page));
    // over wires it reads so much more
    const more = Number(/they\s+read ([\d.]+) more than/.exec(await textOf(page))?.[1] ?? 0);
    await type(page, 'reading', inch ? (size / 25.4 + more + 0.0002).toFixed(4) : (size + more + 0.004).toFixed(3));
    await page.keyboard.press('Enter');
    await sees(page, 'Together');
    // the press that took the reading does not accept it too
    if (by === 'key') await aMomentLater(page, 'Enter');
    else await page.click('button.act.main');
  } else {
    await cut(page);
    // a pass of a thread has beats before its last, for each of its starts
    const each = await page.$$eval('ol[aria-label="Beats of this pass"] li', (all) => all.length);
    const [, start = 1, starts = 1] = /Start (\d) of (\d)/.exec(await textOf(page)) ?? [];
    const beats = each * (Number(starts) - Number(start) + 1);
    for (let beat = 1; beat <= Math.max(1, beats); beat++) {
      if (by === 'key') await aMomentLater(page, 'Space');
      else await page.click('button.act.main');
      if (beat < beats)
        await page.waitForFunction(
          (n) => document.querySelectorAll('ol[aria-label="Beats of this pass"] li')[n]?.hasAttribute('aria-current'),
          {},
          beat % each,
        );
    }
  }
  await page.waitForFunction(
    (b) => `${document.querySelector('header b')?.textContent} ${document.querySelector('main h2')?.textContent}` !== b,
    {},
    before,
  );
}

/** Follows the steps to the last one, as they are told. @param before looks at each of them first */
export async function cutToTheEnd(page: Page, barMm: number, before?: () => Promise<void>): Promise<void> {
  for (let i = 0; i < 200 && !(await textOf(page)).includes('All that can be turned'); i++) {
    await before?.();
    await doStep(page, 'click', barMm);
  }
  await sees(page, 'All that can be turned');
}
