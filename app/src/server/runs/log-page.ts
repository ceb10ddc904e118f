import { roundOf } from '@whelk/core/part';
import { type FrozenRun, replay, sizesRead, threadOf } from '@whelk/core/run';
import { format } from 'date-fns';
import type { Knex } from 'knex';
import { threadName } from '../../messages/thread.ts';
import { recentRuns } from './load.ts';

/** What was cut, latest first; `find` looks in title, material, lathe, tools and notes. */
export async function loadLog(db: Knex, find: string) {
  const wanted = find.trim().toLowerCase();
  return (await recentRuns(db))
    .map((run) => {
      const { frozen } = run;
      const state = replay(frozen, run.events);
      const cut = frozen.steps.slice(0, state.stepIndex).filter((s) => s.passNumber !== undefined && s.setting);
      const used = [...new Set(cut.map((s) => s.toolId))].flatMap(
        (id) => frozen.means.tools.find((t) => t.id === id)?.name ?? [],
      );
      const settings = [
        ...new Map(cut.map((s) => [`${s.kind}${s.setting?.rpm}${s.setting?.feedMmPerRev}`, s])).values(),
      ].map((s) => ({
        operationId: s.operationId,
        kind: s.kind,
        rpm: s.setting!.rpm,
        speedLabel: s.setting!.speedLabel,
        feedMmPerRev: s.setting!.feedMmPerRev,
      }));
      return {
        id: run.id,
        jobId: run.jobId,
        piece: run.piece,
        setup: run.setup,
        day: format(new Date(run.startedAt), 'd MMM yyyy'),
        title: frozen.title,
        material: frozen.means.material.name,
        lathe: frozen.means.lathe.name,
        unit: frozen.means.lathe.unit,
        drawingUnit: frozen.drawing.unit,
        step: state.stepIndex,
        steps: frozen.steps.length,
        ended: state.ended,
        outcomes: state.outcomes.map((o) => ({
          ...o,
          name: sizeName(frozen, o.featureId),
        })),
        // of lengths that were never judged: what was read last, as it was typed
        read: sizesRead(state).map((r) => ({
          ...r,
          name: sizeName(frozen, r.featureId),
        })),
        notes: state.notes.map((n) => n.text),
        tools: used,
        settings,
      };
    })
    .filter(
      (line) =>
        wanted === '' ||
        [line.title, line.material, line.lathe, ...line.tools, ...line.notes].join(' ').toLowerCase().includes(wanted),
    );
}
/** What a size of a run is called: its length, or its thread by the pitch diameter. */
function sizeName(frozen: FrozenRun, featureId: string): string {
  const thread = threadOf(frozen, featureId);
  if (thread) return `${threadName(thread)}, pitch diameter`;
  return roundOf(frozen.piece.part, featureId)?.name ?? featureId;
}
export type LogLine = Awaited<ReturnType<typeof loadLog>>[number];
