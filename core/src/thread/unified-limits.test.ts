import { describe, expect, it } from 'vitest';
import { readThread } from './designation.ts';
import { unifiedLimits } from './unified-limits.ts';

const IN = 25.4;
const of = (text: string, close: string, engagedIn: number) => {
  const read = readThread(text);
  if (!read.ok) throw new Error(text);
  const side = close.endsWith('B') ? 'inside' : 'outside';
  return unifiedLimits(read.thread, side, close, engagedIn * IN)!;
};
const inches = (l: object) => Object.values(l).map((mm: number) => Number((mm / IN).toFixed(4)));

// where the usual length of engagement is not given the standard's own one is taken
const usual = (text: string, close: string) => of(text, close, 0);
describe('limits of a unified thread', () => {
  it.each([
    // as tables of limits have them, inches: pitch and major diameter, root
    ['3/8-24 UNF', '2A', 0.375, [0.3468, 0.343], [0.3739, 0.3667], 0.3242],
    ['1/4-20 UNC', '1A', 0.25, [0.2164, 0.2108], [0.2489, 0.2367], 0.1893],
    ['1 1/2-18', '2A', 0.5, [1.4624, 1.4575], [1.4985, 1.4898], 1.4324],
  ] as const)('lie as published outside: %s %s', (text, close, engaged, pitch, major, root) => {
    const found = of(text, close, engaged);
    // the last digit of a table hangs on which of its sums were rounded
    const near = (sizes: readonly number[]) => sizes.map((inch) => expect.closeTo(inch, 3.6));
    expect(inches(found.pitchDiameter)).toEqual(near(pitch));
    expect(inches(found.major)).toEqual(near(major));
    expect(inches(found.minor)).toEqual(near([root]));
  });
  it.each([
    ['1/4-28 UNF', '2B', 0.25, [0.2311, 0.2268], [0.2198, 0.2113]],
    ['1/2-28', '2B', 9 / 28, [0.4816, 0.4768], [0.4698, 0.4613]],
    ['4-4 UNC', '1B', 4, [3.8597, 3.8376], [3.7669, 3.7294]],
    ['#1-64', '2B', 0.073, [0.0654, 0.0629], [0.0622, 0.0561]],
  ] as const)('lie as published inside: %s %s', (text, close, engaged, pitch, minor) => {
    const found = of(text, close, engaged);
    for (const [i, inch] of inches(found.pitchDiameter).entries())
      expect(Math.abs(inch - pitch[i]!)).toBeLessThan(0.00013);
    // tables round the bore to thousandths
    for (const [i, inch] of inches(found.minor).entries()) expect(Math.abs(inch - minor[i]!)).toBeLessThan(0.00055);
  });
  it('are for an engagement of the diameter in coarse and fine series, of nine pitches elsewhere', () => {
    expect(usual('3/8-24 UNF', '2A')).toEqual(of('3/8-24 UNF', '2A', 0.375));
    expect(usual('1/2-28 UNEF', '2B')).toEqual(of('1/2-28 UNEF', '2B', 9 / 28));
    expect(usual('1 1/2-8 UN', '2A')).toEqual(of('1 1/2-8', '2A', 1.5));
  });
  it('leave no room at class 3, and are told for no other form', () => {
    const { pitchDiameter, major } = of('1/2-13', '3A', 0.5);
    expect(inches(pitchDiameter)[0]).toBeCloseTo(0.45, 4);
    expect(inches(major)[0]).toBeCloseTo(0.5, 6);
    const read = readThread('M12');
    expect(read.ok && unifiedLimits(read.thread, 'outside', '2A', 12)).toBeUndefined();
    expect(of('1/2-13', '4A', 0.5)).toBeUndefined();
  });
});
