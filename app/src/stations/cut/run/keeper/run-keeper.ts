import type { EventBody, RunEvent } from '@whelk/core/run';
import { ask } from '../../../../ui/api.ts';
import { type EventStore, type KeptEvent, openStore, pageStore } from './store.ts';

/** What a page shows of a run's events: all that count, those that wait, those that were refused, and whether this browser keeps them. */
export interface Kept {
  readonly events: readonly RunEvent[];
  readonly waiting: number;
  readonly refused: readonly KeptEvent[];
  /** `page`: this browser's storage is full or forbidden, and what waits is in this page alone */
  readonly keptIn: 'browser' | 'page';
  readonly opened: boolean;
}
interface Answer {
  readonly taken: readonly string[];
  readonly refused: readonly { id: string; problems: readonly { code: string; what: string; right: string }[] }[];
}
type Told = { readonly kind: 'added'; readonly event: RunEvent } | { readonly kind: 'changed' };

const POST_MOST = 200;
const ANSWER_WITHIN_MS = 8000;
const FIRST_PAUSE_MS = 1000;
const LONGEST_PAUSE_MS = 10_000;

/** Events that no other one follows yet: the parents of the next. */
function headsOf(events: readonly RunEvent[]): string[] {
  const followed = new Set(events.flatMap((e) => e.parents));
  return events
    .filter((e) => !followed.has(e.id))
    .map((e) => e.id)
    .slice(-16);
}

/**
 * Keeps the events of one run: written in this browser before the page moves on, sent when the server can take them, one queue for
 * all tabs. It knows no React; the page listens to it.
 */
export class RunKeeper {
  readonly #runId: string;
  readonly #piece: number;
  readonly #stored: readonly RunEvent[];
  #own: readonly RunEvent[] = [];
  #store: EventStore | undefined;
  #kept: Kept;
  #listeners = new Set<() => void>();
  #channel: BroadcastChannel | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #pauseMs = FIRST_PAUSE_MS;
  #chain: Promise<unknown> = Promise.resolve();
  #sending = false;
  /** asked to send while sending: what was asked for in the meantime is not forgotten */
  #askedAgain = false;

  constructor(runId: string, piece: number, stored: readonly RunEvent[]) {
    this.#runId = runId;
    this.#piece = piece;
    this.#stored = stored;
    this.#kept = { events: stored, waiting: 0, refused: [], keptIn: 'browser', opened: false };
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };
  snapshot = (): Kept => this.#kept;

  #show(more: Partial<Kept>): void {
    this.#kept = { ...this.#kept, ...more };
    for (const listener of this.#listeners) listener();
  }

