import { replay } from '@whelk/core/run';
import type { APIRoute } from 'astro';
import { readingsCsv } from '../../../../exchange/csv.ts';
import { attachment, guarded } from '../../../../server/answer.ts';
import { database } from '../../../../server/db/connection.ts';
import { idOf } from '../../../../server/params.ts';
import { loadRun } from '../../../../server/runs/load.ts';

export const GET: APIRoute = ({ params }) =>
  guarded(async () => {
    const run = await loadRun(database(), idOf(params.id));
    return attachment(
      readingsCsv(run.frozen, replay(run.frozen, run.events), run.piece),
      'text/csv',
      `${run.frozen.title}, piece ${run.piece}.csv`,
    );
  });
