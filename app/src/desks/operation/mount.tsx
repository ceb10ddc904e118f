import { onTailCentre, turnsOver } from '@whelk/core/hold';
import { stockOf } from '@whelk/core/run';
import { reachOf } from '@whelk/core/work';
import { inUnit } from '../../messages/in-unit.ts';
import { byRule, measure } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import { endsText, inJawsFirst, putInText, restText } from './at-lathe.ts';
import type { ShownOperation } from './shown.ts';

export const mount: ShownOperation<'mount'> = {
  name: 'Put in the blank',
  title: ({ caution }, { setupNumber }) =>
    caution === 'packedSquare'
      ? 'Bolt it to the cross-slide'
      : setupNumber > 1
        ? 'Put the piece in again'
        : 'Put in the blank',
  Detail: ({ operation: o, unit, tell }) =>
    o.overhangMm > 0 && o.gripMm === 0 ? (
      <p>
        Bolted or clamped, nothing gripped. <Working of="hold" tell={tell('hold.overSlide', 'hold.arbor')} />
      </p>
    ) : (
      <p>
        Grip {byRule(o.gripMm, unit)} {unit}, {byRule(o.overhangMm, unit)} {unit} standing out.{' '}
        <Working of="grip" tell={tell('route.grip')} />
      </p>
    ),
  stepTitle: ({ gripMm, overhangMm }, { frozen }) => {
    const { unit } = frozen.means.lathe;
    const { method, packMm = 0 } = frozen.plan.held;
    if (turnsOver(method))
      return `Bolt the piece to the cross-slide${packMm > 0 ? `, ${inUnit(unit).len(packMm, 2)} of packing under it` : ''}`;
    const out = `${byRule(overhangMm, unit)} ${unit} standing out`;
    return inJawsFirst(frozen)
      ? `Put the blank in: grip ${byRule(gripMm, unit)}, ${out}`
      : `Put the piece in${frozen.number > 1 ? ' again' : ''}, ${out}`;
  },
  Panel: ({ frozen, tell }) => {
    const { unit } = frozen.means.lathe;
    const { zFromMm, zToMm } = reachOf(frozen.piece);
    const working = <Working of="grip" tell={tell('route.grip')} />;
    if (!inJawsFirst(frozen))
      return (
        <p className="text-lg">
          {putInText(frozen)} {!turnsOver(frozen.plan.held.method) && working}
        </p>
      );
    return (
      <p className="text-lg">
        Ø{measure(stockOf(frozen), unit, unit === 'mm' ? 1 : 3)} {unit}, blank {byRule(zToMm - zFromMm, unit)} {unit}.{' '}
        {working} Mark the grip and the finished end on it first. Clean the jaws. {endsText(frozen)} {restText(frozen)}{' '}
        {onTailCentre(frozen.plan.held.method) ? 'The tail centre comes after the end is faced and centred.' : ''}
      </p>
    );
  },
};
