import type { OperationOf } from '@whelk/core/route';
import { inUnit } from '../../messages/in-unit.ts';
import { aimed, byRule } from '../../ui/format.ts';
import type { ShownOperation } from './shown.ts';

const because: Record<OperationOf<'saw'>['why'], string> = {
  asked: '',
  noBlade: 'There is no parting blade in the drawer.',
  bladeShort: 'No blade of the drawer reaches so deep.',
  bladeWide: 'Every blade of the drawer is wider than the slot that the blank has room for.',
};

export const saw: ShownOperation<'saw'> = {
  name: 'Saw off',
  title: ({ partMm, facingMm }, { unit }) => `Saw off ${inUnit(unit).bare(partMm + facingMm, 2)} long`,
  Detail: ({ operation: { why, diameterMm }, unit }) => (
    <p>
      Through Ø{inUnit(unit).len(diameterMm, 1)}. {because[why]}
    </p>
  ),
  stepTitle: ({ partMm, facingMm }, { frozen }) => {
    const { unit } = frozen.means.lathe;
    return `Saw it off ${inUnit(unit).bare(partMm + facingMm, 2)} ${unit} long`;
  },
  Panel: ({ step, frozen }) => {
    const { unit } = frozen.means.lathe;
    return (
      <p className="max-w-2xl text-lg">
        {because[step.why]} Scribe a line{' '}
        <b>
          {byRule(step.partMm + step.facingMm, unit)} {unit}
        </b>{' '}
        from the finished end, the spindle stopped.
        {step.facingMm > 0 ? ` ${aimed(step.facingMm, unit)} ${unit} of it are faced off later.` : ''} Saw on the far
        side of the line, or take it to the saw.
      </p>
    );
  },
};
