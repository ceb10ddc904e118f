import { type Contour, ring } from '../../contour/index.ts';
import { ROUNDING } from '../../quantity/index.ts';
import { reachOf, type Workpiece } from '../../work/index.ts';
import type { OperationOf } from '../plan.ts';
import { AIR_MM, type KindOfOperation, PAST_MM } from './kind.ts';

/** Passes along a length: what lies outside the diameter that they come to, up to the end of the metal where they begin there. */
function outside(
  { zFromMm, zToMm, targetMm = 0 }: OperationOf<'rough' | 'semiFinish' | 'finish'>,
  piece: Workpiece,
): Contour {
  const { zToMm: endMm, largestMm } = reachOf(piece);
  const fromEnd = zToMm >= piece.part.lengthMm - ROUNDING;
  return ring(zFromMm, fromEnd ? endMm + PAST_MM : zToMm, targetMm / 2, largestMm / 2 + AIR_MM);
}

export const rough: KindOfOperation<'rough'> = { swept: outside };
export const semiFinish: KindOfOperation<'semiFinish'> = { swept: outside };
export const finish: KindOfOperation<'finish'> = { swept: outside, finishes: ({ featureId = '' }) => [featureId] };
export const measure: KindOfOperation<'measure'> = {};
