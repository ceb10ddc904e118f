import { type Contour, cutAway } from '../contour/index.ts';
import { sweptBy } from '../route/index.ts';
import type { FrozenRun } from './frozen.ts';

/** The metal as it stands before a step, as a half-section: the piece as it was put in, less what the steps before it cut. */
export function metalNow({ piece, plan, steps }: FrozenRun, stepIndex: number): Contour {
  const operations = new Map(plan.operations.map((o) => [o.id, o]));
  const swept = steps.slice(0, stepIndex).flatMap((step) => {
    const operation = operations.get(step.operationId);
    const whole = step.passNumber === undefined || step.targetMm === undefined;
    return (operation && sweptBy(piece, whole ? operation : { ...operation, targetMm: step.targetMm })) ?? [];
  });
  return swept.length === 0 ? piece.contour : cutAway(piece.contour, ...swept);
}
