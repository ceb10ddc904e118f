import { dialScale, readDialNumber, senseIn } from '../../lathe/index.ts';
import { readTyped } from '../../quantity/index.ts';
import type { FirstEvent, RunEvent, StoredEvent, Told } from '../event.ts';
import type { FrozenRun } from '../frozen.ts';
import { orderEvents } from '../order.ts';
import type { Step } from '../step.ts';

/**
 * Events of the first version did not say what number had been told. That number followed from a rule of that time, which stands
 * here as it was and is never changed: it works the number out once, so that what was believed of an old run stays.
 */
interface Draft {
  stepIndex: number;
  again?: { measureStepId: string; targetMm: number; fromMm: number };
  rounds: Record<string, number>;
  reference?: { lines: number; diameterMm: number; by: 'touchOff' | 'measured' };
  crossLines?: number;
  lastCut?: { featureId?: string; dialMm: number; depthMm: number };
  springs: { askedMm: number; gotMm: number; depthMm: number }[];
  readings: { id: string; stepId: string; round: number; mm: number; instrumentId: string }[];
  ended: boolean;
}

const SPRING_RATIO_CAP = 1.5;
const middle = (limits: { upperMm: number; lowerMm: number }): number => (limits.upperMm + limits.lowerMm) / 2;

function move(run: FrozenRun, draft: Draft, step: Step, depthMm: number): { toLines: number; dialMm: number } {
  const reference = draft.reference!;
  const dial = run.means.lathe.slides.crossSlide;
  const line = dialScale(dial).lineTravelMm.valueOf();
  const sense = senseIn(dial);
  const spring = draft.springs.at(-1);
  const last = reference.by === 'measured' && spring && draft.lastCut ? spring : undefined;
  const targetMm = step.targetMm!;
  const fromDepth = (reference.diameterMm - targetMm) / 2;
  const springNow = last && last.depthMm > 0 ? last.gotMm - last.askedMm : 0;
  const ratio = last && last.depthMm > 0 ? Math.min(SPRING_RATIO_CAP, Math.max(0, fromDepth / last.depthMm)) : 1;
  const expectedMm = last ? 0 : 2 * depthMm * (run.means.lathe.rigidity.springShare ?? 0);
  const travelMm = fromDepth + (springNow > 0 ? springNow * (ratio - 1) : expectedMm) / 2;
  const nearest = (inMm: number) => {
    const wanted = reference.lines + (sense * inMm) / line;
    const toLines = Math.round(wanted + 1e-9);
    return { toLines, offByMm: Number((sense * (toLines - wanted) * line).toFixed(9)) };
  };
  const first = nearest(travelMm);
  const lowestMm = step.limits?.lowerMm;
  const tooDeep = lowestMm !== undefined && targetMm - 2 * first.offByMm < lowestMm;
  const { toLines } = tooDeep ? nearest(travelMm + first.offByMm - line) : first;
  return { toLines, dialMm: reference.diameterMm - 2 * sense * (toLines - reference.lines) * line };
}

function present(run: FrozenRun, draft: Draft): Step | undefined {
  const step = run.steps[draft.stepIndex];
  if (!step || !draft.again) return step;
  const cut = run.steps
    .slice(0, draft.stepIndex)
    .findLast((s) => s.featureId === step.featureId && s.passNumber !== undefined);
  return {
    ...(cut ?? step),
    id: `${step.id}-again-${(draft.rounds[step.id] ?? 0) + 1}`,
    kind: 'finish',
    fromMm: draft.again.fromMm,
    targetMm: draft.again.targetMm,
    passNumber: undefined,
    limits: step.limits,
    featureId: step.featureId,
  };
}

function sizeAt(run: FrozenRun, draft: Draft, step: Step) {
  const round = draft.rounds[step.id] ?? 0;
  const own = draft.readings.filter((r) => r.stepId === step.id && r.round === round);
  if (own.length === 0 || !step.limits) return undefined;
  const mm = own.map((r) => r.mm);
  const u = Math.max(...own.map((r) => run.means.instruments.find((i) => i.id === r.instrumentId)?.uncertaintyMm ?? 0));
  const sizeMm = mm.reduce((a, b) => a + b, 0) / mm.length;
  const uncertaintyMm = Math.max(u, (Math.max(...mm) - Math.min(...mm)) / 2);
  const { upperMm, lowerMm } = step.limits;
  const fits = sizeMm <= upperMm - uncertaintyMm + 1e-9 && sizeMm >= lowerMm + uncertaintyMm - 1e-9;
  const out = sizeMm > upperMm + uncertaintyMm + 1e-9 || sizeMm < lowerMm - uncertaintyMm - 1e-9;
  return {
    sizeMm,
    uncertaintyMm,
    verdict: fits ? ('fits' as const) : out ? ('doesNotFit' as const) : ('cannotSay' as const),
  };
}

function take(draft: Draft, step: Step, sizeMm: number): void {
  if (!draft.lastCut || draft.lastCut.featureId !== step.featureId || draft.crossLines === undefined) return;
  draft.springs.push({ askedMm: draft.lastCut.dialMm, gotMm: sizeMm, depthMm: draft.lastCut.depthMm });
  draft.reference = { lines: draft.crossLines, diameterMm: sizeMm, by: 'measured' };
}

