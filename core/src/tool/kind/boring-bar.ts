import { z } from 'zod';
import { anyTool, edgeFields } from './common.ts';

/** What a bar's shank is made of, with its modulus in GPa and how many diameters of it may stand out. FIELD 5; moduli are those of the metals */
export const BAR_SHANKS = {
  steel: { modulusGPa: 210, diameters: 4 },
  heavyMetal: { modulusGPa: 360, diameters: 6 },
  carbide: { modulusGPa: 580, diameters: 7 },
} as const;
export type BarShank = keyof typeof BAR_SHANKS;

/** A boring bar: the smallest hole that it enters, its shank, and how far it can stand out of its holder. */
export const boringBarSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('boring bar'), ...edgeFields },
  leastBoreMm: z.number().positive().max(1000),
  shankMm: z.number().positive().max(200),
  shank: z.enum(Object.keys(BAR_SHANKS) as [BarShank, ...BarShank[]]),
  reachMm: z.number().positive().max(2000),
});
export type BoringBar = z.infer<typeof boringBarSchema>;

/** Whether a bar leaves a square corner at the bottom of a blind hole. */
export const facesFloors = ({ kappaDeg }: Pick<BoringBar, 'kappaDeg'>): boolean => kappaDeg >= 90;
