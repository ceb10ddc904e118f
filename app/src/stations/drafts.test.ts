import { newJob, usualSettings } from '@whelk/core/job';
import type { RunEvent } from '@whelk/core/run';
import { beforeEach, describe, expect, it } from 'vitest';
import { deviceId, keepWaiting, nextSeq, readWaiting } from './cut/run/event-store.ts';
import { dropDraft, keepDraft, readDraft } from './frame/draft.ts';

/** A browser's storage as these files use it, with a full disk on demand. */
class FakeStorage {
  readonly kept = new Map<string, string>();
  full = false;
  getItem(key: string): string | null {
    return this.kept.get(key) ?? null;
  }
  setItem(key: string, value: string): void {
    if (this.full) throw new DOMException('full', 'QuotaExceededError');
    this.kept.set(key, value);
  }
  removeItem(key: string): void {
    this.kept.delete(key);
  }
}
let storage: FakeStorage;
beforeEach(() => {
  storage = new FakeStorage();
  (globalThis as { localStorage?: unknown }).localStorage = storage;
});
const job = newJob('Pin', 'mm', usualSettings);
const JOB = '00000000-0000-4000-8000-000000000001';

describe('a draft', () => {
  it('comes back as it was typed, too long or empty as well', () => {
    const typed = {
      ...job,
      title: '',
      drawing: { ...job.drawing, overall: { text: 'x'.repeat(70), unit: 'mm' as const } },
    };
    keepDraft(JOB, { version: 3, job: typed, sent: job });
    expect(readDraft(JOB)).toEqual({ version: 3, job: typed, sent: job });
    dropDraft(JOB);
    expect(readDraft(JOB)).toBeUndefined();
  });
  it.each(['', 'null', '{', '{"version":1}', '{"version":"1","job":{}}', '{"version":1,"job":{"schema":9}}', '[]'])(
    'is not taken from %s',
    (text) => {
      storage.kept.set(`whelk.job.${JOB}`, text);
      expect(readDraft(JOB)).toBeUndefined();
    },
  );
  it('does not stop typing when the storage is full', () => {
    storage.full = true;
    expect(() => keepDraft(JOB, { version: 1, job })).not.toThrow();
  });
});

describe('waiting events', () => {
  const RUN = '00000000-0000-4000-8000-000000000002';
  const event = (seq: number): RunEvent => ({
    schema: 2,
    id: `00000000-0000-4000-8000-00000000010${seq}`,
    runId: RUN,
    piece: 1,
    device: deviceId(),
    seq,
    parents: [],
    at: '2026-01-12T09:00:00.000Z',
    kind: 'done',
    stepId: 'mount',
  });
  it('come back after a reload, and are gone when they were sent', () => {
    keepWaiting(RUN, [event(1), event(2)]);
    expect(readWaiting(RUN).map((e) => e.seq)).toEqual([1, 2]);
    keepWaiting(RUN, []);
    expect(readWaiting(RUN)).toEqual([]);
    expect(storage.kept.has(`whelk.run.${RUN}`)).toBe(false);
  });
  it('are not taken from something else', () => {
    storage.kept.set(`whelk.run.${RUN}`, '[{"kind":"done"}]');
    expect(readWaiting(RUN)).toEqual([]);
    storage.kept.set(`whelk.run.${RUN}`, '{');
    expect(readWaiting(RUN)).toEqual([]);
  });
  it('count on from the highest number that this device used, here or on the server', () => {
    const device = deviceId();
    expect(deviceId()).toBe(device);
    expect(nextSeq(RUN, device, [])).toBe(1);
    expect(nextSeq(RUN, device, [])).toBe(2);
    expect(nextSeq(RUN, device, [event(7)])).toBe(8);
    expect(nextSeq(RUN, '00000000-0000-4000-8000-00000000aaaa', [event(7)])).toBe(9);
    storage.kept.set('whelk.device', 'no id');
    expect(deviceId()).toMatch(/^[0-9a-f-]{36}$/);
  });
});
