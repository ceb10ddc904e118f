import { request } from 'node:http';
import { patternDrawing } from '@whelk/core/part';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TestShop } from './support/shop.ts';

let shop: TestShop;
beforeAll(async () => {
  shop = await new TestShop().start('demo', { ownCluster: true });
});
afterAll(() => shop.end());

const create = async (title: string): Promise<string> =>
  ((await shop.ask('POST', '/api/jobs', { title })).body as { id: string }).id;
const load = async (id: string) =>
  (await shop.ask('GET', `/api/jobs/${id}`)).body as unknown as {
    job: Record<string, unknown> & { title: string; drawing: { features: unknown[] } };
    version: number;
    revision: number;
  };
const codes = (answer: Awaited<ReturnType<TestShop['ask']>>) => [answer.status, answer.body.problems?.[0]?.code];
const demoJob = async (title: string): Promise<string> =>
  new RegExp(`/jobs/([0-9a-f-]{36})/drawing"[^>]*>${title}<`).exec((await shop.ask('GET', '/')).text)![1]!;

describe('jobs', () => {
  it('are made, loaded, saved over their version, and folded into one revision', async () => {
    const id = await create('Test bush');
    const { job, version } = await load(id);
    const saved = await shop.ask('PUT', `/api/jobs/${id}`, { version, job: { ...job, title: 'Test pin' } });
    expect(saved).toMatchObject({ status: 200, body: { version: 2, revision: 1 } });
    expect((await load(id)).job.title).toBe('Test pin');
  });
  it('refuse a stale save with both versions, and lose neither', async () => {
    const id = await create('Contested');
    const { job, version } = await load(id);
    await shop.ask('PUT', `/api/jobs/${id}`, { version, job: { ...job, title: 'first' } });
    const stale = await shop.ask('PUT', `/api/jobs/${id}`, { version, job: { ...job, title: 'second' } });
    expect(codes(stale)).toEqual([409, 'save.stale']);
    expect(stale.body).toMatchObject({ mine: { title: 'second' }, theirs: { title: 'first' }, theirVersion: 2 });
    expect((await load(id)).job.title).toBe('first');
  });
  it('lets exactly one of many simultaneous saves win', async () => {
    const id = await create('Race');
    const { job, version } = await load(id);
    const results = await Promise.all(
      Array.from({ length: 8 }, (_, i) =>
        shop.ask('PUT', `/api/jobs/${id}`, { version, job: { ...job, title: `racer ${i}` } }),
      ),
    );
    expect(results.filter((r) => r.status === 200)).toHaveLength(1);
    expect(results.filter((r) => r.status === 409)).toHaveLength(7);
  });
  it('are duplicated, archived, deleted and brought back', async () => {
    const id = await create('Here today');
    const copy = ((await shop.ask('POST', `/api/jobs/${id}/duplicate`)).body as { id: string }).id;
    expect((await load(copy)).job.title).toBe('Here today, copy');
    await shop.ask('POST', `/api/jobs/${id}/archive`);
    expect((await shop.ask('GET', '/?find=Here+today')).text).toContain(copy);
    expect((await shop.ask('GET', '/?archived=1')).text).toContain(id);
    await shop.ask('DELETE', `/api/jobs/${copy}`);
    expect((await shop.ask('GET', `/api/jobs/${copy}`)).status).toBe(404);
    await shop.ask('POST', `/api/jobs/${copy}/undelete`);
    expect((await shop.ask('GET', `/api/jobs/${copy}`)).status).toBe(200);
  });
  it('are found by their title, whose signs mean themselves', async () => {
    await create('100 % brass_pin');
    expect((await shop.ask('GET', '/?find=%25+brass_')).text).toContain('100 % brass_pin');
    expect((await shop.ask('GET', '/?find=%25%25')).text).not.toContain('100 % brass_pin');
  });
});

