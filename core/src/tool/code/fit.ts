import type { Holder } from './holder.ts';
import type { Insert } from './insert.ts';

/** Why an insert does not go into a holder. `value` is the insert's, `limit` the holder's. */
export interface Misfit {
  readonly code: 'fit.shape' | 'fit.clearance' | 'fit.size' | 'fit.hole' | 'fit.thickness' | 'fit.hand';
  readonly value: string;
  readonly limit: string;
}

/** Holes that each way of clamping wants. A top clamp alone holds any. */
const WANTED: Readonly<Record<Holder['clamping'], readonly Insert['hole'][] | undefined>> = {
  screw: ['countersunk40', 'countersunk70'],
  lever: ['cylindrical', 'countersunk40'],
  topAndHole: ['cylindrical'],
  topClamp: undefined,
};

/** A holder as the shop has it: its designation, and what that does not say. */
export interface OwnedHolder {
  readonly holder: Holder;
  /** of the inserts that its seat and shim are made for */
  readonly thicknessMm?: number;
}

/**
 * What keeps an insert from a holder; none when it fits. Shape, clearance and size must be the same, the hole must suit the clamping, and
 * the thickness the seat, where that is known: designations of holders do not tell it.
 * @source ISO 5608 and ISO 6261 name the insert's shape, clearance and size; clamping against hole is practice
 */
export function misfits(insert: Insert, { holder, thicknessMm }: OwnedHolder): readonly Misfit[] {
  const found: Misfit[] = [];
  if (insert.shape !== holder.insertShape)
    found.push({ code: 'fit.shape', value: insert.shape, limit: holder.insertShape });
  if (insert.clearance !== holder.insertClearance)
    found.push({ code: 'fit.clearance', value: insert.clearance, limit: holder.insertClearance });
  if (insert.sizeCode !== holder.sizeCode)
    found.push({ code: 'fit.size', value: insert.sizeCode, limit: holder.sizeCode });
  const holes = WANTED[holder.clamping];
  if (holes && !holes.includes(insert.hole))
    found.push({ code: 'fit.hole', value: insert.hole, limit: holder.clamping });
  if (thicknessMm !== undefined && Math.abs(thicknessMm - insert.thicknessMm) > 0.05)
    found.push({ code: 'fit.thickness', value: String(insert.thicknessMm), limit: String(thicknessMm) });
  const hand = { right: 'R', left: 'L', neutral: 'N' }[holder.hand];
  if (insert.hand && insert.hand !== 'N' && hand !== 'N' && insert.hand !== hand)
    found.push({ code: 'fit.hand', value: insert.hand, limit: hand });
  return found;
}
