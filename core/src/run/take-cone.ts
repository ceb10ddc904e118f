import { depthRing, readDialNumber } from '../lathe/index.ts';
import type { RunEvent } from './event.ts';
import type { FrozenRun } from './frozen.ts';
import { measured } from './measured.ts';
import { ringsOf } from './move/next.ts';
import type { Step } from './step.ts';
import type { Draft } from './take-size.ts';
import { coneAt, coneSign } from './taper.ts';
import { cleaningAfter } from './taper-reading.ts';

/** What the stations of a cone showed stays known: a later size of one place goes by it. */
export function keepProof(run: FrozenRun, draft: Draft, step: Step, at: string, movedMm?: number): void {
  const cone = measured(run, draft, step)?.cone;
  if (!cone?.fit || step.featureId === undefined) return;
  const { doubtPerLength } = cone;
  const perLength = movedMm === undefined ? cone.perLength : (cone.cleaning?.perLength ?? cone.perLength);
  draft.proofs.push({
    ...{ featureId: step.featureId, stepId: step.id, perLength, doubtPerLength, at },
    ...(movedMm === undefined ? {} : { movedMm }),
  });
}

/** The setting was moved: the old touch is worth nothing, the tool stands where it touches the cone now, and cleans it next. */
export function taperMoved(
  run: FrozenRun,
  draft: Draft,
  step: Step,
  event: Extract<RunEvent, { kind: 'taperMoved' }>,
): boolean {
  const asked = coneAt(step);
  const fit = measured(run, draft, step)?.cone?.fit;
  const cross = readDialNumber(depthRing(run.means.lathe), event.crossNumber);
  if (!asked || !fit || step.featureId === undefined || !cross.ok) return false;
  const cleaning = cleaningAfter(step, asked, fit, coneSign(run, step.featureId), event.moveMm);
  if (!cleaning.room) return false;
  keepProof(run, draft, step, event.at, event.moveMm);
  draft.crossLines = cross.lines;
  draft.compoundLines = undefined;
  draft.reference = {
    ...{ rings: ringsOf(draft), diameterMm: cleaning.touchMm, depthMm: 0, by: 'touchOff', uncertaintyMm: TOUCHED_MM },
  };
  draft.metal = {
    ...draft.metal,
    [step.featureId]: { diameterMm: cleaning.touchMm, doubtMm: TOUCHED_MM, by: 'expected' },
  };
  draft.lastCut = undefined;
  draft.cuts = [];
  draft.extra = { kind: 'cut', stepId: step.id, fromMm: cleaning.touchMm, toMm: cleaning.toMm };
  draft.advances.push(event.id);
  return true;
}
/** How surely a tool that just touches a turned cone stands at it, mm on the diameter. */
const TOUCHED_MM = 0.03;

/** What was set for a cone, or put back, moved the tool or the work: no number of before tells where it stands, not for the next piece either. */
export function forgetPlace(draft: Draft): void {
  draft.reference = undefined;
  draft.lastCut = undefined;
  draft.cuts = [];
  draft.living = {};
}
