import type { CutTool } from '../cutting/index.ts';
import type { EdgeTool } from '../tool/index.ts';

/** The edge of a tool, as the cutting engine is asked about it. */
export function cutToolOf({
  material,
  noseRadiusMm,
  kappaDeg,
  edgeRadiusMm,
  deepestMm,
  flatMm = 0,
}: EdgeTool): CutTool {
  return { material, noseRadiusMm, kappaDeg, edgeRadiusMm, deepestMm, flatMm };
}
