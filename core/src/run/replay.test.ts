import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unknownStand } from '../lathe/index.ts';
import { AtTheLathe } from '../testing/at-the-lathe.ts';
import { runOf } from '../testing/runs.ts';
import { feature } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { adviseStep } from './advice.ts';
import { effectOf } from './effect.ts';
import type { RunEvent } from './event.ts';
import { explainOperation } from './frozen.ts';
import { explainSize } from './measured.ts';
import { orderEvents } from './order.ts';
import { replay } from './replay.ts';
import { cutMinutes } from './wear.ts';

// the first by whole lines, the second by half ones, the third by the compound
const run = runOf([feature(1, 40, 30), feature(2, 28, 40, 'h9'), feature(3, 24, 20, 'h7')], 45);
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const at = (id: string) => new AtTheLathe(run).to(id);

describe('replay', () => {
  it('goes through every step of the plan to the end', () => {
    const lathe = at('none');
    expect(lathe.state.stepIndex).toBe(run.steps.length);
    expect(lathe.state.ignored).toBe(0);
    expect(lathe.state.outcomes.map((o) => [o.featureId, o.decision.left])).toEqual([
      ['f1', 'inside'],
      ['f2', 'inside'],
      ['f3', 'inside'],
    ]);
  });
  it('counts dial numbers from the touch-off: half the change of diameter', () => {
    const lathe = at('f1-rough-1');
    const { move, step } = lathe.advice!;
    if (move?.kind !== 'move') throw new Error('no move');
    // from Ø44.6 at 0.30 to the pass's diameter
    const inMm = (44.6 - step.targetMm!) / 2;
    expect(Number(move.hands.number)).toBeCloseTo((0.3 + Math.round(inMm / 0.02) * 0.02) % 2, 9);
    expect(move.hands).toMatchObject({ hand: 'clockwise', outHand: 'anticlockwise', outTurns: 1, now: '0.30' });
  });
  it('can still tell why, from what was frozen alone', () => {
    const { steps, record } = collectWorking();
    explainOperation(run, 'f2-rough', record);
    const rpm = run.plan.operations.find((o) => o.id === 'f2-rough')!.setting!.rpm;
    expect(steps.find((s) => s.code === 'cutting.chosenSpeed')!.values.rpm).toBe(rpm);
    // a plan that this version would make otherwise is not explained by what it would do
    const operations = run.plan.operations.map((o) => (o.id === 'f2-rough' ? { ...o, minutes: o.minutes + 1 } : o));
    const other = collectWorking();
    explainOperation({ ...run, plan: { ...run.plan, operations } }, 'f2-rough', other.record);
    expect(other.steps.map((s) => s.code)).toEqual(['run.otherPlan']);
    // the same figures in another order of keys are the same plan
    const turned = run.plan.operations.map((o) => Object.fromEntries(Object.entries(o).toReversed()) as typeof o);
    const same = collectWorking();
    explainOperation({ ...run, plan: { ...run.plan, operations: turned } }, 'f2-rough', same.record);
    expect(same.steps.map((s) => s.code)).toContain('cutting.chosenSpeed');
    const told = collectWorking();
    adviseStep(run, at('f2-finish-1').state, told.record);
    expect(told.steps.map((s) => s.code)).toEqual(['run.spring', 'run.next', 'run.guard', 'lathe.dialMove']);
  });
  it('counts the carriage from the number noted at the faced end, towards the chuck', () => {
    const advice = at('f2-rough-1').advice!;
    expect(advice.fromEndMm).toBeCloseTo(60 - 0.3, 9);
    expect(advice.carriage).toMatchObject({
      number: ((5 + 59.7) % 20).toFixed(1),
      fullTurns: 2,
      hand: 'anticlockwise',
    });
  });
  it('dials an equal last cut by the plain difference of two readings', () => {
    const lathe = at('f2-between');
    // roughed to 28.4 nearly; half came off: the next is as deep, so that no spring is needed to know
    const before = lathe.state.lastCut!.beforeMm;
    const middle = (27.948 + 28) / 2;
    const now = (before + middle) / 2;
    const lines = lathe.state.crossLines!;
    lathe.read(now, { lookedAgain: true });
    lathe.act('goOn');
    const { move } = lathe.advice!;
    if (move?.kind !== 'move') throw new Error('no move');
    expect(move.told.cut).toBe('final');
    // gauge and hand leave more open than the spring of two equal cuts: two of the guard's three standard uncertainties
    expect(move.told.smallestMm - move.likely.smallestMm).toBeCloseTo((2 / 3) * move.guardMm, 6);
    expect(move.likely.largestMm - move.told.largestMm).toBeCloseTo((2 / 3) * move.guardMm, 6);
    expect(move.told.lines - lines).toBeCloseTo(Math.round(((now - middle) / 2 / 0.02) * 2) / 2, 9);
    expect(Math.abs(move.told.comesToMm - middle)).toBeLessThanOrEqual(0.0101);
    expect(lathe.state.reference).toMatchObject({ by: 'measured', diameterMm: Number(now.toFixed(3)) });
  });
  it('records the number that was told, and believes it whatever a later rule would say', () => {
    const lathe = at('f2-finish-1');
    const done = lathe.act();
    if (done.kind !== 'done' || !done.told) throw new Error('nothing told');
    expect(lathe.state.crossLines).toBe(done.told.lines);
    const moved = { ...done, told: { ...done.told, lines: done.told.lines + 3, comesToMm: 27.9 } } as RunEvent;
    const state = replay(run, [...lathe.events.slice(0, -1), moved]);
    expect(state.crossLines).toBe(done.told.lines + 3);
    expect(state.metal.f2!.diameterMm).toBe(27.9);
  });
  it('asks about a reading that the dial does not let expect, and goes on only when that is answered', () => {
    const lathe = at('f2-between');
    const expected = lathe.advice!.expected!.mm;
    const reading = lathe.read(expected + 0.5);
    const { doubts } = lathe.advice!.measured!;
    expect(doubts[0]!.doubt.slips.map((s) => s.code)).toEqual(['halfMillimetre']);
    expect(lathe.advice!.next).toBeUndefined();
    const before = lathe.state.stepIndex;
    lathe.add({ kind: 'done', stepId: lathe.step!.id });
    expect(lathe.state).toMatchObject({ stepIndex: before, ignored: 1 });
    lathe.add({ kind: 'confirmed', readingId: reading.id });
    expect(lathe.advice!.measured!.doubts).toEqual([]);
    lathe.add({ kind: 'setAside', readingId: reading.id });
    expect(lathe.advice!.measured).toBeUndefined();
    // it stays in the record
    expect(lathe.state.readings.at(-1)).toMatchObject({ setAside: true });
  });
  it('doubts a diameter at touching off, of either tool', () => {
    const lathe = at('touchOff');
    lathe.touch(92.42);
    expect(lathe.step!.kind).toBe('touchOff');
    expect(lathe.state.touchDoubted).toMatchObject({ mm: 92.42 });
    lathe.touch(44.6);
    expect(lathe.state.touchDoubted).toBeUndefined();
    lathe.to('touchOff-finisher');
    const believed = lathe.advice!.expected!.mm;
    lathe.touch(believed + 1.4);
    expect(lathe.step!.id).toBe('touchOff-finisher');
    lathe.add({
      ...{
        kind: 'touchedOff',
        stepId: 'touchOff-finisher',
        diameter: { text: (believed + 1.4).toFixed(3), unit: 'mm' },
      },
      ...{ crossNumber: '0.3', endNumber: '5', compoundNumber: '0.5', approach: 'in', lookedAgain: true },
    });
    expect(lathe.step!.id).not.toBe('touchOff-finisher');
  });
  it('computes a corrected reading through, after its step was done too, and tells what that changes', () => {
    const lathe = at('f2-between');
    const expected = lathe.advice!.expected!.mm;
    const reading = lathe.read(expected + 0.04);
    lathe.act('goOn');
    const was = lathe.advice!.move!;
    const corrected = lathe.add({
      ...{ kind: 'corrected', readingId: reading.id },
      raw: { text: (expected - 0.02).toFixed(3), unit: 'mm' },
    });
    const { move } = lathe.advice!;
    if (move?.kind !== 'move' || was.kind !== 'move') throw new Error('no move');
    expect(move.told.lines).toBeLessThan(was.told.lines);
    expect(lathe.state.readings.find((r) => r.eventId === reading.id)).toMatchObject({
      was: [(expected + 0.04).toFixed(3)],
    });
    const effect = effectOf(run, lathe.events, corrected.id)!;
    expect(effect.number).toEqual({ was: was.hands.number, is: move.hands.number });
    expect(effect.lengths.map((l) => [l.featureId, l.isMm < l.wasMm])).toEqual([['f2', true]]);
    const note = lathe.add({ kind: 'note', stepId: lathe.step!.id, text: 'chips cleared' });
    expect(effectOf(run, lathe.events, note.id)).toBeUndefined();
  });
  it('takes a trial cut as a step: its number, a reading, then the corrected number for the run', () => {
    const lathe = at('f2-semi-1');
    const { trial, move } = lathe.advice!;
    if (!trial || move?.kind !== 'move') throw new Error('no trial');
    const metal = lathe.state.metal.f2!;
    lathe.act('trial');
    expect(lathe.step).toMatchObject({ id: 'f2-semi-1-check-1', kind: 'measure' });
    // it sprang by 0.03 on the diameter
    lathe.read(trial.told.comesToMm + 0.03);
    lathe.act('goOn');
    expect(lathe.step!.id).toBe('f2-semi-1');
    expect(lathe.state.metal.f2).toEqual(metal);
    const next = lathe.advice!.move!;
    if (next.kind !== 'move') throw new Error('no move');
    expect(next.told.lines).toBeGreaterThanOrEqual(move.told.lines);
    expect(lathe.state.reference).toMatchObject({ trial: true, by: 'measured' });
  });
  it('offers to stop where a measurement between finds the size inside already', () => {
    const lathe = at('f2-between');
    lathe.read(27.98, { lookedAgain: true });
    expect(lathe.advice!.inside).toBe(true);
    lathe.act('stopHere');
    expect(lathe.state.outcomes.at(-1)).toMatchObject({ featureId: 'f2', decision: { verdict: 'fits' } });
    expect(lathe.step!.id).not.toMatch(/^f2-(finish|after)/);
  });
  it('cuts once more when too large, measures again, and ends when too small', () => {
    const lathe = at('f2-after');
    const id = lathe.step!.id;
    lathe.read(28.06, { lookedAgain: true });
    lathe.act('cutAgain');
    expect(lathe.step).toMatchObject({ id: 'f2-after-again-1', kind: 'finish' });
    lathe.act();
    expect(lathe.step!.id).toBe(id);
    expect(lathe.advice!.measured).toBeUndefined();
    lathe.read(27.9, { lookedAgain: true });
    expect(lathe.advice!.measured!.decision).toEqual({ verdict: 'doesNotFit', side: 'tooSmall', left: 'gone' });
    lathe.add({ kind: 'ended', outcome: 'cannotBePutBack', reason: 'too small' });
    expect(lathe.state.ended).toMatchObject({ outcome: 'cannotBePutBack' });
    lathe.add({ kind: 'done', stepId: id });
    expect(lathe.state.ignored).toBe(1);
  });
  it('takes a size between planned measurements as the new reference, and gives it up again', () => {
    const lathe = at('f2-rough-2');
    const planned = lathe.advice!.move!;
    const asked = lathe.state.lastCut!.told.comesToMm;
    lathe.read(asked + 0.08);
    const now = lathe.advice!.move!;
    if (planned.kind !== 'move' || now.kind !== 'move') throw new Error('no move');
    expect(now.told.lines - planned.told.lines).toBeGreaterThanOrEqual(1);
    expect(lathe.state.readings.at(-1)).toMatchObject({ featureId: 'f2', stepId: 'f2-rough-2' });
    lathe.add({ kind: 'undone', eventId: lathe.state.advances.at(-1)! });
    expect(lathe.advice!.move).toMatchObject({ told: { lines: planned.told.lines } });
  });
  it('learns the spring from cuts of different depth, and forgets it when told', () => {
    const lathe = at('f3-between');
    // the compound's cut was far shallower than the one before it
    lathe.read(lathe.advice!.expected!.mm);
    lathe.act('goOn');
    expect(lathe.state.samples.length).toBeGreaterThan(0);
    const { toolId } = lathe.state.samples[0]!;
    lathe.add({ kind: 'forgotSpring', stepId: lathe.step!.id, toolId });
    expect(lathe.state.samples).toEqual([]);
  });
  it('sets the last cuts of the finest limits by the compound, the cross-slide as it stands', () => {
    const lathe = at('f3-semi-1');
    const { move } = lathe.advice!;
    if (move?.kind !== 'move') throw new Error('no move');
    const cross = lathe.state.crossLines;
    expect(move.hands.slide).toBe('compound');
    lathe.act();
    expect(lathe.state.crossLines).toBe(cross);
    expect(lathe.state.compoundLines).toBe(move.told.lines);
  });
  it('counts what each tool has cut, and no winding back', () => {
    const lathe = at('f2-between');
    const minutes = cutMinutes(run, lathe.state);
    const cut = run.steps.slice(0, lathe.state.stepIndex).filter((s) => s.passNumber !== undefined);
    const all = [...minutes.values()].reduce((a, b) => a + b, 0);
    expect(all).toBeCloseTo(
      cut.reduce((sum, s) => sum + s.minutes - 0.4, 0),
      9,
    );
    expect(minutes.get(cut[0]!.toolId!)).toBeGreaterThan(0);
    expect(cutMinutes(run, replay(run, [])).size).toBe(0);
  });
  it('begins from how the lathe stood, and believes what the turner says of it', () => {
    const stand = {
      ...unknownStand(run.means.lathe),
      controls: { lever: '9', feed: '3' },
      toolId: run.means.tools[0]!.id,
    };
    const lathe = at('f2-rough-1');
    const wanted = lathe.advice!;
    expect(replay({ ...run, stand }, [])).toMatchObject({ standing: { lever: '9', feed: '3' }, toolId: stand.toolId });
    const to = wanted.step.setting!.speedAt.lever!;
    // someone moved the lever meanwhile: it is told again, and not told where it stands already
    lathe.add({ kind: 'stands', stepId: wanted.step.id, positions: { lever: '1', feed: '' } });
    expect(lathe.advice!.changes).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ id: 'lever', from: '1', to }),
        expect.objectContaining({ id: 'feed', from: undefined }),
      ]),
    );
    lathe.add({ kind: 'stands', stepId: wanted.step.id, positions: { lever: to } });
    expect(lathe.advice!.changes.map((c) => c.id)).not.toContain('lever');
    expect(lathe.state.ignored).toBe(0);
  });
  it('tells how a measured size and its verdict came about, from all its readings', () => {
    const lathe = at('f2-between');
    lathe.read(28.2, { lookedAgain: true });
    lathe.read(28.203, { lookedAgain: true });
    const { steps, record } = collectWorking();
    explainSize(run, lathe.state, lathe.step!.id, record);
    expect(steps.map((s) => s.code)).toEqual(['gauge.combine', 'gauge.decide']);
    expect(steps[0]!.values).toMatchObject({ count: 2, agree: 'yes' });
    explainSize(run, lathe.state, 'mount', () => {
      throw new Error('nothing was measured there');
    });
  });
  it('ignores what does not belong: a reading that is no length, a step that is not the present one', () => {
    const lathe = at('f2-between');
    lathe.read('much');
    lathe.add({ kind: 'done', stepId: 'mount' });
    expect(lathe.state).toMatchObject({ ignored: 2 });
  });
  it('takes how preset calipers went on for a reading, and moves by what it may be at the least', () => {
    const lathe = at('f2-between');
    const { mm, boundMm } = lathe.advice!.expected!;
    lathe.read(mm - 0.02, { feel: 'large' });
    const { measured, next } = lathe.advice!;
    expect(measured!.combined.guardMm).toBeCloseTo(Number((mm - 0.02).toFixed(3)), 5);
    expect(measured!.combined.largestMm).toBeCloseTo(mm + boundMm, 3);
    expect(measured!.decision).toMatchObject({ left: 'metalOn' });
    // smaller than the calipers it can be as small as the dial lets it: no deeper than that is safe
    const loose = at('f2-between');
    loose.read(mm, { feel: 'small' });
    const other = loose.advice!.next!;
    if (next?.kind !== 'move' || other.kind !== 'move') throw new Error('no move');
    expect(other.told.lines).toBeLessThanOrEqual(next.told.lines);
    // a number beside it says more
    loose.read(mm + 0.01);
    expect(loose.advice!.measured!.combined.guardMm).toBeCloseTo(Number((mm + 0.01).toFixed(3)), 9);
  });
  it('measures with an instrument that nobody listed, less surely', () => {
    const lathe = new AtTheLathe({ ...run, means: { ...run.means, instruments: [] } }).to('f2-after');
    lathe.read(27.97, { instrumentId: 'unlisted' });
    expect(lathe.advice!.measured!.combined.uncertaintyMm).toBe(0.01);
  });
});

