import { describe, expect, it } from 'vitest';
import type { Lathe } from '../lathe/index.ts';
import type { Feature } from '../part/index.ts';
import { emptyDetail } from '../part/index.ts';
import { judged, plannedThread, type ThreadOperation } from '../route/index.ts';
import { frozenRunSchema } from '../run/index.ts';
import { boreStep, drawer, holeGauges } from '../testing/drawer.ts';
import { jobOf, shopWith, twoChucks } from '../testing/jobs.ts';
import { feature, mm } from '../testing/shop.ts';
import type { Tool } from '../tool/index.ts';
import { freezeJob, planJob } from './plan-job.ts';
import { proveJob } from './prove.ts';
import type { Shop } from './schema.ts';

const id = (n: number) => `00000000-0000-4000-8000-0000000009${String(n).padStart(2, '0')}`;
const bit = (n: number, more: object = {}): Tool =>
  ({
    ...{ id: id(n), name: `bit ${n}`, kind: 'threading', material: 'hss', angleDeg: 60, tipMm: 0.2, deepestMm: 3 },
    ...{ widthMm: 4, ...more },
  }) as Tool;
const inside = (n: number, more: object = {}): Tool =>
  bit(n, { kind: 'inside threading', leastBoreMm: 14, reachMm: 60, tipMm: 0.15, ...more });
const wires = {
  ...{ id: id(50), name: 'wires', kind: 'thread wires', unit: 'mm', fromMm: 0, toMm: 60 },
  ...{ resolutionMm: 0.001, uncertaintyMm: 0.005, wiresMm: [0.9, 1.1, 1.35, 1.45] },
} as const;
/** Metric gearbox for pitches of 1 to 3, a dial of 14 teeth, a slow back gear. */
const lathe: Lathe = {
  ...twoChucks,
  threads: {
    ...{ leadscrewLead: { text: '6', unit: 'mm' }, gears: [], tumbler: true, dial: { wheelTeeth: 14, marks: 7 } },
    controls: [
      { id: 'box', name: 'Box', kind: 'lever', positions: ['1', '2', '3', '4'], changeMin: 0, stopFirst: false },
    ],
    settings: ['1', '1.75', '2', '2.5'].map((pitch, i) => ({ at: { box: `${i + 1}` }, pitch, unit: 'mm' as const })),
  },
};
const screwed: Lathe = { ...lathe, spindle: { ...lathe.spindle, nose: { kind: 'screwed', size: '', locked: false } } };
const shopOf = (more: Partial<Shop> = {}, on: Lathe = lathe): Shop => ({
  ...shopWith('30', '900', on, 'medium-carbon-steel'),
  tools: [...drawer, bit(1), inside(2)],
  instruments: [...holeGauges, wires as never],
  ...more,
});
const thread = (designation: string, more: object = {}) =>
  ({ ...emptyDetail('t1', 'thread', 'mm'), designation, ...more }) as Feature['details'][number];
const groove = (more: object) => ({ ...emptyDetail('g1', 'groove', 'mm'), ...more }) as Feature['details'][number];
/** A collar and a length of 20 that is threaded. */
const screw = (details: readonly Feature['details'][number][], diameter = 20) => [
  feature(1, 28, 20),
  feature(2, diameter, 50, '-0.05/-0.2', { details: [...details] }),
];
const plan = (features: readonly Feature[], shop = shopOf(), drawn: object = {}) => {
  const job = jobOf(features, 1, drawn);
  const planned = planJob({ ...job, hold: { ...job.hold, latheId: shop.lathes[0]!.id } }, shop);
  if (planned.kind === 'open') throw new Error(JSON.stringify(planned.problems));
  const { operations, waiting } = planned.setups[0]!.plan;
  const cut = operations.filter((o): o is ThreadOperation & typeof o => /^thread/.test(o.kind));
  return {
    ...{ operations, planned, rough: cut.find((o) => o.kind === 'thread') },
    why: waiting.find((w) => w.id === 't1')?.why,
    codes: planned.setups[0]!.problems.map((p) => p.code),
    kinds: operations.map((o) => o.kind),
  };
};
const freeEnd = groove({ from: 'left', width: mm(6), floor: mm(16.4) });

