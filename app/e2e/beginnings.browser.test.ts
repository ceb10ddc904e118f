import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { afterAll, describe, expect, it } from 'vitest';
import { axe, press, sees, type, typeInto, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const dir = mkdtempSync(path.join(os.tmpdir(), 'whelk-files-'));
const { shop, openPage, makeJob, loadJob, jobIdOf } = demoInBrowser();
afterAll(() => {
  rmSync(dir, { recursive: true, force: true });
});
async function choose(page: Page, file: string, text: string): Promise<void> {
  const at = path.join(dir, file);
  writeFileSync(at, text);
  const input = (await page.waitForSelector('input[type="file"]')) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(at);
}

describe('a drawing begins', () => {
  it('from a pattern, which is typed over, and is back after Undo', async () => {
    const { page, errors } = await openPage();
    const id = await makeJob('Keeper');
    await visit(page, `${shop.url}/jobs/${id}/drawing`);
    expect(await axe(page)).toEqual([]);
    await page.click('::-p-aria([name="Plug gauge"][role="button"])');
    await sees(page, 'Ø20 +0.008/+0.005');
    await type(page, 'f1-diameter', '22');
    await sees(page, '22.008 / 22.005');
    await sees(page, '· saved');
    await press(page, 'Begin anew');
    await page.click('::-p-aria([name="Washer"][role="button"])');
    await sees(page, 'Ø36');
    await press(page, 'Undo');
    await sees(page, 'Ø22 +0.008/+0.005');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('from a DXF file: what was understood is shown, the axis is set right, and the drawing taken', async () => {
    const { page, errors } = await openPage();
    const from = await jobIdOf('Hinge bush, flanged');
    const id = await makeJob('Bush again');
    await visit(page, `${shop.url}/jobs/${id}/drawing`);
    await press(page, 'A DXF file');
    await choose(page, 'broken.dxf', 'this is no drawing');
    await sees(page, 'This is no DXF file.');
    await choose(page, 'sheet.dxf', (await shop.ask('GET', `/api/jobs/${from}/drawing.dxf?paper=A3`)).text);
    // the half that is cut open tells more, and is read
    await sees(page, '3 lengths outside, 2 steps inside; 46 mm long, Ø58 mm');
    await sees(page, 'text: left out: no outline can be made of it');
    await sees(page, 'on the line of a layer for centrelines');
    expect(await axe(page)).toEqual([]);
    await press(page, 'other half');
    await sees(page, '3 lengths outside; 46 mm long');
    await press(page, 'other half');
    // a wrong axis is told with its place, and put right again
    await typeInto(page, 'Axis at Y, in the file’s figures', '12');
    await page.waitForFunction(
      () =>
        document.body.innerText.includes('The outline ends') || !document.body.innerText.includes('46 mm long, Ø58'),
    );
    await typeInto(page, 'Axis at Y, in the file’s figures', '0');
    await sees(page, '46 mm long, Ø58 mm');
    await press(page, 'Take this drawing');
    await sees(page, '· saved');
    const { drawing } = (await loadJob(id)).job;
    expect(drawing.features.map((f) => [f.diameter.text, f.length.text, f.edges])).toEqual([
      ['58', '8', { left: '1x45', right: 'R1' }],
      ['39', '3', { left: '', right: '' }],
      ['40', '35', { left: '', right: '1x30' }],
    ]);
    expect(drawing.bores.left.map((b) => [b.kind, b.diameter.text, b.end?.text])).toEqual([
      ['taper', '34', '30'],
      ['bored', '30', undefined],
    ]);
    expect(errors).toEqual([]);
    await page.close();
  });

  it('from a worn part: readings, what it was, what it has to fit; and keeps what was measured', async () => {
    const { page, errors } = await openPage();
    const id = await makeJob('Old lever pin');
    await visit(page, `${shop.url}/jobs/${id}/drawing`);
    await press(page, 'A worn part');
    await press(page, 'First diameter');
    await sees(page, 'Measure this diameter at both ends');
    await typeInto(page, 'Readings, mm, one after the other', '24.87 24.91 about');
    await sees(page, 'is not a length');
    await typeInto(page, 'Readings, mm, one after the other', '24.87 24.91 24.9');
    await sees(page, 'largest 24.910 ± 0.004 mm, spread 0.04 · made to');
    await sees(page, 'Measure the length of this diameter');
    await typeInto(page, 'Length, mm', '30');
    await press(page, 'Next diameter');
    await page.select('li:nth-child(2) select', 'mate');
    await sees(page, 'Measure the hole that this goes into');
    await typeInto(page, 'Its mate measures, mm', '18.02');
    await typeInto(page, 'Length, mm', '22', 1);
    await sees(page, '18.000 / 17.970');
    await press(page, 'Holes on a circle');
    await typeInto(page, 'Hole Ø, mm', '3');
    await typeInto(page, 'Span, mm', '18');
    await sees(page, 'on Ø21.21 mm');
    await sees(page, 'Everything is measured');
    expect(await axe(page)).toEqual([]);
    // a reload in the middle loses nothing
    await sees(page, '· saved');
    await page.reload();
    await sees(page, 'Everything is measured');
    await press(page, 'Take this drawing');
    await sees(page, '· saved');
    const { drawing } = (await loadJob(id)).job;
    expect(drawing.features.map((f) => f.diameter.text)).toEqual(['25', '18']);
    expect(drawing.mates).toMatchObject([{ on: 'w2', measured: { text: '18.02' } }]);
    expect(drawing.worn!.surfaces[0]!.readings).toBe('24.87 24.91 24.9');
    expect(errors).toEqual([]);
    await page.close();
  });
});
