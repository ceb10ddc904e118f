import { randomUUID } from 'node:crypto';
import { problemsOf } from '@whelk/core/calc';
import { latheFileSchema } from '@whelk/core/lathe';
import type { Knex } from 'knex';
import { Refused } from '../answer.ts';
import { upsertRecord } from '../shop/queries.ts';
import { addLathe, loadLathe, loadRevision } from './service.ts';

/** The file of a lathe, of now or as it was at a revision: description and every calibration, format `whelk.lathe`. */
export async function exportLathe(db: Knex, id: string, revision?: number) {
  const { lathe: now, calibrations } = await loadLathe(db, id);
  const lathe = revision === undefined ? now : await loadRevision(db, id, revision);
  return {
    format: 'whelk.lathe' as const,
    schema: 1 as const,
    exportedAt: new Date().toISOString(),
    lathe,
    calibrations,
  };
}

/** Takes a lathe's file in as a new lathe with ids of its own. Nothing is overwritten. */
export async function importLathe(db: Knex, body: unknown): Promise<string> {
  const head = body as { format?: unknown; schema?: unknown } | null;
  if (head?.format !== 'whelk.lathe') throw new Refused(400, [{ code: 'file.notALathe', path: ['format'] }]);
  if (typeof head.schema === 'number' && head.schema > 1)
    throw new Refused(400, [{ code: 'file.newer', path: ['schema'], value: head.schema, limit: 1 }]);
  const parsed = latheFileSchema.safeParse(body);
  if (!parsed.success) throw new Refused(400, problemsOf(parsed.error).slice(0, 50));
  const { lathe, calibrations } = parsed.data;
  const id = randomUUID();
  const renewed = new Map(calibrations.map((c) => [c.id, randomUUID()]));
  const inForce = Object.fromEntries(
    Object.entries(lathe.inForce).flatMap(([slot, old]) => {
      const fresh = renewed.get(old);
      return fresh ? [[slot, fresh]] : [];
    }),
  );
  await db.transaction(async (trx) => {
    await addLathe(trx, { ...lathe, id, revision: 1, inForce });
    for (const c of calibrations)
      await upsertRecord(trx, {
        id: renewed.get(c.id)!,
        kind: 'calibration',
        document: { ...c, id: renewed.get(c.id)!, latheId: id },
      });
  });
  return id;
}
