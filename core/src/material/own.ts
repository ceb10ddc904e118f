import { z } from 'zod';
import type { ProblemCode } from '../quantity/index.ts';
import { materialById, speedsFrom } from './built-in.ts';
import { type Material, materialSchema } from './material.ts';
import type { ToolMaterial } from './tool-material.ts';

/** Figures of a material that a shop can set itself, by path, with the range that makes sense. */
export const SHOP_FIGURES = [
  'kc11NPerMm2',
  'mc',
  'modulusGPa',
  'expansionPerK',
  'densityKgPerM3',
  'conductivityWPerMK',
  'hardnessHb',
  ...(['hss', 'cobalt', 'brazed', 'uncoated', 'coated'] as const).flatMap((tool) =>
    (
      [
        'speedMPerMin',
        'feedRefMmPerRev',
        'depthRefMm',
        'lifeRefMin',
        'feedExponent',
        'depthExponent',
        'lifeExponent',
      ] as const
    ).map((figure) => `speeds.${tool}.${figure}`),
  ),
] as const;

/**
 * What a shop knows better of a material that comes with Whelk: only the changed figures are kept, so that each can be taken
 * back on its own; or a material of its own.
 */
export const shopMaterialSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    schema: z.literal(1),
    id: z.uuid(),
    kind: z.literal('changed'),
    materialId: z.string().regex(/^[a-z0-9-]{2,60}$/),
    figures: z.record(z.string().max(60), z.number()),
    coolant: materialSchema.shape.coolant.optional(),
    note: z.string().max(200),
  }),
  z.strictObject({
    schema: z.literal(1),
    id: z.uuid(),
    kind: z.literal('own'),
    material: materialSchema,
    note: z.string().max(200),
  }),
]);
export type ShopMaterial = z.infer<typeof shopMaterialSchema>;

function withFigure(material: Material, path: string, value: number): Material {
  const [first, tool, figure] = path.split('.') as [string, ToolMaterial?, string?];
  const provenance = { ...material.provenance, [path]: 'shop' as const };
  if (tool === undefined || figure === undefined) return { ...material, provenance, [first]: value };
  const speeds = { ...material.speeds, [tool]: { ...material.speeds[tool], [figure]: value } };
  return { ...material, provenance, speeds };
}

export type OwnMaterial =
  | { readonly ok: true; readonly material: Material }
  | { readonly ok: false; readonly code: ProblemCode; readonly path: readonly (string | number)[] };

/**
 * The material that a shop's record stands for: its own, or one that comes with Whelk with the shop's figures in it, each
 * marked so.
 * @returns the material, or what is wrong with the record
 */
export function materialOf(record: ShopMaterial): OwnMaterial {
  if (record.kind === 'own') {
    const { id } = record.material;
    if (materialById(id)) return { ok: false, code: 'material.idTaken', path: ['material', 'id'] };
    return { ok: true, material: record.material };
  }
  const base = materialById(record.materialId);
  if (!base) return { ok: false, code: 'material.unknown', path: ['materialId'] };
  let made: Material = record.coolant
    ? { ...base, coolant: record.coolant, provenance: { ...base.provenance, coolant: 'shop' } }
    : base;
  for (const [path, value] of Object.entries(record.figures)) {
    if (!(SHOP_FIGURES as readonly string[]).includes(path))
      return { ok: false, code: 'material.noSuchFigure', path: ['figures', path] };
    made = withFigure(made, path, value);
  }
  const parsed = materialSchema.safeParse(made);
  if (parsed.success) return { ok: true, material: parsed.data };
  const where = parsed.error.issues[0]?.path.join('.') ?? '';
  return { ok: false, code: 'material.outOfRange', path: ['figures', where] };
}

type Json = Record<string, unknown>;
/** A material as an older version froze it into a run, in the present shape. */
export function upgradeMaterial(document: unknown): unknown {
  const old = document as Json & { speeds?: Record<string, { speedMPerMin?: unknown }> };
  if (typeof old !== 'object' || old === null || 'schema' in old) return document;
  const hss = old.speeds?.hss?.speedMPerMin;
  const coated = old.speeds?.carbide?.speedMPerMin;
  if (typeof hss !== 'number' || typeof coated !== 'number') return document;
  const known = materialById(String(old.id));
  return {
    ...old,
    schema: 2,
    conductivityWPerMK: known?.conductivityWPerMK ?? 50,
    hardnessHb: known?.hardnessHb ?? null,
    speeds: speedsFrom(hss, coated, old.group as Material['group']),
    coolant: known?.coolant ?? 'either',
    provenance: {},
  };
}

/** A material from a file or a frozen run: of this schema version or an older one. */
export const storedMaterialSchema = z.preprocess(upgradeMaterial, materialSchema);
