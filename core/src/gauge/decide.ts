import type { Limits } from '../limit/index.ts';
import type { Recorder } from '../working/index.ts';

export type Verdict = 'fits' | 'doesNotFit' | 'cannotSay';
/** Where the size lies for someone who can only take metal off an outside: more to come off, right, or gone. */
export type Side = 'tooLarge' | 'inside' | 'tooSmall';
export interface Decision {
  readonly verdict: Verdict;
  readonly side: Side;
}

/**
 * Judges a measured size against limits with the instrument's uncertainty as guard band.
 * Fits: inside the limits drawn in by U. Does not fit: outside the limits widened by U. Between: cannot say.
 * @param uncertaintyMm half-width at k = 2
 * @source ISO 14253-1, decision rules for conformity
 * @example decide(10.0135, 0.004, { upperMm: 10.015, lowerMm: 9.985, how: 'sizes' }).verdict // 'cannotSay'
 */
export function decide(sizeMm: number, uncertaintyMm: number, limits: Limits, record?: Recorder): Decision {
  const { upperMm, lowerMm } = limits;
  const side: Side = sizeMm > upperMm ? 'tooLarge' : sizeMm < lowerMm ? 'tooSmall' : 'inside';
  const fits = sizeMm <= upperMm - uncertaintyMm + 1e-9 && sizeMm >= lowerMm + uncertaintyMm - 1e-9;
  const out = sizeMm > upperMm + uncertaintyMm + 1e-9 || sizeMm < lowerMm - uncertaintyMm - 1e-9;
  const verdict = fits ? 'fits' : out ? 'doesNotFit' : 'cannotSay';
  record?.({
    code: 'gauge.decide',
    values: { sizeMm, uncertaintyMm, lowerMm, upperMm, verdict },
    source: 'ISO 14253-1',
  });
  return { verdict, side };
}
