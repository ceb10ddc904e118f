import { type Decision, decide, measures, signOf, tellsNumber, uncertaintyOf } from '../gauge/index.ts';
import { depthRing, readDialNumber } from '../lathe/index.ts';
import { insides, outsides } from '../part/index.ts';
import { PLACE_MM, plainMm, readTyped, type TypedLength } from '../quantity/index.ts';
import { kindOf } from '../route/index.ts';
import { byHand } from './by-hand.ts';
import type { RunEvent, Told, Took } from './event.ts';
import { doubtOf, doubtOfReading, expectedTouch } from './expect.ts';
import type { FrozenRun } from './frozen.ts';
import { type Later, laterOf } from './later.ts';
import { measured } from './measured.ts';
import { metalOn, ringsOf } from './move/next.ts';
import { besidesAfter, standNeeded } from './needs.ts';
import { openedWalls } from './opened.ts';
import { orderEvents } from './order.ts';
import { sideOf } from './side-of.ts';
import { currentStep, type Metal, type Reading, type RunState, startState } from './state.ts';
import { actOf, isPass, type Step } from './step.ts';
import { forgetPlace, keepProof, taperMoved } from './take-cone.ts';
import { type Draft, keepLiving, takeSize } from './take-size.ts';
import { coneIn, overTailMm, taperSetAt } from './taper.ts';
import { acrossOf, isThreadStep } from './thread.ts';
import { sizeOfReading, uncertaintyOfReading } from './thread-reading.ts';

type Of<K extends RunEvent['kind']> = Extract<RunEvent, { kind: K }>;

/** A surface measured within so much of a cut's end belongs to that cut, mm along. */
const SHOULDER_MM = 0.6;

function moveOn(run: FrozenRun, draft: Draft, event: RunEvent, step: Step): void {
  draft.advances.push(event.id);
  draft.stepIndex += 1;
  draft.extra = undefined;
  if (step.setting) draft.standing = { ...draft.standing, ...step.setting.speedAt, ...step.setting.feedAt };
  if (step.toolId) draft.toolId = step.toolId;
  draft.besides = besidesAfter(draft.besides, standNeeded(run, step));
  if (step.kind === 'taperSet' || step.kind === 'taperBack') forgetPlace(draft);
}

/** Turns the rings to what was told. */
function setRings(draft: Draft, told: Told): void {
  if (told.slide === 'compound') draft.compoundLines = told.lines;
  else draft.crossLines = told.lines;
}

function cutDone(run: FrozenRun, draft: Draft, step: Step, told: Told, trial: boolean): void {
  const before = metalOn(run, draft, step.featureId);
  setRings(draft, told);
  draft.lastCut = {
    ...{ featureId: step.featureId, stepId: step.id, told, toolId: step.toolId, springShare: step.springShare },
    ...{ beforeMm: before.diameterMm, beforeDoubtMm: before.doubtMm },
  };
  if (trial) return;
  const { comesToMm, smallestMm, largestMm } = told;
  const doubtMm = Math.max(comesToMm - smallestMm, largestMm - comesToMm);
  const metal: Metal = { diameterMm: comesToMm, doubtMm, by: 'expected' };
  const within = (f: { zFromMm: number; zToMm: number }): boolean =>
    step.zStopMm !== undefined &&
    step.zEndMm !== undefined &&
    f.zFromMm >= step.zStopMm - SHOULDER_MM &&
    f.zToMm <= step.zEndMm + PLACE_MM;
  if (isThreadStep(step)) {
    draft.metal = { ...draft.metal, [step.threadId]: metal };
    return;
  }
  const side = sideOf(run, step.featureId);
  const rounds = side === 'inside' ? insides(run.piece.part) : outsides(run.piece.part);
  // what was opened wider already stays so
  const cuts = (f: { id: string }): boolean =>
    signOf(side) * (metalOn(run, draft, f.id).diameterMm - comesToMm) > 0 || f.id === step.featureId;
  const cut = rounds.filter((f) => f.id === step.featureId || (actOf(step) === 'rough' && within(f) && cuts(f)));
  draft.metal = { ...draft.metal, ...Object.fromEntries(cut.map((f) => [f.id, metal])) };
}

