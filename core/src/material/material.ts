import { z } from 'zod';
import { TOOL_MATERIALS } from './tool-material.ts';

/** Where a figure comes from: computed, a published value known but not looked up here, or the shop's own. */
export const provenanceSchema = z.enum(['formula', 'recalled', 'shop']);
export type Provenance = z.infer<typeof provenanceSchema>;

const exponent = z.number().min(0).max(1);
/** A cutting speed, the conditions it was given for, and how it changes with them; without them a speed means nothing. */
export const referenceSpeedSchema = z.strictObject({
  speedMPerMin: z.number().positive().max(5000),
  feedRefMmPerRev: z.number().positive().max(5),
  depthRefMm: z.number().positive().max(50),
  lifeRefMin: z.number().positive().max(1000),
  feedExponent: exponent,
  depthExponent: exponent,
  lifeExponent: exponent,
});
export type ReferenceSpeed = z.infer<typeof referenceSpeedSchema>;

/** ISO 513 workpiece groups; `O` for plastics, which the standard does not group. */
export const groupSchema = z.enum(['P', 'M', 'K', 'N', 'S', 'H', 'O']);
export type Group = z.infer<typeof groupSchema>;
export const coolantSchema = z.enum(['dry', 'wet', 'either']);
export type Coolant = z.infer<typeof coolantSchema>;

export const materialSchema = z.strictObject({
  schema: z.literal(2),
  id: z.string().regex(/^[a-z0-9-]{2,60}$/),
  name: z.string().trim().min(1).max(80),
  group: groupSchema,
  designations: z.array(z.string().max(40)).max(8),
  kc11NPerMm2: z.number().positive().max(10_000),
  mc: z.number().min(0).max(0.6),
  modulusGPa: z.number().positive().max(1000),
  expansionPerK: z.number().positive().max(0.001),
  densityKgPerM3: z.number().positive().max(25_000),
  conductivityWPerMK: z.number().positive().max(1000),
  /** Brinell; null where it is not usual to give one */
  hardnessHb: z.number().positive().max(1000).nullable(),
  speeds: z.strictObject(
    Object.fromEntries(TOOL_MATERIALS.map((t) => [t, referenceSpeedSchema])) as Record<
      (typeof TOOL_MATERIALS)[number],
      typeof referenceSpeedSchema
    >,
  ),
  coolant: coolantSchema,
  cautions: z.array(z.string().max(60)).max(6),
  /** where each figure comes from, by its path; what is not named was recalled */
  provenance: z.record(z.string().max(60), provenanceSchema),
});
export type Material = z.infer<typeof materialSchema>;
