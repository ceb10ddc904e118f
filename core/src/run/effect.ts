import { adviseStep } from './advice.ts';
import type { RunEvent } from './event.ts';
import type { FrozenRun } from './frozen.ts';
import { replay } from './replay.ts';

/** What a corrected reading, or one taken back, changes. Sizes in mm on the diameter. */
export interface Effect {
  /** number on the ring for the cut now, before and after */
  readonly number?: { readonly was: string; readonly is: string };
  /** lengths that were cut since and stand otherwise than believed */
  readonly lengths: readonly { readonly featureId: string; readonly wasMm: number; readonly isMm: number }[];
  /** finished sizes that were judged otherwise */
  readonly verdicts: readonly { readonly featureId: string; readonly was: string; readonly is: string }[];
}

const EPS_MM = 5e-5;

/**
 * What an event that changes a reading brought about: the run with it beside the run without it.
 * @returns undefined when nothing that matters has changed
 */
export function effectOf(run: FrozenRun, events: readonly RunEvent[], eventId: string): Effect | undefined {
  const before = replay(
    run,
    events.filter((event) => event.id !== eventId),
  );
  const after = replay(run, events);
  const numberOf = (state: typeof after) => {
    const advice = adviseStep(run, state);
    const move = advice?.move ?? advice?.next;
    return move?.kind === 'move' ? move.hands.number : undefined;
  };
  const [was, is] = [numberOf(before), numberOf(after)];
  const lengths = Object.entries(after.metal).flatMap(([featureId, metal]) => {
    const old = before.metal[featureId];
    return old && Math.abs(old.diameterMm - metal.diameterMm) > EPS_MM
      ? [{ featureId, wasMm: old.diameterMm, isMm: metal.diameterMm }]
      : [];
  });
  const verdicts = after.outcomes.flatMap((outcome) => {
    const old = before.outcomes.find((o) => o.stepId === outcome.stepId);
    return old && old.decision.verdict !== outcome.decision.verdict
      ? [{ featureId: outcome.featureId, was: old.decision.verdict, is: outcome.decision.verdict }]
      : [];
  });
  const number = was !== undefined && is !== undefined && was !== is ? { was, is } : undefined;
  return number || lengths.length > 0 || verdicts.length > 0 ? { number, lengths, verdicts } : undefined;
}
