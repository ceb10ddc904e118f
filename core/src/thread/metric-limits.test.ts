import { describe, expect, it } from 'vitest';
import { readThread } from './designation.ts';
import { majorLimits, metricLimits } from './metric-limits.ts';
import { METRIC_TO_MM, metricTolerances, pitchDiameterTolerances } from './standard/metric-tolerances.ts';
import type { NamedThread, ThreadLimits } from './thread.ts';

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
    expect(majorLimits(of('M20'), '8g')!.lowerMm).toBeCloseTo(19.958 - 0.53, 6);
  });
  it('is not given where it is not known', () => {
    expect(majorLimits(of('Tr 24x5'), '7e')).toBeUndefined();
    expect(majorLimits(of('M20'), '6H')).toBeUndefined();
    expect(majorLimits(of('M30x10'), '6g')).toBeUndefined();
  });
  it('has a table that follows the standard’s formulas', () => {
    for (const { pitchMm, eUm, fUm, gUm, td6Um, td1Of6Um } of metricTolerances) {
      expect(Math.abs(gUm - (15 + 11 * pitchMm))).toBeLessThanOrEqual(3);
      if (eUm) expect(Math.abs(eUm - (50 + 11 * pitchMm))).toBeLessThanOrEqual(6);
      if (fUm) expect(Math.abs(fUm - (30 + 11 * pitchMm))).toBeLessThanOrEqual(3);
      if (td1Of6Um) {
        const minor = pitchMm >= 1 ? 230 * pitchMm ** 0.7 : 433 * pitchMm - 190 * pitchMm ** 1.22;
        expect(Math.abs(td1Of6Um - minor) / minor).toBeLessThan(0.08);
      }
      const formula = 180 * pitchMm ** (2 / 3) - 3.15 / Math.sqrt(pitchMm);
      expect(Math.abs(td6Um - formula) / formula).toBeLessThan(0.06);
    }
    for (const [i, { aboveMm, of6 }] of pitchDiameterTolerances.entries()) {
      const d = Math.sqrt(aboveMm * (pitchDiameterTolerances[i + 1]?.aboveMm ?? METRIC_TO_MM));
      for (const [pitchMm, um] of of6) {
        const formula = 90 * pitchMm ** 0.4 * d ** 0.1;
        expect(Math.abs(um - formula) / formula).toBeLessThan(0.05);
      }
    }
  });
});

describe('all limits of a metric thread', () => {
  const side = (close: string) => (/[A-Z]/.test(close) ? 'inside' : 'outside');
  const all = (text: string, close: string): ThreadLimits => metricLimits(of(text), side(close), close)!;
  const pair = (l: object) => Object.values(l);
  it.each([
    // published limits of size, outside: pitch and major diameter, root
    ['M10x1.25', '6g', [9.16, 9.042], [9.972, 9.76], 8.466],
    ['M14x1.5', '6g', [12.994, 12.854], [13.968, 13.732], 12.16],
    ['M56x5.5', '6g', [52.353, 52.088], [55.925, 55.365], 49.252],
    ['M16x2', '7g6g', [14.663, 14.463], [15.962, 15.682], 13.546],
    ['M20', '6g', [18.334, 18.164], [19.958, 19.623], 16.933],
    ['M6', '6h', [5.35, 5.238], [6, 5.82], 4.773],
    ['M8', '6e', [7.125, 7.007], [7.937, 7.725], 6.466],
    ['M5', '4h', [4.48, 4.42], [5, 4.905], 4.019],
  ] as const)('lie as published outside: %s %s', (text, close, pitch, major, root) => {
    const found = all(text, close);
    expect(pair(found.pitchDiameter)).toEqual(pitch);
    expect(pair(found.major)).toEqual(major);
    expect(found.minor).toEqual({ basicMm: root });
  });
  it.each([
    // inside: pitch and minor diameter
    ['M16x2', '6H', [14.913, 14.701], [14.21, 13.835]],
    ['M3x0.5', '5H', [2.755, 2.675], [2.571, 2.459]],
    ['M20', '6H', [18.6, 18.376], [17.744, 17.294]],
    ['M6', '6H', [5.5, 5.35], [5.153, 4.917]],
    ['M10', '6G', [9.238, 9.058], [8.708, 8.408]],
    ['M12', '7H', [11.113, 10.863], [10.531, 10.106]],
  ] as const)('lie as published inside: %s %s', (text, close, pitch, minor) => {
    const found = all(text, close);
    expect(pair(found.pitchDiameter)).toEqual(pitch);
    expect(pair(found.minor)).toEqual(minor);
    expect(found.side).toBe('inside');
  });
  it('go with every class that the standard has, and with no other', () => {
    for (const close of ['3h4h', '9g8g', '6f', '8g', '5g6g', '7e6e', '4G', '8H'])
      expect([close, metricLimits(of('M20'), side(close), close)]).not.toEqual([close, undefined]);
    for (const close of ['', '2h', '6x', '6g6H', '9H', '3H', '5g', '6 g 6 g'])
      expect([close, metricLimits(of('M20'), side(close), close)]).toEqual([close, undefined]);
    // of the other side
    expect(metricLimits(of('M20'), 'inside', '6g')).toBeUndefined();
    expect(metricLimits(of('Tr 24x5'), 'outside', '7e')).toBeUndefined();
    expect(metricLimits(of('M20x0.5'), 'outside', '6g')).toBeUndefined();
  });
});
