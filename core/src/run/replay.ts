import { combineReadings, decide } from '../gauge/index.ts';
import { readDialNumber } from '../lathe/index.ts';
import { middleMm } from '../limit/index.ts';
import { readTyped } from '../quantity/index.ts';
import type { RunEvent } from './event.ts';
import type { FrozenRun } from './frozen.ts';
import { crossMove } from './next-move.ts';
import { orderEvents } from './order.ts';
import { currentStep, type Reading, type RunState, startState } from './state.ts';
import type { Step } from './step.ts';

type Draft = { -readonly [K in keyof RunState]: RunState[K] };

/** Result of the readings on a measuring step in its present round; undefined while there is none. */
export function measured(run: FrozenRun, state: RunState, step: Step) {
  const round = state.rounds[step.id] ?? 0;
  const readings = state.readings.filter((r) => r.stepId === step.id && r.round === round);
  if (readings.length === 0 || !step.limits) return undefined;
  const uncertaintyMm = Math.max(
    ...readings.map((r) => run.instruments.find((i) => i.id === r.instrumentId)?.uncertaintyMm ?? 0),
  );
  const combined = combineReadings(
    readings.map((r) => r.mm),
    uncertaintyMm,
  );
  return { readings, combined, decision: decide(combined.meanMm, combined.uncertaintyMm, step.limits) };
}

/** The last cut and what it sprang, for the next one on the same feature. */
export function lastSpring(state: RunState) {
  const spring = state.springs.at(-1);
  return spring && state.lastCut ? { cut: state.lastCut, spring } : undefined;
}

function advance(draft: Draft, event: RunEvent, step: Step): void {
  draft.advances = [...draft.advances, event.id];
  draft.stepIndex += 1;
  draft.again = undefined;
  if (step.setting) draft.standing = { ...draft.standing, ...step.setting.speedAt, ...step.setting.feedAt };
  if (step.toolId) draft.toolId = step.toolId;
}

function cutDone(run: FrozenRun, draft: Draft, step: Step): void {
  if (step.targetMm === undefined || !draft.reference) return;
  const last = draft.reference.by === 'measured' ? lastSpring(draft) : undefined;
  const move = crossMove(run.lathe, draft.reference, draft.crossLines ?? draft.reference.lines, step.targetMm, {
    last,
    lowestMm: step.limits?.lowerMm,
  });
  draft.crossLines = move.toLines;
  draft.lastCut = {
    featureId: step.featureId,
    dialMm: move.dialMm,
    depthMm: ((step.fromMm ?? step.targetMm) - step.targetMm) / 2,
  };
}

/** A measured size makes the ring's number worth a diameter, and shows what the last cut sprang. */
function takeMeasurement(run: FrozenRun, draft: Draft, step: Step): boolean {
  const result = measured(run, draft, step);
  if (!result) return false;
  if (draft.lastCut && draft.lastCut.featureId === step.featureId && draft.crossLines !== undefined) {
    draft.springs = [
      ...draft.springs,
      { askedMm: draft.lastCut.dialMm, gotMm: result.combined.meanMm, depthMm: draft.lastCut.depthMm },
    ];
    draft.reference = { lines: draft.crossLines, diameterMm: result.combined.meanMm, by: 'measured' };
  }
  return true;
}

