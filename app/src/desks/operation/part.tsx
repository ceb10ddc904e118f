import { dialMove } from '@whelk/core/lathe';
import { bladeTravelPicture } from '@whelk/core/picture';
import { ROUNDING } from '@whelk/core/quantity';
import { inUnit } from '../../messages/in-unit.ts';
import { wayWith } from '../../ui/dial-window/HandsList.tsx';
import { measure } from '../../ui/format.ts';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { Working } from '../../ui/working/Working.tsx';
import type { ShownOperation } from './shown.ts';

const down = (toDiameterMm: number, stub: boolean, unit: 'mm' | 'in'): string =>
  toDiameterMm > 0
    ? stub
      ? `to a stub of Ø${inUnit(unit).bare(toDiameterMm, 1)}`
      : `through to the hole of Ø${inUnit(unit).bare(toDiameterMm, 2)}`
    : 'through';

export const part: ShownOperation<'part'> = {
  name: 'Part off',
  title: ({ partMm, facingMm, toDiameterMm, stub }, { unit }) =>
    `Part off ${inUnit(unit).bare(partMm + facingMm, 2)} long, ${down(toDiameterMm, stub, unit)}`,
  Detail: ({ operation: o, unit, tell }) => (
    <>
      <p>
        Slot {inUnit(unit).len(o.slotMm, 2)} wide with a blade of {inUnit(unit).len(o.widthMm, 2)},{' '}
        {inUnit(unit).len(o.depthMm, 1)} deep; drawn back {o.pecksMm.length} times.{' '}
        <Working of="where" tell={tell('route.partTravel')} /> <Working of="time" tell={tell('route.partMinutes')} />
      </p>
      {o.sideMm > ROUNDING && (
        <p>Widened {inUnit(unit).len(o.sideMm, 2)} to the waste side, so that the blade does not rub.</p>
      )}
    </>
  ),
  stepTitle: ({ partMm, facingMm, toDiameterMm, stub }, { frozen }) => {
    const { unit } = frozen.means.lathe;
    return `Part off ${inUnit(unit).bare(partMm + facingMm, 2)} ${unit} long, ${down(toDiameterMm, stub, unit)}`;
  },
  Panel: ({ step, frozen, tell }) => {
    const { lathe } = frozen.means;
    const { unit } = lathe;
    const { carriage, compound } = lathe.slides;
    const f = (mm: number) => `${measure(mm, unit, unit === 'mm' ? 2 : 3)} ${unit}`;
    const farMm = step.partMm + step.facingMm + step.widthMm;
    const move = carriage.means === 'dial' ? dialMove(carriage, 0, farMm) : undefined;
    const side = step.sideMm > ROUNDING ? dialMove(compound, 0, step.sideMm) : undefined;
    const picture = bladeTravelPicture(
      frozen.piece.part,
      {
        ...{ widthMm: step.widthMm, placesMm: [-step.facingMm - step.widthMm], floorMm: step.toDiameterMm },
        ...{ fromDiameterMm: frozen.piece.part.largestMm, text: f(farMm) },
      },
      430,
      250,
    );
    return (
      <div className="grid gap-x-8 gap-y-3 text-lg md:col-span-2 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
        <ol className="flex list-inside list-decimal flex-col gap-2">
          <li>
            Blade square, on centre, as short as the slot lets it be. Spindle stopped: bring its <b>left edge</b> to the
            finished face, note the carriage.
          </li>
          <li>
            Carriage towards the chuck <b className="text-xl">{f(farMm)}</b>: part {f(step.partMm)} + blade{' '}
            {f(step.widthMm)}
            {step.facingMm > ROUNDING ? ` + ${f(step.facingMm)} to be faced` : ''}.{' '}
            <Working of="travel" tell={tell('route.partTravel')} />{' '}
            {move && carriage.means === 'dial' && `${wayWith(move.fullTurns, move.rest, carriage.unit)}, ${move.hand}.`}{' '}
            <span className="muted">Touched with the right edge: {f(step.partMm + step.facingMm)}.</span>
          </li>
          <li>
            Lock it. In by hand, steady; back to clear the slot at{' '}
            <b>
              {step.pecksMm
                .slice(0, -1)
                .map((mm) => measure(mm, unit, unit === 'mm' ? 1 : 2))
                .join(', ') || 'the end'}
            </b>
            {step.pecksMm.length > 1 ? ` ${unit} deep` : ''}; {f(step.depthMm)} in all
            {step.toDiameterMm > 0 ? '' : ', ever slower towards the middle'}.
          </li>
          {side && (
            <li>
              Deep for this blade: before each next depth widen the slot <b>{f(step.sideMm)}</b> to the waste side,
              compound along the bed, {wayWith(side.fullTurns, side.rest, compound.unit)}; then back.
            </li>
          )}
          {step.frontDeg > 0 && <li>Its front leans: the pip stays on the bar, and the face has to be faced.</li>}
          {step.stub && (
            <li>Stop at the stub. Spindle stopped and locked: draw the centre back, hold the part, saw it through.</li>
          )}
        </ol>
        <PictureView
          picture={picture}
          label="The blade touched on the finished face, and where it parts"
          textSize={15}
        />
      </div>
    );
  },
};
