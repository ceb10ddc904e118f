import { type Chuck, truingOf } from '../lathe/index.ts';
import type { TruingRecord } from './truing/schema.ts';

/** What is left when a piece is trued in a chuck that can be adjusted, mm. */
const TRUED_MM = 0.02;

/** What was trued in a chuck: the part of a record that says how a piece runs there. */
type Trued = Pick<TruingRecord, 'what' | 'latheId' | 'chuckId' | 'resultMm' | 'at'>;
const OF_WORK: readonly TruingRecord['what'][] = ['fourJaw', 'fineAdjusting', 'casting'];

/**
 * How far a piece runs out in a chuck, as an indicator reads it, mm: what truing came to last, where it was recorded; else what truing
 * leaves in one that can be adjusted, or its own runout.
 * @param truings of this job @source FIELD 14: what truing showed is used
 */
export function runsAt(chuck: Chuck, truings: readonly Trued[] = [], latheId?: string): number {
  const shown = truings
    .filter(
      (t) => OF_WORK.includes(t.what) && t.chuckId === chuck.id && (latheId === undefined || t.latheId === latheId),
    )
    .toSorted((a, b) => (a.at < b.at ? -1 : 1))
    .at(-1);
  if (shown) return Math.abs(shown.resultMm);
  return truingOf(chuck) ? Math.min(TRUED_MM, Math.max(chuck.runoutMm, 0.005)) : chuck.runoutMm;
}
