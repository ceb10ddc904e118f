import { describe, expect, it } from 'vitest';
import { cutToTheEnd, doStep } from './support/at-the-lathe.ts';
import { axe, hydrated, press, sees, station, textOf, type, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage } = demoInBrowser();

describe('an own flanged bush', () => {
  it('goes from nothing to the log: reamed, grooved, its edges broken, parted off to length', async () => {
    const { page, errors } = await openPage();
    const title = () => page.$eval('main h2', (e) => e.textContent!);
    await visit(page, shop.url);
    await press(page, 'New job');
    await type(page, 'new-job', 'Gate hinge bush');
    await page.keyboard.press('Enter');
    await page.waitForNavigation();
    await hydrated(page);
    await press(page, 'Add the first diameter');
    for (const [i, [d, limits, l, right]] of [
      ['40', '±0.1', '6', '0.5x45'],
      ['28', 'h9', '24', '1x45'],
    ].entries()) {
      const id = `f${i + 1}`;
      await type(page, `${id}-diameter`, d!);
      await type(page, `${id}-limits`, limits!);
      await type(page, `${id}-length`, l!);
      await type(page, `${id}-right`, right!);
      if (i === 0) {
        await page.focus(`[data-field="${id}-length"]`);
        await page.keyboard.press('Insert');
      }
    }
    await press(page, '+ groove');
    await page.waitForSelector('[data-field="d1-width"]');
    await type(page, 'd1-at', '10');
    await type(page, 'd1-width', '3');
    await type(page, 'd1-floor', '25');
    await press(page, 'Add a hole from the tailstock end');
    await page.waitForSelector('[data-field="h1-diameter"]');
    await page.select('[data-field="h1-kind"]', 'reamed');
    await type(page, 'h1-diameter', '16');
    await type(page, 'h1-limits', 'H7');
    await sees(page, '16.018 / 16.000');
    await page.select('[data-field="left-made"]', 'parted');
    await sees(page, '· saved');

    await station(page, 'stock');
    await page.click('input[aria-label^="Medium-carbon steel"]');
    await sees(page, 'Blank');
    await page.evaluate(() => {
      const select = [...document.querySelectorAll('label')].find((l) => l.textContent?.startsWith('Cut off'))!;
      select.querySelector('select')!.scrollIntoView();
    });
    await page.select('label:has(option[value="slot"]) select', 'slot');
    await sees(page, '· saved');
    await station(page, 'hold');
    await page.evaluate(() =>
      [...document.querySelectorAll('label')].find((l) => l.textContent?.startsWith('the Long one'))!.click(),
    );
    await sees(page, '· saved');

    await station(page, 'route');
    await sees(page, 'Ream');
    const told = await textOf(page);
    for (const line of [/Spot for the drill/, /Drill .* through/, /Groove on/, /Part off 30 long/, /Chamfer/])
      expect(told).toMatch(line);
    expect(await axe(page)).toEqual([]);

    await station(page, 'cut');
    await press(page, 'Start cutting');
    await page.waitForFunction(() => location.pathname.startsWith('/runs/'));
    await hydrated(page);
    const seen: string[] = [];
    for (let i = 0; i < 60 && !(await title()).startsWith('Part off'); i++) {
      seen.push(await title());
      await doStep(page, 'click', 45);
    }
    expect(seen.some((t) => /^Drill .* Ø/.test(t))).toBe(true);
    expect(seen.some((t) => /^Ream .* Ø16/.test(t))).toBe(true);
    expect(seen.some((t) => /^Groove on/.test(t))).toBe(true);
    // the blade's far edge goes past the part by its own width
    expect(await textOf(page)).toMatch(/left edge[\s\S]*33\.00 mm[\s\S]*30\.00 mm \+ blade 3\.00 mm/);
    expect(await axe(page)).toEqual([]);
    await cutToTheEnd(page, 45);
    await press(page, 'Close this piece');
    await sees(page, 'Finished');
    await page.waitForFunction(() => document.querySelector('header')?.innerText.includes('saved'));
    await visit(page, `${shop.url}/log`);
    await sees(page, 'Gate hinge bush, piece 1');
    expect(errors).toEqual([]);
    await page.close();
  });
});
