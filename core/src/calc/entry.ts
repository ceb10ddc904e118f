import type { z } from 'zod';
import type { ProblemCode } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';

/** One public calculation: a stable name, the bench-book tab it belongs to, and schemas that name every unit. */
export interface Calculation {
  readonly name: string;
  readonly tab: string;
  readonly input: z.ZodType;
  readonly output: z.ZodType;
  readonly run: (input: never, record?: Recorder) => CalcResult;
}
export type CalcResult =
  | { readonly ok: true; readonly result: unknown }
  | {
      readonly ok: false;
      readonly problems: readonly {
        code: ProblemCode;
        path: (string | number)[];
        value?: string | number;
        limit?: string | number;
      }[];
    };

/** Problems and nothing else are a refusal; an answer may have problems among the rest of it. */
function isRefusal(result: unknown): result is Extract<CalcResult, { ok: false }> {
  if (typeof result !== 'object' || result === null || !('problems' in result)) return false;
  return Array.isArray(result.problems) && Object.keys(result).length === 1;
}

/** Types one entry of the catalogue from its schemas; the only place where the types are loosened. */
export function calculation<I extends z.ZodType, O extends z.ZodType>(entry: {
  name: string;
  tab: string;
  input: I;
  output: O;
  run: (
    input: z.output<I>,
    record?: Recorder,
  ) =>
    | z.input<O>
    | {
        problems: { code: ProblemCode; path: (string | number)[]; value?: string | number; limit?: string | number }[];
      };
}): Calculation {
  return {
    ...entry,
    run: (input: never, record) => {
      const result = entry.run(input, record);
      return isRefusal(result) ? { ok: false, problems: result.problems } : { ok: true, result };
    },
  };
}
