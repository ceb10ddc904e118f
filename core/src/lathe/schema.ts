import { z } from 'zod';
import { lengthUnitSchema } from '../quantity/index.ts';
import { feedsSchema, threadsSchema } from './feed-schema.ts';
import { holdingSchema, toolPostSchema } from './holding-schema.ts';
import { slidesSchema, tailstockSchema, taperAttachmentSchema } from './slide-schema.ts';
import { spindleSchema } from './spindle-schema.ts';
import { upgradeLathe } from './upgrade.ts';

const millimetres = z.number().positive().max(20_000);
const minutes = z.number().min(0).max(240);

/** What any of these costs, minutes; belts, levers and gears carry their own. */
export const changeMinSchema = z.strictObject({ tool: minutes, chuck: minutes, setOver: minutes, compound: minutes });

/**
 * A lathe as it really is, in the order one walks round it. Lengths in mm, powers in kW; what is engraved in another unit
 * keeps it. `revision` counts the times its description was saved.
 */
export const latheSchema = z.strictObject({
  schema: z.literal(2),
  id: z.uuid(),
  revision: z.number().int().min(1).max(1_000_000),
  name: z.string().min(1).max(60),
  note: z.string().max(400),
  unit: lengthUnitSchema,
  drive: z.strictObject({ motorKw: z.number().positive().max(30), efficiency: z.number().min(0.3).max(1) }),
  spindle: spindleSchema,
  feeds: feedsSchema,
  threads: threadsSchema,
  slides: slidesSchema,
  tailstock: tailstockSchema,
  taperAttachment: taperAttachmentSchema.nullable(),
  sizes: z.strictObject({
    swingOverBedMm: millimetres,
    swingOverCrossSlideMm: millimetres,
    swingInGapMm: millimetres.nullable(),
    betweenCentresMm: millimetres,
  }),
  toolPost: toolPostSchema,
  holding: holdingSchema,
  rigidity: z.strictObject({
    usualDepthMm: z.number().positive().max(20),
    deepestCutMm: z.number().positive().max(30),
    /** share of a cut's depth that a trial cut fell short by; expected of a first cut */
    springShare: z.number().min(0).max(0.5).optional(),
  }),
  changeMin: changeMinSchema,
  /** which calibration is in force for what, by slot; what is missing stands as described */
  inForce: z.record(z.string().max(80), z.uuid()),
});
export type Lathe = z.infer<typeof latheSchema>;

/** A lathe from a file or the database: of this schema version or an older one. */
export const storedLatheSchema = z.preprocess(upgradeLathe, latheSchema);
