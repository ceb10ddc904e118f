import { type Doubt, doubtReading, uncertaintyOf } from '../gauge/index.ts';
import { depthRing, dialScale } from '../lathe/index.ts';
import { insides, outsides } from '../part/index.ts';
import type { Recorder } from '../working/index.ts';
import type { FrozenRun } from './frozen.ts';
import { checkCut, STILL_HOLDS_MM } from './living.ts';
import { metalOn } from './move/next.ts';
import { sideOf } from './side-of.ts';
import type { Reading, RunState } from './state.ts';
import type { Step } from './step.ts';
import { stockOf } from './stock-of.ts';
import { coneIn, coneSign } from './taper.ts';
import { lastProof, UNPROVED_PER_LENGTH } from './taper-reading.ts';

/** What the dial lets expect of a size, and how far touch, spring, hand and warmth can put it out, mm on the diameter. */
export interface Expected {
  readonly mm: number;
  readonly boundMm: number;
}

/** Allowed beside what is reckoned: a warm piece, a hand that sets a little wide. */
const BESIDES_MM = 0.03;
/** A first short cut takes so much off the bar, mm on the diameter, as far as may be. */
const FIRST_CUT_MM = 2.5;

/** What a measurement of a length should find; undefined where the dial is not known yet. */
export function expectedOf(run: FrozenRun, state: RunState, featureId: string | undefined): Expected | undefined {
  if (featureId === undefined || state.crossLines === undefined) return undefined;
  const { lastCut } = state;
  if (lastCut?.featureId === featureId) {
    const { smallestMm, largestMm } = lastCut.told;
    // a deep cut springs far to one side and not at all to the other: the middle of what it may come to, not the number it was told
    return { mm: (smallestMm + largestMm) / 2, boundMm: (largestMm - smallestMm) / 2 + BESIDES_MM };
  }
  const metal = metalOn(run, state, featureId);
  return { mm: metal.diameterMm, boundMm: metal.doubtMm + BESIDES_MM };
}

/** What is expected of a diameter at touching off: the bar less a light cut, or the length roughed last. */
export function expectedTouch(run: FrozenRun, state: RunState, step: Step): Expected {
  // by the numbers of the piece before it is known more nearly
  const check = checkCut(run, state, step);
  if (check) return { mm: check.diameterMm, boundMm: STILL_HOLDS_MM };
  if (step.targetMm === undefined) return { mm: stockOf(run) - FIRST_CUT_MM / 2, boundMm: FIRST_CUT_MM / 2 + 0.3 };
  const metal = state.metal[step.featureId ?? ''];
  return metal ? { mm: metal.diameterMm, boundMm: metal.doubtMm + BESIDES_MM } : { mm: step.targetMm, boundMm: 0.3 };
}

/** Compares a size as typed with what is expected. */
export function doubtOf(
  run: FrozenRun,
  state: RunState,
  read: { readonly mm: number; readonly text: string; readonly unit: 'mm' | 'in' },
  expected: Expected | undefined,
  instrumentId: string | undefined,
  featureId: string | undefined,
  record?: Recorder,
): Doubt {
  if (!expected) return { kind: 'believed' };
  const crossSlide = depthRing(run.means.lathe);
  const turnMm = 2 * dialScale(crossSlide).lineTravelMm.mul(crossSlide.divisions).valueOf();
  const { part } = run.piece;
  const rounds = sideOf(run, featureId) === 'inside' ? insides(part) : outsides(part);
  const others = rounds
    .filter((f) => f.id !== featureId && state.metal[f.id] !== undefined)
    .map((f) => ({ name: f.name, mm: state.metal[f.id]!.diameterMm }));
  const boundMm = expected.boundMm + uncertaintyOf(run.means.instruments, instrumentId);
  return doubtReading(read, expected.mm, boundMm, turnMm, others, record);
}

/** What a cone should be at a station, from what it is expected to be at its tail end, by its slope as it is known. */
export function atStation(
  run: FrozenRun,
  state: Pick<RunState, 'proofs'>,
  { featureId, stationMm = 0 }: Pick<Reading, 'featureId' | 'stationMm'>,
  { mm, boundMm }: Expected,
): Expected {
  const cone = coneIn(run, featureId);
  if (!cone) return { mm, boundMm };
  const proof = lastProof(state, featureId);
  const doubtMm = stationMm * (proof?.doubtPerLength ?? UNPROVED_PER_LENGTH);
  return {
    mm: mm + coneSign(run, featureId) * (proof?.perLength ?? cone.perLength) * stationMm,
    boundMm: boundMm + doubtMm,
  };
}

/** Doubt of a reading that was taken; one that was looked at again is believed. */
export function doubtOfReading(run: FrozenRun, state: RunState, reading: Reading): Doubt {
  if (reading.lookedAgain || reading.setAside || reading.feel !== undefined) return { kind: 'believed' };
  const expected = expectedOf(run, state, reading.featureId);
  if (reading.standOff) return { kind: 'believed' };
  if (reading.stationMm !== undefined && expected) {
    const at = atStation(run, state, reading, expected);
    return doubtOf(run, state, reading, at, reading.instrumentId, reading.featureId);
  }
  return doubtOf(run, state, reading, expected, reading.instrumentId, reading.featureId);
}

/** The doubt of a reading that has not been answered; undefined where it is believed. */
export function doubted(
  run: FrozenRun,
  state: RunState,
  reading: Reading,
): Extract<Doubt, { kind: 'doubted' }> | undefined {
  const doubt = doubtOfReading(run, state, reading);
  return doubt.kind === 'doubted' ? doubt : undefined;
}
