import { LATHE_PATTERNS } from '@whelk/core/lathe';
import type { APIRoute } from 'astro';
import { z } from 'zod';
import { answer, guarded } from '../../../server/answer.ts';
import { database } from '../../../server/db/connection.ts';
import { createLathe } from '../../../server/lathes/service.ts';
import { readBody } from '../../../server/security/body.ts';

const name = z.string().trim().min(1).max(60);
const schema = z.union([
  z.strictObject({ name, pattern: z.enum(LATHE_PATTERNS as [(typeof LATHE_PATTERNS)[number]]) }),
  z.strictObject({ name, copyOf: z.uuid() }),
]);

/** A new lathe from a blank pattern, or a copy. */
export const POST: APIRoute = ({ request }) =>
  guarded(async () => {
    const { name: called, ...from } = await readBody(request, schema);
    return answer({ id: await createLathe(database(), from, called) }, 201);
  });
