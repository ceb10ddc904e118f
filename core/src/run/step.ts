import type { Limits } from '../limit/index.ts';
import type { OperationKind, Plan, Setting } from '../route/index.ts';

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
  readonly limits?: Limits;
  readonly instrumentId?: string;
  readonly last?: boolean;
  readonly caution?: string;
  readonly minutes: number;
  readonly sizes?: Readonly<Record<string, number>>;
}

/** Steps of a plan: every pass of every operation, one at a time. */
export function stepsOf(plan: Plan): readonly Step[] {
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
      sizes: o.sizes,
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
