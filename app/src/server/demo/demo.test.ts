import { planJob, shopFileSchema } from '@whelk/core/job';
import { adviseStep, asFrozenRun, replay } from '@whelk/core/run';
import { describe, expect, it } from 'vitest';
import shopJson from '../../../../demo/shop.json' with { type: 'json' };

describe('the demo shop', () => {
  const demo = shopFileSchema.parse(shopJson);
  it('has three lathes as they were described', () => {
    const [long, grey, small] = demo.lathes;
    expect(grey).toMatchObject({
      name: 'the Grey',
      unit: 'in',
      drive: { motorKw: 0.37 },
      threads: { leadscrewLead: { text: '1/8', unit: 'in' } },
      slides: { crossSlide: { travelPerTurn: '0.100', divisions: 100, resettable: false, kind: 'radius' } },
    });
    expect(grey!.spindle.settings).toHaveLength(6);
    const rpms = long!.spindle.settings.map((s) => (s.kind === 'fixed' ? s.rpm : 0));
    expect([rpms.length, Math.min(...rpms), Math.max(...rpms)]).toEqual([10, 45, 1600]);
    expect(long).toMatchObject({
      drive: { motorKw: 1.1 },
      slides: { crossSlide: { travelPerTurn: '2', divisions: 100 }, carriage: { travelPerTurn: '20', divisions: 200 } },
    });
    expect(small!.spindle.settings.every((s) => s.kind === 'stepless')).toBe(true);
    expect(small).toMatchObject({ feeds: { settings: [] }, slides: { crossSlide: { kind: 'diameter' } } });
  });
  it('has twenty-five jobs, one in inches, twelve hollow, each planned without an error, two half cut', () => {
    expect(demo.jobs).toHaveLength(25);
    const hollow = demo.jobs.filter(({ job }) => job.drawing.bores.left.length + job.drawing.bores.right.length > 0);
    expect(hollow.map((j) => j.job.title)).toEqual([
      'Hinge bush, flanged',
      'Gate hinge bushes',
      'Winding nut blank',
      'Guide rollers, cast',
      'Bearing cap, casting',
      'Sluice valve disc',
      'Grease cap, blind thread',
      'Sluice valve seat',
      'Fairlead rollers, 1.5° draft',
      'Seal ring, upper gate',
      'Sluice bracket, bored over the slide',
      'Sluice height dial, thin',
    ]);
    expect(demo.jobs.filter((j) => j.job.drawing.unit === 'in')).toHaveLength(1);
    for (const { job } of demo.jobs) {
      const planned = planJob(job, { ...demo, materials: [] });
      expect([job.title, planned.problems.filter((p) => p.severity !== 'warning')]).toEqual([job.title, []]);
      const [most] = planned.setups.map((x) => x.plan.operations.length).toSorted((a, b) => b - a);
      expect(most).toBeGreaterThan(hollow.some((h) => h.job === job) ? 3 : 8);
      for (const { plan } of planned.setups) expect(plan.operations.flatMap((o) => o.exceeds)).toEqual([]);
    }
    const runs = demo.jobs.flatMap((j) => j.runs);
    expect(runs).toHaveLength(2);
    const frozen = asFrozenRun(runs[0]!.frozen);
    const state = replay(frozen, runs[0]!.events);
    expect([state.ignored, state.ended]).toEqual([0, undefined]);
    expect(state.stepIndex / frozen.steps.length).toBeGreaterThan(0.2);
    const { next } = adviseStep(frozen, state)!;
    expect(next).toMatchObject({ hands: { slide: 'compound', number: '1.50', outTurns: 1, hand: 'clockwise' } });
  });
});
