import { z } from 'zod';

/** Where a figure comes from: computed, a published value known but not looked up here, or the shop's own. */
export const provenanceSchema = z.enum(['formula', 'recalled', 'shop']);

/** A cutting speed and the conditions it was given for; without them a speed means nothing. */
export const referenceSpeedSchema = z.strictObject({
  speedMPerMin: z.number().positive(),
  feedRefMmPerRev: z.number().positive(),
  depthRefMm: z.number().positive(),
  lifeRefMin: z.number().positive(),
});
export type ReferenceSpeed = z.infer<typeof referenceSpeedSchema>;

export const materialSchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]{2,60}$/),
  name: z.string().min(1).max(80),
  /** ISO 513 workpiece group; `O` for plastics, which the standard does not group */
  group: z.enum(['P', 'M', 'K', 'N', 'S', 'H', 'O']),
  designations: z.array(z.string().max(40)).max(8),
  kc11NPerMm2: z.number().positive(),
  mc: z.number().min(0).max(0.6),
  modulusGPa: z.number().positive(),
  expansionPerK: z.number().positive(),
  densityKgPerM3: z.number().positive(),
  speeds: z.strictObject({ hss: referenceSpeedSchema, carbide: referenceSpeedSchema }),
  cautions: z.array(z.string().max(60)).max(6),
  provenance: provenanceSchema,
});
export type Material = z.infer<typeof materialSchema>;
export type ToolMaterial = keyof Material['speeds'];
