import { ROUNDING } from '@whelk/core/quantity';
import { inUnit } from '../../messages/in-unit.ts';
import { measure } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import type { ShownOperation } from './shown.ts';

const patterns = { straight: 'straight', crossed: 'diamond' } as const;

export const knurl: ShownOperation<'knurl'> = {
  name: 'Knurl',
  title: ({ pattern, pitchMm, startMm }, { name, unit }) => {
    const u = inUnit(unit);
    return `Knurl ${name}, ${patterns[pattern]} ${u.bare(pitchMm, 2)}, from Ø${u.bare(startMm, 2)}`;
  },
  Detail: ({ operation: o, unit, tell }) => (
    <p>
      {o.toothCount} teeth round it; it grows by about {inUnit(unit).len(o.growsMm, 2)}.{' '}
      <Working of="start" tell={tell('route.knurlStart')} />
    </p>
  ),
  stepTitle: ({ pattern, pitchMm }, { name, frozen }) =>
    `Knurl ${name}, ${patterns[pattern]} ${inUnit(frozen.means.lathe.unit).len(pitchMm, 2)}`,
  Panel: ({ step, frozen, tell }) => {
    const { unit } = frozen.means.lathe;
    const f = (mm: number) => measure(mm, unit, unit === 'mm' ? 2 : 3);
    const end = frozen.piece.part.lengthMm;
    const { zFromMm = 0, zToMm = 0 } = frozen.plan.operations.find((o) => o.id === step.id) ?? {};
    const long = zToMm - zFromMm;
    return (
      <ol className="flex max-w-4xl list-decimal flex-col gap-2 pl-6 text-lg md:col-span-2">
        <li>
          {Math.abs(step.fromDiameterMm - step.startMm) < ROUNDING + 0.001 ? (
            <>
              It stands at Ø<b className="figure">{f(step.startMm)}</b> {unit} for {step.toothCount} whole teeth.{' '}
            </>
          ) : (
            <>
              Turn where the knurl goes down to Ø<b className="figure">{f(step.startMm)}</b> {unit}: {step.toothCount}{' '}
              whole teeth.{' '}
            </>
          )}
          <Working of="start" tell={tell('route.knurlStart')} />
        </li>
        <li>
          Wheels square to the work and on centre. Place: {f(end - zToMm)} to {f(end - zFromMm)} {unit} from the
          finished end.
        </li>
        <li>
          Half of the wheels’ width on the end, press in firmly and quickly, let it turn once and stop: the marks must
          fall into one another. Doubled marks: draw off, turn {f(0.2)} {unit} off, begin again.
        </li>
        <li>
          Then full depth at once, the feed on, oil, {f(long)} {unit} along; press in more at the far end and back with
          the same feed, never lifted off in between. Two or three ways do.
        </li>
        <li>
          It grows by about {f(step.growsMm)} {unit}, to about Ø{f(step.startMm + step.growsMm)}. Break both ends’ edges
          where nothing is drawn.
        </li>
      </ol>
    );
  },
};
