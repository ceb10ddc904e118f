import { signOf } from '../gauge/index.ts';
import { depthRing, dialNumber, finenessOf } from '../lathe/index.ts';
import type { FrozenRun } from './frozen.ts';
import { type Hands, handsTo, placeOf, ringNumber } from './move/hands.ts';
import { sideOf } from './side-of.ts';
import type { LivingReference, RunState } from './state.ts';
import type { Step } from './step.ts';
import { stockOf } from './stock-of.ts';

/** A first short cut, set by the numbers of the piece before, that shows whether they still hold. */
export interface CheckCut {
  readonly hands: Hands;
  /** diameter it should come to, and number that the ring then stands at */
  readonly diameterMm: number;
  readonly number: string;
  readonly endNumber?: string;
}

/** Off the bar in the first short cut, mm on the diameter. */
const LIGHT_MM = 0.4;
/** The numbers of the piece before are believed when the short cut comes out so near to them, mm on the diameter. */
export const STILL_HOLDS_MM = 0.1;

/** The references of all tools as a piece leaves them, for the next one of the batch. */
export function livingAfter(state: RunState): readonly LivingReference[] {
  return Object.values(state.living).map((living) => ({
    ...living,
    ...(state.crossLines === undefined ? {} : { crossLines: state.crossLines }),
  }));
}

/**
 * The check cut of a touching-off step, where the tool's numbers live on from the piece before; undefined where they do not.
 * @returns the number for a light cut on the bar, or for just touching the length that was roughed
 */
export function checkCut(run: FrozenRun, state: RunState, step: Step): CheckCut | undefined {
  const living = run.living.find((l) => l.toolId === step.toolId);
  if (!living || step.kind !== 'touchOff' || step.compoundDeg !== undefined) return undefined;
  const { rings, diameterMm } = living.reference;
  const fineness = finenessOf(run.means.lathe, 'lines');
  const metal = state.metal[step.featureId ?? ''];
  const sign = signOf(sideOf(run, step.featureId));
  const wantedMm = step.targetMm === undefined ? stockOf(run) - LIGHT_MM : (metal?.diameterMm ?? step.targetMm);
  const place = placeOf(run.means.lathe, rings) + (wantedMm - diameterMm) / 2;
  const zero = placeOf(run.means.lathe, { ...rings, crossSlide: 0 });
  const perLine = placeOf(run.means.lathe, { ...rings, crossSlide: 1 }) - zero;
  const lines = Math.round((place - zero) / perLine / fineness.everyLines) * fineness.everyLines;
  const from = state.crossLines ?? living.crossLines ?? rings.crossSlide;
  const { carriage } = run.means.lathe.slides;
  return {
    hands: handsTo(run.means.lathe, 'crossSlide', from, lines, sign),
    diameterMm:
      diameterMm + 2 * (placeOf(run.means.lathe, { ...rings, crossSlide: lines }) - placeOf(run.means.lathe, rings)),
    number: ringNumber(depthRing(run.means.lathe), lines),
    ...(living.endLines === undefined || carriage.means !== 'dial'
      ? {}
      : { endNumber: dialNumber(carriage, living.endLines) }),
  };
}
