import { z } from 'zod';
import { typedLengthSchema } from '../quantity/index.ts';
import { partId, shortText } from './schema-parts.ts';
import { surfaceIdSchema } from './surface-id.ts';

/** Geometrical tolerances that a turner holds against a datum. */
export const GEOMETRY_KINDS = ['runout', 'concentricity', 'squareness', 'parallelism'] as const;
export type GeometryKind = (typeof GEOMETRY_KINDS)[number];
/** Which of them are of round surfaces, and which of faces. */
export const geometryOf: Readonly<Record<GeometryKind, readonly ('round' | 'face')[]>> = {
  runout: ['round', 'face'],
  concentricity: ['round'],
  squareness: ['face'],
  parallelism: ['face'],
};

/** Surfaces that others are held to, by letter. */
export const datumSchema = z.strictObject({ letter: z.string().regex(/^[A-Z]$/), on: surfaceIdSchema });
export type Datum = z.infer<typeof datumSchema>;

/** A geometrical tolerance: of which surface, how much, to which datum. */
export const geometrySchema = z.strictObject({
  id: partId,
  kind: z.enum(GEOMETRY_KINDS),
  on: surfaceIdSchema,
  tolerance: typedLengthSchema,
  /** letter of a datum */
  datum: z.string().max(1),
});
export type Geometry = z.infer<typeof geometrySchema>;

/**
 * A piece that a feature goes together with. `measured` is its size; of a piece of another job the size that was last read
 * there. The wanted clearance is how much the hole is larger than the shaft, negative for a press fit.
 */
export const mateSchema = z.strictObject({
  id: partId,
  /** outside feature, step of a hole, or a thread on one: of a thread all sizes are pitch diameters */
  on: partId,
  note: z.string().max(60),
  measured: typedLengthSchema,
  least: shortText,
  most: shortText,
  unit: z.enum(['mm', 'in']),
  /** the piece of another job that was measured, where the size comes from there */
  from: z
    .strictObject({ jobId: z.uuid(), featureId: partId, piece: z.number().int().min(1).max(1000).nullable() })
    .nullable(),
});
export type Mate = z.infer<typeof mateSchema>;
