import { type EventBody, type FrozenRun, type RunEvent, replay } from '@whelk/core/run';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { ask } from '../../../ui/api.ts';
import { deviceId, keepWaiting, nextSeq, readWaiting } from './event-store.ts';

export type Sending = 'saved' | 'waiting' | 'refused';
const RETRY_MS = 3000;
/** The server takes so many events in one post. */
const POST_MOST = 500;

/**
 * A run being cut: events are made here, kept in this browser at once, and sent when the server can take them. The state is
 * the replay of all of them.
 */
export function useRun(runId: string, piece: number, frozen: FrozenRun, stored: readonly RunEvent[]) {
  const [events, setEvents] = useState<readonly RunEvent[]>(stored);
  const [waiting, setWaiting] = useState<readonly RunEvent[]>([]);
  const [sending, setSending] = useState<Sending>('saved');
  const [refusal, setRefusal] = useState('');
  const queue = useRef<readonly RunEvent[]>([]);
  const all = useRef<readonly RunEvent[]>(stored);
  const busy = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const state = useMemo(() => replay(frozen, events), [frozen, events]);

  const setQueue = useCallback(
    (next: readonly RunEvent[]) => {
      queue.current = next;
      keepWaiting(runId, next);
      setWaiting(next);
    },
    [runId],
  );
  const send = useCallback(async () => {
    clearTimeout(timer.current);
    if (busy.current || queue.current.length === 0) return;
    busy.current = true;
    const now = queue.current.slice(0, POST_MOST);
    const result = await ask('POST', `/api/runs/${runId}/events`, { events: now });
    busy.current = false;
    if (result.ok) {
      const sent = new Set(now.map((e) => e.id));
      setQueue(queue.current.filter((e) => !sent.has(e.id)));
      setSending(queue.current.length === 0 ? 'saved' : 'waiting');
      if (queue.current.length > 0) void send();
      return;
    }
    setSending(result.status === 503 || result.status === 500 ? 'waiting' : 'refused');
    setRefusal(result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
    timer.current = setTimeout(send, RETRY_MS);
  }, [runId, setQueue]);

  useEffect(() => {
    const kept = readWaiting(runId);
    if (kept.length > 0) {
      const known = new Set(all.current.map((e) => e.id));
      all.current = [...all.current, ...kept.filter((e) => !known.has(e.id))];
      setEvents(all.current);
      setQueue(kept);
      setSending('waiting');
      void send();
    }
    const online = () => void send();
    addEventListener('online', online);
    return () => {
      removeEventListener('online', online);
      clearTimeout(timer.current);
    };
  }, [runId, send, setQueue]);

  const add = useCallback(
    (body: EventBody) => {
      const device = deviceId();
      const heads = headsOf(all.current);
      const event = {
        ...body,
        schema: 2,
        id: crypto.randomUUID(),
        runId,
        piece,
        device,
        seq: nextSeq(runId, device, all.current),
        parents: heads,
        at: new Date().toISOString(),
      } as RunEvent;
      all.current = [...all.current, event];
      setEvents(all.current);
      setQueue([...queue.current, event]);
      setSending('waiting');
      void send();
      return event.id;
    },
    [piece, runId, send, setQueue],
  );
  return { state, events, add, sending, refusal, waiting: waiting.length };
}

/** Events that no other one follows yet: the parents of the next. */
function headsOf(events: readonly RunEvent[]): string[] {
  const followed = new Set(events.flatMap((e) => e.parents));
  return events
    .filter((e) => !followed.has(e.id))
    .map((e) => e.id)
    .slice(-16);
}
