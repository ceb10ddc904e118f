import { storedJobSchema } from '@whelk/core/job';
import type { APIRoute } from 'astro';
import { z } from 'zod';
import { answer, guarded } from '../../../../server/answer.ts';
import { database } from '../../../../server/db/connection.ts';
import { changeJob, loadJob, saveJob } from '../../../../server/jobs/service.ts';
import { idOf } from '../../../../server/params.ts';
import { readBody } from '../../../../server/security/body.ts';

const saveSchema = z.strictObject({ version: z.number().int().min(1), job: storedJobSchema });

export const GET: APIRoute = ({ params }) => guarded(async () => answer(await loadJob(database(), idOf(params.id))));
export const PUT: APIRoute = ({ params, request }) =>
  guarded(async () => {
    const id = idOf(params.id);
    const { version, job } = await readBody(request, saveSchema);
    return answer(await saveJob(database(), id, version, job));
  });
export const DELETE: APIRoute = ({ params }) =>
  guarded(async () => {
    await changeJob(database(), idOf(params.id), 'delete');
    return answer({ deleted: true });
  });
