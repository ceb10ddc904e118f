import { describe, expect, it } from 'vitest';
import type { Lathe } from '../lathe/index.ts';
import type { Feature } from '../part/index.ts';
import { emptyDetail } from '../part/index.ts';
import type { TaperOperation, TaperWish } from '../route/index.ts';
import { boreStep, drawer, holeGauges } from '../testing/drawer.ts';
import { jobOf, shopWith, twoChucks } from '../testing/jobs.ts';
import { feature, mm } from '../testing/shop.ts';
import type { Tool } from '../tool/index.ts';
import { planJob } from './plan-job.ts';
import { proveJob } from './prove.ts';
import type { Job } from './schema.ts';

const none = { text: '', unit: 'mm' as const };
const attached: Lathe = { ...twoChucks, taperAttachment: { lengthMm: 250, mostDeg: 10, graduated: 'degrees' } };
/** A cone by its first diameter and a slope, or by its two diameters. */
const cone = (
  n: number,
  diameterMm: number,
  lengthMm: number,
  to: number | string,
  more: Partial<Feature> = {},
): Feature => ({
  ...feature(n, diameterMm, lengthMm, '±0.05'),
  kind: 'taper',
  ...(typeof to === 'number' ? { end: mm(to) } : { taper: to, end: none }),
  ...more,
});
interface Asked {
  readonly bar?: string;
  readonly lathe?: Lathe;
  readonly drawn?: object;
  readonly setups?: (first: Job['hold']['setups'][number]) => Job['hold']['setups'];
  readonly tapers?: TaperWish;
  readonly tools?: readonly Tool[];
}
function plan(features: readonly Feature[], asked: Asked = {}) {
  const lathe = asked.lathe ?? twoChucks;
  const shop = { ...shopWith(asked.bar ?? '30', '900', lathe, 'medium-carbon-steel'), instruments: holeGauges };
  const job = jobOf(features, 1, asked.drawn ?? {});
  const [first] = job.hold.setups;
  const planned = planJob(
    {
      ...job,
      hold: { ...job.hold, latheId: lathe.id, ...(asked.setups ? { setups: asked.setups(first!) } : {}) },
      route: { ...job.route, ...(asked.tapers ? { tapers: asked.tapers } : {}) },
    },
    { ...shop, tools: [...drawer, ...(asked.tools ?? [])] },
  );
  if (planned.kind === 'open') throw new Error(JSON.stringify(planned.problems));
  const { operations, waiting } = planned.setups.at(-1)!.plan;
  const along = operations.filter((o): o is TaperOperation => /^taper(Near|Last)?$/.test(o.kind));
  return {
    ...{ operations, along, findings: proveJob(planned).findings },
    set: operations.find((o) => o.kind === 'taperSet'),
    why: (id: string) => waiting.find((w) => w.id === id)?.why,
    codes: planned.setups.flatMap((s) => s.problems.map((p) => p.code)),
    ids: operations.map((o) => o.id),
    kinds: operations.map((o) => o.kind),
  };
}
const pin = [feature(1, 28, 20), cone(2, 24, 80, '1:20')];
const sizes = (o: TaperOperation): number[] => o.passes.map((p) => p.diameterAfterMm);

