import { settingsSchema } from '@whelk/core/job';
import type { APIRoute } from 'astro';
import { answer, guarded } from '../../server/answer.ts';
import { database } from '../../server/db/connection.ts';
import { readBody } from '../../server/security/body.ts';
import { saveSettings } from '../../server/shop/service.ts';

export const PUT: APIRoute = ({ request }) =>
  guarded(async () => {
    const settings = await readBody(request, settingsSchema);
    await saveSettings(database(), settings);
    return answer({ saved: true });
  });
