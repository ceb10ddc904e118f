import {
  believedSpring,
  missMm,
  type Sign,
  SPRING_BOUND_FACTOR,
  type SpringShare,
  shownSpring,
} from '../../mechanics/index.ts';
import type { FrozenRun } from '../frozen.ts';
import type { MeasuredCut, RunState, SpringSample } from '../state.ts';
import type { Step } from '../step.ts';

/** Reckoned where a step does not say: a light lathe on ordinary work. */
export const UNKNOWN_SHARE = 0.08;
/** What was learned on another day or piece counts for less: the edge has worn, the tool was set anew. */
const OTHER_RUN_FACTOR = 1.5;

/** Share by which a step is reckoned to spring. */
export const reckonedShare = (step: Pick<Step, 'springShare'>): number => step.springShare ?? UNKNOWN_SHARE;

/**
 * What is believed of a tool's spring, as a share of what is reckoned: from what its cuts showed here and in earlier runs, within
 * 0 and the bound.
 */
export function believedOf(run: FrozenRun, state: RunState, toolId: string | undefined): SpringShare {
  const forgotten = toolId !== undefined && state.forgotten.includes(toolId);
  const known = forgotten
    ? []
    : run.known
        .filter((s) => s.toolId === toolId)
        .map((s) => ({ ...s, uncertaintyShare: s.uncertaintyShare * OTHER_RUN_FACTOR }));
  return believedSpring([...known, ...state.samples.filter((s) => s.toolId === toolId)], SPRING_BOUND_FACTOR);
}

/** The belief at a place where `reckoned` is expected of the depth. */
export const springAt = (belief: SpringShare, reckoned: number): SpringShare => ({
  lowShare: belief.lowShare * reckoned,
  bestShare: belief.bestShare * reckoned,
  highShare: belief.highShare * reckoned,
  count: belief.count,
});

/** What a cut just measured shows together with the one measured before it; undefined when both were about equally deep. */
export function sampleOf(sign: Sign, before: MeasuredCut, now: MeasuredCut, toolId: string): SpringSample | undefined {
  const reckoned = (before.springShare + now.springShare) / 2;
  const shown = shownSpring(
    missMm(sign, before.placeMm, before.diameterMm / 2),
    missMm(sign, now.placeMm, now.diameterMm / 2),
    before.depthMm,
    now.depthMm,
    Math.max(before.setMm, now.setMm),
    Math.max(before.uncertaintyMm, now.uncertaintyMm) / 4,
  );
  if (!shown || reckoned <= 0) return undefined;
  return { toolId, share: shown.share / reckoned, uncertaintyShare: shown.uncertaintyShare / reckoned };
}
