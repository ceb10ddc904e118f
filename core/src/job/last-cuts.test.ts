import { describe, expect, it } from 'vitest';
import { jobOf, shopWith } from '../testing/jobs.ts';
import { feature } from '../testing/shop.ts';
import { planJob } from './plan-job.ts';
import type { Job } from './schema.ts';

const shop = shopWith('34');
const planOf = (lastCuts: Job['route']['lastCuts']) => {
  const job = jobOf([feature(1, 30, 40, '±0.3')]);
  return planJob({ ...job, route: { ...job.route, ...(lastCuts ? { lastCuts } : {}) } }, shop).setups[0]!.plan
    .operations;
};
const cutsOf = (lastCuts: Job['route']['lastCuts']) =>
  planOf(lastCuts).flatMap((o) =>
    o.kind === 'semiFinish' || o.kind === 'finish'
      ? o.passes.map((p) => Number((p.diameterBeforeMm - p.diameterAfterMm).toFixed(3)))
      : [],
  );

describe('last cuts of a job', () => {
  it('are one, two equal ones, or a large one and one half as deep, as the school has it', () => {
    expect(cutsOf(undefined)).toEqual([0.5]);
    expect(cutsOf({ school: 'single' })).toEqual([0.25]);
    expect(cutsOf({ school: 'equal', leaveMm: 0.6 })).toEqual([0.3, 0.3]);
    expect(cutsOf({ school: 'halved', leaveMm: 0.6 })).toEqual([0.4, 0.2]);
  });
  it('are led up to by a trial cut where that is the school, and measured after roughing where two are equal', () => {
    expect(planOf({ school: 'trial' }).find((o) => o.kind === 'finish')?.trialFirst).toBe(true);
    expect(planOf(undefined).find((o) => o.kind === 'finish')?.trialFirst).toBeUndefined();
    const measured = planOf({ school: 'equal' }).flatMap((o) => (o.kind === 'measure' ? [o.after] : []));
    expect(measured).toEqual(['rough', 'semi', 'finish']);
  });
  it('have what roughing leaves told both ways', () => {
    const rough = planOf({ school: 'single', leaveMm: 0.4, told: 'side' }).find((o) => o.kind === 'rough');
    expect(rough?.leavesMm).toBe(0.4);
  });
});
