import { describe, expect, it } from 'vitest';
import { cutToTheEnd } from './support/at-the-lathe.ts';
import { axe, press, sees, textOf, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, jobIdOf } = demoInBrowser();

describe('work that stands on the cross-slide', () => {
  it('is packed, picked up, bored by the bar’s own screw and drilled by the slide’s wheel', async () => {
    const { page, errors } = await openPage(1280, 900);
    const id = await jobIdOf('Sluice bracket');
    await visit(page, `${shop.url}/jobs/${id}/hold`);
    await sees(page, 'right end to the headstock');
    await sees(page, 'on 17.15 mm of packing');
    expect(await axe(page)).toEqual([]);
    await visit(page, `${shop.url}/jobs/${id}/route`);
    await sees(page, 'Proved: cut with these tools it ends at the drawing');
    await visit(page, `${shop.url}/jobs/${id}/cut`);
    await press(page, 'Start cutting');
    await sees(page, '0.675 in of packing under it');
    const seen: string[] = [];
    const told = new Set<string>();
    await cutToTheEnd(page, 32, async () => {
      const text = await textOf(page);
      seen.push(await page.$eval('main h2', (e) => e.textContent!));
      for (const section of ['The cutter’s screw in its bar', 'Cross-slide'])
        if (await page.$(`section[aria-label="${section}"]`)) told.add(section);
      if (text.includes('Pick') || text.includes('pointed bar')) expect(await axe(page)).toEqual([]);
    });
    // every cut is set by the bar's screw, none by the slide's wheel
    expect([...told]).toEqual(['The cutter’s screw in its bar']);
    expect(seen.filter((t) => t.startsWith('Drill Bolts'))).toHaveLength(2);
    expect(errors).toEqual([]);
    await page.close();
  });
});
