import type { Fineness } from '../lathe/index.ts';
import type { Limits } from '../limit/index.ts';
import type { Caution, MeasuredAfter, OperationKind, Plan, Setting } from '../route/index.ts';

/** One thing to do at the lathe. Lengths in mm, zPart. */
export interface Step {
  readonly id: string;
  readonly operationId: string;
  readonly kind: OperationKind;
  readonly featureId?: string;
  readonly setting?: Setting;
  readonly toolId?: string;
  readonly passNumber?: number;
  readonly passCount?: number;
  readonly fromMm?: number;
  readonly targetMm?: number;
  readonly zStopMm?: number;
  /** where the cut ends towards the tail */
  readonly zEndMm?: number;
  readonly limits?: Limits;
  readonly instrumentId?: string;
  readonly last?: boolean;
  /** measure: what was cut before it */
  readonly after?: MeasuredAfter;
  /** last cuts: how finely the size is set */
  readonly fineness?: Fineness['means'];
  /** what a cut by the cross-slide leaves to the compound, mm on the diameter */
  readonly leavesMm?: number;
  /** share of its depth by which this cut is reckoned to spring */
  readonly springShare?: number;
  readonly caution?: Caution;
  readonly minutes: number;
  readonly sizes?: Readonly<Record<string, number>>;
}

/** Steps of a plan: every pass of every operation, one at a time. */
export function stepsOf(plan: Pick<Plan, 'operations'>): readonly Step[] {
  return plan.operations.flatMap((o): Step[] => {
    const shared = {
      operationId: o.id,
      kind: o.kind,
      featureId: o.featureId,
      setting: o.setting,
      toolId: o.toolId,
      caution: o.caution,
      limits: o.limits,
      instrumentId: o.instrumentId,
      last: o.last,
      after: o.after,
      fineness: o.fineness,
      leavesMm: o.leavesMm,
      springShare: o.loads?.springShare,
      sizes: o.sizes,
      zEndMm: o.zToMm,
    };
    if (o.passes.length === 0)
      return [{ ...shared, id: o.id, targetMm: o.targetMm, zStopMm: o.zFromMm, minutes: o.minutes }];
    return o.passes.map((pass, i) => ({
      ...shared,
      id: `${o.id}-${i + 1}`,
      passNumber: i + 1,
      passCount: o.passes.length,
      fromMm: pass.diameterBeforeMm,
      targetMm: pass.diameterAfterMm,
      zStopMm: o.zFromMm,
      minutes: pass.minutes,
    }));
  });
}

/** Whether a step is a pass along a diameter, set by a number on a ring. */
export const isPass = (step: Pick<Step, 'kind'>): boolean =>
  step.kind === 'rough' || step.kind === 'semiFinish' || step.kind === 'finish';
