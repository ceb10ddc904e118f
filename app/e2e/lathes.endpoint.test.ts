import type { Calibration, Lathe, Stand } from '@whelk/core/lathe';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TestShop } from './support/shop.ts';

const shop = new TestShop();
beforeAll(async () => {
  await shop.start('demo');
});
afterAll(async () => {
  await shop.end();
});

interface Loaded {
  lathe: Lathe;
  calibrations: Calibration[];
  stand: Stand;
  revisions: { revision: number }[];
}
const idOf = async (name: string) =>
  new RegExp(`/lathes/([0-9a-f-]{36})"[^>]*>${name}`).exec((await shop.ask('GET', '/lathes')).text)![1]!;
const load = async (id: string) => (await shop.ask('GET', `/api/lathes/${id}`)).body as unknown as Loaded;
const codes = (answer: Awaited<ReturnType<TestShop['ask']>>) => [answer.status, answer.body.problems?.[0]?.code];
const calibration = (latheId: string, body: object) => ({
  schema: 1,
  id: crypto.randomUUID(),
  latheId,
  at: '2026-01-12T09:00:00.000Z',
  note: '',
  ...body,
});

describe('a lathe’s description', () => {
  it('begins from a pattern, is revised, and refuses a save that comes too late with both versions', async () => {
    const { body, status } = await shop.ask('POST', '/api/lathes', { name: 'the New one', pattern: 'geared' });
    expect(status).toBe(201);
    const id = body.id as string;
    const { lathe } = await load(id);
    expect(lathe).toMatchObject({ name: 'the New one', revision: 1, spindle: { settings: [] } });
    const spindle = {
      ...lathe.spindle,
      settings: [{ kind: 'fixed' as const, at: { range: 'L', lever: '1' }, rpm: 80 }],
    };
    const saved = await shop.ask('PUT', `/api/lathes/${id}`, { lathe: { ...lathe, spindle } });
    expect(saved.body).toMatchObject({ lathe: { revision: 2 } });
    const late = await shop.ask('PUT', `/api/lathes/${id}`, { lathe: { ...lathe, name: 'late' } });
    expect(codes(late)).toEqual([409, 'save.stale']);
    expect(late.body).toMatchObject({ mine: { name: 'late' }, theirs: { revision: 2 } });
    expect((await load(id)).revisions.map((r) => r.revision)).toEqual([2, 1]);
    const before = JSON.parse((await shop.ask('GET', `/api/lathes/${id}/export?revision=1`)).text);
    expect(before.lathe).toEqual(lathe);
    expect((await shop.ask('GET', `/api/lathes/${id}/export?revision=9`)).status).toBe(404);
  });
  it('is refused when it is at odds with itself, by path', async () => {
    const { lathe } = await load(await idOf('the Long one'));
    const bad = { ...lathe, sizes: { ...lathe.sizes, swingOverBedMm: 20 } };
    const refused = await shop.ask('PUT', `/api/lathes/${lathe.id}`, { lathe: bad });
    expect(codes(refused)).toEqual([400, 'lathe.swingReversed']);
    expect(refused.body.problems![0]).toMatchObject({
      path: ['sizes', 'swingOverCrossSlideMm'],
      right: 'At most 20 mm.',
    });
    expect(codes(await shop.ask('PUT', `/api/lathes/${lathe.id}`, { lathe: { ...lathe, schema: 3 } }))[0]).toBe(400);
    expect((await load(lathe.id)).lathe).toEqual(lathe);
    expect((await shop.ask('POST', '/api/lathes', { name: ' ', pattern: 'geared' })).status).toBe(400);
    expect((await shop.ask('GET', `/api/lathes/${crypto.randomUUID()}`)).status).toBe(404);
  });
  it('is copied, exported and imported with its calibrations, under ids of its own', async () => {
    const grey = await idOf('the Grey');
    await shop.ask('POST', `/api/lathes/${grey}/calibrations`, {
      calibration: calibration(grey, { kind: 'speed', spindleAt: { belt: '1', backGear: 'out' }, rpms: [226, 228] }),
    });
    const slot = 'speed:backGear=out;belt=1';
    const { calibrations } = await load(grey);
    await shop.ask('PUT', `/api/lathes/${grey}/in-force`, { slot, id: calibrations[0]!.id });
    const first = await shop.ask('GET', `/api/lathes/${grey}/export`);
    expect(first.headers.get('content-disposition')).toMatch(/^attachment;.*Grey/);
    const imported = await shop.ask('POST', '/api/lathes/import', JSON.parse(first.text));
    expect(imported.status).toBe(201);
    const back = await load(imported.body.id as string);
    expect(back.lathe.inForce).toEqual({ [slot]: back.calibrations[0]!.id });
    const bare = (text: string) => {
      const { exportedAt: _at, lathe, calibrations: all } = JSON.parse(text);
      const { id: _id, revision: _r, inForce, ...rest } = lathe;
      return {
        rest,
        slots: Object.keys(inForce),
        all: all.map(({ id: _i, latheId: _l, ...c }: Record<string, unknown>) => c),
      };
    };
    expect(bare((await shop.ask('GET', `/api/lathes/${back.lathe.id}/export`)).text)).toEqual(bare(first.text));
    const copy = await shop.ask('POST', '/api/lathes', { name: 'Grey, as it was', copyOf: grey });
    expect((await load(copy.body.id as string)).lathe).toMatchObject({ name: 'Grey, as it was', inForce: {} });
    expect(codes(await shop.ask('POST', '/api/lathes/import', { format: 'whelk.job' }))).toEqual([
      400,
      'file.notALathe',
    ]);
    expect(codes(await shop.ask('DELETE', `/api/lathes/${grey}`))).toEqual([409, 'record.inUse']);
    expect((await shop.ask('DELETE', `/api/lathes/${back.lathe.id}`)).status).toBe(200);
    expect((await shop.ask('GET', `/api/lathes/${back.lathe.id}`)).status).toBe(404);
  });
});

