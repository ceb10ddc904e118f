import { chuckOf } from '../lathe/index.ts';
import type { Feature } from '../part/index.ts';
import { type FrozenRun, stepsOf } from '../run/index.ts';
import { type AskedMore, drawingOf, planInput, planRoute } from './shop.ts';

/** A run of a part made of these lengths, frozen as the job would freeze it. */
export function runOf(
  features: readonly Feature[],
  stockMm: number,
  more: AskedMore & Pick<Partial<FrozenRun>, 'stand'> = {},
): FrozenRun {
  const { stand, ...wanted } = more;
  const asked = planInput(features, stockMm, wanted);
  const { piece, setup, means, wishes } = asked;
  const { after: _after, held, ...plan } = planRoute(asked);
  return {
    ...{ schema: 3, title: 'test', drawing: drawingOf(features), number: 1, piece, setup, means, wishes },
    ...{ chuck: chuckOf(means.lathe), known: [], living: [], plan: { ...plan, held: held! }, steps: stepsOf(plan) },
    ...(stand ? { stand } : {}),
  };
}
