import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Job } from '@whelk/core/job';
import pg from 'pg';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axe, openBrowser, openPage, press, sees, type, visit } from './support/browser.ts';
import { TestShop } from './support/shop.ts';

let shop: TestShop;
let browser: Browser;
let end: () => Promise<void>;
const dir = mkdtempSync(path.join(os.tmpdir(), 'whelk-files-'));
beforeAll(async () => {
  shop = await new TestShop().start('demo');
  ({ browser, end } = await openBrowser());
});
afterAll(async () => {
  await end();
  await shop.end();
  rmSync(dir, { recursive: true, force: true });
});

const make = async (title: string): Promise<string> =>
  ((await shop.ask('POST', '/api/jobs', { title })).body as { id: string }).id;
const load = async (id: string) =>
  (await shop.ask('GET', `/api/jobs/${id}`)).body as unknown as { job: Job; version: number };
const idOf = async (title: string): Promise<string> =>
  new RegExp(`/jobs/([0-9a-f-]{36})/drawing"[^>]*>${title}<`).exec((await shop.ask('GET', '/')).text)![1]!;
const put = async (id: string, change: (job: Job) => Job) => {
  const { job, version } = await load(id);
  return shop.ask('PUT', `/api/jobs/${id}`, { version, job: change(job) });
};
async function choose(page: Page, file: string, text: string): Promise<void> {
  const at = path.join(dir, file);
  writeFileSync(at, text);
  const input = (await page.waitForSelector('input[type="file"]')) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(at);
}
/** Types into a field by its label. */
async function typeInto(page: Page, label: string, text: string, nth = 0): Promise<void> {
  const selector = `::-p-aria([name="${label}"][role="textbox"])`;
  // what is loaded when it is wanted comes a moment later
  await page.waitForSelector(selector);
  const field = (await page.$$(selector))[nth]!;
  await field.evaluate((e) => (e as HTMLElement).scrollIntoView({ block: 'center' }));
  await field.click({ count: 3 });
  await field.type(text);
}

