import { z } from 'zod';
import { lengthUnitSchema, typedLengthSchema } from '../quantity/index.ts';

/** Most features a drawing holds; a manual turner's part has a dozen. */
export const MOST_FEATURES = 200;

const shortText = z.string().max(64);

/**
 * One outside cylinder along Z with the faces and edges that end it. Everything is kept as typed.
 * `limits`: of the diameter; `lengthLimits`: of the length; `edges`: chamfers at its left and right end, `1`, `1x45`, `1x30` or empty.
 */
export const featureSchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9]{1,12}$/),
  kind: z.literal('cylinder'),
  name: z.string().max(40),
  diameter: typedLengthSchema,
  limits: shortText,
  length: typedLengthSchema,
  lengthLimits: shortText,
  finish: shortText,
  faceFinish: shortText,
  edges: z.strictObject({ left: shortText, right: shortText }),
});
export type Feature = z.infer<typeof featureSchema>;

/** A turned part as drawn: features from left (headstock) to right (tailstock). `unit` is what new fields start with. */
export const drawingSchema = z.strictObject({
  schema: z.literal(1),
  unit: lengthUnitSchema,
  generalClass: z.enum(['f', 'm', 'c', 'v']),
  /** whole length as the paper drawing gives it, for checking the sum; empty text: not given */
  overall: typedLengthSchema,
  features: z.array(featureSchema).max(MOST_FEATURES),
});
export type Drawing = z.infer<typeof drawingSchema>;

/** A feature with nothing typed yet, in the drawing's unit. */
export function emptyFeature(id: string, unit: Drawing['unit']): Feature {
  const blank = { text: '', unit };
  return {
    id,
    kind: 'cylinder',
    name: '',
    diameter: blank,
    limits: '',
    length: blank,
    lengthLimits: '',
    finish: '',
    faceFinish: '',
    edges: { left: '', right: '' },
  };
}

/** A drawing with no feature yet. */
export function emptyDrawing(unit: Drawing['unit']): Drawing {
  return { schema: 1, unit, generalClass: 'm', overall: { text: '', unit }, features: [] };
}
