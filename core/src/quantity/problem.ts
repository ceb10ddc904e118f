import type { ProblemCode } from './problem-code.ts';

/**
 * An expected failure as data: what is wrong, where, and the number that would be right. Worded outside core.
 * `path` names the field from the document's root, e.g. `['features', 2, 'diameter']`.
 */
export interface Problem<Code extends string = ProblemCode> {
  readonly code: Code;
  readonly path: readonly (string | number)[];
  readonly value?: string | number;
  readonly limit?: string | number;
  readonly unit?: string;
  readonly severity?: 'error' | 'warning';
}

/** The same problem seen from further out: its path gets a prefix. */
export function under<Code extends string>(
  prefix: readonly (string | number)[],
  problem: Problem<Code>,
): Problem<Code> {
  return { ...problem, path: [...prefix, ...problem.path] };
}
