import { z } from 'zod';
import { anyTool } from './common.ts';

const width = z.number().positive().max(30);

/**
 * A blade for grooves and for parting: its width, how deep it reaches, and whether it is ground square. One whose front leans leaves
 * the pip on one chosen piece, and a slanted floor: it parts, and cuts no groove.
 */
export const bladeSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('blade'), widthMm: width, reachMm: z.number().positive().max(200) },
  frontDeg: z.number().min(0).max(20),
});
export type Blade = z.infer<typeof bladeSchema>;

/** A blade for grooves in a hole: its width, how deep a groove, the smallest hole that it enters, and how far in it reaches. */
export const insideBladeSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('inside blade'), widthMm: width, deepestMm: z.number().positive().max(100) },
  ...{ leastBoreMm: z.number().positive().max(1000), reachMm: z.number().positive().max(2000) },
  /** ground round at its end with this radius; square where it is not given */
  radiusMm: z.number().positive().max(15).optional(),
});
export type InsideBlade = z.infer<typeof insideBladeSchema>;

/** A form tool of one radius: round-nosed for grooves and fillets, or hollow for rounded edges. */
export const formToolSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('form'), radiusMm: z.number().positive().max(100) },
  curve: z.enum(['round', 'hollow']),
  /** of the whole tool: whether it reaches a place beside a shoulder */
  widthMm: z.number().positive().max(200),
});
export type FormTool = z.infer<typeof formToolSchema>;

/**
 * A blade for grooves in faces: fed along the axis, its back ground so that it clears an outer wall from so large a diameter on. On a bar it
 * reaches the bottom of a hole: the smallest that it enters, and how far in.
 */
export const faceBladeSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('face blade'), widthMm: width, deepestMm: z.number().positive().max(60) },
  leastOuterMm: z.number().positive().max(1000),
  leastBoreMm: z.number().positive().max(1000).optional(),
  reachMm: z.number().positive().max(2000).optional(),
});
export type FaceBlade = z.infer<typeof faceBladeSchema>;

/** A bit ground to a point for V grooves: its included angle, the flat at its tip, and how deep it goes in its form. */
export const veeBitSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('vee'), angleDeg: z.number().min(10).max(170) },
  ...{ tipMm: z.number().min(0).max(5), deepestMm: z.number().positive().max(30) },
});
export type VeeBit = z.infer<typeof veeBitSchema>;

/** A pair of knurling wheels, or one, by pattern and pitch along the round. */
export const knurlToolSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('knurling'), pattern: z.enum(['straight', 'diamond']) },
  ...{ pitchMm: z.number().positive().max(5), widthMm: width },
});
export type KnurlTool = z.infer<typeof knurlToolSchema>;
