import { inUnit } from '../../messages/in-unit.ts';
import { measure } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import { NumbersTable } from './NumbersTable.tsx';
import type { ShownOperation } from './shown.ts';

const what = (inner: boolean, radiusMm: number, unit: 'mm' | 'in'): string =>
  `${inner ? 'Fillet' : 'Round'} R${inUnit(unit).bare(radiusMm, 2)}`;
const by = {
  form: 'with the tool of its form',
  nose: 'with the nose itself',
  steps: 'in steps',
} as const;

export const roundEdge: ShownOperation<'roundEdge'> = {
  name: 'Round an edge or a corner',
  title: ({ radiusMm, inner, by: way, steps }, { name, unit }) =>
    `${what(inner, radiusMm, unit)} ${inner ? 'in the corner' : 'on the edge'} of ${name}, ${way === 'steps' ? `${steps.length} steps` : by[way]}`,
  Detail: ({ operation: o, unit, tell }) => (
    <p>
      {o.by === 'steps'
        ? `${o.steps.length} steps; cusps of ${inUnit(unit).len(o.cuspMm, 3)} stay for the file.`
        : `Made ${by[o.by]}.`}{' '}
      <Working of="steps" tell={tell('route.roundSteps')} />
    </p>
  ),
  stepTitle: ({ radiusMm, inner, by: way }, { name, frozen }) =>
    `${what(inner, radiusMm, frozen.means.lathe.unit)} ${inner ? 'in the corner' : 'on the edge'} of ${name}, ${by[way]}`,
  Panel: ({ step, frozen, tell }) => {
    const { unit } = frozen.means.lathe;
    const f = (mm: number) => measure(mm, unit, unit === 'mm' ? 2 : 3);
    if (step.by === 'nose')
      return (
        <p className="max-w-2xl text-lg">
          The nose has the corner’s radius. Along Ø{f(step.fromDiameterMm)} into the corner, stop the feed short, the
          last of it by hand, then feed out along the shoulder without stopping: the nose leaves the round.
        </p>
      );
    if (step.by === 'form')
      return (
        <p className="max-w-2xl text-lg">
          Set the radius tool on centre, touch{' '}
          {step.inner ? 'the diameter and the shoulder' : 'the diameter and the face'}, note both. Feed in slowly until
          it {step.inner ? 'meets both' : 'runs out into both'} without a step.
        </p>
      );
    return (
      <div className="flex max-w-2xl flex-col gap-2">
        <p className="text-lg">
          For each line set the cross-slide for the diameter, then feed towards the chuck until the tool’s left side
          stands so far from the finished face. Always from the tail.{' '}
          <Working of="steps" tell={tell('route.roundSteps')} />
        </p>
        <NumbersTable
          count="Step"
          heads={[`Ø, ${unit}`, `From the face, ${unit}`]}
          rows={step.steps.map((s) => [f(s.diameterMm), f(s.fromEndMm)])}
        />
        <p className="muted">Cusps of {inUnit(unit).len(step.cuspMm, 3)} stay: blend them with a file, then emery.</p>
      </div>
    );
  },
};
