import { outerBetween } from '@whelk/core/contour';
import { type Held, inChuck, onTailCentre, whileEndIsMade } from '@whelk/core/hold';
import { type StripCut, stripPicture } from '@whelk/core/picture';
import { kindOf, openedBy } from '@whelk/core/route';
import { actOf, type FrozenRun, type Move, metalNow, type RunState, type Step, sideOf } from '@whelk/core/run';
import { useMemo } from 'react';
import { PictureView } from '../../../ui/strip/PictureView.tsx';
import { useWidth } from '../../../ui/useWidth.ts';
import { CutPlaceView } from './CutPlaceView.tsx';

/** So far beyond the end of a cut the metal there is looked at, mm. */
const BESIDE_MM = 0.05;

/** What the step takes off, and what tool does it; undefined where it cuts nothing that is drawn. */
function cutOf(frozen: FrozenRun, step: Step, zToMm: number): StripCut | undefined {
  const { fromMm, targetMm, zStopMm } = step;
  if (fromMm !== undefined && targetMm !== undefined && zStopMm !== undefined) {
    const by = sideOf(frozen, step.featureId) === 'inside' ? ({ by: 'bar' } as const) : {};
    return { zFromMm: zStopMm, zToMm, beforeMm: fromMm, afterMm: targetMm, ...by };
  }
  const operation = frozen.plan.operations.find((o) => o.id === step.operationId);
  if (!operation) return undefined;
  const opened = openedBy(operation);
  const pointMm = 'pointMm' in operation ? operation.pointMm : 0;
  if (opened)
    return {
      ...{ zFromMm: opened.zFromMm, zToMm: opened.zToMm, beforeMm: 0, afterMm: opened.diameterMm },
      ...{ by: 'tailstock', pointMm },
    };
  if ('floorMm' in operation && operation.floorMm < operation.fromDiameterMm) {
    const { zFromMm: from, zToMm: to, fromDiameterMm: beforeMm, floorMm: afterMm } = operation;
    return { zFromMm: from, zToMm: to, beforeMm, afterMm, by: 'blade' };
  }
  const { cutsOff, turns } = kindOf(operation.kind);
  if (!cutsOff || !turns || !('toDiameterMm' in operation)) return undefined;
  const { zFromMm } = operation;
  const beforeMm = 2 * outerBetween(metalNow(frozen, frozen.steps.indexOf(step)), zFromMm, operation.zToMm);
  return { zFromMm, zToMm: operation.zToMm, beforeMm, afterMm: operation.toDiameterMm, by: 'blade' };
}

/** The work as it stands: what has been turned, and the cut now. */
export function CutStrip({
  frozen,
  state,
  step,
  move,
}: {
  frozen: FrozenRun;
  state: RunState;
  step: Step | undefined;
  move?: Move;
}) {
  const [ref, width] = useWidth<HTMLDivElement>(1240);
  const { part } = frozen.piece;
  const end = part.lengthMm;
  const done = frozen.steps.slice(0, state.stepIndex);
  const cuts = done.filter((s) => s.passNumber !== undefined);
  const centred = done.some((s) => s.kind === 'centre');
  const metal = useMemo(() => metalNow(frozen, state.stepIndex), [frozen, state.stepIndex]);
  const endOf = (s: Step) => frozen.plan.operations.find((o) => o.id === s.operationId)?.zToMm ?? end;
  const cut = step && cutOf(frozen, step, endOf(step));
  const stopMm = step?.zStopMm ?? end;
  const beyondMm = 2 * outerBetween(metal, stopMm - BESIDE_MM, stopMm);
  const { held } = frozen.plan;
  const carried = centred || !inChuck(held.method) || !onTailCentre(held.method);
  // a long end is made short out of the jaws, or in a steady, before the work is held as it is turned
  const changed = done.slice(1).some((s) => kindOf(s.kind).tailstock === 'isSet');
  const heldNow: Held = held.ends && !changed ? whileEndIsMade(held) : carried ? held : { ...held, method: 'chuck' };
  // over the cross-slide the bar is there from when it is touched off
  const inPlace = frozen.means.tools.some(
    (t) => t.id === (step?.toolId ?? state.toolId) && t.kind === 'boring bar' && t.turns,
  );
  const picture = stripPicture(part, {
    width,
    height: 150,
    textSize: 14,
    labels: [],
    overall: '',
    selectedId: !step || cut || actOf(step) === 'touchOff' ? undefined : step.featureId,
    // the centre is drawn from when it has been brought up
    held: heldNow,
    idle: !inPlace,
    metal,
    cut,
  });
  return (
    <div className="strip-paper cut-strip">
      <div ref={ref} className="min-w-0 flex-1">
        <PictureView
          picture={picture}
          label={`The work in the lathe, ${cuts.length} passes cut${cut ? '; the cut now is marked' : ''}`}
          textSize={14}
        />
      </div>
      {step && <CutPlaceView {...{ frozen, step, move, beyondMm }} />}
    </div>
  );
}
