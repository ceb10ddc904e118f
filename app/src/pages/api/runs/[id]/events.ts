import type { APIRoute } from 'astro';
import { z } from 'zod';
import { answer, guarded } from '../../../../server/answer.ts';
import { database } from '../../../../server/db/connection.ts';
import { idOf } from '../../../../server/params.ts';
import { loadRun } from '../../../../server/runs/load.ts';
import { addEvents } from '../../../../server/runs/service.ts';
import { readBody } from '../../../../server/security/body.ts';

/** Each event is looked at by itself: one that cannot be taken holds none of the others up. */
const schema = z.strictObject({ events: z.array(z.unknown()).min(1).max(500) });

export const GET: APIRoute = ({ params }) =>
  guarded(async () => answer({ events: (await loadRun(database(), idOf(params.id))).events }));
export const POST: APIRoute = ({ params, request }) =>
  guarded(async () => {
    const id = idOf(params.id);
    const { events } = await readBody(request, schema);
    return answer(await addEvents(database(), id, events));
  });