describe('order of events', () => {
  const whole = at('none').events;
  it('gives the same state whatever order and however often events arrive', () => {
    const expected = replay(run, whole);
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...whole, ...whole.slice(0, 7)], { minLength: whole.length + 7 }),
        (shuffled) => {
          expect(replay(run, shuffled)).toEqual(expected);
        },
      ),
      { numRuns: 40 },
    );
  });
  it('puts parents first, then device and sequence, never clocks', () => {
    const event = (n: number, device: number, seq: number, parents: number[], when: string) =>
      ({ ...whole[0]!, id: uuid(n), device: uuid(device), seq, parents: parents.map(uuid), at: when }) as RunEvent;
    const events = [
      event(3, 2, 1, [1], '2020-01-01T00:00:00.000Z'),
      event(2, 1, 2, [1], '2030-01-01T00:00:00.000Z'),
      event(1, 1, 1, [], '2040-01-01T00:00:00.000Z'),
    ];
    expect(orderEvents(events).map((e) => e.id)).toEqual([uuid(1), uuid(2), uuid(3)]);
  });
  it('is not held up by a parent that never comes, nor by a loop', () => {
    const [a, b] = [whole[0]!, whole[1]!];
    expect(
      orderEvents([
        { ...a, parents: [b.id] },
        { ...b, parents: [a.id] },
      ]),
    ).toHaveLength(2);
    expect(orderEvents([{ ...b, parents: [uuid(4711)] }])).toHaveLength(1);
  });
});
