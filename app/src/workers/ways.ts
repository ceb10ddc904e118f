import type { Setup } from '@whelk/core/hold';
import {
  type Alternative,
  alternatives,
  betterFirstEnd,
  type FirstEnd,
  type Job,
  nextSetup,
  planJob,
  type Shop,
  type Way,
  waysOfHolding,
} from '@whelk/core/job';
import { expose } from 'comlink';

/** Name of a setup that is only proposed; one that is taken over gets its own. */
const PROPOSED = '00000000-0000-4000-8000-000000000000';
const api = {
  /** The setup that would bring a job on, looked for over several. */
  next(job: Job, shop: Shop): Setup | undefined {
    return nextSetup(planJob(job, shop).setups, PROPOSED);
  },
  /** The end that the job is better begun with, where that is not the one it is begun with. */
  firstEnd(job: Job, shop: Shop): FirstEnd | undefined {
    return betterFirstEnd(job, shop);
  },
  /** Whole courses of work, compared. */
  courses(job: Job, shop: Shop): readonly Alternative[] {
    return alternatives(job, shop);
  },
  /** Every way of holding a job in one of its setups, each with its whole route. */
  of(job: Job, shop: Shop, number: number): readonly Way[] {
    return waysOfHolding(job, shop, number);
  },
};
export type WaysApi = typeof api;
expose(api);
