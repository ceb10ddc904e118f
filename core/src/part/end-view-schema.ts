import { z } from 'zod';
import { typedLengthSchema } from '../quantity/index.ts';
import { partId, shortText } from './schema-parts.ts';

const angle = z.string().max(16);

/** What is seen along the axis: holes beside it, holes across it, flats, and what only a note can say. */
export const endViewSchema = z.strictObject({
  holes: z
    .array(
      z.strictObject({
        id: partId,
        name: z.string().max(40),
        /** along the axis from an end, or across it at a distance from the left face */
        way: z.enum(['left', 'right', 'radial']),
        /** along: diameter of the circle its centre lies on; across: distance from the left face */
        place: typedLengthSchema,
        count: z.number().int().min(1).max(100),
        /** of the first, anticlockwise from three o'clock as seen from the tailstock */
        angle,
        diameter: typedLengthSchema,
        limits: shortText,
        /** empty: right through */
        depth: typedLengthSchema,
        counterbore: z.strictObject({ diameter: typedLengthSchema, depth: typedLengthSchema }).nullable(),
      }),
    )
    .max(60),
  flats: z
    .array(
      z.strictObject({
        id: partId,
        /** distance across two opposite flats, or from one flat to the other side */
        across: typedLengthSchema,
        count: z.number().int().min(1).max(12),
        angle,
        from: z.enum(['left', 'right']),
        length: typedLengthSchema,
      }),
    )
    .max(20),
  /** keyways and whatever else is milled or sawn: kept in words */
  notes: z.array(z.strictObject({ id: partId, angle, text: z.string().max(120) })).max(20),
});
export type EndView = z.infer<typeof endViewSchema>;
export type CrossHole = EndView['holes'][number];
export type Flat = EndView['flats'][number];
