import { describe, expect, it } from 'vitest';
import { drawingOf, feature, instruments, metricLathe, tools } from '../testing/shop.ts';
import { planJob } from './plan-job.ts';
import { type Job, newJob, type Shop, settingsSchema, usualSettings } from './schema.ts';
import { waitingBlanks } from './waiting.ts';

const BAR = '00000000-0000-4000-8000-000000000099';
const bar = {
  ...{ id: BAR, materialId: 'brass', note: '' },
  ...{ diameter: { text: '25', unit: 'mm' as const }, length: { text: '900', unit: 'mm' as const } },
};
const shop: Shop = { lathes: [metricLathe], bars: [bar], tools, instruments, materials: [] };
const empty = newJob('Pin', 'mm', usualSettings);
const job: Job = {
  ...empty,
  quantity: 6,
  drawing: drawingOf([feature(1, 24, 20), feature(2, 20, 30)]),
  stock: { ...empty.stock, barId: BAR },
  hold: { ...empty.hold, latheId: metricLathe.id },
};
const count = (change: Partial<Job>, begun = 0, spoilt = 0) =>
  waitingBlanks('j', { ...job, ...change }, shop, { begun, spoilt })?.count;

describe('blanks that wait in a bar', () => {
  it('are those neither sawn nor begun, and one more for each piece that is spoilt', () => {
    expect([count({}), count({}, 2), count({}, 2, 1), count({}, 6)]).toEqual([6, 4, 5, undefined]);
    expect([count({ stock: { ...job.stock, sawn: 4 } }, 1), count({ stock: { ...job.stock, sawn: 6 } }, 3)]).toEqual([
      2,
      undefined,
    ]);
  });
  it('are as long as the plan’s blank, with what cutting off takes', () => {
    const found = waitingBlanks('j', job, shop, { begun: 0, spoilt: 0 })!;
    expect(found.lengthMm).toBe(planJob(job, shop).blank!.lengthMm);
    expect(found.kerfMm).toBe(3);
    const allow = { ...job.stock.allow, cutOff: 'slot' as const, kerfMm: 2 };
    const slot = { ...job, stock: { ...job.stock, allow } };
    // deep for its width: the slot is widened
    expect(waitingBlanks('j', slot, shop, { begun: 0, spoilt: 0 })!.kerfMm).toBe(3.2);
  });
  it('are none without a bar, a plan, or when the bar is used up', () => {
    expect(count({ stock: { ...job.stock, barId: null } })).toBeUndefined();
    expect(count({ hold: { ...job.hold, latheId: null } })).toBeUndefined();
    const gone = { ...shop, bars: [{ ...bar, usedUp: true }] };
    expect(waitingBlanks('j', job, gone, { begun: 0, spoilt: 0 })).toBeUndefined();
  });
});

describe('habits of holding', () => {
  it('begin a new job, and what was sawn no longer asks how long the bar is', () => {
    const settings = settingsSchema.parse({
      ...usualSettings,
      hold: { gripOn: 'spare', clearanceMm: 10, faceTailMm: 2, faceHeadMm: 1, kerfMm: 2, cutOff: 'slot' },
    });
    const begun = newJob('Pin', 'mm', settings);
    expect(begun.stock.allow).toEqual({ clearanceMm: 10, faceTailMm: 2, faceHeadMm: 1, kerfMm: 2, cutOff: 'slot' });
    expect(begun.hold.setups).toMatchObject([{ tail: 'right', grip: { kind: 'jaws', on: 'spare', mm: 0 } }]);
    const short = { ...shop, bars: [{ ...bar, length: { text: '30', unit: 'mm' as const } }] };
    const codes = (j: Job) => planJob(j, short).problems.map((p) => p.code);
    expect(codes(job)).toContain('stock.longerThanBar');
    expect(codes({ ...job, stock: { ...job.stock, sawn: 6 } })).not.toContain('stock.longerThanBar');
  });
});
