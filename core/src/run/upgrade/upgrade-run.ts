import { saysAllItFollows } from './first-frozen.ts';
import { namesItsSurfaces } from './second-frozen.ts';

/** A frozen run of any older version in the present one; what is no such run is passed through, for the schema to refuse. */
export function upgradeRun(stored: unknown): unknown {
  return namesItsSurfaces(saysAllItFollows(stored));
}
