import { chuckOf } from '../lathe/index.ts';
import type { Drawing, Feature } from '../part/index.ts';
import { type FrozenRun, stepsOf } from '../run/index.ts';
import { type AskedMore, drawingOf, planInput, planRoute } from './shop.ts';

/** A run of a part made of these lengths, frozen as the job would freeze it. */
export function runOf(
  drawn: readonly Feature[] | Drawing,
  stockMm: number,
  more: AskedMore & Pick<Partial<FrozenRun>, 'stand'> = {},
): FrozenRun {
  const { stand, ...wanted } = more;
  const asked = planInput(drawn, stockMm, wanted);
  const { piece, setup, means, wishes } = asked;
  const { after: _after, held, ...plan } = planRoute(asked);
  return {
    ...{
      schema: 3,
      title: 'test',
      drawing: 'features' in drawn ? drawn : drawingOf(drawn),
      number: 1,
      piece,
      setup,
      means,
      wishes,
    },
    ...{ chuck: chuckOf(means.lathe), known: [], living: [], plan: { ...plan, held: held! }, steps: stepsOf(plan) },
    ...(stand ? { stand } : {}),
  };
}
