import type { Held, Waiting } from '../hold/index.ts';
import type { Problem } from '../quantity/index.ts';
import type { Workpiece } from '../work/index.ts';
import type { Operation } from './operation/kinds.ts';

/** What is done in one setup: how it is held, the operations in their order, and the workpiece that they leave. */
export interface Plan {
  /** undefined where the piece cannot be held so */
  readonly held: Held | undefined;
  readonly operations: readonly Operation[];
  /** ids of the operations as the planner would have them follow, without the turner's moves */
  readonly planned: readonly string[];
  /** the piece when all of it is done, as it lies */
  readonly after: Workpiece;
  readonly waiting: readonly Waiting[];
  readonly problems: readonly Problem[];
  readonly minutes: number;
  readonly changes: number;
}

/** What is done in a setup, what waits, and what is wrong with it. */
export interface Wanted {
  readonly wanted: Operation[];
  readonly waiting: Waiting[];
  readonly problems: readonly Problem[];
}
