import { describe, expect, it } from 'vitest';
import { axe, choose, sees, textOf, type, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage } = demoInBrowser();

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
