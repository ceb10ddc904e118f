import { type Job, jobSchema, upgradeJob } from '@whelk/core/job';

/** What was typed and not yet saved, kept in this browser so that a reload loses nothing, valid or not. */
export interface Draft {
  readonly version: number;
  readonly job: Job;
  /** what was last sent to be saved; its answer may never have come */
  readonly sent?: Job;
}
const key = (id: string) => `whelk.job.${id}`;

export function keepDraft(id: string, draft: Draft): void {
  try {
    localStorage.setItem(key(id), JSON.stringify(draft));
  } catch {
    // storage full or forbidden: the page still holds it and saves to the server
  }
}
export function dropDraft(id: string): void {
  try {
    localStorage.removeItem(key(id));
  } catch {
    // nothing was kept either
  }
}

/** The kept draft, if it is of the right shape; texts in it may be anything, its structure not. */
export function readDraft(id: string): Draft | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(key(id)) ?? 'null') as Draft | null;
    if (!kept || !Number.isInteger(kept.version)) return undefined;
    const draft = { ...kept, job: upgradeJob(kept.job) as Job };
    const looks = jobSchema.safeParse(draft.job);
    const onlyTexts =
      looks.success || looks.error.issues.every((issue) => issue.code === 'too_big' || issue.code === 'too_small');
    return onlyTexts ? draft : undefined;
  } catch {
    return undefined;
  }
}
