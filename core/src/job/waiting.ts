import { cutOffMm, sectionKey } from '../stock/index.ts';
import { type PlannedJob, planJob } from './plan-job.ts';
import type { Job, Shop } from './schema.ts';

/** Blanks of a job that still wait in a bar on the rack. */
export interface WaitingBlanks {
  readonly jobId: string;
  readonly title: string;
  readonly barId: string;
  /** material and section, as bars are grouped */
  readonly section: string;
  readonly lengthMm: number;
  /** what the saw takes of the bar between two of them */
  readonly kerfMm: number;
  readonly count: number;
}

/**
 * Blanks that a job has yet to take from the rack: those not sawn and not begun. Undefined when it has no bar, needs none any more,
 * or cannot be planned so far that its blank has a length.
 * @param taken blanks that were begun at the lathe, and of these so many that cannot be put back
 */
export function waitingBlanks(
  jobId: string,
  job: Job,
  shop: Shop,
  taken: { readonly begun: number; readonly spoilt: number },
  planned: PlannedJob = planJob(job, shop),
): WaitingBlanks | undefined {
  const { bar } = planned;
  const count = job.quantity + taken.spoilt - Math.max(job.stock.sawn ?? 0, taken.begun);
  const section = bar && sectionKey(bar);
  if (!bar || bar.usedUp || !section || planned.kind === 'open' || count <= 0 || planned.blank.lengthMm <= 0)
    return undefined;
  const kerfMm = cutOffMm(job.stock.allow, planned.blank.diameterMm);
  return { jobId, title: job.title, barId: bar.id, section, lengthMm: planned.blank.lengthMm, kerfMm, count };
}
