import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { instruments } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { decide, decideBetween } from './decide.ts';
import { doubtReading } from './doubt.ts';
import { combineFelt, limitsTold } from './felt.ts';
import {
  calibrationDue,
  chooseInstrument,
  fitness,
  instrumentSchema,
  measures,
  tellsNumber,
  uncertaintyOf,
  zeroHolds,
} from './instrument.ts';
import { combineReadings } from './readings.ts';

const limits = { upperMm: 10.015, lowerMm: 9.985 };
describe('decide', () => {
  it('guards the limits by the uncertainty on both sides', () => {
    expect(decide(10.0135, 0.004, limits)).toEqual({ verdict: 'cannotSay', side: 'inside', left: 'inside' });
    expect(decide(10.011, 0.004, limits)).toEqual({ verdict: 'fits', side: 'inside', left: 'inside' });
    expect(decide(10.019, 0.004, limits)).toEqual({ verdict: 'cannotSay', side: 'tooLarge', left: 'metalOn' });
    expect(decide(10.0191, 0.004, limits)).toEqual({ verdict: 'doesNotFit', side: 'tooLarge', left: 'metalOn' });
    expect(decide(9.98, 0.004, limits)).toEqual({ verdict: 'doesNotFit', side: 'tooSmall', left: 'gone' });
  });
  it('says of a bore the other way round what is gone', () => {
    expect(decide(10.03, 0.004, limits, undefined, 'inside')).toMatchObject({ side: 'tooLarge', left: 'gone' });
    expect(decide(9.97, 0.004, limits, undefined, 'inside')).toMatchObject({ side: 'tooSmall', left: 'metalOn' });
  });
  it('wants every place inside, and lets the one that guards the limit say where it lies', () => {
    const at = (small: number, large: number) => decideBetween(small, large, 0.002, limits);
    expect(at(9.99, 10.01)).toMatchObject({ verdict: 'fits', left: 'inside' });
    expect(at(9.99, 10.02)).toMatchObject({ verdict: 'doesNotFit', left: 'metalOn' });
    expect(at(9.97, 10.02)).toMatchObject({ verdict: 'doesNotFit', left: 'gone' });
  });
  it('never accepts what a coarser gauge would doubt, and is symmetric about the middle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.03, max: 0.03, noNaN: true }),
        fc.double({ min: 0.0005, max: 0.02, noNaN: true }),
        (off, u) => {
          const one = decide(10 + off, u, limits);
          const coarser = decide(10 + off, u * 1.5, limits);
          const mirror = decide(10 - off, u, limits, undefined, 'inside');
          expect(one.verdict === 'fits' || coarser.verdict !== 'fits').toBe(true);
          expect([mirror.verdict, mirror.left]).toEqual([one.verdict, one.left]);
        },
      ),
    );
  });
});

