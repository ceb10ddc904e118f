import { inUnit } from '../../messages/in-unit.ts';
import { Working } from '../../ui/working/Working.tsx';
import type { ShownOperation } from './shown.ts';

export const centre: ShownOperation<'centre'> = {
  name: 'Centre hole, bring up the centre',
  title: ({ pilotMm }, { unit }) => `Centre hole ${inUnit(unit).len(pilotMm)}, bring up the centre`,
  Detail: ({ operation, unit, tell }) => (
    <p>
      Mouth Ø{inUnit(unit).len(operation.mouthMm)}. <Working of="centre hole" tell={tell('hold.centre')} />
    </p>
  ),
  stepTitle: ({ pilotMm, mouthMm }, { frozen }) => {
    const { len } = inUnit(frozen.means.lathe.unit);
    return `Centre hole ${len(pilotMm, 2)}, mouth Ø${len(mouthMm, 2)}; bring up the centre`;
  },
  Panel: ({ step, frozen, tell }) => (
    <p className="text-lg">
      Drill until the mouth measures {inUnit(frozen.means.lathe.unit).len(step.mouthMm, 2)}{' '}
      <Working of="centre hole" tell={tell('hold.centre')} />, from the tailstock. Clear the chips often. Then oil the
      centre, bring it up play-free and lock the quill.
    </p>
  ),
};
