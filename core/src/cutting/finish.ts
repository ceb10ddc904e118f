import { familyOf, type ToolMaterial } from '../material/index.ts';

/** Mean roughness left by a round nose, µm. @source Ra ≈ f²/(18√3·r) @example raUm(0.1, 0.4) // 0.8019 */
export function raUm(feedMmPerRev: number, noseRadiusMm: number): number {
  return (1000 * feedMmPerRev ** 2) / (18 * Math.sqrt(3) * noseRadiusMm);
}

/** Greatest height of the feed marks, µm. @source Rz = f²/(8r) @example rzUm(0.1, 0.4) // 3.125 */
export function rzUm(feedMmPerRev: number, noseRadiusMm: number): number {
  return (1000 * feedMmPerRev ** 2) / (8 * noseRadiusMm);
}

/** Feed that leaves a wanted Ra, mm per rev, never above half the nose radius. @source inverse of raUm @example feedForRa(0.4, 0.4) // 0.0706 */
export function feedForRa(wantedRaUm: number, noseRadiusMm: number): number {
  return Math.min(noseRadiusMm / 2, Math.sqrt((wantedRaUm / 1000) * 18 * Math.sqrt(3) * noseRadiusMm));
}

/** Thinnest chip that an edge still cuts instead of rubbing, mm. @source about a third of the edge's radius, FIELD 1 */
export function thinnestChipMm(edgeRadiusMm: number): number {
  return edgeRadiusMm / 3;
}

/** Shallowest cut that a ground edge is trusted with, mm on radius: keen HSS cuts a chip of half that. provenance: recalled */
const KEEN_MM = 0.01;

/** Shallowest cut that a nose does not push away, mm on radius. @source about a third of an insert's nose radius; keen HSS cuts by its edge */
export function shallowestCutMm(material: ToolMaterial, noseRadiusMm: number, edgeRadiusMm: number): number {
  return familyOf(material) === 'carbide'
    ? Math.max(noseRadiusMm / 3, thinnestChipMm(edgeRadiusMm))
    : Math.max(KEEN_MM, thinnestChipMm(edgeRadiusMm));
}
