import { problemsOf } from '@whelk/core/calc';
import { checkLathe, type Lathe, latheSchema } from '@whelk/core/lathe';
import type { Problem } from '@whelk/core/quantity';
import type { FieldErrors, FieldValues, Resolver } from 'react-hook-form';
import { wordProblem } from '../../../messages/problems.ts';

/** Errors as the form library wants them: nested by the problem's path, with the words for people. */
function nested(problems: readonly Problem[]): FieldErrors {
  const errors: Record<string, unknown> = {};
  for (const problem of problems) {
    let at = errors;
    for (const part of problem.path.slice(0, -1)) {
      at[part] ??= {};
      at = at[part] as Record<string, unknown>;
    }
    const last = problem.path.at(-1) ?? 'root';
    const { what, right } = wordProblem(problem);
    at[last] ??= { type: problem.code, message: `${what} ${right}` };
  }
  return errors as FieldErrors;
}

/** Everything that keeps a description from being saved, and what is only odd. */
export function judge(values: unknown): { lathe?: Lathe; problems: Problem[]; warnings: Problem[] } {
  const parsed = latheSchema.safeParse(values);
  if (!parsed.success) return { problems: problemsOf(parsed.error).map((p) => ({ ...p })), warnings: [] };
  const found = checkLathe(parsed.data);
  // a lathe may be described bit by bit: without speeds it can be kept, only not planned for
  const waits = (p: Problem) => p.severity === 'warning' || p.code === 'lathe.noSpeeds';
  return { lathe: parsed.data, problems: found.filter((p) => !waits(p)), warnings: found.filter(waits) };
}

/** Checks the whole description with each key. */
export const latheResolver: Resolver<FieldValues> = (values) => {
  const { lathe, problems } = judge(values);
  return problems.length > 0 || !lathe ? { values: {}, errors: nested(problems) } : { values: lathe, errors: {} };
};

/** An id from a name that no other one has. */
export function freshId(name: string, taken: readonly string[]): string {
  const base =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 24) || 'part';
  for (let i = 1; ; i++) {
    const id = i === 1 ? base : `${base}-${i}`;
    if (!taken.includes(id)) return id;
  }
}
