import { dialMove } from '@whelk/core/lathe';
import { ROUNDING } from '@whelk/core/quantity';
import { inUnit } from '../../messages/in-unit.ts';
import { wayText } from '../../ui/dial-window/HandsList.tsx';
import { measure } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import type { ShownOperation } from './shown.ts';

const down = (toDiameterMm: number, stub: boolean, unit: 'mm' | 'in'): string =>
  toDiameterMm > 0
    ? stub
      ? `to a stub of Ø${inUnit(unit).size(toDiameterMm, 1)}`
      : `through to the hole of Ø${inUnit(unit).size(toDiameterMm, 2)}`
    : 'through';

export const part: ShownOperation<'part'> = {
  name: 'Part off',
  title: ({ partMm, facingMm, toDiameterMm, stub }, { unit }) =>
    `Part off ${inUnit(unit).size(partMm + facingMm, 2)} long, ${down(toDiameterMm, stub, unit)}`,
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
    return `Part off ${inUnit(unit).size(partMm + facingMm, 2)} ${unit} long, ${down(toDiameterMm, stub, unit)}`;
  },
  Panel: ({ step, frozen, tell }) => {
    const { lathe } = frozen.means;
    const { unit } = lathe;
    const { carriage, compound } = lathe.slides;
    const f = (mm: number) => `${measure(mm, unit, unit === 'mm' ? 2 : 3)} ${unit}`;
    const farMm = step.partMm + step.facingMm + step.widthMm;
    const move = carriage.means === 'dial' ? dialMove(carriage, 0, farMm) : undefined;
    const side = step.sideMm > ROUNDING ? dialMove(compound, 0, step.sideMm) : undefined;
    return (
      <div className="flex max-w-3xl flex-col gap-2 text-lg">
        <p>
          Blade square to the work, on centre, no more of it out than the slot is deep. Spindle stopped: bring its{' '}
          <b>left edge</b> to touch the finished face on the right, note the carriage there.
        </p>
        <p>
          Carriage towards the chuck <b className="figure">{f(farMm)}</b>: part {f(step.partMm)} + blade{' '}
          {f(step.widthMm)}
          {step.facingMm > ROUNDING ? ` + ${f(step.facingMm)} to be faced off` : ''}.{' '}
          <Working of="travel" tell={tell('route.partTravel')} />
          {move && (
            <>
              {' '}
              That is {wayText(move.fullTurns, move.rest)} {carriage.means === 'dial' ? carriage.unit : ''} on its
              wheel, {move.hand}.
            </>
          )}{' '}
          <span className="muted">Touched with the right edge it would be {f(step.partMm + step.facingMm)}.</span>
        </p>
        <p>
          Lock the carriage. Feed in by hand, steady, and draw back to clear the slot at{' '}
          <b>
            {step.pecksMm
              .slice(0, -1)
              .map((mm) => measure(mm, unit, unit === 'mm' ? 1 : 2))
              .join(', ') || 'the end'}
          </b>
          {step.pecksMm.length > 1 ? ` ${unit} deep` : ''}; {f(step.depthMm)} in all
          {step.toDiameterMm > 0 ? '' : ', ever slower towards the middle'}.
        </p>
        {side && (
          <p>
            The slot is deep for this blade: before each next depth widen it <b>{f(step.sideMm)}</b> to the waste side (
            {wayText(side.fullTurns, side.rest)} {compound.unit} of the compound, set along the bed, towards the chuck),
            then back.
          </p>
        )}
        {step.frontDeg > 0 && (
          <p>
            Its front leans: set it so that the part comes off clean and the pip stays on the bar; the face is to be
            faced.
          </p>
        )}
        {step.stub && (
          <p>
            Stop at the stub. Spindle stopped and locked: draw the tail centre back, hold the part, and saw the stub
            through.
          </p>
        )}
      </div>
    );
  },
};