describe('instruments', () => {
  const [micrometer] = instruments;
  const inch = { ...micrometer!, unit: 'in' as const, name: 'inch micrometer', uncertaintyMm: 0.0025 };
  const choose = (list: typeof instruments, size: number, tolerance: number, unit: 'mm' | 'in' = 'mm') =>
    chooseInstrument(list, 'outside', size, tolerance, unit)?.name;
  it('is good from ten, allowed from four', () => {
    expect([fitness(0.04, 0.004), fitness(0.016, 0.004), fitness(0.0159, 0.004)]).toEqual([
      'good',
      'allowed',
      'tooCoarse',
    ]);
  });
  it('chooses the coarsest that is good, else the finest that reaches', () => {
    expect(choose(instruments, 30, 0.4)).toBe('caliper');
    expect(choose(instruments, 30, 0.02)).toBe('micrometer');
    expect(choose(instruments, 400, 0.02)).toBeUndefined();
    expect(choose([...instruments, inch], 25, 0.02)).toBe('micrometer');
    expect(choose([...instruments, inch], 25, 0.02, 'in')).toBe('inch micrometer');
  });
  it('takes one of the other unit only where none of its own may judge the limits and that one may', () => {
    // h5 of 25: 0.009. The metric one is too coarse, and so is the inch one: the metric one then
    expect(choose([...instruments, inch], 25, 0.009)).toBe('micrometer');
    expect(choose([...instruments, inch], 25, 0.0101)).toBe('inch micrometer');
  });
  it('goes by what each measures: no thread micrometer on a plain diameter, no micrometer in a bore', () => {
    const thread = { ...micrometer!, kind: 'thread micrometer' as const, name: 'thread', uncertaintyMm: 0.002 };
    const ring = { ...micrometer!, kind: 'ring gauge' as const, name: 'ring', uncertaintyMm: 0.001 };
    expect(choose([thread, ring, ...instruments], 25, 0.02)).toBe('micrometer');
    expect(chooseInstrument([thread], 'thread', 25, 0.1, 'mm')?.name).toBe('thread');
    expect(chooseInstrument(instruments, 'inside', 25, 0.5, 'mm')?.name).toBe('caliper');
    expect([measures(thread, 'outside'), tellsNumber(ring), tellsNumber(thread)]).toEqual([false, false, true]);
    expect([uncertaintyOf(instruments, micrometer!.id), uncertaintyOf(instruments, 'unlisted')]).toEqual([0.004, 0.01]);
  });
});

describe('combineReadings', () => {
  const of = (...readings: [mm: number, place?: string, uncertaintyMm?: number][]) =>
    readings.map(([mm, place, uncertaintyMm = 0.004]) => ({ mm, place, uncertaintyMm }));
  it('takes the mean of what agrees and never claims more certainty than the best gauge', () => {
    const { meanMm, guardMm, uncertaintyMm, count, disagreement } = combineReadings(of([28.412], [28.409]));
    expect([meanMm, guardMm, uncertaintyMm, count]).toEqual(
      [28.4105, 28.4105, 0.004, 2].map((x) => expect.closeTo(x, 9)),
    );
    expect(disagreement).toBeUndefined();
    expect(() => combineReadings([])).toThrow(RangeError);
  });
  it('weighs different gauges by their uncertainty', () => {
    // a caliper of ± 0.03 beside a micrometer of ± 0.004: weights as 1 to 56.25
    const { meanMm, uncertaintyMm } = combineReadings(of([28.43, '', 0.03], [28.41, '', 0.004]));
    expect(meanMm).toBeCloseTo((28.43 + 56.25 * 28.41) / 57.25, 9);
    expect(uncertaintyMm).toBe(0.004);
  });
  it('does not average what disagrees: the smallest outside, the largest inside guards the limit', () => {
    const far = of([30, 'middle'], [29, 'middle']);
    expect(combineReadings(far)).toMatchObject({ guardMm: 29, disagreement: { kind: 'samePlace', byMm: 1 } });
    expect(combineReadings(far, undefined, 'inside').guardMm).toBe(30);
  });
  it('tells a taper by its ends, and a middle that differs from both', () => {
    const taper = of([30.02, 'free end'], [30, 'shoulder end']);
    expect(combineReadings(taper).disagreement).toEqual({
      ...{ kind: 'taper', largeAt: 'free end', smallAt: 'shoulder end' },
      byMm: expect.closeTo(0.02, 9),
    });
    const barrel = of([30, 'free end'], [30.03, 'middle'], [30.002, 'shoulder end']);
    expect(combineReadings(barrel).disagreement).toMatchObject({ kind: 'bell', middle: 'large' });
    const hollow = of([30, 'free end'], [29.97, 'middle'], [30.002, 'shoulder end']);
    expect(combineReadings(hollow).disagreement).toMatchObject({ kind: 'bell', middle: 'small' });
  });
});

