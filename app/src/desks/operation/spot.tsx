import { turnsOver } from '@whelk/core/hold';
import { inUnit } from '../../messages/in-unit.ts';
import type { ShownOperation } from './shown.ts';

export const spot: ShownOperation<'spot'> = {
  name: 'Spot for the drill',
  title: ({ mouthMm }, { unit }) => `Spot for the drill, about Ø${inUnit(unit).bare(mouthMm, 1)}`,
  stepTitle: ({ mouthMm }, { frozen }) => {
    const { unit } = frozen.means.lathe;
    return `Spot the middle for the drill, about Ø${inUnit(unit).bare(mouthMm, 1)} ${unit}`;
  },
  Panel: ({ step, frozen }) => (
    <p className="max-w-2xl text-lg">
      With the centre drill {turnsOver(frozen.plan.held.method) ? 'in the spindle' : 'from the tailstock'}, until its
      cone measures about {inUnit(frozen.means.lathe.unit).len(step.mouthMm, 1)}: narrower than the drill, so that it
      starts true. The face has no pip left to throw it off.
    </p>
  ),
};
