import type { Inside } from '../surface.ts';

/** The part that holes and flats are read on. */
export interface Across {
  readonly lengthMm: number;
  readonly largestMm: number;
  readonly insides: readonly Inside[];
  /** largest diameter at a place along the part, mm; 0 beyond its ends */
  readonly diameterAt: (zMm: number) => number;
}
