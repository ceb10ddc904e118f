import { aimed, measure } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import { AlongBed } from './AlongBed.tsx';
import type { ShownOperation } from './shown.ts';

export const shoulder: ShownOperation<'shoulder'> = {
  name: 'Square the shoulder',
  title: ({ fromDiameterMm: a, toDiameterMm: b }, { name }) =>
    `${a > b ? 'Face the floor' : 'Square the shoulder'}${name ? `, ${name}` : ''}`,
  Detail: ({ operation: o, unit, tell }) => (
    <p>
      From Ø{aimed(o.fromDiameterMm, unit)} {o.fromDiameterMm > o.toDiameterMm ? 'in' : 'out'} to Ø
      {aimed(o.toDiameterMm, unit)} {unit}. <Working of="shoulder" tell={tell('route.shoulder')} />
    </p>
  ),
  stepTitle: ({ fromDiameterMm: a, toDiameterMm: b }, { name }) =>
    a > b ? `Face the floor of ${name}, feeding inwards` : `Square the shoulder of ${name}, feeding outwards`,
  Panel: ({ step, frozen, advice, tell }) => {
    const { unit } = frozen.means.lathe;
    const d = (mm: number) => `Ø${measure(mm, unit, unit === 'mm' ? 1 : 3)}`;
    return (
      <div className="text-lg">
        {step.fromDiameterMm > step.toDiameterMm
          ? `With the bar, from the wall at ${d(step.fromDiameterMm)} in to ${step.toDiameterMm > 0 ? d(step.toDiameterMm) : 'the middle'}, in light cuts to the depth.`
          : `Touch the shoulder there, then face from ${d(step.fromDiameterMm)} out to ${d(step.toDiameterMm)}.`}{' '}
        <Working of="shoulder" tell={tell('route.shoulder')} />
        {advice.length && advice.length.cutsMm.length > 0 && <AlongBed frozen={frozen} cutsMm={advice.length.cutsMm} />}
      </div>
    );
  },
  place: ({ zStopMm, fromDiameterMm, toDiameterMm }) =>
    fromDiameterMm > toDiameterMm
      ? undefined
      : { ...{ way: 'shoulder', zMm: zStopMm ?? 0, fromMm: fromDiameterMm, toMm: toDiameterMm } },
};
