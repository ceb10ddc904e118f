import { planJob, type Shop, shopFileSchema, stillWaiting } from '@whelk/core/job';
import { describe, expect, it } from 'vitest';
import shopJson from '../../../demo/shop.json' with { type: 'json' };
import { waitingText } from './waiting.ts';

const demo = shopFileSchema.parse(shopJson);
const shop: Shop = { ...demo, materials: [] };

describe('what waits', () => {
  const said = (title: string): readonly string[] => {
    const { job } = demo.jobs.find((j) => j.job.title.startsWith(title))!;
    const { setups, part } = planJob(job, shop);
    const names = [...job.drawing.features, ...job.drawing.bores.left, ...job.drawing.bores.right];
    const nameOf = (id: string | undefined) => names.find((n) => n.id === id)?.name ?? '';
    return stillWaiting(setups.slice(0, 1)).map((w) => waitingText(w, part, nameOf));
  };
  it('is told by what it is and the length it is on', () => {
    expect(said('Winding spindle')).toEqual([
      ...['Left edge of Collar', 'Journal: behind a larger diameter', 'Left edge of Journal', 'Flat'],
      'Face the other end to length',
    ]);
    expect(said('Hinge bush')).toContain('Left edge of Flange');
    for (const { job } of demo.jobs)
      for (const line of said(job.title)) expect([job.title, line]).toEqual([job.title, expect.stringMatching(/\S$/)]);
  });
});
