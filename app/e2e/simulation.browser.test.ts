import { describe, expect, it } from 'vitest';
import { axe, press, sees, textOf, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, changeJob, jobIdOf } = demoInBrowser();
const title = (page: Parameters<typeof textOf>[0]): Promise<string> => textOf(page, '[data-pass]');

describe('a route that is cut before a chip falls', () => {
  it('is proved, and can be watched pass by pass, cut open, from outside and as a solid', async () => {
    const { page, errors } = await openPage(1280, 900);
    const job = await jobIdOf('Gland follower blank');
    await visit(page, `${shop.url}/jobs/${job}/route`);
    await sees(page, 'Proved: cut with these tools it ends at the drawing.');
    await sees(page, 'By hand and not proved: Saw off.');
    expect(await axe(page)).toEqual([]);
    await press(page, 'Watch it being cut');
    await page.waitForSelector('[data-pass]');
    expect(await title(page)).toContain('Face the end');
    await page.click('[aria-label="One pass on"]');
    const second = await title(page);
    expect(second).not.toContain('Face the end');
    // the same with the keyboard, a little at a time
    await page.focus('[aria-label="Pass"]');
    await page.keyboard.press('Home');
    expect(await title(page)).toContain('Face the end');
    await page.click('[aria-label="To the end"]');
    await page.waitForFunction(() => document.body.innerText.includes('All passes are cut'));
    await press(page, 'From outside');
    await press(page, 'As a solid');
    await page.waitForSelector('canvas');
    await sees(page, 'Without the solid');
    expect(await axe(page)).toEqual([]);
    // it goes on by itself, and comes to its end
    await page.click('[aria-label="To the blank"]');
    await press(page, 'Play');
    await page.waitForFunction(() => !document.querySelector('[data-pass]')?.textContent?.includes('Face the end'));
    await press(page, 'Back to the plan');
    await page.waitForFunction(() => !document.querySelector('[data-pass]'));
    expect(errors).toEqual([]);
    await page.close();
  });
  it('says what goes wrong, what cures it, and goes to the pass where it does', async () => {
    const { page, errors } = await openPage(1280, 900);
    const id = await jobIdOf('Hinge bush, flanged');
    // somebody asks a cut of the rougher that is deeper than its edge
    await changeJob(id, (job) => ({
      ...job,
      route: { ...job.route, own: { 'f2-rough': { depthMm: 7, feedMmPerRev: 0.05 } } },
    }));
    await visit(page, `${shop.url}/jobs/${id}/route`);
    await sees(page, 'deeper than this edge takes');
    await sees(page, 'More passes, or a tool with a longer edge.');
    await page.click('section[aria-label="Proof"] li button');
    await page.waitForSelector('[data-pass]');
    expect(await title(page)).toContain('Rough');
    await page.waitForSelector('.r-found');
    expect(errors).toEqual([]);
    await page.close();
  });
});
