import { z } from 'zod';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { usualMinutes } from '../usual-minutes.ts';
import { bare, type KindOfOperation, type OfKind } from './kind.ts';

/** What goes under the work, and the hole that is open already, by whose wall it is found; none where a mark tells. Lengths in mm. */
const own = { packMm: z.number(), openMm: z.number().optional() };
type PickUpOperation = OfKind<'pickUp', typeof own>;

/** Swung round a hole with the indicator, or brought to a mark with a wobbler, minutes. */
const PICK_UP_MIN = 10;

/** Bringing the axis of work on the cross-slide in line with the spindle, and noting where the slide stands there. */
export function pickUpOperation(context: FitContext, openMm: number, recorderFor: RecorderFor): PickUpOperation {
  const { piece, held } = context;
  return {
    ...{ ...bare, id: 'pickUp', kind: 'pickUp', zFromMm: piece.part.lengthMm - 1, zToMm: piece.part.lengthMm },
    ...{ packMm: held.packMm ?? 0, minutes: usualMinutes(PICK_UP_MIN, recorderFor('pickUp')) },
    ...(openMm > 0 ? { openMm } : {}),
    caution: 'barTurns',
  };
}

export const pickUp = {
  ...{ kind: 'pickUp', own, act: 'plain', turns: false, tailstock: 'carries' },
} as const satisfies KindOfOperation<PickUpOperation>;
