import { z } from 'zod';
import { lengthUnitSchema } from '../quantity/index.ts';

/**
 * A graduated ring. `travelPerTurn` is the slide's true travel; on a `diameter` dial the numbers count twice that.
 * `clockwiseMoves` says where a clockwise turn takes the slide: cross-slide `in` (to the axis) or `out`; carriage and compound
 * `in` is towards the chuck; the quill `in` is back into the tailstock.
 */
export const dialSchema = z.strictObject({
  means: z.literal('dial'),
  unit: lengthUnitSchema,
  travelPerTurn: z.string().regex(/^\d{1,3}(\.\d{1,5})?$/),
  divisions: z.number().int().min(1).max(1000),
  kind: z.enum(['radius', 'diameter']),
  clockwiseMoves: z.enum(['in', 'out']),
  numbersRise: z.enum(['clockwise', 'anticlockwise']),
  resettable: z.boolean(),
  slackMm: z.number().min(0).max(5),
  travelMm: z.number().positive().max(10_000),
  /** true travel over the ring's, where an indicator showed that the screw is not what the ring says */
  scale: z.number().min(0.9).max(1.1).optional(),
});
export type Dial = z.infer<typeof dialSchema>;

/** A slide without a graduated ring: its place is a scribed line, set by rule. */
const lineSchema = z.strictObject({
  means: z.literal('line'),
  unit: lengthUnitSchema,
  resolutionMm: z.number().positive(),
  travelMm: z.number().positive().max(10_000),
});
export type LineMeans = z.infer<typeof lineSchema>;

/** The slides with their dials, and what else tells or stops them. */
export const slidesSchema = z.strictObject({
  crossSlide: dialSchema,
  carriage: z.discriminatedUnion('means', [dialSchema, lineSchema]),
  compound: dialSchema,
  /** while the work stands on the slide: the screw that brings the cutter out of its bar or head, which sets the depth then */
  cutter: dialSchema.extend({ of: z.enum(['bar', 'head']) }).optional(),
  /** where the compound's scale stands at 0: square to the bed along the cross-slide, or along the bed */
  compoundZero: z.enum(['crossSlide', 'bed']),
  /** a digital readout and what its cross axis shows; null: there is none */
  readout: z
    .strictObject({
      axes: z.array(z.enum(['crossSlide', 'carriage', 'compound'])).max(3),
      resolutionMm: z.number().positive().max(0.1),
      crossShows: z.enum(['radius', 'diameter']),
    })
    .nullable(),
  stops: z.strictObject({ carriage: z.boolean(), crossSlide: z.boolean() }),
});

export const tailstockSchema = z.strictObject({
  quillTravelMm: z.number().positive().max(1000),
  taper: z.string().max(20),
  /** farthest it can be set over to one side, mm; 0: it cannot */
  setOverMm: z.number().min(0).max(100),
  dial: dialSchema.nullable(),
});

export const taperAttachmentSchema = z.strictObject({
  lengthMm: z.number().positive().max(2000),
  mostDeg: z.number().positive().max(45),
  graduated: z.enum(['degrees', 'taperOnDiameter']),
});
