import { z } from 'zod';

/** Ways that work is held in to be turned, as far as the route plans them. */
export const HOLD_METHODS = [
  'chuck',
  'chuckAndCentre',
  'betweenCentres',
  'mandrel',
  'expandingMandrel',
  'stubArbor',
  'adhesiveArbor',
  'faceplate',
] as const;
export type HoldMethod = (typeof HOLD_METHODS)[number];
const chuckId = z.string().regex(/^[a-zA-Z0-9-]{1,30}$/);
/** By which diameter a centre drill's speed is chosen: its cone's mouth, its pilot, or the work's own speed left as it is. */
export const CENTRE_SPEEDS = ['mouth', 'pilot', 'asTurned'] as const;
export type CentreSpeed = (typeof CENTRE_SPEEDS)[number];
/** What is cut in a holding: all that can be reached, or only the end with its centre hole. */
const extent = z.enum(['all', 'ends']);

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
  chuckId: chuckId.optional(),
  /** all within reach where it is not given */
  extent: extent.optional(),
  /** how fast a centre hole is drilled; by its mouth where it is not given */
  centreSpeed: z.enum(CENTRE_SPEEDS).optional(),
  /** how the part comes off what is gripped; sawn where it is not given. A slot is widened where it is deep */
  cutOff: z.enum(['saw', 'slot']).optional(),
});
export type HoldChoice = z.infer<typeof holdChoiceSchema>;

/** What a shop usually leaves for holding and facing; a job takes it over when it is begun. */
export const holdHabitsSchema = holdChoiceSchema
  .omit({ method: true, chuckId: true, extent: true })
  // settings of older versions have no usual grip
  .extend({ gripMm: holdChoiceSchema.shape.gripMm.optional() });
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

/** What goes between finished work and jaws or dog. */
export const PROTECTIONS = ['none', 'strips', 'ring', 'softJaws'] as const;

/** A holding after the first one: the piece is put in again, on what has been turned or on its hole. */
export const setupSchema = z.strictObject({
  id: z.uuid(),
  /** which end of the drawing stands at the tailstock */
  tail: z.enum(['left', 'right']),
  method: z.enum(['auto', ...HOLD_METHODS]),
  chuckId: chuckId.optional(),
  /** length, or step of a hole, that it is held by; Whelk chooses where it is not given */
  onId: z.string().max(80).optional(),
  /** 0: as long as jaws and length let it */
  gripMm: z.number().min(0).max(500),
  protect: z.enum(PROTECTIONS).optional(),
  extent: extent.optional(),
});
export type Setup = Readonly<z.infer<typeof setupSchema>>;
/** Most holdings after the first one that a job may have. */
export const MOST_SETUPS = 7;
