import { type Job, jobSchema } from '@whelk/core/job';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ask } from '../../ui/api.ts';
import { dropDraft, keepDraft, readDraft } from './draft.ts';

export type SaveState = 'saved' | 'typing' | 'saving' | 'held' | 'away' | 'conflict' | 'gone';
interface Conflict {
  readonly theirs: Job;
  readonly version: number;
}
/** Text of a document that does not depend on the order in which its keys were written. */
const plain = (job: Job) =>
  JSON.stringify(job, (_key, value) =>
    value && typeof value === 'object' && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
export const same = (a: Job, b: Job) => a === b || plain(a) === plain(b);
const PAUSE_MS = 700;
const RETRY_MS = 3000;
/** A job that is saved after a pause, with a draft in the browser meanwhile, and both versions when somebody else saved first. */
export function useSaving(id: string, initial: { job: Job; version: number; revision: number }) {
  const [job, setJob] = useState(initial.job);
  const [revision, setRevision] = useState(initial.revision);
  const [state, setState] = useState<SaveState>('saved');
  const [conflict, setConflict] = useState<Conflict>();
  const now = useRef({
    job: initial.job,
    version: initial.version,
    saved: initial.job,
    sent: undefined as Job | undefined,
    busy: false,
  });
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const save = useCallback(async () => {
    const mine = now.current.job;
    if (now.current.busy) return;
    if (same(mine, now.current.saved)) {
      dropDraft(id);
      return setState('saved');
    }
    if (!jobSchema.safeParse(mine).success) return setState('held');
    now.current.busy = true;
    const before = now.current.sent;
    now.current.sent = mine;
    keepDraft(id, { version: now.current.version, job: mine, sent: mine });
    setState('saving');
    const result = await ask<{ version: number; revision: number }>('PUT', `/api/jobs/${id}`, {
      version: now.current.version,
      job: mine,
    });
    now.current.busy = false;
    if (result.ok) {
      now.current.version = result.data.version;
      now.current.saved = mine;
      setRevision(result.data.revision);
      if (same(now.current.job, mine)) {
        dropDraft(id);
        setState('saved');
      } else {
        keepDraft(id, { version: now.current.version, job: now.current.job, sent: mine });
        timer.current = setTimeout(save, PAUSE_MS);
      }
    } else if (result.status === 409) {
      const theirs = result.body.theirs as Job;
      const version = result.body.theirVersion as number;
      // a save of our own whose answer was lost, by a reload or a cut line, is no conflict
      if (same(theirs, mine) || (before && same(theirs, before))) {
        now.current.version = version;
        now.current.saved = theirs;
        setState('typing');
        timer.current = setTimeout(save, 50);
        return;
      }
      setConflict({ theirs, version });
      setState('conflict');
    } else if (result.status === 503) {
      setState('away');
      timer.current = setTimeout(save, RETRY_MS);
    } else setState(result.status === 404 ? 'gone' : 'held');
  }, [id]);

  const put = useCallback(
    (next: Job) => {
      now.current.job = next;
      setJob(next);
      keepDraft(id, { version: now.current.version, job: next, sent: now.current.sent });
      setState((s) => (s === 'conflict' || s === 'away' || s === 'gone' ? s : 'typing'));
      clearTimeout(timer.current);
      timer.current = setTimeout(save, PAUSE_MS);
    },
    [id, save],
  );

  useEffect(() => {
    const draft = readDraft(id);
    if (draft && !same(draft.job, initial.job)) {
      now.current.job = draft.job;
      // what was typed before the reload belongs to the version it started from: a newer one shows as a conflict
      now.current.version = draft.version;
      now.current.sent = draft.sent;
      setJob(draft.job);
      setState('typing');
      timer.current = setTimeout(save, 50);
    } else if (draft) dropDraft(id);
    const flush = () => {
      const mine = now.current.job;
      if (now.current.busy || same(mine, now.current.saved) || !jobSchema.safeParse(mine).success) return;
      keepDraft(id, { version: now.current.version, job: mine, sent: mine });
      void ask('PUT', `/api/jobs/${id}`, { version: now.current.version, job: mine }, true).then((r) => {
        if (r.ok) dropDraft(id);
      });
    };
    addEventListener('pagehide', flush);
    return () => {
      removeEventListener('pagehide', flush);
      clearTimeout(timer.current);
    };
  }, [id, initial.job, save]);

  /** Answers a conflict; theirs in the place of mine gives mine back, so that it is not lost. */
  const settle = (keep: 'mine' | 'theirs'): Job | undefined => {
    if (!conflict) return undefined;
    now.current.version = conflict.version;
    now.current.saved = conflict.theirs;
    setConflict(undefined);
    setState('typing');
    if (keep === 'mine') {
      void save();
      return undefined;
    }
    const mine = now.current.job;
    dropDraft(id);
    now.current.job = conflict.theirs;
    setJob(conflict.theirs);
    setState('saved');
    return mine;
  };
  return {
    ...{ job, revision, state, conflict, put, save, settle },
    version: () => now.current.version,
    /** the job as it is at this moment, before the page is drawn anew */
    current: useCallback(() => now.current.job, []),
  };
}
