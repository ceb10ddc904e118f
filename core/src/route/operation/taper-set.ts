import { z } from 'zod';
import type { KindOfOperation, OfKind } from './kind.ts';
import { TAPER_BY } from './taper.ts';

/** How the lathe is set for a cone, by what; lengths in mm, angles in degrees. */
export const taperSettingSchema = z.discriminatedUnion('by', [
  z.strictObject({
    by: z.literal('compound'),
    /** as the lathe's own scale marks it, what an eye is off there, and what that makes of the diameter over the cone */
    ...{ scaleDeg: z.number(), eyeDeg: z.number(), eyeMm: z.number() },
    /** how far the slide goes along the cone, and where it begins */
    ...{ travelMm: z.number(), beginsMm: z.number() },
  }),
  z.strictObject({
    by: z.literal('setOver'),
    /** exactly, by the rule of small angles, between where the work turns, and how much nearer the tail centre comes */
    ...{ offsetMm: z.number(), byRuleMm: z.number(), pivotsMm: z.number(), nearerMm: z.number() },
    way: z.enum(['tool', 'away']),
    /** ball-ended centres bear better */
    balls: z.boolean(),
  }),
  z.strictObject({ by: z.literal('attachment'), graduated: z.enum(['degrees', 'taperOnDiameter']) }),
]);
export type TaperSetting = Readonly<z.infer<typeof taperSettingSchema>>;

const own = {
  side: z.enum(['outside', 'inside']),
  ...{ perLength: z.number(), halfDeg: z.number(), lengthMm: z.number() },
  set: taperSettingSchema,
  /** what an indicator rises while its slide or the carriage goes so far: it proves the setting before anything is cut */
  ...{ overMm: z.number(), risesMm: z.number() },
  /** half the cone's angle may be off by so much */
  toleranceDeg: z.number(),
};
export type TaperSet = OfKind<'taperSet', typeof own>;
const backOwn = { by: z.enum(TAPER_BY), offsetMm: z.number().optional() };
export type TaperBack = OfKind<'taperBack', typeof backOwn>;

/** The lathe set for a cone, and proved by indicator. */
export const taperSet = {
  ...{ kind: 'taperSet', own, act: 'plain', turns: false, tailstock: 'carries' },
} as const satisfies KindOfOperation<TaperSet>;
/** What was set for a cone is put back, and proved. */
export const taperBack = {
  ...{ kind: 'taperBack', own: backOwn, act: 'plain', turns: false, tailstock: 'carries' },
} as const satisfies KindOfOperation<TaperBack>;
