import type { Instrument } from '@whelk/core/gauge';
import { type Bar, type Settings, type Shop, settingsSchema, usualSettings } from '@whelk/core/job';
import { type Lathe, upgradeLathe } from '@whelk/core/lathe';
import type { Tool } from '@whelk/core/tool';
import type { Knex } from 'knex';
import { notFound, Refused } from '../answer.ts';
import {
  countJobsUsing,
  deleteRecord,
  selectRecords,
  selectSettings,
  upsertRecord,
  upsertSettings,
} from './queries.ts';
import type { RecordKind } from './rows.ts';

/** Everything that jobs refer to, in the shop's own order. */
export async function loadShop(db: Knex): Promise<Shop> {
  const rows = await selectRecords(db);
  const of = <T>(kind: RecordKind) => rows.filter((row) => row.kind === kind).map((row) => row.document as T);
  return {
    lathes: of<Lathe>('lathe').map((lathe) => upgradeLathe(lathe) as Lathe),
    bars: of<Bar>('bar'),
    tools: of<Tool>('tool'),
    instruments: of<Instrument>('instrument'),
  };
}

export async function saveRecord(db: Knex, kind: RecordKind, document: { id: string }): Promise<void> {
  await upsertRecord(db, { id: document.id, kind, document });
}

/** Takes a record away; refused while jobs use it. */
export async function removeRecord(db: Knex, kind: RecordKind, id: string): Promise<void> {
  const uses = await countJobsUsing(db, id);
  if (uses > 0) throw new Refused(409, [{ code: 'record.inUse', path: [], value: uses }]);
  if ((await deleteRecord(db, kind, id)) === 0) throw notFound();
}

export async function loadSettings(db: Knex): Promise<Settings> {
  const parsed = settingsSchema.safeParse(await selectSettings(db));
  return parsed.success ? parsed.data : usualSettings;
}
export const saveSettings = upsertSettings;
