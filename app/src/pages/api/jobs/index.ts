import { newJob } from '@whelk/core/job';
import type { APIRoute } from 'astro';
import { z } from 'zod';
import { answer, guarded } from '../../../server/answer.ts';
import { database } from '../../../server/db/connection.ts';
import { createJob } from '../../../server/jobs/service.ts';
import { readBody } from '../../../server/security/body.ts';
import { loadSettings } from '../../../server/shop/service.ts';

const schema = z.strictObject({ title: z.string().trim().min(1).max(80), unit: z.enum(['mm', 'in']).optional() });

export const POST: APIRoute = ({ request }) =>
  guarded(async () => {
    const { title, unit } = await readBody(request, schema);
    const settings = await loadSettings(database());
    return answer({ id: await createJob(database(), newJob(title, unit ?? settings.unit, settings)) }, 201);
  });
