import { z } from 'zod';

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
export const positionsSchema = z.record(z.string().max(30), z.string().max(20));
export type Positions = Readonly<Record<string, string>>;

/** Torque at the spindle over speed, where a range was measured or its plate shows it; straight between the points. */
const torqueCurveSchema = z
  .array(z.strictObject({ rpm: z.number().positive().max(10_000), torqueNm: z.number().positive().max(10_000) }))
  .max(12);

const perSetting = {
  at: positionsSchema,
  /** turns the spindle still makes after it is switched off at this speed */
  stopTurns: z.number().min(0).max(500).optional(),
  torque: torqueCurveSchema.optional(),
};
const spindleSettingSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...perSetting, kind: z.literal('fixed'), rpm: z.number().positive().max(10_000) }),
  z.strictObject({
    ...perSetting,
    kind: z.literal('stepless'),
    minRpm: z.number().positive(),
    maxRpm: z.number().positive().max(10_000),
    baseRpm: z.number().positive(),
  }),
  /** a speed that follows from its belts and gears: diameters or teeth, driver and driven, from the motor on */
  z.strictObject({
    ...perSetting,
    kind: z.literal('pulleys'),
    motorRpm: z.number().positive().max(20_000),
    pairs: z
      .array(z.tuple([z.number().positive().max(1000), z.number().positive().max(1000)]))
      .min(1)
      .max(4),
  }),
]);
export type SpindleSetting = z.infer<typeof spindleSettingSchema>;
/** A setting whose speed or range is known as a figure. */
export type SpeedSetting = Exclude<SpindleSetting, { kind: 'pulleys' }>;

/** The headstock: what sets the speed, what must not stand together, and the nose that carries the chuck. */
export const spindleSchema = z.strictObject({
  controls: z.array(controlSchema).max(6),
  settings: z.array(spindleSettingSchema).max(60),
  /** positions that must never stand together, with the reason */
  forbidden: z.array(z.strictObject({ at: positionsSchema, why: z.string().max(120) })).max(40),
  nose: z.strictObject({
    kind: z.enum(['screwed', 'key', 'cam']),
    /** thread or size, as the lathe's book names it */
    size: z.string().max(40),
    /** a screwed chuck is kept from unscrewing by a lock */
    locked: z.boolean(),
  }),
  boreMm: z.number().positive(),
  taper: z.string().max(20),
});
