import type { RunEvent } from './event.ts';
import type { FrozenRun } from './frozen.ts';
import { measured } from './measured.ts';
import { metalOn } from './move/next.ts';
import type { Metal } from './state.ts';
import { actOf, type Step } from './step.ts';
import type { Draft } from './take-size.ts';

/** Most that file or emery takes off a diameter, mm. */
const BY_HAND_MM = 0.05;

/** File or emery took off what the edge could not: the rings keep their worth, the metal is read anew. */
export function byHand(
  run: FrozenRun,
  draft: Draft,
  step: Step,
  event: Extract<RunEvent, { kind: 'byHand' }>,
): boolean {
  if (actOf(step) !== 'measure' || !step.last || !step.featureId) return false;
  const before = measured(run, draft, step)?.combined.guardMm ?? metalOn(run, draft, step.featureId).diameterMm;
  const metal: Metal = { diameterMm: before, doubtMm: BY_HAND_MM, by: 'expected' };
  draft.metal = { ...draft.metal, [step.featureId]: metal };
  draft.lastCut = undefined;
  draft.rounds = { ...draft.rounds, [step.id]: (draft.rounds[step.id] ?? 0) + 1 };
  draft.advances.push(event.id);
  return true;
}
