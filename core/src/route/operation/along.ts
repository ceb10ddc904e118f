import { type Contour, ring } from '../../contour/index.ts';
import { ROUNDING } from '../../quantity/index.ts';
import { reachOf, type Workpiece } from '../../work/index.ts';
import { AIR_MM, type KindOfOperation, type OfKind, PAST_MM } from './kind.ts';

const own = {};
type Rough = OfKind<'rough', typeof own>;
type SemiFinish = OfKind<'semiFinish', typeof own>;
type Finish = OfKind<'finish', typeof own>;
type Along = Rough | SemiFinish | Finish;

/** Passes along a length: what lies outside the diameter that they come to, up to the end of the metal where they begin there. */
function outside({ zFromMm, zToMm, targetMm = 0 }: Along, piece: Workpiece): Contour {
  const { zToMm: endMm, largestMm } = reachOf(piece);
  const fromEnd = zToMm >= piece.part.lengthMm - ROUNDING;
  return ring(zFromMm, fromEnd ? endMm + PAST_MM : zToMm, targetMm / 2, largestMm / 2 + AIR_MM);
}

const along = { own, turns: true, tailstock: 'carries', feeds: 'along', swept: outside } as const;

export const rough = { ...along, kind: 'rough', act: 'rough' } as const satisfies KindOfOperation<Rough>;
/** The cut before the last: half of what is left, or what is left to the compound. */
export const semiFinish = { ...along, kind: 'semiFinish', act: 'half' } as const satisfies KindOfOperation<SemiFinish>;
export const finish = {
  ...{ ...along, kind: 'finish', act: 'last' },
  finishes: ({ featureId = '' }) => [featureId],
} as const satisfies KindOfOperation<Finish>;
