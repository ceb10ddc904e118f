import { z } from 'zod';
import { onTailCentre } from '../../hold/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { usualMinutes } from '../usual-minutes.ts';
import { bare, type KindOfOperation, type OfKind } from './kind.ts';

/** How the end was carried while it was made; how it is gripped from now on, and whether the tail centre carries it. */
const own = {
  from: z.enum(['drawnBack', 'steady']),
  gripMm: z.number(),
  overhangMm: z.number(),
  toCentre: z.boolean(),
};
type ChangeSupportOperation = OfKind<'changeSupport', typeof own>;

/** Drawing a bar out and gripping it again; taking a steady away, minutes. */
const CHANGE_MIN = { drawnBack: 3, steady: 5 } as const;

/** From a short end to the length that is turned, or out of the steady; undefined where the end was made as it is held anyway. */
export function changeSupportOperation(
  { held, setup }: FitContext,
  recorderFor: RecorderFor,
): ChangeSupportOperation | undefined {
  const { ends, gripMm, overhangMm, jawsMm, method } = held;
  if (!ends || setup.extent === 'ends') return undefined;
  return {
    ...{ ...bare, id: 'changeSupport', kind: 'changeSupport', zFromMm: jawsMm - gripMm, zToMm: jawsMm },
    ...{ from: ends.kind, gripMm, overhangMm, toCentre: onTailCentre(method) },
    minutes: usualMinutes(CHANGE_MIN[ends.kind], recorderFor('changeSupport')),
    caution: ends.kind === 'drawnBack' ? 'keyOut' : 'centreOil',
  };
}

export const changeSupport = {
  kind: 'changeSupport',
  own,
  act: 'plain',
  turns: false,
  tailstock: 'isSet',
} satisfies KindOfOperation<ChangeSupportOperation>;
