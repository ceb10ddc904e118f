import { z } from 'zod';

/** What is left of a bar besides the part itself, mm: to be faced off both ends, sawn or parted away, and kept clear of the jaws. */
export const allowancesSchema = z.strictObject({
  clearanceMm: z.number().min(0).max(200),
  faceTailMm: z.number().min(0).max(20),
  faceHeadMm: z.number().min(0).max(20),
  kerfMm: z.number().min(0).max(20),
  /** how the part comes off what is gripped; sawn where it is not given. A slot is widened where it is deep */
  cutOff: z.enum(['saw', 'slot']).optional(),
});
export type Allowances = Readonly<z.infer<typeof allowancesSchema>>;

/** The usual: 5 clear of the jaws, 1 to face at each end, 3 for the saw. */
export const usualAllowances: Allowances = { clearanceMm: 5, faceTailMm: 1, faceHeadMm: 1, kerfMm: 3 };
