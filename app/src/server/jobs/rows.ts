import { type Job, storedJobSchema } from '@whelk/core/job';

export interface JobRow {
  id: string;
  title: string;
  quantity: number;
  document: unknown;
  version: number;
  revision: number;
  updated_at: Date;
  archived_at: Date | null;
  deleted_at: Date | null;
}

/** A job as the application knows it. */
export interface StoredJob {
  readonly id: string;
  readonly job: Job;
  readonly version: number;
  readonly revision: number;
  readonly updatedAt: string;
  readonly archived: boolean;
}

export function toDomain(row: JobRow): StoredJob {
  return {
    id: row.id,
    job: storedJobSchema.parse(row.document),
    version: row.version,
    revision: row.revision,
    updatedAt: row.updated_at.toISOString(),
    archived: row.archived_at !== null,
  };
}

export function toRow(job: Job): { title: string; quantity: number; document: string } {
  return { title: job.title, quantity: job.quantity, document: JSON.stringify(job) };
}
