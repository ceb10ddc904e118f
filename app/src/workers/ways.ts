import { type Job, type Shop, type Way, waysOfHolding } from '@whelk/core/job';
import { expose } from 'comlink';

const api = {
  /** Every way of holding a job in one of its setups, each with its whole route. */
  of(job: Job, shop: Shop, number: number): readonly Way[] {
    return waysOfHolding(job, shop, number);
  },
};
export type WaysApi = typeof api;
expose(api);
