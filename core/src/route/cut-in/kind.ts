import type { WaitsBecause } from '../../hold/index.ts';
import type { Inside, Outside } from '../../part/index.ts';
import type { Problem } from '../../quantity/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import type { Operation } from '../operation/kinds.ts';

/** What is done for something that is cut into a length, or why it is not. */
export type CutInPlan =
  | { readonly operations: readonly Operation[] }
  | { readonly why: WaitsBecause; readonly problem?: Problem };

/** Plans one kind of what is cut into a length. */
export type PlansCutIn<Made> = (
  context: FitContext,
  made: Made,
  on: Outside | Inside,
  recorderFor: RecorderFor,
) => CutInPlan;
