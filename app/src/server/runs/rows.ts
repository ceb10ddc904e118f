import { type FrozenRun, type RunEvent, type StoredEvent, upgradeEvents, upgradeFrozen } from '@whelk/core/run';

export interface RunRow {
  id: string;
  job_id: string;
  piece: number;
  setup: number;
  frozen: unknown;
  started_at: Date;
  ended_at: Date | null;
  outcome: string | null;
  step_index: number;
  step_count: number;
}
/** A run as lists show it, without its plan and events. */
export interface RunSummary {
  readonly id: string;
  readonly jobId: string;
  readonly piece: number;
  /** which holding of the job */
  readonly setup: number;
  readonly open: boolean;
  readonly outcome: string | null;
  readonly stepIndex: number;
  readonly stepCount: number;
  readonly startedAt: string;
}
export interface EventRow {
  id: string;
  run_id: string;
  device: string;
  seq: number;
  body: unknown;
  received_at: Date;
}
export interface StoredRun {
  readonly id: string;
  readonly jobId: string;
  readonly piece: number;
  readonly setup: number;
  readonly frozen: FrozenRun;
  readonly startedAt: string;
  readonly endedAt: string | null;
  readonly events: readonly RunEvent[];
}

export function toRun(row: RunRow, events: readonly EventRow[]): StoredRun {
  // written by this application from a plan it made; the schema version says which shape
  const frozen = upgradeFrozen(row.frozen);
  const stored = events.map(
    (event) => ({ ...(event.body as StoredEvent), receivedAt: event.received_at.toISOString() }) as StoredEvent,
  );
  return {
    id: row.id,
    jobId: row.job_id,
    piece: row.piece,
    setup: row.setup,
    frozen,
    startedAt: row.started_at.toISOString(),
    endedAt: row.ended_at?.toISOString() ?? null,
    events: upgradeEvents(frozen, stored),
  };
}

export function toSummary(row: Omit<RunRow, 'frozen'>): RunSummary {
  return {
    id: row.id,
    jobId: row.job_id,
    piece: row.piece,
    setup: row.setup,
    open: row.ended_at === null,
    outcome: row.outcome,
    stepIndex: row.step_index,
    stepCount: row.step_count,
    startedAt: row.started_at.toISOString(),
  };
}
