import { z } from 'zod';
import { instrumentSchema } from '../gauge/index.ts';
import { calibrationSchema, storedLatheSchema } from '../lathe/index.ts';
import { shopMaterialSchema } from '../material/index.ts';
import { asFrozenRun, frozenRunSchema, type RunEvent, storedEventSchema, upgradeEvents } from '../run/index.ts';
import { barSchema } from '../stock/index.ts';
import { holderRecordSchema, insertRecordSchema, storedToolSchema } from '../tool/index.ts';
import { settingsSchema, storedJobSchema } from './schema.ts';

/** A run in a file: the frozen plan it follows and its events. The plan was made by Whelk and is read back as it is. */
const storedRunSchema = z.strictObject({
  id: z.uuid(),
  piece: z.number().int().min(1),
  /** which holding of the job it was; files of older versions know the first alone */
  setup: z.number().int().min(1).max(20).optional(),
  startedAt: z.iso.datetime(),
  frozen: frozenRunSchema,
  events: z.array(storedEventSchema).max(20_000),
});
/** As it is read: events of older versions say what had been told. */
const runFileSchema = storedRunSchema.transform((run) => ({
  ...run,
  events: [...upgradeEvents(asFrozenRun(run.frozen), run.events)] as RunEvent[],
}));

/** One job with what it refers to and everything cut for it: `.json`, format `whelk.job`. */
export const jobFileSchema = z.strictObject({
  format: z.literal('whelk.job'),
  schema: z.literal(1),
  exportedAt: z.iso.datetime(),
  job: storedJobSchema,
  bar: barSchema.nullable(),
  lathe: storedLatheSchema.nullable(),
  runs: z.array(runFileSchema).max(2000),
});
export type JobFile = z.infer<typeof jobFileSchema>;

/** A whole shop: `.json`, format `whelk.shop`. The demo shop is one. */
export const shopFileSchema = z.strictObject({
  format: z.literal('whelk.shop'),
  schema: z.literal(1),
  exportedAt: z.iso.datetime(),
  settings: settingsSchema,
  lathes: z.array(storedLatheSchema).max(100),
  bars: z.array(barSchema).max(2000),
  tools: z.array(storedToolSchema).max(2000),
  instruments: z.array(instrumentSchema).max(500),
  holders: z.array(holderRecordSchema).max(1000).default([]),
  inserts: z.array(insertRecordSchema).max(2000).default([]),
  materials: z.array(shopMaterialSchema).max(500).default([]),
  calibrations: z.array(calibrationSchema).max(5000).default([]),
  jobs: z
    .array(z.strictObject({ id: z.uuid(), job: storedJobSchema, runs: z.array(runFileSchema).max(2000) }))
    .max(5000),
});
export type ShopFile = z.infer<typeof shopFileSchema>;
export type RunFile = z.infer<typeof runFileSchema>;
