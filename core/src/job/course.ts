import { nextSetup } from './next-setup.ts';
import { type PlannedJob, planJob } from './plan-job.ts';
import type { Job, Shop } from './schema.ts';
import type { PlannedSetup } from './setups.ts';

/** A job with all its setups, planned. */
export interface Course {
  readonly job: Job;
  readonly planned: PlannedJob;
}

/** Setups that are followed at most. */
const MOST = 4;
const PROPOSED = (n: number): string => `00000000-0000-4000-8000-00000000010${n}`;

/** A job followed to its end, setup after setup as they are proposed; undefined where nothing can be cut so. @param known setups of it that are planned already */
export function followed(begun: Job, shop: Shop, known: readonly PlannedSetup[] = []): Course | undefined {
  let job = begun;
  let made = known;
  for (let n = job.hold.setups.length; ; n++) {
    const planned = planJob(job, shop, undefined, { known: made });
    made = planned.setups;
    if (!made.some(({ plan }) => plan.operations.some((o) => o.kind !== 'mount'))) return undefined;
    const next = n < MOST ? nextSetup(made, PROPOSED(n)) : undefined;
    if (!next) return { job, planned };
    job = { ...job, hold: { ...job.hold, setups: [...job.hold.setups, next] } };
  }
}
