import { freezeJob, planJob, type Shop, shopFileSchema } from '@whelk/core/job';
import { describe, expect, it } from 'vitest';
import shopJson from '../../../../../demo/shop.json' with { type: 'json' };
import { stepTitle } from './titles.ts';

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
      expect(titles[0]).toMatch(/^Put the blank in: grip \S.*, \S.* (mm|in) standing out$/);
      expect(titles.some((t) => t.startsWith('Touch off: a short cut'))).toBe(true);
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
    expect(all.some((t) => /^Measure .+, between the two cuts$/.test(t))).toBe(true);
    expect(all.some((t) => /^Chamfer .+ × \d+°$/.test(t))).toBe(true);
  });
});
