import { calculate, calculationNamed } from '@whelk/core/calc';
import type { WorkingStep } from '@whelk/core/working';
import type { APIRoute } from 'astro';
import { wordStep } from '../../../messages/workings.ts';
import { answer, guarded, Refused } from '../../../server/answer.ts';
import { readJson } from '../../../server/security/body.ts';

export const POST: APIRoute = ({ params, request }) =>
  guarded(async () => {
    const entry = calculationNamed(params.name ?? '');
    if (!entry) throw new Refused(404, [{ code: 'calc.unknown', path: [], value: params.name ?? '' }]);
    const outcome = calculate(entry, await readJson(request));
    if (!outcome.ok) throw new Refused(400, outcome.problems);
    return answer({
      result: outcome.result,
      working: (outcome.working as readonly WorkingStep[]).map((step) => wordStep(step)),
    });
  });