describe('gauges without a number', () => {
  const felt = (mm: number, feel: 'large' | 'touches' | 'small') => ({ mm, feel, uncertaintyMm: 0.02 });
  it('narrow the size from either side, and the dial closes what they leave open', () => {
    const both = combineFelt([felt(30.1, 'large'), felt(30.2, 'small')]);
    expect([both.smallestMm, both.largestMm, both.guardMm].map((x) => x.toFixed(3))).toEqual([
      '30.100',
      '30.200',
      '30.100',
    ]);
    expect(both.count).toBe(2);
    // what goes on at all is smaller, and not as large
    expect(both.largestMm).toBeLessThan(30.2);
    expect(both.smallestMm).toBeGreaterThan(30.1);
    expect(combineFelt([felt(30.1, 'large')], { mm: 30.3, boundMm: 0.1 })).toMatchObject({
      ...{ guardMm: expect.closeTo(30.2, 9), largestMm: expect.closeTo(30.4, 9) },
    });
    // where the dial speaks against what was felt only that counts
    const against = combineFelt([felt(30.1, 'small')], { mm: 30.3, boundMm: 0.1 });
    expect([against.smallestMm, against.largestMm].every((mm) => mm < 30.1 && mm > 30.0999)).toBe(true);
    const loose = combineFelt([felt(30.1, 'small')], { mm: 30, boundMm: 0.05 });
    expect([loose.guardMm, loose.largestMm]).toEqual([expect.closeTo(29.95, 9), expect.closeTo(30.05, 9)]);
  });
  it('take a touch for the size, as surely as it is felt; a bore is guarded by the largest', () => {
    const touch = combineFelt([felt(30.1, 'touches')]);
    expect([touch.smallestMm, touch.largestMm]).toEqual([30.08, 30.12].map((x) => expect.closeTo(x, 9)));
    expect(combineFelt([felt(30.1, 'touches')], undefined, undefined, 'inside').guardMm).toBeCloseTo(30.12, 9);
    expect(() => combineFelt([])).toThrow(RangeError);
  });
  it('that contradict one another leave the whole between them', () => {
    expect(combineFelt([felt(30.2, 'large'), felt(30.1, 'small')])).toMatchObject({
      smallestMm: expect.closeTo(30.1, 5),
      largestMm: expect.closeTo(30.2, 5),
    });
  });
});

describe('go and not-go', () => {
  const limits = { lowerMm: 20, upperMm: 20.021 };
  const told = (...felt: ['large' | 'touches' | 'small', number][]) =>
    limitsTold(
      felt.map(([feel, mm]) => ({ feel, mm })),
      limits,
    );
  it('say the verdict together, or one of them alone when it is beyond', () => {
    // a plug: go enters, not-go does not
    expect(told(['large', 20], ['small', 20.021])).toBe(true);
    // go does not enter; not-go does
    expect([told(['small', 20]), told(['large', 20.021])]).toEqual([true, true]);
  });
  it('leave it open with one end that goes as it should, and with a gauge of another size', () => {
    expect([told(['large', 20]), told(['small', 20.021])]).toEqual([false, false]);
    expect(told(['large', 19.98], ['small', 20.021])).toBe(false);
    expect(told(['touches', 20.01])).toBe(false);
  });
});

describe('a reading beside what the dial says', () => {
  const doubt = (
    text: string,
    expectedMm: number,
    unit: 'mm' | 'in' = 'mm',
    others = [{ name: 'journal', mm: 24.4 }],
  ) => doubtReading({ mm: Number(text) * (unit === 'in' ? 25.4 : 1), text, unit }, expectedMm, 0.06, 4, others);
  const slips = (text: string, expectedMm: number, unit: 'mm' | 'in' = 'mm') => {
    const found = doubt(text, expectedMm, unit);
    return found.kind === 'believed' ? [] : found.slips.map((s) => [s.code, Number(s.meantMm.toFixed(3))]);
  };
  it('is believed within what touch, spring and gauge can be out', () => {
    expect([doubt('30.44', 30.389).kind, doubt('30.33', 30.389).kind]).toEqual(['believed', 'believed']);
  });
  it('is doubted beyond, with the slip that would explain it', () => {
    expect(slips('30.889', 30.389)).toEqual([['halfMillimetre', 30.389]]);
    expect(slips('29.889', 30.389)).toEqual([['halfMillimetre', 30.389]]);
    expect(slips('26.389', 30.389)).toEqual([['wholeTurn', 30.389]]);
    // the likelier first
    expect(slips('30.839', 30.389)).toEqual([
      ['digits', 30.389],
      ['halfMillimetre', 30.339],
    ]);
    expect(slips('1.2218', 31.034)).toEqual([['otherUnit', 31.034]]);
    expect(slips('1.2218', 30.389, 'in')).toEqual([['thou25', 30.399]]);
    expect(slips('24.41', 30.389)).toEqual([['otherSurface', 24.41]]);
    expect(slips('31.2', 30.389)).toEqual([]);
  });
  it('tells its working', () => {
    const { steps, record } = collectWorking();
    doubtReading({ mm: 30.5, text: '30.5', unit: 'mm' }, 30.4, 0.06, 4, [], record);
    expect(steps[0]).toMatchObject({ code: 'gauge.doubt', values: { readMm: 30.5, offMm: expect.closeTo(0.1, 9) } });
  });
});

