import { materialRows } from './data/rows.ts';
import type { Material, ReferenceSpeed } from './material.ts';
import { familyOf, TOOL_MATERIALS, type ToolMaterial } from './tool-material.ts';

/** Exponents of the extended tool-life equation by tool material. provenance: recalled, order of magnitude of published values */
const EXPONENTS: Readonly<Record<ToolMaterial, readonly [feed: number, depth: number, life: number]>> = {
  hss: [0.4, 0.15, 0.12],
  cobalt: [0.4, 0.15, 0.12],
  brazed: [0.35, 0.1, 0.2],
  uncoated: [0.3, 0.1, 0.23],
  coated: [0.3, 0.1, 0.25],
};
/** Speeds that are not tabled follow those that are. Aluminium, copper and plastics gain nothing from a coating. */
const COBALT_OF_HSS = 1.2;
const UNCOATED_OF_COATED = 0.65;
const BRAZED_OF_COATED = 0.5;

/** A tool material's speed under the table's conditions with its exponents. */
export function referenceSpeed(tool: ToolMaterial, speedMPerMin: number): ReferenceSpeed {
  const [feedExponent, depthExponent, lifeExponent] = EXPONENTS[tool];
  return {
    speedMPerMin,
    feedRefMmPerRev: 0.2,
    depthRefMm: 2,
    lifeRefMin: familyOf(tool) === 'hss' ? 60 : 15,
    feedExponent,
    depthExponent,
    lifeExponent,
  };
}

/** All five speeds from the two that tables give. @example speedsFrom(28, 130, 'P').cobalt.speedMPerMin // 34 */
export function speedsFrom(hssMPerMin: number, coatedMPerMin: number, group: Material['group']): Material['speeds'] {
  const bare = group === 'N' || group === 'O' ? 1 : UNCOATED_OF_COATED;
  const speeds: Record<ToolMaterial, number> = {
    hss: hssMPerMin,
    cobalt: Math.round(hssMPerMin * COBALT_OF_HSS),
    brazed: Math.round(coatedMPerMin * BRAZED_OF_COATED),
    uncoated: Math.round(coatedMPerMin * bare),
    coated: coatedMPerMin,
  };
  return Object.fromEntries(TOOL_MATERIALS.map((t) => [t, referenceSpeed(t, speeds[t])])) as Material['speeds'];
}

const derived = Object.fromEntries(
  (['cobalt', 'brazed', 'uncoated'] as const).map((t) => [`speeds.${t}.speedMPerMin`, 'formula' as const]),
);

/** The materials that come with Whelk, in the order of the ISO 513 groups. */
export const materials: readonly Material[] = materialRows.map((row) => {
  const [id, name, group, designations, kc11, mc, modulusGPa, expansionE6, densityKgPerM3, conductivity] = row;
  const [hardnessHb, hss, coated, coolant, cautions] = [row[10], row[11], row[12], row[13], row[14]];
  return {
    schema: 2,
    id,
    name,
    group,
    designations: [...designations],
    kc11NPerMm2: kc11,
    mc,
    modulusGPa,
    expansionPerK: expansionE6 / 1e6,
    densityKgPerM3,
    conductivityWPerMK: conductivity,
    hardnessHb,
    speeds: speedsFrom(hss, coated, group),
    coolant,
    cautions: [...cautions],
    provenance: derived,
  };
});

const byId = new Map(materials.map((material) => [material.id, material]));

/** The material that comes with Whelk under that id, or undefined. @example materialById('brass')?.group // 'N' */
export function materialById(id: string): Material | undefined {
  return byId.get(id);
}
