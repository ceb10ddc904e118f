import { calculate, calculationNamed } from '../../src/calc/index.ts';

// biome-ignore lint/suspicious/noExplicitAny: answers as anyone outside gets them, plain JSON
export type Answer = any;
const after = calculationNamed('run.after')!;
const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

/** A run as somebody outside follows it: events are told one after another, each answered by its id, and what follows is asked. */
export function follow(run: object): { readonly add: (body: object) => string; readonly ask: () => Answer } {
  const events: object[] = [];
  return {
    add: (body) => {
      const n = events.length + 1;
      const id = uuid(n);
      events.push({
        ...{ schema: 2, id, runId: uuid(900_000), piece: 1, device: uuid(900_001), seq: n },
        ...{ parents: n > 1 ? [uuid(n - 1)] : [], at: '2026-01-12T09:00:00.000Z', ...body },
      });
      return id;
    },
    ask: () => {
      const answer = calculate(after, { run, events });
      if (!answer.ok) throw new Error(JSON.stringify(answer.problems));
      return answer.result;
    },
  };
}
