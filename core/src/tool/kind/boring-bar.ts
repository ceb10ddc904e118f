import { z } from 'zod';
import { lengthUnitSchema } from '../../quantity/index.ts';
import { anyTool, edgeFields } from './common.ts';

/** What a bar's shank is made of, with its modulus in GPa and how many diameters of it may stand out. FIELD 5; moduli are those of the metals */
export const BAR_SHANKS = {
  steel: { modulusGPa: 210, diameters: 4 },
  heavyMetal: { modulusGPa: 360, diameters: 6 },
  carbide: { modulusGPa: 580, diameters: 7 },
} as const;
export type BarShank = keyof typeof BAR_SHANKS;

/** How a bar that turns itself is carried: by its own two centres, or in a head on the spindle. */
export const BARS_TURN_BY = ['centres', 'head'] as const;
export type BarTurnsBy = (typeof BARS_TURN_BY)[number];

/** A bar that turns while the work stands, and the screw that brings its cutter out. */
const turnsSchema = z.strictObject({
  by: z.enum(BARS_TURN_BY),
  /** largest hole that its cutter comes out to */
  mostBoreMm: z.number().positive().max(2000),
  /** of a head whose cutter is turned inwards: the largest raw spigot that goes into it; it turns none where it is not given */
  mostSpigotMm: z.number().positive().max(2000).optional(),
  unit: lengthUnitSchema,
  /** along the cutter's own axis */
  travelPerTurn: z.string().regex(/^\d{1,2}(\.\d{1,5})?$/),
  divisions: z.number().int().min(1).max(1000),
  /** whether its numbers count the radius or the diameter */
  kind: z.enum(['radius', 'diameter']),
  /** between the cutter's axis and the bar's; square to it where it is not given */
  angleDeg: z.number().min(20).max(90).optional(),
  slackMm: z.number().min(0).max(2),
  /** what a clockwise turn of its screw does to the cutter */
  clockwise: z.enum(['out', 'in']),
});
export type BarTurns = z.infer<typeof turnsSchema>;

/** A boring bar: the smallest hole that it enters, its shank, and how far it can stand out of its holder. */
export const boringBarSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('boring bar'), ...edgeFields },
  leastBoreMm: z.number().positive().max(1000),
  shankMm: z.number().positive().max(200),
  shank: z.enum(Object.keys(BAR_SHANKS) as [BarShank, ...BarShank[]]),
  /** how far it can stand out; of one between centres, from centre to centre */
  reachMm: z.number().positive().max(2000),
  /** where it turns and the work stands; it stands in the post and the work turns where it is not given */
  turns: turnsSchema.optional(),
});
export type BoringBar = z.infer<typeof boringBarSchema>;

/** Whether a bar leaves a square corner at the bottom of a blind hole. */
export const facesFloors = ({ kappaDeg }: Pick<BoringBar, 'kappaDeg'>): boolean => kappaDeg >= 90;
