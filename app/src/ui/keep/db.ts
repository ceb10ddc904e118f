import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** What this browser keeps until the server has it, and what was typed and not entered yet. */
interface Kept extends DBSchema {
  /** events of runs, as they were made; `refused`: the server would not take it, and why */
  events: {
    key: string;
    value: { id: string; runId: string; event: unknown; refused?: string };
    indexes: { byRun: string };
  };
  /** the device's own id, and its last number in each run */
  counts: { key: string; value: string | number };
  /** texts that were typed and not entered, by the field's name */
  drafts: { key: string; value: string };
}
export type KeepDb = IDBPDatabase<Kept>;

let opened: Promise<KeepDb> | undefined;

/** This browser's store; rejects where it is forbidden or broken, and may be asked again. */
export function keepDb(): Promise<KeepDb> {
  opened ??= openDB<Kept>('whelk', 1, {
    upgrade(db) {
      db.createObjectStore('events', { keyPath: 'id' }).createIndex('byRun', 'runId');
      db.createObjectStore('counts');
      db.createObjectStore('drafts');
    },
    terminated() {
      opened = undefined;
    },
  }).catch((error: unknown) => {
    opened = undefined;
    throw error;
  });
  return opened;
}
