import { type FrozenRun, type RunEvent, replay } from '@whelk/core/run';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { RunKeeper } from './keeper/run-keeper.ts';

/** A run being cut: its events are kept in this browser at once and sent when the server can take them; the state is their replay. */
export function useRun(runId: string, piece: number, frozen: FrozenRun, stored: readonly RunEvent[]) {
  const [keeper] = useState(() => new RunKeeper(runId, piece, stored));
  useEffect(() => keeper.open(), [keeper]);
  const kept = useSyncExternalStore(keeper.subscribe, keeper.snapshot, keeper.snapshot);
  const state = useMemo(() => replay(frozen, kept.events), [frozen, kept.events]);
  return { ...kept, state, add: keeper.add, correct: keeper.correct, drop: keeper.drop };
}
