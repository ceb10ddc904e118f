import { z } from 'zod';
import type { ProblemCode } from '../quantity/index.ts';
import { collectWorking } from '../working/index.ts';
import { basics } from './basics.ts';
import { bending } from './bending.ts';
import { centres } from './centres.ts';
import { cutting } from './cutting.ts';
import { cuttingTime } from './cutting-time.ts';
import { deciding } from './deciding.ts';
import { drawer } from './drawer.ts';
import { drawing } from './drawing.ts';
import type { Calculation } from './entry.ts';
import { fitting } from './fitting.ts';
import { holding } from './holding.ts';
import { latheWork } from './lathe-work.ts';
import { planning } from './planning.ts';
import { proving } from './proving.ts';
import { running } from './running.ts';
import { stocking } from './stocking.ts';
import { taperCalculations } from './tapering.ts';
import { threadingCalculations } from './threading.ts';
import { truing } from './truing.ts';

/** Every public calculation, in the order of the work. */
export const catalogue: readonly Calculation[] = [
  ...basics,
  ...drawing,
  ...fitting,
  ...cutting,
  ...cuttingTime,
  ...bending,
  ...deciding,
  ...stocking,
  ...centres,
  ...truing,
  ...drawer,
  ...latheWork,
  ...holding,
  ...planning,
  ...proving,
  ...running,
  ...threadingCalculations,
  ...taperCalculations,
];

const byName = new Map(catalogue.map((entry) => [entry.name, entry]));

/** A calculation by its stable name; only names of the catalogue itself are found. */
export function calculationNamed(name: string): Calculation | undefined {
  return byName.get(name);
}

/** JSON Schema of a calculation's input and output. */
export function schemasOf(entry: Calculation): { input: unknown; output: unknown } {
  return { input: z.toJSONSchema(entry.input, { io: 'input' }), output: z.toJSONSchema(entry.output) };
}

export interface CalcProblem {
  readonly code: ProblemCode;
  readonly path: readonly (string | number)[];
  readonly value?: string | number;
  readonly limit?: string | number;
}

/**
 * Runs a calculation on untrusted input.
 * @returns the result with its working, or problems with paths into the input
 */
export function calculate(
  entry: Calculation,
  input: unknown,
): { ok: true; result: unknown; working: readonly unknown[] } | { ok: false; problems: readonly CalcProblem[] } {
  const parsed = entry.input.safeParse(input);
  if (!parsed.success) return { ok: false, problems: problemsOf(parsed.error) };
  const { steps, record } = collectWorking();
  const outcome = entry.run(parsed.data as never, record);
  return outcome.ok ? { ok: true, result: outcome.result, working: steps } : outcome;
}

/** Zod's findings in the project's own shape: a code, a path, and the bound that was broken. */
export function problemsOf(error: z.ZodError): CalcProblem[] {
  return error.issues.flatMap((issue): CalcProblem[] => {
    const path = issue.path.map((key) => (typeof key === 'symbol' ? String(key) : key));
    if (issue.code === 'unrecognized_keys')
      return issue.keys.map((key) => ({ code: 'input.unknownKey', path: [...path, key], value: key }));
    if (issue.code === 'too_big') return [{ code: 'input.tooBig', path, limit: Number(issue.maximum) }];
    if (issue.code === 'too_small') return [{ code: 'input.tooSmall', path, limit: Number(issue.minimum) }];
    if (issue.code === 'invalid_type') return [{ code: 'input.wrongType', path, limit: issue.expected }];
    if (issue.code === 'invalid_value')
      return [{ code: 'input.notOneOf', path, limit: issue.values.map(String).join(', ') }];
    return [{ code: 'input.invalid', path }];
  });
}
