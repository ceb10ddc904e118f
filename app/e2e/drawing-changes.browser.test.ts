import { patternDrawing } from '@whelk/core/part';
import pg from 'pg';
import { describe, expect, it } from 'vitest';
import { axe, press, sees, type, typeInto, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, makeJob, loadJob, changeJob, jobIdOf } = demoInBrowser();

describe('a drawing is changed on the strip', () => {
  it('dragged with snapping, split, put before, removed; under the glass; and as a table', async () => {
    const { page, errors } = await openPage();
    const id = await makeJob('Stepped');
    await changeJob(id, (job) => {
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
    await press(page, 'Magnify');
    await page.waitForSelector('.glass svg');
    // the strip shows what the glass covers: a frame around the grips of what is selected
    const [frame, across] = await page.evaluate(() =>
      ['.glass-over', '.strip-handle.across'].map((at) => {
        const box = document.querySelector(at)!.getBoundingClientRect();
        return { left: box.left, right: box.right };
      }),
    );
    expect(frame!.left).toBeLessThan(across!.left);
    expect(frame!.right).toBeGreaterThan(across!.right);
    expect(await axe(page)).toEqual([]);
    await press(page, 'As a table');
    await typeInto(page, 'Length of 1 f1', '44');
    await page.keyboard.press('Enter');
    await page.keyboard.type('33');
    await sees(page, '· saved');
    expect((await loadJob(id)).job.drawing.features.map((f) => f.length.text).slice(0, 2)).toEqual(['44', '33']);
    expect(await axe(page)).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });
});
describe('a drawing holds', () => {
  it('datums, what is true to them, and tolerances by decimals; and prints them', async () => {
    const { page, errors } = await openPage();
    const id = await jobIdOf('Gland follower blank');
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
    // whole millimetres have no line in the table of an inch shop: that is said, and the shop's own is typed
    await sees(page, 'has no tolerance for a size written like');
    await page.select('select[aria-label="Unit of these tolerances"]', 'mm');
    await typeInto(page, 'Tolerance of sizes written 1', '0.3');
    await page.waitForFunction(() => !document.body.innerText.includes('has no tolerance for a size'));
    await typeInto(page, 'Drawing version', 'D');
    await sees(page, '· saved');
    const { drawing } = (await loadJob(id)).job;
    expect(drawing).toMatchObject({ issue: 'D', geometry: [{ kind: 'runout', datum: 'A' }], decimals: { unit: 'mm' } });
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
    const { page, errors } = await openPage();
    const spindle = await jobIdOf('Winding spindle, gate 3');
    const id = await makeJob('Bearing ring');
    await changeJob(id, (job) => {
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
        schema: 2,
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
        lookedAgain: true,
      }),
      event({ kind: 'done', stepId: step.id }),
    );
    const sent = await shop.ask('POST', `/api/runs/${run.id}/events`, { events });
    expect(sent.status).toBeLessThan(300);
    await sees(page, '→ 28.040 / 28.010 mm');
    await sees(page, '· saved');
    expect((await loadJob(id)).job.drawing.mates).toMatchObject([{ measured: { text: '27.990' } }]);
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
    const { page, errors } = await openPage();
    const id = await jobIdOf('Sluice valve disc');
    // saves within two minutes are one revision: let time pass
    const db = new pg.Client({ connectionString: shop.databaseUrl });
    await db.connect();
    await db.query(`update job_revisions set saved_at = saved_at - interval '1 hour' where job_id = $1`, [id]);
    await db.end();
    await changeJob(id, (job) => ({
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
    await sees(page, 'Drawing, version of the drawing: none → B');
    expect(await page.$$eval('.compare .r-cut', (all) => all.length)).toBe(1);
    expect(await axe(page)).toEqual([]);
    await press(page, 'Revision 1');
    await sees(page, 'This is the first state that is kept.');
    await press(page, 'Bring revision 1 back');
    await sees(page, 'Ø40');
    expect((await loadJob(id)).job.drawing.features[1]!.diameter.text).toBe('40');
    expect(errors).toEqual([]);
    await page.close();
  });
});
describe('files of a drawing', () => {
  it('come as they are asked for, and are refused with words', async () => {
    const id = await jobIdOf('Guide rollers, cast');
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
    const empty = await makeJob('Nothing yet');
    for (const file of ['drawing.pdf', 'outline.dxf'])
      expect((await shop.ask('GET', `/api/jobs/${empty}/${file}`)).body.problems).toMatchObject([
        { code: 'drawing.empty' },
      ]);
    expect((await shop.ask('GET', `/api/jobs/${empty.replace(/./g, '0')}/drawing.pdf`)).status).toBe(404);
    const printed = await shop.ask('GET', `/jobs/${empty}/printed`);
    expect([printed.status, printed.text.includes('Nothing is drawn yet')]).toEqual([200, true]);
    expect((await shop.ask('GET', '/jobs/nothing/revisions')).status).toBe(404);
    // a size would be missing on paper: nothing goes out before it is put right, and the page says what
    await changeJob(empty, (job) => {
      const [ring] = patternDrawing('collar', 'mm').features;
      const lost = { ...ring!, id: 'f2', diameter: { text: 'about 20', unit: 'mm' as const } };
      return { ...job, drawing: { ...job.drawing, features: [ring!, lost] } };
    });
    for (const file of ['drawing.pdf', 'drawing.dxf', 'outline.dxf']) {
      const answer = await shop.ask('GET', `/api/jobs/${empty}/${file}`);
      expect([answer.status, answer.body.problems]).toMatchObject([400, [{ code: 'length.notALength' }]]);
    }
    const { text } = await shop.ask('GET', `/jobs/${empty}/printed`);
    expect([text.includes('Not printed while something is wrong'), text.includes('drawing.pdf')]).toEqual([
      true,
      false,
    ]);
  });
});
