import { explainOperation, explainSize, replay } from '@whelk/core/run';
import { collectWorking } from '@whelk/core/working';
import type { APIRoute } from 'astro';
import { wordStep } from '../../../../../messages/workings.ts';
import { answer, guarded, notFound } from '../../../../../server/answer.ts';
import { database } from '../../../../../server/db/connection.ts';
import { idOf } from '../../../../../server/params.ts';
import { loadRun } from '../../../../../server/runs/load.ts';

/** Working of one thing of a run: of the size measured at a step, or of an operation's settings. */
export const GET: APIRoute = ({ params }) =>
  guarded(async () => {
    const { frozen, events } = await loadRun(database(), idOf(params.id));
    const step = frozen.steps.find((s) => s.id === params.of);
    const operation = frozen.plan.operations.find((o) => o.id === params.of);
    if (!step && !operation) throw notFound();
    const { steps, record } = collectWorking();
    if (step?.kind === 'measure') explainSize(frozen, replay(frozen, events), step.id, record);
    else explainOperation(frozen, operation?.id ?? step!.operationId, record);
    return answer({ steps: steps.map((step) => wordStep(step, frozen.means.lathe.unit)) });
  });
