import type { Job } from '@whelk/core/job';
import { useCallback, useEffect, useRef, useState } from 'react';
import { keepSteps, readSteps } from './undo-store.ts';
import { same, useSaving } from './useSaving.ts';

export type { SaveState } from './useSaving.ts';

/** Changes of one field within this time undo together. */
const TOGETHER_MS = 1200;

/** A job being edited: saved as it is changed, with undo and redo, across the stations too. */
export function useJob(id: string, initial: { job: Job; version: number; revision: number }) {
  const saving = useSaving(id, initial);
  const { put, current } = saving;
  const [past, setPast] = useState<Job[]>([]);
  const [future, setFuture] = useState<Job[]>([]);
  const typing = useRef({ field: '', at: 0 });

  /** Changes the job; `field` names what is typed in, so that one word undoes as one. */
  const change = useCallback(
    (make: (job: Job) => Job, field = '') => {
      const before = current();
      const at = Date.now();
      const together = field !== '' && field === typing.current.field && at - typing.current.at < TOGETHER_MS;
      if (!together) setPast((p) => [...p.slice(-99), before]);
      typing.current.field = field;
      typing.current.at = at;
      setFuture([]);
      put(make(before));
    },
    [put, current],
  );
  const step = useCallback(
    (from: Job[], setFrom: (jobs: Job[]) => void, setTo: React.Dispatch<React.SetStateAction<Job[]>>) => {
      const target = from.at(-1);
      if (!target) return;
      // taken now: the updater may run after the change below
      const leaving = current();
      setTo((t) => [...t, leaving]);
      setFrom(from.slice(0, -1));
      typing.current.field = '';
      put(target);
    },
    [put, current],
  );

  useEffect(() => {
    // what was done at another station can be undone here
    const steps = readSteps(id, (job) => same(job, current()));
    if (!steps) return;
    setPast([...steps.past]);
    setFuture([...steps.future]);
  }, [id, current]);
  const steps = useRef({ past, future });
  steps.current = { past, future };
  useEffect(() => {
    const keep = () => keepSteps(id, { job: current(), ...steps.current });
    addEventListener('pagehide', keep);
    return () => removeEventListener('pagehide', keep);
  }, [id, current]);

  return {
    ...{ job: saving.job, revision: saving.revision, state: saving.state, conflict: saving.conflict },
    change,
    settle: (answer: 'mine' | 'theirs') => {
      const mine = saving.settle(answer);
      if (mine) setPast((p) => [...p, mine]);
    },
    version: saving.version,
    undo: past.length > 0 ? () => step(past, setPast, setFuture) : undefined,
    redo: future.length > 0 ? () => step(future, setFuture, setPast) : undefined,
    /** saves at once; used before leaving for another station */
    saveNow: saving.save,
  };
}
export type JobEditor = ReturnType<typeof useJob>;
