import { cutProbe } from './probe.ts';
import type { CutSetup, School } from './setup.ts';

/** Limits and speeds over depth and feed, row by row from the shallowest; plain arrays that cross to a worker and back. */
export interface CutMap {
  readonly depthsMm: readonly number[];
  readonly feedsMmPerRev: readonly number[];
  /** bits of CUT_LIMITS, depths × feeds */
  readonly bits: Uint8Array;
  readonly rpms: Float32Array;
}

/**
 * The map of depth and feed that shows where motor, bending, grip, finish and the edge close in.
 * @param deepestMm, coarsestMm upper ends of both axes; both start at a fiftieth of that
 */
export function cutMap(setup: CutSetup, school: School, deepestMm: number, coarsestMm: number, count = 100): CutMap {
  const axis = (most: number) => Array.from({ length: count }, (_, i) => most * (0.02 + (0.98 * i) / (count - 1)));
  const depthsMm = axis(deepestMm);
  const feedsMmPerRev = axis(coarsestMm);
  const probe = cutProbe(setup, school);
  const bits = new Uint8Array(count * count);
  const rpms = new Float32Array(count * count);
  for (let i = 0; i < count; i++)
    for (let k = 0; k < count; k++) {
      const found = probe(depthsMm[i]!, feedsMmPerRev[k]!);
      bits[i * count + k] = found.bits;
      rpms[i * count + k] = found.rpm;
    }
  return { depthsMm, feedsMmPerRev, bits, rpms };
}
