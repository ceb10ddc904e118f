import type { Allowances } from './allowances.ts';
import type { Blank } from './blank.ts';

/** What lies on the bench against what is wanted. */
export interface RealBlank {
  /** `good`: as wanted; `gives`: shorter, but facing and grip give so much; the others cannot be used */
  readonly verdict: 'good' | 'gives' | 'tooShort' | 'tooThin';
  /** what it is longer than wanted, negative where it is shorter */
  readonly spareLengthMm: number;
  readonly spareDiameterMm: number;
  /** what gives, in the order in which it is taken */
  readonly gives: readonly { readonly part: 'grip' | 'clearance' | 'faceTail' | 'faceHead'; readonly mm: number }[];
}

/** Least that must be left to clean up a sawn face, and least air before the jaws, mm. */
const LEAST_FACING_MM = 0.3;
const LEAST_CLEARANCE_MM = 2;

/**
 * Whether a piece that was measured makes the part, before it is mounted.
 * @param lengthMm over the shortest place @param diameterMm over the thinnest place, what bow and skin take already off
 * @param needMm diameter that is sure to clean up @param leastGripMm as short as the grip may be
 */
export function realBlank(
  blank: Blank,
  allow: Pick<Allowances, 'clearanceMm' | 'faceTailMm' | 'faceHeadMm'>,
  lengthMm: number,
  diameterMm: number,
  needMm: number,
  leastGripMm: number,
): RealBlank {
  const round = (mm: number) => Number(mm.toFixed(6));
  const spareLengthMm = round(lengthMm - blank.lengthMm);
  const spareDiameterMm = round(diameterMm - needMm);
  const spare = { spareLengthMm, spareDiameterMm };
  if (spareDiameterMm < 0) return { ...spare, verdict: 'tooThin', gives: [] };
  if (spareLengthMm >= 0) return { ...spare, verdict: 'good', gives: [] };
  let missing = -spareLengthMm;
  const room = [
    ['clearance', blank.spareGripMm > 0 ? allow.clearanceMm - LEAST_CLEARANCE_MM : 0],
    ['grip', blank.spareGripMm > 0 ? blank.spareGripMm - leastGripMm : 0],
    ['faceTail', allow.faceTailMm - LEAST_FACING_MM],
    ['faceHead', allow.faceHeadMm - LEAST_FACING_MM],
  ] as const;
  const gives: RealBlank['gives'][number][] = [];
  for (const [part, most] of room) {
    const mm = round(Math.min(missing, Math.max(0, most)));
    if (mm <= 0) continue;
    gives.push({ part, mm });
    missing = round(missing - mm);
  }
  return missing > 0 ? { ...spare, verdict: 'tooShort', gives: [] } : { ...spare, verdict: 'gives', gives };
}
