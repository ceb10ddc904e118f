import { HOLD_METHODS, heldBy } from '@whelk/core/hold';
import { freezeJob, planJob, type Shop, shopFileSchema } from '@whelk/core/job';
import { describe, expect, it } from 'vitest';
import shopJson from '../../../../demo/shop.json' with { type: 'json' };
import { putInText } from './at-lathe.ts';
import { stepTitle } from './kinds.ts';

const demo = shopFileSchema.parse(shopJson);
const shop: Shop = { ...demo, materials: [] };
const grey = demo.lathes[1]!;

describe('titles of the steps', () => {
  const titlesOf = (index: number): string[] => {
    const planned = planJob(demo.jobs[index]!.job, shop);
    const frozen = freezeJob(demo.jobs[index]!.job, planned)!;
    return frozen.steps.map((step) => stepTitle(step, frozen));
  };
  it('say what to do with sizes as the lathe’s rule and dials have them', () => {
    for (const [index, { job }] of demo.jobs.entries()) {
      const titles = titlesOf(index);
      const over = job.hold.setups[0]!.grip.kind === 'slide';
      expect(titles[0]).toMatch(
        over
          ? /^Bolt the piece to the cross-slide, 0\.\d+ in of packing under it$/
          : job.hold.setups[0]!.grip.kind === 'adhesiveArbor'
            ? /^Put the piece in, \d+ mm standing out$/
            : /^Put the blank in: grip \S.*, \S.* (mm|in) standing out$/,
      );
      // nothing is touched off where only the end is made
      const turned = !over && job.hold.setups[0]!.extent !== 'ends';
      expect(titles.some((t) => t.startsWith('Touch off: a short cut'))).toBe(turned);
      for (const title of titles) {
        expect([job.title, title]).toEqual([job.title, expect.not.stringMatching(/undefined|NaN|\d\.\d{4,}/)]);
        expect(title.length).toBeLessThan(90);
      }
    }
  });
  it('count passes, and speak of inches on a lathe in inches', () => {
    const inches = demo.jobs.findIndex(({ job }) => job.hold.latheId === grey.id || job.drawing.unit === 'in');
    expect(titlesOf(inches)[0]).toMatch(/\d+\/\d+|\d+ in standing/);
    const all = demo.jobs.flatMap((_, i) => titlesOf(i));
    expect(all.some((t) => /, pass 1 of \d/.test(t))).toBe(true);
    expect(all.some((t) => /^Measure .+, between the two equal cuts$/.test(t))).toBe(true);
    expect(all.some((t) => /^Chamfer .+ × \d+°$/.test(t))).toBe(true);
    // a drill of 12 mm is told in the inches of the lathe that it turns in
    const over = titlesOf(demo.jobs.findIndex(({ job }) => job.title.startsWith('Sluice bracket')));
    expect(over).toContain('Drill Spindle seat Ø0.472, right through');
    expect(over).toContain('Drill Bolts Ø0.335 in, place 2 of 2');
  });
});

describe('putting a piece in again', () => {
  const { job } = demo.jobs.find((j) => j.job.hold.setups.length > 1)!;
  const frozen = freezeJob(job, planJob(job, shop), 2)!;
  const held = (method: (typeof HOLD_METHODS)[number]) =>
    putInText({
      ...frozen,
      setup: heldBy(frozen.setup, method),
      plan: { ...frozen.plan, held: { ...frozen.plan.held, method } },
    });
  it('says which end goes where, on what it is held, and what goes between', () => {
    expect(held('chuck')).toMatch(/^The drawing’s left end goes to the tailstock\. Grip Bearing, Ø28/);
    expect(held('chuck')).toContain('Between: strips of copper or aluminium.');
    expect(held('chuckAndCentre')).toContain('bring up the centre');
    expect(held('betweenCentres')).toContain('Dog on Bearing');
  });
  it('has words for every way, whole sentences with the sizes a rule shows', () => {
    for (const method of HOLD_METHODS) {
      const text = held(method);
      expect([method, text]).toEqual([method, expect.not.stringMatching(/undefined|NaN|\d\.\d{4,}/)]);
      expect(text.endsWith('.')).toBe(true);
    }
    // what does not press on finished work needs nothing between
    expect(held('mandrel')).not.toContain('Between:');
  });
  it('is titled as such', () => {
    expect(stepTitle(frozen.steps[0]!, frozen)).toMatch(/^Put the piece in again, \d+(\.\d)? mm standing out$/);
  });
});
