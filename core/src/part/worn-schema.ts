import { z } from 'zod';
import { typedLengthSchema } from '../quantity/index.ts';
import { partId } from './schema-parts.ts';

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
});
export type WornSketch = z.infer<typeof wornSketchSchema>;
export type WornSurface = WornSketch['surfaces'][number];
export type WornCircle = WornSketch['circles'][number];
