import { roundOf } from '../part/index.ts';
import { openMm, reachOf, standingMm } from '../work/index.ts';
import type { FrozenRun } from './frozen.ts';

/** Diameter of the metal as the piece was put in: over a length of it, of the hole where that is to be, or the largest there is, mm. */
export function stockOf({ piece }: Pick<FrozenRun, 'piece'>, featureId?: string): number {
  const round = featureId === undefined ? undefined : roundOf(piece.part, featureId);
  if (round?.side === 'inside') return openMm(piece, round.zFromMm, round.zToMm);
  const standing = round ? standingMm(piece, round.zFromMm, round.zToMm) : 0;
  return standing > 0 ? standing : reachOf(piece).largestMm;
}