function touchOff(run: FrozenRun, draft: Draft, step: Step, event: Of<'touchedOff'>): boolean {
  const diameter = readTyped(event.diameter);
  const { carriage, compound } = run.means.lathe.slides;
  const cross = readDialNumber(depthRing(run.means.lathe), event.crossNumber);
  const end = carriage.means === 'dial' ? readDialNumber(carriage, event.endNumber) : undefined;
  const fine = event.compoundNumber === undefined ? undefined : readDialNumber(compound, event.compoundNumber);
  if (step.kind !== 'touchOff' || step.inGroove || !diameter.ok || !cross.ok || (end && !end.ok) || (fine && !fine.ok))
    return false;
  const mm = diameter.mm.valueOf();
  const { text, unit } = event.diameter;
  const doubt = doubtOf(run, draft, { mm, text, unit }, expectedTouch(run, draft, step), undefined, step.featureId);
  if (doubt.kind === 'doubted' && !event.lookedAgain) {
    draft.touchDoubted = { eventId: event.id, text, mm };
    return true;
  }
  draft.touchDoubted = undefined;
  const side = sideOf(run, step.featureId);
  const fit = run.means.instruments.filter(
    (i) => measures(i, side) && tellsNumber(i) && i.fromMm <= mm && mm <= i.toMm,
  );
  const best = fit.toSorted((a, b) => a.uncertaintyMm - b.uncertaintyMm)[0];
  const uncertaintyMm = uncertaintyOf(run.means.instruments, best?.id);
  draft.crossLines = cross.lines;
  draft.compoundLines = fine?.ok ? fine.lines : undefined;
  draft.compoundShare = fine?.ok ? acrossOf(step) : undefined;
  draft.endLines = end?.ok ? end.lines : undefined;
  const { overMm = 0, doubtMm = 0 } = step.atCone ?? {};
  draft.reference = {
    ...{ rings: ringsOf(draft), diameterMm: mm, depthMm: 0, uncertaintyMm, by: 'touchOff' },
    ...(doubtMm > 0 ? { placeDoubtMm: doubtMm / 2 } : {}),
  };
  if (!step.atCone) keepLiving(draft, step.toolId, mm);
  // the first short cut is not the length; the second time a roughed length is measured
  if (step.featureId !== undefined)
    draft.metal = {
      ...draft.metal,
      [step.featureId]: { diameterMm: mm + overMm, doubtMm: uncertaintyMm + doubtMm, by: 'measured' },
    };
  // what the tool before had sprung says nothing of this one
  draft.lastCut = undefined;
  draft.cuts = [];
  moveOn(run, draft, event, step);
  return true;
}

/** Millimetres of a reading as typed, by the lean path where it can be; undefined when it is no length. */
function sizeOf(raw: TypedLength): number | undefined {
  const plain = plainMm(raw);
  if (plain !== undefined) return plain;
  const read = readTyped(raw);
  return read.ok ? read.mm.valueOf() : undefined;
}

