import { describe, expect, it } from 'vitest';
import { connect } from '../src/server/db/connection.ts';
import { axe, choose, sees, textOf, type, visit } from './support/browser.ts';
import { cutAhead } from './support/cut-ahead.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, jobIdOf } = demoInBrowser();

describe('the bench book of tapers', () => {
  it('says a taper in every way, how this lathe turns it, and what to set next from what was read', async () => {
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/bench-book/tapers`);
    await sees(page, '0.60235');
    await sees(page, '23.825 mm at its large end');
    await sees(page, 'It holds by itself');
    await sees(page, 'Tailstock set over: only between centres');
    expect(await axe(page)).toEqual([]);
    // too slow over the length: as typed, 0.02 too large at the small end
    for (const [i, off] of [0, 0.007, 0.014, 0.02].entries())
      await type(page, `station-${i}`, (23.825 - [4, 29, 54, 77][i]! / 19.922 + off).toFixed(3));
    await sees(page, 'too slow');
    await sees(page, 'Compound steeper by');
    expect(await textOf(page)).toContain('Morse');
    expect(await axe(page)).toEqual([]);
    await page.close();
    expect(errors).toEqual([]);
  });
  it('sets a tailstock over by where the work turns, and tells what cannot be read', async () => {
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/bench-book/tapers`);
    await type(page, 'taper-said', '1:50');
    await type(page, 'taper-length', '180');
    await type(page, 'taper-whole', '220');
    // (220 − 2·5.456)·sin(atan 0.01)
    await sees(page, '2.09 mm towards you');
    await sees(page, 'the rule of thumb says 2.2 mm');
    await type(page, 'taper-said', '-1:50');
    await sees(page, '2.09 mm away from you');
    await type(page, 'taper-said', 'steepish');
    await sees(page, 'is not a taper');
    await type(page, 'taper-said', '7:24');
    await choose(page, /^On the lathe/, /^the Grey$/);
    await sees(page, 'It comes loose by itself');
    await sees(page, 'Inches on a foot');
    expect(await axe(page)).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('a cone at the lathe', () => {
  it('is set by what the lathe has, proved along its length, set anew, cleaned, and comes to its size', async () => {
    const db = connect(shop.databaseUrl);
    const id = await jobIdOf('Gate locking pin, 1:50');
    const ahead = await cutAhead(shop, db, id, { piece: 1, to: 'f2-taperSet' });
    const { page, errors } = await openPage();
    const press = (words: string): Promise<void> =>
      page.evaluate((text) => {
        const button = [...document.querySelectorAll('button')].find((b) => b.textContent?.includes(text));
        if (!button) throw new Error(`no button ${text}`);
        button.click();
      }, words);
    await visit(page, `${shop.url}/runs/${ahead.id}`);
    await sees(page, 'Set the lathe for Pin: compound, by hand');
    await sees(page, '89.4°');
    expect(await axe(page)).toEqual([]);
    const proved = await cutAhead(shop, db, id, { piece: 2, to: 'f2-roughed' });
    await db.destroy();
    await visit(page, `${shop.url}/runs/${proved.id}`);
    await sees(page, 'Proved before it is taken to size.');
    const told = proved.lathe.state.lastCut!.told.comesToMm;
    const readAlong = async (steeper: number): Promise<void> => {
      for (const mm of [4, 41, 66]) {
        await type(page, `station-${mm}`, (told + (0.02 + steeper) * mm).toFixed(3));
        await page.keyboard.press('Enter');
        await sees(page, `${mm}.0 mm from the small end`);
      }
    };
    await readAlong(0.001);
    await sees(page, 'too steep');
    await sees(page, 'Compound less steep by');
    // a place that was read can be read once more
    expect(await page.$('[data-field="station-4"]')).toBeNull();
    await press('read a place again');
    await page.waitForSelector('[data-field="station-4"]:focus-within, [data-field^="station-"]:focus');
    expect(await axe(page)).toEqual([]);
    await type(page, 'cone-touch', '0.40');
    await press('Set so, it touches');
    await sees(page, 'clean the cone at its new setting');
    await sees(page, 'Carriage locked where it stood');
    await press('Pass is cut');
    await sees(page, 'once more over, the same number');
    await press('Pass is cut');
    await sees(page, 'Its setting was moved once.');
    await sees(page, 'Two places tell the slope');
    expect(errors).toEqual([]);
  });
});
