import { generalEdgeRows, generalRows } from './standard/iso2768.ts';

/** Classes of general tolerances: fine, medium, coarse, very coarse. */
export type GeneralClass = 'f' | 'm' | 'c' | 'v';

/**
 * Half the general tolerance of a linear size that names no limits, ± mm.
 * @returns undefined where the standard gives none (below 0.5 mm, above 4000 mm, f above 2000, v below 3 mm)
 * @source ISO 2768-1, linear dimensions
 * @example generalToleranceMm(28, 'm') // 0.2
 */
export function generalToleranceMm(nominalMm: number, generalClass: GeneralClass): number | undefined {
  if (!(nominalMm >= 0.5)) return undefined;
  return generalRows.find((row) => nominalMm <= row.upToMm)?.[generalClass] ?? undefined;
}

/**
 * Half the general tolerance of a chamfer's size that names no limits, ± mm.
 * @returns undefined below 0.5 mm, where the standard gives none
 * @source ISO 2768-1, broken edges
 * @example generalEdgeToleranceMm(1, 'm') // 0.2
 */
export function generalEdgeToleranceMm(sizeMm: number, generalClass: GeneralClass): number | undefined {
  if (!(sizeMm >= 0.5)) return undefined;
  return generalEdgeRows.find((row) => sizeMm <= row.upToMm)?.[generalClass];
}
