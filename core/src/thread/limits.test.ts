import { describe, expect, it } from 'vitest';
import { type NamedThread, readThread } from './designation.ts';
import { majorLimits } from './limits.ts';
import { metricTolerances } from './standard/metric-tolerances.ts';

const of = (text: string): NamedThread => {
  const read = readThread(text);
  if (!read.ok) throw new Error(text);
  return read.thread;
};

describe('the major diameter of an outside thread', () => {
  it('lies as published: M20 6g 19.958 to 19.623, M10 6g 9.968 to 9.732, M6 6h 6 to 5.82', () => {
    expect(majorLimits(of('M20'), '')).toEqual({ upperMm: 19.958, lowerMm: 19.623 });
    expect(majorLimits(of('M10'), '6g')).toEqual({ upperMm: 9.968, lowerMm: 9.732 });
    expect(majorLimits(of('M6'), '6h')).toEqual({ upperMm: 6, lowerMm: 5.82 });
    expect(majorLimits(of('M20'), '5g6g')).toEqual(majorLimits(of('M20'), '6g'));
    expect(majorLimits(of('M20'), '8g')!.lowerMm).toBeCloseTo(19.958 - 1.6 * 0.335, 6);
  });
  it('is not given where it is not known', () => {
    expect(majorLimits(of('Tr 24x5'), '7e')).toBeUndefined();
    expect(majorLimits(of('M20'), '6H')).toBeUndefined();
    expect(majorLimits(of('M30x10'), '6g')).toBeUndefined();
  });
  it('has a table that follows the standard’s formulas', () => {
    for (const { pitchMm, g, td6 } of metricTolerances) {
      expect(Math.abs(g - (15 + 11 * pitchMm))).toBeLessThanOrEqual(2);
      const formula = 180 * pitchMm ** (2 / 3) - 3.15 / Math.sqrt(pitchMm);
      expect(Math.abs(td6 - formula) / formula).toBeLessThan(0.06);
    }
  });
});
