import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { axe, hydrated, press, sees, station, textOf, type, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, makeJob, loadJob } = demoInBrowser();
async function newJob(page: Page, title: string): Promise<string> {
  const id = await makeJob(title);
  await visit(page, `${shop.url}/jobs/${id}/drawing`);
  return id;
}
const load = async (id: string) => (await loadJob(id)).job;
const choose = (page: Page, field: string, value: string) => page.select(`[data-field="${field}"]`, value);
const labels = (page: Page) =>
  page.$$eval('.strip-paper .pic text', (all) => all.map((t) => t.textContent).filter((t) => t !== ''));

describe('drawing a flanged bush', () => {
  it('outside and inside, with an undercut, a mouth, and an oil groove in the bore', async () => {
    const { page, errors } = await openPage();
    const id = await newJob(page, 'Hinge bush');
    await press(page, 'Add the first diameter');
    await type(page, 'f1-diameter', '60');
    await type(page, 'f1-length', '8');
    await type(page, 'f1-right', 'R1');
    await press(page, '+ Add');
    await type(page, 'f2-diameter', '40');
    await type(page, 'f2-limits', 's6');
    await sees(page, '40.059 / 40.043');
    // its length is left open: the whole gives it
    const whole = await page.$('footer input');
    await whole!.click();
    await whole!.type('46');
    await sees(page, 'Lengths add up to 46 mm');
    await press(page, '+ groove');
    await type(page, 'd1-width', '3');
    await type(page, 'd1-floor', '41');
    await sees(page, 'leaves no groove');
    await type(page, 'd1-floor', '38');
    await choose(page, 'd1-from', 'left');
    await press(page, 'Add a hole from the headstock end');
    await choose(page, 'h1-kind', 'countersunk');
    await type(page, 'h1-diameter', '34');
    await type(page, 'h1-end', '30');
    await press(page, '+ Deeper');
    await choose(page, 'h2-kind', 'reamed');
    await type(page, 'h2-diameter', '30');
    await type(page, 'h2-limits', 'h7');
    await sees(page, 'is a zone for shafts');
    await type(page, 'h2-limits', 'H7');
    await sees(page, '30.021 / 30.000');
    expect(await labels(page)).toEqual(expect.arrayContaining(['Ø60', 'Ø40 s6', 'Ø34–30', 'Ø30 H7', '46 mm']));
    // the hole is shown free of hatching in a half that is cut open
    expect(await page.$$eval('.strip-paper .r-void', (all) => all.length)).toBe(1);
    await type(page, 'h2-diameter', '39');
    await sees(page, 'This hole breaks through the outside');
    await type(page, 'h2-diameter', '30');
    await sees(page, '· saved');
    const { drawing } = await load(id);
    expect(drawing).toMatchObject({
      schema: 3,
      features: [{ edges: { right: 'R1' } }, { length: { text: '' }, details: [{ kind: 'groove', from: 'left' }] }],
      bores: { left: [{ kind: 'countersunk' }, { kind: 'reamed', limits: 'H7' }], right: [] },
    });
    expect(await axe(page)).toEqual([]);
    // the strip selects a hole as it selects a diameter, and undo takes back a step at a time
    await page.$eval('[data-feature="h2"]', (e) => e.dispatchEvent(new MouseEvent('click', { bubbles: true })));
    await page.waitForFunction(() =>
      document.querySelector('#inside')!.parentElement!.querySelector('[aria-pressed="true"]'),
    );
    const svg = await shop.ask('GET', `/api/jobs/${id}/drawing.svg`);
    expect(svg.text).toContain('stroke-width="0.18"');
    // its mouth rounded instead, and a ring in the shoulder of its flange
    await choose(page, 'h1-kind', 'arc');
    await type(page, 'h1-radius', '1');
    await type(page, 'h1-length', '5');
    await sees(page, 'does not reach from one end to the other');
    await type(page, 'h1-radius', '6');
    await page.$$eval('button', (all) => all.filter((b) => b.textContent?.includes('Ring groove'))[1]!.click());
    await choose(page, 'd2-on', 'f1.right');
    await type(page, 'd2-outer', '56');
    await type(page, 'd2-inner', '50');
    await type(page, 'd2-depth', '9');
    await sees(page, 'A groove 9 mm deep breaks through.');
    await type(page, 'd2-depth', '2');
    await page.waitForFunction(() => !document.body.innerText.includes('breaks through'));
    await sees(page, '· saved');
    expect((await load(id)).drawing).toMatchObject({
      bores: { left: [{ kind: 'arc', end: { text: '30' }, radius: { text: '6' } }, {}] },
      ends: { right: { grooves: [{ on: 'f1.right', depth: { text: '2' } }] } },
    });
    expect(await axe(page)).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('drawing shapes', () => {
  it('solves a taper and a ball, keeps what another shape had typed, and says what waits', async () => {
    const { page, errors } = await openPage();
    const id = await newJob(page, 'Knob');
    await press(page, 'Add the first diameter');
    await type(page, 'f1-diameter', '20');
    await type(page, 'f1-length', '30');
    await press(page, '+ thread');
    await sees(page, 'The thread has no name yet');
    await type(page, 'd1-designation', 'M20x1.5');
    await choose(page, 'd1-hand', 'left');
    await press(page, '+ Add');
    await type(page, 'f2-diameter', '18');
    await choose(page, 'f2-kind', 'taper');
    await sees(page, 'This taper is not known yet');
    await type(page, 'f2-end', '12');
    await type(page, 'f2-taper', '1:10');
    await press(page, '+ Add');
    await choose(page, 'f3-kind', 'ball');
    await type(page, 'f3-diameter', '24');
    // 30 + 60 of taper + 12 + √(12² − 6²)
    await sees(page, '112.392 mm');
    expect(await labels(page)).toEqual(expect.arrayContaining(['M20x1.5 LH', 'Ø18–12', 'SØ24']));
    await choose(page, 'f3-kind', 'arc');
    await type(page, 'f3-end', '12');
    await type(page, 'f3-radius', '5');
    await type(page, 'f3-length', '16');
    await sees(page, 'does not reach from one end to the other');
    await choose(page, 'f3-kind', 'ball');
    await sees(page, 'A ball between these neighbours is');
    await type(page, 'f3-length', ' ');
    await sees(page, '· saved');
    const { drawing } = await load(id);
    expect(drawing.features[2]).toMatchObject({ kind: 'ball', radius: { text: '5' }, end: { text: '12' } });
    // turned round it is the same part, once no limits belong to one end of a cone
    await type(page, 'f2-limits', 'h9');
    await press(page, 'Turn round');
    await sees(page, 'has limits of its left diameter');
    await type(page, 'f2-limits', ' ');
    await press(page, 'Turn round');
    await page.waitForFunction(() => !document.body.innerText.includes('has limits of its left diameter'));
    await expect
      .poll(async () => (await load(id)).drawing.features.map((f) => f.kind))
      .toEqual(['ball', 'taper', 'cylinder']);
    expect(await labels(page)).toEqual(expect.arrayContaining(['SØ24', 'Ø12–18', 'M20x1.5 LH']));
    // a job is planned as far as its plain diameters go, and says what its plan leaves
    await station(page, 'stock');
    expect(await textOf(page)).toContain('Knob');
    expect(errors).toEqual([]);
    await page.close();
  });
  it('takes sizes from datums, and names those that disagree', async () => {
    const { page } = await openPage();
    await newJob(page, 'Stepped');
    await press(page, 'Add the first diameter');
    await type(page, 'f1-diameter', '30');
    await type(page, 'f1-length', '10');
    await press(page, '+ Add');
    await type(page, 'f2-diameter', '20');
    await type(page, 'f2-length', '20');
    await press(page, 'Add a size');
    await type(page, 'd1-size', '30');
    await sees(page, 'is said by the other sizes already');
    await type(page, 'd1-size', '30.4');
    await sees(page, 'disagree by 0.4 mm');
    await type(page, 'f2-length', ' ');
    await page.waitForFunction(() => !document.body.innerText.includes('disagree'));
    await sees(page, '30.4 mm');
    await page.reload();
    await hydrated(page);
    await sees(page, '30.4 mm');
    expect(await axe(page)).toEqual([]);
    await page.close();
  });
});
