import { z } from 'zod';
import { calibrationSchema } from './calibration.ts';
import { storedLatheSchema } from './schema.ts';

/** One lathe with every measurement of itself: `.json`, format `whelk.lathe`. */
export const latheFileSchema = z.strictObject({
  format: z.literal('whelk.lathe'),
  schema: z.literal(1),
  exportedAt: z.iso.datetime(),
  lathe: storedLatheSchema,
  calibrations: z.array(calibrationSchema).max(2000),
});
