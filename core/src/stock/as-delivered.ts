import { itGradeUm } from '../limit/index.ts';

/** How its surface was made, which says how straight it is and how deep one must go to be under the skin. */
export const SURFACES = ['bright', 'ground', 'turned', 'black', 'cast'] as const;
export type Surface = (typeof SURFACES)[number];

/** What a bar's surface is like as it is delivered. */
interface Delivered {
  /** out of straight, mm per metre */
  readonly bowMmPerM: number;
  /** depth of the skin, mm */
  readonly skinMm: number;
  /** grade of the h zone that its size lies in; a rolled one has limits of its own either way */
  readonly hGrade?: number;
  readonly raUm: number;
}
// source: usual limits of bars as delivered (EN 10278 for bright steel: drawn h9 to h11, ground h9; ISO 1035-4 for hot rolled rounds);
// provenance: recalled
export const AS_DELIVERED: Readonly<Record<Surface, Delivered>> = {
  bright: { bowMmPerM: 1, skinMm: 0, hGrade: 11, raUm: 3.2 },
  ground: { bowMmPerM: 0.1, skinMm: 0, hGrade: 9, raUm: 0.8 },
  turned: { bowMmPerM: 0.5, skinMm: 0, hGrade: 11, raUm: 3.2 },
  black: { bowMmPerM: 4, skinMm: 0.5, raUm: 25 },
  cast: { bowMmPerM: 0, skinMm: 1.5, raUm: 25 },
};
/** Hot rolled rounds: up to a diameter so much either way, mm. */
const ROLLED = [
  [15, 0.4],
  [25, 0.5],
  [35, 0.6],
  [50, 0.8],
  [80, 1],
  [100, 1.3],
  [120, 1.5],
  [160, 2],
  [200, 2.5],
] as const;

/** Limits that a bar of a size has as it is delivered, mm; undefined beyond the tables. @param acrossMm nominal size */
export function delivered(surface: Surface, acrossMm: number): { upperMm: number; lowerMm: number } | undefined {
  const { hGrade } = AS_DELIVERED[surface];
  if (hGrade === undefined) {
    const row = ROLLED.find(([upTo]) => acrossMm <= upTo);
    return row && { upperMm: acrossMm + row[1], lowerMm: acrossMm - row[1] };
  }
  const um = itGradeUm(acrossMm, hGrade);
  return um === undefined ? undefined : { upperMm: acrossMm, lowerMm: acrossMm - um / 1000 };
}
