import type { Part } from '../part/index.ts';
import { outsides } from '../part/index.ts';
import type { Problem } from '../quantity/index.ts';
import type { BarSizes } from './bar.ts';

/** Diameters that a casting has over each length of the part, by the lengths' ids, mm. */
export type RoughShape = Readonly<Record<string, number>>;

/**
 * The stepped rough shape of a casting that follows its part.
 * @param allowanceMm metal on every surface
 * @returns undefined for what does not follow the part: bars, and castings that are plain lumps
 */
export function roughShape(part: Part, { allowanceMm }: Pick<BarSizes, 'allowanceMm'>): RoughShape | undefined {
  if (allowanceMm === undefined) return undefined;
  return Object.fromEntries(
    outsides(part).map((f) => [f.id, Number((f.diameterMm + 2 * allowanceMm).toFixed(6))] as const),
  );
}

/**
 * Whether a casting's allowance is enough: the cut must go below the skin all round, as far off the axis as it stands.
 * Paths point into the job. @param runoutMm of the casting as it is held, as an indicator reads it
 */
export function checkCasting(
  { allowanceMm, skinMm }: Pick<BarSizes, 'allowanceMm' | 'skinMm'>,
  runoutMm: number,
): Problem[] {
  const wantedMm = skinMm + runoutMm / 2;
  if (allowanceMm === undefined || allowanceMm >= wantedMm) return [];
  return [
    {
      ...{ code: 'stock.castingSkin', path: ['stock', 'barId'], value: allowanceMm },
      ...{ limit: Number(wantedMm.toFixed(2)), unit: 'mm', severity: 'warning' },
    },
  ];
}
