import { type Job, type Proof, planJob, proveJob, type Shop } from '@whelk/core/job';
import { expose } from 'comlink';

const api = {
  /** A whole job cut with the true shapes of its tools. */
  prove(job: Job, shop: Shop): Proof {
    return proveJob(planJob(job, shop));
  },
};
export type ProveApi = typeof api;
expose(api);
