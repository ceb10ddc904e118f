import { describe, expect, it } from 'vitest';
import { type FrozenRun, lengthAt, replay } from '../run/index.ts';
import { barPart } from '../testing/families.ts';
import { feature } from '../testing/shop.ts';
import { freezeJob } from './plan-job.ts';

/** A flange whose thickness is close, on a body: the body first, then its other end. */
const flange = (lengthLimits: string, body = '') => {
  const { job, planned } = barPart(
    [
      { ...feature(1, 40, 10), lengthLimits },
      { ...feature(2, 28, 40), lengthLimits: body },
    ],
    42,
  );
  return [1, 2].map((n) => freezeJob(job, planned, n)!);
};
const lengthOf = (run: FrozenRun, kind: 'face' | 'shoulder') =>
  lengthAt(run, replay(run, []), run.steps.find((s) => s.kind === kind)!);

describe('the length that a cut makes', () => {
  it('is the closest that the drawing gives to a face that is there already', () => {
    const [, second] = flange('±0.02');
    // facing the flange's other side makes its thickness
    expect(lengthOf(second!, 'face')).toMatchObject({
      ...{ of: 'overall', grows: false, wantedMm: 10, lengthId: 'f1' },
      limits: { lowerMm: expect.closeTo(9.98, 9), upperMm: expect.closeTo(10.02, 9) },
    });
  });
  it('is the whole length where nothing is closer, and what lies beyond a shoulder where that is', () => {
    const [first, second] = flange('');
    expect(lengthOf(second!, 'face')).toMatchObject({ of: 'overall', wantedMm: 50 });
    expect(lengthOf(second!, 'face')!.lengthId).toBeUndefined();
    const [close] = flange('', '+0.05/0');
    expect(lengthOf(close!, 'shoulder')).toMatchObject({ of: 'shoulder', grows: true, wantedMm: 40 });
    expect(lengthOf(first!, 'shoulder')!.limits!.upperMm).toBeGreaterThan(40.2);
  });
});
