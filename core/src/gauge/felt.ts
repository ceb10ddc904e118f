import type { Recorder } from '../working/index.ts';
import type { CutSide } from './decide.ts';
import type { Combined } from './readings.ts';

/** How a gauge that tells no number went on the work: it does not go, it is tight, it is loose. */
export interface Felt {
  /** what the gauge is set or made to */
  readonly mm: number;
  /** how surely a touch is felt, half-width at k = 2 */
  readonly uncertaintyMm: number;
  readonly feel: 'large' | 'touches' | 'small';
}

/**
 * What gauges without a number say together: between what the size lies. Where they leave a side open the dial's own expectation
 * closes it; the end that guards the limit is what a move follows from.
 * @param expected what the dial lets expect; without it an open side stays at what was felt
 * @param cut which side is cut: `large` and `small` are of the work's size, outside as inside
 * @throws RangeError when there is none
 * @source FIELD 9: readings without a number are readings
 * @example combineFelt([{ mm: 30.1, uncertaintyMm: 0.02, feel: 'large' }], { mm: 30.3, boundMm: 0.1 }).guardMm // 30.1
 */
export function combineFelt(
  felt: readonly Felt[],
  expected?: { readonly mm: number; readonly boundMm: number },
  record?: Recorder,
  cut: CutSide = 'outside',
): Combined {
  if (felt.length === 0) throw new RangeError('nothing felt');
  const at = (feels: readonly Felt['feel'][], off: 1 | -1) =>
    felt.filter((f) => feels.includes(f.feel)).map((f) => f.mm + (f.feel === 'touches' ? off * f.uncertaintyMm : 0));
  const lows = at(['large', 'touches'], -1);
  const highs = at(['small', 'touches'], 1);
  const all = felt.map((f) => f.mm);
  const low =
    lows.length > 0 ? Math.max(...lows) : Math.min(...all, expected ? expected.mm - expected.boundMm : Infinity);
  const high =
    highs.length > 0 ? Math.min(...highs) : Math.max(...all, expected ? expected.mm + expected.boundMm : -Infinity);
  // gauges that contradict one another: the one that guards the limit is believed
  const smallestMm = Math.min(low, high);
  const largestMm = Math.max(low, high);
  const combined: Combined = {
    ...{ smallestMm, largestMm, meanMm: (smallestMm + largestMm) / 2, spreadMm: largestMm - smallestMm },
    guardMm: cut === 'outside' ? smallestMm : largestMm,
    count: felt.length,
    uncertaintyMm: Math.min(...felt.map((f) => f.uncertaintyMm)),
  };
  record?.({ code: 'gauge.felt', values: { count: felt.length, smallestMm, largestMm, guardMm: combined.guardMm } });
  return combined;
}
