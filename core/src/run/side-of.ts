import type { CutSide } from '../gauge/index.ts';
import { roundOf } from '../part/index.ts';
import type { FrozenRun } from './frozen.ts';

/** Which side of the metal a surface is cut on: the walls of holes from inside, everything else from outside. */
export const sideOf = ({ piece }: Pick<FrozenRun, 'piece'>, featureId: string | undefined): CutSide =>
  featureId !== undefined && roundOf(piece.part, featureId)?.side === 'inside' ? 'inside' : 'outside';
