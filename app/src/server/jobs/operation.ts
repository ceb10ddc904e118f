import { cutOf, type Job, type OperationCut } from '@whelk/core/job';
import type { Knex } from 'knex';
import { loadShop } from '../shop/service.ts';
import { loadJob } from './service.ts';

/** An operation of a job as the bench book takes it up, and the job that its answer goes back to. */
export interface TakenOperation extends OperationCut {
  readonly jobId: string;
  readonly version: number;
  readonly job: Job;
}

/** An operation with passes; undefined when the job has none of that name any more. @throws Refused 404 for no such job */
export async function takeOperation(db: Knex, jobId: string, operationId: string): Promise<TakenOperation | undefined> {
  const [{ job, version }, shop] = await Promise.all([loadJob(db, jobId), loadShop(db)]);
  const cut = cutOf(job, shop, operationId);
  return cut && { ...cut, jobId, version, job };
}
