import type { Knex } from 'knex';
import type { RecordKind, RecordRow } from './rows.ts';

export async function selectRecords(db: Knex): Promise<RecordRow[]> {
  return db<RecordRow>('shop_records').select('id', 'kind', 'position', 'document').orderBy(['kind', 'position', 'id']);
}
export async function upsertRecord(db: Knex, row: Omit<RecordRow, 'position'> & { position?: number }): Promise<void> {
  const last = await db<RecordRow>('shop_records').where({ kind: row.kind }).max('position as last').first();
  const position = row.position ?? Number((last as { last: number | null } | undefined)?.last ?? 0) + 1;
  await db('shop_records')
    .insert({ ...row, position, document: JSON.stringify(row.document) })
    .onConflict('id')
    .merge({ document: JSON.stringify(row.document), updated_at: db.fn.now() });
}
/** A record, kept from others until the transaction ends. */
export async function selectRecordForUpdate(db: Knex, kind: RecordKind, id: string): Promise<RecordRow | undefined> {
  return db<RecordRow>('shop_records').where({ kind, id }).forUpdate().first();
}
export async function deleteRecord(db: Knex, kind: RecordKind, id: string): Promise<number> {
  return db('shop_records').where({ kind, id }).delete();
}
/** Measurements of a lathe go with it. */
export async function deleteCalibrationsOf(db: Knex, latheId: string): Promise<void> {
  await db('shop_records').where({ kind: 'calibration' }).andWhereRaw(`document ->> 'latheId' = ?`, [latheId]).delete();
}
export async function countJobsUsing(db: Knex, id: string): Promise<number> {
  const row = await db('jobs')
    .whereNull('deleted_at')
    .andWhereRaw(`(document #>> '{stock,barId}' = ? or document #>> '{hold,latheId}' = ?)`, [id, id])
    .count('* as n')
    .first();
  return Number(row?.n ?? 0);
}
export async function selectSettings(db: Knex): Promise<unknown> {
  return (await db('shop_settings').where({ id: 1 }).first())?.document;
}
export async function upsertSettings(db: Knex, document: unknown): Promise<void> {
  await db('shop_settings')
    .insert({ id: 1, document: JSON.stringify(document) })
    .onConflict('id')
    .merge({ document: JSON.stringify(document) });
}
