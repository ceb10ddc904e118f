import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { instruments } from '../testing/shop.ts';
import { decide } from './decide.ts';
import { chooseInstrument, fitness } from './instrument.ts';
import { combineReadings } from './readings.ts';

const limits = { upperMm: 10.015, lowerMm: 9.985, how: 'sizes' as const };

describe('decide', () => {
  it('guards the limits by the uncertainty on both sides', () => {
    expect(decide(10.0135, 0.004, limits)).toEqual({ verdict: 'cannotSay', side: 'inside' });
    expect(decide(10.011, 0.004, limits)).toEqual({ verdict: 'fits', side: 'inside' });
    expect(decide(10.019, 0.004, limits)).toEqual({ verdict: 'cannotSay', side: 'tooLarge' });
    expect(decide(10.0191, 0.004, limits)).toEqual({ verdict: 'doesNotFit', side: 'tooLarge' });
    expect(decide(9.98, 0.004, limits)).toEqual({ verdict: 'doesNotFit', side: 'tooSmall' });
  });
  it('never accepts what a coarser gauge would doubt, and is symmetric about the middle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.03, max: 0.03, noNaN: true }),
        fc.double({ min: 0.0005, max: 0.02, noNaN: true }),
        (off, u) => {
          const one = decide(10 + off, u, limits);
          const coarser = decide(10 + off, u * 1.5, limits);
          const mirror = decide(10 - off, u, limits);
          return (one.verdict === 'fits' || coarser.verdict !== 'fits') && one.verdict === mirror.verdict;
        },
      ),
    );
  });
});

describe('instruments', () => {
  it('is good from ten, allowed from four', () => {
    expect([fitness(0.04, 0.004), fitness(0.016, 0.004), fitness(0.0159, 0.004)]).toEqual([
      'good',
      'allowed',
      'tooCoarse',
    ]);
  });
  it('chooses the coarsest that is good, else the finest that reaches', () => {
    expect(chooseInstrument(instruments, 30, 0.4, 'mm')?.name).toBe('caliper');
    expect(chooseInstrument(instruments, 30, 0.02, 'mm')?.name).toBe('micrometer');
    expect(chooseInstrument(instruments, 400, 0.02, 'mm')).toBeUndefined();
    const inch = { ...instruments[0]!, unit: 'in' as const, name: 'inch micrometer' };
    expect(chooseInstrument([...instruments, inch], 25, 0.02, 'mm')?.name).toBe('micrometer');
    expect(chooseInstrument([...instruments, inch], 25, 0.02, 'in')?.name).toBe('inch micrometer');
  });
});

describe('combineReadings', () => {
  it('takes the mean and never claims more certainty than the gauge or the spread', () => {
    expect(combineReadings([28.412, 28.409], 0.004)).toMatchObject({ meanMm: 28.4105, uncertaintyMm: 0.004, count: 2 });
    expect(combineReadings([28.42, 28.4], 0.004).uncertaintyMm).toBeCloseTo(0.01, 9);
    expect(() => combineReadings([], 0.004)).toThrow(RangeError);
  });
});
