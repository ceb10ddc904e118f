import type { CutHold } from '../cutting/index.ts';
import { onTailCentre } from '../hold/index.ts';
import { roundOf } from '../part/index.ts';
import { holdOfCut } from '../route/index.ts';
import { planJob } from './plan-job.ts';
import type { Job, Shop } from './schema.ts';

/** What one operation of a job cuts, with what and how held: enough to decide on it anew by itself. */
export interface OperationCut {
  readonly operationId: string;
  readonly kind: 'rough' | 'finish';
  /** name of the feature cut */
  readonly feature: string;
  readonly materialId: string;
  readonly latheId: string;
  readonly toolId: string;
  readonly diameterMm: number;
  readonly depthMm: number;
  readonly feedMm: number;
  readonly overhangMm: number;
  readonly tailCentre: boolean;
  readonly bendAllowedMm: number;
  /** the shaft that it is while this is cut, and what holds it: what the plan was reckoned with */
  readonly hold: CutHold;
  /** fastest that what holds it may turn */
  readonly mostRpm: number;
}

/**
 * An operation with passes as it is planned now. Diameter before its first pass, depth of its deepest, both in mm.
 * Undefined when the job has none of that name any more, or its plan cannot be made.
 */
export function cutOf(job: Job, shop: Shop, operationId: string): OperationCut | undefined {
  const { setups, part } = planJob(job, shop);
  const setup = setups.find((s) => s.plan.operations.some((o) => o.id === operationId && o.loads));
  const operation = setup?.plan.operations.find((o) => o.id === operationId);
  const [first] = operation?.passes ?? [];
  const held = setup?.plan.held;
  const hold = held && operation && holdOfCut(setup.piece, held, setup.means.material, operation);
  const bendAllowedMm = operation?.loads?.bendAllowedMm;
  if (!hold || !operation?.setting || bendAllowedMm === undefined || !first || !operation.toolId) return undefined;
  return {
    operationId,
    kind: operation.kind === 'rough' ? 'rough' : 'finish',
    feature: roundOf(part, operation.featureId ?? '')?.name ?? operation.featureId ?? '',
    materialId: setup.means.material.id,
    latheId: setup.means.lathe.id,
    toolId: operation.toolId,
    diameterMm: first.diameterBeforeMm,
    depthMm: Math.max(...operation.passes.map((p) => p.depthMm)),
    feedMm: operation.setting.feedMmPerRev,
    overhangMm: held.overhangMm,
    tailCentre: onTailCentre(held.method),
    bendAllowedMm,
    hold,
    mostRpm: held.maxRpm,
  };
}
