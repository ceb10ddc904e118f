import type { RunEvent } from './event.ts';

function before(a: RunEvent, b: RunEvent): number {
  return a.device === b.device ? a.seq - b.seq : a.device < b.device ? -1 : 1;
}

/** Sorted by device and sequence; as they are when they came so, which is the usual case. */
function inDeviceOrder(events: readonly RunEvent[]): readonly RunEvent[] {
  for (let i = 1; i < events.length; i++) if (before(events[i - 1]!, events[i]!) > 0) return events.toSorted(before);
  return events;
}

function waits(event: RunEvent, done: ReadonlySet<string>, byId: ReadonlyMap<string, RunEvent>): boolean {
  for (const id of event.parents) if (!done.has(id) && byId.has(id)) return true;
  return false;
}

/**
 * Events in the order they count: parents first, then device and sequence. Clocks and order of arrival play no part; an
 * event that comes twice counts once; a parent that has not arrived holds nothing up.
 */
export function orderEvents(events: readonly RunEvent[]): readonly RunEvent[] {
  const byId = new Map<string, RunEvent>();
  for (const event of events) byId.set(event.id, event);
  const sorted = inDeviceOrder(byId.size === events.length ? events : [...byId.values()]);
  const done = new Set<string>();
  const ordered: RunEvent[] = [];
  // depth first from each event in device order: iterative, since a chain can be ten thousand long
  for (const start of sorted) {
    // the usual case: what it follows is already there
    if (!waits(start, done, byId)) {
      if (!done.has(start.id)) ordered.push(start);
      done.add(start.id);
      continue;
    }
    const stack = [start];
    const open = new Set<string>();
    while (stack.length > 0) {
      const event = stack.at(-1)!;
      if (done.has(event.id)) {
        stack.pop();
        continue;
      }
      open.add(event.id);
      // a parent that is itself waiting for this event would be a loop: a broken client's, and then not waited for
      const missing = event.parents.filter((id) => byId.has(id) && !done.has(id) && !open.has(id));
      if (missing.length > 0) {
        stack.push(
          ...missing
            .map((id) => byId.get(id)!)
            .sort(before)
            .toReversed(),
        );
        continue;
      }
      stack.pop();
      done.add(event.id);
      ordered.push(event);
    }
  }
  return ordered;
}
