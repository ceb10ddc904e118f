import { z } from 'zod';
import { anyTool } from './common.ts';

/** What every bit that cuts a thread by its form has. */
const form = {
  ...anyTool,
  /** between its flanks */
  angleDeg: z.number().min(0).max(120),
  /** half angle of the flank that carries, where the two are unequal */
  carryingDeg: z.number().min(0).max(60).optional(),
  /** flat at its point; one ground round has a radius instead */
  tipMm: z.number().min(0).max(40),
  radiusMm: z.number().positive().max(10).optional(),
  /** how deep its form goes, and how broad it is there and above */
  deepestMm: z.number().positive().max(60),
  widthMm: z.number().positive().max(100),
  /** clearance ground under each flank; a steep thread rubs on one that has too little. Not looked at where it is not given */
  reliefDeg: z.number().min(0).max(40).optional(),
};

/** A bit for outside threads of one form. */
export const threadingToolSchema = z.strictObject({ ...form, kind: z.literal('threading') });
export type ThreadingTool = z.infer<typeof threadingToolSchema>;

/** One on a bar for threads in holes: the smallest hole that it enters, and how far in it reaches. */
export const insideThreadingSchema = z.strictObject({
  ...{ ...form, kind: z.literal('inside threading'), leastBoreMm: z.number().positive().max(1000) },
  reachMm: z.number().positive().max(2000),
});
export type InsideThreadingTool = z.infer<typeof insideThreadingSchema>;

const designation = z.string().min(2).max(40);
/** A tap, by the thread that it cuts; whether it is a bottoming one. */
export const tapSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('tap'), designation, hand: z.enum(['right', 'left']) },
  /** threads at its front that are not full */
  leadsOver: z.number().min(1).max(20),
});
export type Tap = z.infer<typeof tapSchema>;
/** A die, by the thread that it cuts. */
export const dieSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('die'), designation, hand: z.enum(['right', 'left']) },
});
export type Die = z.infer<typeof dieSchema>;
