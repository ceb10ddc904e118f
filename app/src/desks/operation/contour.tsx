import { dialMove } from '@whelk/core/lathe';
import { nosePlacePicture } from '@whelk/core/picture';
import { inUnit } from '../../messages/in-unit.ts';
import { wayWith } from '../../ui/dial-window/HandsList.tsx';
import { measure } from '../../ui/format.ts';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { Working } from '../../ui/working/Working.tsx';
import { PairByPair } from './PairByPair.tsx';
import type { ShownOperation } from './shown.ts';

export const contour: ShownOperation<'contour'> = {
  name: 'Turn a curve in steps',
  title: ({ steps, noseMm }, { name, unit }) =>
    `${name}: its curve in ${steps.length} steps, nose R${inUnit(unit).bare(noseMm, 2)}`,
  Detail: ({ operation: o, unit, tell }) => (
    <p>
      {o.steps.length} pairs of numbers, straight down at each; cusps of {inUnit(unit).len(o.cuspMm, 3)} stay for the
      file. <Working of="steps" tell={tell('route.contourSteps')} />
    </p>
  ),
  stepTitle: ({ steps }, { name }) => `${name}: its curve in ${steps.length} steps`,
  Panel: ({ step, frozen, tell }) => {
    const { lathe } = frozen.means;
    const { unit, slides } = lathe;
    const end = frozen.piece.part.lengthMm;
    const f = (mm: number) => measure(mm, unit, unit === 'mm' ? 2 : 3);
    const across = (diameterMm: number): string => {
      const { fullTurns, rest } = dialMove(slides.crossSlide, 0, (step.largestMm - diameterMm) / 2);
      return wayWith(fullTurns, rest, slides.crossSlide.unit);
    };
    // the compound along the bed sets places finer than the carriage, where it goes as far
    const fromEnds = step.steps.map((s) => s.fromEndMm);
    const firstMm = Math.min(...fromEnds);
    const byCompound = slides.compound.travelMm >= Math.max(...fromEnds) - firstMm;
    const along = (fromEndMm: number): string => {
      const dial = byCompound ? slides.compound : slides.carriage;
      if (!('travelPerTurn' in dial)) return '';
      const { fullTurns, rest } = dialMove(dial, 0, byCompound ? fromEndMm - firstMm : fromEndMm);
      return wayWith(fullTurns, rest, dial.unit);
    };
    const withWheel = byCompound || slides.carriage.means === 'dial';
    const { zFromMm = 0, zToMm = end } = frozen.plan.operations.find((o) => o.id === step.id) ?? {};
    const places = step.steps.map((s) => ({ leftMm: end - s.fromEndMm, radiusMm: s.diameterMm / 2 }));
    return (
      <div className="flex flex-col gap-3 text-lg md:col-span-2">
        <p>
          Touch the tool on a diameter that you have measured; at Ø{f(step.largestMm)} {unit} the cross-slide’s ring
          would stand at zero. Its left side on the finished face: zero of the carriage.{' '}
          {byCompound
            ? `The compound along the bed; carriage ${f(firstMm)} ${unit} from the face and locked: zero of the compound.`
            : ''}{' '}
          At each pair draw out, go along, always the same way to the number, feed straight down.{' '}
          <Working of="steps" tell={tell('route.contourSteps')} />
        </p>
        <PairByPair
          keptAs={`${frozen.title}/${frozen.number}/${step.id}`}
          heads={[
            `Ø, ${unit}`,
            `From the face, ${unit}`,
            'Cross-slide, from zero',
            ...(withWheel ? [byCompound ? 'Compound, from zero' : 'Carriage, from zero'] : []),
          ]}
          rows={step.steps.map((s) => [
            f(s.diameterMm),
            f(s.fromEndMm),
            across(s.diameterMm),
            ...(withWheel ? [along(s.fromEndMm)] : []),
          ])}
          picture={(now) => (
            <PictureView
              picture={nosePlacePicture(
                frozen.piece.part,
                { zFromMm, zToMm, noseMm: step.noseMm, places, index: now },
                430,
                190,
              )}
              label="The nose where the pair brings it"
              textSize={15}
            />
          )}
        />
        <p className="muted">
          Cusps of {inUnit(unit).len(step.cuspMm, 3)} stay: blend them with a file until its marks just vanish, then
          emery. Try it with a gauge of the radius against the light.
        </p>
      </div>
    );
  },
};
