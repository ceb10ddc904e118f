import { describe, expect, it } from 'vitest';
import { AtTheLathe } from '../testing/at-the-lathe.ts';
import { runOf } from '../testing/runs.ts';
import { feature } from '../testing/shop.ts';
import { effectOf } from './effect.ts';
import { isPass } from './step.ts';

// the first by whole lines, the second by half ones
const run = runOf([feature(1, 40, 30), feature(2, 28, 40, 'h9')], 45);
const at = (id: string) => new AtTheLathe(run).to(id);

describe('a size that is far from what the dial let expect', () => {
  it('makes everything the same tool cut without measuring as doubtful as it was off, and nothing that was measured', () => {
    const lathe = at('f2-roughed');
    const { metal, lastCut } = lathe.state;
    const before = metal.f1!;
    expect(before.by).toBe('expected');
    const { smallestMm, largestMm } = lastCut!.told;
    const middle = (smallestMm + largestMm) / 2;
    // just within the bound, and the gauge’s own: believed, and nobody else doubted
    const near = (smallestMm + largestMm) / 2 + (largestMm - smallestMm) / 2 + 0.03 - 0.001;
    const calm = at('f2-roughed');
    calm.read(near);
    calm.act('goOn');
    expect(calm.state.metal.f1).toEqual(before);
    expect(calm.state.metal.f2).toEqual({ diameterMm: Number(near.toFixed(3)), doubtMm: 0.004, by: 'measured' });
    // 0.6 too large, looked at again: it is so
    const odd = at('f2-roughed');
    odd.read(middle + 0.6, { lookedAgain: true });
    odd.act('goOn');
    const off = Math.abs(Number((middle + 0.6).toFixed(3)) - middle);
    expect(odd.state.metal.f1).toMatchObject({ diameterMm: before.diameterMm, by: 'expected' });
    expect(odd.state.metal.f1!.doubtMm).toBeCloseTo(before.doubtMm + off, 9);
  });
});

describe('the cut after a measurement', () => {
  it('is the next pass of the same length, from the size that was read', () => {
    const lathe = at('f2-roughed');
    lathe.read(28.42);
    const { nextStep, next } = lathe.advice!;
    expect(nextStep).toMatchObject({ featureId: 'f2', fromMm: 28.42 });
    expect(isPass(nextStep!)).toBe(true);
    // the finishing tool is touched off first
    expect(next).toBeUndefined();
    const between = at('f2-between');
    between.read(28.2);
    expect(between.advice!.nextStep).toMatchObject({ featureId: 'f2', kind: 'finish', fromMm: 28.2 });
    expect(between.advice!.next).toMatchObject({ kind: 'move', beforeMm: expect.closeTo(28.2, 9) });
  });
  it('is one more of the finishing tool where the last one left too much, and none where it is inside or gone', () => {
    const large = at('f2-after');
    large.read(28.03, { lookedAgain: true });
    expect(large.advice!.nextStep).toMatchObject({ id: 'f2-after-again-1', kind: 'finish', fromMm: 28.03 });
    expect(large.advice!.inside).toBe(false);
    const right = at('f2-after');
    right.read(27.975);
    expect([right.advice!.next, right.advice!.nextStep]).toEqual([undefined, undefined]);
    const gone = at('f2-after');
    gone.read(27.93, { lookedAgain: true });
    expect([gone.advice!.next, gone.advice!.nextStep]).toEqual([undefined, undefined]);
  });
  it('may be left out where a measurement between finds the size inside by half the gauge’s doubt, on both sides', () => {
    const inside = (mm: number) => {
      const lathe = at('f2-between');
      lathe.read(mm, { lookedAgain: true });
      return lathe.advice!.inside;
    };
    expect([inside(27.99), inside(27.997), inside(27.999), inside(28.01)]).toEqual([true, true, false, false]);
    expect([inside(27.951), inside(27.949)]).toEqual([true, false]);
  });
  it('waits while a reading is doubted', () => {
    const lathe = at('f2-between');
    lathe.read(29);
    expect(lathe.advice!.measured!.doubts).toHaveLength(1);
    expect([lathe.advice!.next, lathe.advice!.nextStep]).toEqual([undefined, undefined]);
  });
});

describe('what a corrected reading changes', () => {
  it('is told by number, length and verdict, each only where it changed', () => {
    const lathe = at('f2-between');
    const reading = lathe.read(28.2);
    lathe.act('goOn');
    const corrected = lathe.add({ kind: 'corrected', readingId: reading.id, raw: { text: '28.21', unit: 'mm' } });
    const effect = effectOf(run, lathe.events, corrected.id)!;
    expect(effect.lengths).toEqual([{ featureId: 'f2', wasMm: 28.2, isMm: 28.21 }]);
    expect(effect.verdicts).toEqual([]);
    expect(effect.number!.was).not.toBe(effect.number!.is);
    // a hair changes no number that can be set, but the length
    const hair = at('f2-between');
    const first = hair.read(28.2);
    hair.act('goOn');
    const little = hair.add({ kind: 'corrected', readingId: first.id, raw: { text: '28.2002', unit: 'mm' } });
    expect(effectOf(run, hair.events, little.id)).toMatchObject({
      ...{ number: undefined, lengths: [{ featureId: 'f2', isMm: 28.2002 }], verdicts: [] },
    });
    const none = at('f2-between');
    const same = none.read(28.2);
    none.act('goOn');
    const again = none.add({ kind: 'corrected', readingId: same.id, raw: { text: '28.20001', unit: 'mm' } });
    expect(effectOf(run, none.events, again.id)).toBeUndefined();
  });
  it('is the verdict of a finished length too', () => {
    const lathe = at('f2-after');
    const reading = lathe.read(27.975);
    lathe.act('fits');
    const corrected = lathe.add({ kind: 'corrected', readingId: reading.id, raw: { text: '27.93', unit: 'mm' } });
    expect(effectOf(run, lathe.events, corrected.id)!.verdicts).toEqual([
      { featureId: 'f2', was: 'fits', is: 'doesNotFit' },
    ]);
  });
});