function takeReading(run: FrozenRun, draft: Draft, step: Step, event: Of<'reading'>, later: Later): boolean {
  // between planned measurements a size may be taken at any time once the dial is known: it belongs to the last cut
  const planned = actOf(step) === 'measure';
  const featureId = planned ? step.featureId : (draft.lastCut?.featureId ?? step.featureId);
  const corrections = later.corrected.get(event.id) ?? [];
  const raw = corrections.at(-1) ?? event.raw;
  const read = sizeOf(raw);
  const mm =
    read === undefined || featureId === undefined ? read : sizeOfReading(run, draft.metal, featureId, read, event);
  // of a cone a size is one of a place along it, and is asked for there
  if (planned ? coneIn(run, featureId) && event.stationMm === undefined && !event.standOff : taperSetAt(run, step))
    return false;
  if (mm === undefined || !featureId || (!planned && draft.crossLines === undefined)) return false;
  const reading: Reading = {
    eventId: event.id,
    stepId: step.id,
    round: draft.rounds[step.id] ?? 0,
    featureId,
    mm,
    text: raw.text,
    unit: raw.unit,
    instrumentId: event.instrumentId,
    place: event.place,
    at: event.at,
    was: corrections.length > 0 ? [event.raw.text, ...corrections.slice(0, -1).map((c) => c.text)] : [],
    ...(event.feel ? { feel: event.feel } : {}),
    ...(event.oneWire ? { oneWire: event.oneWire } : {}),
    ...(event.grooveDepth ? { grooveDepth: event.grooveDepth } : {}),
    ...(event.stationMm === undefined ? {} : { stationMm: event.stationMm }),
    ...(event.standOff ? { standOff: event.standOff } : {}),
    lookedAgain: event.lookedAgain === true,
    setAside: later.setAside.has(event.id),
  };
  draft.readings.push(reading);
  if (!planned) {
    draft.advances.push(event.id);
    believeNow(run, draft, reading);
  }
  return true;
}

/** A size taken between planned measurements counts at once, unless it is doubted or set aside. */
function believeNow(run: FrozenRun, draft: Draft, reading: Reading): void {
  // how a gauge went on narrows a size; it is none by itself
  if (reading.setAside || reading.feel !== undefined || doubtOfReading(run, draft, reading).kind === 'doubted') return;
  const uncertaintyMm = uncertaintyOfReading(run.means.instruments, reading);
  takeSize(run, draft, reading.featureId, reading.mm, uncertaintyMm, false);
}

function takeLength(draft: Draft, step: Step, event: Of<'lengthRead'>): boolean {
  const mm = sizeOf(event.raw);
  const { makes } = kindOf(step.kind);
  if (mm === undefined || makes === undefined) return false;
  const { text, unit } = event.raw;
  const { id: eventId, instrumentId, at } = event;
  const of = makes === 'shoulder' ? { featureId: step.featureId } : {};
  draft.lengths.push({ eventId, stepId: step.id, mm, text, unit, instrumentId, at, ...of });
  draft.advances.push(event.id);
  return true;
}

function confirm(run: FrozenRun, draft: Draft, event: Of<'confirmed'>): boolean {
  const at = draft.readings.findIndex((r) => r.eventId === event.readingId);
  const old = draft.readings[at];
  if (!old) return false;
  const confirmed = { ...old, lookedAgain: true };
  draft.readings[at] = confirmed;
  const step = currentStep(run.steps, draft);
  if (step && actOf(step) !== 'measure' && old.stepId === step.id) believeNow(run, draft, confirmed);
  return true;
}

/** The size of a measuring step: as it was believed when it was accepted, unless one of its readings was changed since. */
function sizeTaken(run: FrozenRun, draft: Draft, step: Step, took: Took | undefined, at: number, later: Later) {
  const found = measured(run, draft, step);
  if (!found) return undefined;
  const changed = found.all.some((r) => (later.changedAt.get(r.eventId) ?? -1) > at);
  if (took && !changed && step.limits) {
    const decided = decide(took.sizeMm, took.uncertaintyMm, step.limits, undefined, sideOf(run, step.featureId));
    const decision: Decision = { ...decided, verdict: took.verdict };
    return { sizeMm: took.sizeMm, uncertaintyMm: took.uncertaintyMm, decision };
  }
  // a doubt that was not answered is not passed over
  if (!took && found.doubts.length > 0) return undefined;
  const { guardMm, uncertaintyMm } = found.combined;
  return { sizeMm: guardMm, uncertaintyMm, decision: found.decision };
}