describe('a thread in the route', () => {
  it('comes after its groove and its chamfer: touched off, passes, measured, last passes, measured after each', () => {
    const features = [feature(1, 28, 20), feature(2, 20, 50, '-0.05/-0.2', { details: [freeEnd, thread('M20x2')] })];
    const { kinds, rough, planned, operations } = plan(features);
    const from = kinds.indexOf('thread');
    expect(kinds.slice(0, from)).toEqual(expect.arrayContaining(['groove', 'finish']));
    expect(kinds.slice(from - 2)).toEqual([
      ...['touchOff', 'threadSet', 'thread', 'measure', 'threadNear', 'measure', 'threadLast', 'measure'],
      ...kinds.slice(from + 6),
    ]);
    expect(rough).toMatchObject({ towards: 'chuck', reversed: false, school: 'flank', compoundDeg: 29.5, shortMm: 0 });
    expect(rough!.setting!.feedMmPerRev).toBe(2);
    expect(rough!.seconds).toBeGreaterThanOrEqual(1);
    // the scratch is counted over about an inch of the 44 that are threaded
    expect(operations.find((o) => o.kind === 'threadSet')).toMatchObject({ counted: 13, overMm: 26 });
    // its passes are pitch diameters that come down to the limits and stay above them
    const last = operations.find((o) => o.kind === 'threadLast')!;
    expect(last.limits).toMatchObject({ upperMm: 18.663, lowerMm: 18.503 });
    const sizes = rough!.passes.map((p) => p.diameterAfterMm);
    expect(sizes).toEqual(sizes.toSorted((a, b) => b - a));
    expect(sizes.at(-1)!).toBeGreaterThan(18.663);
    expect(last.targetMm!).toBeGreaterThan(18.503 + 0.05);
    expect(last.targetMm!).toBeLessThan(18.663);
    expect(proveJob(planned).findings).toEqual([]);
  });
  it('made to a measured nut comes between what the fit leaves, not what its class does', () => {
    const mates = [
      ...[{ id: 'm1', on: 't1', note: '', measured: mm('18.80'), least: '0.05', most: '0.15', unit: 'mm', from: null }],
    ];
    const { operations } = plan(screw([freeEnd, thread('M20x2')]), shopOf(), { mates });
    const last = operations.find((o) => o.kind === 'threadLast')!;
    expect(last.limits).toMatchObject({ upperMm: 18.75, lowerMm: 18.65 });
    expect(last.targetMm!).toBeCloseTo(18.75 - 0.3 * 0.1, 6);
  });
  it('of several starts by the spindle’s gear where its teeth can be shared, and the compound stays at its flank', () => {
    const geared: Lathe = {
      ...lathe,
      threads: {
        ...lathe.threads,
        settings: [],
        gears: [40, 45, 50, 60, 65, 80],
        dial: null,
        train: { fixed: [42, 42] },
      },
    };
    const drawn = screw([freeEnd, thread('M20xPh4P2')]);
    const wish = (starts?: 'gear' | 'compound') => {
      const job = jobOf(drawn, 1);
      const planned = planJob(
        {
          ...job,
          hold: { ...job.hold, latheId: geared.id },
          route: { ...job.route, threads: starts ? { starts } : {} },
        },
        shopOf({}, geared),
      );
      if (planned.kind === 'open') throw new Error(JSON.stringify(planned.problems));
      return planned.setups[0]!.plan.operations.find((o) => o.kind === 'thread') as ThreadOperation;
    };
    expect(wish()).toMatchObject({ eachStart: { by: 'compound', stepMm: 2 }, compoundDeg: 0 });
    expect(wish('gear')).toMatchObject({ eachStart: { by: 'gear', teeth: 42, stepTeeth: 21 }, compoundDeg: 29.5 });
    expect(wish('gear').minutes).toBeGreaterThan(wish('compound').minutes);
  });
  it('of a coarse form is roughed by a narrower bit where there is one, which leaves both flanks to the forming one', () => {
    const drawn = screw([groove({ from: 'left', width: mm(10), floor: mm(13) }), thread('Tr 20x4', { class: '7e' })]);
    const forming = (n: number, tipMm: number) => bit(n, { angleDeg: 30, tipMm, widthMm: 5, deepestMm: 4 });
    const on: Lathe = {
      ...lathe,
      threads: { ...lathe.threads, settings: [{ at: { box: '1' }, pitch: '4', unit: 'mm' as const }] },
    };
    const with2 = (narrowMm: number, threads: object = {}, more: object = {}) => {
      const shop = shopOf(
        {
          tools: [...drawer, forming(3, 1.25), { ...forming(4, narrowMm), ...more } as Tool],
          instruments: [...holeGauges, { ...wires, wiresMm: [2.05] } as never],
        },
        on,
      );
      const job = jobOf(drawn, 1);
      const planned = planJob(
        { ...job, hold: { ...job.hold, latheId: on.id }, route: { ...job.route, threads } },
        shop,
      );
      if (planned.kind === 'open') throw new Error(JSON.stringify(planned.problems));
      return { planned, of: planned.setups[0]!.plan.operations.filter((o) => o.featureId === 't1') };
    };
    const { planned, of } = with2(0.8);
    expect(of.map((o) => o.id)).toEqual(
      ['set', 'rough', 'centred', 'thread', 'roughed', 'threadNear', 'between', 'threadLast', 'after']
        .map((what) => `t1-${what}`)
        .filter((name) => of.some((o) => o.id === name)),
    );
    const [rough, form] = ['t1-rough', 't1-thread'].map((name) => of.find((o) => o.id === name) as ThreadOperation);
    expect([rough!.toolId, form!.toolId]).toEqual([id(4), id(3)]);
    // both points go as deep; the forming one begins where 0.225 on each flank is left, 0.225·cot 15° higher
    const pointMm = (o: ThreadOperation, mm: number): number => mm - o.pitchOverPointMm;
    expect(pointMm(rough!, rough!.passes.at(-1)!.diameterAfterMm)).toBeCloseTo(
      pointMm(form!, form!.passes.at(-1)!.diameterAfterMm),
      3,
    );
    expect(form!.passes[0]!.diameterBeforeMm).toBeCloseTo(rough!.passes.at(-1)!.diameterAfterMm, 3);
    expect(rough!.passes.at(-1)!.diameterAfterMm - form!.passes.at(-1)!.diameterAfterMm).toBeCloseTo(
      2 * 0.225 * (2 + Math.sqrt(3)),
      3,
    );
    expect(of.find((o) => o.id === 't1-centred')).toMatchObject({
      inGroove: { threadId: 't1', flankMm: 0.225, towards: form!.towards },
    });
    expect([rough!.school, rough!.compoundAlong]).toEqual(['straight', true]);
    expect(proveJob(planned).findings).toEqual([]);
    // as its picture has it: the narrower point first
    const shown = plannedThread(planned.setups[0]!.plan.operations, [forming(3, 1.25), forming(4, 0.8)], 't1')!;
    expect(shown.passes[0]!.tip).toEqual({ kind: 'flat', flatMm: 0.8 });
    expect(shown.passes.at(-1)!.tip).toEqual({ kind: 'flat', flatMm: 1.25 });
    // told so, or where the other leaves too little or too much
    expect(with2(0.8, { bits: 'one' }).of.map((o) => o.id)).not.toContain('t1-rough');
    expect(with2(0.8, {}, { radiusMm: 0.4 }).of.map((o) => o.id)).not.toContain('t1-rough');
    expect(with2(1).of.map((o) => o.id)).not.toContain('t1-rough');
  });
  it('is not cut before its groove or its length, and nothing speaks against it last', () => {
    const { operations, planned } = plan(screw([freeEnd, thread('M20x2')]));
    const about = { part: planned.part, planned: new Map(operations.map((o, i) => [o.id, i])) };
    const says = (id: string, before: string) => judged(operations, { id, before }, about).refused?.code;
    expect(says('t1-thread', 'g1-groove')).toBe('threadAfter');
    expect(says('t1-thread', 'f2-finish')).toBe('threadAfter');
    expect(judged(operations, { id: 'breakEdges', before: 't1-touchOff' }, about).refused).toBeUndefined();
  });
  it('up to a shoulder without a groove ends where the bit’s side can, and says so', () => {
    const { rough, planned } = plan(screw([thread('M20x2')]));
    expect(rough!.shortMm).toBeCloseTo(2 + 2, 9);
    expect(rough!.zFromMm).toBeCloseTo(20 + 4, 9);
    expect(rough!.notes).toContainEqual({ code: 'notFull', value: 4 });
    expect(proveJob(planned).findings.filter((f) => /thread/.test(f.operationId ?? ''))).toEqual([]);
  });
  it('goes away from the chuck where its groove leaves the hand no time; where the chuck could unscrew the last turns are by hand', () => {
    const drawn = screw([groove({ from: 'left', width: mm(4.3), floor: mm(16.4) }), thread('M20x2')]);
    const wide = plan(screw([freeEnd, thread('M20x2')])).rough!;
    expect(wide).toMatchObject({ towards: 'chuck', byHand: false });
    expect(plan(drawn).rough!).toMatchObject({ towards: 'tail', reversed: true, byHand: false });
    const narrow = plan(drawn, shopOf({}, screwed)).rough!;
    expect(narrow).toMatchObject({ towards: 'chuck', byHand: true, caution: 'handTurned' });
    expect(narrow.setting!.rpm).toBeLessThanOrEqual(wide.setting!.rpm);
  });
  it('is ended by the lathe’s stop where the hand has no time, unless the nuts stay shut or the stop is too coarse', () => {
    const drawn = (name: string) => screw([groove({ from: 'left', width: mm(4.3), floor: mm(16.4) }), thread(name)]);
    const on = (withinMm: number, name = 'M20x2') => {
      const stopped = { ...screwed, threads: { ...screwed.threads, stop: { withinMm } } };
      return plan(drawn(name), shopOf({}, stopped)).rough!;
    };
    const helped = on(0.1);
    expect(helped).toMatchObject({ stopOpens: true, byHand: false, nutsShut: false, caution: 'drawOut' });
    expect(helped.seconds).toBeLessThan(1);
    expect(on(0.2)).toMatchObject({ byHand: true });
    // no mark is right for it
    expect(on(0.1, 'M20x2.5')).toMatchObject({ byHand: true, nutsShut: true });
  });
  it('keeps its half-nuts shut where no mark is right, and names the marks where some are', () => {
    expect(plan(screw([freeEnd, thread('M20x2.5')])).rough!.engages.kind).toBe('never');
    expect(plan(screw([freeEnd, thread('M20x2.5')])).rough!).toMatchObject({ nutsShut: true });
    // 6 : 1.75 is 24 : 7: every seventh pitch of the leadscrew, twice a turn of the wheel
    expect(plan(screw([freeEnd, thread('M20x1.75')])).rough!.engages).toMatchObject({
      kind: 'marks',
      right: [0, 3.5].slice(0, 1),
    });
    expect(plan(screw([freeEnd, thread('M20x2')])).rough!.engages.kind).toBe('anywhere');
  });
  it('of the left hand begins in its groove and goes away from the chuck by the tumbler; without either it waits', () => {
    const left = [freeEnd, thread('M20x2', { hand: 'left' })];
    expect(plan(screw(left)).rough).toMatchObject({ towards: 'tail', reversed: false, hand: 'left' });
    // without a groove only with the spindle reversed, which a chuck that unscrews does not bear
    expect(plan(screw([thread('M20x2 LH')])).rough).toMatchObject({ towards: 'chuck', reversed: true });
    expect(plan(screw([thread('M20x2 LH')]), shopOf({}, screwed)).why).toBe('noRunOut');
    const none = { ...lathe, threads: { ...lathe.threads, tumbler: false } };
    expect(plan(screw(left), shopOf({}, none)).why).toBe('noRunOut');
  });
  it('waits by name for a lead that is not there, and for a bit', () => {
    const lead = plan(screw([freeEnd, thread('M20x1.5')]));
    expect([lead.why, lead.codes]).toEqual(['noLead', expect.arrayContaining(['threading.noLead'])]);
    for (const [n, more] of [
      ['blunt', { tipMm: 0.5 }],
      ['short', { deepestMm: 0.8 }],
      ['of another form', { angleDeg: 55 }],
    ] as const) {
      const { why, codes } = plan(screw([freeEnd, thread('M20x2')]), shopOf({ tools: [...drawer, bit(1, more)] }));
      expect([n, why, codes]).toEqual([n, 'noTool', expect.arrayContaining(['route.lacks.threading'])]);
    }
    expect(plan(screw([freeEnd, thread('M20x2', { class: '6q' })])).why).toBe('noClass');
    // a taper thread wants its cone
    expect(plan(screw([freeEnd, thread('R 1/2')], 20.955)).codes).toContain('threading.wantsCone');
  });
  it('in a hole is bored to its minor limits, cut with a bit that enters, and goes the other way', () => {
    const bores = { left: [], right: [boreStep('core', '17.4', '30', { details: [thread('M20x2.5')] as never })] };
    const { rough, operations } = plan([feature(1, 28, 60)], shopOf(), { bores });
    if (rough) {
      expect(rough.side).toBe('inside');
      const sizes = rough.passes.map((p) => p.diameterAfterMm);
      expect(sizes).toEqual(sizes.toSorted((a, b) => a - b));
      expect(operations.find((o) => o.kind === 'threadLast')!.targetMm!).toBeGreaterThan(18.376);
    } else {
      // blind and without a groove: away from the chuck it would have to begin in metal
      expect(plan([feature(1, 28, 60)], shopOf(), { bores }).why).toBe('noRunOut');
    }
  });
  it('in a hole has its groove shortened by how far the compound carries the point along', () => {
    const nut = (threads: object) => {
      const blind = boreStep('core', '21.9', '', {
        limits: '+0.3/0',
        details: [groove({ from: 'left', width: mm(9), floor: mm(25) }), thread('M24x2', { class: '6H' })],
      } as never);
      const job = jobOf([feature(1, 40, 60)], 1, { bores: { left: [], right: [blind] } });
      const planned = planJob(
        { ...job, hold: { ...job.hold, latheId: lathe.id }, route: { ...job.route, threads } },
        { ...shopOf(), ...shopWith('45', '900', lathe, 'medium-carbon-steel'), tools: [...drawer, inside(2)] },
      );
      if (planned.kind === 'open') throw new Error(JSON.stringify(planned.problems));
      return planned.setups[0]!.plan.operations.find((o) => o.kind === 'thread') as ThreadOperation;
    };
    const [flank, straight] = [nut({}), nut({ infeed: 'straight' })];
    expect([flank.towards, straight.towards]).toEqual(['chuck', 'chuck']);
    expect(flank.alongMm).toBeCloseTo(flank.depthMm * Math.tan((29.5 * Math.PI) / 180), 6);
    expect(straight.usableMm).toBeCloseTo(9 - 4, 9);
    expect(flank.usableMm).toBeCloseTo(9 - 4 - flank.alongMm, 6);
  });
  it('that is fine is run on by a die where there is one, unless the tail is carried', () => {
    const die = { id: id(20), name: 'die', kind: 'die', material: 'hss', designation: 'M8', hand: 'right' } as Tool;
    const pin = [feature(1, 20, 20), feature(2, 8, 20, '-0.05/-0.2', { details: [thread('M8')] })];
    const { kinds, operations } = plan(pin, shopOf({ tools: [...drawer, die] }));
    expect(kinds).toContain('dieOrTap');
    expect(operations.find((o) => o.kind === 'dieOrTap')).toMatchObject({ caution: 'squareOn', pitchMm: 1.25 });
    expect(plan(pin, shopOf({ tools: [...drawer, { ...die, hand: 'left' } as Tool] })).kinds).not.toContain('dieOrTap');
  });
  it('of several starts cuts all of them at every depth: at marks of their own, else the compound goes along the bed', () => {
    const drawn = screw([
      groove({ from: 'left', width: mm(10), floor: mm(15) }),
      thread('Tr 20x8 (P4)', { class: '7e' }),
    ]);
    const [forming, coarse] = [bit(3, { angleDeg: 30, tipMm: 1.25, widthMm: 5 }), { wiresMm: [2.05], id: id(51) }];
    const box = [{ at: { box: '1' }, pitch: '8', unit: 'mm' as const }];
    const dials = (moreDials: Lathe['threads']['moreDials']): Lathe => ({
      ...lathe,
      threads: { ...lathe.threads, settings: box, ...(moreDials ? { moreDials } : {}) },
    });
    const by = (on: Lathe, more: object = {}) => {
      const shop = shopOf(
        { tools: [...drawer, forming], instruments: [...holeGauges, { ...wires, ...coarse } as never] },
        on,
      );
      const job = jobOf(drawn, 1, {});
      const planned = planJob(
        { ...job, route: { ...job.route, ...more }, hold: { ...job.hold, latheId: on.id } },
        shop,
      );
      const operations = planned.setups[0]!.plan.operations;
      return operations.find((o): o is ThreadOperation & typeof o => o.kind === 'thread')!;
    };
    // 6 : 8 — two pitches of the leadscrew on is half a lead: every other mark of 16 teeth and 8 marks
    const dialled = by(dials([{ wheelTeeth: 16, marks: 8 }]));
    expect(dialled).toMatchObject({
      ...{ starts: 2, nutsShut: false, school: 'flank' },
      eachStart: {
        by: 'nuts',
        marks: [
          [0, 2, 4, 6],
          [1, 3, 5, 7],
        ],
      },
      engages: { kind: 'marks', wheelTeeth: 16, right: [0, 2, 4, 6] },
    });
    // its dial of 7 marks has none for the second start
    const shifted = by(dials(undefined), { threads: { infeed: 'alternate' } });
    expect(shifted).toMatchObject({
      ...{ school: 'straight', compoundDeg: 0, compoundAlong: true },
      eachStart: { by: 'compound', stepMm: 4 },
    });
    // each pass is two of a single start, and its time with it
    expect(dialled.minutes).toBeGreaterThan(1.6 * dialled.passes.length * (70 / (dialled.setting!.rpm * 8)));
  });
  it('goes in as the turner wants: along, straight, or one flank and the other; the compound never over the flank', () => {
    const by = (threads: object, designation = 'M20x2') => {
      const job = jobOf(screw([freeEnd, thread(designation)]), 1, {});
      const shop = shopOf();
      const planned = planJob(
        { ...job, route: { ...job.route, threads }, hold: { ...job.hold, latheId: shop.lathes[0]!.id } },
        shop,
      );
      return planned.setups[0]!.plan.operations.find((o): o is ThreadOperation & typeof o => o.kind === 'thread')!;
    };
    expect(by({})).toMatchObject({ school: 'flank', compoundDeg: 29.5 });
    expect(by({ lessDeg: 1 })).toMatchObject({ compoundDeg: 29 });
    expect(by({ infeed: 'straight' })).toMatchObject({ school: 'straight', compoundDeg: 0, scaleDeg: 0 });
    const alternate = by({ infeed: 'alternate' });
    expect(alternate).toMatchObject({ school: 'alternate', compoundAlong: true });
    // along one flank and the other, less and less, and where the measured passes are before it is measured
    const asides = alternate.asidesMm!;
    expect(asides).toHaveLength(alternate.passes.length);
    expect(asides.at(-1)).toBe(0);
    const steps = asides.slice(1).map((aside, i) => aside - asides[i]!);
    for (const [i, step] of steps.entries()) {
      expect(Math.sign(step)).toBe(i % 2 === 0 ? 1 : -1);
      if (i > 0) expect(Math.abs(step)).toBeLessThanOrEqual(Math.abs(steps[i - 1]!) + 1e-4);
    }
    const falling = by({ schedule: 'fallingDepth' }).passes.map((p) => p.depthMm);
    expect(falling[1]! / falling[0]!).toBeCloseTo(Math.SQRT2 - 1, 1);
    // it always comes back by hand, or always under power with the nuts shut
    expect([by({ back: 'open' }).nutsShut, by({ back: 'shut' }).nutsShut]).toEqual([false, true]);
  });
  it('of a run that was begun when each start stood by itself is still read', () => {
    const shop = shopOf();
    const job = jobOf(screw([freeEnd, thread('M20x2')]), 1, {});
    const held = { ...job, hold: { ...job.hold, latheId: shop.lathes[0]!.id } };
    const frozen = freezeJob(held, planJob(held, shop))!;
    const before = {
      ...frozen,
      steps: frozen.steps.map((s) => (s.kind === 'thread' ? { ...s, start: 1 } : s)),
    };
    expect(frozenRunSchema.safeParse(JSON.parse(JSON.stringify(before))).error).toBeUndefined();
  });
});
