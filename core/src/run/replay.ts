import { combineReadings, decide } from '../gauge/index.ts';
import { readDialNumber } from '../lathe/index.ts';
import { middleMm } from '../limit/index.ts';
import { plainMm, readTyped, type TypedLength } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import type { RunEvent } from './event.ts';
import type { FrozenRun } from './frozen.ts';
import { besidesAfter, standNeeded } from './needs.ts';
import { crossMove } from './next-move.ts';
import { orderEvents } from './order.ts';
import { currentStep, type Reading, type RunState, startState } from './state.ts';
import type { Step } from './step.ts';

/** The state while it is being replayed: its own, so that ten thousand events need no ten thousand copies. */
type Draft = { -readonly [K in keyof RunState]: RunState[K] extends readonly (infer T)[] ? T[] : RunState[K] };

/** Result of the readings on a measuring step in its present round; undefined while there is none. */
export function measured(run: FrozenRun, state: RunState, step: Step, record?: Recorder) {
  const round = state.rounds[step.id] ?? 0;
  const readings = state.readings.filter((r) => r.stepId === step.id && r.round === round);
  if (readings.length === 0 || !step.limits) return undefined;
  const uncertaintyMm = Math.max(
    ...readings.map((r) => run.instruments.find((i) => i.id === r.instrumentId)?.uncertaintyMm ?? 0),
  );
  const combined = combineReadings(
    readings.map((r) => r.mm),
    uncertaintyMm,
    record,
  );
  return { readings, combined, decision: decide(combined.meanMm, combined.uncertaintyMm, step.limits, record) };
}

/** Tells how a size that was measured at a step, and its verdict, came about. */
export function explainSize(run: FrozenRun, state: RunState, stepId: string, record: Recorder): void {
  const step = run.steps.find((s) => s.id === stepId);
  if (step) measured(run, state, step, record);
}

/** The last cut and what it sprang, for the next one on the same feature. */
export function lastSpring(state: RunState) {
  const spring = state.springs.at(-1);
  return spring && state.lastCut ? { cut: state.lastCut, spring } : undefined;
}

function advance(run: FrozenRun, draft: Draft, event: RunEvent, step: Step): void {
  draft.advances.push(event.id);
  draft.stepIndex += 1;
  draft.again = undefined;
  if (step.setting) draft.standing = { ...draft.standing, ...step.setting.speedAt, ...step.setting.feedAt };
  if (step.toolId) draft.toolId = step.toolId;
  draft.besides = besidesAfter(draft.besides, standNeeded(run, step));
}

function cutDone(run: FrozenRun, draft: Draft, step: Step): void {
  if (step.targetMm === undefined || !draft.reference) return;
  const last = draft.reference.by === 'measured' ? lastSpring(draft) : undefined;
  const nowLines = draft.crossLines ?? draft.reference.lines;
  const depthMm = ((step.fromMm ?? step.targetMm) - step.targetMm) / 2;
  const move = crossMove(run.lathe, draft.reference, nowLines, step.targetMm, {
    last,
    lowestMm: step.limits?.lowerMm,
    passDepthMm: depthMm,
  });
  draft.crossLines = move.toLines;
  draft.lastCut = { featureId: step.featureId, dialMm: move.dialMm, depthMm };
}

/** A measured size makes the ring's number worth a diameter, and shows what the last cut sprang. */
function takeMeasurement(draft: Draft, step: Step, sizeMm: number): void {
  if (!draft.lastCut || draft.lastCut.featureId !== step.featureId || draft.crossLines === undefined) return;
  draft.springs.push({ askedMm: draft.lastCut.dialMm, gotMm: sizeMm, depthMm: draft.lastCut.depthMm });
  draft.reference = { lines: draft.crossLines, diameterMm: sizeMm, by: 'measured' };
}

type Of<K extends RunEvent['kind']> = Extract<RunEvent, { kind: K }>;

function touchOff(run: FrozenRun, draft: Draft, step: Step, event: Of<'touchedOff'>): boolean {
  const diameter = readTyped(event.diameter);
  const cross = readDialNumber(run.lathe.slides.crossSlide, event.crossNumber);
  const { carriage } = run.lathe.slides;
  const end = carriage.means === 'dial' ? readDialNumber(carriage, event.endNumber) : undefined;
  if (step.kind !== 'touchOff' || !diameter.ok || !cross.ok || (end && !end.ok)) return false;
  draft.reference = { lines: cross.lines, diameterMm: diameter.mm.valueOf(), by: 'touchOff' };
  draft.crossLines = cross.lines;
  draft.endLines = end?.ok ? end.lines : undefined;
  // what the tool before had sprung says nothing of this one
  draft.lastCut = undefined;
  advance(run, draft, event, step);
  return true;
}

/** Millimetres of a reading as typed, by the lean path where it can be; undefined when it is no length. */
function sizeOf(raw: TypedLength): number | undefined {
  const plain = plainMm(raw);
  if (plain !== undefined) return plain;
  const read = readTyped(raw);
  return read.ok ? read.mm.valueOf() : undefined;
}

