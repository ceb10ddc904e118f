import { toldJob } from '@whelk/core/calc';
import type { APIRoute } from 'astro';
import { format } from 'date-fns';
import { z } from 'zod';
import { answer, attachment, guarded, notFound } from '../../../../server/answer.ts';
import { database } from '../../../../server/db/connection.ts';
import { drawingFile, isDrawingFile } from '../../../../server/exchange/drawing-files.ts';
import { exportJob } from '../../../../server/exchange/job-exchange.ts';
import { plannedRoute, rowsToCsv, travellerPdf } from '../../../../server/exchange/route-files.ts';
import { loadMates } from '../../../../server/jobs/mates.ts';
import { changeJob, duplicateJob } from '../../../../server/jobs/service.ts';
import { idOf } from '../../../../server/params.ts';
import { startRun } from '../../../../server/runs/service.ts';
import { readBody } from '../../../../server/security/body.ts';
import { routeRows, travellerOf } from '../../../../stations/route/traveller.ts';

const startSchema = z.strictObject({
  piece: z.number().int().min(1).max(1000),
  setup: z.number().int().min(1).max(20).optional(),
});

export const GET: APIRoute = ({ params, url }) =>
  guarded(async () => {
    const id = idOf(params.id);
    if (params.act === 'export') {
      const file = await exportJob(database(), id);
      return attachment(`${JSON.stringify(file, null, 2)}\n`, 'application/json', `${file.job.title}.json`);
    }
    if (params.act === 'mates') return answer(await loadMates(database(), id));
    if (params.act === 'traveller.pdf' || params.act === 'route.csv' || params.act === 'route.json') {
      const { job, planned, shop } = await plannedRoute(database(), id);
      if (params.act === 'route.csv')
        return attachment(rowsToCsv(routeRows(job, planned)), 'text/csv', `${job.title}, route.csv`);
      if (params.act === 'route.json')
        return attachment(
          `${JSON.stringify(toldJob(planned), null, 2)}\n`,
          'application/json',
          `${job.title}, route.json`,
        );
      const traveller = travellerOf(job, planned, shop, format(new Date(), 'yyyy-MM-dd'));
      return attachment(await travellerPdf(traveller), 'application/pdf', `${job.title}, traveller.pdf`);
    }
    if (isDrawingFile(params.act)) {
      const { body, type, name } = await drawingFile(database(), id, params.act, url);
      return attachment(body, type, name);
    }
    throw notFound();
  });

export const POST: APIRoute = ({ params, request }) =>
  guarded(async () => {
    const id = idOf(params.id);
    switch (params.act) {
      case 'duplicate':
        return answer({ id: await duplicateJob(database(), id) }, 201);
      case 'archive':
      case 'unarchive':
      case 'undelete':
        await changeJob(database(), id, params.act);
        return answer({ done: params.act });
      case 'runs': {
        const { piece, setup } = await readBody(request, startSchema);
        const run = await startRun(database(), id, piece, setup);
        return answer(run, run.already ? 200 : 201);
      }
      default:
        throw notFound();
    }
  });
