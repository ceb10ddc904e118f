import { type Dial, dialMove } from '@whelk/core/lathe';
import { outsides } from '@whelk/core/part';
import { aimed, length, measure, ringText } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import type { ShownOperation } from './shown.ts';

/** How far a hand winds a dial in, and which way. */
function say(dial: Dial, travelMm: number): string {
  return `${ringText(dial, travelMm)} ${dial.unit}, ${dialMove(dial, 0, travelMm).hand}`;
}

export const chamfer: ShownOperation<'chamfer'> = {
  name: 'Chamfer',
  limitsOf: 'Limits of its length',
  title: ({ lengthMm, angleDeg }, { name, unit }) => `Chamfer ${name} ${length(lengthMm, unit)} × ${angleDeg}°`,
  Detail: ({ operation: o, unit, tell }) => (
    <p>
      {length(o.lengthMm, unit)} {unit} long at {o.angleDeg}°: {measure(o.depthMm, unit, unit === 'mm' ? 2 : 3)} {unit}{' '}
      on the radius. <Working of="chamfer" tell={tell('part.chamfer')} />
    </p>
  ),
  stepTitle: ({ lengthMm, angleDeg }, { name, frozen }) => {
    const { unit } = frozen.means.lathe;
    return `Chamfer ${name}: ${aimed(lengthMm, unit)} ${unit} × ${angleDeg}°`;
  },
  Panel: ({ step, frozen, tell }) => {
    const { crossSlide } = frozen.means.lathe.slides;
    return (
      <p className="text-lg">
        Bring the tool to touch the corner, wind in <b>{say(crossSlide, step.depthMm)}</b> from where it touches.{' '}
        <Working
          of="chamfer"
          tell={(record) => {
            tell('part.chamfer', 'limit.general')(record);
            dialMove(crossSlide, 0, step.depthMm, record);
          }}
        />
      </p>
    );
  },
  place: ({ featureId, lengthMm, depthMm }, { frozen }) => {
    const feature = outsides(frozen.piece.part).find((f) => f.id === featureId);
    return feature && { way: 'edge', zMm: feature.zToMm, diameterMm: feature.diameterMm, lengthMm, depthMm };
  },
};
