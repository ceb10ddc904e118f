import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { axe, press, sees, visit } from './support/browser.ts';
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
    expect((await loadJob(spindle)).job.hold.further).toMatchObject([{ tail: 'left', method: 'chuck' }]);
    // a way that cannot be says why, and nothing is lost
    const means = 'select:has(option[value="betweenCentres"])';
    await page.select(means, 'betweenCentres');
    await sees(page, 'both ends want a centre hole');
    await page.select(means, 'auto');
    await sees(page, '11 operations');
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
        further: [{ id: randomUUID(), tail: 'left', method: 'auto', gripMm: 0, protect: 'strips' }],
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
    await sees(page, 'whole length is then');
    await visit(page, `${shop.url}/`);
    await sees(page, 'Go on cutting, holding 2');
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
});