describe('calibrations', () => {
  it('are kept as read, come into force when they are put so, and change what jobs are planned with', async () => {
    const id = await idOf('the Long one');
    const before = await load(id);
    const found = calibration(id, {
      kind: 'feed',
      feedAt: { box: 'B', knob: '1' },
      rpm: 155,
      seconds: 60,
      distance: { text: '34.1', unit: 'mm' },
    });
    expect((await shop.ask('POST', `/api/lathes/${id}/calibrations`, { calibration: found })).status).toBe(201);
    expect(codes(await shop.ask('POST', `/api/lathes/${id}/calibrations`, { calibration: found }))).toEqual([
      409,
      'calibration.already',
    ]);
    const home = (await shop.ask('GET', '/')).text;
    const job = /\/jobs\/([0-9a-f-]{36})\/drawing"[^>]*>Winding spindle/.exec(home)![1]!;
    const slot = 'feed:box=B;knob=1';
    const { body } = await shop.ask('PUT', `/api/lathes/${id}/in-force`, { slot, id: found.id });
    expect(body).toMatchObject({ lathe: { revision: before.lathe.revision + 1, inForce: { [slot]: found.id } } });
    const after = await load(id);
    // the description itself says what it said
    expect({ ...after.lathe, revision: 0, inForce: {} }).toEqual({ ...before.lathe, revision: 0, inForce: {} });
    expect(after.calibrations).toEqual([found]);
    const file = JSON.parse((await shop.ask('GET', `/api/jobs/${job}/export`)).text);
    expect(file.lathe.feeds.settings).toContainEqual({ kind: 'measured', at: { box: 'B', knob: '1' }, mmPerRev: 0.22 });
    await shop.ask('PUT', `/api/lathes/${id}/in-force`, { slot, id: null });
    expect((await load(id)).lathe.inForce).toEqual({});
    expect(codes(await shop.ask('PUT', `/api/lathes/${id}/in-force`, { slot: 'spring', id: found.id }))).toEqual([
      404,
      'not.found',
    ]);
  });
  it('that say nothing are refused', async () => {
    const id = await idOf('the Small one');
    const feed = { kind: 'feed', feedAt: {}, rpm: 100, seconds: 10, distance: { text: '3', unit: 'mm' } };
    expect(
      codes(await shop.ask('POST', `/api/lathes/${id}/calibrations`, { calibration: calibration(id, feed) })),
    ).toEqual([400, 'calibration.noSetting']);
  });
});

describe('the speed card', () => {
  it('is kept as PDF with its own letters, and as SVG, for the materials asked for', async () => {
    const id = await idOf('the Grey');
    const pdf = await fetch(`${shop.url}/api/lathes/${id}/card.pdf?tool=hss&materials=gunmetal`);
    expect(pdf.headers.get('content-type')).toBe('application/pdf');
    expect(pdf.headers.get('content-disposition')).toMatch(/^attachment/);
    const bytes = Buffer.from(await pdf.arrayBuffer()).toString('latin1');
    expect(bytes.startsWith('%PDF-')).toBe(true);
    expect(bytes.match(/\/Type \/Page\b/g)).toHaveLength(1);
    expect(bytes).toContain('/FontFile2');
    expect(bytes).toContain('/MediaBox [0 0 841.8');
    const svg = (await shop.ask('GET', `/api/lathes/${id}/card.svg?tool=coated&materials=gunmetal`)).text;
    expect(svg).toContain('>Gunmetal<');
    expect(svg).toContain('carbide insert, coated, roughing');
    expect(svg).not.toContain('Low-carbon');
    expect(codes(await shop.ask('GET', `/api/lathes/${id}/card.svg?materials=unobtainium`))).toEqual([
      404,
      'not.found',
    ]);
  });
});

