import type { Knex } from 'knex';
import type { RecordRow } from '../shop/rows.ts';
import type { LatheRevisionRow } from './rows.ts';

export async function selectLathe(db: Knex, id: string, lock = false): Promise<RecordRow | undefined> {
  const query = db<RecordRow>('shop_records').where({ kind: 'lathe', id });
  return (lock ? query.forUpdate() : query).first();
}
export async function selectCalibrationsOf(db: Knex, latheId: string): Promise<RecordRow[]> {
  return db<RecordRow>('shop_records')
    .where({ kind: 'calibration' })
    .andWhereRaw(`document ->> 'latheId' = ?`, [latheId])
    .orderByRaw(`document ->> 'at' desc`);
}
export async function insertRevision(db: Knex, id: string, revision: number, document: unknown): Promise<void> {
  await db('record_revisions')
    .insert({ record_id: id, revision, document: JSON.stringify(document) })
    .onConflict(['record_id', 'revision'])
    .ignore();
}
export async function selectRevisions(db: Knex, id: string): Promise<LatheRevisionRow[]> {
  return db('record_revisions').select('revision', 'saved_at').where({ record_id: id }).orderBy('revision', 'desc');
}
export async function selectRevision(db: Knex, id: string, revision: number): Promise<unknown> {
  return (await db('record_revisions').where({ record_id: id, revision }).first())?.document;
}
export async function selectStand(db: Knex, latheId: string): Promise<unknown> {
  return (await db('lathe_stands').where({ lathe_id: latheId }).first())?.document;
}
export async function upsertStand(db: Knex, latheId: string, document: unknown): Promise<void> {
  await db('lathe_stands')
    .insert({ lathe_id: latheId, document: JSON.stringify(document) })
    .onConflict('lathe_id')
    .merge({ document: JSON.stringify(document), updated_at: db.fn.now() });
}
