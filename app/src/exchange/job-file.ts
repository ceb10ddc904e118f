import type { JobFile, RunFile } from '@whelk/core/job';
import type { RunEvent } from '@whelk/core/run';

/** Ids of a file mapped to new ones, the same old id always to the same new one. */
export function renewIds(newId: () => string): (old: string) => string {
  const known = new Map<string, string>();
  return (old) => {
    const found = known.get(old) ?? newId();
    known.set(old, found);
    return found;
  };
}

function renewEvent(event: RunEvent, renew: (id: string) => string): RunEvent {
  const base = { ...event, id: renew(event.id), runId: renew(event.runId), parents: event.parents.map(renew) };
  if (base.kind === 'undone') return { ...base, eventId: renew(base.eventId) };
  if (base.kind === 'corrected' || base.kind === 'confirmed' || base.kind === 'setAside')
    return { ...base, readingId: renew(base.readingId) };
  return base;
}

/** The runs of a file with new ids for runs and events; devices and instruments keep theirs. */
export function renewRuns(runs: readonly RunFile[], renew: (id: string) => string): RunFile[] {
  return runs.map((run) => ({
    ...run,
    id: renew(run.id),
    events: run.events.map((event) => renewEvent(event, renew)),
  }));
}

/** Builds the file of one job. */
export function jobFile(parts: Omit<JobFile, 'format' | 'schema'>): JobFile {
  return { format: 'whelk.job', schema: 1, ...parts };
}
