import type { ProblemCode } from '../quantity/index.ts';
import { centreHoleRows } from './standard/centre-holes.ts';

/** A centre hole as drawn: plain, with a protecting chamfer, or with a rounded seat. */
export interface CentreMark {
  readonly type: 'A' | 'B' | 'R';
  readonly pilotMm: number;
  /** where the 60° cone or the round seat opens */
  readonly coneMm: number;
  /** widest at the face */
  readonly mouthMm: number;
}
export type ReadCentre =
  | { readonly ok: true; readonly centre: CentreMark | undefined /** none may stay */; readonly none?: true }
  | { readonly ok: false; readonly code: ProblemCode };

/**
 * Reads a centre hole as a drawing names it: `A2.5`, `B 4`, `R3.15`, `none` where none may stay, or nothing.
 * @source ISO 6411, types A, B and R
 * @example readCentre('A2.5') // { ok: true, centre: { type: 'A', pilotMm: 2.5, coneMm: 5.3, mouthMm: 5.3 } }
 */
export function readCentre(text: string): ReadCentre {
  const clean = text.trim();
  if (clean === '') return { ok: true, centre: undefined };
  if (/^(none|no)$/i.test(clean)) return { ok: true, centre: undefined, none: true };
  const read = /^([ABR])\s*(\d{1,2}(?:[.,]\d{1,2})?)$/i.exec(clean);
  if (!read) return { ok: false, code: 'centre.notACentre' };
  const pilotMm = Number(read[2]!.replace(',', '.'));
  const row = centreHoleRows.find((r) => r.pilotMm === pilotMm);
  const type = read[1]!.toUpperCase() as CentreMark['type'];
  // the guarded and the rounded form begin with 1 mm
  if (!row || (type !== 'A' && row.guardedMm === undefined)) return { ok: false, code: 'centre.noSize' };
  return {
    ok: true,
    centre: { type, pilotMm, coneMm: row.mouthMm, mouthMm: (type === 'B' && row.guardedMm) || row.mouthMm },
  };
}
