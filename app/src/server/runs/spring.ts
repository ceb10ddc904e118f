import { believedSpring, SPRING_BOUND_FACTOR, type SpringShare } from '@whelk/core/mechanics';
import { replay, type SpringSample } from '@whelk/core/run';
import type { Knex } from 'knex';
import { loadLathe } from '../lathes/service.ts';
import { recentRuns } from './load.ts';

/** Spring that a lathe's cuts have shown of a tool in a material, as a share of what is reckoned there. */
export interface SpringLearned extends SpringShare {
  readonly toolId: string;
  readonly tool: string;
  readonly material: string;
}

interface Shown extends SpringSample {
  readonly tool: string;
  readonly materialId: string;
  readonly material: string;
}

/** So many of the shop's latest runs are looked through: replaying them costs at every start. */
const KNOWN_FROM_RUNS = 30;

/** All that recent runs on a lathe have shown, latest first; not what was forgotten, of a tool in its run or of the lathe. */
async function shownOn(db: Knex, latheId: string): Promise<readonly Shown[]> {
  const { stand } = await loadLathe(db, latheId);
  const since = stand.springForgottenAt ?? '';
  const forgotten = new Set<string>();
  const shown: Shown[] = [];
  for (const { frozen, events, startedAt } of await recentRuns(db, KNOWN_FROM_RUNS)) {
    if (frozen.means.lathe.id !== latheId || startedAt <= since) continue;
    const state = replay(frozen, events);
    for (const sample of state.samples.filter((s) => !forgotten.has(s.toolId)))
      shown.push({
        ...sample,
        tool: frozen.means.tools.find((t) => t.id === sample.toolId)?.name ?? '',
        materialId: frozen.means.material.id,
        material: frozen.means.material.name,
      });
    for (const toolId of state.forgotten) forgotten.add(toolId);
  }
  return shown;
}

/** What is known of the tools' spring for a new run on a lathe in a material. */
export async function knownSpring(db: Knex, latheId: string, materialId: string): Promise<SpringSample[]> {
  const shown = await shownOn(db, latheId);
  return shown
    .filter((s) => s.materialId === materialId)
    .slice(0, 500)
    .map(({ toolId, share, uncertaintyShare }) => ({ toolId, share, uncertaintyShare }));
}

/** What a lathe has learned of spring, by tool and material. */
export async function springLearned(db: Knex, latheId: string): Promise<readonly SpringLearned[]> {
  const groups = new Map<string, Shown[]>();
  for (const sample of await shownOn(db, latheId)) {
    const key = `${sample.toolId} ${sample.materialId}`;
    groups.set(key, [...(groups.get(key) ?? []), sample]);
  }
  return [...groups.values()].map((samples) => {
    const { toolId, tool, material } = samples[0]!;
    return { toolId, tool, material, ...believedSpring(samples, SPRING_BOUND_FACTOR) };
  });
}