function measureDone(run: FrozenRun, draft: Draft, step: Step, event: Of<'done'>, at: number, later: Later): boolean {
  const taken = sizeTaken(run, draft, step, event.took, at, later);
  if (!taken || !step.featureId) return false;
  const { featureId } = step;
  const { sizeMm, uncertaintyMm, decision } = taken;
  takeSize(run, draft, featureId, sizeMm, uncertaintyMm, draft.extra?.kind === 'measure' && draft.extra.trial);
  keepProof(run, draft, step, event.at);
  const finished = event.follows === 'finished';
  if ((step.last || finished) && decision)
    draft.outcomes.push({
      ...{ featureId, stepId: step.id, uncertaintyMm, decision },
      // a cone's size is told where the drawing has it
      sizeMm: sizeMm + overTailMm(run, featureId),
    });
  if (draft.extra?.kind === 'measure' && !finished) {
    const planId = draft.extra.stepId;
    draft.extra = undefined;
    draft.rounds = { ...draft.rounds, [planId]: (draft.rounds[planId] ?? 0) + 1 };
    draft.advances.push(event.id);
    return true;
  }
  moveOn(run, draft, event, step);
  // it is right already: what was still to be cut of this length is not
  if (finished) while (isCutOf(run.steps[draft.stepIndex], featureId)) draft.stepIndex += 1;
  return true;
}

const isCutOf = (step: Step | undefined, featureId: string): boolean =>
  step !== undefined && step.featureId === featureId && (isPass(step) || actOf(step) === 'measure');

function cutAgain(run: FrozenRun, draft: Draft, step: Step, event: Of<'cutAgain'>, at: number, later: Later): boolean {
  const taken = actOf(step) === 'measure' && step.last ? sizeTaken(run, draft, step, undefined, at, later) : undefined;
  if (!taken || !step.featureId) return false;
  takeSize(run, draft, step.featureId, taken.sizeMm, taken.uncertaintyMm, false);
  draft.extra = { kind: 'cut', stepId: step.id, fromMm: taken.sizeMm };
  draft.advances.push(event.id);
  return true;
}

/** How surely the point stands at the flanks that it was brought into by eye, mm on the pitch diameter. Shop */
const PICKED_UP_MM = 0.06;
/**
 * The point lies in its groove: the rings there stand for what was cut so far, and the touch of before for nothing. A forming bit comes
 * into the groove of the one before it by a step of its own.
 */
function pickUp(run: FrozenRun, draft: Draft, step: Step, event: Of<'pickedUp'>): boolean {
  const { compound } = run.means.lathe.slides;
  const cross = readDialNumber(depthRing(run.means.lathe), event.crossNumber);
  const fine = event.compoundNumber === undefined ? undefined : readDialNumber(compound, event.compoundNumber);
  const centres = step.kind === 'touchOff' ? step.inGroove : undefined;
  const threadId = isThreadStep(step) ? step.threadId : centres?.threadId;
  const metal = threadId === undefined ? undefined : draft.metal[threadId];
  if (threadId === undefined || !metal || !cross.ok || (fine && !fine.ok)) return false;
  draft.crossLines = cross.lines;
  draft.compoundLines = fine?.ok ? fine.lines : undefined;
  draft.reference = {
    ...{ rings: ringsOf(draft), diameterMm: metal.diameterMm, depthMm: 0, by: 'measured', featureId: threadId },
    uncertaintyMm: metal.doubtMm + PICKED_UP_MM,
  };
  draft.lastCut = undefined;
  draft.cuts = [];
  if (centres) moveOn(run, draft, event, step);
  else {
    if (!draft.pickedUp.includes(threadId)) draft.pickedUp.push(threadId);
    draft.advances.push(event.id);
  }
  return true;
}

