import type { Material } from '../material/index.ts';
import { radians } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';

/** Wear of an ordinary drill or blade against the sharp one that kc was measured with. */
const WEAR = 1.3;
/** Thrust of a drill with its chisel edge against the main edges' own part of it. */
const CHISEL = 1.4;

export interface DrillLoad {
  readonly torqueNm: number;
  readonly thrustN: number;
}

/**
 * Torque and thrust of a twist drill.
 * @param diameterMm, feedMmPerRev both > 0
 * @param pointDeg included angle, 118 usually
 * @param fromMm hole that it is drilled up from: the chisel edge then cuts nothing; 0 into the solid
 * @source Kienzle for two edges: fz = f/2, h = fz·sin(σ/2), M = kc1.1·h^−mc·fz·D²/4/1000 … each edge acts at D/4; thrust
 *   0.5·kc·D/2·f·sin(σ/2), more for the chisel edge
 */
export function drillLoad(
  material: Pick<Material, 'kc11NPerMm2' | 'mc'>,
  diameterMm: number,
  feedMmPerRev: number,
  pointDeg = 118,
  record?: Recorder,
  fromMm = 0,
): DrillLoad {
  const half = Math.sin(radians(pointDeg / 2));
  const perEdge = feedMmPerRev / 2;
  const kc = material.kc11NPerMm2 * (perEdge * half) ** -material.mc * WEAR;
  // two edges, each a force kc·fz·(D − d)/2 at a quarter of D + d
  const torqueNm = (2 * kc * perEdge * ((diameterMm - fromMm) / 2) * ((diameterMm + fromMm) / 4)) / 1000;
  const thrustN = 0.5 * kc * ((diameterMm - fromMm) / 2) * feedMmPerRev * half * (fromMm > 0 ? 1 : CHISEL);
  record?.({
    code: 'cutting.drill',
    values: { kcNPerMm2: kc, diameterMm, feedMmPerRev, torqueNm, thrustN },
    source: 'Kienzle',
  });
  return { torqueNm, thrustN };
}

/** Cutting force of a blade or a form tool, N: its whole width cuts. @source Kienzle with b = width, h = feed */
export function plungeForceN(
  material: Pick<Material, 'kc11NPerMm2' | 'mc'>,
  widthMm: number,
  feedMmPerRev: number,
  record?: Recorder,
): number {
  const forceN = material.kc11NPerMm2 * widthMm * feedMmPerRev ** (1 - material.mc) * WEAR;
  record?.({
    code: 'cutting.plunge',
    values: { kc11NPerMm2: material.kc11NPerMm2, mc: material.mc, widthMm, feedMmPerRev, wear: WEAR, forceN },
    source: 'Kienzle',
  });
  return forceN;
}
