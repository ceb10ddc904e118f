import type { KnownProblem } from '../messages/app-code.ts';
import { wordProblem } from '../messages/problems.ts';
import { useUnit } from './unit.ts';

/** What is wrong in a line that is no single field, and what would be right. */
export function ProblemLine({ problem }: { problem: KnownProblem }) {
  const unit = useUnit();
  const words = wordProblem(problem, unit);
  return (
    <span className={problem.severity === 'warning' ? 'field-warning' : 'field-problem'}>
      {words.what} {words.right}
    </span>
  );
}
