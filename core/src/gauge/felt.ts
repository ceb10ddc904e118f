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

/** A gauge that does not go says that the work is beyond what it is made to, by however little, mm. */
const BEYOND_MM = 1e-6;

/**
 * Whether gauges that are made to limits say the verdict themselves: that the work is beyond one of them, or between both. One end alone that
 * goes as it should leaves the other limit open, and what the dial expects of that is no verdict.
 * @source ISO 1938, ISO 1502: go and not-go
 */
export function limitsTold(
  felt: readonly Pick<Felt, 'mm' | 'feel'>[],
  { lowerMm, upperMm }: { readonly lowerMm: number; readonly upperMm: number },
): boolean {
  const larger = (thanMm: number): boolean => felt.some((f) => f.feel === 'large' && f.mm >= thanMm - BEYOND_MM);
  const smaller = (thanMm: number): boolean => felt.some((f) => f.feel === 'small' && f.mm <= thanMm + BEYOND_MM);
  return larger(upperMm) || smaller(lowerMm) || (larger(lowerMm) && smaller(upperMm));
}

/**
 * What gauges without a number say together: between what the size lies. What the dial lets expect narrows that further, as far as it does
 * not speak against what was felt; the end that guards the limit is what a move follows from.
 * @param expected what the dial lets expect; without it an open side stays at what was felt
 * @param cut which side is cut: `large` and `small` are of the work's size, outside as inside
 * @throws RangeError when there is none
 * @source FIELD 9: readings without a number are readings
 * @example combineFelt([{ mm: 30.1, uncertaintyMm: 0.02, feel: 'large' }], { mm: 30.3, boundMm: 0.1 }).guardMm.toFixed(3) // '30.200'
 */
export function combineFelt(
  felt: readonly Felt[],
  expected?: { readonly mm: number; readonly boundMm: number },
  record?: Recorder,
  cut: CutSide = 'outside',
): Combined {
  if (felt.length === 0) throw new RangeError('nothing felt');
  const at = (feels: readonly Felt['feel'][], off: 1 | -1) =>
    felt
      .filter((f) => feels.includes(f.feel))
      .map((f) => f.mm + off * (f.feel === 'touches' ? f.uncertaintyMm : -BEYOND_MM));
  const [least, most] = [Math.max(...at(['large', 'touches'], -1)), Math.min(...at(['small', 'touches'], 1))];
  // what the dial expects where that is possible at all; beyond it only what was felt is left
  const [from, to] = expected
    ? [expected.mm - expected.boundMm, expected.mm + expected.boundMm]
    : [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
  const [narrowLow, narrowHigh] = [Math.max(least, from), Math.min(most, to)];
  const possible = narrowLow <= narrowHigh;
  const closed = (mm: number, other: number): number => (Number.isFinite(mm) ? mm : other);
  const [low, high] = possible
    ? [closed(narrowLow, narrowHigh), closed(narrowHigh, narrowLow)]
    : [closed(least, most), closed(most, least)];
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