describe('a cone in the route', () => {
  it('is roughed in steps, set, touched off, cut, proved, taken to size, and the lathe put back', () => {
    const { ids, along, operations, set, findings } = plan(pin);
    const from = ids.indexOf('f2-taperSet');
    expect(ids.slice(from, from + 9)).toEqual(
      ['taperSet', 'touchOff', 'taper', 'roughed', 'taperNear', 'between', 'taperLast', 'after', 'taperBack'].map(
        (n) => `f2-${n}`,
      ),
    );
    expect(ids.indexOf('f2-step-1')).toBeLessThan(ids.indexOf('touchOff-finisher'));
    expect(set).toMatchObject({ set: { by: 'compound' }, overMm: 50 });
    // 50·sin(atan(1/40))
    expect(set!.kind === 'taperSet' && set!.risesMm).toBeCloseTo(1.2496, 4);
    // told at its small end: 24 − 80/20
    expect(along.at(-1)!.targetMm).toBeCloseTo(20, 9);
    expect(along.at(-1)!.limits).toMatchObject({ lowerMm: 19.95, upperMm: 20.05 });
    expect(along[0]).toMatchObject({ gaugeFromTailMm: 80, perLength: 0.05 });
    // the first cuts leave enough for settings anew, and are gone over once more
    const rough = sizes(along[0]!);
    expect(rough.at(-1)! - 20).toBeGreaterThan(0.8);
    expect(rough.at(-1)).toBe(rough.at(-2));
    expect(operations.find((o) => o.id === 'f2-roughed')).toMatchObject({
      last: false,
      cone: { lengthMm: 80, gaugeFromTailMm: 80, set: { by: 'compound', travelMm: 50 }, stationsMm: [76, 51, 26, 4] },
    });
    expect(findings).toEqual([]);
  });
  it('is never roughed into by its steps', () => {
    const { operations } = plan([feature(1, 28, 20), cone(2, 28, 30, 12)]);
    const steps = operations.filter((o) => o.id.startsWith('f2-step-'));
    expect(steps.length).toBeGreaterThan(3);
    for (const o of steps) {
      // where it stops the cone is 28 less (28 − 12)/30 a millimetre from its large end
      const there = 28 - ((28 - 12) / 30) * (o.zFromMm - 20);
      expect(o.passes.at(-1)!.diameterAfterMm).toBeGreaterThan(there + 1);
    }
  });
  it.each([
    ['steep', [feature(1, 28, 20), cone(2, 28, 9, 10)], {}],
    ['between parallel lengths', [feature(1, 28, 20), cone(2, 24, 30, 20), feature(3, 20, 20)], {}],
    ['above a neck', [feature(1, 28, 20), cone(2, 24, 30, 20), feature(3, 16, 20)], {}],
    ['that goes on from its length', [feature(1, 24, 20), cone(2, 24, 40, 18)], {}],
    ['slow and slender', [feature(1, 14, 20), cone(2, 10, 40, '1:50')], { bar: '16' }],
    ['as large as its bar', [cone(1, 30, 60, 24)], {}],
  ] as const)('%s is cut with true shapes and ends at the drawing', (_, features, asked) => {
    const { along, findings, codes } = plan(features as unknown as Feature[], asked);
    expect(along.at(-1)!.kind).toBe('taperLast');
    expect([findings, codes.filter((c) => c.startsWith('route.'))]).toEqual([[], []]);
  });
  it('that rises towards the tail, or has something larger before it, waits by its name', () => {
    expect(plan([feature(1, 28, 20), cone(2, 20, 30, 24)]).why('f2')).toBe('otherEnd');
    expect(plan([feature(1, 28, 20), cone(2, 24, 30, 20), feature(3, 26, 15)]).why('f2')).toBe('behindLarger');
    const fine = plan([feature(1, 28, 20), cone(2, 24, 40, 20, { limits: '±0.004' })]);
    expect([fine.why('f2'), fine.codes.some((c) => c.startsWith('route.tooFine'))]).toEqual(['tooFine', true]);
  });
  it('beyond a parallel length leaves that to be touched off on, at its own diameter', () => {
    const { operations } = plan([feature(1, 28, 20), feature(2, 26, 30), cone(3, 20, 40, 16)]);
    const again = operations.find((o) => o.id === 'touchOff-finisher')!;
    const roughed = operations.find((o) => o.id === 'f2-rough')!;
    expect(again).toMatchObject({ featureId: 'f2', targetMm: roughed.targetMm, zToMm: 50 });
  });
  it('is read only so far as it is cut: over its large end hardly anything stands', () => {
    // of a bar of 24 a cone of 24 is met 0.3 over its size only from 15 mm before its large end on
    const { operations } = plan([cone(1, 24, 60, '1:50')], { bar: '24' });
    const read = (id: string): number[] => {
      const found = operations.find((o) => o.id === id);
      return found?.kind === 'measure' ? (found.cone?.stationsMm ?? []) : [];
    };
    const reached = 60 - 0.3 * 50;
    expect(Math.max(...read('f1-roughed'))).toBeLessThanOrEqual(reached - 3);
    expect(Math.min(...read('f1-roughed'))).toBeCloseTo(4, 6);
    expect(Math.max(...read('f1-after'))).toBeGreaterThan(reached);
  });
  it('longer than the compound goes is not told in one setting, and it is said what would do', () => {
    const long = [feature(1, 28, 20), cone(2, 24, 120, '1:40')];
    const short = plan(long);
    expect([short.why('f2'), short.codes.includes('route.noTaperWay'), short.along]).toEqual(['shape', true, []]);
    expect(plan(long, { lathe: attached }).set).toMatchObject({ set: { by: 'attachment' } });
  });
  it('is turned by what is wished where it can, and to the grade that is wished', () => {
    const by = (tapers?: TaperWish, lathe: Lathe = attached) => plan(pin, { lathe, ...(tapers ? { tapers } : {}) });
    expect(by().set).toMatchObject({ set: { by: 'compound' } });
    const rail = by({ by: 'attachment' });
    expect(rail.set).toMatchObject({ set: { by: 'attachment', graduated: 'degrees' } });
    // under power, where the compound is fed by hand
    expect(rail.along[0]!.setting!.feedLabel).toBeDefined();
    expect(by().along[0]!.setting!.feedLabel).toBeUndefined();
    // no centres, no set-over: what suits it is taken
    expect(by({ by: 'setOver' }).set).toMatchObject({ set: { by: 'compound' } });
    const grade = (n: number): number => {
      const { set } = by({ grade: n });
      return set?.kind === 'taperSet' ? set.toleranceDeg : 0;
    };
    // each grade 1.6 times the one before. ISO 1947
    expect(grade(9) / grade(8)).toBeCloseTo(1.6, 1);
  });
  it('between centres is turned by the tailstock set over, when all else is done', () => {
    const setups: Asked['setups'] = (first) => [
      { ...first, grip: { kind: 'jaws', mm: 0 }, extent: 'ends' },
      {
        ...first,
        id: '00000000-0000-4000-8000-0000000000a2',
        tail: 'left',
        grip: { kind: 'jaws', mm: 0 },
        extent: 'ends',
      },
      { ...first, id: '00000000-0000-4000-8000-0000000000a3', grip: { kind: 'centres' }, support: 'centre' },
    ];
    const { set, ids, kinds, findings, operations } = plan(
      [feature(1, 26, 30), cone(2, 24, 150, '1:60'), feature(3, 18, 20, '', { edges: { left: '', right: '1x45' } })],
      { setups, tapers: { by: 'setOver' } },
    );
    expect(set).toMatchObject({ set: { by: 'setOver', way: 'tool', balls: false } });
    const over = set?.kind === 'taperSet' && set.set.by === 'setOver' ? set.set : undefined;
    // L·sin(atan(1/120)); the small-angle rule takes the whole 200 mm
    expect(over!.offsetMm).toBeCloseTo(over!.pivotsMm * Math.sin(Math.atan(1 / 120)), 9);
    expect(over!.byRuleMm).toBeCloseTo(200 / 120, 6);
    expect(over!.pivotsMm).toBeLessThan(200);
    expect(kinds.indexOf('taperSet')).toBeGreaterThan(kinds.indexOf('chamfer'));
    expect(operations.find((o) => o.kind === 'taperBack')).toMatchObject({ by: 'setOver', offsetMm: over!.offsetMm });
    expect([findings, ids.filter((id) => /^f3.*finish/.test(id)).length]).toEqual([[], 1]);
  });
});

