import { opposite } from '../part/index.ts';
import { followed } from './course.ts';
import type { Job, Shop } from './schema.ts';
import { stillWaiting } from './setups.ts';

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

/** A quicker course is worth a word from so many minutes on. */
const WORTH_MIN = 5;

/** The job begun with an end, setup after setup as they are proposed; undefined where nothing can be cut so. */
function begunWith(job: Job, shop: Shop, tail: 'left' | 'right'): Begun | undefined {
  const [first] = job.hold.setups;
  const course = first && followed({ ...job, hold: { ...job.hold, setups: [{ ...first, tail }] } }, shop);
  if (!course) return undefined;
  const { setups } = course.planned;
  return {
    setupCount: setups.length,
    leftCount: stillWaiting(setups).length,
    minutes: setups.reduce((sum, { plan }) => sum + plan.minutes, 0),
  };
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
