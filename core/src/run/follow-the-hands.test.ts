import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Dial, dialNumber, dialScale, type Lathe, numbersPerTurn, readDialNumber } from '../lathe/index.ts';
import { planRoute } from '../route/index.ts';
import { drawingOf, feature, metricLathe, planInput } from '../testing/shop.ts';
import { adviseStep } from './advice.ts';
import type { RunEvent } from './event.ts';
import type { FrozenRun } from './frozen.ts';
import { replay } from './replay.ts';
import { stepsOf } from './step.ts';

/**
 * A handwheel as it really is: a ring that turns with the hand, a slide that follows only after the slack is taken up.
 * It knows nothing of the code under test but the dial's description.
 */
class Handwheel {
  /** true place of the slide, mm, growing inwards */
  slideMm = 0;
  #screwMm = 0;
  constructor(
    readonly dial: Dial,
    public ringLines: number,
  ) {}
  /** turns the wheel by so many lines of its own ring */
  turn(lines: number, hand: 'clockwise' | 'anticlockwise'): void {
    const { dial } = this;
    const rises = (hand === 'clockwise') === (dial.numbersRise === 'clockwise');
    this.ringLines += rises ? lines : -lines;
    const inwards = (hand === 'clockwise') === (dial.clockwiseMoves === 'in');
    this.#screwMm += (inwards ? 1 : -1) * lines * dialScale(dial).lineTravelMm.valueOf();
    // the nut has play: the slide is pushed from one side or the other, or stands
    if (this.#screwMm > this.slideMm) this.slideMm = this.#screwMm;
    else if (this.#screwMm < this.slideMm - dial.slackMm) this.slideMm = this.#screwMm + dial.slackMm;
  }
  get reads(): string {
    return dialNumber(this.dial, this.ringLines);
  }
}

const other = (hand: 'clockwise' | 'anticlockwise') => (hand === 'clockwise' ? 'anticlockwise' : 'clockwise');
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

/** Cuts a piece doing exactly what the advice says, with a lathe that springs; gives back what came out. */
function turnPiece(
  lathe: Lathe,
  features: ReturnType<typeof feature>[],
  stockMm: number,
  startNumber: string,
  springShare: number,
) {
  const input = planInput(features, stockMm, { lathe });
  const plan = planRoute(input);
  const run: FrozenRun = {
    schema: 1,
    title: 'piece',
    drawing: drawingOf(features),
    part: input.part,
    material: input.material,
    lathe,
    tools: input.tools,
    instruments: input.instruments,
    stockMm,
    hold: input.hold,
    school: input.school,
    plan,
    steps: stepsOf(plan),
  };
  const events: RunEvent[] = [];
  const add = (body: object) => {
    const n = events.length + 1;
    events.push({
      schema: 1,
      id: uuid(n),
      runId: uuid(0),
      piece: 1,
      device: uuid(9),
      seq: n,
      parents: n > 1 ? [uuid(n - 1)] : [],
      at: '2026-01-12T09:00:00.000Z',
      ...body,
    } as RunEvent);
  };
  const start = readDialNumber(lathe.slides.crossSlide, startNumber);
  if (!start.ok) throw new Error('not on this ring');
  const wheel = new Handwheel(lathe.slides.crossSlide, start.lines);
  // the touching-off cut leaves a diameter; the slide stands there, pushed inwards
  const touchedMm = stockMm - 0.3;
  const sizes = new Map<string, number>();
  let lastMm = touchedMm;
  // diameter at the tool's point when the slide stands at its own beginning: another one for each tool
  let zeroMm = touchedMm;
  for (let guard = 0; guard < 200; guard++) {
    const state = replay(run, events);
    const advice = adviseStep(run, state);
    if (!advice) break;
    const { step, cross } = advice;
    if (step.kind === 'touchOff') {
      // the second time another tool touches what was roughed last, wherever the slide stands for it
      if (step.targetMm !== undefined) zeroMm = lastMm + 2 * wheel.slideMm;
      add({
        kind: 'touchedOff',
        stepId: step.id,
        diameter: { text: lastMm.toFixed(4), unit: 'mm' },
        crossNumber: wheel.reads,
        endNumber: '0',
        approach: 'in',
      });
      continue;
    }
    if (step.kind === 'measure') {
      if (!state.readings.some((r) => r.stepId === step.id && r.round === (state.rounds[step.id] ?? 0))) {
        add({
          kind: 'reading',
          stepId: step.id,
          raw: { text: lastMm.toFixed(3), unit: 'mm' },
          instrumentId: input.instruments[0]!.id,
          place: 'middle',
        });
        continue;
      }
      const { decision } = advice.measured!;
      if (
        step.last &&
        decision.side === 'tooLarge' &&
        decision.verdict === 'doesNotFit' &&
        (state.rounds[step.id] ?? 0) < 2
      )
        add({ kind: 'cutAgain', stepId: step.id });
      else add({ kind: 'done', stepId: step.id });
      continue;
    }
    if (cross) {
      const into =
        cross.hand === 'none'
          ? lathe.slides.crossSlide.clockwiseMoves === 'in'
            ? 'clockwise'
            : 'anticlockwise'
          : cross.hand;
      expect(wheel.reads).toBe(dialNumber(lathe.slides.crossSlide, cross.fromLines));
      const { divisions } = lathe.slides.crossSlide;
      wheel.turn(cross.outTurns * divisions, other(into));
      // whole turns out: the same number came back, and the tool is clear of what it cut
      expect(wheel.reads).toBe(dialNumber(lathe.slides.crossSlide, cross.fromLines));
      const rest = Number(cross.rest) / dialScale(lathe.slides.crossSlide).lineNumber.valueOf();
      wheel.turn(cross.fullTurns * divisions + Math.round(rest * 1e6) / 1e6, into);
      expect(wheel.reads).toBe(cross.number);
      const dialledMm = zeroMm - 2 * wheel.slideMm;
      expect(dialledMm).toBeLessThanOrEqual(step.fromMm! + 0.05);
      // work and tool give way in proportion to the depth of the cut
      lastMm = dialledMm + springShare * Math.max(0, step.fromMm! - dialledMm);
      if (step.featureId) sizes.set(step.featureId, lastMm);
    }
    add({ kind: 'done', stepId: step.id });
  }
  const end = replay(run, events);
  return { sizes, part: input.part, finished: end.stepIndex === run.steps.length, ignored: end.ignored };
}

const inchDial: Dial = {
  ...metricLathe.slides.crossSlide,
  unit: 'in',
  travelPerTurn: '0.100',
  divisions: 100,
  resettable: false,
  slackMm: 0.25,
};
const diameterDial: Dial = {
  ...metricLathe.slides.crossSlide,
  travelPerTurn: '0.5',
  divisions: 50,
  kind: 'diameter',
  slackMm: 0.06,
};
const withDial = (dial: Dial): Lathe => ({ ...metricLathe, slides: { ...metricLathe.slides, crossSlide: dial } });
const shaft = [
  feature(1, 40, 40, '±0.1'),
  feature(2, 30, 40, 'h9'),
  feature(3, 22, 30, 'h8'),
  feature(4, 15, 15, '±0.2'),
];

describe('a turner who does what the windows say', () => {
  it.each([
    ['metric radius dial', metricLathe.slides.crossSlide, '0.00'],
    ['inch radius dial that cannot be set, from an odd number', inchDial, '0.037'],
    ['diameter dial', diameterDial, '0.40'],
    ['numbers that rise the other way', { ...inchDial, numbersRise: 'anticlockwise' as const }, '0.099'],
    ['screw of the other hand', { ...diameterDial, clockwiseMoves: 'out' as const }, '0.00'],
  ])('ends inside every limit with a %s', (_name, dial, start) => {
    const { sizes, part, finished, ignored } = turnPiece(withDial(dial), shaft, 45, start, 0);
    expect([finished, ignored]).toEqual([true, 0]);
    for (const f of part.features) {
      expect([f.id, sizes.get(f.id)! <= f.limits.upperMm + 0.002]).toEqual([f.id, true]);
      expect([f.id, sizes.get(f.id)! >= f.limits.lowerMm - 0.002]).toEqual([f.id, true]);
    }
  });
  it('is not misled by slack, by the dial’s sense, by where the ring stood, nor by work that springs', () => {
    const dials = fc.record({
      base: fc.constantFrom(metricLathe.slides.crossSlide, inchDial, diameterDial),
      clockwiseMoves: fc.constantFrom('in' as const, 'out' as const),
      numbersRise: fc.constantFrom('clockwise' as const, 'anticlockwise' as const),
      slackMm: fc.double({ min: 0, max: 0.45, noNaN: true }),
    });
    fc.assert(
      fc.property(
        dials,
        fc.integer({ min: 0, max: 49 }),
        fc.integer({ min: 0, max: 12 }),
        ({ base, ...sense }, line, hundredths) => {
          const spring = hundredths / 100;
          const dial: Dial = { ...base, ...sense };
          const { lineNumber, decimals } = dialScale(dial);
          const start = (line * lineNumber.valueOf()).toFixed(decimals);
          fc.pre(Number(start) < numbersPerTurn(dial).valueOf());
          const { sizes, part, finished } = turnPiece(withDial(dial), shaft, 45, start, spring);
          expect(finished).toBe(true);
          const lineMm = dialScale(dial).lineTravelMm.valueOf();
          for (const f of part.features) {
            const size = sizes.get(f.id)!;
            // nothing is ever cut below its lower limit: metal cannot be put back
            expect(size).toBeGreaterThanOrEqual(f.limits.lowerMm - 0.002);
            // two equal cuts cancel the spring: what is left is the coarseness of the line, and the step kept from the lower limit
            const tolerance = f.limits.upperMm - f.limits.lowerMm;
            if (tolerance < 0.12)
              expect(Math.abs(size - (f.limits.upperMm + f.limits.lowerMm) / 2)).toBeLessThanOrEqual(
                2 * lineMm + 0.004,
              );
          }
        },
      ),
      { numRuns: 120 },
    );
  });
});
