import { type Contour, ring } from '../../contour/index.ts';
import { raUm } from '../../cutting/index.ts';
import { roundOf } from '../../part/index.ts';
import { ROUNDING } from '../../quantity/index.ts';
import { hasEdge } from '../../tool/index.ts';
import { reachOf, type Workpiece } from '../../work/index.ts';
import type { Note } from './any.ts';
import { AIR_MM, type KindOfOperation, type NotedOf, type OfKind, PAST_MM } from './kind.ts';

const own = {};
type Rough = OfKind<'rough', typeof own>;
type SemiFinish = OfKind<'semiFinish', typeof own>;
type Finish = OfKind<'finish', typeof own>;
type Along = Rough | SemiFinish | Finish;

/**
 * Passes along a length or a wall: what lies outside the diameter that they come to, or inside it in a hole, up to the end of the metal
 * where they begin there.
 */
function sweptAlong({ zFromMm, zToMm, targetMm = 0, featureId = '' }: Along, piece: Workpiece): Contour {
  const { zToMm: endMm, largestMm } = reachOf(piece);
  const fromEnd = zToMm >= piece.part.lengthMm - ROUNDING;
  if (roundOf(piece.part, featureId)?.side === 'inside')
    return ring(zFromMm, fromEnd ? endMm + PAST_MM : zToMm, 0, targetMm / 2);
  return ring(zFromMm, fromEnd ? endMm + PAST_MM : zToMm, targetMm / 2, largestMm / 2 + AIR_MM);
}

/** The skin to get under, and corners of the bar that strike. */
function roughNotes({ passes: [first], decidedBy }: Rough, { piece }: NotedOf): Note[] {
  if (!first) return [];
  const { skinMm, section } = piece;
  const under = skinMm !== undefined && (decidedBy === 'skin' || first.depthMm >= skinMm);
  const strikes = section && first.diameterBeforeMm > section.acrossMm + ROUNDING;
  return [
    ...(under ? [{ code: 'belowSkin' as const, value: Number(skinMm.toFixed(2)) }] : []),
    ...(strikes ? [{ code: 'interrupted' as const }] : []),
  ];
}

/** Finest finish that turning alone can be counted on for, Ra in µm. provenance: recalled, ordinary workshop value */
const TURNED_AT_BEST_UM = 0.4;
/** A finish that this cut, or turning altogether, does not reach. */
function finishNotes({ featureId = '', setting }: Finish, { piece, tool }: NotedOf): Note[] {
  const wanted = roundOf(piece.part, featureId)?.raUm;
  if (wanted === undefined || !setting || !hasEdge(tool)) return [];
  const leavesUm = tool.noseRadiusMm > 0 && !tool.flatMm ? raUm(setting.feedMmPerRev, tool.noseRadiusMm) : 0;
  const bestUm = Math.max(TURNED_AT_BEST_UM, leavesUm);
  return wanted >= bestUm - ROUNDING ? [] : [{ code: 'finishBeyond', value: wanted, limit: Number(bestUm.toFixed(2)) }];
}

const along = { own, turns: true, tailstock: 'carries', feeds: 'along', swept: sweptAlong } as const;

export const rough = {
  ...{ ...along, kind: 'rough', act: 'rough' },
  notes: roughNotes,
} as const satisfies KindOfOperation<Rough>;
/** The cut before the last: half of what is left, or what is left to the compound. */
export const semiFinish = { ...along, kind: 'semiFinish', act: 'half' } as const satisfies KindOfOperation<SemiFinish>;
export const finish = {
  ...{ ...along, kind: 'finish', act: 'last' },
  notes: finishNotes,
  finishes: ({ featureId = '' }) => [featureId],
} as const satisfies KindOfOperation<Finish>;
