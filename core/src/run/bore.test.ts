import { describe, expect, it } from 'vitest';
import { AtTheLathe } from '../testing/at-the-lathe.ts';
import { boreStep, drawer, holeGauges, hollow } from '../testing/drawer.ts';
import { runOf } from '../testing/runs.ts';
import { feature } from '../testing/shop.ts';
import { actsOf } from './acts.ts';
import { sideOf } from './side-of.ts';

const made = (kind: 'bored' | 'reamed', limits: string) =>
  runOf(hollow([feature(1, 40, 40)], [boreStep('b1', 20, '', { limits, kind })]), 42, {
    ...{ tools: drawer, instruments: holeGauges },
  });
const bored = made('bored', '±0.1');
const clockwise = { clockwise: 'anticlockwise', anticlockwise: 'clockwise' } as const;
const handIn = bored.means.lathe.slides.crossSlide.clockwiseMoves === 'in' ? 'clockwise' : 'anticlockwise';

describe('a hole at the lathe', () => {
  it('is known from the drill: so wide, and out by what a drill is', () => {
    const at = new AtTheLathe(bored).to('b1-touchOff');
    expect(at.state.metal.b1).toEqual({ diameterMm: 16, doubtMm: 0.3, by: 'expected' });
    expect(at.advice!.expected!.mm).toBe(16);
    expect(at.advice!.expected!.boundMm).toBeCloseTo(0.33, 9);
    expect(sideOf(bored, 'b1')).toBe('inside');
    expect(sideOf(bored, 'f1')).toBe('outside');
    expect(sideOf(bored, undefined)).toBe('outside');
  });
  it('is cut outwards: the hand that winds in clears the wall, the other one cuts', () => {
    const at = new AtTheLathe(bored).to('b1-rough-1');
    const { move } = at.advice!;
    if (move?.kind !== 'move') throw new Error('no move');
    expect(move.hands).toMatchObject({ outHand: handIn, hand: clockwise[handIn], cuts: 'out' });
    expect(move.told.comesToMm).toBeGreaterThan(move.beforeMm);
    const outside = new AtTheLathe(bored).to('f1-rough-1').advice!.move;
    if (outside?.kind !== 'move') throw new Error('no move');
    expect(outside.hands).toMatchObject({ hand: handIn, outHand: clockwise[handIn] });
    expect(outside.hands.cuts).toBeUndefined();
  });
  it('goes to the larger limit’s side with each cut, and what is too small is still to be bored', () => {
    const at = new AtTheLathe(bored).to('b1-after');
    at.read('19.850');
    expect(at.advice!.measured!.decision).toMatchObject({ verdict: 'doesNotFit', side: 'tooSmall', left: 'metalOn' });
    expect(at.advice!.measured!.doubts.length).toBe(1);
    at.add({ kind: 'confirmed', readingId: at.events.at(-1)!.id });
    const codes = () => actsOf(at.advice!).map((a) => a.code);
    expect(codes()).toContain('cutAgain');
    at.act('cutAgain');
    const { move } = at.advice!;
    if (move?.kind !== 'move') throw new Error('no move');
    expect(move.beforeMm).toBeCloseTo(19.85, 9);
    expect(move.told.comesToMm).toBeGreaterThan(19.9);
    expect(move.told.largestMm).toBeLessThanOrEqual(20.1);
  });
  it('cannot be put back once it is too large', () => {
    const at = new AtTheLathe(bored).to('b1-after');
    at.read('20.150');
    at.add({ kind: 'confirmed', readingId: at.events.at(-1)!.id });
    expect(at.advice!.measured!.decision).toMatchObject({ side: 'tooLarge', left: 'gone' });
    expect(actsOf(at.advice!).map((a) => a.code)).toEqual(['gone']);
  });
  it('shows its spring as an outside does: what came short of a deep cut', () => {
    const at = new AtTheLathe(bored).to('b1-between');
    const step = at.step ? at : new AtTheLathe(bored).to('b1-after');
    const told = step.state.lastCut!.told.comesToMm;
    step.read((told - 0.02).toFixed(3));
    // it gave way: smaller than told, and the next number goes farther out for it
    const { next } = step.advice!;
    if (next?.kind === 'move') expect(next.told.comesToMm).toBeGreaterThan(told - 0.02);
    expect(step.advice!.measured!.combined.guardMm).toBeCloseTo(told - 0.02, 3);
  });
  it('is measured with a gauge that goes into it', () => {
    const gauge = holeGauges.find((g) => g.kind === 'bore gauge')!;
    const h7 = made('bored', 'H8');
    expect(h7.steps.filter((s) => s.kind === 'measure' && s.featureId === 'b1').map((s) => s.instrumentId)).toEqual(
      expect.arrayContaining([gauge.id]),
    );
  });
});

describe('a reamed hole', () => {
  const run = made('reamed', 'H7');
  it('is as wide as its reamer, and no ring makes it wider', () => {
    const at = new AtTheLathe(run).to('b1-after');
    expect(at.state.metal.b1).toMatchObject({ diameterMm: 20, by: 'expected' });
    at.read('19.990');
    const codes = actsOf(at.advice!).map((a) => a.code);
    expect(at.advice!.next).toBeUndefined();
    expect(codes).toEqual(['accept']);
  });
});
