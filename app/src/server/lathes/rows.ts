import {
  type Calibration,
  calibrationSchema,
  type Lathe,
  type Stand,
  standOn,
  standSchema,
  storedLatheSchema,
  unknownStand,
} from '@whelk/core/lathe';
import type { RecordRow } from '../shop/rows.ts';

export interface LatheRevisionRow {
  revision: number;
  saved_at: Date;
}
/** One earlier or present description of a lathe. */
export interface LatheRevision {
  readonly revision: number;
  readonly savedAt: string;
}
/** A lathe with all that is kept about it. */
export interface StoredLathe {
  readonly lathe: Lathe;
  readonly calibrations: readonly Calibration[];
  readonly stand: Stand;
  readonly revisions: readonly LatheRevision[];
}

export const toLathe = (document: unknown): Lathe => storedLatheSchema.parse(document);
export const toCalibration = (row: RecordRow): Calibration => calibrationSchema.parse(row.document);
export const toRevision = (row: LatheRevisionRow): LatheRevision => ({
  revision: row.revision,
  savedAt: row.saved_at.toISOString(),
});

/** The stored stand as far as the lathe still has what it names; unknown when there is none. */
export function toStand(lathe: Lathe, document: unknown): Stand {
  const parsed = standSchema.safeParse(document);
  return parsed.success ? standOn(lathe, parsed.data) : unknownStand(lathe);
}
