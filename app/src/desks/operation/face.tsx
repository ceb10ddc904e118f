import { faceCutsMm, stockOf } from '@whelk/core/run';
import { aimed } from '../../ui/format.ts';
import { AlongBed } from './AlongBed.tsx';
import type { ShownOperation } from './shown.ts';

export const face: ShownOperation<'face'> = {
  name: 'Face the end',
  title: () => 'Face the end',
  Detail: ({ operation, unit }) => (
    <p>
      Take {aimed(operation.offMm, unit)} {unit} off the end.
    </p>
  ),
  stepTitle: ({ offMm }, { frozen }) => {
    const { unit } = frozen.means.lathe;
    return `Face the end: take ${aimed(offMm, unit)} ${unit} off`;
  },
  /** the way to do it, and so many cuts, each set by the compound along the bed, from the rim to the centre */
  Panel: ({ step, frozen, advice }) => {
    const { length } = advice;
    const { lathe } = frozen.means;
    const cutsMm = length?.cutsMm ?? faceCutsMm(lathe, step.offMm);
    const read = (length?.readings.length ?? 0) > 0;
    return (
      <div>
        <p className="max-w-xl text-lg">
          {read
            ? 'From where the compound stands now, its slack taken up, from the rim to the centre.'
            : `Compound along the bed, its slack taken up. Touch the raw end${lathe.slides.compound.resettable ? ' and set its ring to 0' : ''}, then from the rim to the centre, until it is clean.`}
          {length && !read
            ? ' Then measure: what the saw left is not known before, and what is still to come off follows from it.'
            : ''}
        </p>
        {cutsMm.length > 0 && <AlongBed frozen={frozen} cutsMm={cutsMm} />}
      </div>
    );
  },
  place: ({ zStopMm, offMm }, { frozen }) => ({
    ...{ way: 'face', zMm: zStopMm ?? frozen.piece.part.lengthMm, offMm, diameterMm: stockOf(frozen) },
  }),
};
