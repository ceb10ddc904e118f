import type { Material } from '../material/index.ts';
import { thinnestChipMm } from './finish.ts';

/** What the chip will be like: rubbing dust, fine, good, stringy, or heavy. */
export type ChipLook = 'rubs' | 'fine' | 'good' | 'stringy' | 'heavy';

/** Chips wider than so many thicknesses curl into long strings unless something breaks them; narrower ones jam. */
const STRINGY_RATIO = 18;
const HEAVY_RATIO = 3;
/** Iron, brass and most plastics make short chips whatever the cut. */
const shortChipped = (material: Pick<Material, 'group' | 'cautions'>): boolean =>
  material.group === 'K' || material.cautions.includes('flyingChips');

/**
 * How the chip will look and whether it wants more or less feed.
 * @param widthMm, thicknessMm as chipSize gives them
 * @source FIELD 1: minimum chip thickness about a third of the edge radius; slender chips string, thick ones jam
 */
export function chipLook(
  material: Pick<Material, 'group' | 'cautions'>,
  chip: { readonly widthMm: number; readonly thicknessMm: number },
  edgeRadiusMm: number,
): ChipLook {
  const thinnest = thinnestChipMm(edgeRadiusMm);
  if (chip.thicknessMm < thinnest) return 'rubs';
  if (shortChipped(material)) return chip.thicknessMm < 2 * thinnest ? 'fine' : 'good';
  const ratio = chip.widthMm / chip.thicknessMm;
  if (ratio > STRINGY_RATIO) return material.cautions.includes('stringyChip') ? 'stringy' : 'fine';
  return ratio < HEAVY_RATIO ? 'heavy' : 'good';
}
