import { HANDLING_MIN } from '../route/index.ts';
import type { FrozenRun } from './frozen.ts';
import type { RunState } from './state.ts';

/** Minutes that each tool was in the cut, by its id: of the passes that were cut, without winding back. */
export function cutMinutes(run: FrozenRun, state: RunState): ReadonlyMap<string, number> {
  const minutes = new Map<string, number>();
  for (const step of run.steps.slice(0, state.stepIndex)) {
    if (step.toolId === undefined || step.passNumber === undefined) continue;
    minutes.set(step.toolId, (minutes.get(step.toolId) ?? 0) + Math.max(0, step.minutes - HANDLING_MIN));
  }
  return minutes;
}
