import { centreHoleRows } from '../part/index.ts';

export interface CentreHole {
  readonly pilotMm: number;
  readonly mouthMm: number;
}

/** Pilot sizes that the standard lists, smallest first, mm. */
export const centrePilots: readonly number[] = centreHoleRows.map((row) => row.pilotMm);

/** Mouth of a type A centre hole for a pilot size; undefined for a size the standard does not list. */
export function centreHole(pilotMm: number): CentreHole | undefined {
  const row = centreHoleRows.find((r) => r.pilotMm === pilotMm);
  return row && { pilotMm: row.pilotMm, mouthMm: row.mouthMm };
}

/**
 * Centre hole for a shaft: the usual size for its diameter, smaller where the end is too thin for the mouth (six tenths of it).
 * @returns undefined when even the smallest hole is too large for the end
 */
export function centreHoleFor(stockMm: number, endDiameterMm: number): CentreHole | undefined {
  const wanted = centreHoleRows.findIndex((row) => stockMm <= row.shaftUpToMm);
  return centreHoleRows
    .slice(0, wanted < 0 ? undefined : wanted + 1)
    .findLast((row) => row.mouthMm <= 0.6 * endDiameterMm);
}