describe('a drawing begins', () => {
  it('from a pattern, which is typed over, and is back after Undo', async () => {
    const { page, errors } = await openPage(browser);
    const id = await make('Keeper');
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
    const { page, errors } = await openPage(browser);
    const from = await idOf('Hinge bush, flanged');
    const id = await make('Bush again');
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
    const { drawing } = (await load(id)).job;
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
    const { page, errors } = await openPage(browser);
    const id = await make('Old lever pin');
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
    const { drawing } = (await load(id)).job;
    expect(drawing.features.map((f) => f.diameter.text)).toEqual(['25', '18']);
    expect(drawing.mates).toMatchObject([{ on: 'w2', measured: { text: '18.02' } }]);
    expect(drawing.worn!.surfaces[0]!.readings).toBe('24.87 24.91 24.9');
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('a drawing is changed on the strip', () => {
  it('dragged with snapping, split, put before, removed; under the glass; and as a table', async () => {
    const { page, errors } = await openPage(browser);
    const id = await make('Stepped');
    await put(id, (job) => {
      const blank = job.drawing.overall;
      const f = (name: string, d: string, l: string) => ({
        ...{ id: name, kind: 'cylinder' as const, name, diameter: { ...blank, text: d }, limits: '', lengthLimits: '' },
        ...{ length: { ...blank, text: l }, finish: '', faceFinish: '', edges: { left: '', right: '' }, details: [] },
      });
      return { ...job, drawing: { ...job.drawing, features: [f('f1', '30', '40'), f('f2', '20', '60')] } };
    });
    await visit(page, `${shop.url}/jobs/${id}/drawing`);
    await page.$eval('[data-feature="f2"]', (e) => e.dispatchEvent(new MouseEvent('click', { bubbles: true })));
    const grip = await page.waitForSelector('[aria-label="Length of f2, mm"]');
    const box = (await grip!.boundingBox())!;
    const scale = await page.$eval('[data-feature="f2"]', (e) => (e as SVGGraphicsElement).getBBox().width / 60);
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 5 * scale, y, { steps: 4 });
    await page.mouse.move(x - 19.7 * scale, y, { steps: 8 });
    await page.mouse.up();
    // drawn to the other length that is near: 40
    await page.waitForFunction(
      () => (document.querySelector('[data-field="f2-length"]') as HTMLInputElement).value === '40',
    );
    // one drag is one step back
    await press(page, 'Undo');
    await page.waitForFunction(
      () => (document.querySelector('[data-field="f2-length"]') as HTMLInputElement).value === '60',
    );
    await page.focus('[aria-label="Diameter of f2, mm"]');
    await page.keyboard.press('ArrowUp');
    await page.waitForFunction(
      () => Number((document.querySelector('[data-field="f2-diameter"]') as HTMLInputElement).value) > 20,
    );
    await page.$eval('[aria-label="Split the selected feature in two"]', (e) => (e as HTMLElement).click());
    await page.waitForFunction(() => document.querySelectorAll('[data-field$="-diameter"]').length === 3);
    await page.$eval('[aria-label="Put a feature before the selected one"]', (e) => (e as HTMLElement).click());
    await page.waitForFunction(() => document.querySelectorAll('[data-field$="-diameter"]').length === 4);
    await page.$eval('[aria-label="Remove the selected feature"]', (e) => (e as HTMLElement).click());
    await page.waitForFunction(() => document.querySelectorAll('[data-field$="-diameter"]').length === 3);
    await press(page, 'Glass');
    await page.waitForSelector('.glass svg');
    expect(await axe(page)).toEqual([]);
    await press(page, 'As a table');
    await typeInto(page, 'Length of 1 f1', '44');
    await page.keyboard.press('Enter');
    await page.keyboard.type('33');
    await sees(page, '· saved');
    expect((await load(id)).job.drawing.features.map((f) => f.length.text).slice(0, 2)).toEqual(['44', '33']);
    expect(await axe(page)).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('a drawing holds', () => {
  it('datums, what is true to them, and tolerances by decimals; and prints them', async () => {
    const { page, errors } = await openPage(browser);
    const id = await idOf('Gland follower blank');
    await visit(page, `${shop.url}/jobs/${id}/drawing`);
    await press(page, 'Make a datum');
    await press(page, 'Hold a surface to it');
    await type(page, 'g1-tolerance', '0.02');
    await page.select('select[aria-label="Datum of tolerance 1"]', '');
    await sees(page, 'No datum is chosen');
    await page.select('select[aria-label="Datum of tolerance 1"]', 'A');
    const general = await page.waitForSelector('::-p-aria([name="General tolerance"][role="combobox"])');
    await general!.select('decimals');
    await sees(page, '1.234');
    await typeInto(page, 'Issue', 'D');
    await sees(page, '· saved');
    const { drawing } = (await load(id)).job;
    expect(drawing).toMatchObject({ issue: 'D', geometry: [{ kind: 'runout', datum: 'A' }], decimals: { unit: 'in' } });
    expect(await axe(page)).toEqual([]);
    await press(page, 'Print and files');
    await page.waitForSelector('.sheet-page text');
    const texts = await page.$$eval('.sheet-page text', (all) => all.map((t) => t.textContent));
    expect(texts).toEqual(expect.arrayContaining(['D', 'A', '0.02', '1 : 1']));
    // no text of the sheet lies over another, as the browser sets them
    const over = await page.$$eval('.sheet-page text', (all) => {
      const boxes = all.map((t) => ({ text: t.textContent, b: t.getBoundingClientRect() }));
      return boxes.flatMap((a, i) =>
        boxes
          .slice(i + 1)
          .filter(
            ({ b }) =>
              a.b.left < b.right - 1 &&
              b.left < a.b.right - 1 &&
              a.b.top + 3 < b.bottom - 3 &&
              b.top + 3 < a.b.bottom - 3,
          )
          .map((o) => `${a.text} | ${o.text}`),
      );
    });
    expect(over).toEqual([]);
    await press(page, 'A3');
    await press(page, 'Standing');
    await page.waitForFunction(() =>
      document.querySelector('a[href*="drawing.pdf"]')!.getAttribute('href')!.includes('paper=A3&stands=1'),
    );
    expect(await axe(page)).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });

  it('a fit to a piece that another job measures: its reading moves the limits here', async () => {
    const { page, errors } = await openPage(browser);
    const spindle = await idOf('Winding spindle, gate 3');
    const id = await make('Bearing ring');
    await put(id, (job) => {
      const { unit } = job.drawing;
      const t = (text: string) => ({ text, unit });
      const step = {
        id: 'h1',
        kind: 'bored' as const,
        name: 'Bore',
        diameter: t('28'),
        limits: '',
        length: t(''),
        lengthLimits: '',
        finish: '',
        details: [],
      };
      const ring = {
        id: 'f1',
        kind: 'cylinder' as const,
        name: 'Ring',
        diameter: t('40'),
        limits: '',
        length: t('20'),
        lengthLimits: '',
        finish: '',
        faceFinish: '',
        edges: { left: '', right: '' },
        details: [],
      };
      const mate = {
        id: 'm1',
        on: 'h1',
        note: '',
        measured: t(''),
        least: '0.02',
        most: '0.05',
        unit,
        from: { jobId: spindle, featureId: 'f3', piece: null },
      };
      return {
        ...job,
        drawing: { ...job.drawing, features: [ring], bores: { left: [step], right: [] }, mates: [mate] },
      };
    });
    await visit(page, `${shop.url}/jobs/${id}/drawing`);
    await sees(page, 'until it is measured the drawing’s own limits hold');
    // the other way: the spindle says who follows it
    expect((await shop.ask('GET', `/api/jobs/${spindle}/mates`)).body.followers).toMatchObject([
      { title: 'Bearing ring', featureId: 'f3' },
    ]);
    // at the lathe somebody cuts the bearing and reads it, while this page is open
    const { runs } = (await shop.ask('GET', `/api/jobs/${spindle}/export`)).body as unknown as {
      runs: {
        id: string;
        piece: number;
        frozen: { steps: { id: string; featureId?: string; limits?: object; kind: string }[] };
        events: { id: string; device: string; seq: number }[];
      }[];
    };
    const run = runs[0]!;
    const step = run.frozen.steps.filter((s) => s.featureId === 'f3' && s.kind === 'measure').at(-1)!;
    let [seq, parent] = [0, run.events.at(-1)!.id];
    const device = '6a1f0000-0000-4000-8000-0000000000aa';
    const event = (body: object) => {
      const id = `6a1f0000-0000-4000-8000-${String(++seq).padStart(12, '0')}`;
      const made = {
        schema: 1,
        id,
        runId: run.id,
        piece: run.piece,
        device,
        seq,
        parents: [parent],
        at: new Date().toISOString(),
        ...body,
      };
      parent = id;
      return made;
    };
    const ahead = run.frozen.steps.slice(run.frozen.steps.findIndex((s) => s.id === 'f3-between'));
    const events: object[] = [event({ kind: 'done', stepId: 'f3-between' })];
    for (const s of ahead.slice(1)) {
      if (s.id === step.id) break;
      events.push(event({ kind: 'done', stepId: s.id }));
    }
    events.push(
      event({
        kind: 'reading',
        stepId: step.id,
        raw: { text: '27.990', unit: 'mm' },
        instrumentId: await micrometer(),
        place: 'middle',
      }),
      event({ kind: 'done', stepId: step.id }),
    );
    const sent = await shop.ask('POST', `/api/runs/${run.id}/events`, { events });
    expect(sent.status).toBeLessThan(300);
    await sees(page, '→ 28.040 / 28.010 mm');
    await sees(page, '· saved');
    expect((await load(id)).job.drawing.mates).toMatchObject([{ measured: { text: '27.990' } }]);
    expect(errors).toEqual([]);
    await page.close();
  });
});

/** The shop's micrometer for 25 to 50. */
async function micrometer(): Promise<string> {
  const { instruments } = (await import('../../demo/shop.json', { with: { type: 'json' } })).default;
  return instruments.find((i) => i.name.includes('25–50'))!.id;
}

describe('revisions', () => {
  it('show what was changed, drawn over what it was, and bring an earlier state back', async () => {
    const { page, errors } = await openPage(browser);
    const id = await idOf('Sluice valve disc');
    // saves within two minutes are one revision: let time pass
    const db = new pg.Client({ connectionString: shop.databaseUrl });
    await db.connect();
    await db.query(`update job_revisions set saved_at = saved_at - interval '1 hour' where job_id = $1`, [id]);
    await db.end();
    await put(id, (job) => ({
      ...job,
      drawing: {
        ...job.drawing,
        issue: 'B',
        features: job.drawing.features.with(1, { ...job.drawing.features[1]!, diameter: { text: '44', unit: 'mm' } }),
      },
    }));
    await visit(page, `${shop.url}/jobs/${id}/drawing`);
    await press(page, 'revision 2');
    await sees(page, 'Boss, diameter: 40 mm → 44 mm');
    await sees(page, 'Drawing, issue: none → B');
    expect(await page.$$eval('.compare .r-cut', (all) => all.length)).toBe(1);
    expect(await axe(page)).toEqual([]);
    await press(page, 'Revision 1');
    await sees(page, 'This is the first state that is kept.');
    await press(page, 'Bring revision 1 back');
    await sees(page, 'Ø40');
    expect((await load(id)).job.drawing.features[1]!.diameter.text).toBe('40');
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('files of a drawing', () => {
  it('come as they are asked for, and are refused with words', async () => {
    const id = await idOf('Guide roller, casting');
    for (const [file, kind, head] of [
      ['drawing.pdf?paper=Letter&both=1', 'application/pdf', '%PDF-1'],
      ['drawing.svg?paper=A3', 'image/svg+xml', '<?xml'],
      ['drawing.dxf', 'image/vnd.dxf', '0\nSECTION'],
      ['outline.dxf', 'image/vnd.dxf', '0\nSECTION'],
    ] as const) {
      const answer = await shop.ask('GET', `/api/jobs/${id}/${file}`);
      expect([file, answer.status, answer.headers.get('content-type')?.split(';')[0]]).toEqual([file, 200, kind]);
      expect(answer.text.trimStart().startsWith(head)).toBe(true);
      expect(answer.headers.get('content-disposition')).toContain('attachment');
    }
    const empty = await make('Nothing yet');
    for (const file of ['drawing.pdf', 'outline.dxf'])
      expect((await shop.ask('GET', `/api/jobs/${empty}/${file}`)).body.problems).toMatchObject([
        { code: 'drawing.empty' },
      ]);
    expect((await shop.ask('GET', `/api/jobs/${empty.replace(/./g, '0')}/drawing.pdf`)).status).toBe(404);
    const printed = await shop.ask('GET', `/jobs/${empty}/printed`);
    expect([printed.status, printed.text.includes('Nothing is drawn yet')]).toEqual([200, true]);
    expect((await shop.ask('GET', '/jobs/nothing/revisions')).status).toBe(404);
  });
});
