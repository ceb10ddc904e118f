import { type CutPlace, cutPlacePicture } from '@whelk/core/picture';
import type { FrozenRun, Move, Step } from '@whelk/core/run';
import { hasEdge } from '@whelk/core/tool';
import { shownOf } from '../../../desks/operation/kinds.ts';
import { PictureView } from '../../../ui/strip/PictureView.tsx';

const WIDTH = 300;
const HEIGHT = 150;

/** The place of the cut under a glass, with the point of the tool that stands there. */
export function CutPlaceView({
  frozen,
  step,
  move,
  beyondMm,
}: {
  frozen: FrozenRun;
  step: Step;
  /** the number as it is told, where the cut is set by one */
  move?: Move;
  /** diameter that stands beyond the end of the cut */
  beyondMm: number;
}) {
  const place = shownOf(step.kind).place?.(step as never, { frozen, move, beyondMm });
  if (!place) return null;
  const tool = frozen.means.tools.find((t) => t.id === step.toolId);
  const edge = tool && hasEdge(tool) ? tool : undefined;
  const picture = cutPlacePicture(frozen.piece.part, place, { width: WIDTH, height: HEIGHT, tool: edge });
  return (
    <figure className="cut-place">
      <PictureView picture={picture} label={`The place of the cut, grown, with the ${tool?.name ?? 'tool'}`} />
      <figcaption>{captionOf[place.way]}</figcaption>
    </figure>
  );
}

const captionOf: Record<CutPlace['way'], string> = {
  along: 'at the end of the cut',
  face: 'at the rim',
  shoulder: 'in the corner',
  edge: 'at the edge',
};