describe('a cone in a hole', () => {
  const seat = (core: number, more: object = {}) =>
    plan([feature(1, 38, 40)], {
      bar: '40',
      drawn: {
        bores: {
          left: [],
          right: [
            { ...boreStep('b1', 28, 12, { kind: 'taper', limits: '±0.1' }), end: mm(20), ...more },
            boreStep('b2', core, '', { kind: 'bored', limits: '±0.2' }),
          ],
        },
      },
    });
  it('is bored in steps behind the hole, then along its slope by the compound', () => {
    const { along, ids, findings, set } = seat(18);
    expect(ids.findIndex((id) => id.startsWith('b1-step-'))).toBeLessThan(ids.indexOf('b2-finish'));
    expect(set).toMatchObject({ side: 'inside', set: { by: 'compound' } });
    // told at its mouth, where it is drawn
    expect(along.at(-1)).toMatchObject({ targetMm: 28, gaugeFromTailMm: 0, side: 'inside' });
    const rough = sizes(along[0]!);
    expect(rough).toEqual(rough.toSorted((a, b) => a - b));
    expect(rough.at(-1)!).toBeLessThan(28 - 0.8);
    expect(findings).toEqual([]);
  });
  it('so short that no gauge finds two places is read where it is drawn', () => {
    const { operations } = seat(18, { length: mm(8), end: mm(20) });
    const read = operations.find((o) => o.id === 'b1-roughed');
    expect(read).toMatchObject({ cone: { stationsMm: [0] } });
  });
  it('waits with the hole that it is to be in', () => {
    const blind = plan([feature(1, 38, 40)], {
      bar: '40',
      drawn: { bores: { left: [], right: [{ ...boreStep('b1', 28, 12, { kind: 'taper' }), end: mm(20) }] } },
    });
    expect(blind.why('b1')).toBe('shape');
  });
});

