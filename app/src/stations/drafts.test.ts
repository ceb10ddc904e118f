import { newJob, usualSettings } from '@whelk/core/job';
import { beforeEach, describe, expect, it } from 'vitest';
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
