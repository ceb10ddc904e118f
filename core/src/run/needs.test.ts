import { describe, expect, it } from 'vitest';
import { type Lathe, type Stand, type StandBesides, unknownStand } from '../lathe/index.ts';
import { runOf } from '../testing/runs.ts';
import { feature, metricLathe } from '../testing/shop.ts';
import { adviseStep } from './advice.ts';
import { type RunEvent, runEventSchema } from './event.ts';
import type { FrozenRun } from './frozen.ts';
import { standAfter, standChanges, standNeeded } from './needs.ts';
import { replay } from './replay.ts';

const lathe: Lathe = {
  ...metricLathe,
  holding: {
    ...metricLathe.holding,
    chucks: [
      ...metricLathe.holding.chucks,
      { ...metricLathe.holding.chucks[0]!, id: 'four-jaw', name: 'four-jaw 200', kind: 'fourJaw' },
    ],
  },
};
/** A run of a shaft, long enough for the tail centre or short enough to stand alone. */
function shaftOf(lengthMm: number, stand?: Stand): FrozenRun {
  const features = [feature(1, 24, lengthMm), feature(2, 20, 30, 'h7', { edges: { left: '', right: '1x45' } })];
  return runOf(features, 30, { lathe, stand });
}
const stand: Stand = unknownStand(lathe);
const short = shaftOf(20, stand);
const long = shaftOf(230, stand);
const stepOf = (run: FrozenRun, kind: string) => run.steps.find((s) => s.kind === kind)!;

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
function event(n: number, body: object): RunEvent {
  return runEventSchema.parse({
    ...{ schema: 2, id: uuid(n), runId: uuid(900), piece: 1, device: uuid(901), seq: n },
    ...{ parents: n > 1 ? [uuid(n - 1)] : [], at: '2026-01-12T09:00:00.000Z', ...body },
  });
}
/** Steps done one after the other, without touching off or measuring. */
const doneSteps = (run: FrozenRun, count: number): RunEvent[] =>
  run.steps.slice(0, count).map((s, i) => event(i + 1, { kind: 'done', stepId: s.id }));

describe('what a step needs beside levers and tool', () => {
  it('is the usual chuck and a spindle at rest to put the blank in', () => {
    expect(standNeeded(short, stepOf(short, 'mount'))).toEqual({ chuckId: 'three-jaw', direction: 'stopped' });
    expect(standNeeded(long, stepOf(long, 'mount'))).toMatchObject({ chuckId: 'three-jaw', setOverMm: 0 });
    expect(standNeeded(short, stepOf(short, 'measure'))).toEqual({ direction: 'stopped' });
  });
  it('is a carriage locked while the cross-slide feeds, and free while it feeds itself', () => {
    for (const kind of ['face', 'shoulder'])
      expect([kind, standNeeded(short, stepOf(short, kind)).locks]).toEqual([
        kind,
        { carriage: true, crossSlide: false },
      ]);
    for (const kind of ['touchOff', 'rough', 'finish', 'chamfer'])
      expect([kind, standNeeded(short, stepOf(short, kind)).locks]).toEqual([
        kind,
        { carriage: false, crossSlide: false },
      ]);
  });
  it('is quill and tailstock locked for work on a centre, the quill free while the hole is drilled', () => {
    expect(standNeeded(long, stepOf(long, 'rough')).locks).toMatchObject({ quill: true, tailstock: true });
    expect(standNeeded(long, stepOf(long, 'centre'))).toMatchObject({
      setOverMm: 0,
      locks: { quill: false, tailstock: true },
    });
    // the end is faced before there is a centre in it
    expect(standNeeded(long, stepOf(long, 'face')).locks).not.toHaveProperty('quill');
  });
});

describe('a step tells only what stands otherwise', () => {
  const changes = (kind: string, known: StandBesides, run = short) => standChanges(run, stepOf(run, kind), known);
  it('nothing of chuck and locks that are right', () => {
    expect(changes('mount', { chuckId: 'three-jaw' })).toEqual([]);
    expect(changes('rough', { locks: { carriage: false } })).toEqual([]);
    expect(changes('face', { locks: { carriage: true } })).toEqual([]);
  });
  it('another chuck with the one that is on, and one that nobody knows', () => {
    expect(changes('mount', { chuckId: 'four-jaw' })).toEqual([{ what: 'chuck', to: 'three-jaw', from: 'four-jaw' }]);
    expect(changes('mount', { chuckId: null })).toEqual([{ what: 'chuck', to: 'three-jaw', from: undefined }]);
  });
  it('a tailstock that is set over, before work goes on its centre', () => {
    expect(changes('mount', { chuckId: 'three-jaw', setOverMm: 2.5 }, long)).toEqual([
      { what: 'setOver', toMm: 0, fromMm: 2.5 },
    ]);
    expect(changes('mount', { chuckId: 'three-jaw', setOverMm: 2.5 }, short)).toEqual([]);
  });
  it('a spindle left in reverse, and nothing of one that stands still', () => {
    expect(changes('rough', { direction: 'reverse' })).toEqual([{ what: 'reverse' }]);
    expect(changes('rough', { direction: 'stopped' })).toEqual([]);
    expect(changes('measure', { direction: 'reverse' })).toEqual([]);
  });
  it('each lock to set and to loosen', () => {
    expect(changes('rough', { locks: { carriage: true, crossSlide: true } })).toEqual([
      { what: 'unlock', slide: 'carriage' },
      { what: 'unlock', slide: 'crossSlide' },
    ]);
    expect(changes('rough', {}, long)).toEqual([
      { what: 'lock', slide: 'tailstock' },
      { what: 'lock', slide: 'quill' },
    ]);
  });
});

