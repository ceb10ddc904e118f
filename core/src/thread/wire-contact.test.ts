import { describe, expect, it } from 'vitest';
import { bestWireMm, overWiresExactMm, overWiresMm } from './index.ts';

describe('wires in a groove that winds', () => {
  // pitch, lead, included angle, pitch diameter; how far the standards' correction may be off, µm
  it.each([
    ['M20', 2.5, 2.5, 60, 18.2, 0.2],
    ['M10x0.75', 0.75, 0.75, 60, 9.45, 0.05],
    ['3/4-16, three starts', 25.4 / 16, (3 * 25.4) / 16, 60, 17.98, 0.3],
    ['Tr 24x5', 5, 5, 30, 21.3, 1.5],
    ['Tr 24x10 of two starts', 5, 10, 30, 21.3, 6],
    ['1-5 Acme', 5.08, 5.08, 29, 22.8, 1.5],
  ] as const)(
    'touch %s where the approximate correction has them',
    (_name, pitchMm, leadMm, includedDeg, d2, withinUm) => {
      const thread = { pitchMm, leadMm, includedDeg };
      const wire = bestWireMm(thread);
      const exact = overWiresExactMm(thread, d2, wire);
      const offUm = 1000 * Math.abs(overWiresMm(thread, d2, wire) - exact);
      expect(offUm).toBeLessThan(withinUm);
      // without the correction they would stand lower by far more than its error
      const flat = overWiresMm({ ...thread, leadMm: 1e-9 }, d2, wire);
      expect(exact - flat).toBeGreaterThan(5 * (offUm / 1000));
    },
  );
  it('touch a groove that does not wind just as its section says', () => {
    const ring = { pitchMm: 2, leadMm: 1e-9, includedDeg: 55 };
    expect(overWiresExactMm(ring, 20, 1.2)).toBeCloseTo(overWiresMm(ring, 20, 1.2), 4);
  });
});
