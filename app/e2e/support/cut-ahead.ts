import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { upgradeFrozen } from '../../../core/src/run/index.ts';
import { AtTheLathe } from '../../../core/src/testing/at-the-lathe.ts';
import type { TestShop } from './shop.ts';

/** A run that was begun, and what was cut of it so far. */
export interface CutAhead {
  readonly id: string;
  readonly lathe: AtTheLathe;
}

/**
 * Begins a run and cuts it up to a step by its door, without a page: measuring finds what was told.
 * @param to id of the step that is the present one then; every step where there is none of that id
 * @param finished whether it is said to be finished then
 */
export async function cutAhead(
  shop: TestShop,
  db: Knex,
  jobId: string,
  { piece = 1, setup = 1, to = '', finished = false },
): Promise<CutAhead> {
  const { body } = await shop.ask('POST', `/api/jobs/${jobId}/runs`, { piece, setup });
  const id = body.id as string;
  const [row] = await db('runs').where({ id }).select('frozen');
  const lathe = new AtTheLathe(upgradeFrozen(row.frozen));
  lathe.to(to);
  if (finished) lathe.add({ kind: 'ended', outcome: 'finished', reason: '' });
  const ids = new Map<string, string>();
  const own = (text: string): string => {
    if (!ids.has(text)) ids.set(text, randomUUID());
    return ids.get(text)!;
  };
  const events = lathe.events.map((event) =>
    JSON.parse(JSON.stringify({ ...event, runId: id, piece }), (key, value) =>
      typeof value === 'string' && key !== 'runId' && /^00000000-0000-4000-8000-/.test(value) ? own(value) : value,
    ),
  );
  for (let from = 0; from < events.length; from += 100) {
    const sent = await shop.ask('POST', `/api/runs/${id}/events`, { events: events.slice(from, from + 100) });
    const { refused } = sent.body as unknown as { refused: unknown[] };
    if (sent.status !== 200 || refused.length > 0) throw new Error(`${sent.status} ${JSON.stringify(sent.body)}`);
  }
  return { id, lathe };
}
