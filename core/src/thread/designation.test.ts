import { describe, expect, it } from 'vitest';
import { readThread } from './designation.ts';

const named = (text: string) => {
  const read = readThread(text);
  return read.ok ? [read.thread.form, read.thread.majorMm, read.thread.pitchMm, read.thread.starts] : [read.why];
};

describe('the name of a thread', () => {
  it.each([
    ['M20', 'metric', 20, 2.5],
    ['M 6', 'metric', 6, 1],
    ['M6', 'metric', 6, 1],
    ['M20x1.5', 'metric', 20, 1.5],
    ['M20 × 1,5', 'metric', 20, 1.5],
    ['M20x2.5-6g', 'metric', 20, 2.5],
    ['M1.6', 'metric', 1.6, 0.35],
    ['Tr 24x5', 'trapezoidal', 24, 5],
    ['Tr24x5-7e', 'trapezoidal', 24, 5],
    ['1/2-13', 'unified', 12.7, 25.4 / 13],
    ['1/4-20 UNC', 'unified', 6.35, 1.27],
    ['3/8-24UNF-2A', 'unified', 9.525, 25.4 / 24],
    ['#10-24', 'unified', 4.826, 25.4 / 24],
    ['1 1/8-7', 'unified', 28.575, 25.4 / 7],
    ['1/2-12 BSW', 'whitworth', 12.7, 25.4 / 12],
    ['1-5 ACME', 'acme', 25.4, 5.08],
    ['G 1/2', 'pipe', 20.955, 25.4 / 14],
    ['R 3/4', 'pipe', 26.441, 25.4 / 14],
    ['2BA', 'ba', 4.7, 0.81],
  ] as const)('%s is %s of %d with a pitch of %d', (text, form, major, pitch) => {
    const [f, d, p, starts] = named(text);
    expect(f).toBe(form);
    expect(d).toBeCloseTo(major, 6);
    expect(p).toBeCloseTo(pitch, 6);
    expect(starts).toBe(1);
  });
  it('says how many starts it has, where its lead and its pitch are given', () => {
    expect(named('Tr 20x8(P4)')).toEqual(['trapezoidal', 20, 4, 2]);
    expect(named('Tr 40 x 14 P7')).toEqual(['trapezoidal', 40, 7, 2]);
    expect(named('M16xPh3P1.5')).toEqual(['metric', 16, 1.5, 2]);
    expect(named('Tr 20x9(P4)')).toEqual(['leadNotPitch']);
  });
  it('is not made up: what is of no family stays unread', () => {
    for (const text of ['', 'thread', 'M', 'M20x', 'X5', '1/2', 'M-6', 'Tr 24'])
      expect(readThread(text).ok).toBe(false);
    expect(named('M23')).toEqual(['noPitch']);
    expect(named('G 9/16')).toEqual(['unknown']);
  });
  it('has the root and the hole of its standard', () => {
    const of = (text: string) => {
      const read = readThread(text);
      return read.ok ? [read.thread.minorMm, read.thread.holeMm] : [];
    };
    // ISO 724: M20 minor of the hole 17.294; ISO 2904: Tr 24x5 d3 18.5, D1 19; ISO 228: G 1/2 minor 18.631
    expect(of('M20')[1]).toBeCloseTo(17.294, 2);
    expect(of('M20')[0]).toBeCloseTo(16.933, 2);
    expect(of('Tr 24x5')).toEqual([18.5, 19]);
    expect(of('G 1/2')[0]).toBeCloseTo(18.631, 2);
  });
});
