import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Lathe, unknownStand } from '../lathe/index.ts';
import { planRoute } from '../route/index.ts';
import { drawingOf, feature, metricLathe, planInput } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { adviseStep } from './advice.ts';
import type { RunEvent } from './event.ts';
import { fineFeed } from './fine-feed.ts';
import { explainOperation, type FrozenRun } from './frozen.ts';
import { crossMove } from './next-move.ts';
import { orderEvents } from './order.ts';
import { explainSize, replay } from './replay.ts';
import { currentStep } from './state.ts';
import { stepsOf } from './step.ts';
import { cutMinutes } from './wear.ts';

const features = [feature(1, 40, 30), feature(2, 28, 60, 'h7')];
const input = planInput(features, 45);
const plan = planRoute(input);
const run: FrozenRun = {
  schema: 1,
  title: 'test',
  drawing: drawingOf(features),
  part: input.part,
  material: input.material,
  lathe: input.lathe,
  tools: input.tools,
  instruments: input.instruments,
  stockMm: 45,
  hold: input.hold,
  school: input.school,
  plan,
  steps: stepsOf(plan),
};
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const RUN = uuid(999_999);

/** Makes events in a row, each following the one before, as one device at the lathe does. */
class Bench {
  readonly events: RunEvent[] = [];
  add(body: Record<string, unknown>): RunEvent {
    const n = this.events.length + 1;
    const event = {
      schema: 1,
      id: uuid(n),
      runId: RUN,
      piece: 1,
      device: uuid(500),
      seq: n,
      parents: n > 1 ? [uuid(n - 1)] : [],
      at: '2026-01-12T09:00:00.000Z',
      ...body,
    } as RunEvent;
    this.events.push(event);
    return event;
  }
  get state() {
    return replay(run, this.events);
  }
  get step() {
    return currentStep(run.steps, this.state);
  }
  measure(mm: number): void {
    this.add({
      kind: 'reading',
      stepId: this.step!.id,
      raw: { text: String(mm), unit: 'mm' },
      instrumentId: input.instruments[0]!.id,
      place: 'middle',
    });
  }
  /** does steps until one of that id is the present one; measuring finds what was asked for */
  to(id: string): this {
    for (let guard = 0; this.step && this.step.id !== id && guard < 100; guard++) {
      const step = this.step;
      if (step.kind === 'touchOff')
        this.add({
          kind: 'touchedOff',
          stepId: step.id,
          diameter: { text: (step.targetMm ?? 44.6).toFixed(4), unit: 'mm' },
          crossNumber: '0.30',
          endNumber: '5.0',
          approach: 'in',
        });
      else {
        if (step.kind === 'measure') this.measure(step.targetMm!);
        this.add({ kind: 'done', stepId: step.id });
      }
    }
    return this;
  }
}