describe('runs', () => {
  it('freeze the plan, take events once, and follow the end that the events say', async () => {
    const id = await demoJob('Gland follower blank');
    const started = await shop.ask('POST', `/api/jobs/${id}/runs`, { piece: 1 });
    const runId = (started.body as { id: string }).id;
    expect(started.status).toBe(201);
    expect(await shop.ask('POST', `/api/jobs/${id}/runs`, { piece: 1 })).toMatchObject({
      status: 200,
      body: { id: runId, already: true },
    });
    const event = {
      schema: 1,
      id: crypto.randomUUID(),
      runId,
      piece: 1,
      device: crypto.randomUUID(),
      seq: 1,
      parents: [],
      at: new Date().toISOString(),
      kind: 'done',
      stepId: 'mount',
    };
    const send = async (...events: unknown[]) =>
      (await shop.ask('POST', `/api/runs/${runId}/events`, { events })).body as {
        taken: string[];
        refused: { id: string; problems: { code: string; path: string[]; what: string }[] }[];
      };
    expect(await send(event)).toEqual({ taken: [event.id], refused: [] });
    expect((await send(event, event)).taken).toEqual([event.id, event.id]);
    // each is looked at by itself: what cannot be taken holds none of the others up
    const note = (seq: number, text: unknown) => {
      const { stepId, ...rest } = event;
      return { ...rest, schema: 2, id: crypto.randomUUID(), seq, kind: 'note', stepId, text };
    };
    const [long, good, clash] = [
      note(7, 'x'.repeat(2001)),
      note(8, 'half \uD83D, nul \0'),
      { ...event, id: crypto.randomUUID() },
    ];
    const answered = await send(long, good, clash, 'nonsense');
    expect(answered.taken).toEqual([good.id]);
    expect(answered.refused.map((r) => [r.id, r.problems[0]!.code])).toEqual([
      [long.id, 'input.tooBig'],
      ['', 'input.invalid'],
      [clash.id, 'run.sameSequence'],
    ]);
    expect(answered.refused.every((r) => r.problems[0]!.what.length > 5)).toBe(true);
    const kept = (await shop.ask('GET', `/api/runs/${runId}/events`)).body as unknown as {
      events: { text?: string }[];
    };
    expect(kept.events.find((e) => e.text)?.text).toBe('half \uFFFD, nul \uFFFD');
    const { version, job } = await load(id);
    await shop.ask('PUT', `/api/jobs/${id}`, { version, job: { ...job, drawing: { ...job.drawing, features: [] } } });
    expect((await shop.ask('GET', `/runs/${runId}`)).text).toContain('Gland follower blank');
    const end = {
      ...event,
      id: crypto.randomUUID(),
      seq: 2,
      parents: [event.id],
      kind: 'ended',
      outcome: 'stopped',
      reason: '',
    } as Record<string, unknown>;
    delete end.stepId;
    await shop.ask('POST', `/api/runs/${runId}/events`, { events: [end] });
    expect(codes(await shop.ask('POST', `/api/jobs/${id}/runs`, { piece: 1 }))).toEqual([409, 'run.planMissing']);
    await shop.ask('PUT', `/api/jobs/${id}`, { version: version + 1, job });
  });
  it('tell how a size and a setting in the log came about', async () => {
    const page = (await shop.ask('GET', '/log')).text;
    const runId = /\/runs\/([0-9a-f-]{36})"[^>]*>Winding spindle/.exec(page)![1]!;
    const tells = async (of: string) =>
      JSON.stringify((await shop.ask('GET', `/api/runs/${runId}/working/${of}`)).body.steps);
    // the collar's measurement, and the cut before it
    expect(await tells('f2-after')).toMatch(/mean of \d+/);
    expect(await tells('f2-after')).toContain('ISO 14253-1');
    expect(await tells('f2-rough')).toContain('Cutting speed');
    expect(codes(await shop.ask('GET', `/api/runs/${runId}/working/nothing`))).toEqual([404, 'not.found']);
  });
  it('give their readings as CSV, formulas disarmed', async () => {
    const page = (await shop.ask('GET', '/log')).text;
    const runId = /\/runs\/([0-9a-f-]{36})"[^>]*>Winding spindle/.exec(page)![1]!;
    const csv = await shop.ask('GET', `/api/runs/${runId}/readings.csv`);
    expect(csv.headers.get('content-disposition')).toMatch(/^attachment;/);
    expect(csv.text.split('\r\n')[0]).toContain('size mm');
    expect(csv.text).toContain('Collar');
  });
});

