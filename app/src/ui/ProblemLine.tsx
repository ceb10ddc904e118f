import type { Problem } from '@whelk/core/quantity';
import { wordProblem } from '../messages/problems.ts';
import { useUnit } from './unit.ts';

/** What is wrong in a line that is no single field, and what would be right. */
export function ProblemLine({ problem }: { problem: Problem }) {
  const unit = useUnit();
  const words = wordProblem(problem, unit);
  return (
    <span className={problem.severity === 'warning' ? 'field-warning' : 'field-problem'}>
      {words.what} {words.right}
    </span>
  );
}
