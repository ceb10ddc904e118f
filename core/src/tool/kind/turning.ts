import { z } from 'zod';
import { anyTool, edgeFields } from './common.ts';

/** Tools that turn along and face across the outside, by what the shop keeps them for. */
export const TURNING_KINDS = ['rougher', 'finisher', 'facing'] as const;
export const turningToolSchema = z.strictObject({ ...anyTool, kind: z.enum(TURNING_KINDS), ...edgeFields });
export type TurningTool = z.infer<typeof turningToolSchema>;

/** A tool that breaks edges at its angle from the axis. */
export const chamferToolSchema = z.strictObject({
  ...anyTool,
  kind: z.literal('chamfer'),
  kappaDeg: edgeFields.kappaDeg,
});
export type ChamferTool = z.infer<typeof chamferToolSchema>;