describe('the grinding sheet', () => {
  it('is kept as PDF and SVG, and only of what there is', async () => {
    const svg = (await shop.ask('GET', '/api/grinding.svg?material=brass&shape=rougher')).text;
    expect(svg).toContain('free-cutting brass');
    expect(svg).toContain('no rake');
    const pdf = await fetch(`${shop.url}/api/grinding.pdf?material=brass&shape=rougher`);
    expect(
      Buffer.from(await pdf.arrayBuffer())
        .toString('latin1')
        .startsWith('%PDF-'),
    ).toBe(true);
    expect((await shop.ask('GET', '/api/grinding.svg?material=brass&shape=spoon')).status).toBe(404);
    expect((await shop.ask('GET', '/api/grinding.exe?material=brass&shape=rougher')).status).toBe(404);
  });
});

describe('the lathe as it stands', () => {
  it('is corrected by hand, and a run begins from it and leaves it changed', async () => {
    const id = await idOf('the Grey');
    const { stand, lathe } = await load(id);
    expect(stand.controls).toEqual({});
    const home = (await shop.ask('GET', '/')).text;
    const job = /\/jobs\/([0-9a-f-]{36})\/drawing"[^>]*>Old stud/.exec(home)![1]!;
    const stood = { ...stand, controls: { belt: '1', backGear: 'out', train: 'fine', gone: 'x' } };
    const { body } = await shop.ask('PUT', `/api/lathes/${id}/stand`, { stand: stood });
    // what the lathe has not, it cannot stand in
    expect(body).toMatchObject({ stand: { controls: { belt: '1', backGear: 'out', train: 'fine' } } });
    const run = (await shop.ask('POST', `/api/jobs/${job}/runs`, { piece: 1 })).body.id as string;
    const frozen = JSON.parse((await shop.ask('GET', `/api/jobs/${job}/export`)).text).runs[0].frozen;
    expect(frozen.stand.controls).toEqual({ belt: '1', backGear: 'out', train: 'fine' });
    expect(frozen.means.lathe.revision).toBe(lathe.revision);
    const face = frozen.steps.findIndex((s: { kind: string }) => s.kind === 'face');
    const device = crypto.randomUUID();
    const parents: string[] = [];
    for (const [i, step] of frozen.steps.slice(0, face + 1).entries()) {
      const event = {
        schema: 1,
        id: crypto.randomUUID(),
        runId: run,
        piece: 1,
        device,
        seq: i + 1,
        parents: parents.slice(-1),
        at: '2026-01-12T09:00:00.000Z',
        kind: 'done',
        stepId: step.id,
      };
      parents.push(event.id);
      await shop.ask('POST', `/api/runs/${run}/events`, { events: [event] });
    }
    const left = (await load(id)).stand;
    expect(left.controls).toEqual({ train: 'fine', ...frozen.steps[face].setting.speedAt });
    expect(left.toolId).toBe(frozen.steps[face].toolId);
  });
});

describe('spring that is forgotten', () => {
  it('stays so when a page that was open before says how the lathe stands', async () => {
    const id = /\/lathes\/([0-9a-f-]{36})"/.exec((await shop.ask('GET', '/lathes')).text)![1]!;
    const stand = {
      ...{ schema: 1, controls: {}, chuckId: null, toolId: null, setOverMm: 0, compoundDeg: 0, direction: 'stopped' },
      locks: { carriage: false, crossSlide: false, compound: false, quill: false, tailstock: false },
      slides: { crossSlide: '', carriage: '', compound: '' },
    };
    expect((await shop.ask('POST', `/api/lathes/${id}/forget-spring`, {})).status).toBe(200);
    const kept = await shop.ask('PUT', `/api/lathes/${id}/stand`, { stand });
    expect([kept.status, kept.body.stand]).toEqual([
      200,
      expect.objectContaining({ springForgottenAt: expect.stringMatching(/^\d{4}-/) }),
    ]);
  });
});
