import { z } from 'zod';
import type { KindOfOperation, OfKind } from './kind.ts';

/**
 * Gears or levers for the lead, and a scratch that proves them before anything is cut. Lengths in mm: the pitch is counted over so many
 * leads.
 */
const own = {
  ...{ threadId: z.string(), designation: z.string(), side: z.enum(['outside', 'inside']) },
  ...{ hand: z.enum(['right', 'left']), pitchMm: z.number(), leadMm: z.number(), starts: z.number() },
  ...{ towards: z.enum(['chuck', 'tail']), reversed: z.boolean() },
  leadLabel: z.string(),
  train: z.strictObject({ drivers: z.array(z.number()), driven: z.array(z.number()) }).optional(),
  stopOpens: z.literal(true).optional(),
  counted: z.number(),
  overMm: z.number(),
};
export type ThreadSet = OfKind<'threadSet', typeof own>;

export const threadSet = {
  ...{ kind: 'threadSet', own, act: 'plain', turns: true, tailstock: 'carries' },
} as const satisfies KindOfOperation<ThreadSet>;
