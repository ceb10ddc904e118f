import type { Instrument } from '@whelk/core/gauge';
import { type Settings, type Shop, settingsSchema, usualSettings } from '@whelk/core/job';
import { type Calibration, type Lathe, upgradeLathe, withCalibrations } from '@whelk/core/lathe';
import { materialOf, type ShopMaterial } from '@whelk/core/material';
import { type Problem, under } from '@whelk/core/quantity';
import { type Bar, checkBar } from '@whelk/core/stock';
import {
  checkHolder,
  checkInsert,
  type HolderRecord,
  type InsertRecord,
  type Tool,
  upgradeTool,
} from '@whelk/core/tool';
import type { Knex } from 'knex';
import { notFound, Refused } from '../answer.ts';
import {
  countJobsUsing,
  deleteCalibrationsOf,
  deleteRecord,
  selectRecords,
  selectSettings,
  upsertRecord,
  upsertSettings,
} from './queries.ts';
import type { RecordKind } from './rows.ts';

/** Everything that jobs refer to, in the shop's own order; lathes as they really work, calibrations in force. */
export async function loadShop(db: Knex): Promise<Shop> {
  const rows = await selectRecords(db);
  const of = <T>(kind: RecordKind) => rows.filter((row) => row.kind === kind).map((row) => row.document as T);
  const calibrations = of<Calibration>('calibration');
  return {
    lathes: of<Lathe>('lathe').map((lathe) => withCalibrations(upgradeLathe(lathe) as Lathe, calibrations)),
    bars: of<Bar>('bar'),
    tools: of<Tool>('tool').map((tool) => upgradeTool(tool) as Tool),
    instruments: of<Instrument>('instrument'),
    materials: of<ShopMaterial>('material').flatMap((record) => {
      const own = materialOf(record);
      return own.ok ? [own.material] : [];
    }),
  };
}

/** Records of one kind, in the shop's order. */
export async function loadRecords(db: Knex, kind: RecordKind): Promise<unknown[]> {
  return (await selectRecords(db)).filter((row) => row.kind === kind).map((row) => row.document);
}

/** What the shop keeps about materials: its own, and figures it knows better. */
export async function loadMaterialRecords(db: Knex): Promise<ShopMaterial[]> {
  return (await selectRecords(db)).filter((row) => row.kind === 'material').map((row) => row.document as ShopMaterial);
}

/** What is held against a record before it is kept, beyond its shape. */
const checks: { readonly [K in RecordKind]?: (document: never) => Problem[] } = {
  bar: checkBar,
  holder: checkHolder,
  insert: checkInsert,
};

/** Holders and inserts in the drawer, in the shop's order. */
export async function loadDrawer(db: Knex): Promise<{ holders: HolderRecord[]; inserts: InsertRecord[] }> {
  const rows = await selectRecords(db);
  const of = <T>(kind: RecordKind) => rows.filter((row) => row.kind === kind).map((row) => row.document as T);
  return { holders: of<HolderRecord>('holder'), inserts: of<InsertRecord>('insert') };
}

export async function saveRecord(db: Knex, kind: RecordKind, document: { id: string }): Promise<void> {
  if (kind === 'material') {
    const made = materialOf(document as ShopMaterial);
    if (!made.ok) throw new Refused(400, [{ code: made.code, path: ['record', ...made.path] }]);
  }
  const check = checks[kind];
  if (check) {
    const wrong = check(document as never).filter((p) => p.severity !== 'warning');
    if (wrong.length > 0)
      throw new Refused(
        400,
        wrong.map((p) => under(['record'], p)),
      );
  }
  await upsertRecord(db, { id: document.id, kind, document });
}

/** Takes a record away; refused while jobs use it. */
export async function removeRecord(db: Knex, kind: RecordKind, id: string): Promise<void> {
  const uses = await countJobsUsing(db, id);
  if (uses > 0) throw new Refused(409, [{ code: 'record.inUse', path: [], value: uses }]);
  await db.transaction(async (trx) => {
    if (kind === 'lathe') await deleteCalibrationsOf(trx, id);
    if ((await deleteRecord(trx, kind, id)) === 0) throw notFound();
  });
}

export async function loadSettings(db: Knex): Promise<Settings> {
  const parsed = settingsSchema.safeParse(await selectSettings(db));
  return parsed.success ? parsed.data : usualSettings;
}
export const saveSettings = upsertSettings;
