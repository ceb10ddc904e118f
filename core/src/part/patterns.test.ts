import { describe, expect, it } from 'vitest';
import { outsides } from './ask.ts';
import { PATTERNS, patternDrawing } from './patterns.ts';
import { resolveDrawing } from './resolve.ts';

describe('patterns to start from', () => {
  it.each(PATTERNS.flatMap((p) => [[p, 'mm'] as const, [p, 'in'] as const]))(
    '%s in %s is a whole drawing without a fault',
    (pattern, unit) => {
      const { part, problems } = resolveDrawing(patternDrawing(pattern, unit));
      expect(problems).toEqual([]);
      expect(part.lengthMm).toBeGreaterThan(3);
      expect(outsides(part).every((f) => f.limits.upperMm > f.limits.lowerMm)).toBe(true);
    },
  );
  it('have sizes of their own system, not converted ones', () => {
    expect(patternDrawing('stud', 'mm').features[0]!.details).toMatchObject([{ designation: 'M16x2' }]);
    expect(patternDrawing('stud', 'in').features[0]!.details).toMatchObject([{ designation: '5/8-11' }]);
    expect(patternDrawing('bush', 'in').features[0]!.diameter).toEqual({ text: '1 1/4', unit: 'in' });
  });
  it('a plug gauge has a side that goes and one that does not, apart by the tolerance of the hole', () => {
    const { part } = resolveDrawing(patternDrawing('plugGauge', 'mm'));
    const [go, , , , noGo] = outsides(part);
    // for 20 H7, 20.000 to 20.021
    expect(go!.limits.lowerMm).toBeGreaterThan(20);
    expect(go!.limits.upperMm).toBeLessThan(20.021);
    expect((noGo!.limits.upperMm + noGo!.limits.lowerMm) / 2).toBeCloseTo(20.021, 6);
  });
});
