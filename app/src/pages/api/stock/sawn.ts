import type { APIRoute } from 'astro';
import { answer, guarded } from '../../../server/answer.ts';
import { database } from '../../../server/db/connection.ts';
import { readBody } from '../../../server/security/body.ts';
import { bookSawn, sawnSchema } from '../../../server/shop/cutting.ts';

/** Books what was sawn from the rack. */
export const POST: APIRoute = ({ request }) =>
  guarded(async () => answer(await bookSawn(database(), await readBody(request, sawnSchema))));
