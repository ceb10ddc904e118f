import { type Job, jobSchema, upgradeJob } from '@whelk/core/job';

/** Steps that are kept from one station to the next: a tab's storage is small. */
const MOST_KEPT = 30;
const keyOf = (id: string) => `whelk-undo.${id}`;

/** What can be undone and redone, and the job as it stood with them. */
export interface KeptSteps {
  readonly job: Job;
  readonly past: readonly Job[];
  readonly future: readonly Job[];
}

/** Keeps the steps of a job for this tab: the next station goes on with them. Without storage they end with the page. */
export function keepSteps(id: string, { job, past, future }: KeptSteps): void {
  try {
    if (past.length + future.length === 0) sessionStorage.removeItem(keyOf(id));
    else
      sessionStorage.setItem(
        keyOf(id),
        JSON.stringify({ job, past: past.slice(-MOST_KEPT), future: future.slice(-MOST_KEPT) }),
      );
  } catch {
    // full or forbidden: undoing begins anew on the next page
  }
}

/** The steps kept, when the job is still as it stood with them; none that this version cannot read. */
export function readSteps(id: string, isSame: (job: Job) => boolean): KeptSteps | undefined {
  try {
    const text = sessionStorage.getItem(keyOf(id));
    if (text === null) return undefined;
    const kept = JSON.parse(text) as KeptSteps;
    const job = upgradeJob(kept.job) as Job;
    if (!isSame(job)) return undefined;
    const readable = (jobs: readonly unknown[]) =>
      jobs.map((job) => upgradeJob(job) as Job).filter((job) => jobSchema.safeParse(job).success);
    return { job, past: readable(kept.past), future: readable(kept.future) };
  } catch {
    return undefined;
  }
}
