import { storedLatheSchema } from '@whelk/core/lathe';
import type { APIRoute } from 'astro';
import { z } from 'zod';
import { answer, guarded, Refused } from '../../../../server/answer.ts';
import { database } from '../../../../server/db/connection.ts';
import { loadLathe, saveLathe } from '../../../../server/lathes/service.ts';
import { idOf } from '../../../../server/params.ts';
import { readBody } from '../../../../server/security/body.ts';
import { removeRecord } from '../../../../server/shop/service.ts';

export const GET: APIRoute = ({ params }) => guarded(async () => answer(await loadLathe(database(), idOf(params.id))));
/** Saves a description over the revision it carries; answered with the next one. */
export const PUT: APIRoute = ({ params, request }) =>
  guarded(async () => {
    const id = idOf(params.id);
    const { lathe } = await readBody(request, z.strictObject({ lathe: storedLatheSchema }));
    if (lathe.id !== id) throw new Refused(400, [{ code: 'input.invalid', path: ['lathe', 'id'] }]);
    return answer({ lathe: await saveLathe(database(), lathe) });
  });
export const DELETE: APIRoute = ({ params }) =>
  guarded(async () => {
    await removeRecord(database(), 'lathe', idOf(params.id));
    return answer({ deleted: true });
  });
