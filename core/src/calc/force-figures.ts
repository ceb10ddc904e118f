import { z } from 'zod';
import { type CutGeometry, chipSize, cutForces, cutPowerKw } from '../cutting/index.ts';
import type { Material, ToolMaterial } from '../material/index.ts';
import type { Recorder } from '../working/index.ts';

/** What a cut along the work is told by: its forces, its chip and the power at the edge. */
export const forceFields = {
  cuttingN: z.number(),
  radialN: z.number(),
  feedN: z.number(),
  chipWidthMm: z.number(),
  chipThicknessMm: z.number(),
  powerKw: z.number(),
};

/** Those figures of a cut. */
export function forceFigures(
  material: Pick<Material, 'kc11NPerMm2' | 'mc'>,
  tool: ToolMaterial,
  cut: CutGeometry,
  speedMPerMin: number,
  record?: Recorder,
) {
  const forces = cutForces(material, tool, cut, record);
  const { widthMm, thicknessMm } = chipSize(cut);
  return {
    ...forces,
    ...{ chipWidthMm: widthMm, chipThicknessMm: thicknessMm },
    powerKw: cutPowerKw(forces.cuttingN, speedMPerMin),
  };
}