describe('a gauge’s own state', () => {
  const [micrometer] = instruments;
  it('is told by its last zero check, within its uncertainty', () => {
    const checked = (...offs: number[]) =>
      zeroHolds({ ...micrometer!, zeroChecks: offs.map((offMm) => ({ at: '2026-01-12T08:00:00.000Z', offMm })) });
    expect([zeroHolds(micrometer!), checked(0.004), checked(-0.004), checked(0.0041), checked(0.02, 0.001)]).toEqual([
      undefined,
      true,
      true,
      false,
      true,
    ]);
  });
  it('is due for calibration from the day after', () => {
    const due = (on?: string) =>
      calibrationDue({ ...micrometer!, calibration: { on: '2025-01-01', due: on, certificate: '' } }, '2026-11-23');
    expect([due(), due('2026-11-22'), due('2026-11-23'), due('2026-11-24')]).toEqual([undefined, true, false, false]);
  });
  it('is held by what may be typed of it', () => {
    const takes = (more: object) => instrumentSchema.safeParse({ ...micrometer!, ...more }).success;
    expect(takes({})).toBe(true);
    for (const [key, most] of [
      ['resolutionMm', 1],
      ['uncertaintyMm', 2],
      ['toMm', 5000],
    ] as const)
      expect([takes({ [key]: most }), takes({ [key]: most * 1.01 }), takes({ [key]: 0 })]).toEqual([
        true,
        false,
        false,
      ]);
    expect(takes({ name: 'x' })).toBe(true);
    expect([takes({ name: 'x'.repeat(60) }), takes({ name: 'x'.repeat(61) }), takes({ name: '' })]).toEqual([
      true,
      false,
      false,
    ]);
    const certificate = (length: number) =>
      takes({ calibration: { on: '2025-01-01', certificate: 'x'.repeat(length) } });
    expect([certificate(60), certificate(61)]).toEqual([true, false]);
    const checks = (count: number, offMm: number) =>
      takes({ zeroChecks: Array.from({ length: count }, () => ({ at: '2026-01-12T08:00:00.000Z', offMm })) });
    expect([checks(50, 5), checks(51, 0), checks(1, 5.1), checks(1, -5), checks(1, -5.1)]).toEqual([
      true,
      false,
      false,
      true,
      false,
    ]);
  });
  it('gives the least doubt of several that were felt, and tells what they leave', () => {
    const { steps, record } = collectWorking();
    const felt = combineFelt(
      [
        { mm: 30.1, uncertaintyMm: 0.02, feel: 'large' },
        { mm: 30.2, uncertaintyMm: 0.05, feel: 'small' },
      ],
      undefined,
      record,
    );
    expect(felt.uncertaintyMm).toBe(0.02);
    expect([felt.meanMm, felt.spreadMm]).toEqual([expect.closeTo(30.15, 5), expect.closeTo(0.1, 5)]);
    const near = (mm: number) => expect.closeTo(mm, 5);
    expect(steps[0]?.values).toEqual({ count: 2, smallestMm: near(30.1), largestMm: near(30.2), guardMm: near(30.1) });
  });
});
