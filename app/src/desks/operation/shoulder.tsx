import { aimed, measure } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import { AlongBed } from './AlongBed.tsx';
import type { ShownOperation } from './shown.ts';

export const shoulder: ShownOperation<'shoulder'> = {
  name: 'Square the shoulder',
  title: (_, { name }) => `Square the shoulder${name ? `, ${name}` : ''}`,
  Detail: ({ operation: o, unit, tell }) => (
    <p>
      From Ø{aimed(o.fromDiameterMm, unit)} out to Ø{aimed(o.toDiameterMm, unit)} {unit}.{' '}
      <Working of="shoulder" tell={tell('route.shoulder')} />
    </p>
  ),
  stepTitle: (_, { name }) => `Square the shoulder of ${name}, feeding outwards`,
  Panel: ({ step, frozen, advice, tell }) => {
    const { unit } = frozen.means.lathe;
    const d = (mm: number) => `Ø${measure(mm, unit, unit === 'mm' ? 1 : 3)}`;
    return (
      <div className="text-lg">
        Touch the shoulder there, then face from {d(step.fromDiameterMm)} out to {d(step.toDiameterMm)}.{' '}
        <Working of="shoulder" tell={tell('route.shoulder')} />
        {advice.length && advice.length.cutsMm.length > 0 && <AlongBed frozen={frozen} cutsMm={advice.length.cutsMm} />}
      </div>
    );
  },
  place: ({ zStopMm, fromDiameterMm, toDiameterMm }) => ({
    ...{ way: 'shoulder', zMm: zStopMm ?? 0, fromMm: fromDiameterMm, toMm: toDiameterMm },
  }),
};
