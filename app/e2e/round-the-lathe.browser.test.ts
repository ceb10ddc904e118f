import type { Lathe, Stand } from '@whelk/core/lathe';
import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { axe, hydrated, press, sees, textOf, type, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage, jobIdOf } = demoInBrowser();
const idOf = async (name: string) =>
  new RegExp(`/lathes/([0-9a-f-]{36})"[^>]*>${name}`).exec((await shop.ask('GET', '/lathes')).text)![1]!;
const load = async (id: string) =>
  (await shop.ask('GET', `/api/lathes/${id}`)).body as unknown as { lathe: Lathe; stand: Stand };
const choose = (page: Page, field: string, value: string) => page.select(`[data-field="${field}"]`, value);
const tick = (page: Page, label: string) =>
  page.evaluate(
    (text) =>
      [...document.querySelectorAll('label')].find((l) => l.textContent?.trim() === text && !l.htmlFor)!.click(),
    label,
  );

describe('the rest of the walk round a lathe', () => {
  it('keeps everything owned: chucks with their jaws, collets, faceplate, dogs, centres, rests, holders', async () => {
    const { page, errors } = await openPage();
    const id = await idOf('the Grey');
    await visit(page, `${shop.url}/lathes/${id}/describe`);
    const { lathe: before } = await load(id);
    await press(page, 'Holding');
    const chuck = before.holding.chucks.length;
    await press(page, 'Add a chuck');
    await type(page, `holding.chucks.${chuck}.name`, 'soft jaws 4 in');
    await choose(page, `holding.chucks.${chuck}.kind`, 'soft');
    await type(page, `holding.chucks.${chuck}.forceN`, '6000');
    await type(page, `holding.chucks.${chuck}.runoutMm`, '.0005');
    await type(page, `holding.chucks.${chuck}.jaws.0.fromMm`, '2 in');
    await type(page, `holding.chucks.${chuck}.jaws.0.toMm`, '1 in');
    // jaws that reach from two inches down to one
    await sees(page, '1 to put right: Holding');
    await type(page, `holding.chucks.${chuck}.jaws.0.toMm`, '3 1/2');
    await press(page, 'Add a collet');
    const collet = before.holding.collets.length;
    await type(page, `holding.collets.${collet}.name`, '3/8');
    await type(page, `holding.collets.${collet}.fromMm`, '.365');
    await type(page, `holding.collets.${collet}.toMm`, '3/8');
    if (!before.holding.faceplate) await tick(page, 'A faceplate');
    await type(page, 'holding.faceplate.diameterMm', '7 1/2');
    await press(page, 'Add a dog');
    const dog = before.holding.drivers.length;
    await type(page, `holding.drivers.${dog}.name`, 'bent tail');
    await press(page, 'Add a centre');
    const centre = before.holding.centres.length;
    await type(page, `holding.centres.${centre}.name`, 'half centre');
    await choose(page, `holding.centres.${centre}.kind`, 'half');
    await press(page, 'Add a rest');
    const rest = before.holding.rests.length;
    await type(page, `holding.rests.${rest}.name`, 'follower');
    await choose(page, `holding.rests.${rest}.kind`, 'following');
    await press(page, 'Tool post');
    await choose(page, 'toolPost.kind', 'quickChange');
    await press(page, 'Add a holder');
    const holder = before.toolPost.holders.length;
    await type(page, `toolPost.holders.${holder}.name`, 'holder 2');
    await type(page, `toolPost.holders.${holder}.shankMm`, '1/2');
    await type(page, `toolPost.holders.${holder}.heightFromMm`, '.6');
    await type(page, `toolPost.holders.${holder}.heightToMm`, '1');
    expect(await axe(page)).toEqual([]);
    await press(page, 'Save as revision');
    await page.waitForFunction(() => /\/lathes\/[0-9a-f-]{36}$/.test(location.pathname));
    const { lathe } = await load(id);
    expect(lathe.holding.chucks[chuck]).toMatchObject({
      ...{ name: 'soft jaws 4 in', kind: 'soft', forceN: 6000, runoutMm: expect.closeTo(0.0127) },
      jaws: [{ fromMm: 50.8, toMm: 88.9 }],
    });
    expect(lathe.holding).toMatchObject({ faceplate: { diameterMm: 190.5 } });
    expect(lathe.holding.collets[collet]).toMatchObject({ name: '3/8', toMm: 9.525 });
    expect(lathe.holding.drivers[dog]!.name).toBe('bent tail');
    expect(lathe.holding.centres[centre]).toEqual({ name: 'half centre', kind: 'half' });
    expect(lathe.holding.rests[rest]).toMatchObject({ name: 'follower', kind: 'following' });
    expect(lathe.toolPost).toMatchObject({ kind: 'quickChange' });
    expect(lathe.toolPost.holders[holder]).toMatchObject({ shankMm: 12.7, heightFromMm: 15.24, heightToMm: 25.4 });
    // nothing that was not touched has changed
    expect(lathe.slides).toEqual(before.slides);
    expect(lathe.spindle).toEqual(before.spindle);
    expect(errors).toEqual([]);
    await page.close();
  });
  it('keeps threads, quill and taper attachment, and forgets a block whose box is cleared', async () => {
    const { page, errors } = await openPage();
    const id = await idOf('the Small one');
    const { lathe: before } = await load(id);
    await visit(page, `${shop.url}/lathes/${id}/describe`);
    await press(page, 'Threads');
    await type(page, 'threads.gears', '20, 20, 30, x');
    await sees(page, 'to put right: Threads');
    await type(page, 'threads.gears', '20 20 30 127');
    if (!before.threads.dial) await tick(page, 'A wheel on the leadscrew tells where the half-nuts may close');
    await type(page, 'threads.dial.wheelTeeth', '24');
    await type(page, 'threads.dial.marks', '12');
    await press(page, 'Tailstock and tapers');
    if (!before.tailstock.dial) await tick(page, 'The quill has a graduated ring');
    await choose(page, 'tailstock.dial.clockwiseMoves', 'out');
    await tick(page, 'A taper attachment');
    await type(page, 'taperAttachment.mostDeg', '12');
    await choose(page, 'taperAttachment.graduated', 'taperOnDiameter');
    await sees(page, 'everything makes sense');
    await press(page, 'Sizes and time');
    await type(page, 'changeMin.chuck', '7,5');
    await type(page, 'sizes.swingInGapMm', '280');
    await press(page, 'Save as revision');
    await page.waitForFunction(() => /\/lathes\/[0-9a-f-]{36}$/.test(location.pathname));
    expect((await load(id)).lathe).toMatchObject({
      threads: { gears: [20, 20, 30, 127], dial: { wheelTeeth: 24, marks: 12 } },
      tailstock: { dial: { clockwiseMoves: 'out' } },
      taperAttachment: { mostDeg: 12, graduated: 'taperOnDiameter' },
      changeMin: { chuck: 7.5 },
      sizes: { swingInGapMm: 280 },
    });
    await visit(page, `${shop.url}/lathes/${id}/describe`);
    await press(page, 'Tailstock and tapers');
    await tick(page, 'A taper attachment');
    await press(page, 'Save as revision');
    await page.waitForFunction(() => /\/lathes\/[0-9a-f-]{36}$/.test(location.pathname));
    expect((await load(id)).lathe.taperAttachment).toBeNull();
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('a piece on a lathe that stands otherwise', () => {
  it('is told the chuck, the locks and the tailstock, each once, and leaves them so', async () => {
    const { page, errors } = await openPage();
    const id = await idOf('the Long one');
    const { lathe, stand } = await load(id);
    const other = lathe.holding.chucks[1]!;
    const locks = { ...stand.locks, carriage: true, quill: false, tailstock: false };
    const put = { ...stand, chuckId: other.id, setOverMm: 1.5, direction: 'reverse', locks };
    expect((await shop.ask('PUT', `/api/lathes/${id}/stand`, { stand: put })).status).toBe(200);
    const job = await jobIdOf('Winding spindle');
    const started = await shop.ask('POST', `/api/jobs/${job}/runs`, { piece: 2 });
    expect(started.status).toBe(201);
    await visit(page, `${shop.url}/runs/${started.body.id as string}`);
    const told = () => textOf(page, 'aside[aria-label="What to set"]');
    await sees(page, `Put on the ${lathe.holding.chucks[0]!.name}, was the ${other.name}`);
    expect(await told()).toContain('Bring the tailstock back onto the axis, it is set over 1.5 mm');
    await press(page, 'Done');
    await sees(page, 'Face the end');
    // the carriage is locked already: facing has nothing to say of it
    expect(await told()).not.toContain('Lock the carriage');
    await press(page, 'it stands so already');
    await press(page, 'it stands otherwise');
    await sees(page, 'Lock the carriage once the tool is in its place');
    await press(page, 'Done');
    await sees(page, 'Lock the tailstock to the bed');
    expect(await axe(page)).toEqual([]);
    await press(page, 'Done');
    await sees(page, 'Take the steady away');
    await press(page, 'Done');
    await sees(page, 'Touch off');
    expect(await told()).toMatch(/Unlock the carriage[\s\S]*Lock the quill/);
    await page.reload();
    await hydrated(page);
    expect(await told()).toMatch(/Unlock the carriage[\s\S]*Lock the quill/);
    const left = (await load(id)).stand;
    expect(left).toMatchObject({
      chuckId: lathe.holding.chucks[0]!.id,
      setOverMm: 0,
      direction: 'stopped',
      locks: { carriage: true, tailstock: true, quill: false },
    });
    expect(errors).toEqual([]);
    await page.close();
  });
});
