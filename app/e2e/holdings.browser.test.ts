import { randomUUID } from 'node:crypto';
import type { Lathe } from '@whelk/core/lathe';
import { describe, expect, it } from 'vitest';
import { cutToTheEnd } from './support/at-the-lathe.ts';
import { axe, hydrated, press, sees, textOf, type, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, loadJob, changeJob, jobIdOf } = demoInBrowser();

/** Closes a run as finished, with no step done: what is tested is what comes after it. */
async function close(runId: string): Promise<void> {
  const event = {
    ...{ schema: 1, id: randomUUID(), runId, piece: 1, device: randomUUID(), seq: 1, parents: [] },
    ...{ at: new Date().toISOString(), kind: 'ended', outcome: 'finished', reason: '' },
  };
  const sent = await shop.ask('POST', `/api/runs/${runId}/events`, { events: [event] });
  expect(sent.status).toBe(200);
}

describe('holdings of a job', () => {
  it('are added, chosen, and say what is true to what', async () => {
    const { page, errors } = await openPage(1280, 1200);
    const spindle = await jobIdOf('Winding spindle, gate 3');
    await visit(page, `${shop.url}/jobs/${spindle}/hold`);
    // the shop's own second holding is taken out, and Whelk's put in its place
    await page.$$eval('.setup-card', (cards) => (cards[1] as HTMLElement).click());
    await press(page, 'Take this holding out');
    await press(page, 'Turn it end for end');
    await sees(page, 'Holding 2: put in again');
    await sees(page, 'Whelk chooses: Bearing');
    // the drawing wants the journal to run true to the bearing; a three-jaw does not give that
    await sees(page, 'Held again, it can run out');
    await sees(page, 'What stays true to what');
    await sees(page, 'face the end: set carriage');
    expect(await axe(page)).toEqual([]);
    // the way that does is taken from the list
    await sees(page, 'four-jaw 200');
    await page.click('[aria-label="Hold it so: four-jaw 200"]');
    await page.waitForFunction(() => !document.body.innerText.includes('Held again, it can run out'));
    await page.waitForFunction(() => document.querySelector('.setup-shown')?.textContent?.includes('four-jaw'));
    await sees(page, '· saved');
    expect((await loadJob(spindle)).job.hold.setups[1]).toMatchObject({ tail: 'left', support: 'none' });
    // a way that cannot be says why, and nothing is lost
    const means = 'select:has(option[value="betweenCentres"])';
    await page.select(means, 'betweenCentres');
    await sees(page, 'both ends want a centre hole');
    await page.select(means, 'auto');
    await sees(page, '14 operations');
    expect(errors).toEqual([]);
    await page.close();
  });
  it('are cut one after the other, each from a plan of its own', async () => {
    const { page, errors } = await openPage(1280, 1100);
    const pins = await jobIdOf('Guide roller axles');
    await changeJob(pins, (job) => ({
      ...job,
      quantity: 2,
      hold: {
        ...job.hold,
        setups: [
          job.hold.setups[0]!,
          { id: randomUUID(), tail: 'left', grip: { kind: 'jaws', mm: 0, protect: 'strips' }, support: 'auto' },
        ],
      },
    }));
    const early = await shop.ask('POST', `/api/jobs/${pins}/runs`, { piece: 1, setup: 2 });
    expect([early.status, early.text]).toEqual([409, expect.stringContaining('run.setupBefore')]);
    const first = (await shop.ask('POST', `/api/jobs/${pins}/runs`, { piece: 1 })).body as { id: string };
    await close(first.id);
    expect((await shop.ask('POST', `/api/jobs/${pins}/runs`, { piece: 1, setup: 9 })).status).toBe(409);
    await visit(page, `${shop.url}/jobs/${pins}/cut`);
    await sees(page, 'Holding 2:');
    await sees(page, 'After holding 1');
    expect(await axe(page)).toEqual([]);
    const starts = await page.$$('section[aria-label="Holding 2"] button');
    // piece 1 has been through the first holding, piece 2 has not
    expect(await Promise.all(starts.map((b) => b.evaluate((e) => (e as HTMLButtonElement).disabled)))).toEqual([
      false,
      true,
    ]);
    await Promise.all([page.waitForNavigation(), starts[0]!.click()]);
    await sees(page, 'Put the piece in again');
    await sees(page, 'left end goes to the tailstock');
    await sees(page, 'strips of copper');
    await press(page, 'Done');
    await sees(page, 'Then measure: what the saw left is not known before');
    // sawn a little long: what is left follows from what is read, not from the plan
    const whole = Number(/Whole length: ([\d.]+)/.exec(await textOf(page))![1]);
    await type(page, 'length', (whole + 0.62).toFixed(2));
    await page.keyboard.press('Enter');
    await sees(page, '0.62 mm still to cut along the bed');
    await sees(page, '2 cuts of 0.32 mm, the last one of 0.30 mm');
    await type(page, 'length', (whole + 0.05).toFixed(2));
    await page.keyboard.press('Enter');
    await sees(page, 'it is there');
    await type(page, 'length', (whole - 0.4).toFixed(2));
    await page.keyboard.press('Enter');
    await sees(page, 'shorter than it may be');
    await visit(page, `${shop.url}/`);
    await sees(page, 'Go on cutting, piece 1 of 2, holding 2');
    // the file of the job carries both, and comes back the same
    const file = (await shop.ask('GET', `/api/jobs/${pins}/export`)).body as { runs: { setup?: number }[] };
    expect(file.runs.map((r) => r.setup)).toEqual([1, 2]);
    const back = await shop.ask('POST', '/api/jobs/import', file);
    expect(back.status).toBe(201);
    const again = (await shop.ask('GET', `/api/jobs/${(back.body as { id: string }).id}/export`)).body as typeof file;
    expect(again.runs.map((r) => r.setup)).toEqual([1, 2]);
    expect(errors).toEqual([]);
    await page.close();
  });
  it('take a part from the bar to both of its ends, through the log to a job that is done', async () => {
    const { page, errors } = await openPage(1280, 1100);
    const pins = await jobIdOf('Locking pins');
    await changeJob(pins, (job) => ({
      ...job,
      quantity: 1,
      hold: { ...job.hold, setups: job.hold.setups.slice(0, 1) },
    }));
    await visit(page, `${shop.url}/jobs/${pins}/hold`);
    await press(page, 'Turn it end for end');
    await sees(page, 'Holding 2: put in again');
    await sees(page, '· saved');
    await visit(page, `${shop.url}/jobs/${pins}/route`);
    await sees(page, 'Nothing: all of it is cut');
    for (const [number, closing] of [
      [1, 'Close this piece'],
      [2, 'Close this holding'],
    ] as const) {
      await visit(page, `${shop.url}/jobs/${pins}/cut`);
      await page.waitForSelector(`section[aria-label="Holding ${number}"] button:not([disabled])`);
      await Promise.all([page.waitForNavigation(), page.click(`section[aria-label="Holding ${number}"] button`)]);
      await hydrated(page);
      await sees(page, number === 1 ? 'Put the blank in' : 'Put the piece in again');
      await cutToTheEnd(page, 14);
      await press(page, closing);
      await sees(page, 'Finished');
      await page.waitForFunction(() => document.querySelector('header')?.innerText.includes('saved'));
    }
    await visit(page, `${shop.url}/log`);
    await sees(page, 'Locking pins, piece 1, holding 2');
    const line = await page.evaluate(
      () =>
        [...document.querySelectorAll('main li')].find((li) => li.textContent?.includes('Locking pins'))?.textContent,
    );
    expect(line).toContain('Finished');
    await visit(page, shop.url);
    const row = await page.evaluate(
      () => [...document.querySelectorAll('li')].find((li) => li.textContent?.includes('Locking pins'))?.textContent,
    );
    expect(row).toContain('All pieces cut');
    expect(errors).toEqual([]);
    await page.close();
  });
  it('of a casting: held on its rough rim, then by its hole, which wants a mandrel of the shop', async () => {
    const { page, errors } = await openPage(1280, 1100);
    const roller = await jobIdOf('Guide rollers, cast');
    // as it was begun: its later holdings are put in anew
    await changeJob(roller, (job) => ({ ...job, hold: { ...job.hold, setups: [job.hold.setups[0]!] } }));
    await visit(page, `${shop.url}/jobs/${roller}/stock`);
    await sees(page, 'Ø102 × Ø12 mm casting, 3 on every surface');
    await visit(page, `${shop.url}/jobs/${roller}/hold`);
    await press(page, 'Turn it end for end');
    await sees(page, 'Holding 2: put in again');
    await page.waitForFunction(() => document.querySelector('.setup-shown')?.textContent?.includes('tapered mandrel'));
    await sees(page, 'by its hole, Ø20');
    await sees(page, 'runs out up to 0.015 mm against its hole');
    expect(await axe(page)).toEqual([]);
    await sees(page, '· saved');
    // without such a mandrel it is said, and the plan stands all the same
    const latheUrl = `/api/lathes/${(await loadJob(roller)).job.hold.latheId}`;
    const { lathe } = (await shop.ask('GET', latheUrl)).body as unknown as { lathe: Lathe };
    const bare = { ...lathe, holding: { ...lathe.holding, arbors: [] } };
    expect((await shop.ask('PUT', latheUrl, { lathe: bare })).status).toBe(200);
    await visit(page, `${shop.url}/jobs/${roller}/hold`);
    await page.$$eval('.setup-card', (cards) => (cards[1] as HTMLElement).click());
    await sees(page, 'No such mandrel of the shop fits a hole of Ø20 mm');
    await visit(page, `${shop.url}/jobs/${roller}/route`);
    await page.$$eval('.setup-card', (cards) => (cards[1] as HTMLElement).click());
    await sees(page, 'holding 2 of 2: ');
    await sees(page, 'Not planned in any holding');
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('habits of the shop', () => {
  it('set how fast centre holes are drilled in jobs begun from then on', async () => {
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/settings`);
    await page.select('select:has(option[value="asTurned"])', 'pilot');
    await sees(page, 'Saved.');
    const made = (await shop.ask('POST', '/api/jobs', { title: 'Arbor' })).body as unknown as { id: string };
    const { hold, route } = (await loadJob(made.id)).job;
    expect([route.centreSpeed, hold.setups[0]?.grip]).toEqual(['pilot', { kind: 'jaws', on: 'spare', mm: 0 }]);
    expect(await axe(page)).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('the bench book', () => {
  it('puts holders together and reads them, and tells how an end is faced up to its centre', async () => {
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/bench-book/inserts`);
    await sees(page, 'Put a holder together');
    await page.select('select:has(option[value="boring"])', 'boring');
    await sees(page, 'S16H-SDLCR 11');
    // a square corner has no air at 95°
    const insert = 'section[aria-labelledby="compose-holder"] select:has(option[value="V"]):has(option[value="W"])';
    await page.select(insert, 'S');
    await sees(page, 'A corner of 90° has no air behind it at 95°');
    await page.select(insert, 'C');
    await press(page, 'Read this one above');
    await sees(page, 'setting angle 95°: faces outwards too');
    expect(await axe(page)).toEqual([]);
    await visit(page, `${shop.url}/bench-book/centres`);
    await sees(page, 'Ø9.7 mm');
    await sees(page, 'Take it off in the chuck');
    await type(page, 'facing-off', '0.3');
    await sees(page, 'So thin a ring is filed off');
    await page.$eval('input[type="checkbox"]', (e) => (e as HTMLElement).click());
    await sees(page, 'nothing is left');
    expect(await axe(page)).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });
});