function pass(run: FrozenRun, draft: Draft, step: Step): Told | undefined {
  if (step.targetMm === undefined || !draft.reference) return undefined;
  const depthMm = ((step.fromMm ?? step.targetMm) - step.targetMm) / 2;
  const { toLines, dialMm } = move(run, draft, step, depthMm);
  draft.crossLines = toLines;
  draft.lastCut = { featureId: step.featureId, dialMm, depthMm };
  const cut = step.kind === 'rough' ? 'rough' : step.kind === 'semiFinish' ? 'half' : 'final';
  return { slide: 'crossSlide', lines: toLines, comesToMm: dialMm, smallestMm: dialMm, largestMm: dialMm, cut };
}

function moveOn(draft: Draft): void {
  draft.stepIndex += 1;
  draft.again = undefined;
}

/** What an event of the first version adds to itself where it stands; `undefined` when it did not belong there. */
function done(run: FrozenRun, draft: Draft, step: Step): Pick<Extract<RunEvent, { kind: 'done' }>, 'told' | 'took'> {
  if (draft.again) {
    const told = pass(run, draft, step);
    const { measureStepId } = draft.again;
    draft.again = undefined;
    draft.rounds[measureStepId] = (draft.rounds[measureStepId] ?? 0) + 1;
    return { told };
  }
  if (step.kind === 'touchOff') return {};
  if (step.kind === 'measure') {
    const took = sizeAt(run, draft, step);
    if (!took) return {};
    take(draft, step, took.sizeMm);
    moveOn(draft);
    return { took };
  }
  const told = step.passNumber === undefined ? undefined : pass(run, draft, step);
  moveOn(draft);
  return { told };
}

function touchedOff(
  run: FrozenRun,
  draft: Draft,
  step: Step,
  event: Extract<FirstEvent, { kind: 'touchedOff' }>,
): void {
  const diameter = readTyped(event.diameter);
  const cross = readDialNumber(run.means.lathe.slides.crossSlide, event.crossNumber);
  const { carriage } = run.means.lathe.slides;
  const end = carriage.means === 'dial' ? readDialNumber(carriage, event.endNumber) : undefined;
  if (step.kind !== 'touchOff' || !diameter.ok || !cross.ok || (end && !end.ok)) return;
  draft.reference = { lines: cross.lines, diameterMm: diameter.mm.valueOf(), by: 'touchOff' };
  draft.crossLines = cross.lines;
  draft.lastCut = undefined;
  moveOn(draft);
}

function reading(draft: Draft, step: Step, event: Extract<FirstEvent, { kind: 'reading' }>): void {
  const planned = step.kind === 'measure';
  const featureId = planned ? step.featureId : (draft.lastCut?.featureId ?? step.featureId);
  const read = readTyped(event.raw);
  if (!read.ok || !featureId || (!planned && draft.crossLines === undefined)) return;
  const mm = read.mm.valueOf();
  const { id, instrumentId } = event;
  draft.readings.push({ id, stepId: step.id, round: draft.rounds[step.id] ?? 0, mm, instrumentId });
  if (planned) return;
  if (draft.lastCut) draft.springs.push({ askedMm: draft.lastCut.dialMm, gotMm: mm, depthMm: draft.lastCut.depthMm });
  draft.reference = { lines: draft.crossLines ?? 0, diameterMm: mm, by: 'measured' };
}

function follow(run: FrozenRun, draft: Draft, event: FirstEvent): RunEvent {
  const plain = { ...event, schema: 2 } as RunEvent;
  if (event.kind === 'corrected') {
    const read = readTyped(event.raw);
    const old = draft.readings.find((r) => r.id === event.readingId);
    if (read.ok && old) old.mm = read.mm.valueOf();
    return plain;
  }
  if (event.kind === 'ended') draft.ended = true;
  // what was read then had been believed
  const believed =
    event.kind === 'reading' || event.kind === 'touchedOff' ? ({ ...plain, lookedAgain: true } as RunEvent) : plain;
  const step = present(run, draft);
  if (draft.ended || !step || !('stepId' in event) || event.stepId !== step.id) return believed;
  if (event.kind === 'touchedOff') touchedOff(run, draft, step, event);
  if (event.kind === 'reading') reading(draft, step, event);
  if (event.kind === 'cutAgain') {
    const size = step.kind === 'measure' ? sizeAt(run, draft, step) : undefined;
    if (size && step.limits) {
      take(draft, step, size.sizeMm);
      draft.again = { measureStepId: step.id, targetMm: middle(step.limits), fromMm: size.sizeMm };
    }
  }
  if (event.kind !== 'done') return believed;
  const added = Object.fromEntries(Object.entries(done(run, draft, step)).filter(([, value]) => value !== undefined));
  return { ...plain, ...added } as RunEvent;
}

/**
 * Events as stored, of any version, as events of the present one. Those of the first get the number that was told them, by the
 * rule of their time; later ones stay as they are.
 * @param stored of one run, in any order
 */
export function upgradeEvents(run: FrozenRun, stored: readonly StoredEvent[]): readonly RunEvent[] {
  if (stored.every((event) => event.schema === 2)) return stored as readonly RunEvent[];
  const ordered = orderEvents(stored as readonly RunEvent[]) as readonly StoredEvent[];
  const undone = new Set(ordered.flatMap((event) => (event.kind === 'undone' ? [event.eventId] : [])));
  const draft: Draft = { stepIndex: 0, rounds: {}, springs: [], readings: [], ended: false };
  return ordered.map((event) => {
    if (event.schema === 2) return event;
    return undone.has(event.id) || event.kind === 'undone'
      ? ({ ...event, schema: 2 } as RunEvent)
      : follow(run, draft, event);
  });
}
