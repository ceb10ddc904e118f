import { gearTrainPicture } from '@whelk/core/picture';
import { PictureView } from '../../ui/strip/PictureView.tsx';

interface Props {
  readonly drivers: readonly number[];
  readonly driven: readonly number[];
  readonly width?: number;
  readonly height?: number;
}

/** A train of change gears as it goes on: which wheel where, and what carries on between. */
export function GearTrain({ drivers, driven, width = 520, height = 280 }: Props) {
  const single = drivers.length === 1;
  const between = 'any wheel between';
  const studs = driven.slice(0, -1).map((d, i) => `stud ${i + 1}: ${d} driven, ${drivers[i + 1]} drives`);
  const places = [`spindle’s shaft: ${drivers[0]}`, ...(single ? [between] : studs), `leadscrew: ${driven.at(-1)}`];
  return (
    <div className="max-w-xl">
      <PictureView
        picture={gearTrainPicture({ drivers, driven, places, ...(single ? { idler: between } : {}) }, width, height)}
        label={`Gears from the spindle to the leadscrew: ${places.join('; ')}`}
      />
    </div>
  );
}
