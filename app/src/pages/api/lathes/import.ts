import type { APIRoute } from 'astro';
import { answer, guarded } from '../../../server/answer.ts';
import { database } from '../../../server/db/connection.ts';
import { importLathe } from '../../../server/lathes/exchange.ts';
import { IMPORT_BYTES, readJson } from '../../../server/security/body.ts';

export const POST: APIRoute = ({ request }) =>
  guarded(async () => answer({ id: await importLathe(database(), await readJson(request, IMPORT_BYTES)) }, 201));
