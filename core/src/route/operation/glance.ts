import { z } from 'zod';
import { inChuck, turnsOver } from '../../hold/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { usualMinutes } from '../usual-minutes.ts';
import type { AnyOperation } from './any.ts';
import { bare, type KindOfOperation, type OfKind } from './kind.ts';

/** Lengths in mm: how near to jaws or dog the tool comes, and where the first feed is thrown out, from the finished end. */
const own = { gapMm: z.number().optional(), throwOutMm: z.number() };
type GlanceOperation = OfKind<'glance', typeof own>;

/** By hand once round, levers and range looked at, minutes. */
const GLANCE_MIN = 1;

/**
 * One look before the first feed under power: turned by hand with the tool where it comes nearest to what holds the work.
 * @param cuts what is cut in the setup, in its order @returns undefined where nothing is fed under power
 * @source FIELD 2: before power, turn by hand; know where the feed is thrown out
 */
export function glanceOperation(
  { piece, held }: FitContext,
  cuts: readonly AnyOperation[],
  recorderFor: RecorderFor,
): GlanceOperation | undefined {
  const [first] = cuts;
  if (!first) return undefined;
  const nearestMm = Math.min(...cuts.map((o) => o.zFromMm));
  const jawsOrDog = inChuck(held.method) || held.method === 'betweenCentres';
  return {
    ...{ ...bare, id: 'glance', kind: 'glance', zFromMm: nearestMm, zToMm: nearestMm + 1 },
    ...(jawsOrDog ? { gapMm: Number(Math.max(0, nearestMm - held.jawsMm).toFixed(2)) } : {}),
    ...{ throwOutMm: Number((piece.part.lengthMm - first.zFromMm).toFixed(2)), toolId: first.toolId },
    minutes: usualMinutes(GLANCE_MIN, recorderFor('glance')),
    caution: turnsOver(held.method) ? 'barTurns' : 'keyOut',
  };
}

export const glance = {
  ...{ kind: 'glance', own, act: 'plain', turns: false, tailstock: 'carries' },
} as const satisfies KindOfOperation<GlanceOperation>;