describe('a taper thread', () => {
  const bit = {
    id: '00000000-0000-4000-8000-0000000009b1',
    name: 'bit 55',
    kind: 'threading',
    material: 'hss',
  } as const;
  const tools = [{ ...bit, angleDeg: 55, tipMm: 0.15, deepestMm: 3, widthMm: 4 } as Tool];
  const leads: Lathe['threads'] = {
    ...{ leadscrewLead: { text: '1/4', unit: 'in' }, gears: [], tumbler: true, dial: { wheelTeeth: 16, marks: 8 } },
    controls: [{ id: 'box', name: 'Box', kind: 'lever', positions: ['1'], changeMin: 0, stopFirst: false }],
    settings: [{ at: { box: '1' }, pitch: '14', unit: 'tpi' }],
  };
  const details = [{ ...emptyDetail('t1', 'thread', 'mm'), designation: 'R 1/2' }] as Feature['details'];
  const nipple = (lathe: Lathe, to = '1:16') =>
    plan([feature(1, 28, 20), cone(2, 21.4, 18, to, { details })], { lathe: { ...lathe, threads: leads }, tools });
  it('is cut along its cone by the attachment, told at its small end', () => {
    const { operations, ids } = nipple(attached);
    const from = ids.indexOf('t1-taperSet');
    expect(from).toBeGreaterThan(ids.indexOf('f2-taperBack'));
    expect([ids.at(from + 1), ids.indexOf('t1-taperBack') > ids.indexOf('t1-after')]).toEqual(['t1-touchOff', true]);
    expect(operations[from]).toMatchObject({ set: { by: 'attachment' }, perLength: 1 / 16 });
    const last = operations.find((o) => o.id === 't1-threadLast')!;
    expect(last).toMatchObject({ taperPerLength: 1 / 16 });
    // ISO 7-1: 20.955 and 19.793 in the gauge plane; at the small end both are less by as much
    const smallMm = 21.4 - 18 / 16;
    const { upperMm, lowerMm } = last.limits!;
    expect((upperMm + lowerMm) / 2 - smallMm).toBeCloseTo(19.793 - 20.955, 2);
    expect(upperMm - lowerMm).toBeCloseTo((2 * 25.4) / 14 / 16, 6);
  });
  it('waits for its cone, and for an attachment', () => {
    expect(nipple(attached, '1:20').codes).toContain('threading.wantsCone');
    const without = nipple(twoChucks);
    expect([without.why('t1'), without.codes.includes('threading.wantsAttachment')]).toEqual(['shape', true]);
  });
});
