import { z } from 'zod';
import { standBesidesSchema } from '../lathe/index.ts';
import { typedLengthSchema } from '../quantity/index.ts';

const common = {
  schema: z.literal(1),
  id: z.uuid(),
  runId: z.uuid(),
  piece: z.number().int().min(1).max(10_000),
  device: z.uuid(),
  seq: z.number().int().min(1).max(1_000_000),
  parents: z.array(z.uuid()).max(16),
  /** client's clock; never used for order */
  at: z.iso.datetime(),
  /** server's clock, set on arrival */
  receivedAt: z.iso.datetime().optional(),
};
const stepId = z.string().min(1).max(80);

/** Everything that can happen in a run. Corrections and undoing are events of their own; nothing is ever changed. */
export const runEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...common, kind: z.literal('done'), stepId }),
  z.strictObject({ ...common, kind: z.literal('undone'), eventId: z.uuid() }),
  z.strictObject({
    ...common,
    kind: z.literal('touchedOff'),
    stepId,
    diameter: typedLengthSchema,
    crossNumber: z.string().max(16),
    endNumber: z.string().max(16),
    approach: z.enum(['in', 'out']),
  }),
  z.strictObject({
    ...common,
    kind: z.literal('reading'),
    stepId,
    raw: typedLengthSchema,
    instrumentId: z.uuid(),
    place: z.string().max(40),
  }),
  z.strictObject({ ...common, kind: z.literal('corrected'), readingId: z.uuid(), raw: typedLengthSchema }),
  z.strictObject({ ...common, kind: z.literal('cutAgain'), stepId }),
  /** where a belt, lever or gear really stands, when it is not where it was thought; empty: not known. Besides: chuck, locks … */
  z.strictObject({
    ...common,
    kind: z.literal('stands'),
    stepId,
    positions: z.record(z.string().max(30), z.string().max(20)),
    besides: standBesidesSchema.optional(),
  }),
  z.strictObject({ ...common, kind: z.literal('note'), stepId, text: z.string().min(1).max(2000) }),
  z.strictObject({
    ...common,
    kind: z.literal('ended'),
    outcome: z.enum(['finished', 'cannotBePutBack', 'stopped']),
    reason: z.string().max(400),
  }),
]);
export type RunEvent = z.infer<typeof runEventSchema>;
export type RunEventKind = RunEvent['kind'];
