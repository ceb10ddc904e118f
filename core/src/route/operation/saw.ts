import { z } from 'zod';
import { ring } from '../../contour/index.ts';
import { reachOf } from '../../work/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { usualMinutes } from '../usual-minutes.ts';
import { AIR_MM, bare, type KindOfOperation, type OfKind } from './kind.ts';
import type { SawnBecause } from './part-off.ts';

/** Lengths in mm; why it is sawn. */
const own = {
  ...{ partMm: z.number(), facingMm: z.number(), kerfMm: z.number(), diameterMm: z.number() },
  why: z.enum(['asked', 'noBlade', 'bladeShort', 'bladeWide']),
};
export type SawOperation = OfKind<'saw', typeof own>;

/** Sawing by hand, and on a power saw: to set up, and for each square centimetre, minutes. Practice */
const HAND_MIN = { begin: 2, perCm2: 0.7 } as const;
const POWER_MIN = { begin: 6, perCm2: 0.15 } as const;
const sawMin = ({ begin, perCm2 }: { readonly begin: number; readonly perCm2: number }, cm2: number): number =>
  begin + perCm2 * cm2;

/** Sawing the part off its spare stock, the spindle stopped and locked. */
export function sawOperation(
  { piece }: FitContext,
  why: SawnBecause,
  recorderFor: RecorderFor,
): SawOperation | undefined {
  const slot = piece.marks.find((m) => m.kind === 'cutOff' && m.zToMm <= 0);
  if (!slot) return undefined;
  const diameterMm = reachOf(piece).largestMm;
  const areaCm2 = (Math.PI * diameterMm ** 2) / 400;
  return {
    ...{ ...bare, id: 'saw', kind: 'saw', zFromMm: slot.zFromMm, zToMm: slot.zToMm, why, caution: 'sawStopped' },
    minutes: usualMinutes(
      Number(Math.min(sawMin(HAND_MIN, areaCm2), sawMin(POWER_MIN, areaCm2)).toFixed(1)),
      recorderFor('saw'),
    ),
    ...{ partMm: piece.part.lengthMm, facingMm: Number((-slot.zToMm).toFixed(6)), diameterMm },
    kerfMm: Number((slot.zToMm - slot.zFromMm).toFixed(6)),
  };
}

export const saw = {
  ...{ kind: 'saw', own, act: 'plain', turns: false, tailstock: 'carries', cutsOff: true, byHand: true },
  swept: ({ zToMm }, piece) => {
    const { zFromMm: from, largestMm } = reachOf(piece);
    return ring(from - AIR_MM, zToMm, 0, largestMm / 2 + AIR_MM);
  },
} as const satisfies KindOfOperation<SawOperation>;
