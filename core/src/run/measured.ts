import {
  combineFelt,
  combineReadings,
  type Decision,
  type Doubt,
  decideBetween,
  type Felt,
  isLimitGauge,
  limitsTold,
} from '../gauge/index.ts';
import type { Recorder } from '../working/index.ts';
import { doubtOfReading, expectedOf } from './expect.ts';
import type { FrozenRun } from './frozen.ts';
import { sideOf } from './side-of.ts';
import type { Reading, RunState } from './state.ts';
import type { Step } from './step.ts';
import { type ConeAsked, coneAt } from './taper.ts';
import { type ConeFound, coneRead } from './taper-reading.ts';
import { uncertaintyOfReading } from './thread-reading.ts';

/** What a measuring step has found in its present round. */
export interface Measured {
  /** all that were taken, those set aside too */
  readonly all: readonly Reading[];
  readonly readings: readonly Reading[];
  readonly combined: ReturnType<typeof combineReadings>;
  /** none where the step has no limits, as a trial cut while roughing */
  readonly decision?: Decision;
  /** of a cone: its slope and what to set next */
  readonly cone?: ConeFound;
  /** readings that are asked about before they are believed */
  readonly doubts: readonly { readonly reading: Reading; readonly doubt: Extract<Doubt, { kind: 'doubted' }> }[];
}

/** Result of the readings on a measuring step in its present round; undefined while none counts. */
export function measured(run: FrozenRun, state: RunState, step: Step, record?: Recorder): Measured | undefined {
  const round = state.rounds[step.id] ?? 0;
  const all = state.readings.filter((r) => r.stepId === step.id && r.round === round);
  const readings = all.filter((r) => !r.setAside);
  if (readings.length === 0) return undefined;
  const cone = coneAt(step);
  if (cone) return coneMeasured(run, state, step, cone, all, readings, record);
  const sizes = readings.map((r) => ({
    ...{ mm: r.mm, place: r.place, feel: r.feel },
    uncertaintyMm: uncertaintyOfReading(run.means.instruments, r),
  }));
  const cut = sideOf(run, step.featureId);
  const numbers = sizes.filter((s) => s.feel === undefined);
  // a number says more than how a gauge went on
  const expected = expectedOf(run, state, step.featureId);
  const combined =
    numbers.length > 0 ? combineReadings(numbers, record, cut) : combineFelt(sizes as Felt[], expected, record, cut);
  // what go and not-go say is the verdict
  const byLimits =
    step.limits !== undefined &&
    readings.every((r) => run.means.instruments.some((i) => i.id === r.instrumentId && isLimitGauge(i))) &&
    numbers.length === 0 &&
    limitsTold(sizes as Felt[], step.limits);
  const uncertaintyMm = byLimits ? 0 : combined.uncertaintyMm;
  const decision =
    step.limits && decideBetween(combined.smallestMm, combined.largestMm, uncertaintyMm, step.limits, record, cut);
  return { all, readings, combined, decision, doubts: doubtsOf(run, state, readings) };
}

const doubtsOf = (run: FrozenRun, state: RunState, readings: readonly Reading[]): Measured['doubts'] =>
  readings.flatMap((reading) => {
    const doubt = doubtOfReading(run, state, reading);
    return doubt.kind === 'doubted' ? [{ reading, doubt }] : [];
  });

/** A cone read at its stations, or by a ring or plug. */
function coneMeasured(
  run: FrozenRun,
  state: RunState,
  step: Step,
  cone: ConeAsked,
  all: readonly Reading[],
  readings: readonly Reading[],
  record: Recorder | undefined,
): Measured {
  const { combined, found } = coneRead(run, state, step, cone, readings);
  const { smallestMm, largestMm, uncertaintyMm } = combined;
  const cut = sideOf(run, step.featureId);
  const decision = step.limits && decideBetween(smallestMm, largestMm, uncertaintyMm, step.limits, record, cut);
  return {
    all,
    readings,
    combined,
    ...(decision ? { decision } : {}),
    cone: found,
    doubts: doubtsOf(run, state, readings),
  };
}

/** Tells how a size that was measured at a step, and its verdict, came about. */
export function explainSize(run: FrozenRun, state: RunState, stepId: string, record: Recorder): void {
  const step = run.steps.find((s) => s.id === stepId);
  if (step?.limits) measured(run, state, step, record);
}

/** Sizes of a piece as far as they were read: judged ones, and of other lengths the last reading that counts, mm. */
export function sizesRead(state: Pick<RunState, 'outcomes' | 'readings'>): readonly {
  readonly featureId: string;
  readonly sizeMm: number;
  readonly text: string;
  readonly unit: 'mm' | 'in';
}[] {
  const judged = new Set(state.outcomes.map((o) => o.featureId));
  const last = new Map(
    state.readings
      .filter((r) => !r.setAside && !judged.has(r.featureId) && r.stationMm === undefined && !r.standOff)
      .map((r) => [r.featureId, r]),
  );
  return [...last.values()].map(({ featureId, mm, text, unit }) => ({ featureId, sizeMm: mm, text, unit }));
}
