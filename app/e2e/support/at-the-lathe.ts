import type { Page } from 'puppeteer-core';
import { press, sees, textOf, type } from './browser.ts';

/** Number of the present step as the page says it. */
export const stepOf = async (page: Page): Promise<number> =>
  Number(/^(\d+) of (\d+)/.exec(await textOf(page))?.[1] ?? 0);
/** Does the present step: touches off, measures what the limits want, or says done. */
export async function doStep(page: Page, by: 'click' | 'key', barMm = 30): Promise<void> {
  const before = await textOf(page, 'header');
  const has = (field: string) => page.$(`[data-field="${field}"]`);
  if (await has('touch-diameter')) {
    await type(page, 'touch-diameter', String(barMm - 0.3));
    await type(page, 'touch-cross', '0');
    if (await has('touch-end')) await type(page, 'touch-end', '0');
    await page.keyboard.press('Enter');
  } else if (await has('reading')) {
    const [lower, upper] = await page.$eval('section[aria-label="Tolerance ladder"] svg', (e) =>
      /Limits ([\d.]+) to ([\d.]+)/
        .exec(e.getAttribute('aria-label') ?? '')!
        .slice(1, 3)
        .map(Number),
    );
    const between = (await textOf(page)).includes('Between the two equal cuts');
    await type(page, 'reading', ((lower! + upper!) / 2 + (between ? 0.4 : 0)).toFixed(3));
    await page.keyboard.press('Enter');
    await sees(page, 'Together');
    if (by === 'key') {
      await page.evaluate(() => (document.activeElement as HTMLElement).blur());
      await page.keyboard.press('Space');
    } else await press(page, between ? 'Set the dial' : 'Fits, go on');
  } else if (by === 'key') await page.keyboard.press('Space');
  else await page.click('button.act.main');
  await page.waitForFunction(
    (b) =>
      document.querySelector('header')?.innerText.replace(/\d+ waiting for the server|saved/, '') !==
        b.replace(/\d+ waiting for the server|saved/, '') || document.body.innerText.includes('All that can be turned'),
    {},
    before,
  );
}

/** Follows the steps to the last one, as they are told. */
export async function cutToTheEnd(page: Page, barMm: number): Promise<void> {
  for (let i = 0; i < 80 && !(await textOf(page)).includes('All that can be turned'); i++)
    await doStep(page, 'click', barMm);
  await sees(page, 'All that can be turned');
}
