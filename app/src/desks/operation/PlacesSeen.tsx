import { crossHoles } from '@whelk/core/part';
import { endViewPicture } from '@whelk/core/picture';
import type { FrozenRun } from '@whelk/core/run';
import { inUnit } from '../../messages/in-unit.ts';
import { PictureView } from '../../ui/strip/PictureView.tsx';

/** The face that the cutter enters, as it is seen from the headstock: the turner stands on its right. */
export function PlacesSeen({ frozen, selectedId }: { frozen: FrozenRun; selectedId?: string | undefined }) {
  const { part } = frozen.piece;
  const u = inUnit(frozen.means.lathe.unit);
  const picture = endViewPicture(part, {
    ...{ width: 320, height: 280, textSize: 14 },
    ...(selectedId === undefined ? {} : { selectedId }),
    labels: Object.fromEntries(crossHoles(part).map((h) => [h.id, `Ø${u.bare(h.diameterMm, 2)}`])),
  });
  return (
    <figure className="m-0 max-w-[320px]">
      <PictureView picture={picture} label="The face that the cutter enters" textSize={14} />
      <figcaption className="muted text-sm">Seen from the headstock; you stand to the right of it.</figcaption>
    </figure>
  );
}