describe('replay', () => {
  it('goes through every step of the plan to the end', () => {
    const bench = new Bench().to('none');
    expect(bench.state.stepIndex).toBe(run.steps.length);
    expect(bench.state.ignored).toBe(0);
    expect(bench.state.outcomes.map((o) => [o.featureId, o.decision.verdict])).toEqual([
      ['f1', 'fits'],
      ['f2', 'fits'],
    ]);
  });
  it('counts dial numbers from the touch-off: half the change of diameter', () => {
    const bench = new Bench().to('f1-rough-1');
    const advice = adviseStep(run, bench.state)!;
    // from Ø44.6 at 0.30 to the pass's diameter
    const inMm = (44.6 - advice.step.targetMm!) / 2;
    expect(Number(advice.cross!.number)).toBeCloseTo((0.3 + Math.round(inMm / 0.02) * 0.02) % 2, 9);
    expect(advice.cross!.hand).toBe('clockwise');
    expect(advice.cross!.outTurns).toBe(1);
  });
  it('can still tell why, from what was frozen alone', () => {
    const { steps, record } = collectWorking();
    explainOperation(run, 'f2-rough', record);
    const rpm = run.plan.operations.find((o) => o.id === 'f2-rough')!.setting!.rpm;
    expect(steps.find((s) => s.code === 'cutting.chosenSpeed')!.values.rpm).toBe(rpm);
    const told = collectWorking();
    adviseStep(run, new Bench().to('f1-rough-1').state, told.record);
    expect(told.steps.map((s) => s.code)).toEqual(['run.depth', 'lathe.dialMove', 'lathe.dialMove']);
  });
  it('counts the carriage from the number noted at the faced end, towards the chuck', () => {
    const bench = new Bench().to('f2-rough-1');
    const advice = adviseStep(run, bench.state)!;
    expect(advice.fromEndMm).toBeCloseTo(60 - 0.3, 9);
    expect(advice.carriage).toMatchObject({
      number: ((5 + 59.7) % 20).toFixed(1),
      fullTurns: 2,
      hand: 'anticlockwise',
    });
  });
  it('makes a measured size the new reference, so that equal cuts cancel their spring', () => {
    const bench = new Bench().to('f2-between');
    const asked = bench.step!;
    const dialBefore = bench.state.crossLines!;
    bench.measure(28.43);
    bench.add({ kind: 'done', stepId: asked.id });
    const advice = adviseStep(run, bench.state)!;
    const radial = (28.43 - 27.9895) / 2;
    // sprung 0.04 at 0.2 deep; the next cut is a tenth deeper and will spring in proportion
    expect(Math.abs(advice.cross!.toLines - dialBefore - radial / 0.02)).toBeLessThanOrEqual(1);
    expect(bench.state.springs.at(-1)!.gotMm).toBe(28.43);
  });
  it('stays on the large side when the nearest line would go below the limit', () => {
    const reference = { lines: 0, diameterMm: 28.411, by: 'measured' as const };
    expect(crossMove(metricLathe, reference, 0, 27.9895).dialMm).toBeCloseTo(27.971, 9);
    const safe = crossMove(metricLathe, reference, 0, 27.9895, { lowestMm: 27.979 });
    expect(safe.dialMm).toBeCloseTo(28.011, 9);
    expect(27.9895 - 2 * safe.offByMm).toBeCloseTo(28.011, 9);
    expect(fineFeed(metricLathe, -safe.offByMm)).toMatchObject({ lines: 5, reading: '0.10' });
  });
  it('winds out as many whole turns as a larger diameter needs, so that it comes in again', () => {
    const reference = { lines: 30, diameterMm: 18, by: 'measured' as const };
    const move = crossMove(metricLathe, reference, 30, 28);
    expect(move.outTurns).toBe(3);
    expect(move.hand).toBe('clockwise');
    expect(move.dialMm).toBe(28);
  });
  it('cuts once more when too large, measures again, and ends when too small', () => {
    const bench = new Bench().to('f2-after');
    const id = bench.step!.id;
    bench.measure(28.05);
    bench.add({ kind: 'cutAgain', stepId: id });
    expect(bench.step).toMatchObject({ id: 'f2-after-again-1', kind: 'finish', targetMm: 27.9895 });
    bench.add({ kind: 'done', stepId: 'f2-after-again-1' });
    expect(bench.step!.id).toBe(id);
    expect(adviseStep(run, bench.state)!.measured).toBeUndefined();
    bench.measure(27.95);
    expect(adviseStep(run, bench.state)!.measured!.decision).toEqual({ verdict: 'doesNotFit', side: 'tooSmall' });
    bench.add({ kind: 'ended', outcome: 'cannotBePutBack', reason: 'too small' });
    expect(bench.state.ended).toMatchObject({ outcome: 'cannotBePutBack' });
    bench.add({ kind: 'done', stepId: id });
    expect(bench.state.ignored).toBe(1);
  });
  it('takes a size between planned measurements as the new reference, and gives it up again', () => {
    const bench = new Bench().to('f2-rough-2');
    const planned = adviseStep(run, bench.state)!.cross!;
    const asked = bench.state.lastCut!.dialMm;
    bench.measure(asked + 0.08);
    const now = adviseStep(run, bench.state)!.cross!;
    // 0.08 larger than the dial says: two lines of the radius dial further in, and a little for the spring to come
    expect(now.toLines - planned.toLines).toBeGreaterThanOrEqual(2);
    expect(bench.state.readings.at(-1)).toMatchObject({ featureId: 'f2', stepId: 'f2-rough-2' });
    bench.add({ kind: 'undone', eventId: bench.state.advances.at(-1)! });
    expect(adviseStep(run, bench.state)!.cross!.toLines).toBe(planned.toLines);
  });
  it('keeps what a corrected reading was, and takes back what is undone', () => {
    const bench = new Bench().to('f2-between');
    bench.measure(28.4);
    const reading = bench.events.at(-1)!;
    bench.add({ kind: 'corrected', readingId: reading.id, raw: { text: '28.39', unit: 'mm' } });
    expect(bench.state.readings.at(-1)).toMatchObject({ mm: 28.39, was: ['28.4'] });
    const before = bench.state.stepIndex;
    const done = bench.add({ kind: 'done', stepId: bench.step!.id });
    expect(bench.state.stepIndex).toBe(before + 1);
    bench.add({ kind: 'undone', eventId: done.id });
    expect(bench.state.stepIndex).toBe(before);
  });
  it('counts what each tool has cut, and no winding back', () => {
    const bench = new Bench().to('f2-between');
    const minutes = cutMinutes(run, bench.state);
    const cut = run.steps.slice(0, bench.state.stepIndex).filter((s) => s.passNumber !== undefined);
    const all = [...minutes.values()].reduce((a, b) => a + b, 0);
    expect(all).toBeCloseTo(
      cut.reduce((sum, s) => sum + s.minutes - 0.4, 0),
      9,
    );
    expect(minutes.get(cut[0]!.toolId!)).toBeGreaterThan(0);
    expect(cutMinutes(run, replay(run, [])).size).toBe(0);
  });
  it('begins from how the lathe stood, and believes what the turner says of it', () => {
    const stand = { ...unknownStand(metricLathe), controls: { lever: '9', feed: '3' }, toolId: run.tools[0]!.id };
    const begun = { ...run, stand };
    const bench = new Bench().to('f2-rough-1');
    const wanted = adviseStep(run, bench.state)!;
    expect(replay(begun, [])).toMatchObject({ standing: { lever: '9', feed: '3' }, toolId: stand.toolId });
    const to = wanted.step.setting!.speedAt.lever!;
    // someone moved the lever meanwhile: it is told again, and not told where it stands already
    bench.add({ kind: 'stands', stepId: wanted.step.id, positions: { lever: '1', feed: '' } });
    expect(adviseStep(run, bench.state)!.changes).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ id: 'lever', from: '1', to }),
        expect.objectContaining({ id: 'feed', from: undefined }),
      ]),
    );
    bench.add({ kind: 'stands', stepId: wanted.step.id, positions: { lever: to } });
    expect(adviseStep(run, bench.state)!.changes.map((c) => c.id)).not.toContain('lever');
    expect(bench.state.ignored).toBe(0);
  });
  it('expects of a first pass what the lathe’s own trial cut sprang', () => {
    const springy = { ...run.lathe, rigidity: { ...run.lathe.rigidity, springShare: 0.04 } };
    const reference = { lines: 0, diameterMm: 44, by: 'touchOff' as const };
    const travel = (lathe: Lathe) => crossMove(lathe, reference, 0, 42, { passDepthMm: 1 }).toLines;
    // 4 % of 1 mm on the radius: two lines of 0.02 further in
    expect(travel(springy) - travel({ ...springy, rigidity: { usualDepthMm: 1, deepestCutMm: 2 } })).toBe(2);
  });
  it('tells how a measured size and its verdict came about, from all its readings', () => {
    const bench = new Bench().to('f2-between');
    bench.measure(28.4);
    bench.measure(28.41);
    const { steps, record } = collectWorking();
    explainSize(run, bench.state, bench.step!.id, record);
    expect(steps.map((s) => s.code)).toEqual(['gauge.combine', 'gauge.decide']);
    expect(steps[0]!.values).toMatchObject({ count: 2, meanMm: 28.405 });
    explainSize(run, bench.state, 'mount', () => {
      throw new Error('nothing was measured there');
    });
  });
  it('ignores what does not belong: a reading that is no length, a step that is not the present one', () => {
    const bench = new Bench().to('f2-between');
    bench.add({
      kind: 'reading',
      stepId: bench.step!.id,
      raw: { text: 'much', unit: 'mm' },
      instrumentId: uuid(1),
      place: '',
    });
    bench.add({ kind: 'done', stepId: 'mount' });
    expect(bench.state).toMatchObject({ ignored: 2 });
  });
});

describe('order of events', () => {
  const whole = new Bench().to('none').events;
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
    const event = (n: number, device: number, seq: number, parents: number[], at: string) =>
      ({ ...whole[0]!, id: uuid(n), device: uuid(device), seq, parents: parents.map(uuid), at }) as RunEvent;
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
