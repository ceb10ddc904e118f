import { turnsOver } from '@whelk/core/hold';
import { inUnit } from '../../messages/in-unit.ts';
import type { ShownOperation } from './shown.ts';

export const countersink: ShownOperation<'countersink'> = {
  name: 'Countersink',
  title: ({ mouthMm, angleDeg }, { name, unit }) =>
    `Countersink ${name} to Ø${inUnit(unit).bare(mouthMm, 2)}, ${angleDeg}°`,
  stepTitle: ({ mouthMm, angleDeg }, { name, frozen }) => {
    const { unit } = frozen.means.lathe;
    return `Countersink ${name} to Ø${inUnit(unit).bare(mouthMm, 2)} ${unit}, ${angleDeg}°`;
  },
  Panel: ({ step, frozen }) => (
    <p className="max-w-2xl text-lg">
      {turnsOver(frozen.plan.held.method) ? 'In the spindle, the work fed to it' : 'From the tailstock'}, slow and
      steady, until its mouth measures <b>Ø{inUnit(frozen.means.lathe.unit).len(step.mouthMm, 2)}</b>. If it chatters:
      slower, more feed.
    </p>
  ),
};
