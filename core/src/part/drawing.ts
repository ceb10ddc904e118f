import { z } from 'zod';
import { decimalLimitsSchema } from '../limit/index.ts';
import { lengthUnitSchema, typedLengthSchema } from '../quantity/index.ts';
import { detailSchema } from './detail-schema.ts';
import { endViewSchema } from './end-view-schema.ts';
import { datumSchema, geometrySchema, mateSchema } from './geometry-schema.ts';
import { MOST_FEATURES, partId, shortText } from './schema-parts.ts';
import { wornSketchSchema } from './worn-schema.ts';

/** Shapes of the outside along Z; a ball takes as much length as its neighbours leave it. */
export const FEATURE_KINDS = ['cylinder', 'taper', 'arc', 'ball'] as const;
export type FeatureKind = (typeof FEATURE_KINDS)[number];

/**
 * One length of the outside along Z with the faces and edges that end it. Everything is kept as typed; what a kind does not ask
 * for stays, so that changing the kind to and fro loses nothing.
 * `diameter`: of a cylinder or ball, else at the headstock end; `limits`: of it; `edges`: chamfers `1`, `1x45`, or rounds `R2`.
 */
export const featureSchema = z.strictObject({
  id: partId,
  kind: z.enum(FEATURE_KINDS),
  name: z.string().max(40),
  diameter: typedLengthSchema,
  limits: shortText,
  length: typedLengthSchema,
  lengthLimits: shortText,
  finish: shortText,
  faceFinish: shortText,
  edges: z.strictObject({ left: shortText, right: shortText }),
  /** taper and arc: diameter at the tailstock end */
  end: typedLengthSchema.optional(),
  /** taper: `1:20`, `5°` to the axis, `10° incl`, `0.6/ft`; falling towards the tailstock, with a minus rising */
  taper: shortText.optional(),
  /** arc: its radius */
  radius: typedLengthSchema.optional(),
  /** arc: curved into the metal instead of out of it */
  hollow: z.boolean().optional(),
  details: z.array(detailSchema).max(20),
});
export type Feature = z.infer<typeof featureSchema>;

/** What a hole from one end is made of, from its face inwards. */
export const BORE_KINDS = ['drilled', 'bored', 'reamed', 'counterbored', 'countersunk', 'taper'] as const;
export type BoreKind = (typeof BORE_KINDS)[number];

/** One length of a hole on the axis. `length` from where the one before it ends; empty on the last: right through. */
export const boreStepSchema = z.strictObject({
  id: partId,
  kind: z.enum(BORE_KINDS),
  name: z.string().max(40),
  diameter: typedLengthSchema,
  limits: shortText,
  length: typedLengthSchema,
  lengthLimits: shortText,
  finish: shortText,
  /** countersunk and taper: diameter at its inner end */
  end: typedLengthSchema.optional(),
  taper: shortText.optional(),
  details: z.array(detailSchema).max(20),
});
export type BoreStep = z.infer<typeof boreStepSchema>;

/**
 * A plane across the axis that sizes along Z may go from or to: an end of the part, an end of an outside feature, or the inner
 * end of a step of a hole.
 */
const planeSchema = z.strictObject({ id: z.union([partId, z.literal('part')]), side: z.enum(['left', 'right']) });
export type PlaneName = z.infer<typeof planeSchema>;

/** A size along Z beside the chain of lengths: from a datum, over several features, from face to hole. */
export const dimensionSchema = z.strictObject({
  id: partId,
  from: planeSchema,
  to: planeSchema,
  size: typedLengthSchema,
  limits: shortText,
});
export type Dimension = z.infer<typeof dimensionSchema>;

/** What happens at an end of the part. Centre hole: empty, or `A2.5`, `B 4`, `R2`. */
const endSchema = z.strictObject({
  centre: z.string().max(16),
  centreStays: z.boolean(),
  made: z.enum(['faced', 'parted', 'asBar']),
  /** gripped while the rest is made, and taken off at last; empty: none */
  spigot: z.strictObject({ diameter: typedLengthSchema, length: typedLengthSchema }).nullable(),
});
export type PartEnd = z.infer<typeof endSchema>;

/** A turned part as drawn: features from left (headstock) to right (tailstock). `unit` is what new fields start with. */
export const drawingSchema = z.strictObject({
  schema: z.literal(2),
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

const plainEnd: PartEnd = { centre: '', centreStays: false, made: 'faced', spigot: null };

/** A drawing with no feature yet. */
export function emptyDrawing(unit: Drawing['unit']): Drawing {
  return {
    schema: 2,
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

/** A drawing of any older version in the present one; what is no such drawing is passed through, for the schema to refuse. */
export function upgradeDrawing(document: unknown): unknown {
  const old = document as { schema?: unknown; unit?: Drawing['unit']; features?: unknown };
  if (typeof document !== 'object' || document === null || old.schema !== 1) return document;
  const features = Array.isArray(old.features) ? old.features.map((f) => ({ ...f, details: [] })) : old.features;
  return { ...emptyDrawing(old.unit ?? 'mm'), ...old, schema: 2, features };
}

/** A drawing from the database, a file or a frozen run: of this schema version or an older one. */
export const storedDrawingSchema = z.preprocess(upgradeDrawing, drawingSchema);