const advise = (run: FrozenRun, events: RunEvent[]) => adviseStep(run, replay(run, events))!.besides;

describe('a run', () => {
  it('tells the lock once, and again when it has to come off', () => {
    expect(advise(short, [])).toEqual([]);
    expect(advise(short, doneSteps(short, 1))).toEqual([{ what: 'lock', slide: 'carriage' }]);
    expect(short.steps.slice(0, 3).map((s) => s.kind)).toEqual(['mount', 'face', 'touchOff']);
    expect(advise(short, doneSteps(short, 2))).toEqual([{ what: 'unlock', slide: 'carriage' }]);
  });
  it('believes the turner who says that it stands so already, or otherwise', () => {
    const mounted = doneSteps(short, 1);
    const stepId = short.steps[1]!.id;
    const so = event(2, { kind: 'stands', stepId, positions: {}, besides: { locks: { carriage: true } } });
    expect(advise(short, [...mounted, so])).toEqual([]);
    const other = event(3, { kind: 'stands', stepId, positions: {}, besides: { locks: { carriage: false } } });
    expect(advise(short, [...mounted, so, other])).toEqual([{ what: 'lock', slide: 'carriage' }]);
    const forgotten = event(1, { kind: 'stands', stepId: 'mount', positions: {}, besides: { chuckId: null } });
    expect(advise(short, [forgotten])).toEqual([{ what: 'chuck', to: 'three-jaw', from: undefined }]);
  });
  it('without a word of the stand asks for what matters at its first step', () => {
    expect(advise(shaftOf(230), [])).toEqual([
      { what: 'chuck', to: 'three-jaw', from: undefined },
      { what: 'setOver', toMm: 0, fromMm: undefined },
    ]);
  });
  it('refuses a word about locks that no lathe has', () => {
    const base = { kind: 'stands', stepId: 'mount', positions: {} };
    for (const besides of [{ locks: { apron: true } }, { setOverMm: 1000 }, { direction: 'sideways' }, { other: 1 }])
      expect(() => event(1, { ...base, besides })).toThrow();
  });
});

describe('a run leaves the lathe', () => {
  const after = (run: FrozenRun, events: RunEvent[], before: Stand) => standAfter(run, replay(run, events), before);
  it('as it set it', () => {
    const left = after(long, doneSteps(long, 3), stand);
    expect(left).toMatchObject({
      chuckId: 'three-jaw',
      direction: 'forward',
      locks: { carriage: true, tailstock: true, quill: false },
      toolId: long.steps[2]!.toolId,
      controls: long.steps[2]!.setting!.speedAt,
    });
  });
  it('and what it never touched as somebody noted it meanwhile', () => {
    const noted: Stand = { ...stand, compoundDeg: 30, setOverMm: 3, locks: { ...stand.locks, compound: true } };
    expect(after(short, doneSteps(short, 1), noted)).toMatchObject({
      compoundDeg: 30,
      setOverMm: 3,
      locks: { compound: true, carriage: false },
      direction: 'stopped',
    });
  });
  it('as it set it, also where the lathe stood so before and was noted otherwise in between', () => {
    const locked = shaftOf(20, { ...stand, locks: { ...stand.locks, carriage: true } });
    expect(advise(locked, doneSteps(locked, 1))).toEqual([]);
    expect(after(locked, doneSteps(locked, 2), stand).locks.carriage).toBe(true);
  });
  it('with the cross-slide’s number at the last cut', () => {
    const touch = event(3, {
      ...{ kind: 'touchedOff', stepId: 'touchOff', diameter: { text: '29.6', unit: 'mm' } },
      ...{ crossNumber: '0.30', endNumber: '5.0', approach: 'in' },
    });
    // 74 lines of 0.02 further in than the 0.30 it was touched at
    const told = {
      slide: 'crossSlide',
      lines: 15 + 74,
      comesToMm: 26.6,
      smallestMm: 26.6,
      largestMm: 26.7,
      cut: 'rough',
    };
    const looked = event(4, { kind: 'done', stepId: short.steps[3]!.id });
    const cut = event(5, { kind: 'done', stepId: short.steps[4]!.id, told });
    const state = replay(short, [...doneSteps(short, 2), touch, looked, cut]);
    expect(state.ignored).toBe(0);
    expect(standAfter(short, state, stand).slides.crossSlide).toBe('1.78');
    expect(after(short, doneSteps(short, 1), stand).slides.crossSlide).toBe('');
  });
});