describe('a route as files', () => {
  it('goes out as a traveller, a table and data; what is not planned says so', async () => {
    const id = await demoJob('Guide roller axles');
    const pdf = await shop.ask('GET', `/api/jobs/${id}/traveller.pdf`);
    expect([pdf.status, pdf.headers.get('content-type')]).toEqual([200, 'application/pdf']);
    expect(pdf.text.startsWith('%PDF-')).toBe(true);
    expect(pdf.headers.get('content-disposition')).toContain('traveller.pdf');
    const csv = (await shop.ask('GET', `/api/jobs/${id}/route.csv`)).text.split('\r\n');
    expect(csv[0]).toContain('holding,number,operation,kind');
    const told = JSON.parse((await shop.ask('GET', `/api/jobs/${id}/route.json`)).text);
    const operations = told.setups.flatMap((s: { operations: unknown[] }) => s.operations);
    expect(csv).toHaveLength(1 + operations.length);
    expect(operations.length).toBeGreaterThan(20);
    const made = await shop.ask('POST', '/api/jobs', { title: 'Not begun' });
    const empty = (made.body as { id: string }).id;
    expect((await shop.ask('GET', `/api/jobs/${empty}/traveller.pdf`)).status).toBe(400);
  });
});

describe('export and import', () => {
  it('brings a job back with new ids and exports the same again but for ids and dates', async () => {
    const id = await demoJob('Winding spindle, gate 3');
    const first = JSON.parse((await shop.ask('GET', `/api/jobs/${id}/export`)).text);
    const imported = await shop.ask('POST', '/api/jobs/import', first);
    expect(imported.status).toBe(201);
    const again = JSON.parse((await shop.ask('GET', `/api/jobs/${(imported.body as { id: string }).id}/export`)).text);
    const plain = (file: { runs: { id: string; events: { id: string }[] }[] }) => {
      const ids = new Map<string, string>();
      for (const [r, run] of file.runs.entries()) {
        ids.set(run.id, `run ${r}`);
        for (const [e, event] of run.events.entries()) ids.set(event.id, `event ${r} ${e}`);
      }
      return JSON.parse(JSON.stringify({ ...file, exportedAt: '' }), (_k, v) =>
        typeof v === 'string' ? (ids.get(v) ?? v) : v,
      );
    };
    expect(first.runs[0].events.length).toBeGreaterThan(10);
    expect(plain(again)).toEqual(plain(first));
    expect(again.runs[0].id).not.toBe(first.runs[0].id);
  });
  it('refuses what is not a job file, or a newer one', async () => {
    expect(codes(await shop.ask('POST', '/api/jobs/import', { hello: 1 }))).toEqual([400, 'file.unknown']);
    expect(codes(await shop.ask('POST', '/api/jobs/import', { format: 'whelk.job', schema: 2 }))).toEqual([
      400,
      'file.newer',
    ]);
    expect((await shop.ask('POST', '/api/jobs/import', { format: 'whelk.job', schema: 1 })).status).toBe(400);
  });
  it('takes no plan that could not be shown: the log stays readable whatever is imported', async () => {
    const good = JSON.parse(
      (await shop.ask('GET', `/api/jobs/${await demoJob('Winding spindle, gate 3')}/export`)).text,
    );
    const broken = [
      (f: typeof good) => {
        f.runs[0].frozen.piece.part = {};
      },
      (f: typeof good) => {
        f.runs[0].frozen.steps[3].kind = 'dance';
      },
      (f: typeof good) => {
        f.runs[0].frozen.steps[7].featureId = 'f99';
      },
      (f: typeof good) => {
        f.runs[0].frozen.means.lathe.slides.crossSlide.divisions = 0;
      },
      (f: typeof good) => {
        f.runs[0].frozen.plan.held = null;
      },
      (f: typeof good) => {
        f.runs[0].events[2].kind = 'explode';
      },
      (f: typeof good) => {
        f.runs[0].events = Array(20_001).fill(f.runs[0].events[0]);
      },
    ];
    for (const [i, change] of broken.entries()) {
      const file = structuredClone(good);
      change(file);
      const answer = await shop.ask('POST', '/api/jobs/import', file);
      expect([i, answer.status, answer.body.problems?.[0]?.path[0]]).toEqual([i, 400, 'runs']);
    }
    expect((await shop.ask('GET', '/log')).status).toBe(200);
  });
  it('gives the drawing as an SVG attachment with the title escaped', async () => {
    const id = await create('<script>alert(1)</script> & "x"');
    const { job, version } = await load(id);
    const drawn = { ...job, drawing: patternDrawing('washer', 'mm') };
    expect((await shop.ask('PUT', `/api/jobs/${id}`, { version, job: drawn })).status).toBe(200);
    const svg = await shop.ask('GET', `/api/jobs/${id}/drawing.svg`);
    expect(svg.headers.get('content-disposition')).toMatch(/^attachment;/);
    expect(svg.text).not.toContain('<script>');
    expect(svg.text).toContain('&lt;script&gt;');
  });
});

