import type { RunEvent, StoredEvent } from '@whelk/core/run';
import { type KeepDb, keepDb } from '../../../../ui/keep/db.ts';
import { dropFirstStore, takeFirstStore } from './first-store.ts';

/** An event that the server has not taken yet. */
export interface KeptEvent {
  readonly event: StoredEvent;
  /** why the server would not take it; it waits for the turner */
  readonly refused?: string;
}

/** Where a run's events wait for the server. Several tabs of one browser share it. */
export interface EventStore {
  /** makes an event with this device's next number and keeps it, before anything moves on */
  append(make: (device: string, seq: number) => RunEvent, usedSeq: number): Promise<RunEvent>;
  all(): Promise<readonly KeptEvent[]>;
  put(kept: KeptEvent): Promise<void>;
  remove(ids: readonly string[]): Promise<void>;
  /** a copied browser has the same id as another: this one takes a new one */
  newDevice(): Promise<string>;
}

const DEVICE = 'device';

async function deviceOf(db: KeepDb): Promise<string> {
  const known = await db.get('counts', DEVICE);
  if (typeof known === 'string') return known;
  const fresh = crypto.randomUUID();
  await db.put('counts', fresh, DEVICE);
  return fresh;
}

/** The store on disk. Each append is one transaction, written through before it counts. */
export async function openStore(runId: string): Promise<EventStore> {
  const db = await keepDb();
  let device = await deviceOf(db);
  const left = takeFirstStore(runId);
  if (left.length > 0) {
    const move = db.transaction('events', 'readwrite', { durability: 'strict' });
    await Promise.all(left.map((event) => move.store.put({ id: event.id, runId, event })));
    await move.done;
  }
  dropFirstStore(runId);
  return {
    async append(make, usedSeq) {
      const tx = db.transaction(['events', 'counts'], 'readwrite', { durability: 'strict' });
      // another tab may have taken a new id meanwhile
      const known = await tx.objectStore('counts').get(DEVICE);
      if (typeof known === 'string') device = known;
      const key = `${runId}.${device}`;
      const last = Number((await tx.objectStore('counts').get(key)) ?? 0);
      const seq = Math.max(last, usedSeq) + 1;
      const event = make(device, seq);
      await tx.objectStore('counts').put(seq, key);
      await tx.objectStore('events').put({ id: event.id, runId, event });
      await tx.done;
      return event;
    },
    async all() {
      const rows = await db.getAllFromIndex('events', 'byRun', runId);
      return rows
        .map(({ event, refused }) => ({ event: event as StoredEvent, ...(refused ? { refused } : {}) }))
        .sort((a, b) => a.event.seq - b.event.seq);
    },
    async put({ event, refused }) {
      const tx = db.transaction('events', 'readwrite', { durability: 'strict' });
      await tx.store.put({ id: event.id, runId, event, ...(refused ? { refused } : {}) });
      await tx.done;
    },
    async remove(ids) {
      const tx = db.transaction('events', 'readwrite');
      await Promise.all(ids.map((id) => tx.store.delete(id)));
      await tx.done;
    },
    async newDevice() {
      device = crypto.randomUUID();
      await db.put('counts', device, DEVICE);
      return device;
    },
  };
}

/** The store in this page alone, where the browser keeps nothing: it goes on, and says so. */
export function pageStore(begun: readonly KeptEvent[] = []): EventStore {
  const kept = new Map(begun.map((k) => [k.event.id, k]));
  let device: string = crypto.randomUUID();
  let seq = 0;
  return {
    async append(make, usedSeq) {
      seq = Math.max(seq, usedSeq) + 1;
      const event = make(device, seq);
      kept.set(event.id, { event });
      return event;
    },
    async all() {
      return [...kept.values()];
    },
    async put(k) {
      kept.set(k.event.id, k);
    },
    async remove(ids) {
      for (const id of ids) kept.delete(id);
    },
    async newDevice() {
      device = crypto.randomUUID();
      return device;
    },
  };
}
