import type { CutSide } from '../gauge/index.ts';
import { roundOf } from '../part/index.ts';
import type { FrozenRun } from './frozen.ts';
import { threadOf } from './thread.ts';

/** Which side of the metal a surface is cut on: the walls of holes from inside, everything else from outside. */
export const sideOf = (run: Pick<FrozenRun, 'piece' | 'steps'>, featureId: string | undefined): CutSide =>
  featureId === undefined
    ? 'outside'
    : ((roundOf(run.piece.part, featureId)?.side === 'inside' ? 'inside' : threadOf(run, featureId)?.side) ??
      'outside');
