import type { Limits } from '../limit/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';

/** Which side of the metal is cut: an outside gets smaller as metal comes off, an inside larger. */
export type CutSide = 'outside' | 'inside';

/** +1 where deeper is smaller (outside), −1 where deeper is larger (inside). @source FIELD 13 */
export const signOf = (side: CutSide): 1 | -1 => (side === 'outside' ? 1 : -1);

/** The limit that cannot be put back once it is passed, and the one on which metal is still there. */
export function limitsBySide(
  limits: Pick<Limits, 'upperMm' | 'lowerMm'>,
  side: CutSide,
): { readonly goneMm: number; readonly metalMm: number } {
  return side === 'outside'
    ? { goneMm: limits.lowerMm, metalMm: limits.upperMm }
    : { goneMm: limits.upperMm, metalMm: limits.lowerMm };
}

export type Verdict = 'fits' | 'doesNotFit' | 'cannotSay';
/** Where the size lies among its limits, as a number. */
export type Side = 'tooLarge' | 'inside' | 'tooSmall';
/** What that means for the metal: some is still to come off, it is right, or it is gone. */
export type Left = 'metalOn' | 'inside' | 'gone';
export interface Decision {
  readonly verdict: Verdict;
  readonly side: Side;
  readonly left: Left;
}

/**
 * Judges a measured size against limits with the instrument's uncertainty as guard band.
 * Fits: inside the limits drawn in by U. Does not fit: outside the limits widened by U. Between: cannot say.
 * @param uncertaintyMm half-width at k = 2
 * @param cut which side is cut: what is too small outside is gone, inside it can still be bored
 * @source ISO 14253-1, decision rules for conformity
 * @example decide(10.0135, 0.004, { upperMm: 10.015, lowerMm: 9.985 }).verdict // 'cannotSay'
 */
export function decide(
  sizeMm: number,
  uncertaintyMm: number,
  limits: Pick<Limits, 'upperMm' | 'lowerMm'>,
  record?: Recorder,
  cut: CutSide = 'outside',
): Decision {
  return decideBetween(sizeMm, sizeMm, uncertaintyMm, limits, record, cut);
}

/**
 * Judges a surface whose readings do not agree: every one of them has to be inside, and the one nearest to what cannot be put
 * back says where it lies.
 * @param smallestMm @param largestMm of its readings
 */
export function decideBetween(
  smallestMm: number,
  largestMm: number,
  uncertaintyMm: number,
  limits: Pick<Limits, 'upperMm' | 'lowerMm'>,
  record?: Recorder,
  cut: CutSide = 'outside',
): Decision {
  const { upperMm, lowerMm } = limits;
  const guardMm = cut === 'outside' ? smallestMm : largestMm;
  const otherMm = cut === 'outside' ? largestMm : smallestMm;
  const sideOf = (mm: number): Side => (mm > upperMm ? 'tooLarge' : mm < lowerMm ? 'tooSmall' : 'inside');
  const side = sideOf(guardMm) === 'inside' ? sideOf(otherMm) : sideOf(guardMm);
  const left: Left = side === 'inside' ? 'inside' : (side === 'tooLarge') === (cut === 'outside') ? 'metalOn' : 'gone';
  const fits = largestMm <= upperMm - uncertaintyMm + ROUNDING && smallestMm >= lowerMm + uncertaintyMm - ROUNDING;
  const out = largestMm > upperMm + uncertaintyMm + ROUNDING || smallestMm < lowerMm - uncertaintyMm - ROUNDING;
  const verdict = fits ? 'fits' : out ? 'doesNotFit' : 'cannotSay';
  record?.({
    code: 'gauge.decide',
    values: { sizeMm: guardMm, uncertaintyMm, lowerMm, upperMm, verdict },
    source: 'ISO 14253-1',
  });
  return { verdict, side, left };
}
