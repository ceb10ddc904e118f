import type { Feature } from '../part/index.ts';
import { type PlanInput, planRoute } from '../route/index.ts';
import { type FrozenRun, stepsOf } from '../run/index.ts';
import { drawingOf, planInput } from './shop.ts';

/** A run of a part made of these lengths, frozen as the job would freeze it. */
export function runOf(
  features: readonly Feature[],
  stockMm: number,
  more: Partial<PlanInput> & Pick<Partial<FrozenRun>, 'stand'> = {},
): FrozenRun {
  const { stand, ...wanted } = more;
  const input = planInput(features, stockMm, wanted);
  const plan = planRoute(input);
  return {
    ...{ schema: 3, title: 'test', drawing: drawingOf(features), part: input.part, material: input.material },
    ...{
      lathe: input.lathe,
      chuck: input.chuck,
      tools: input.tools,
      instruments: input.instruments,
      stockMm,
      hold: input.hold,
    },
    ...{ school: input.school, spigots: { leftMm: 0, rightMm: 0 }, known: [], living: [] },
    ...{ plan, steps: stepsOf(plan), ...(stand ? { stand } : {}) },
  };
}
