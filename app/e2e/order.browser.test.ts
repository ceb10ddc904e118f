import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { cutToTheEnd } from './support/at-the-lathe.ts';
import { axe, press, sees, textOf, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, changeJob, jobIdOf } = demoInBrowser();
const order = (page: Page): Promise<string[]> =>
  page.$$eval('[data-operation]', (rows) => rows.map((r) => (r as HTMLElement).dataset.operation!));
const setups = async (id: string) =>
  (
    (await shop.ask('GET', `/api/jobs/${id}`)).body as {
      job: { hold: { setups: { id: string; moves?: object[]; leave?: string[] }[] } };
    }
  ).job.hold.setups;
/** Takes an operation by its handle with the keyboard, some rows up, and lets it go. */
async function carry(page: Page, id: string, rows: number): Promise<void> {
  const handle = (await page.evaluateHandle(
    (op) => document.querySelector(`[data-operation="${op}"]`)!.closest('li')!.querySelector('.handle')!,
    id,
  )) as unknown as import('puppeteer-core').ElementHandle<HTMLElement>;
  await handle.evaluate((e) => e.scrollIntoView({ block: 'center' }));
  await handle.focus();
  const pause = () => page.evaluate(() => new Promise((r) => setTimeout(r, 250)));
  await page.keyboard.press('Space');
  await pause();
  for (let i = 0; i < rows; i++) {
    await page.keyboard.press('ArrowUp');
    await pause();
  }
}

