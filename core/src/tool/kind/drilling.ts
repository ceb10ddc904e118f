import { z } from 'zod';
import { anyTool } from './common.ts';

const size = z.number().positive().max(200);

/** A centre drill, by its pilot. */
export const centreDrillSchema = z.strictObject({
  ...anyTool,
  kind: z.literal('centre drill'),
  sizeMm: z.number().positive().max(30).optional(),
});
export type CentreDrill = z.infer<typeof centreDrillSchema>;

/** A twist drill: how deep its flutes clear chips, and the included angle of its point. */
export const drillSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('drill'), diameterMm: size, fluteMm: z.number().positive().max(1000) },
  pointDeg: z.number().min(60).max(180),
});
export type Drill = z.infer<typeof drillSchema>;

/** A machine or hand reamer: the size that it makes, how long its teeth are, and how far it tapers in at its nose. */
export const reamerSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('reamer'), diameterMm: size, fluteMm: z.number().positive().max(1000) },
  leadMm: z.number().min(0).max(200),
});
export type Reamer = z.infer<typeof reamerSchema>;

/** A countersink by its included angle, up to its largest diameter. */
export const countersinkSchema = z.strictObject({
  ...{ ...anyTool, kind: z.literal('countersink'), diameterMm: size },
  angleDeg: z.number().min(30).max(150),
});
export type Countersink = z.infer<typeof countersinkSchema>;

/** How far the point of a drill goes beyond its full diameter, mm. @example pointLengthMm({ diameterMm: 10, pointDeg: 118 }) // 3.0043 */
export const pointLengthMm = ({ diameterMm, pointDeg }: Pick<Drill, 'diameterMm' | 'pointDeg'>): number =>
  diameterMm / 2 / Math.tan((pointDeg * Math.PI) / 360);

/** Thickness of a drill's web at its point as a share of its diameter: a pilot as wide spares the next drill its chisel edge. Practice */
const WEB_SHARE = 0.2;
/** A hole that takes the web of the next drill, mm. */
export const webMm = ({ diameterMm }: Pick<Drill, 'diameterMm'>): number => WEB_SHARE * diameterMm;
