import type { SpeedPolicy, SpeedTable } from '../cutting/index.ts';
import type { Holding } from '../hold/index.ts';
import type { Feed } from '../lathe/index.ts';
import type { Shaft } from '../mechanics/index.ts';
import type { PlanInput } from './plan.ts';

/** What all operations of a holding are planned with. */
export interface FitContext {
  readonly input: PlanInput;
  readonly speeds: SpeedTable;
  readonly policy: SpeedPolicy;
  readonly feeds: readonly Feed[];
  readonly holding: Holding;
  /** the work with its finished diameters */
  readonly shaft: Shaft;
}
