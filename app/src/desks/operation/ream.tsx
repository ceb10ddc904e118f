import { turnsOver } from '@whelk/core/hold';
import { inUnit } from '../../messages/in-unit.ts';
import { Working } from '../../ui/working/Working.tsx';
import { ByCarriage } from './ByCarriage.tsx';
import { QuillDepth } from './QuillDepth.tsx';
import type { ShownOperation } from './shown.ts';

export const ream: ShownOperation<'ream'> = {
  name: 'Ream',
  title: ({ diameterMm, takesMm }, { name, unit }) =>
    `Ream ${name} Ø${inUnit(unit).bare(diameterMm, 3)}, takes ${inUnit(unit).bare(takesMm, 2)}`,
  Detail: ({ operation: o, unit, tell }) => (
    <p>
      Takes {inUnit(unit).len(o.takesMm, 2)} off the diameter; oil, slow, one steady stroke in.{' '}
      <Working of="time" tell={tell('route.reamMinutes')} />
    </p>
  ),
  stepTitle: ({ diameterMm }, { name, frozen }) => {
    const { unit } = frozen.means.lathe;
    return `Ream ${name} Ø${inUnit(unit).bare(diameterMm, 3)} ${unit}`;
  },
  Panel: ({ step, frozen }) => {
    const { lathe } = frozen.means;
    return (
      <div className="flex max-w-2xl flex-col gap-2">
        <p className="text-lg">
          Clear the hole of chips and oil it. It takes {inUnit(lathe.unit).len(step.takesMm, 2)} off the diameter. One
          steady stroke, {step.through ? 'until its lead is through' : 'to the depth'}, then out with the spindle
          turning forward.
        </p>
        {turnsOver(frozen.plan.held.method) ? (
          <ByCarriage lathe={lathe} depthMm={step.depthMm} from="where its full diameter enters" />
        ) : (
          <QuillDepth lathe={lathe} depthMm={step.depthMm} from="where its full diameter enters" />
        )}
        <p className="muted">
          Comes out too large: off the axis, a bent or rough reamer, chips, too fast, dry. It follows the hole that is
          there: it does not straighten it.
        </p>
      </div>
    );
  },
};
