import type { Fineness } from '../lathe/index.ts';
import type { Limits } from '../limit/index.ts';
import {
  type Act,
  type Carried,
  type Caution,
  kindOf,
  type MeasuredAfter,
  type Note,
  type OwnOfKind,
  type Plan,
  type Setting,
} from '../route/index.ts';

/** One thing to do at the lathe, of the kind of its operation. Lengths in mm, zPart. */
export type Step = AnyStep & OwnOfKind;

/** What every step has, of whatever kind. */
export interface AnyStep {
  readonly id: string;
  readonly operationId: string;
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
  /** the first of two cuts takes two thirds of what is left */
  readonly larger?: true;
  /** short trial cuts, measured, before the run */
  readonly trialFirst?: true;
  /** share of its depth by which this cut is reckoned to spring */
  readonly springShare?: number;
  /** how the work stands meanwhile; missing in runs of earlier versions */
  readonly carried?: Carried;
  readonly caution?: Caution;
  readonly notes?: readonly Note[];
  readonly minutes: number;
}

/** Steps of a plan: every pass of every operation, one at a time. */
export function stepsOf(plan: Pick<Plan, 'operations'>): readonly Step[] {
  return plan.operations.flatMap((o): Step[] => {
    const { id: operationId, zFromMm: zStopMm, zToMm: zEndMm, passes, loads, minutes, targetMm, ...more } = o;
    const { decidedBy: _by, exceeds: _exceeds, ...own } = more;
    const shared = { ...own, operationId, springShare: loads?.springShare, zStopMm, zEndMm };
    if (passes.length === 0) return [{ ...shared, id: operationId, targetMm, minutes }];
    return passes.map((pass, i) => ({
      ...shared,
      // said once, where it begins
      notes: i === 0 ? shared.notes : undefined,
      id: `${operationId}-${i + 1}`,
      passNumber: i + 1,
      passCount: passes.length,
      fromMm: pass.diameterBeforeMm,
      targetMm: pass.diameterAfterMm,
      minutes: pass.minutes,
    }));
  });
}

/** What the hand does at a step. */
export const actOf = ({ kind }: Pick<Step, 'kind'>): Act => kindOf(kind).act;

/** Whether a step is a pass along a diameter, set by a number on a ring. */
export function isPass(step: Pick<Step, 'kind'>): boolean {
  const act = actOf(step);
  return act === 'rough' || act === 'half' || act === 'last';
}
