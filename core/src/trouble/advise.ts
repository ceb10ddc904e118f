import type { Feed, Speed } from '../lathe/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import { type Cause, type CauseId, type Change, causes, type Evidence } from './causes.ts';
import type { Conditions, Symptom } from './conditions.ts';

export interface RankedCause {
  readonly id: CauseId;
  /** 0 to 1; only for order and for a word such as "likely" */
  readonly score: number;
  readonly evidence?: Evidence;
  readonly changes: readonly Change[];
}

/** A change as a setting of the lathe that is there, where it can be one. */
export interface SettingChange {
  readonly change: Change;
  readonly speed?: Speed;
  readonly feed?: Feed;
}

const FOR = 0.45;
const AGAINST = 0.35;

function scoreOf(cause: Cause, conditions: Conditions): RankedCause {
  const found = cause.evidence?.(conditions);
  const evidence = found === 'against' ? undefined : found;
  const score = cause.base + (evidence ? FOR : found === 'against' ? -AGAINST : 0);
  return { id: cause.id, score: Math.max(0, Math.min(1, score)), evidence, changes: cause.changes };
}

/**
 * From what is seen and the conditions it happened under to causes, likeliest first, each naming the condition that raised it.
 * @param conditions what is known; unknown ones neither raise nor lower a cause
 * @returns causes of that symptom; none is ever dropped for missing knowledge, only for evidence against it
 */
export function adviseTrouble(symptom: Symptom, conditions: Conditions): readonly RankedCause[] {
  return causes
    .filter((cause) => cause.symptoms.includes(symptom))
    .map((cause) => scoreOf(cause, conditions))
    .filter((cause) => cause.score > 0.05)
    .sort((a, b) => b.score - a.score || a.id.localeCompare(b.id));
}

/**
 * A change told with the lathe's own settings: the next speed or feed in that direction; undefined fields where the change is
 * no setting or there is nothing further.
 * @param speeds, feeds slowest and finest first
 */
export function changeOnLathe(
  change: Change,
  speeds: readonly Speed[],
  feeds: readonly Feed[],
  nowRpm: number,
  nowMmPerRev: number,
): SettingChange {
  switch (change) {
    case 'slower':
      return { change, speed: speeds.findLast((s) => s.rpm < nowRpm - ROUNDING) };
    case 'faster':
      return { change, speed: speeds.find((s) => s.rpm > nowRpm + ROUNDING) };
    case 'lessFeed':
      return { change, feed: feeds.findLast((f) => f.mmPerRev < nowMmPerRev - ROUNDING) };
    case 'moreFeed':
      return { change, feed: feeds.find((f) => f.mmPerRev > nowMmPerRev + ROUNDING) };
    default:
      return { change };
  }
}
