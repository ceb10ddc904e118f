import type { FourReadings } from './eccentricity.ts';

/** Gaps between a pointer and a rough surface as readings that rise as the surface comes nearer. @param gapsMm with each jaw in turn */
export function fromGaps(gapsMm: FourReadings): FourReadings {
  const [a, b, c, d] = gapsMm;
  return [-a, -b, -c, -d];
}

/**
 * How true a casting must run for all of it to clean up: what is to come off each side, less what must go below the skin.
 * @returns runout, mm; not below the coarsest that a pointer shows
 * @source first principles: an eccentricity of e takes e from one side's allowance; runout is 2·e
 * @example castingRunoutMm(3, 1.5) // 3
 */
export function castingRunoutMm(allowanceMm: number, skinMm: number): number {
  return Math.max(0.3, 2 * (allowanceMm - skinMm));
}
