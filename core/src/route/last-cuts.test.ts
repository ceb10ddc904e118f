import { describe, expect, it } from 'vitest';
import { finenessesOf, guardMm } from '../lathe/index.ts';
import { metricLathe } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { type LastCutsWish, lastCutsFor } from './last-cuts.ts';

const wish: LastCutsWish = {
  ...{ toleranceMm: 0.052, roomMm: 3, uncertaintyMm: 0.004, listed: true, finenesses: finenessesOf(metricLathe) },
  ...{ highestShare: 0.11, shallowestMm: 0.01 },
};
const brief = (more: Partial<LastCutsWish>) => {
  const last = lastCutsFor({ ...wish, ...more });
  return last.kind === 'tooFine' ? last.why : [last.fineness.means, last.cuts, last.afterRough, last.allowanceMm];
};

describe('the last cuts', () => {
  it('are set by the plainest means that leaves a mark inside, with as many measurements as the limits want', () => {
    // Ø30: ± 0.3, ± 0.1, h11, h10, h9, h8, h7 on a ring of 0.02 with a micrometer of ± 0.004
    expect(brief({ toleranceMm: 0.6 })).toEqual(['lines', 1, false, 0.5]);
    expect(brief({ toleranceMm: 0.2 })).toEqual(['lines', 2, false, 0.8]);
    expect(brief({ toleranceMm: 0.13 })).toEqual(['lines', 2, false, 0.8]);
    expect(brief({ toleranceMm: 0.084 })).toEqual(['lines', 2, true, 0.4]);
    expect(brief({ toleranceMm: 0.052 })).toEqual(['halfLines', 2, true, 0.4]);
    expect(brief({ toleranceMm: 0.033 })).toEqual(['halfLinesWithCare', 2, true, 0.4]);
    expect(brief({ toleranceMm: 0.021 })).toEqual(['compound', 2, false, 0.8]);
  });
  it('are refused where neither ring nor gauge nor edge is fine enough, and it is said which', () => {
    expect(brief({ toleranceMm: 0.013 })).toBe('gauge');
    expect(brief({ toleranceMm: 0.1, uncertaintyMm: 0.03 })).toBe('gauge');
    expect(brief({ toleranceMm: 0.006, uncertaintyMm: 0.001 })).toBe('ring');
    // an insert that wants 0.27 under its nose cannot take the compound's tenths
    expect(brief({ toleranceMm: 0.021, shallowestMm: 0.27 })).toBe('edge');
    // a gauge that nobody listed is not held to four times its uncertainty, only to the guard
    expect(brief({ toleranceMm: 0.03, uncertaintyMm: 0.01, listed: false })).toEqual(['compound', 2, false, 0.8]);
  });
  it('leave to the compound what its angle can be trusted for', () => {
    const last = lastCutsFor({ ...wish, toleranceMm: 0.021 });
    expect(last).toMatchObject({ kind: 'planned', nearMm: 0.2 });
  });
  it('are one where too little metal is there for two', () => {
    expect(brief({ roomMm: 0.03 })).toEqual(['halfLines', 1, false, 0.03]);
  });
  it('keep three standard uncertainties of reading and of setting twice from what cannot be put back', () => {
    expect(guardMm(0.004, 0.002)).toBeCloseTo(3 * Math.sqrt(0.001 ** 2 + 2 * 0.002 ** 2), 12);
    expect(guardMm(0.004, 0.002)).toBeCloseTo(0.009, 12);
  });
  it('tell the working, way by way', () => {
    const { steps, record } = collectWorking();
    lastCutsFor(wish, record);
    expect(steps.map((s) => [s.code, s.values.means, s.values.does])).toEqual([
      ['route.fineness', 'lines', 'no'],
      ['route.fineness', 'halfLines', 'yes'],
      ['route.lastCuts', undefined, undefined],
    ]);
  });
});