function apply(run: FrozenRun, state: RunState, event: RunEvent): RunState {
  const draft: Draft = { ...state };
  const step = currentStep(run.steps, state);
  const ignore = (): RunState => ({ ...state, ignored: state.ignored + 1 });
  if (event.kind === 'note')
    return { ...state, notes: [...state.notes, { stepId: event.stepId, text: event.text, at: event.at }] };
  if (event.kind === 'corrected') return correct(state, event.readingId, event.raw, ignore);
  if (state.ended) return ignore();
  if (event.kind === 'ended')
    return {
      ...state,
      advances: [...state.advances, event.id],
      ended: { outcome: event.outcome, reason: event.reason, at: event.at },
    };
  if (event.kind === 'undone' || !step || event.stepId !== step.id) return ignore();
  switch (event.kind) {
    case 'touchedOff': {
      const diameter = readTyped(event.diameter);
      const cross = readDialNumber(run.lathe.slides.crossSlide, event.crossNumber);
      const carriage = run.lathe.slides.carriage;
      const end = carriage.means === 'dial' ? readDialNumber(carriage, event.endNumber) : undefined;
      if (step.kind !== 'touchOff' || !diameter.ok || !cross.ok || (end && !end.ok)) return ignore();
      draft.reference = { lines: cross.lines, diameterMm: diameter.mm.valueOf(), by: 'touchOff' };
      draft.crossLines = cross.lines;
      draft.endLines = end?.ok ? end.lines : undefined;
      advance(draft, event, step);
      return draft;
    }
    case 'reading':
      return takeReading(state, step, event, ignore);
    case 'cutAgain': {
      const result = measured(run, state, step);
      if (step.kind !== 'measure' || !result || !step.limits || !takeMeasurement(run, draft, step)) return ignore();
      draft.again = { measureStepId: step.id, targetMm: middleMm(step.limits), fromMm: result.combined.meanMm };
      draft.advances = [...state.advances, event.id];
      return draft;
    }
    case 'done': {
      if (state.again) {
        cutDone(run, draft, step);
        const measureId = state.again.measureStepId;
        draft.again = undefined;
        draft.rounds = { ...state.rounds, [measureId]: (state.rounds[measureId] ?? 0) + 1 };
        draft.advances = [...state.advances, event.id];
        return draft;
      }
      if (step.kind === 'touchOff') return ignore();
      if (step.kind === 'measure') {
        const result = measured(run, state, step);
        if (!result || !takeMeasurement(run, draft, step)) return ignore();
        if (step.last && step.featureId)
          draft.outcomes = [
            ...state.outcomes,
            {
              featureId: step.featureId,
              stepId: step.id,
              sizeMm: result.combined.meanMm,
              uncertaintyMm: result.combined.uncertaintyMm,
              decision: result.decision,
            },
          ];
      }
      if (step.passNumber !== undefined) cutDone(run, draft, step);
      advance(draft, event, step);
      return draft;
    }
  }
}

function takeReading(
  state: RunState,
  step: Step,
  event: Extract<RunEvent, { kind: 'reading' }>,
  ignore: () => RunState,
): RunState {
  const read = readTyped(event.raw);
  if (step.kind !== 'measure' || !read.ok || !step.featureId) return ignore();
  const reading: Reading = {
    eventId: event.id,
    stepId: step.id,
    round: state.rounds[step.id] ?? 0,
    featureId: step.featureId,
    mm: read.mm.valueOf(),
    text: event.raw.text,
    unit: event.raw.unit,
    instrumentId: event.instrumentId,
    place: event.place,
    at: event.at,
    was: [],
  };
  return { ...state, readings: [...state.readings, reading] };
}

function correct(
  state: RunState,
  readingId: string,
  raw: { text: string; unit: 'mm' | 'in' },
  ignore: () => RunState,
): RunState {
  const read = readTyped(raw);
  if (!read.ok || !state.readings.some((r) => r.eventId === readingId)) return ignore();
  return {
    ...state,
    readings: state.readings.map((r) =>
      r.eventId === readingId
        ? { ...r, mm: read.mm.valueOf(), text: raw.text, unit: raw.unit, was: [...r.was, r.text] }
        : r,
    ),
  };
}

/**
 * Where a run stands after its events, whatever order they arrived in. Pure: the same plan and events give the same state.
 * @param events parsed events of one run; doubles count once, undone ones not at all
 */
export function replay(run: FrozenRun, events: readonly RunEvent[]): RunState {
  const ordered = orderEvents(events);
  const undone = new Set(ordered.flatMap((event) => (event.kind === 'undone' ? [event.eventId] : [])));
  let state = startState;
  for (const event of ordered) if (event.kind !== 'undone' && !undone.has(event.id)) state = apply(run, state, event);
  return state;
}
