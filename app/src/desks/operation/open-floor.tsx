import { aimed, measure } from '../../ui/format.ts';
import { NumbersTable } from './NumbersTable.tsx';
import type { ShownOperation } from './shown.ts';

export const openFloor: ShownOperation<'openFloor'> = {
  name: 'Face what the point left',
  title: ({ slices }, { name }) => `Face what the drill’s point left in ${name}, ${slices.length} slices`,
  Detail: ({ operation: o, unit }) => (
    <p>
      {o.slices.length} slices, each from where it is open out to Ø{aimed(o.toDiameterMm, unit)} {unit}: the end of the
      bar would run against what the point of the drill left.
    </p>
  ),
  stepTitle: (_, { name }) => `Face what the drill’s point left in ${name}, feeding outwards`,
  Panel: ({ step, frozen }) => {
    const { unit } = frozen.means.lathe;
    const f = (mm: number) => measure(mm, unit, unit === 'mm' ? 1 : 3);
    return (
      <div className="grid items-start gap-x-8 gap-y-2 md:col-span-2 md:grid-cols-2">
        <p className="max-w-xl text-lg">
          For each line set the carriage to its depth with the edge where the hole is open, clear of the slope, then
          feed <b>outwards</b> to Ø{f(step.toDiameterMm)} {unit}. Look that the back of the bar stays clear of the
          opposite wall.
        </p>
        <NumbersTable
          dense
          count="Slice"
          heads={[`From the face, ${unit}`, `Open to Ø, ${unit}`]}
          rows={step.slices.map((s) => [f(s.fromEndMm), f(s.fromDiameterMm)])}
        />
      </div>
    );
  },
};
