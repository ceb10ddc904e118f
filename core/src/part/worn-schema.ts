import { z } from 'zod';
import { typedLengthSchema } from '../quantity/index.ts';
import { partId, shortText } from './schema-parts.ts';

const line = z.string().max(200);

/**
 * What was measured at a worn part that is copied: its surfaces from the headstock end, and holes by their spans. Kept with the
 * drawing that was made of it.
 */
export const wornSketchSchema = z.strictObject({
  surfaces: z
    .array(
      z.strictObject({
        id: partId,
        where: z.enum(['outside', 'left', 'right']),
        name: z.string().max(40),
        /** which instrument read it; null: not said */
        instrumentId: z.uuid().nullable(),
        readings: line,
        /** worn, sound, or not to be measured at all: taken from the piece that it goes with */
        state: z.enum(['worn', 'sound', 'mate']),
        /** the size it was made to; empty: the likeliest */
        nominal: typedLengthSchema,
        length: typedLengthSchema,
        /** the piece it goes with, and the clearance wanted: hole less shaft */
        mate: z.strictObject({ measured: typedLengthSchema, least: z.string().max(64), most: z.string().max(64) }),
        /** chamfers and rounds of an outside, as a drawing writes them */
        edges: z.strictObject({ left: shortText, right: shortText }).optional(),
        /** how a step of a hole was made */
        made: z.enum(['drilled', 'bored', 'counterbored']).optional(),
        /** a neck at one of its ends: its width and the diameter of its floor */
        undercut: z
          .strictObject({ from: z.enum(['left', 'right']), width: typedLengthSchema, floor: typedLengthSchema })
          .optional(),
      }),
    )
    .max(60),
  circles: z
    .array(
      z.strictObject({
        id: partId,
        count: z.number().int().min(2).max(100),
        way: z.enum(['neighbours', 'opposite']),
        of: z.enum(['outsides', 'insides', 'centres']),
        span: typedLengthSchema,
        hole: typedLengthSchema,
        side: z.enum(['left', 'right']),
      }),
    )
    .max(20),
  /** holes across the axis: the first is the one that angles are counted from, the others by a span to it round the outside */
  radials: z
    .array(
      z.strictObject({
        id: partId,
        /** from the headstock end to its centre */
        place: typedLengthSchema,
        hole: typedLengthSchema,
        /** empty: right through */
        depth: typedLengthSchema,
        of: z.enum(['outsides', 'insides', 'centres']),
        /** empty: it lies where angles are counted from */
        span: typedLengthSchema,
      }),
    )
    .max(20)
    .optional(),
});
export type WornSketch = z.infer<typeof wornSketchSchema>;
export type WornSurface = WornSketch['surfaces'][number];
export type WornCircle = WornSketch['circles'][number];
export type WornRadial = NonNullable<WornSketch['radials']>[number];
