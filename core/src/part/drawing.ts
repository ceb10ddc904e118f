import { z } from 'zod';
import { decimalLimitsSchema } from '../limit/index.ts';
import { lengthUnitSchema, typedLengthSchema } from '../quantity/index.ts';
import { datumSchema, geometrySchema, mateSchema } from './geometry-schema.ts';
import { MOST_FEATURES, partId, shortText } from './schema-parts.ts';
import { arcFields } from './shape/arc.ts';
import { type BoreStep, boreStepSchema } from './shape/bore.ts';
import { detailSchema } from './shape/details.ts';
import { lengthFields } from './shape/drawn.ts';
import { endSchema, plainEnd } from './shape/end.ts';
import { endViewSchema } from './shape/end-view.ts';
import { FEATURE_KINDS, type FeatureKind } from './shape/outside.ts';
import { taperFields } from './shape/taper.ts';
import type { BoreKind } from './surface.ts';
import { surfaceIdSchema } from './surface-id.ts';
import { wornSketchSchema } from './worn-schema.ts';

/**
 * One length of the outside along Z with the faces and edges that end it. Everything is kept as typed; what a kind does not ask
 * for stays, so that changing the kind to and fro loses nothing.
 * `diameter`: of a cylinder or ball, else at the headstock end; `limits`: of it; `edges`: chamfers `1`, `1x45`, or rounds `R2`.
 */
export const featureSchema = z.strictObject({
  ...lengthFields,
  kind: z.enum(FEATURE_KINDS),
  ...taperFields,
  ...arcFields,
  details: z.array(detailSchema).max(20),
});
export type Feature = z.infer<typeof featureSchema>;

/** A size along Z beside the chain of lengths: from a datum, over several features, from face to hole; planes by their names. */
export const dimensionSchema = z.strictObject({
  id: partId,
  from: surfaceIdSchema,
  to: surfaceIdSchema,
  size: typedLengthSchema,
  limits: shortText,
});
export type Dimension = z.infer<typeof dimensionSchema>;

/** A turned part as drawn: features from left (headstock) to right (tailstock). `unit` is what new fields start with. */
export const drawingSchema = z.strictObject({
  schema: z.literal(3),
  unit: lengthUnitSchema,
  generalClass: z.enum(['f', 'm', 'c', 'v']),
  /** whole length as the paper drawing gives it, for checking the sum; empty text: not given */
  overall: typedLengthSchema,
  features: z.array(featureSchema).max(MOST_FEATURES),
  /** holes on the axis, each from its own face inwards */
  bores: z.strictObject({ left: z.array(boreStepSchema).max(40), right: z.array(boreStepSchema).max(40) }),
  dimensions: z.array(dimensionSchema).max(MOST_FEATURES),
  ends: z.strictObject({ left: endSchema, right: endSchema }),
  endView: endViewSchema,
  /** letter or number of the drawing's issue, as a title block has it; changed by hand, apart from what is saved */
  issue: z.string().max(8).optional(),
  /** tolerances by the decimals of a size; where given they stand in the place of the general class */
  decimals: decimalLimitsSchema.optional(),
  datums: z.array(datumSchema).max(10).optional(),
  geometry: z.array(geometrySchema).max(40).optional(),
  mates: z.array(mateSchema).max(20).optional(),
  /** what was measured where the part is a copy of a worn one */
  worn: wornSketchSchema.optional(),
});
export type Drawing = z.infer<typeof drawingSchema>;

/** A feature with nothing typed yet, in the drawing's unit. */
export function emptyFeature(id: string, unit: Drawing['unit'], kind: FeatureKind = 'cylinder'): Feature {
  const blank = { text: '', unit };
  return {
    id,
    kind,
    name: '',
    diameter: blank,
    limits: '',
    length: blank,
    lengthLimits: '',
    finish: '',
    faceFinish: '',
    edges: { left: '', right: '' },
    details: [],
  };
}

/** A step of a hole with nothing typed yet. */
export function emptyBoreStep(id: string, unit: Drawing['unit'], kind: BoreKind = 'drilled'): BoreStep {
  const blank = { text: '', unit };
  return {
    ...{ id, kind, name: '', diameter: blank, limits: '', length: blank, lengthLimits: '', finish: '' },
    details: [],
  };
}

/** A drawing with no feature yet. */
export function emptyDrawing(unit: Drawing['unit']): Drawing {
  return {
    schema: 3,
    unit,
    generalClass: 'm',
    overall: { text: '', unit },
    features: [],
    bores: { left: [], right: [] },
    dimensions: [],
    ends: { left: plainEnd, right: plainEnd },
    endView: { holes: [], flats: [], notes: [] },
  };
}
