import type { APIRoute } from 'astro';
import { z } from 'zod';
import { answer, guarded, notFound } from '../../../server/answer.ts';
import { database } from '../../../server/db/connection.ts';
import { idOf } from '../../../server/params.ts';
import { readBody } from '../../../server/security/body.ts';
import { isListedKind, recordSchemas } from '../../../server/shop/rows.ts';
import { loadRecords, removeRecord, saveRecord } from '../../../server/shop/service.ts';

/** What the shop has of a kind now. */
export const GET: APIRoute = ({ params }) =>
  guarded(async () => {
    const { kind } = params;
    if (!isListedKind(kind)) throw notFound();
    return answer({ records: await loadRecords(database(), kind) });
  });
/** Adds or changes a record of the shop. */
export const PUT: APIRoute = ({ params, request }) =>
  guarded(async () => {
    const { kind } = params;
    if (!isListedKind(kind)) throw notFound();
    const { record } = await readBody(
      request,
      z.strictObject({ record: recordSchemas[kind] as z.ZodType<{ id: string }> }),
    );
    await saveRecord(database(), kind, record);
    return answer({ saved: record.id });
  });
export const DELETE: APIRoute = ({ params, request }) =>
  guarded(async () => {
    const { kind } = params;
    if (!isListedKind(kind)) throw notFound();
    const { id } = await readBody(request, z.strictObject({ id: z.string() }));
    await removeRecord(database(), kind, idOf(id));
    return answer({ deleted: id });
  });