describe('a roughing pass', () => {
  it('leaves on every length that it goes over what it was told, as doubtful as its worse side', () => {
    const lathe = at('f2-rough-1');
    const { told } = lathe.state.lastCut!;
    const doubtMm = Math.max(told.comesToMm - told.smallestMm, told.largestMm - told.comesToMm);
    expect(doubtMm).toBeGreaterThan(Math.min(told.comesToMm - told.smallestMm, told.largestMm - told.comesToMm) + 0.01);
    for (const id of ['f1', 'f2'])
      expect(lathe.state.metal[id]).toEqual({ diameterMm: told.comesToMm, doubtMm, by: 'expected' });
    // the next one stops at the shoulder: the length behind it keeps what it has
    const before = lathe.state.metal.f1;
    lathe.to('f2-roughed');
    expect(lathe.state.metal.f1).toEqual(before);
    expect(lathe.state.metal.f2!.diameterMm).toBeLessThan(29);
  });
  it('is set to a tenth of a line by the hand; by the compound ten times as finely', () => {
    const lathe = at('f2-roughed');
    lathe.read(28.42);
    lathe.act('goOn');
    expect(lathe.state.cuts.at(-1)!.setMm).toBeCloseTo(0.002, 9);
    const fine = new AtTheLathe(runOf([feature(1, 40, 30), feature(2, 24, 20, 'h7')], 45)).to('f2-after');
    expect(fine.state.cuts.at(-1)!.setMm).toBeCloseTo(0.0002, 9);
  });
});

describe('events that come late or twice', () => {
  it('do nothing: a correction or a doubt of no reading, a file where nothing is measured, a trial of a trial', () => {
    const lathe = at('f2-between');
    const missing = '00000000-0000-4000-8000-0000000000ee';
    lathe.add({ kind: 'corrected', readingId: missing, raw: { text: '28', unit: 'mm' } });
    lathe.add({ kind: 'confirmed', readingId: missing });
    lathe.add({ kind: 'setAside', readingId: missing });
    lathe.add({ kind: 'byHand', stepId: 'f2-between', with: 'file' });
    lathe.add({ kind: 'cutAgain', stepId: 'f2-between' });
    expect(lathe.state).toMatchObject({ ignored: 5, stepIndex: run.steps.findIndex((s) => s.id === 'f2-between') });
    const reading = lathe.read(28.2);
    lathe.add({ kind: 'corrected', readingId: reading.id, raw: { text: 'nothing', unit: 'mm' } });
    expect(lathe.state.ignored).toBe(6);
  });
  it('keep every text that was typed before, oldest first', () => {
    const lathe = at('f2-between');
    const reading = lathe.read('28.20');
    const fix = (text: string) => lathe.add({ kind: 'corrected', readingId: reading.id, raw: { text, unit: 'mm' } });
    expect(lathe.state.readings.at(-1)!.was).toEqual([]);
    fix('28.21');
    expect(lathe.state.readings.at(-1)).toMatchObject({ text: '28.21', mm: 28.21, was: ['28.20'] });
    fix('28.22');
    expect(lathe.state.readings.at(-1)).toMatchObject({ text: '28.22', was: ['28.20', '28.21'] });
  });
  it('are left as they were where a cut is passed over, and named', () => {
    const lathe = at('f2-roughed');
    lathe.read(28.42);
    lathe.act('goOn');
    lathe.to(lathe.run.steps[lathe.state.stepIndex + 1]!.id);
    const { step } = lathe;
    expect(isPass(step!)).toBe(true);
    lathe.add({ kind: 'done', stepId: step!.id });
    expect(lathe.state.leftSo).toEqual([{ stepId: step!.id, featureId: step!.featureId }]);
    expect(lathe.state.metal.f2).toMatchObject({ diameterMm: 28.42 });
  });
});

describe('filing by hand', () => {
  it('keeps the ring’s worth, reads anew, and believes no more than it may have taken', () => {
    const lathe = at('f2-after');
    lathe.read(28.004);
    lathe.add({ kind: 'byHand', stepId: 'f2-after', with: 'emery' });
    const { metal, rounds, lastCut, readings } = lathe.state;
    expect(metal.f2).toEqual({ diameterMm: 28.004, doubtMm: 0.05, by: 'expected' });
    expect([rounds['f2-after'], lastCut]).toEqual([1, undefined]);
    expect(lathe.advice!.measured).toBeUndefined();
    expect(readings.at(-1)!.round).toBe(0);
    lathe.read(27.99);
    expect(lathe.state.readings.at(-1)!.round).toBe(1);
    expect(lathe.advice!.measured!.decision).toMatchObject({ verdict: 'fits' });
  });
});
