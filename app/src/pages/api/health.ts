import type { APIRoute } from 'astro';
import { answer, guarded } from '../../server/answer.ts';
import { database } from '../../server/db/connection.ts';

/** Whether server and database answer: pages ask it until the database is back. */
export const GET: APIRoute = () =>
  guarded(async () => {
    await database().raw('select 1');
    return answer({ ok: true });
  });
