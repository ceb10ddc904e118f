import { z } from 'zod';

/** How the turner wants the work held; `auto` lets overhang and bending decide. Lengths in mm. */
export const holdChoiceSchema = z.strictObject({
  method: z.enum(['auto', 'chuck', 'chuckAndCentre']),
  /** grip on spare stock left of the part, or on the part's own left end */
  gripOn: z.enum(['spare', 'part']),
  /** 0: Whelk chooses */
  gripMm: z.number().min(0).max(500),
  clearanceMm: z.number().min(0).max(200),
  faceTailMm: z.number().min(0).max(20),
  faceHeadMm: z.number().min(0).max(20),
  kerfMm: z.number().min(0).max(20),
  /** the chuck it is held in; the one that is usually on where it is not given */
  chuckId: z
    .string()
    .regex(/^[a-zA-Z0-9-]{1,30}$/)
    .optional(),
  /** how the part comes off what is gripped; sawn where it is not given. A slot is widened where it is deep */
  cutOff: z.enum(['saw', 'slot']).optional(),
});
export type HoldChoice = z.infer<typeof holdChoiceSchema>;

/** What a shop usually leaves for holding and facing; a job takes it over when it is begun. */
export const holdHabitsSchema = holdChoiceSchema.omit({ method: true, gripMm: true, chuckId: true });
export type HoldHabits = z.infer<typeof holdHabitsSchema>;

/** The usual way: three-jaw on spare stock, 5 clear of the jaws, 1 to face at each end, 3 for the saw. */
export const usualHold: HoldChoice = {
  method: 'auto',
  gripOn: 'spare',
  gripMm: 0,
  clearanceMm: 5,
  faceTailMm: 1,
  faceHeadMm: 1,
  kerfMm: 3,
};
