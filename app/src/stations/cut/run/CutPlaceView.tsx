import { outsides } from '@whelk/core/part';
import { type CutPlace, cutPlacePicture } from '@whelk/core/picture';
import type { FrozenRun, Move, Step } from '@whelk/core/run';
import { stockOf } from '@whelk/core/run';
import { PictureView } from '../../../ui/strip/PictureView.tsx';

const WIDTH = 300;
const HEIGHT = 150;
/** What a touching cut may be deep, mm on the diameter: only to be seen. */
const TOUCH_MM = 0.3;

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
  const place = placeOf(frozen, step, move, beyondMm);
  if (!place) return null;
  const tool = frozen.means.tools.find((t) => t.id === step.toolId);
  const picture = cutPlacePicture(frozen.piece.part, place, { width: WIDTH, height: HEIGHT, tool });
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

function placeOf(frozen: FrozenRun, step: Step, move: Move | undefined, beyondMm: number): CutPlace | undefined {
  const end = frozen.piece.part.lengthMm;
  if (step.kind === 'face')
    return { way: 'face', zMm: step.zStopMm ?? end, offMm: step.offMm, diameterMm: stockOf(frozen) };
  if (step.kind === 'shoulder')
    return {
      way: 'shoulder',
      zMm: step.zStopMm ?? 0,
      fromMm: step.fromDiameterMm,
      toMm: step.toDiameterMm,
    };
  if (step.kind === 'chamfer') {
    const { lengthMm, depthMm } = step;
    const feature = outsides(frozen.piece.part).find((f) => f.id === step.featureId);
    return feature && { way: 'edge', zMm: feature.zToMm, diameterMm: feature.diameterMm, lengthMm, depthMm };
  }
  if (step.kind === 'touchOff') {
    const before = step.targetMm ?? stockOf(frozen);
    return {
      way: 'along',
      zMm: step.zStopMm ?? end,
      beforeMm: before,
      afterMm: before - TOUCH_MM,
      beyondMm: before,
    };
  }
  const beforeMm = move?.beforeMm ?? step.fromMm;
  const afterMm = move?.told.comesToMm ?? step.targetMm;
  if (beforeMm === undefined || afterMm === undefined || step.zStopMm === undefined) return undefined;
  return { way: 'along', zMm: step.zStopMm, beforeMm, afterMm, beyondMm: Math.max(beyondMm, afterMm) };
}
