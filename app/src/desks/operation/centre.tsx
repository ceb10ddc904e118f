import { inUnit } from '../../messages/in-unit.ts';
import { Working } from '../../ui/working/Working.tsx';
import type { ShownOperation } from './shown.ts';

/** Whether the centre is brought up straight after, or the piece is drawn out first, or put in another way. */
const then = (broughtUp: boolean | undefined, text: string): string => (broughtUp === false ? '' : text);

export const centre: ShownOperation<'centre'> = {
  name: 'Centre hole',
  title: ({ pilotMm, broughtUp }, { unit }) =>
    `Centre hole ${inUnit(unit).len(pilotMm)}${then(broughtUp, ', bring up the centre')}`,
  Detail: ({ operation, unit, tell }) => (
    <p>
      Mouth Ø{inUnit(unit).len(operation.mouthMm)}. <Working of="centre hole" tell={tell('hold.centre')} />
    </p>
  ),
  stepTitle: ({ pilotMm, mouthMm, broughtUp }, { frozen }) => {
    const { len } = inUnit(frozen.means.lathe.unit);
    return `Centre hole ${len(pilotMm, 2)}, mouth Ø${len(mouthMm, 2)}${then(broughtUp, '; bring up the centre')}`;
  },
  Panel: ({ step, frozen, tell }) => (
    <p className="text-lg">
      Drill until the mouth measures {inUnit(frozen.means.lathe.unit).len(step.mouthMm, 2)}{' '}
      <Working of="centre hole" tell={tell('hold.centre')} />, from the tailstock. Clear the chips often.
      {then(step.broughtUp, ' Then oil the centre, bring it up play-free and lock the quill.')}
    </p>
  ),
};
