import type { Sign } from '../mechanics/index.ts';
import { type Part, roundOf } from '../part/index.ts';
import type { OperationOf } from '../route/index.ts';
import type { Step } from './step.ts';

/** What is asked of a run here. */
interface Run {
  readonly steps: readonly Step[];
  readonly piece: { readonly part: Part };
}

/** A pass along a cone. Its sizes are diameters at the cone's end towards the tail. */
export type TaperStep = Extract<Step, { kind: 'taper' | 'taperNear' | 'taperLast' }>;
export const isTaperStep = (step: Pick<Step, 'kind'>): step is TaperStep =>
  step.kind === 'taper' || step.kind === 'taperNear' || step.kind === 'taperLast';

/** What a measurement of a cone is judged by. */
export type ConeAsked = NonNullable<OperationOf<'measure'>['cone']>;
/** The cone that is measured at a step; undefined for anything else. */
export const coneAt = (step: Step): ConeAsked | undefined => (step.kind === 'measure' ? step.cone : undefined);
/** The cone that a surface is in a run; undefined for every other surface. */
export function coneIn(run: Pick<Run, 'steps'>, featureId: string | undefined): ConeAsked | undefined {
  const found = featureId === undefined ? undefined : run.steps.find((s) => s.featureId === featureId && coneAt(s));
  return found && coneAt(found);
}

/** +1 outside, −1 in a hole: a cone falls towards the tail, a hole opens to it. */
export const coneSign = ({ piece }: Pick<Run, 'piece'>, featureId: string | undefined): Sign =>
  featureId !== undefined && roundOf(piece.part, featureId)?.side === 'inside' ? -1 : 1;

/** What a diameter at a cone's tail end is at the drawn size's place, beside it; 0 for anything else, mm. */
export function overTailMm(run: Run, featureId: string | undefined): number {
  const cone = coneIn(run, featureId);
  return cone ? coneSign(run, featureId) * cone.perLength * cone.gaugeFromTailMm : 0;
}

/** What the lathe is set to for a cone while a step is done; undefined where it is set for none. */
export function taperSetAt(run: Pick<Run, 'steps'>, { operationId }: Step): OperationOf<'taperSet'>['set'] | undefined {
  let set: OperationOf<'taperSet'>['set'] | undefined;
  for (const step of run.steps) {
    if (step.kind === 'taperSet') set = step.set;
    if (step.kind === 'taperBack') set = undefined;
    if (step.operationId === operationId) break;
  }
  return set;
}
