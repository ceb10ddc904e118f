import { describe, expect, it } from 'vitest';
import { outsides } from '../part/index.ts';
import { runOf } from '../testing/runs.ts';
import { feature } from '../testing/shop.ts';
import type { Told } from './event.ts';
import { doubted, doubtOf, doubtOfReading, expectedOf, expectedTouch } from './expect.ts';
import { type Reading, type RunState, startState } from './state.ts';

const run = runOf([feature(1, 40, 30), feature(2, 28, 40, 'h9'), feature(3, 24, 20)], 45);
const near = (mm: number) => expect.closeTo(mm, 9);
const told: Told = {
  ...{ slide: 'crossSlide', lines: 100, comesToMm: 30, smallestMm: 29.95, largestMm: 30.02, cut: 'rough' },
};
const cutOn = (more: Partial<RunState> = {}): RunState => ({
  ...startState(),
  crossLines: 100,
  lastCut: { featureId: 'f2', stepId: 'f2-rough-1', told, beforeMm: 34, beforeDoubtMm: 0 },
  ...more,
});

describe('what a measurement should find', () => {
  it('is between what the last cut may come to on either side', () => {
    expect(expectedOf(run, cutOn(), 'f2')).toEqual({ mm: near(29.985), boundMm: near(0.035 + 0.03) });
    const wide = { ...told, largestMm: 30.09 };
    expect(expectedOf(run, cutOn({ lastCut: { ...cutOn().lastCut!, told: wide } }), 'f2')).toEqual({
      ...{ mm: near(30.02), boundMm: near(0.07 + 0.03) },
    });
  });
  it('is the metal that is known on any other length, the stock at worst', () => {
    const known = cutOn({ metal: { f3: { diameterMm: 24.5, doubtMm: 0.1, by: 'expected' } } });
    expect(expectedOf(run, known, 'f3')).toEqual({ mm: 24.5, boundMm: near(0.13) });
    expect(expectedOf(run, known, 'f1')).toEqual({ mm: 45, boundMm: near(0.53) });
  });
  it('is nothing before the dial is known, or of no length', () => {
    expect(expectedOf(run, cutOn({ crossLines: undefined }), 'f2')).toBeUndefined();
    expect(expectedOf(run, cutOn(), undefined)).toBeUndefined();
  });
});

describe('what a touch should find', () => {
  const first = run.steps.find((s) => s.kind === 'touchOff')!;
  const second = run.steps.findLast((s) => s.kind === 'touchOff')!;
  it('is the bar less a light cut, then the length roughed last', () => {
    expect(first.targetMm).toBeUndefined();
    // up to 2.5 off Ø45, and 0.3 on either side
    expect(expectedTouch(run, startState(), first)).toEqual({ mm: 43.75, boundMm: near(1.55) });
    const { featureId, targetMm } = second;
    expect(expectedTouch(run, startState(), second)).toEqual({ mm: targetMm, boundMm: 0.3 });
    const roughed = { ...startState(), metal: { [featureId!]: { diameterMm: 24.6, doubtMm: 0.2, by: 'expected' } } };
    expect(expectedTouch(run, roughed as RunState, second)).toEqual({ mm: 24.6, boundMm: near(0.23) });
  });
});

describe('a reading beside it', () => {
  const read = (mm: number) => ({ mm, text: String(mm), unit: 'mm' as const });
  const expected = { mm: 30, boundMm: 0.05 };
  it('is believed within the bound and the gauge’s own doubt', () => {
    const micrometer = run.means.instruments.find((i) => i.kind === 'micrometer')!;
    const at = (mm: number, id?: string) => doubtOf(run, cutOn(), read(mm), expected, id, 'f2').kind;
    expect([at(30.05 + 0.0039, micrometer.id), at(30.05 + 0.0041, micrometer.id)]).toEqual(['believed', 'doubted']);
    // one that nobody listed is taken for 0.01
    expect([at(30.0599), at(30.0601)]).toEqual(['believed', 'doubted']);
    expect(doubtOf(run, cutOn(), read(99), undefined, undefined, 'f2')).toEqual({ kind: 'believed' });
  });
  it('is explained by a whole turn of this ring, and by other lengths that are cut already', () => {
    const state = cutOn({
      metal: {
        f1: { diameterMm: 40.2, doubtMm: 0, by: 'measured' },
        f2: { diameterMm: 40.2, doubtMm: 0, by: 'measured' },
      },
    });
    const slips = (mm: number) => {
      const doubt = doubtOf(run, state, read(mm), expected, undefined, 'f2');
      return doubt.kind === 'doubted' ? doubt.slips.map((s) => [s.code, s.surface]) : [];
    };
    // a turn of 2 mm on the radius
    expect(slips(34)).toEqual([['wholeTurn', undefined]]);
    expect(slips(40.2)).toEqual([['otherSurface', outsides(run.piece.part)[0]!.name]]);
  });
  it('is not doubted again once it was looked at, nor when it does not count or has no number', () => {
    const reading = {
      ...read(34),
      featureId: 'f2',
      instrumentId: 'unlisted',
      lookedAgain: false,
      setAside: false,
    } as Reading;
    const kind = (more: Partial<Reading>) => doubtOfReading(run, cutOn(), { ...reading, ...more }).kind;
    expect([kind({}), kind({ lookedAgain: true }), kind({ setAside: true }), kind({ feel: 'large' })]).toEqual([
      'doubted',
      'believed',
      'believed',
      'believed',
    ]);
    expect(doubted(run, cutOn(), reading)?.offMm).toBeCloseTo(4.015, 9);
    expect(doubted(run, cutOn(), { ...reading, mm: 30.01 })).toBeUndefined();
  });
});
