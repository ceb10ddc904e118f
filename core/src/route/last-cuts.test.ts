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
  it('follow the school that is wanted, as far as the limits let it', () => {
    const by = (school: NonNullable<LastCutsWish['wanted']>['school'], more: Partial<LastCutsWish> = {}) =>
      brief({ toleranceMm: 0.6, wanted: { school }, ...more });
    // limits that one cut would do
    expect(by('equal')).toEqual(['lines', 2, true, 0.4]);
    expect(by('halved')).toEqual(['lines', 2, false, 0.8]);
    expect(by('trial')).toEqual(['lines', 1, false, 0.5]);
    expect(by('single')).toEqual(['lines', 1, false, 0.25]);
    expect(lastCutsFor({ ...wish, toleranceMm: 0.6, wanted: { school: 'halved' } })).toMatchObject({ larger: true });
    expect(lastCutsFor({ ...wish, toleranceMm: 0.6, wanted: { school: 'trial' } })).toMatchObject({ trialFirst: true });
    // what one cut cannot hold is not cut in hope of it; a trial cut is measured all the same
    const fine = { toleranceMm: 0.084 };
    expect(by('single', fine)).toEqual(['lines', 2, true, 0.4]);
    expect(by('trial', fine)).toEqual(['lines', 1, false, 0.5]);
    // the compound has its own two
    expect(by('trial', { toleranceMm: 0.021 })).toEqual(['compound', 2, false, 0.8]);
  });
  it('have left for them what the shop leaves, no less than the edge wants', () => {
    const left = (leaveMm: number, more: Partial<LastCutsWish> = {}) =>
      brief({ toleranceMm: 0.6, wanted: { school: 'byLimits', leaveMm }, ...more })[3];
    expect([left(0.3), left(1.2)]).toEqual([0.3, 1.2]);
    expect(left(0.1, { shallowestMm: 0.1 })).toBe(0.2);
    // the second of an uneven pair is a third of it
    const third = { shallowestMm: 0.1, wanted: { school: 'halved', leaveMm: 0.1 } } as const;
    expect(brief({ toleranceMm: 0.6, ...third })[3]).toBeCloseTo(0.6, 9);
    expect(left(1.2, { roomMm: 0.7 })).toBe(0.7);
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