describe('bad input and defence', () => {
  const raw = (headers: Record<string, string>, path = '/api/health', method = 'GET'): Promise<number> =>
    new Promise((resolve, reject) => {
      const req = request({ port: shop.port, host: '127.0.0.1', path, method, headers }, (res) => {
        res.resume();
        resolve(res.statusCode ?? 0);
      });
      req.once('error', reject);
      req.end();
    });
  it('answers problems with what, where and what would be right', async () => {
    const answer = await shop.ask('POST', '/api/jobs', { title: '' });
    expect(answer.status).toBe(400);
    expect(answer.body.problems?.[0]).toMatchObject({ code: 'input.tooSmall', path: ['title'] });
    expect(answer.body.problems?.[0]?.right).toMatch(/At least/);
  });
  it.each([
    ['{', 400, 'input.notJson'],
    ['['.repeat(40) + ']'.repeat(40), 400, 'input.tooDeep'],
    [`{"title":"${'x'.repeat(1_100_000)}"}`, 413, 'input.tooLarge'],
    ['{"title":"ok","more":1}', 400, 'input.unknownKey'],
    ['null', 400, 'input.wrongType'],
  ])('refuses the body %.20s', async (body, status, code) => {
    expect(codes(await shop.ask('POST', '/api/jobs', body))).toEqual([status, code]);
  });
  it('hears why a body without a length was refused as too large', async () => {
    const stream = new ReadableStream({
      start(controller) {
        for (let i = 0; i < 40; i++) controller.enqueue(new TextEncoder().encode('x'.repeat(50_000)));
        controller.close();
      },
    });
    const response = await fetch(`${shop.url}/api/jobs`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: stream,
      duplex: 'half',
    } as RequestInit);
    expect(response.status).toBe(413);
  });
  it('takes only JSON, only known places, only ids', async () => {
    expect(
      codes(
        await shop.ask('POST', '/api/jobs', 'title=x', {
          'content-type': 'text/plain',
          'sec-fetch-site': 'same-origin',
        }),
      ),
    ).toEqual([415, 'input.notJsonType']);
    expect(codes(await shop.ask('GET', '/api/nowhere'))).toEqual([404, 'not.found']);
    expect(codes(await shop.ask('GET', "/api/jobs/1'%20or%201=1"))).toEqual([404, 'not.found']);
    expect((await shop.ask('GET', '/jobs/nonsense/drawing')).status).toBe(404);
    expect(codes(await shop.ask('PUT', '/api/records/constructor', { record: {} }))).toEqual([404, 'not.found']);
  });
  it('holds features to 200 and events to 500 a post', async () => {
    const id = await create('Too much');
    const { job, version } = await load(id);
    const feature = {
      id: 'f1',
      kind: 'cylinder',
      name: '',
      diameter: { text: '1', unit: 'mm' },
      limits: '',
      length: { text: '1', unit: 'mm' },
      lengthLimits: '',
      finish: '',
      faceFinish: '',
      edges: { left: '', right: '' },
    };
    const many = {
      ...job,
      drawing: { ...job.drawing, features: Array.from({ length: 201 }, (_, i) => ({ ...feature, id: `f${i}` })) },
    };
    expect(codes(await shop.ask('PUT', `/api/jobs/${id}`, { version, job: many }))).toEqual([400, 'input.tooBig']);
    expect(
      (
        await shop.ask('POST', `/api/runs/${crypto.randomUUID()}/events`, {
          events: Array.from({ length: 501 }, () => ({})),
        })
      ).status,
    ).toBe(400);
  });
  it('refuses foreign hosts and requests from other sites', async () => {
    expect(await raw({ host: 'evil.example' })).toBe(403);
    expect(await raw({ host: `127.0.0.1:${shop.port}` })).toBe(200);
    expect((await shop.ask('POST', '/api/jobs', { title: 'x' }, { origin: 'https://evil.example' })).status).toBe(403);
    expect((await shop.ask('POST', '/api/jobs', { title: 'x' }, { 'sec-fetch-site': 'cross-site' })).status).toBe(403);
    expect(
      (await shop.ask('POST', '/api/jobs', { title: 'x' }, { origin: shop.url, 'sec-fetch-site': 'same-origin' }))
        .status,
    ).toBe(201);
  });
  it('sends a strict policy with hashes, no sniffing, no framing', async () => {
    const page = await shop.ask('GET', '/');
    const policy = page.headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).toMatch(/script-src 'self' 'sha256-/);
    expect(policy).not.toContain('unsafe');
    expect(page.headers.get('x-content-type-options')).toBe('nosniff');
    expect((await shop.ask('GET', '/api/health')).headers.get('x-content-type-options')).toBe('nosniff');
  });
  it('calculates like the command line, and refuses like it', async () => {
    expect(
      (await shop.ask('POST', '/api/calc/limit.shaft', { nominalMm: 28, letter: 'h', grade: 7 })).body,
    ).toMatchObject({ result: { lowerUm: -21 } });
    expect(
      codes(await shop.ask('POST', '/api/calc/limit.shaft', '{"nominalMm":28,"letter":"h","grade":7,"__proto__":{}}')),
    ).toEqual([400, 'input.unknownKey']);
    expect(codes(await shop.ask('POST', '/api/calc/constructor', {}))).toEqual([404, 'calc.unknown']);
  });
  it('keeps records that jobs use, and takes good ones only', async () => {
    const { job } = await load(await demoJob('Winding spindle, gate 3'));
    const barId = (job.stock as { barId: string }).barId;
    expect(codes(await shop.ask('DELETE', '/api/records/bar', { id: barId }))).toEqual([409, 'record.inUse']);
    expect((await shop.ask('PUT', '/api/records/bar', { record: { id: barId } })).status).toBe(400);
  });
});

describe('when the database goes away', () => {
  it('says so with 503, and goes on when it is back', async () => {
    const id = await create('Still here');
    shop.cluster.stop('immediate');
    expect(codes(await shop.ask('GET', `/api/jobs/${id}`))).toEqual([503, 'database.away']);
    const page = await shop.ask('GET', '/');
    expect([page.status, page.text.includes('The database does not answer')]).toEqual([503, true]);
    await shop.cluster.start({ fast: true });
    // a connection that died with it may still be answered for once
    await expect.poll(async () => (await load(id)).job?.title, { timeout: 5000 }).toBe('Still here');
  });
});
