import type { Job, MateFeature, Mates, MeasuredSize } from '@whelk/core/job';
import { fittables } from '@whelk/core/part';
import { replay } from '@whelk/core/run';
import type { Knex } from 'knex';
import { loadRunsOf } from '../runs/load.ts';
import { listJobs, loadJob } from './service.ts';

function featuresOf(job: Job, measured: ReadonlyMap<string, readonly MeasuredSize[]>): MateFeature[] {
  return fittables(job.drawing).map(({ id, label, inside, thread }) => {
    return { featureId: id, label, inside, thread, measured: measured.get(id) ?? [] };
  });
}

/** What was measured last at each feature of a job's pieces, latest first. */
async function measuredOf(db: Knex, ids: readonly string[]): Promise<Map<string, Map<string, MeasuredSize[]>>> {
  const byJob = new Map<string, Map<string, MeasuredSize[]>>();
  for (const run of ids.length > 0 ? await loadRunsOf(db, [...ids]) : []) {
    const { outcomes, readings } = replay(run.frozen, run.events);
    const features = byJob.get(run.jobId) ?? new Map<string, MeasuredSize[]>();
    byJob.set(run.jobId, features);
    for (const o of outcomes) {
      const read = readings.filter((r) => r.stepId === o.stepId);
      // what only a gauge said is a verdict, and no size that another could be fitted to
      if (read.length > 0 && read.every((r) => r.feel !== undefined)) continue;
      const at = read.at(-1)?.at ?? run.startedAt;
      const list = features.get(o.featureId) ?? [];
      features.set(o.featureId, [...list, { piece: run.piece, sizeMm: o.sizeMm, at }]);
    }
  }
  for (const features of byJob.values())
    for (const list of features.values()) list.sort((a, b) => (a.at < b.at ? 1 : -1));
  return byJob;
}

/** Jobs whose pieces this one may go together with, what was measured at them, and which of them follow this one. */
export async function loadMates(db: Knex, id: string): Promise<Mates> {
  const { job } = await loadJob(db, id);
  // only where a size is awaited: replaying every run of the shop would be work for nothing
  const linked = new Set((job.drawing.mates ?? []).flatMap((m) => m.from?.jobId ?? []));
  const others = (await listJobs(db, false, '')).filter((j) => j.id !== id).slice(0, 200);
  const measured = await measuredOf(
    db,
    others.map((j) => j.id).filter((other) => linked.has(other)),
  );
  return {
    jobs: others
      .filter((j) => j.job.drawing.features.length > 0)
      .map((j) => ({
        jobId: j.id,
        title: j.job.title,
        unit: j.job.drawing.unit,
        features: featuresOf(j.job, measured.get(j.id) ?? new Map()),
      })),
    followers: others.flatMap((j) =>
      (j.job.drawing.mates ?? [])
        .filter((m) => m.from?.jobId === id)
        .map((m) => ({
          jobId: j.id,
          title: j.job.title,
          featureId: m.from!.featureId,
          label: featuresOf(j.job, new Map()).find((f) => f.featureId === m.on)?.label ?? '',
        })),
    ),
  };
}
