import { describe, expect, it } from 'vitest';
import { jobOf, shopWith } from '../testing/jobs.ts';
import { feature } from '../testing/shop.ts';
import { betterFirstEnd } from './first-end.ts';
import type { Job } from './schema.ts';

const withTail = (job: Job, tail: 'left' | 'right'): Job => ({
  ...job,
  hold: { ...job.hold, setups: job.hold.setups.map((s) => ({ ...s, tail })) },
});

describe('which end first', () => {
  const shop = shopWith('65');
  it('is the other one where that takes fewer setups or leaves less', () => {
    // a head at the tailstock: its shank is reached from the other end in one go
    const pin = jobOf([feature(1, 30, 60), feature(2, 60, 8)]);
    const found = [pin, withTail(pin, 'left')].map((j) => betterFirstEnd(j, shop));
    const better = found.filter((f) => f !== undefined);
    // only one of the two ways round can be the better one
    expect(better.length).toBeLessThanOrEqual(1);
    for (const f of better) {
      const { better: b, now } = f;
      expect(b.leftCount < now.leftCount || b.setupCount < now.setupCount || b.minutes < now.minutes - 4.9).toBe(true);
    }
  });
  it('is told of a shaft whose long end lies at the chuck, and not of the same one drawn the other way round', () => {
    const shaft = jobOf([feature(1, 20, 80), feature(2, 60, 10), feature(3, 30, 8)]);
    const round = jobOf([feature(1, 30, 8), feature(2, 60, 10), feature(3, 20, 80)]);
    const [a, b] = [betterFirstEnd(shaft, shop), betterFirstEnd(round, shop)];
    expect([a, b].filter(Boolean).length).toBeLessThanOrEqual(1);
    // what is said of one way round is what the other one begins with
    if (a) expect(betterFirstEnd(withTail(shaft, a.tail), shop)).toBeUndefined();
    if (b) expect(betterFirstEnd(withTail(round, b.tail), shop)).toBeUndefined();
    expect(a ?? b).toBeDefined();
  });
  it('is nothing to ask of what is plain, is gripped on itself, or has its second setup', () => {
    expect(betterFirstEnd(jobOf([feature(1, 30, 40)]), shop)).toBeUndefined();
    const job = jobOf([feature(1, 20, 80), feature(2, 60, 10), feature(3, 30, 8)]);
    const [first] = job.hold.setups;
    const held = (setups: Job['hold']['setups']): Job => ({ ...job, hold: { ...job.hold, setups } });
    expect(betterFirstEnd(held([{ ...first!, grip: { kind: 'jaws', mm: 0 } }]), shop)).toBeUndefined();
    const second = { ...first!, id: '00000000-0000-4000-8000-000000000002', tail: 'left' as const };
    expect(betterFirstEnd(held([first!, second]), shop)).toBeUndefined();
  });
});
