import { inchFraction, type LengthUnit, ROUNDING, type TypedLength } from '../quantity/index.ts';

/** How a surface stands to what it once was: worn ones have lost metal, sound ones have not. */
export type Wear = 'worn' | 'sound';
/** A size that a worn surface may have had. */
export interface NominalGuess {
  readonly size: TypedLength;
  readonly mm: number;
  /** it less what was read, mm: metal lost on the diameter where it is worn outside */
  readonly offMm: number;
  /** smaller is likelier */
  readonly score: number;
  /** so round and so near that nothing else can have been meant */
  readonly clear: boolean;
}

/** What a reading may be off by on a sound surface, mm, and how much wear is looked for, mm and as a share. */
const SOUND_MM = 0.06;
const WEAR = { leastMm: 0.6, share: 0.02 };
/** How much less likely a size is the finer its step: whole fives, whole, halves; fractions by their denominator. */
const ODD_MM = { five: 0, whole: 0.08, half: 0.3 };
/** A sound surface was clearly meant to be round: of a whole millimetre or a sixteenth within this, of a half or a thirty-second within that. */
const CLEAR_MM = { round: 0.03, half: 0.012 } as const;
const isClear = (offMm: number, odd: number): boolean =>
  Math.abs(offMm) <= (odd <= 0.1 ? CLEAR_MM.round : odd <= 0.3 ? CLEAR_MM.half : 0) + ROUNDING;
/** A size of the other system than the rest of the part. */
const OTHER_SYSTEM = 0.15;
const ODD_IN: readonly (readonly [denominator: number, odd: number])[] = [
  [8, 0],
  [16, 0.08],
  [32, 0.25],
  [64, 0.5],
];

/**
 * Sizes in both systems that a part may have been made to, the likeliest first: round ones near what was read, on the side
 * that wear leaves open. A shaft was larger than it is, a hole smaller.
 * @param readMm what was read: of an outside the largest reading, of a hole the smallest
 * @param of where the metal is
 * @param prefers the system of the rest of the part, which this size is likely of too
 * @returns at most three in millimetres and three in inches, sorted together
 * @example nominalGuesses(24.87, 'outside', 'worn')[0].size // { text: '25', unit: 'mm' }
 */
export function nominalGuesses(
  readMm: number,
  of: 'outside' | 'inside',
  wear: Wear,
  prefers?: LengthUnit,
): readonly NominalGuess[] {
  const lost = wear === 'worn' ? Math.max(WEAR.leastMm, readMm * WEAR.share) : SOUND_MM;
  const [below, above] = of === 'outside' ? [SOUND_MM, lost] : [lost, SOUND_MM];
  const guess = (size: TypedLength, mm: number, odd: number): NominalGuess[] => {
    const offMm = Number((mm - readMm).toFixed(6));
    if (mm <= 0 || offMm < -below || offMm > above) return [];
    // against the direction of wear only the gauge's own error is left
    const room = offMm < 0 ? below : above;
    const strange = prefers !== undefined && prefers !== size.unit ? OTHER_SYSTEM : 0;
    return [{ size, mm, offMm, score: Math.abs(offMm) / room + odd + strange, clear: isClear(offMm, odd) }];
  };
  const metric: NominalGuess[] = [];
  for (let half = Math.ceil((readMm - below) * 2); half <= (readMm + above) * 2 + ROUNDING; half++) {
    const mm = half / 2;
    const odd = mm % 5 === 0 ? ODD_MM.five : mm % 1 === 0 ? ODD_MM.whole : ODD_MM.half;
    metric.push(...guess({ text: String(mm), unit: 'mm' }, mm, odd));
  }
  const inch: NominalGuess[] = [];
  const per = 25.4 / 64;
  for (let n = Math.ceil((readMm - below) / per); n * per <= readMm + above + ROUNDING; n++) {
    const odd = ODD_IN.find(([denominator]) => (n * denominator) % 64 === 0)![1];
    inch.push(...guess({ text: inchFraction(n * per, 64), unit: 'in' }, n * per, odd));
  }
  const best = (list: NominalGuess[]): NominalGuess[] => list.sort((a, b) => a.score - b.score).slice(0, 3);
  return [...best(metric), ...best(inch)].sort((a, b) => a.score - b.score);
}
