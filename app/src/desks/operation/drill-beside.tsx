import { inUnit } from '../../messages/in-unit.ts';
import { wayWith } from '../../ui/dial-window/HandsList.tsx';
import { ByCarriage } from './ByCarriage.tsx';
import { PlacesSeen } from './PlacesSeen.tsx';
import type { ShownOperation } from './shown.ts';

/** Where a place lies as the turner sees it. */
const side = (acrossMm: number): string => (acrossMm > 0 ? 'towards you' : 'behind the axis');

export const drillBeside: ShownOperation<'drillBeside'> = {
  name: 'Drill beside the axis',
  title: ({ diameterMm, acrossMm, placeNumber, placeCount }, { name, unit }) =>
    `Drill ${name} Ø${inUnit(unit).bare(diameterMm, 2)}, ${placeNumber} of ${placeCount}, ${inUnit(unit).len(Math.abs(acrossMm), 2)} ${side(acrossMm)}`,
  Detail: ({ operation: o, unit }) => (
    <p>
      The slide goes {inUnit(unit).len(Math.abs(o.acrossMm), 2)} {o.acrossMm > 0 ? 'in' : 'out'} from the axis; spotted,
      then drilled {o.drillsMm.map((mm) => `Ø${inUnit(unit).bare(mm, 2)}`).join(', ')}.
    </p>
  ),
  stepTitle: ({ diameterMm, placeNumber, placeCount }, { name, frozen }) =>
    `Drill ${name} Ø${inUnit(frozen.means.lathe.unit).len(diameterMm, 2)}, place ${placeNumber} of ${placeCount}`,
  Panel: ({ step, frozen }) => {
    const { lathe } = frozen.means;
    const u = inUnit(lathe.unit);
    const { crossSlide } = lathe.slides;
    const inwards = step.acrossMm > 0;
    const turn = crossSlide.clockwiseMoves === 'in' ? 'clockwise' : 'anticlockwise';
    const from = crossSlide.resettable ? 'From 0, where the axis was' : 'From the number noted at the axis';
    return (
      <div className="flex max-w-5xl flex-wrap gap-x-10 gap-y-4 md:col-span-2">
        <div className="flex max-w-xl flex-col gap-2 text-lg">
          <p>
            The hole lies {u.len(Math.abs(step.acrossMm), 2)} {side(step.acrossMm)}. {from}, spindle stopped: the
            cross-slide <b>{inwards ? 'in' : 'out'}</b> by <b>{wayWith(step.fullTurns, step.rest, crossSlide.unit)}</b>,{' '}
            {step.hand}
            {inwards
              ? '.'
              : `, and one turn more; then back in by that turn, ${turn}, so that its slack lies as it did.`}
            {crossSlide.kind === 'diameter' ? ' Its ring counts the diameter: that is in the number.' : ''} Lock it.
          </p>
          <p>
            In the spindle’s chuck one after another: the centre drill
            {step.drillsMm.map((mm) => `, Ø${u.bare(mm, 2)}`).join('')}.
          </p>
          <ByCarriage lathe={lathe} depthMm={step.depthMm + step.pointMm} from="where the point touches" />
        </div>
        <PlacesSeen frozen={frozen} selectedId={step.featureId} />
      </div>
    );
  },
};
