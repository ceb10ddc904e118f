import { describe, expect, it } from 'vitest';
import { areaMm2 } from '../../contour/index.ts';
import { emptyDetail, type Feature } from '../../part/index.ts';
import { barOf, bladeOf, boreStep, drawer, holeGauges, hollow, insideBladeOf } from '../../testing/drawer.ts';
import { type AskedMore, feature, mm, planInput, planRoute } from '../../testing/shop.ts';
import type { FormTool, InsideThreadingTool, VeeBit } from '../../tool/index.ts';
import { collectWorking } from '../../working/index.ts';
import { kindOf, type OperationOf, sweptBy } from '../operation/kinds.ts';
import { plungesMm } from './groove.ts';

type Drawn = Extract<Feature['details'][number], { kind: 'groove' }>;
const grooveAt = (at: number, width: string, floor: string, more: Partial<Drawn> = {}): Drawn => ({
  ...(emptyDetail('g1', 'groove', 'mm') as Drawn),
  ...{ from: 'right', at: mm(at), width: mm(width), floor: mm(floor), ...more },
});
const planOf = (features: Feature[] | ReturnType<typeof hollow>, more: AskedMore = {}) =>
  planRoute(planInput(features, 42, { tools: drawer, instruments: holeGauges, ...more }));
const grooved = (details: Drawn[], more: AskedMore = {}) =>
  planOf([feature(1, 40, 10), feature(2, 30, 50, '', { details })], more);
const groove = (plan: ReturnType<typeof planOf>) =>
  plan.operations.find((o): o is OperationOf<'groove'> => o.kind === 'groove');
const round = (radiusMm: number, widthMm: number): FormTool => ({
  ...{ id: '00000000-0000-4000-8000-000900000001', name: 'round', kind: 'form', material: 'hss' },
  ...{ radiusMm, curve: 'round', widthMm },
});

describe('plunges', () => {
  it('cover the groove from wall to wall, never farther apart than four fifths of the blade', () => {
    expect(plungesMm(10, 13, 3)).toEqual([10]);
    expect(plungesMm(10, 15, 3)).toEqual([12, 10]);
    for (const [wide, blade] of [
      [5, 2],
      [7.3, 2],
      [20, 3],
      [3.1, 3],
    ] as const) {
      const at = plungesMm(10, 10 + wide, blade);
      expect(at[0]).toBeCloseTo(10 + wide - blade, 9);
      expect(at.at(-1)).toBe(10);
      for (let i = 1; i < at.length; i++) expect(at[i - 1]! - at[i]!).toBeLessThanOrEqual(0.8 * blade + 1e-9);
    }
  });
});

const veeBit = (angleDeg: number, tipMm = 0.1): VeeBit => ({
  ...{ id: '00000000-0000-4000-8000-000900000002', name: 'pointed', kind: 'vee', material: 'hss' },
  ...{ angleDeg, tipMm, deepestMm: 5 },
});

describe('a V groove', () => {
  const vee = grooveAt(20, '', '26', { shape: 'vee', angle: '60' });
  it('is plunged with a bit of its angle, whose flat keeps from the point that is drawn', () => {
    const made = groove(grooved([vee], { tools: [...drawer, veeBit(90), veeBit(60)] }))!;
    // 2 deep at 60°: 2.309 wide; a flat of 0.1 keeps 0.087 from the point
    expect(made).toMatchObject({ angleDeg: 60, widthMm: 2.3094, tipMm: 0.0866, plungesMm: [expect.any(Number)] });
    expect(made.setting!.rpm).toBeLessThan(400);
  });
  it('waits for a bit of its angle, as deep as it is, no blunter than the groove lets it be', () => {
    for (const tools of [[veeBit(90)], [{ ...veeBit(60), deepestMm: 1.5 }], [veeBit(60, 1)]]) {
      const plan = grooved([vee], { tools: [...drawer, ...tools] });
      expect(plan.waiting).toContainEqual({ id: 'g1', why: 'noTool' });
      expect(plan.problems).toContainEqual(expect.objectContaining({ code: 'route.lacks.vee', value: 60, limit: 2 }));
    }
  });
});

describe('a groove with leaning walls', () => {
  // 8 wide at the surface, 2 deep, 15° each: 6.93 at the floor
  const leaning = grooveAt(20, '8', '26', { shape: 'angled', angle: '15' });
  it('has its floor cut by a blade, and its walls with the corners of it', () => {
    const made = groove(grooved([leaning], { tools: drawer }))!;
    const lean = 2 * Math.tan((15 * Math.PI) / 180);
    expect(made).toMatchObject({ wallDeg: 15, toolMm: 3, sweep: true });
    expect(made.plungesMm[0]).toBeCloseTo(40 - lean - 3, 3);
    expect(made.plungesMm.at(-1)).toBeCloseTo(32 + lean, 3);
    const square = groove(grooved([grooveAt(20, '8', '26')], { tools: drawer }))!;
    // the compound is set twice
    expect(made.minutes).toBeGreaterThan(square.minutes + 4);
  });
  it('wants a blade that goes between its walls at the floor', () => {
    const narrow = grooved([grooveAt(20, '3', '26', { shape: 'angled', angle: '15' })], {
      tools: drawer.filter((t) => t.kind !== 'blade' || t.widthMm > 2),
    });
    expect(narrow.problems).toContainEqual(expect.objectContaining({ code: 'route.lacks.blade', value: 1.93 }));
  });
});

