import { readTyped, type TypedLength } from '../quantity/index.ts';
import type { RunEvent } from './event.ts';

/** What became of readings later: as they stand in the end they count from the beginning, and what was told stays told. */
export interface Later {
  readonly corrected: ReadonlyMap<string, readonly TypedLength[]>;
  readonly setAside: ReadonlySet<string>;
  /** place in the order of the last event that changed a reading */
  readonly changedAt: ReadonlyMap<string, number>;
}

/** What becomes of readings in a run. @param events in their order @param undone ids of those that were taken back */
export function laterOf(events: readonly RunEvent[], undone: ReadonlySet<string>): Later {
  const corrected = new Map<string, TypedLength[]>();
  const setAside = new Set<string>();
  const changedAt = new Map<string, number>();
  for (const [at, event] of events.entries()) {
    if ((event.kind !== 'corrected' && event.kind !== 'setAside') || undone.has(event.id)) continue;
    if (event.kind === 'setAside') setAside.add(event.readingId);
    else if (!readTyped(event.raw).ok) continue;
    else corrected.set(event.readingId, [...(corrected.get(event.readingId) ?? []), event.raw]);
    changedAt.set(event.readingId, at);
  }
  return { corrected, setAside, changedAt };
}
