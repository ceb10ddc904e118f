import { randomUUID } from 'node:crypto';
import { problemsOf } from '@whelk/core/calc';
import { freezeJob, planJob } from '@whelk/core/job';
import {
  cutMinutes,
  type FrozenRun,
  type LivingReference,
  livingAfter,
  replay,
  type StoredEvent,
  sizesTaken,
  storedEventSchema,
  upgradeFrozen,
} from '@whelk/core/run';
import type { Knex } from 'knex';
import type { KnownProblem } from '../../messages/app-code.ts';
import { tellProblem, type Worded } from '../../messages/problems.ts';
import { notFound, Refused } from '../answer.ts';
import { loadJob } from '../jobs/service.ts';
import { leaveStanding, loadStand } from '../lathes/service.ts';
import { loadShop } from '../shop/service.ts';
import { loadRun, loadRunEvents, recentRuns } from './load.ts';
import { insertEvents, insertRun, selectRecentRuns, selectRun, selectRunsOf, setRunStand } from './queries.ts';
import type { RunRow } from './rows.ts';
import { knownSpring } from './spring.ts';

/**
 * Starts cutting a piece in one of its holdings: the plan as it is now is frozen into the run. An open run of it is answered instead.
 * @throws Refused 409 when there is no plan for it, or the holding before has not been finished on this piece
 */
export async function startRun(
  db: Knex,
  jobId: string,
  piece: number,
  setup = 1,
): Promise<{ id: string; already: boolean }> {
  const { job } = await loadJob(db, jobId);
  const openOf = (rows: readonly RunRow[]) =>
    rows.find((r) => r.piece === piece && r.setup === setup && r.ended_at === null);
  const runs = await selectRunsOf(db, [jobId]);
  const open = openOf(runs);
  if (open) return { id: open.id, already: true };
  const before = (r: RunRow): boolean => r.piece === piece && r.setup === setup - 1 && r.outcome === 'finished';
  if (setup > 1 && !runs.some(before))
    throw new Refused(409, [{ code: 'run.setupBefore', path: [], value: piece, limit: setup - 1 }]);
  const planned = freezeJob(job, planJob(job, await loadShop(db)), setup);
  if (!planned) throw new Refused(409, [{ code: 'run.planMissing', path: [] }]);
  const known = await knownSpring(db, planned.means.lathe.id, planned.means.material.id);
  const living = await livingOn(db, planned.means.lathe.id, jobId, setup);
  const frozen = {
    ...planned,
    ...(await asMeasured(db, planned, runs, piece)),
    known,
    living,
    stand: await loadStand(db, planned.means.lathe),
  };
  const id = randomUUID();
  try {
    await insertRun(db, {
      id,
      job_id: jobId,
      piece,
      setup,
      frozen: JSON.stringify(frozen),
      started_at: new Date().toISOString(),
      ended_at: null,
      outcome: null,
      step_index: 0,
      step_count: frozen.steps.length,
    });
  } catch (error) {
    // two starts at the same moment: the index lets one through
    if ((error as { code?: string }).code !== '23505') throw error;
    const other = openOf(await selectRunsOf(db, [jobId]));
    if (!other) throw error;
    return { id: other.id, already: true };
  }
  return { id, already: false };
}

/** The piece with what earlier holdings measured on it. */
async function asMeasured(
  db: Knex,
  { piece, number }: FrozenRun,
  runs: readonly RunRow[],
  pieceNumber: number,
): Promise<Pick<FrozenRun, 'piece'>> {
  const before = runs
    .filter((r) => r.piece === pieceNumber && r.setup < number && r.outcome === 'finished')
    .toSorted((a, b) => a.setup - b.setup);
  if (before.length === 0) return { piece };
  const sizes = (await loadRunEvents(db, before)).map((r) => sizesTaken(replay(r.frozen, r.events)));
  return { piece: { ...piece, measured: Object.assign({}, ...sizes) } };
}