describe('a square groove', () => {
  const plan = grooved([grooveAt(20, '5', '24')]);
  it('is cut with the widest blade that goes into it, after its length is finished and before its edges', () => {
    const made = groove(plan)!;
    expect(made).toMatchObject({ featureId: 'f2', grooveId: 'g1', toolMm: 3, floorMm: 24, depthMm: 3, sweep: true });
    expect(made.plungesMm).toEqual([37, 35]);
    expect(plan.after.finished).toHaveProperty('g1');
    const at = (id: string) => plan.operations.findIndex((o) => o.id === id);
    expect(at('f2-finish')).toBeLessThan(at('g1-groove'));
  });
  it('takes out what is drawn and nothing else', () => {
    // 5 wide, from the floor at 12 to 5 of air over the surface at 15
    expect(areaMm2(sweptBy(plan.after, groove(plan)!)!)).toBeCloseTo(5 * (3 + 5), 6);
  });
  it('feeds as a groove is: slow, a thin chip, and tells its time', () => {
    const made = groove(plan)!;
    expect(made.setting!.feedMmPerRev).toBe(0.05);
    const { steps, record } = collectWorking();
    planRoute(
      planInput([feature(1, 40, 10), feature(2, 30, 50, '', { details: [grooveAt(20, '5', '24')] })], 42, {
        tools: drawer,
      }),
      (id) => (id === 'g1-groove' ? record : undefined),
    );
    const told = steps.find((s) => s.code === 'route.grooveMinutes')!.values;
    const { rpm, feedMmPerRev } = made.setting!;
    expect(told.cutMin).toBeCloseTo((2 * 3 + 5) / (rpm * feedMmPerRev), 9);
    expect(made.minutes).toBeCloseTo(2 + 2 * 0.3 + Number(told.cutMin), 9);
    expect(kindOf('groove').holds).toBe('carriage');
  });
  it('wants a square blade that is narrow and long enough, and says which', () => {
    const lacking = (tools: typeof drawer, width = '5', floor = '24') => {
      const p = grooved([grooveAt(20, width, floor)], { tools });
      return [p.waiting.find((w) => w.id === 'g1')?.why, p.problems.find((x) => x.code === 'route.lacks.blade')];
    };
    const none = drawer.filter((t) => t.kind !== 'blade');
    expect(lacking(none)).toEqual(['noTool', expect.objectContaining({ value: 5, limit: 3 })]);
    expect(lacking([...none, bladeOf(3, 2.9)])[0]).toBe('noTool');
    expect(lacking([...none, bladeOf(3, 3)])[0]).toBeUndefined();
    expect(lacking([...none, bladeOf(3, 32, 8)])[0]).toBe('noTool');
    expect(lacking([...none, bladeOf(6, 32)])[0]).toBe('noTool');
  });
  it('waits while its length does, and near the jaws', () => {
    const behind = planOf([feature(1, 30, 40, '', { details: [grooveAt(5, '3', '24')] }), feature(2, 38, 20)]);
    expect(behind.waiting).toContainEqual({ id: 'g1', why: 'behindLarger' });
    const inJaws = planOf([feature(1, 42, 60, '', { details: [grooveAt(45, '3', '36')] })], {
      ...{ setup: { grip: { kind: 'jaws', mm: 30 } }, gripMm: 0 },
    });
    expect(inJaws.waiting).toContainEqual({ id: 'g1', why: 'inJaws' });
  });
});

describe('a round groove', () => {
  it('is cut at once by the tool of its radius, where that comes down beside what is larger', () => {
    // a half circle of radius 3
    const drawn = grooveAt(20, '6', '24', { shape: 'round' });
    const made = groove(grooved([drawn], { tools: [...drawer, round(3, 10)] }))!;
    expect(made).toMatchObject({ radiusMm: 3, sweep: false, floorMm: 24 });
    expect(made.setting!.feedMmPerRev).toBe(0.03);
    const why = (tool: FormTool, at = 20) =>
      grooved([grooveAt(at, '6', '24', { shape: 'round' })], { tools: [...drawer, tool] }).waiting.find(
        (w) => w.id === 'g1',
      )?.why;
    expect(why(round(3.1, 10))).toBe('noTool');
    // its middle 5 from the shoulder: a tool 12 wide strikes it, one of 8 does not
    expect(why(round(3, 12), 42)).toBe('noTool');
    expect(why(round(3, 8), 42)).toBeUndefined();
  });
});

