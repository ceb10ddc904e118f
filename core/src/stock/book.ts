import { type LengthUnit, PLACE_MM, shortLength } from '../quantity/index.ts';
import { type Bar, barSizes } from './bar.ts';
import type { BarCuts } from './cutting-list.ts';

/** Digits that a remnant's length is noted with: what a rule can read, tenths of a millimetre or hundredths of an inch. */
const NOTED: Readonly<Record<LengthUnit, number>> = { mm: 1, in: 2 };

/** Shorter than this a remnant is not worth keeping, mm. */
export const USUAL_KEEP_MM = 40;

/**
 * What stands on the rack after a bar was cut: the same bar with one piece less, and the remnant, rounded down.
 * A bar of which nothing worth keeping is left stays as used up, so that the jobs cut from it still know what it was.
 * @param remnantId of the record for the remnant when other pieces of the bar stay as they are
 * @returns the records to write, first the bar itself
 */
export function bookBar(bar: Bar, cuts: Pick<BarCuts, 'leftMm'>, keepMm: number, remnantId: string): readonly Bar[] {
  const { unit } = bar.length;
  const pieces = barSizes(bar)?.pieces ?? 1;
  const kept = cuts.leftMm >= keepMm;
  const step = unit === 'mm' ? 10 ** -NOTED.mm : 25.4 * 10 ** -NOTED.in;
  const text = shortLength(Math.floor(cuts.leftMm / step + PLACE_MM) * step, unit, NOTED[unit]);
  const { pieces: _pieces, ...one } = bar;
  const remnant = { ...one, length: { text, unit } };
  if (pieces === 1) return [kept ? remnant : { ...one, usedUp: true }];
  const others = { ...bar, pieces: pieces - 1 };
  return kept ? [others, { ...remnant, id: remnantId }] : [others];
}
