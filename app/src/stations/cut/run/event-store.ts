import { type RunEvent, runEventSchema } from '@whelk/core/run';
import { z } from 'zod';

const key = (runId: string) => `whelk.run.${runId}`;

/** This browser's id as a device, made once. */
export function deviceId(): string {
  const known = localStorage.getItem('whelk.device');
  if (known && z.uuid().safeParse(known).success) return known;
  const fresh = crypto.randomUUID();
  localStorage.setItem('whelk.device', fresh);
  return fresh;
}

/** Next number of this device in a run; two tabs of one browser share the count kept here. */
export function nextSeq(runId: string, device: string, events: readonly RunEvent[]): number {
  const used = events.reduce((most, e) => (e.device === device ? Math.max(most, e.seq) : most), 0);
  const kept = Number(localStorage.getItem(`${key(runId)}.seq`) ?? 0);
  const next = Math.max(used, Number.isInteger(kept) ? kept : 0) + 1;
  localStorage.setItem(`${key(runId)}.seq`, String(next));
  return next;
}

/** Events not yet taken by the server, kept over reloads and restarts. */
export function keepWaiting(runId: string, events: readonly RunEvent[]): void {
  if (events.length === 0) localStorage.removeItem(key(runId));
  else localStorage.setItem(key(runId), JSON.stringify(events));
}
export function readWaiting(runId: string): readonly RunEvent[] {
  try {
    const parsed = z.array(runEventSchema).safeParse(JSON.parse(localStorage.getItem(key(runId)) ?? '[]'));
    return parsed.success ? parsed.data : [];
  } catch {
    return [];
  }
}
