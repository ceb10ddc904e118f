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
