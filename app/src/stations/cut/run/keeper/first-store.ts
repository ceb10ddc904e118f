import { type StoredEvent, storedEventSchema } from '@whelk/core/run';
import { z } from 'zod';

const key = (runId: string) => `whelk.run.${runId}`;

/** Events that an earlier version kept in the browser's plain storage and had not sent yet; they are moved, once. */
export function takeFirstStore(runId: string): readonly StoredEvent[] {
  try {
    const text = localStorage.getItem(key(runId));
    if (text === null) return [];
    const parsed = z.array(storedEventSchema).safeParse(JSON.parse(text));
    return parsed.success ? parsed.data : [];
  } catch {
    return [];
  }
}
export function dropFirstStore(runId: string): void {
  try {
    localStorage.removeItem(key(runId));
    localStorage.removeItem(`${key(runId)}.seq`);
  } catch {
    // forbidden storage holds nothing
  }
}
