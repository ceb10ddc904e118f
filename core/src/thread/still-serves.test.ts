import { describe, expect, it } from 'vitest';
import { readThread } from './designation.ts';
import { threadLimits } from './forms.ts';
import { stillServes } from './still-serves.ts';
import type { NamedThread } from './thread.ts';

const named = (designation: string): NamedThread => {
  const read = readThread(designation);
  if (!read.ok) throw new Error(designation);
  return read.thread;
};

describe('a thread that was cut past its limits', () => {
  it('is told the classes that it still is, the narrowest first', () => {
    // M20 6g: 18.164 to 18.334
    const below = stillServes(named('M20'), 'outside', 18.15);
    expect(below).not.toContain('6g');
    expect(below).toContain('8g');
    expect(below).toContain('6e');
    const widths = below.map((c) => {
      const { upperMm, lowerMm } = threadLimits(named('M20'), 'outside', c)!.pitchDiameter;
      return upperMm - lowerMm;
    });
    expect(widths).toEqual(widths.toSorted((a, b) => a - b));
  });
  it('is none of them where it is too far off, and unified ones have theirs', () => {
    expect(stillServes(named('M20'), 'outside', 17)).toEqual([]);
    // 1/2-13 2A: 11.2649 to 11.3919 mm; 1A goes lower
    expect(stillServes(named('1/2-13 UNC'), 'outside', 11.23)).toEqual(['1A']);
    expect(stillServes(named('1/2-13 UNC'), 'inside', 11.45)).toEqual(expect.arrayContaining(['1B', '2B']));
  });
});
