import { type Job, planJob } from '@whelk/core/job';
import type { Knex } from 'knex';
import { loadShop } from '../shop/service.ts';
import { loadJob } from './service.ts';

/** An operation of a job as the bench book takes it up: what it cuts, with what, and where its answer goes. */
export interface TakenOperation {
  readonly jobId: string;
  readonly version: number;
  readonly job: Job;
  readonly title: string;
  readonly operationId: string;
  readonly materialId: string;
  readonly latheId: string;
  readonly toolId: string;
  readonly diameterMm: number;
  readonly depthMm: number;
  readonly feedMm: number;
  readonly overhangMm: number;
  readonly tailCentre: boolean;
  readonly bendAllowedMm: number;
}

/** An operation with passes; undefined when the job has none of that name any more. @throws Refused 404 for no such job */
export async function takeOperation(db: Knex, jobId: string, operationId: string): Promise<TakenOperation | undefined> {
  const [{ job, version }, shop] = await Promise.all([loadJob(db, jobId), loadShop(db)]);
  const { plan, material, input, part } = planJob(job, shop);
  const operation = plan?.operations.find((o) => o.id === operationId);
  const [first] = operation?.passes ?? [];
  if (!plan || !operation?.setting || !operation.loads || !first || !material || !input || !operation.toolId)
    return undefined;
  const name = part.features.find((f) => f.id === operation.featureId)?.name ?? operation.featureId ?? '';
  return {
    jobId,
    version,
    job,
    title: `${job.title}: ${operation.kind === 'rough' ? 'rough' : 'finish'} ${name}`,
    operationId,
    materialId: material.id,
    latheId: input.lathe.id,
    toolId: operation.toolId,
    diameterMm: first.diameterBeforeMm,
    depthMm: Math.max(...operation.passes.map((p) => p.depthMm)),
    feedMm: operation.setting.feedMmPerRev,
    overhangMm: plan.holding.overhangMm,
    tailCentre: plan.holding.method === 'chuckAndCentre',
    bendAllowedMm: operation.loads.bendAllowedMm,
  };
}
