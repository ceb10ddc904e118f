import { turnsOver } from '@whelk/core/hold';
import { dialScale } from '@whelk/core/lathe';
import { inUnit } from '../../messages/in-unit.ts';
import { feed, feedUnit, measure } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import { ByCarriage } from './ByCarriage.tsx';
import { QuillDepth } from './QuillDepth.tsx';
import type { ShownOperation } from './shown.ts';

const size = (mm: number, unit: 'mm' | 'in'): string => inUnit(unit).bare(mm, 2);
/** What it goes into: solid metal, or a hole that is there. */
const from = (fromMm: number | undefined, unit: 'mm' | 'in'): string =>
  fromMm === undefined ? '' : `, up from Ø${size(fromMm, unit)}`;

export const drill: ShownOperation<'drill'> = {
  name: 'Drill',
  title: ({ diameterMm, depthMm, through, fromMm }, { name, unit }) =>
    `Drill ${name} Ø${size(diameterMm, unit)} ${through ? 'through' : `${size(depthMm, unit)} deep`}${from(fromMm, unit)}`,
  Detail: ({ operation: o, unit, tell }) => (
    <>
      <p>
        {inUnit(unit).len(o.depthMm, 2)} at full diameter, {inUnit(unit).len(o.depthMm + o.pointMm, 2)} to the tip of
        its point. <Working of="depth" tell={tell('route.drillDepth')} />
      </p>
      <p>
        {o.pecksMm.length === 1
          ? 'In one go.'
          : `Drawn back ${o.pecksMm.length - 1} times to clear the chips, first at ${inUnit(unit).len(o.pecksMm[0] ?? 0, 1)}.`}{' '}
        <Working of="time" tell={tell('route.drillMinutes')} />
      </p>
      <p>
        <Working of="torque" tell={tell('cutting.drill', 'cutting.drillPower', 'mechanics.grip')} />
      </p>
    </>
  ),
  stepTitle: ({ diameterMm, depthMm, through, fromMm }, { name, frozen }) => {
    const { unit } = frozen.means.lathe;
    return `Drill ${name} Ø${size(diameterMm, unit)}, ${through ? 'right through' : `${size(depthMm, unit)} ${unit} deep`}${from(fromMm, unit)}`;
  },
  Panel: ({ step, frozen, tell }) => {
    const { lathe } = frozen.means;
    const { unit } = lathe;
    const stands = turnsOver(frozen.plan.held.method) !== undefined;
    const { dial } = lathe.tailstock;
    const perTurnMm = dial ? dialScale(dial).lineTravelMm.mul(dial.divisions).valueOf() : undefined;
    const { setting } = step;
    const seconds = perTurnMm && setting ? (perTurnMm / (setting.feedMmPerRev * setting.rpm)) * 60 : undefined;
    return (
      <div className="flex max-w-2xl flex-col gap-2">
        {stands ? (
          <>
            <p className="text-lg">The drill in the spindle’s chuck. Touch the face with the point, spindle stopped.</p>
            <ByCarriage lathe={lathe} depthMm={step.depthMm + step.pointMm} from="where the point touches" />
          </>
        ) : (
          <>
            <p className="text-lg">
              Tailstock up, locked; the quill out no farther than it has to be, wound so that its slack is taken up.
              Touch the face with the point, spindle stopped.
            </p>
            <QuillDepth lathe={lathe} depthMm={step.depthMm + step.pointMm} from="where the point touches" />
          </>
        )}
        <p className="muted">
          That is {measure(step.depthMm, unit, unit === 'mm' ? 1 : 3)} {unit} at full diameter and{' '}
          {measure(step.pointMm, unit, unit === 'mm' ? 1 : 3)} of point.{' '}
          <Working of="depth" tell={tell('route.drillDepth')} />
        </p>
        {step.pecksMm.length > 1 && (
          <p className="text-lg">
            Draw back and clear the chips at{' '}
            <b>
              {step.pecksMm
                .slice(0, -1)
                .map((mm) => measure(mm, unit, unit === 'mm' ? 0 : 2))
                .join(', ')}
            </b>{' '}
            {unit}.
          </p>
        )}
        {!stands && seconds !== undefined && setting && (
          <p className="text-lg">
            By hand about <b>{seconds < 10 ? seconds.toFixed(1) : seconds.toFixed(0)} seconds</b> a turn of the quill:
            that is {feed(setting.feedMmPerRev, unit)} {feedUnit(unit)}.
          </p>
        )}
      </div>
    );
  },
};
