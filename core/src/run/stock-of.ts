import { roundOf } from '../part/index.ts';
import { reachOf, standingMm } from '../work/index.ts';
import type { FrozenRun } from './frozen.ts';

/** Diameter of the metal as the piece was put in: over a length of it, or the largest there is, mm. */
export function stockOf({ piece }: Pick<FrozenRun, 'piece'>, featureId?: string): number {
  const round = featureId === undefined ? undefined : roundOf(piece.part, featureId);
  const standing = round ? standingMm(piece, round.zFromMm, round.zToMm) : 0;
  return standing > 0 ? standing : reachOf(piece).largestMm;
}
