import { z } from 'zod';
import { typedLengthSchema } from '../../quantity/index.ts';

/** How a chuck's screws move the work: jaws push it, the screws of a fine-adjusting body drag the body with it. */
export const truingSchema = z.strictObject({
  sense: z.enum(['push', 'drag']),
  /** travel of a jaw or screw for one turn of the key */
  mmPerTurn: z.number().min(0.1).max(20),
  /** what a clockwise turn of the key does */
  clockwise: z.enum(['tightens', 'slackens']),
});
export type Truing = z.infer<typeof truingSchema>;

/** The usual ways: an independent four-jaw, and a fine-adjusting body. */
export const usualTruing: Readonly<Record<'fourJaw' | 'fineAdjusting', Truing>> = {
  fourJaw: { sense: 'push', mmPerTurn: 4, clockwise: 'tightens' },
  fineAdjusting: { sense: 'drag', mmPerTurn: 1, clockwise: 'tightens' },
};

const four = z.tuple([typedLengthSchema, typedLengthSchema, typedLengthSchema, typedLengthSchema]);

/** What was read and done to bring one piece true, kept with its job. */
export const truingRecordSchema = z.strictObject({
  id: z.uuid(),
  at: z.iso.datetime(),
  what: z.enum(['fourJaw', 'fineAdjusting', 'firstMounting', 'casting', 'tailstock', 'bedTwist']),
  latheId: z.uuid().nullable(),
  chuckId: z.string().max(30).nullable(),
  wanted: typedLengthSchema,
  /** readings of each round near the jaws, as typed */
  rounds: z.array(four).max(30),
  /** what it came to, mm: runout left, or how much the tailstock was moved */
  resultMm: z.number().min(-100).max(100),
  note: z.string().max(200),
});
export type TruingRecord = z.infer<typeof truingRecordSchema>;