function done(run: FrozenRun, draft: Draft, step: Step, event: Of<'done'>, at: number, later: Later): boolean {
  const act = actOf(step);
  if (act === 'touchOff') return false;
  if (act === 'measure') return measureDone(run, draft, step, event, at, later);
  draft.metal = { ...draft.metal, ...openedWalls(run, draft, step) };
  if (event.told && isPass(step)) cutDone(run, draft, step, event.told, false);
  else if (isPass(step)) draft.leftSo.push({ stepId: step.id, featureId: step.featureId });
  const { extra } = draft;
  if (extra?.kind === 'cut' && extra.toMm !== undefined && !extra.over) {
    draft.extra = { ...extra, fromMm: extra.toMm, over: true };
    draft.advances.push(event.id);
    return true;
  }
  if (extra) {
    draft.extra = undefined;
    draft.rounds = { ...draft.rounds, [extra.stepId]: (draft.rounds[extra.stepId] ?? 0) + 1 };
    draft.advances.push(event.id);
    return true;
  }
  if (event.follows === 'measure' && isPass(step) && event.told) {
    draft.extra = { kind: 'measure', stepId: step.id, trial: false };
    draft.advances.push(event.id);
    return true;
  }
  moveOn(run, draft, event, step);
  return true;
}

function trial(run: FrozenRun, draft: Draft, step: Step, event: Of<'trial'>): boolean {
  if (!isPass(step) || draft.extra || !draft.reference) return false;
  cutDone(run, draft, step, event.told, true);
  draft.extra = { kind: 'measure', stepId: step.id, trial: true };
  draft.advances.push(event.id);
  return true;
}

/** Applies one event; false when it does not belong where the run stands. */
function apply(run: FrozenRun, draft: Draft, event: RunEvent, at: number, later: Later): boolean {
  if (event.kind === 'note') {
    draft.notes.push({ stepId: event.stepId, text: event.text, at: event.at });
    return true;
  }
  if (event.kind === 'corrected' || event.kind === 'setAside')
    return (
      draft.readings.some((r) => r.eventId === event.readingId) &&
      (event.kind === 'setAside' || readTyped(event.raw).ok)
    );
  if (event.kind === 'confirmed') return confirm(run, draft, event);
  if (event.kind === 'stands') {
    const known = Object.entries({ ...draft.standing, ...event.positions }).filter(([, position]) => position !== '');
    draft.standing = Object.fromEntries(known);
    draft.besides = besidesAfter(draft.besides, event.besides ?? {});
    return true;
  }
  if (event.kind === 'forgotSpring') {
    draft.samples = draft.samples.filter((s) => s.toolId !== event.toolId);
    draft.forgotten.push(event.toolId);
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
  if (event.kind === 'reading') return takeReading(run, draft, step, event, later);
  if (event.kind === 'lengthRead') return takeLength(draft, step, event);
  if (event.kind === 'byHand') return byHand(run, draft, step, event);
  if (event.kind === 'taperMoved') return taperMoved(run, draft, step, event);
  if (event.kind === 'pickedUp') return pickUp(run, draft, step, event);
  if (event.kind === 'trial') return trial(run, draft, step, event);
  if (event.kind === 'cutAgain') return cutAgain(run, draft, step, event, at, later);
  return done(run, draft, step, event, at, later);
}

/**
 * Where a run stands after its events, whatever order they arrived in. The same plan and events give the same state. A reading that
 * was corrected or set aside counts so from the beginning; the numbers that had been told stay told.
 * @param events parsed events of one run; doubles count once, undone ones not at all
 */
export function replay(run: FrozenRun, events: readonly RunEvent[]): RunState {
  const ordered = orderEvents(events);
  const undone = new Set<string>();
  for (const event of ordered) if (event.kind === 'undone') undone.add(event.eventId);
  const later = laterOf(ordered, undone);
  const draft = startState(run.stand) as Draft;
  for (const [at, event] of ordered.entries())
    if (event.kind !== 'undone' && !undone.has(event.id) && !apply(run, draft, event, at, later)) draft.ignored += 1;
  return draft;
}

/** The state as it would be once a size were accepted: what the next number would follow from. */
export function afterMeasuring(
  run: FrozenRun,
  state: RunState,
  featureId: string,
  sizeMm: number,
  uncertaintyMm: number,
): RunState {
  const draft = { ...state, cuts: [...state.cuts], samples: [...state.samples] } as Draft;
  takeSize(run, draft, featureId, sizeMm, uncertaintyMm, state.extra?.kind === 'measure' && state.extra.trial);
  return draft;
}
