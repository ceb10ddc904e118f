import { z } from 'zod';
import { lengthUnitSchema, typedLengthSchema } from '../quantity/index.ts';

/** A belt, lever or gear train: named positions, what a change of it costs, and whether the spindle must stand still. */
export const controlSchema = z.strictObject({
  id: z.string().regex(/^[a-zA-Z0-9-]{1,30}$/),
  name: z.string().min(1).max(40),
  kind: z.enum(['lever', 'belt', 'changeGears', 'knob']),
  positions: z.array(z.string().min(1).max(20)).min(1).max(24),
  changeMin: z.number().min(0).max(60),
  stopFirst: z.boolean(),
});
export type Control = z.infer<typeof controlSchema>;

/** Which position each control stands in. */
const atSchema = z.record(z.string(), z.string());

const spindleSettingSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('fixed'), at: atSchema, rpm: z.number().positive().max(10_000) }),
  z.strictObject({
    kind: z.literal('stepless'),
    at: atSchema,
    minRpm: z.number().positive(),
    maxRpm: z.number().positive().max(10_000),
    baseRpm: z.number().positive(),
  }),
]);
export type SpindleSetting = z.infer<typeof spindleSettingSchema>;

const feedSettingSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('marked'), at: atSchema, perRev: typedLengthSchema }),
  z.strictObject({
    kind: z.literal('gears'),
    at: atSchema,
    pairs: z
      .array(z.tuple([z.number().int().min(10).max(200), z.number().int().min(10).max(200)]))
      .min(1)
      .max(4),
  }),
]);
export type FeedSetting = z.infer<typeof feedSettingSchema>;

/**
 * A graduated ring. `travelPerTurn` is the slide's true travel; on a `diameter` dial the numbers count twice that.
 * `clockwiseMoves` says where a clockwise turn takes the slide: cross-slide `in` (to the axis) or `out`; carriage and compound
 * `in` is towards the chuck.
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

/** A lathe as it really is. Lengths in mm; powers in kW; what is engraved in another unit keeps it. */
export const latheSchema = z.strictObject({
  schema: z.literal(1),
  id: z.uuid(),
  name: z.string().min(1).max(60),
  note: z.string().max(400),
  unit: lengthUnitSchema,
  swingOverBedMm: z.number().positive(),
  swingOverCrossSlideMm: z.number().positive(),
  betweenCentresMm: z.number().positive(),
  spindleBoreMm: z.number().positive(),
  nose: z.enum(['screwed', 'key', 'cam']),
  motorKw: z.number().positive().max(30),
  driveEfficiency: z.number().min(0.3).max(1),
  spindle: z.strictObject({ controls: z.array(controlSchema).max(6), settings: z.array(spindleSettingSchema).max(60) }),
  feeds: z.strictObject({
    controls: z.array(controlSchema).max(6),
    settings: z.array(feedSettingSchema).max(80),
    leadscrewLead: typedLengthSchema,
  }),
  slides: z.strictObject({
    crossSlide: dialSchema,
    carriage: z.discriminatedUnion('means', [dialSchema, lineSchema]),
    compound: dialSchema,
  }),
  chuck: z.strictObject({
    name: z.string().min(1).max(40),
    maxRpm: z.number().positive(),
    forceN: z.number().positive(),
    jawsGripUpToMm: z.number().positive(),
    jawLengthMm: z.number().positive(),
    runoutMm: z.number().min(0).max(1),
  }),
  quillTravelMm: z.number().positive(),
  usualDepthMm: z.number().positive().max(20),
  deepestCutMm: z.number().positive().max(30),
});
export type Lathe = z.infer<typeof latheSchema>;
