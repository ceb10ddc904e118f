import type { Instrument } from '../gauge/index.ts';
import type { Lathe } from '../lathe/index.ts';
import { familyOf, type Material, type ToolFamily } from '../material/index.ts';
import type { Tool } from '../tool/index.ts';

/** What is there to make a piece with: this lathe with its calibrations, tools and gauges, and the metal. Resolved once. */
export interface Means {
  readonly lathe: Lathe;
  /** those of the preferred material first */
  readonly tools: readonly Tool[];
  readonly instruments: readonly Instrument[];
  readonly material: Material;
}

/** Tools with those of one family first; what it lacks the others serve. */
export function withToolsOf(tools: readonly Tool[], family: ToolFamily): readonly Tool[] {
  const own = (t: Tool): boolean => familyOf(t.material) === family;
  return [...tools.filter(own), ...tools.filter((t) => !own(t))];
}