describe('the order of a route', () => {
  it('is changed by hand: rules refuse, speak against it or let it, and it stays until it is planned anew', async () => {
    const { page, errors } = await openPage(1280, 900);
    const id = await jobIdOf('Hinge bush, flanged');
    await visit(page, `${shop.url}/jobs/${id}/route`);
    await sees(page, 'all 17 rules are kept');
    // nothing is worked out beside it any more
    await sees(page, 'Proved:');
    const planned = await order(page);
    // the last cut before the one that leaves metal for it
    await carry(page, 'f2-finish', 1);
    await sees(page, 'not there, it comes after');
    await page.keyboard.press('Space');
    expect(await order(page)).toEqual(planned);
    await press(page, 'Close');
    // edges before the chamfer, which leaves new ones
    const steps = planned.indexOf('breakEdges') - planned.indexOf('f2-chamfer');
    await carry(page, 'breakEdges', steps);
    await sees(page, 'it may stand there, but');
    await page.keyboard.press('Space');
    await sees(page, '1 of 17 rules speaks against it; 1 moved by hand');
    const moved = await order(page);
    expect(moved.indexOf('breakEdges')).toBe(moved.indexOf('f2-chamfer') - 1);
    await sees(page, '· saved');
    expect((await setups(id))[0]!.moves).toEqual([{ id: 'breakEdges', before: 'f2-chamfer' }]);
    expect(await axe(page)).toEqual([]);
    // locked it stays, all else is planned anew
    await page.click('[data-operation="breakEdges"]');
    await page.click('::-p-text(Locked here)');
    await sees(page, '· saved');
    await page.waitForFunction(() => !document.body.innerText.includes('Plan the order anew'));
    await page.click('::-p-text(Locked here)');
    await press(page, 'Plan the order anew');
    await sees(page, 'all 17 rules are kept');
    expect(await order(page)).toEqual(planned);
    expect(errors).toEqual([]);
    await page.close();
  });
  it('leaves a surface for a later holding, and makes it after all', async () => {
    const { page, errors } = await openPage(1280, 900);
    const id = await jobIdOf('Locking pins');
    await visit(page, `${shop.url}/jobs/${id}/route`);
    await page.click('[data-operation="f3-finish"]');
    await press(page, 'Leave Point for a later holding');
    await page.waitForFunction(() => !document.querySelector('[data-operation="f3-finish"]'));
    await sees(page, '· saved');
    expect((await setups(id))[0]!.leave).toEqual(['f3']);
    await press(page, 'Make Point in this holding after all');
    await page.waitForSelector('[data-operation="f3-finish"]');
    await sees(page, '· saved');
    // or taken by its handle and let go on the place for that, which is there while it is held
    const handle = (await page.evaluateHandle(
      () => document.querySelector('[data-operation="f3-finish"]')!.closest('li')!.querySelector('.handle')!,
    )) as unknown as import('puppeteer-core').ElementHandle<HTMLElement>;
    await handle.evaluate((e) => e.scrollIntoView({ block: 'center' }));
    const from = (await handle.boundingBox())!;
    await page.mouse.move(from.x + 8, from.y + 8);
    await page.mouse.down();
    await page.mouse.move(from.x + 40, from.y + 20, { steps: 4 });
    await sees(page, 'Let it go here: Point is left for a later holding');
    const zone = (await (await page.$('::-p-text(Let it go here)'))!.boundingBox())!;
    await page.mouse.move(zone.x + zone.width / 2, zone.y + zone.height / 2, { steps: 6 });
    await page.waitForFunction(() =>
      [...document.querySelectorAll('p.font-bold')].some((e) => e.textContent!.startsWith('Let it go here')),
    );
    await page.mouse.up();
    await page.waitForFunction(() => !document.querySelector('[data-operation="f3-finish"]'));
    await sees(page, '· saved');
    expect((await setups(id))[0]!.leave).toEqual(['f3']);
    expect(errors).toEqual([]);
    await page.close();
  });
  it('can be another course altogether: compared with the planned one, taken by one click', async () => {
    const { page, errors } = await openPage(1280, 900);
    const id = await jobIdOf('Gate hinge bushes');
    await visit(page, `${shop.url}/jobs/${id}/route`);
    const before = await setups(id);
    await page.$$eval('summary', (all) => all.find((s) => s.textContent?.startsWith('Other ways'))!.click());
    await sees(page, 'as planned');
    await sees(page, 'tapered mandrel');
    expect(await axe(page)).toEqual([]);
    await press(page, 'Take this one');
    await sees(page, '· saved');
    await page.waitForFunction(() => document.querySelectorAll('.setup-card').length > 1);
    const after = await setups(id);
    expect(after).toHaveLength(2);
    expect(after[0]!.id).toBe(before[0]!.id);
    expect(errors).toEqual([]);
    await page.close();
  });
  it('is cut: a curve pair by pair, which a page that is loaded again goes on with', async () => {
    const { page, errors } = await openPage(1280, 900);
    const id = await jobIdOf('Winding crank grip');
    const run = (await shop.ask('POST', `/api/jobs/${id}/runs`, { piece: 1 })).body as { id: string };
    await visit(page, `${shop.url}/runs/${run.id}`);
    let curves = 0;
    await cutToTheEnd(page, 25, async () => {
      if (!/its curve in \d+ steps/.test(await textOf(page))) return;
      curves++;
      await press(page, 'Next pair');
      await press(page, 'Next pair');
      await sees(page, 'Pair 3 of');
      await page.reload();
      await sees(page, 'Pair 3 of');
      expect(await axe(page)).toEqual([]);
    });
    expect(curves).toBe(1);
    expect(errors).toEqual([]);
    await page.close();
  });
  it('says what the drawer lacks, the nearest to it and what to buy; a sheet for the grinder can be had', async () => {
    const { page, errors } = await openPage(1280, 900);
    const id = await jobIdOf('Winding crank grip');
    await changeJob(id, (job) => ({
      ...job,
      drawing: {
        ...job.drawing,
        features: job.drawing.features.map((f) => ({
          ...f,
          details: f.details.map((d) =>
            d.kind === 'knurl' ? { ...d, pitch: { text: '0.6', unit: 'mm' as const } } : d,
          ),
        })),
      },
    }));
    await visit(page, `${shop.url}/jobs/${id}/route`);
    await sees(page, 'Missing in the drawer');
    await sees(page, 'Nearest that you have: Knurls, diamond 1.');
    await sees(page, 'knurling wheels BL30 and BR30, pitch 0.6');
    expect(await axe(page)).toEqual([]);
    const sheet = (query: string) => fetch(`${shop.url}/api/grinding.pdf?material=brass&shape=roundNose&${query}`);
    const made = await sheet('radius=2.5');
    expect([made.status, made.headers.get('content-type')]).toEqual([200, 'application/pdf']);
    expect(new TextDecoder('latin1').decode(await made.arrayBuffer()).startsWith('%PDF')).toBe(true);
    expect((await sheet('radius=-1')).status).toBe(404);
    expect(errors).toEqual([]);
    await page.close();
  });
});
