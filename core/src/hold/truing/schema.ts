import { z } from 'zod';
import { typedLengthSchema } from '../../quantity/index.ts';

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
