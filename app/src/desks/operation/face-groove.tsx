import { dialMove } from '@whelk/core/lathe';
import { carriageMove } from '@whelk/core/run';
import { inUnit } from '../../messages/in-unit.ts';
import { wayWith } from '../../ui/dial-window/HandsList.tsx';
import { aimed } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import type { ShownOperation } from './shown.ts';

const between = (innerMm: number, outerMm: number, unit: 'mm' | 'in'): string => {
  const { bare } = inUnit(unit);
  return innerMm > 0 ? `Ø${bare(innerMm, 2)} to Ø${bare(outerMm, 2)}` : `Ø${bare(outerMm, 2)}, to the middle`;
};

export const faceGroove: ShownOperation<'faceGroove'> = {
  name: 'Groove in a face',
  title: ({ innerMm, outerMm, depthMm, inHole }, { unit }) =>
    `Groove in the ${inHole ? 'bottom' : 'face'}: ${between(innerMm, outerMm, unit)}, ${inUnit(unit).bare(depthMm, 2)} deep`,
  Detail: ({ operation: o, unit, tell }) => (
    <p>
      {o.plungesMm.length === 1 ? 'One plunge' : `${o.plungesMm.length} plunges from the outer wall inwards`} with a
      blade of {inUnit(unit).len(o.toolMm, 2)}
      {o.sweep ? ', then the floor swept from wall to wall' : ''}.{' '}
      <Working of="time" tell={tell('route.grooveMinutes', 'cutting.plunge')} />
    </p>
  ),
  stepTitle: ({ innerMm, outerMm, depthMm, inHole }, { frozen }) => {
    const { unit } = frozen.means.lathe;
    return `Groove in the ${inHole ? 'bottom of the hole' : 'face'}: ${between(innerMm, outerMm, unit)}, ${inUnit(unit).bare(depthMm, 2)} ${unit} deep`;
  },
  Panel: ({ step, frozen, tell }) => {
    const { lathe } = frozen.means;
    const { unit, slides } = lathe;
    const u = inUnit(unit);
    // the edge towards the axis was touched on the finished diameter; in a hole the outer corner on its wall
    const cornerMm = step.inHole ? 0 : step.toolMm;
    const inMm = step.plungesMm.map((rMm) => step.fromDiameterMm / 2 - (rMm - cornerMm));
    const first = dialMove(slides.crossSlide, 0, inMm[0]!);
    const deep = carriageMove(lathe, 0, step.depthMm);
    const { carriage } = slides;
    return (
      <div className="flex max-w-4xl flex-col gap-3 text-lg md:col-span-2">
        <p>
          The blade along the bed, square to the face, on centre, its rounded back outwards.{' '}
          {step.inHole ? 'Look that the bar clears the hole all round. ' : ''}
          Spindle stopped: bring its{' '}
          {step.inHole ? 'outer corner onto the wall of the hole,' : 'edge towards the axis onto'} Ø
          {u.len(step.fromDiameterMm, 2)} and note the cross-slide; its front onto the {step.inHole ? 'bottom' : 'face'}{' '}
          and note the carriage.
        </p>
        <p>
          {inMm.length === 1 ? 'Cross-slide in ' : 'Plunge at, cross-slide in: '}
          <b>{inMm.map((mm) => u.bare(mm, 2)).join(', ')}</b> {unit}
          {inMm.length > 1 ? ', from the outer wall inwards, each less than the blade’s width from the one before' : ''}
          .{' '}
          <span className="muted">
            The first is {wayWith(first.fullTurns, first.rest, slides.crossSlide.unit)} on its ring, {first.hand}
            {slides.crossSlide.kind === 'diameter' ? '; it counts the diameter' : ''}.
          </span>
        </p>
        <p>
          Carriage towards the chuck <b>{u.bare(step.depthMm, 2)}</b> {unit} from the {step.inHole ? 'bottom' : 'face'}
          {deep && carriage.means === 'dial'
            ? `, ${wayWith(deep.fullTurns, deep.rest, carriage.unit)} on its wheel, ${deep.hand}`
            : ', by a scribed line'}
          . <Working of="force" tell={tell('cutting.plunge')} />
        </p>
        {step.sweep && (
          <p>Stop a tenth short in every plunge; then to the depth, and sweep the floor by the cross-slide.</p>
        )}
        {step.depthLimits && (
          <p>
            Measure the depth: {aimed(step.depthLimits.lowerMm, unit)} … <b>{aimed(step.depthLimits.upperMm, unit)}</b>{' '}
            {unit}.
          </p>
        )}
      </div>
    );
  },
};
