import { PLACE_MM, ROUNDING } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import type { CutSide } from './decide.ts';

/** A size as it was read; `uncertaintyMm` is the instrument's half-width at k = 2. */
export interface SizeRead {
  readonly mm: number;
  readonly uncertaintyMm: number;
  /** where along the surface; readings without one are of the same place */
  readonly place?: string;
}

/** What readings that do not agree tell of the work, or of the measuring. */
export type Disagreement =
  /** ends differ: larger at one than at the other */
  | { readonly kind: 'taper'; readonly largeAt: string; readonly smallAt: string; readonly byMm: number }
  /** the middle differs from both ends */
  | { readonly kind: 'bell'; readonly middle: 'large' | 'small'; readonly byMm: number }
  /** the same place was read twice: out of round, dirt, or a slip of one reading */
  | { readonly kind: 'samePlace'; readonly place: string; readonly byMm: number };

export interface Combined {
  /** of readings weighed by their uncertainty; told, but never used for a move where they disagree */
  readonly meanMm: number;
  /** the size that guards the limit: the mean where readings agree, else the smallest outside, the largest inside */
  readonly guardMm: number;
  readonly smallestMm: number;
  readonly largestMm: number;
  readonly spreadMm: number;
  readonly count: number;
  /** half-width at k = 2 of the size: never less than the best instrument's, since its own error is in every reading */
  readonly uncertaintyMm: number;
  readonly disagreement?: Disagreement;
}

const MIDDLE = /middle/;

/** Two readings agree within both instruments' doubt. @source differences of two independent readings: √(U1² + U2²) */
export const agreementMm = (a: SizeRead, b: SizeRead): number => Math.hypot(a.uncertaintyMm, b.uncertaintyMm);

function disagreementOf(readings: readonly SizeRead[]): Disagreement | undefined {
  let widest: { a: SizeRead; b: SizeRead; byMm: number } | undefined;
  for (const [i, a] of readings.entries())
    for (const b of readings.slice(i + 1)) {
      const byMm = Math.abs(a.mm - b.mm);
      if (byMm <= agreementMm(a, b) + ROUNDING) continue;
      const same = (a.place ?? '') === (b.place ?? '');
      // two readings of one place cannot both be right: that is told before anything of the shape
      if (same) return { kind: 'samePlace', place: a.place ?? '', byMm };
      if (!widest || byMm > widest.byMm) widest = a.mm > b.mm ? { a, b, byMm } : { a: b, b: a, byMm };
    }
  if (!widest) return undefined;
  const { a, b, byMm } = widest;
  if (MIDDLE.test(a.place ?? '') !== MIDDLE.test(b.place ?? '') && readings.length > 2)
    return { kind: 'bell', middle: MIDDLE.test(a.place ?? '') ? 'large' : 'small', byMm };
  return { kind: 'taper', largeAt: a.place ?? '', smallAt: b.place ?? '', byMm };
}

/**
 * Several readings of one surface. Readings that agree are weighed by their uncertainty; readings that do not are not
 * averaged: what guards the limit decides, and what the difference means is told.
 * @param cut which side is cut: the smallest outside, the largest inside guards the limit
 * @throws RangeError when there is no reading
 * @source FIELD 9; weights 1/U²
 * @example combineReadings([{ mm: 28.412, uncertaintyMm: 0.004 }, { mm: 28.409, uncertaintyMm: 0.004 }]).meanMm // 28.4105
 */
export function combineReadings(readings: readonly SizeRead[], record?: Recorder, cut: CutSide = 'outside'): Combined {
  if (readings.length === 0) throw new RangeError('no readings');
  const weight = ({ uncertaintyMm }: SizeRead) => 1 / Math.max(PLACE_MM, uncertaintyMm) ** 2;
  const weights = readings.reduce((sum, r) => sum + weight(r), 0);
  const meanMm = readings.reduce((sum, r) => sum + weight(r) * r.mm, 0) / weights;
  const smallestMm = Math.min(...readings.map((r) => r.mm));
  const largestMm = Math.max(...readings.map((r) => r.mm));
  const disagreement = disagreementOf(readings);
  const combined: Combined = {
    meanMm,
    guardMm: disagreement ? (cut === 'outside' ? smallestMm : largestMm) : meanMm,
    smallestMm: disagreement ? smallestMm : meanMm,
    largestMm: disagreement ? largestMm : meanMm,
    spreadMm: largestMm - smallestMm,
    count: readings.length,
    uncertaintyMm: Math.min(...readings.map((r) => r.uncertaintyMm)),
    ...(disagreement ? { disagreement } : {}),
  };
  const { count, spreadMm, uncertaintyMm, guardMm } = combined;
  record?.({
    code: 'gauge.combine',
    values: { count, meanMm, spreadMm, uncertaintyMm, guardMm, agree: disagreement ? 'no' : 'yes' },
  });
  return combined;
}