/** What the tools' numbers are worth from the piece before of this batch, where nothing else was cut on the lathe since. */
async function livingOn(db: Knex, latheId: string, jobId: string, setup: number): Promise<readonly LivingReference[]> {
  const rows = await selectRecentRuns(db, KNOWN_FROM_RUNS);
  const last = rows.find((row) => upgradeFrozen(row.frozen).means.lathe.id === latheId);
  if (!last || last.job_id !== jobId || last.setup !== setup || last.outcome !== 'finished') return [];
  const [run] = await loadRunEvents(db, [last]);
  return livingAfter(replay(run!.frozen, run!.events));
}

/** Runs looked at for what they have shown of spring: an edge does not stay the same for longer. */
const KNOWN_FROM_RUNS = 30;

/** An event that was not taken, and why. */
export interface RefusedEvent {
  /** as it came, empty where it had none */
  readonly id: string;
  readonly problems: readonly (KnownProblem & Worded)[];
}

/**
 * Takes events of a run in, each by itself: what cannot be taken is answered with its reasons and holds none of the others up.
 * Sending twice changes nothing. The run's end follows from its events.
 * @throws Refused 404 when there is no such run
 */
export async function addEvents(
  db: Knex,
  runId: string,
  sent: readonly unknown[],
): Promise<{ taken: readonly string[]; refused: readonly RefusedEvent[] }> {
  if (!(await selectRun(db, runId))) throw notFound();
  const refused: RefusedEvent[] = [];
  const good: StoredEvent[] = [];
  for (const raw of sent) {
    const parsed = storedEventSchema.safeParse(raw);
    const id = String((raw as { id?: unknown } | null)?.id ?? '');
    if (!parsed.success) refused.push({ id, problems: problemsOf(parsed.error).slice(0, 5).map(tellProblem) });
    else if (parsed.data.runId !== runId)
      refused.push({ id, problems: [tellProblem({ code: 'input.invalid', path: ['runId'] })] });
    else {
      const { receivedAt: _ignored, ...event } = parsed.data;
      good.push(event as StoredEvent);
    }
  }
  const taken = await insertEach(db, good);
  for (const event of good)
    if (!taken.ids.includes(event.id))
      refused.push({
        id: event.id,
        problems: [tellProblem({ code: 'run.sameSequence', path: ['seq'], value: event.seq })],
      });
  if (taken.fresh > 0) {
    const run = await loadRun(db, runId);
    const state = replay(run.frozen, run.events);
    const { ended, stepIndex } = state;
    await leaveStanding(db, run.frozen, state);
    await setRunStand(db, runId, {
      ended_at: ended?.at ?? null,
      outcome: ended?.outcome ?? null,
      step_index: stepIndex,
    });
  }
  return { taken: taken.ids, refused };
}

/** Inserts events together, or one by one where one of them stands on another's number. */
async function insertEach(db: Knex, events: readonly StoredEvent[]): Promise<{ ids: string[]; fresh: number }> {
  const sameNumber = (error: unknown): boolean => (error as { code?: string }).code === '23505';
  try {
    return { ids: events.map((e) => e.id), fresh: await insertEvents(db, events) };
  } catch (error) {
    if (!sameNumber(error)) throw error;
  }
  const ids: string[] = [];
  let fresh = 0;
  for (const event of events)
    try {
      fresh += await insertEvents(db, [event]);
      ids.push(event.id);
    } catch (error) {
      if (!sameNumber(error)) throw error;
    }
  return { ids, fresh };
}

/** Minutes that each tool has cut since it was last sharpened, by its id. */
export async function loadWear(
  db: Knex,
  tools: readonly { readonly id: string; readonly sharpenedAt?: string }[],
): Promise<Readonly<Record<string, number>>> {
  const runs = await recentRuns(db);
  const worn: Record<string, number> = {};
  for (const run of runs) {
    const minutes = cutMinutes(run.frozen, replay(run.frozen, run.events));
    for (const tool of tools)
      if (tool.sharpenedAt === undefined || run.startedAt > tool.sharpenedAt)
        worn[tool.id] = (worn[tool.id] ?? 0) + (minutes.get(tool.id) ?? 0);
  }
  return worn;
}
