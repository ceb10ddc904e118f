import { MM_PER_IN, ROUNDING } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';

/** A usual slip of reading, with what it is out by and what the reading would have been without it, mm. */
export interface Slip {
  readonly code: 'halfMillimetre' | 'wholeTurn' | 'thou25' | 'otherUnit' | 'digits' | 'otherSurface';
  readonly byMm: number;
  readonly meantMm: number;
  /** name of the surface, where another one was measured */
  readonly surface?: string;
}

/** A reading beside what the dial lets expect. */
export type Doubt =
  | { readonly kind: 'believed' }
  | {
      readonly kind: 'doubted';
      readonly expectedMm: number;
      readonly boundMm: number;
      readonly offMm: number;
      readonly slips: readonly Slip[];
    };

/** What a thimble is read wrong by: half a millimetre, one turn of an inch one. */
const HALF_MM = 0.5;
const THIMBLE_TURN_MM = MM_PER_IN.mul(0.025).valueOf();

/** The figures of a number as typed with two neighbours exchanged, each way once. */
function exchanged(text: string): string[] {
  const made: string[] = [];
  for (let i = 0; i + 1 < text.length; i++) {
    const [a, b] = [text[i]!, text[i + 1]!];
    if (a !== b && /\d/.test(a) && /\d/.test(b)) made.push(text.slice(0, i) + b + a + text.slice(i + 2));
  }
  return made;
}

/**
 * Compares a reading with what the dial lets expect, before it is believed; a reading beyond the bound is asked about, with the
 * slips that would explain it, the likeliest first.
 * @param text the number as typed, in its own unit; exchanged digits are looked for in it
 * @param expectedMm what the dial lets expect, with `boundMm` as far as touch, spring, setting and gauge can be out
 * @param turnMm what one whole turn of the ring changes this size by
 * @param others sizes of other surfaces that could have been measured instead
 * @source FIELD 9: a reading is doubted before it is believed
 * A thimble read half a millimetre too far: 30.889 where 30.389 ± 0.06 was expected.
 */
export function doubtReading(
  read: { readonly mm: number; readonly text: string; readonly unit: 'mm' | 'in' },
  expectedMm: number,
  boundMm: number,
  turnMm: number,
  others: readonly { readonly name: string; readonly mm: number }[] = [],
  record?: Recorder,
): Doubt {
  const offMm = read.mm - expectedMm;
  record?.({ code: 'gauge.doubt', values: { readMm: read.mm, expectedMm, boundMm, offMm } });
  if (Math.abs(offMm) <= boundMm + ROUNDING) return { kind: 'believed' };
  const sign = Math.sign(offMm);
  const perUnit = read.unit === 'in' ? MM_PER_IN.valueOf() : 1;
  const meaning = (code: Slip['code'], meantMm: number): Slip => ({ code, byMm: read.mm - meantMm, meantMm });
  const inch = MM_PER_IN.valueOf();
  const candidates: Slip[] = [
    read.unit === 'in'
      ? meaning('thou25', read.mm - sign * THIMBLE_TURN_MM)
      : meaning('halfMillimetre', read.mm - sign * HALF_MM),
    meaning('wholeTurn', read.mm - sign * turnMm),
    meaning('otherUnit', read.unit === 'in' ? read.mm / inch : read.mm * inch),
  ];
  for (const text of exchanged(read.text.trim())) {
    const meant = Number(text.replace(',', '.'));
    if (Number.isFinite(meant)) candidates.push(meaning('digits', meant * perUnit));
  }
  const explains = candidates.filter((slip) => Math.abs(slip.meantMm - expectedMm) <= boundMm + ROUNDING);
  const elsewhere = others
    .filter((other) => Math.abs(other.mm - read.mm) <= boundMm + ROUNDING)
    .map(
      (other): Slip => ({ code: 'otherSurface', byMm: read.mm - expectedMm, meantMm: read.mm, surface: other.name }),
    );
  const near = (slip: Slip) => Math.abs(slip.meantMm - expectedMm);
  return {
    ...{ kind: 'doubted', expectedMm, boundMm, offMm },
    slips: [...explains.toSorted((a, b) => near(a) - near(b)), ...elsewhere],
  };
}
