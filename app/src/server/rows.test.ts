import { newJob, usualSettings } from '@whelk/core/job';
import { describe, expect, it } from 'vitest';
import firstRun from '../../../core/src/run/upgrade/fixtures/first-run.json' with { type: 'json' };
import { answer, attachment, guarded, notFound, Refused } from './answer.ts';
import { isAway } from './db/connection.ts';
import { toDomain, toRow } from './jobs/rows.ts';
import { idOf } from './params.ts';
import { toRun, toSummary } from './runs/rows.ts';
import { isListedKind } from './shop/rows.ts';

const now = new Date('2026-01-12T09:00:00.000Z');

describe('rows', () => {
  it('become jobs and come back the same', () => {
    const job = newJob('Pin', 'in', usualSettings);
    const row = toRow(job);
    const stored = toDomain({
      id: 'x',
      ...row,
      document: JSON.parse(row.document),
      version: 2,
      revision: 1,
      updated_at: now,
      archived_at: now,
      deleted_at: null,
    });
    expect(stored).toEqual({ id: 'x', job, version: 2, revision: 1, updatedAt: now.toISOString(), archived: true });
    expect(() =>
      toDomain({
        id: 'x',
        ...row,
        document: { schema: 99 },
        version: 1,
        revision: 1,
        updated_at: now,
        archived_at: null,
        deleted_at: null,
      }),
    ).toThrow();
  });
  it('become runs with the time at which each event arrived', () => {
    const row = {
      id: 'r',
      job_id: 'j',
      piece: 2,
      setup: 3,
      frozen: firstRun.frozen,
      started_at: now,
      ended_at: null,
      outcome: null,
      step_index: 4,
      step_count: 9,
    };
    const run = toRun(row, [
      { id: 'e', run_id: 'r', device: 'd', seq: 1, body: { schema: 2, kind: 'note' }, received_at: now },
    ]);
    expect(run).toMatchObject({
      jobId: 'j',
      piece: 2,
      endedAt: null,
      frozen: { schema: 3, piece: { part: { tail: 'right' } } },
      events: [{ kind: 'note', receivedAt: now.toISOString() }],
    });
    expect(toSummary(row)).toEqual({
      id: 'r',
      jobId: 'j',
      piece: 2,
      setup: 3,
      open: true,
      outcome: null,
      stepIndex: 4,
      stepCount: 9,
      startedAt: now.toISOString(),
    });
  });
  it('know only their own kinds and ids', () => {
    expect([isListedKind('bar'), isListedKind('toString'), isListedKind(undefined)]).toEqual([true, false, false]);
    expect(() => idOf("1' or 1=1")).toThrow(Refused);
    expect(idOf('00000000-0000-4000-8000-000000000001')).toHaveLength(36);
  });
});

describe('answers', () => {
  const status = async (error: unknown) => {
    const response = await guarded(() => Promise.reject(error));
    return [response.status, ((await response.json()) as { problems: { code: string }[] }).problems[0]!.code];
  };
  it('tell refusals, a database away or full, and nothing of the inside', async () => {
    expect(await status(notFound())).toEqual([404, 'not.found']);
    expect(await status(Object.assign(new Error('x'), { code: 'ECONNREFUSED' }))).toEqual([503, 'database.away']);
    expect(await status(Object.assign(new Error('x'), { code: '53100' }))).toEqual([503, 'database.full']);
    const response = await guarded(() => Promise.reject(notFound()));
    expect(await response.text()).not.toContain('.ts');
  });
  it.each([
    [{ code: '57P01' }, true],
    [{ code: '08006' }, true],
    [{ name: 'KnexTimeoutError' }, true],
    [{ message: 'Connection terminated unexpectedly' }, true],
    [{ code: '23505' }, false],
    [{ code: '42P01' }, false],
    [null, false],
  ])('an error like %j is away: %s', (error, away) => {
    expect(isAway(error)).toBe(away);
  });
  it('name attachments without anything that could end a header', () => {
    const name = attachment('x', 'text/csv', 'a"b\r\nSet-Cookie: x/../Ø28.csv').headers.get('content-disposition')!;
    expect(name).toMatch(/^attachment; filename="[\x20-\x21\x23-\x7e]*"; filename\*=UTF-8''[\w%.-]*$/);
    expect(name).toContain('%C3%9828.csv');
    expect(attachment('x', 'text/csv', '///').headers.get('content-disposition')).toContain('filename="whelk"');
    expect(answer({ a: 1 }, 201).headers.get('cache-control')).toBe('no-store');
  });
});
