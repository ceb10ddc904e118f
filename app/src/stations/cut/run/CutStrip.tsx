import { stripPicture, turnedBefore } from '@whelk/core/picture';
import type { FrozenRun, Move, RunState, Step } from '@whelk/core/run';
import { PictureView } from '../../../ui/strip/PictureView.tsx';
import { useWidth } from '../../../ui/useWidth.ts';
import { CutPlaceView } from './CutPlaceView.tsx';

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
  const end = frozen.part.lengthMm;
  const cuts = frozen.steps.slice(0, state.stepIndex).filter((s) => s.passNumber !== undefined);
  const centred = frozen.steps.slice(0, state.stepIndex).some((s) => s.kind === 'centre');
  const faced = frozen.steps.slice(0, state.stepIndex).some((s) => s.kind === 'face');
  const before = turnedBefore(frozen.part, frozen.again?.worked.doneIds ?? [], frozen.rough);
  const endOf = (s: Step) => frozen.plan.operations.find((o) => o.id === s.operationId)?.zToMm ?? end;
  const turned = cuts.map((s) => ({ zFromMm: s.zStopMm ?? 0, zToMm: endOf(s), diameterMm: s.targetMm ?? 0 }));
  const cut =
    step?.fromMm !== undefined && step.targetMm !== undefined && step.zStopMm !== undefined
      ? { zFromMm: step.zStopMm, zToMm: endOf(step), beforeMm: step.fromMm, afterMm: step.targetMm }
      : undefined;
  const stopMm = step?.zStopMm ?? end;
  const beyondMm =
    [...before, ...turned].findLast((t) => t.zFromMm < stopMm - 1e-6 && stopMm - 1e-6 < t.zToMm)?.diameterMm ??
    frozen.stockMm;
  const picture = stripPicture(frozen.part, {
    width,
    height: 150,
    textSize: 14,
    labels: [],
    overall: '',
    selectedId:
      step?.kind === 'measure' || step?.kind === 'chamfer' || step?.kind === 'shoulder' ? step.featureId : undefined,
    stockMm: frozen.stockMm,
    // the centre is drawn from when it has been brought up
    holding:
      centred || frozen.plan.holding.method !== 'chuckAndCentre'
        ? frozen.plan.holding
        : { ...frozen.plan.holding, method: 'chuck' },
    turned: [...before, ...turned],
    faced: faced || turned.length > 0,
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
