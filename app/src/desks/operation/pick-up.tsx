import { dialScale } from '@whelk/core/lathe';
import { inUnit } from '../../messages/in-unit.ts';
import { PlacesSeen } from './PlacesSeen.tsx';
import type { ShownOperation } from './shown.ts';

export const pickUp: ShownOperation<'pickUp'> = {
  name: 'Pick up the axis',
  title: ({ openMm }, { unit }) =>
    openMm === undefined
      ? 'Pick up the axis from its mark, note the slide'
      : `Pick up the axis in the hole of Ø${inUnit(unit).bare(openMm, 1)}, note the slide`,
  Detail: ({ operation: o, unit, tell: _ }) => (
    <p>
      {o.packMm > 0
        ? `${inUnit(unit).len(o.packMm, 2)} of packing brings it to the spindle’s height; the slide brings it in line.`
        : 'It stands at the spindle’s height without packing; the slide brings it in line.'}
    </p>
  ),
  stepTitle: () => 'Bring the axis in line with the spindle, and note where the slide stands',
  Panel: ({ step, frozen }) => {
    const { lathe } = frozen.means;
    const { crossSlide } = lathe.slides;
    const { lineNumber } = dialScale(crossSlide);
    const turn = crossSlide.clockwiseMoves === 'in' ? 'clockwise' : 'anticlockwise';
    return (
      <div className="flex max-w-5xl flex-wrap gap-x-10 gap-y-4 md:col-span-2">
        <ol className="flex max-w-xl list-decimal flex-col gap-2 pl-6 text-lg">
          <li>
            {step.openMm === undefined
              ? 'A pointed bar or a wobbler in the spindle, at the mark on the face: by packing and by the slide until it stands still in the mark.'
              : `An indicator in the spindle, swung once round by hand in the hole of Ø${inUnit(lathe.unit).len(step.openMm, 1)}: top against bottom is the packing, front against back is the slide; until it reads the same all round.`}
          </li>
          <li>
            The slide comes to its place winding <b>in</b>, {turn}: back beyond its slack of{' '}
            {inUnit(lathe.unit).len(crossSlide.slackMm, 2)} first.
          </li>
          <li>
            {crossSlide.resettable
              ? 'Set its ring to 0 there'
              : `Write down its number there, ${lineNumber.valueOf()} ${crossSlide.unit} a line`}
            : every place beside the axis counts from it. Lock the slide, look once more.
          </li>
        </ol>
        <PlacesSeen frozen={frozen} />
      </div>
    );
  },
};
