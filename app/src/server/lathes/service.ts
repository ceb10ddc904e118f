import { randomUUID } from 'node:crypto';
import {
  type Calibration,
  calibrated,
  checkLathe,
  type Lathe,
  type LathePattern,
  lathePattern,
  type Stand,
  standOn,
} from '@whelk/core/lathe';
import { type FrozenRun, type RunState, standAfter } from '@whelk/core/run';
import type { Knex } from 'knex';
import { notFound, Refused } from '../answer.ts';
import { upsertRecord } from '../shop/queries.ts';
import {
  insertRevision,
  selectCalibrationsOf,
  selectLathe,
  selectRevision,
  selectRevisions,
  selectStand,
  upsertStand,
} from './queries.ts';
import { type StoredLathe, toCalibration, toLathe, toRevision, toStand } from './rows.ts';

async function latheOf(db: Knex, id: string, lock = false): Promise<Lathe> {
  const row = await selectLathe(db, id, lock);
  if (!row) throw notFound();
  return toLathe(row.document);
}

/** A lathe as described, with its calibrations, how it stands, and its revisions. @throws Refused 404 */
export async function loadLathe(db: Knex, id: string): Promise<StoredLathe> {
  const lathe = await latheOf(db, id);
  const [calibrations, stand, revisions] = await Promise.all([
    selectCalibrationsOf(db, id),
    selectStand(db, id),
    selectRevisions(db, id),
  ]);
  return {
    lathe,
    calibrations: calibrations.map(toCalibration),
    stand: toStand(lathe, stand),
    revisions: revisions.map(toRevision),
  };
}

/** A lathe as it was described at a revision. @throws Refused 404 */
export async function loadRevision(db: Knex, id: string, revision: number): Promise<Lathe> {
  const document = await selectRevision(db, id, revision);
  if (document === undefined) throw notFound();
  return toLathe(document);
}

/** Puts a lathe into the shop; what is wrong with its description is said when it is opened or planned for. */
export async function addLathe(db: Knex, lathe: Lathe): Promise<void> {
  await upsertRecord(db, { id: lathe.id, kind: 'lathe', document: lathe });
  await insertRevision(db, lathe.id, lathe.revision, lathe);
}

/** A new lathe from a blank pattern, or a copy of another one under a new name. */
export async function createLathe(
  db: Knex,
  from: { readonly pattern: LathePattern } | { readonly copyOf: string },
  name: string,
): Promise<string> {
  const id = randomUUID();
  const lathe =
    'pattern' in from
      ? lathePattern(from.pattern, id, name)
      : { ...(await latheOf(db, from.copyOf)), id, name, revision: 1, inForce: {} };
  await db.transaction((trx) => addLathe(trx, lathe));
  return id;
}

/**
 * Saves a description over the revision it started from, as the next one. Runs keep the one they were begun with.
 * @throws Refused 409 with both versions when somebody else was first, 400 when it is at odds with itself
 */
export async function saveLathe(db: Knex, lathe: Lathe): Promise<Lathe> {
  const faults = checkLathe(lathe).filter((p) => p.severity !== 'warning' && p.code !== 'lathe.noSpeeds');
  if (faults.length > 0) throw new Refused(400, faults.slice(0, 50));
  return db.transaction(async (trx) => {
    const theirs = await latheOf(trx, lathe.id, true);
    if (theirs.revision !== lathe.revision)
      throw new Refused(
        409,
        [{ code: 'save.stale', path: ['revision'], value: lathe.revision, limit: theirs.revision }],
        { mine: lathe, theirs },
      );
    const next = { ...lathe, revision: lathe.revision + 1 };
    await insertRevision(trx, lathe.id, theirs.revision, theirs);
    await addLathe(trx, next);
    return next;
  });
}

/** Keeps how a lathe stands. */
export async function saveStand(db: Knex, latheId: string, stand: Stand): Promise<Stand> {
  const lathe = await latheOf(db, latheId);
  // forgetting is no lever: a page that was open before does not take it back
  const since = (await loadStand(db, lathe)).springForgottenAt;
  const kept = { ...standOn(lathe, stand), ...(since === undefined ? {} : { springForgottenAt: since }) };
  await upsertStand(db, latheId, kept);
  return kept;
}

/** What a lathe's cuts have shown of spring until now does not count any more. */
export async function forgetSpringOf(db: Knex, latheId: string): Promise<void> {
  const stand = await loadStand(db, await latheOf(db, latheId));
  await upsertStand(db, latheId, { ...stand, springForgottenAt: new Date().toISOString() });
}

/** How a lathe stands, as far as it is known. */
export async function loadStand(db: Knex, lathe: Lathe): Promise<Stand> {
  return toStand(lathe, await selectStand(db, lathe.id));
}

/** What a run has set stays set; a lathe that was removed meanwhile stands nowhere. */
export async function leaveStanding(db: Knex, run: FrozenRun, state: RunState): Promise<void> {
  const row = await selectLathe(db, run.means.lathe.id);
  if (!row) return;
  const before = await loadStand(db, toLathe(row.document));
  await upsertStand(db, run.means.lathe.id, standAfter(run, state, before));
}

/** Adds a calibration; it is not in force until it is put so. @throws Refused 400 when it says nothing about this lathe */
export async function addCalibration(db: Knex, calibration: Calibration): Promise<void> {
  const lathe = await latheOf(db, calibration.latheId);
  const result = calibrated(lathe, calibration);
  if (!result.ok) throw new Refused(400, [{ code: result.code, path: ['calibration', ...result.path] }]);
  if (await db('shop_records').where({ id: calibration.id }).first())
    throw new Refused(409, [{ code: 'calibration.already', path: ['calibration', 'id'] }]);
  await upsertRecord(db, { id: calibration.id, kind: 'calibration', document: calibration });
}

/** Puts a calibration in force, or what the description says with `null`; a new revision of the lathe. */
export async function putInForce(db: Knex, latheId: string, slot: string, id: string | null): Promise<Lathe> {
  const { lathe, calibrations } = await loadLathe(db, latheId);
  const { [slot]: _before, ...others } = lathe.inForce;
  if (id === null) return saveLathe(db, { ...lathe, inForce: others });
  const calibration = calibrations.find((c) => c.id === id);
  const result = calibration && calibrated(lathe, calibration);
  if (!result?.ok || result.slot !== slot) throw notFound();
  return saveLathe(db, { ...lathe, inForce: { ...others, [slot]: id } });
}