  /** Begins: what waited from before counts again, other tabs are listened to. @returns how to stop */
  open(): () => void {
    this.#chain = this.#chain.then(async () => {
      this.#store = await openStore(this.#runId).catch(() => undefined);
      if (!this.#store) {
        this.#store = pageStore();
        this.#show({ keptIn: 'page' });
      }
      await this.#read();
      this.#show({ opened: true });
    });
    try {
      this.#channel = new BroadcastChannel(`whelk.run.${this.#runId}`);
      this.#channel.onmessage = ({ data }: MessageEvent<Told>) => {
        if (data.kind === 'added') this.#take([data.event]);
        void this.#later(() => this.#read());
      };
    } catch {
      // a browser without it has tabs that learn of one another from the server
    }
    const wake = () => {
      if (document.visibilityState === 'hidden') return;
      this.#pauseMs = FIRST_PAUSE_MS;
      void this.send();
    };
    addEventListener('online', wake);
    document.addEventListener('visibilitychange', wake);
    void this.#chain.then(() => Promise.all([this.#catchUp(), this.send()]));
    return () => {
      removeEventListener('online', wake);
      document.removeEventListener('visibilitychange', wake);
      clearTimeout(this.#timer);
      this.#channel?.close();
    };
  }

  /** What came to the server since this page was made: another tab may have sent what waited before the queue was read here. */
  async #catchUp(): Promise<void> {
    const result = await ask<{ events: readonly RunEvent[] }>('GET', `/api/runs/${this.#runId}/events`);
    if (result.ok) this.#take(result.data.events);
  }

  #later<T>(work: () => Promise<T>): Promise<T> {
    const done = this.#chain.then(work);
    this.#chain = done.catch(() => undefined);
    return done;
  }

  #take(events: readonly RunEvent[]): void {
    const known = new Set([...this.#stored, ...this.#own].map((e) => e.id));
    const fresh = events.filter((e) => !known.has(e.id));
    if (fresh.length === 0) return;
    this.#own = [...this.#own, ...fresh];
    this.#show({ events: this.#counting(this.#kept.refused) });
  }

  /** What was refused counts no more, here as on the server. */
  #counting(refused: readonly KeptEvent[]): readonly RunEvent[] {
    const out = new Set(refused.map((r) => r.event.id));
    return [...this.#stored, ...this.#own].filter((e) => !out.has(e.id));
  }

  async #read(): Promise<void> {
    const all = await this.#store!.all();
    const refused = all.filter((k) => k.refused !== undefined);
    const known = new Set([...this.#stored, ...this.#own].map((e) => e.id));
    const fresh = all.flatMap((k) => (known.has(k.event.id) || k.event.schema !== 2 ? [] : [k.event]));
    this.#own = [...this.#own, ...fresh];
    this.#show({ refused, waiting: all.length - refused.length, events: this.#counting(refused) });
  }

  /** Makes an event, keeps it, and only then lets it count; in the order in which it was called. */
  add = (body: EventBody): Promise<void> =>
    this.#later(async () => {
      const device = (id: string, seq: number): RunEvent =>
        ({
          ...body,
          ...{ schema: 2, id: crypto.randomUUID(), runId: this.#runId, piece: this.#piece, device: id, seq },
          ...{ parents: headsOf(this.#kept.events), at: new Date().toISOString() },
        }) as RunEvent;
      const used = (): number => this.#kept.events.reduce((most, e) => Math.max(most, e.seq), 0);
      let event: RunEvent;
      try {
        event = await this.#store!.append(device, used());
      } catch {
        // full or forbidden: from here on in this page, and it says so
        this.#store = pageStore(this.#kept.keptIn === 'page' ? await this.#store!.all() : await this.#left());
        this.#show({ keptIn: 'page' });
        event = await this.#store.append(device, used());
      }
      this.#own = [...this.#own, event];
      const waiting = await this.#waiting().catch(() => undefined);
      this.#show({
        events: this.#counting(this.#kept.refused),
        waiting: waiting?.length ?? this.#kept.waiting + 1,
      });
      this.#channel?.postMessage({ kind: 'added', event } satisfies Told);
      void this.send();
    });

  async #waiting(): Promise<readonly KeptEvent[]> {
    return (await this.#store!.all()).filter((k) => k.refused === undefined);
  }

  /** What waits on the disk that cannot be written any more; reading often still works. */
  async #left(): Promise<readonly KeptEvent[]> {
    return this.#store!.all().catch(() => []);
  }

  /** Sends what waits; one tab of a browser at a time. */
  send = async (): Promise<void> => {
    if (!this.#store) return;
    if (this.#sending) {
      this.#askedAgain = true;
      return;
    }
    clearTimeout(this.#timer);
    this.#sending = true;
    this.#askedAgain = false;
    const lock = `whelk.run.${this.#runId}`;
    try {
      if (navigator.locks)
        await navigator.locks.request(lock, { ifAvailable: true }, async (held) => {
          if (held) await this.#sendAll();
          // another tab sends; look again in a while, in case it is closed
          else this.#again();
        });
      else await this.#sendAll();
    } finally {
      this.#sending = false;
    }
    if (this.#askedAgain) await this.send();
  };

  #again(): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.send(), this.#pauseMs);
    this.#pauseMs = Math.min(this.#pauseMs * 2, LONGEST_PAUSE_MS);
  }

  async #sendAll(): Promise<void> {
    for (;;) {
      const waiting = (await this.#waiting()).slice(0, POST_MOST);
      if (waiting.length === 0) break;
      const events = waiting.map((k) => k.event);
      const result = await ask<Answer>('POST', `/api/runs/${this.#runId}/events`, { events }, false, ANSWER_WITHIN_MS);
      if (!result.ok) {
        // the run itself is refused, or nothing answers: nothing is lost by waiting
        this.#again();
        return;
      }
      this.#pauseMs = FIRST_PAUSE_MS;
      await this.#store!.remove(result.data.taken);
      for (const refusal of result.data.refused) await this.#refuse(refusal, events as RunEvent[]);
      await this.#read();
      this.#channel?.postMessage({ kind: 'changed' } satisfies Told);
      if (result.data.taken.length + result.data.refused.length === 0) return this.#again();
    }
  }

  async #refuse({ id, problems }: Answer['refused'][number], sent: readonly RunEvent[]): Promise<void> {
    const event = sent.find((e) => e.id === id);
    if (!event) return;
    if (problems[0]?.code === 'run.sameSequence') {
      // a copied browser: this one is a device of its own from now on
      const device = await this.#store!.newDevice();
      const renumbered = { ...event, device };
      this.#own = this.#own.map((e) => (e.id === id ? renumbered : e));
      await this.#store!.put({ event: renumbered });
      return;
    }
    await this.#store!.put({ event, refused: problems.map((p) => `${p.what} ${p.right}`).join(' ') || 'refused' });
  }

  /** A refused event put right takes its own place again. */
  correct = (event: RunEvent): Promise<void> =>
    this.#later(async () => {
      this.#own = this.#own.map((e) => (e.id === event.id ? event : e));
      await this.#store!.put({ event });
      await this.#read();
      void this.send();
    });

  /** A refused event is let go of for good. */
  drop = (id: string): Promise<void> =>
    this.#later(async () => {
      await this.#store!.remove([id]);
      this.#own = this.#own.filter((e) => e.id !== id);
      await this.#read();
    });
}
