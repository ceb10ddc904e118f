import { familyOf, type Material, type ToolFamily, type ToolMaterial } from '../material/index.ts';
import { radians } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';

/** Extra force of a worn edge and of high-speed steel's blunter grind against the carbide that kc was measured with. */
export const WEAR = 1.3;
export const TOOL: Readonly<Record<ToolFamily, number>> = { hss: 1.15, carbide: 1 };
/** Passive and feed force as shares of the cutting force: between these two, by how the edge in the cut lies. FIELD 1: 0.3 to 0.5 */
export const LEAST_SHARE = 0.3;
export const SHARE_RANGE = 0.2;

export interface CutGeometry {
  readonly depthMm: number;
  readonly feedMmPerRev: number;
  readonly kappaDeg: number;
  readonly noseRadiusMm: number;
}

/** Width b and thickness h of the chip, mm. @source straight edge: b = d/sin κ, h = f·sin κ; on the nose: b = r·arccos(1−d/r), h = f·d/b */
export function chipSize(cut: CutGeometry): { widthMm: number; thicknessMm: number } {
  const sin = Math.sin(radians(cut.kappaDeg));
  const noseDepthMm = cut.noseRadiusMm * (1 - Math.cos(radians(cut.kappaDeg)));
  return cut.depthMm >= noseDepthMm
    ? { widthMm: cut.depthMm / sin, thicknessMm: cut.feedMmPerRev * sin }
    : noseChip(cut.depthMm, cut);
}

function noseChip(
  depthMm: number,
  { noseRadiusMm, feedMmPerRev }: CutGeometry,
): { widthMm: number; thicknessMm: number } {
  const widthMm = noseRadiusMm * Math.acos(1 - depthMm / noseRadiusMm);
  return { widthMm, thicknessMm: (feedMmPerRev * depthMm) / widthMm };
}

/**
 * How much of what pushes across the cut is radial, 0 to 1: all of it where only the nose's bottom cuts, none where the edge stands
 * square to the work.
 * @source squared cosine of the chord over the engaged edge: from the nose's lowest point to the top of the cut; on the nose alone
 *   1 − d/2r
 */
export function radialPart({ depthMm, kappaDeg, noseRadiusMm: r }: CutGeometry): number {
  const kappa = radians(kappaDeg);
  const noseDepthMm = r * (1 - Math.cos(kappa));
  if (depthMm <= noseDepthMm) return 1 - depthMm / (2 * r);
  const alongMm = r * Math.sin(kappa) + ((depthMm - noseDepthMm) * Math.cos(kappa)) / Math.sin(kappa);
  return (alongMm * alongMm) / (alongMm * alongMm + depthMm * depthMm);
}

export interface CutForces {
  readonly cuttingN: number;
  readonly radialN: number;
  readonly feedN: number;
}

/**
 * Forces of a turning cut, N, for a worn edge.
 * @source Kienzle: Fc = kc1.1·b·h^(1−mc), times 1.3 for wear and 1.15 for high-speed steel; radial and feed force 0.3 to 0.5·Fc, the
 *   radial one growing as the depth gets small against the nose or the setting angle small
 */
export function cutForces(
  material: Pick<Material, 'kc11NPerMm2' | 'mc'>,
  toolMaterial: ToolMaterial,
  cut: CutGeometry,
  record?: Recorder,
): CutForces {
  const perChip = ({ widthMm, thicknessMm }: ReturnType<typeof chipSize>) =>
    material.kc11NPerMm2 * widthMm * thicknessMm ** (1 - material.mc) * WEAR * TOOL[familyOf(toolMaterial)];
  const { widthMm, thicknessMm } = chipSize(cut);
  // where the straight edge takes over its formula gives a little less than the nose at its fullest: a deeper cut never
  // asks for less, so the nose's force holds until the straight edge has caught up
  const noseDepthMm = cut.noseRadiusMm * (1 - Math.cos(radians(cut.kappaDeg)));
  const fullNoseN = cut.depthMm > noseDepthMm && noseDepthMm > 0 ? perChip(noseChip(noseDepthMm, cut)) : 0;
  const cuttingN = Math.max(perChip({ widthMm, thicknessMm }), fullNoseN);
  const part = radialPart(cut);
  const radialShare = LEAST_SHARE + SHARE_RANGE * part;
  record?.({
    code: 'cutting.force',
    values: {
      kc11NPerMm2: material.kc11NPerMm2,
      mc: material.mc,
      widthMm,
      thicknessMm,
      wear: WEAR,
      tool: TOOL[familyOf(toolMaterial)],
      cuttingN,
      radialShare,
      radialN: cuttingN * radialShare,
    },
    source: 'Kienzle',
  });
  const feedShare = LEAST_SHARE + SHARE_RANGE * (1 - part);
  return { cuttingN, radialN: cuttingN * radialShare, feedN: cuttingN * feedShare };
}

/** Power of a cut in kW. @source Fc·v/60000 */
export function cutPowerKw(cuttingN: number, speedMPerMin: number): number {
  return (cuttingN * speedMPerMin) / 60_000;
}