function takeReading(draft: Draft, step: Step, event: Of<'reading'>): boolean {
  // between planned measurements a size may be taken at any time once the dial is known: it belongs to the last cut
  const planned = step.kind === 'measure';
  const featureId = planned ? step.featureId : (draft.lastCut?.featureId ?? step.featureId);
  const mm = sizeOf(event.raw);
  if (mm === undefined || !featureId || (!planned && draft.crossLines === undefined)) return false;
  const reading: Reading = {
    eventId: event.id,
    stepId: step.id,
    round: draft.rounds[step.id] ?? 0,
    featureId,
    mm,
    text: event.raw.text,
    unit: event.raw.unit,
    instrumentId: event.instrumentId,
    place: event.place,
    at: event.at,
    was: [],
  };
  draft.readings.push(reading);
  if (!planned) {
    if (draft.lastCut) draft.springs.push({ askedMm: draft.lastCut.dialMm, gotMm: mm, depthMm: draft.lastCut.depthMm });
    draft.reference = { lines: draft.crossLines ?? 0, diameterMm: mm, by: 'measured' };
    draft.advances.push(event.id);
  }
  return true;
}

function correct(draft: Draft, event: Of<'corrected'>): boolean {
  const read = readTyped(event.raw);
  const at = draft.readings.findIndex((r) => r.eventId === event.readingId);
  const old = draft.readings[at];
  if (!read.ok || !old) return false;
  draft.readings[at] = {
    ...old,
    mm: read.mm.valueOf(),
    text: event.raw.text,
    unit: event.raw.unit,
    was: [...old.was, old.text],
  };
  return true;
}

function cutAgain(run: FrozenRun, draft: Draft, step: Step, event: RunEvent): boolean {
  const result = step.kind === 'measure' ? measured(run, draft, step) : undefined;
  if (!result || !step.limits) return false;
  takeMeasurement(draft, step, result.combined.meanMm);
  draft.again = { measureStepId: step.id, targetMm: middleMm(step.limits), fromMm: result.combined.meanMm };
  draft.advances.push(event.id);
  return true;
}

function done(run: FrozenRun, draft: Draft, step: Step, event: RunEvent): boolean {
  if (draft.again) {
    cutDone(run, draft, step);
    const { measureStepId } = draft.again;
    draft.again = undefined;
    draft.rounds = { ...draft.rounds, [measureStepId]: (draft.rounds[measureStepId] ?? 0) + 1 };
    draft.advances.push(event.id);
    return true;
  }
  if (step.kind === 'touchOff') return false;
  if (step.kind === 'measure') {
    const result = measured(run, draft, step);
    if (!result) return false;
    const { combined, decision } = result;
    takeMeasurement(draft, step, combined.meanMm);
    if (step.last && step.featureId)
      draft.outcomes.push({
        featureId: step.featureId,
        stepId: step.id,
        sizeMm: combined.meanMm,
        uncertaintyMm: combined.uncertaintyMm,
        decision,
      });
  }
  if (step.passNumber !== undefined) cutDone(run, draft, step);
  advance(run, draft, event, step);
  return true;
}

/** Applies one event; false when it does not belong where the run stands. */
function apply(run: FrozenRun, draft: Draft, event: RunEvent): boolean {
  if (event.kind === 'note') {
    draft.notes.push({ stepId: event.stepId, text: event.text, at: event.at });
    return true;
  }
  if (event.kind === 'corrected') return correct(draft, event);
  if (event.kind === 'stands') {
    const known = Object.entries({ ...draft.standing, ...event.positions }).filter(([, position]) => position !== '');
    draft.standing = Object.fromEntries(known);
    draft.besides = besidesAfter(draft.besides, event.besides ?? {});
    return true;
  }
  if (draft.ended) return false;
  if (event.kind === 'ended') {
    draft.advances.push(event.id);
    draft.ended = { outcome: event.outcome, reason: event.reason, at: event.at };
    return true;
  }
  const step = currentStep(run.steps, draft);
  if (event.kind === 'undone' || !step || event.stepId !== step.id) return false;
  if (event.kind === 'touchedOff') return touchOff(run, draft, step, event);
  if (event.kind === 'reading') return takeReading(draft, step, event);
  return event.kind === 'cutAgain' ? cutAgain(run, draft, step, event) : done(run, draft, step, event);
}

/**
 * Where a run stands after its events, whatever order they arrived in. The same plan and events give the same state.
 * @param events parsed events of one run; doubles count once, undone ones not at all
 */
export function replay(run: FrozenRun, events: readonly RunEvent[]): RunState {
  const ordered = orderEvents(events);
  const undone = new Set<string>();
  for (const event of ordered) if (event.kind === 'undone') undone.add(event.eventId);
  const draft = startState(run.stand) as Draft;
  for (const event of ordered)
    if (event.kind !== 'undone' && !undone.has(event.id) && !apply(run, draft, event)) draft.ignored += 1;
  return draft;
}
