import { opposite } from '../part/index.ts';
import { nextSetup } from './next-setup.ts';
import { planJob } from './plan-job.ts';
import type { Job, Shop } from './schema.ts';
import { type PlannedSetup, stillWaiting } from './setups.ts';

/** What comes of beginning with an end: how many setups it takes, and how many surfaces are left that turning could make. */
export interface Begun {
  readonly setupCount: number;
  readonly leftCount: number;
  readonly minutes: number;
}
/** The end that is better begun with, and what comes of it and of the one that is begun with now. */
export interface FirstEnd {
  readonly tail: 'left' | 'right';
  readonly better: Begun;
  readonly now: Begun;
}

/** Setups that are followed at most. */
const MOST = 4;
/** A quicker course is worth a word from so many minutes on. */
const WORTH_MIN = 5;
const PROPOSED = (n: number): string => `00000000-0000-4000-8000-00000000000${n}`;

/** The job begun with an end, setup after setup as they are proposed; undefined where nothing can be cut so. */
function begunWith(job: Job, shop: Shop, tail: 'left' | 'right'): Begun | undefined {
  const [first] = job.hold.setups;
  if (!first) return undefined;
  let all: Job = { ...job, hold: { ...job.hold, setups: [{ ...first, tail }] } };
  let known: readonly PlannedSetup[] = [];
  for (let n = 1; ; n++) {
    const { setups } = planJob(all, shop, undefined, { known });
    known = setups;
    if (!setups.some(({ plan }) => plan.operations.some((o) => o.kind !== 'mount'))) return undefined;
    const next = n < MOST ? nextSetup(setups, PROPOSED(n)) : undefined;
    if (!next)
      return {
        setupCount: setups.length,
        leftCount: stillWaiting(setups).length,
        minutes: setups.reduce((sum, { plan }) => sum + plan.minutes, 0),
      };
    all = { ...all, hold: { ...all.hold, setups: [...all.hold.setups, next] } };
  }
}

/**
 * Whether a job is better begun with its other end: where that leaves less unmade, takes fewer setups, or as many in clearly less time.
 * Only asked before a second setup is chosen, of work that is gripped on spare stock: what is gripped on itself is not turned round so.
 * @returns undefined where the end begun with is as good
 * @source FIELD 2: which end first is a decision; try both
 */
export function betterFirstEnd(job: Job, shop: Shop): FirstEnd | undefined {
  const [first, second] = job.hold.setups;
  if (!first || second || first.grip.kind !== 'jaws' || first.grip.on !== 'spare') return undefined;
  const tail = opposite[first.tail];
  const [now, other] = [begunWith(job, shop, first.tail), begunWith(job, shop, tail)];
  if (!now || !other) return undefined;
  const gains =
    now.leftCount - other.leftCount ||
    now.setupCount - other.setupCount ||
    (now.minutes - other.minutes >= WORTH_MIN ? 1 : 0);
  return gains > 0 ? { tail, better: other, now } : undefined;
}