describe('a groove in a hole', () => {
  const drawn = (width = '3', floor = '26') =>
    hollow([feature(1, 40, 40)], [boreStep('b1', 20, '', { details: [grooveAt(10, width, floor)] })]);
  it('is cut with a blade that enters, after the hole is bored', () => {
    const plan = planOf(drawn());
    const made = groove(plan)!;
    expect(made).toMatchObject({ featureId: 'b1', floorMm: 26, depthMm: 3, toolMm: 2 });
    expect(plan.after.finished).toHaveProperty('g1');
    // from the floor at 13 to the axis
    expect(areaMm2(sweptBy(plan.after, made)!)).toBeCloseTo(3 * 13, 6);
  });
  it('waits where none enters or reaches', () => {
    const why = (width: string, bore: number, floor = '26') => {
      const tools = [...drawer.filter((t) => t.kind !== 'inside blade'), insideBladeOf(2, bore), barOf(15)];
      return planOf(drawn(width, floor), { tools }).waiting.find((w) => w.id === 'g1')?.why;
    };
    expect(why('3', 14)).toBeUndefined();
    expect(why('3', 21)).toBe('noTool');
    expect(why('1.5', 14)).toBe('noTool');
    expect(why('3', 14, '29')).toBe('noTool');
  });
});

describe('leaning and pointed grooves in a hole', () => {
  const drawn = (width: string, floor: string, more: Partial<Drawn>) =>
    hollow([feature(1, 40, 40)], [boreStep('b1', 20, '', { details: [grooveAt(10, width, floor, more)] })]);
  const bit = (angleDeg: number, more: Partial<InsideThreadingTool> = {}): InsideThreadingTool => ({
    ...{ id: '00000000-0000-4000-8000-000900000003', name: 'on a bar', kind: 'inside threading', material: 'hss' },
    ...{ angleDeg, tipMm: 0.1, deepestMm: 4, widthMm: 6, leastBoreMm: 14, reachMm: 50, ...more },
  });
  it('have their walls cut with the corners of a blade on a bar', () => {
    const made = groove(planOf(drawn('8', '24', { shape: 'angled', angle: '15' })))!;
    const lean = 2 * Math.tan((15 * Math.PI) / 180);
    expect(made).toMatchObject({ wallDeg: 15, toolMm: 2, floorMm: 24, sweep: true });
    // 30 from its right end to the groove's edge, the floor's ends in from there
    expect(made.plungesMm[0]! + 2).toBeCloseTo(30 - lean, 3);
    expect(made.plungesMm.at(-1)).toBeCloseTo(22 + lean, 3);
  });
  it('are plunged with a bit for threads of their angle that enters, or are told to lack one', () => {
    const vee = drawn('', '24', { shape: 'vee', angle: '60' });
    const by = (...tools: InsideThreadingTool[]) => planOf(vee, { tools: [...drawer, ...tools] });
    expect(groove(by(bit(60)))).toMatchObject({ angleDeg: 60, floorMm: 24, toolId: bit(60).id });
    for (const not of [bit(55), bit(60, { leastBoreMm: 21 }), bit(60, { reachMm: 8 }), bit(60, { radiusMm: 0.2 })]) {
      const plan = by(not);
      expect(plan.waiting).toContainEqual({ id: 'g1', why: 'noTool' });
      expect(plan.problems).toContainEqual(expect.objectContaining({ code: 'route.lacks.insideVee', value: 60 }));
    }
    // flanks that are not alike cut no V
    expect(groove(by(bit(60, { carryingDeg: 10 })))).toBeUndefined();
  });
});

describe('a round groove in a hole', () => {
  it('is made by a bit that is ground round, and a square one is not', () => {
    const drawn = hollow(
      [feature(1, 40, 40)],
      [boreStep('b1', 20, '', { details: [grooveAt(10, '4', '24', { shape: 'round' })] })],
    );
    const by = (...blades: ReturnType<typeof insideBladeOf>[]) =>
      groove(planOf(drawn, { tools: [...drawer.filter((t) => t.kind !== 'inside blade'), ...blades] }))?.toolId;
    expect(by(insideBladeOf(4, 14, 2))).toBe(insideBladeOf(4, 14, 2).id);
    expect(by(insideBladeOf(4, 14))).toBeUndefined();
    expect(by(insideBladeOf(4, 14, 2.1))).toBeUndefined();
  });
});

describe('a thread', () => {
  it('waits by name where bit, lead or class are lacking, and its length keeps its blank', () => {
    const thread = { ...emptyDetail('t1', 'thread', 'mm'), designation: 'M30' } as Feature['details'][number];
    const waits = (d: object) =>
      planOf([feature(1, 40, 10), feature(2, 30, 50, '', { details: [{ ...thread, ...d } as never] })]).waiting.find(
        (w) => w.id === 't1',
      )?.why;
    expect(waits({})).toBe('noTool');
    expect(waits({ class: '6x' })).toBe('noClass');
    expect(waits({ designation: 'as the old one' })).toBe('shape');
  });
});
