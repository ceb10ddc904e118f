import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areaMm2, cutAway, outlineMm } from '../../contour/index.ts';
import { contourOf, insides } from '../../part/index.ts';
import { barOf, boreStep, drawer, drillOf, holeGauges, hollow, reamerOf } from '../../testing/drawer.ts';
import { type AskedMore, feature, planInput, planRoute, tools } from '../../testing/shop.ts';
import { pointLengthMm } from '../../tool/index.ts';
import { barGivesMmPerN } from '../bar-gives.ts';
import { pecksMm } from '../operation/drill.ts';
import type { OperationKind, OperationOf } from '../operation/kinds.ts';
import type { Plan } from '../plan.ts';
import { barFor } from './choose-bar.ts';
import { drillsUpTo } from './choose-drill.ts';

type Drawn = ReturnType<typeof hollow>;
const planOf = (drawn: Drawn, stockMm: number, more: AskedMore = {}): Plan =>
  planRoute(planInput(drawn, stockMm, { tools: drawer, instruments: holeGauges, ...more }));
const of = <K extends OperationKind>(plan: Plan, kind: K) =>
  plan.operations.filter((o): o is OperationOf<K> => o.kind === kind);
const ids = (plan: Plan) => plan.operations.map((o) => o.id);
const waits = (plan: Plan) => Object.fromEntries(plan.waiting.map((w) => [w.id, w.why]));
const bush = (steps: ReturnType<typeof boreStep>[]) => hollow([feature(1, 40, 6), feature(2, 34, 30)], steps);

describe('a bar that turns between centres', () => {
  it('gives way as a beam carried at both ends, whatever of it is in the hole', () => {
    const bar = barOf(24, {
      ...{ shankMm: 20, reachMm: 300 },
      turns: {
        ...{ by: 'centres', mostBoreMm: 60, unit: 'mm', travelPerTurn: '0.5', divisions: 50 },
        ...{ kind: 'radius', slackMm: 0.03, clockwise: 'out' },
      },
    });
    const set = barFor([bar], { entersMm: 28, deepMm: 50, floor: false, turning: bar })!;
    // F·l³/(48·E·I) of steel, Ø20 and 300 long
    expect(set.givesMmPerN).toBeCloseTo(300 ** 3 / (48 * 210_000 * ((Math.PI * 20 ** 4) / 64)), 9);
    // in the post it is no bar at all
    expect(barFor([bar], { entersMm: 28, deepMm: 50, floor: false })).toBeUndefined();
  });
});

describe('a hole that is reamed', () => {
  const plan = planOf(bush([boreStep('b1', 20, '', { limits: 'H7', kind: 'reamed' })]), 42);
  it('is spotted, drilled up to what the reamer takes, and reamed through, before the outside is finished', () => {
    expect(ids(plan).filter((id) => id.startsWith('b1') || id === 'spot')).toEqual([
      ...['spot', 'b1-drill-11.7', 'b1-drill', 'b1-ream', 'b1-after'],
    ]);
    expect(of(plan, 'drill').at(-1)).toMatchObject({ diameterMm: 19.7, fromMm: 11.7, through: true });
    expect(of(plan, 'ream')[0]).toMatchObject({ diameterMm: 20, takesMm: 0.3 });
    expect(ids(plan).indexOf('face')).toBeLessThan(ids(plan).indexOf('spot'));
    expect(ids(plan).indexOf('f2-rough')).toBeLessThan(ids(plan).indexOf('b1-ream'));
    expect(ids(plan).indexOf('b1-ream')).toBeLessThan(ids(plan).indexOf('f2-finish'));
  });
  it('is half the drill’s speed, fed two and a half times as fast', () => {
    const [ream, drill] = [of(plan, 'ream')[0]!, of(plan, 'drill').at(-1)!];
    expect(ream.setting!.rpm).toBeLessThan(0.75 * drill.setting!.rpm);
    expect(ream.setting!.feedMmPerRev).toBeGreaterThan(0.5);
  });
  it('is bored for the reamer where no drill leaves what it takes, and bored to size where there is no reamer', () => {
    const without = (...sizes: number[]) =>
      drawer.filter(
        (t) => !('diameterMm' in t && (t.kind === 'drill' || t.kind === 'reamer') && sizes.includes(t.diameterMm)),
      );
    const drawn = bush([boreStep('b1', 20, '', { limits: 'H7', kind: 'reamed' })]);
    const prepared = planOf(drawn, 42, { tools: without(19.7) });
    expect(ids(prepared)).toEqual(expect.arrayContaining(['b1-touchOff', 'b1-rough', 'b1-ream']));
    expect(of(prepared, 'rough').find((o) => o.id === 'b1-rough')!.targetMm).toBeCloseTo(20 - 0.325, 6);
    const bored = planOf(drawn, 42, { tools: without(20) });
    expect(ids(bored)).toContain('b1-finish');
    expect(ids(bored)).not.toContain('b1-ream');
  });
  it('follows the school: a reamer where one fits, or a bar where one enters', () => {
    const drawn = (kind: 'bored' | 'reamed') => bush([boreStep('b1', 20, '', { limits: 'H7', kind })]);
    expect(ids(planOf(drawn('bored'), 42, { holes: 'ream' }))).toContain('b1-ream');
    expect(ids(planOf(drawn('reamed'), 42, { holes: 'bore' }))).not.toContain('b1-ream');
  });
});

describe('a stepped hole', () => {
  const plan = planOf(bush([boreStep('b1', 26, 12, { limits: 'H7' }), boreStep('b2', 20, '', { limits: 'H7' })]), 42);
  it('is drilled from the narrow step outwards, each the pilot of the next, its point clear of the shoulder', () => {
    const drills = of(plan, 'drill');
    expect(drills.map((d) => [d.featureId, d.diameterMm, d.fromMm ?? 0])).toEqual([
      ...[
        ['b2', 10, 0],
        ['b2', 16, 10],
        ['b1', 25, 16],
      ],
    ]);
    // of the point of 25 what lies outside the hole of 16 stays 0.3 above the shoulder at 24
    const last = drills[2]!;
    expect(last.zFromMm - (1 - 16 / 25) * pointLengthMm(drillOf(25))).toBeCloseTo(24.3, 9);
  });
  it('is bored wider with each pass, and ends at the middle of its limits', () => {
    for (const id of ['b1', 'b2']) {
      const passes = plan.operations.filter((o) => o.featureId === id).flatMap((o) => o.passes);
      for (const p of passes) expect(p.diameterAfterMm).toBeGreaterThan(p.diameterBeforeMm);
      expect(passes.at(-1)!.diameterAfterMm).toBeCloseTo((id === 'b1' ? 26 : 20) + 0.0105, 4);
    }
  });
  it('has its shoulder faced inwards from the wall to the narrower hole', () => {
    const floor = of(plan, 'shoulder').find((o) => o.featureId === 'b1')!;
    expect(floor.fromDiameterMm).toBeCloseTo(26.0105, 4);
    expect(floor.toDiameterMm).toBe(20);
    expect(plan.after.finished).toHaveProperty(['b1.floor']);
  });
});

describe('a blind hole', () => {
  it('of a drill is as deep as is drawn at its full diameter; the way back is counted in diameters', () => {
    const plan = planOf(hollow([feature(1, 40, 60)], [boreStep('b1', 10, 45, { kind: 'drilled' })]), 42);
    const [drill] = of(plan, 'drill');
    expect(drill).toMatchObject({ depthMm: 45, through: false, pecksMm: [30, 40, 48] });
    expect(plan.after.finished).toHaveProperty('b1');
  });
  it('that is bored keeps the drill’s point off its floor', () => {
    const plan = planOf(hollow([feature(1, 40, 40)], [boreStep('b1', 20, 25, { limits: 'H8' })]), 42);
    for (const d of of(plan, 'drill')) expect(d.zFromMm - d.pointMm).toBeCloseTo(15.3, 2);
    expect(of(plan, 'shoulder').find((o) => o.featureId === 'b1')).toMatchObject({ zFromMm: 15, toDiameterMm: 0 });
  });
  it('has what the point left faced off before the bar goes on to the floor, its back clear of the wall', () => {
    const drawn = bush([boreStep('b1', 20, 12, { limits: 'H7' })]);
    const plan = planOf(drawn, 42);
    const [rough] = of(plan, 'rough').filter((o) => o.featureId === 'b1');
    const [floor] = of(plan, 'openFloor');
    const drill = of(plan, 'drill').at(-1)!;
    expect([drill.diameterMm, floor!.zToMm]).toEqual([16, drill.zFromMm]);
    expect(ids(plan).indexOf(floor!.id)).toBe(ids(plan).indexOf(rough!.id) - 1);
    // 0.3 above the floor at 24 of 36, open to nothing there; half a millimetre each at the most, along the slope of 59°
    expect([floor!.zFromMm, floor!.toDiameterMm]).toEqual([rough!.zFromMm, 16]);
    expect(floor!.zFromMm).toBeCloseTo(24.3, 9);
    const { slices } = floor!;
    expect(slices).toHaveLength(Math.ceil((drill.zFromMm - 24.3) / 0.5));
    for (const [i, s] of slices.entries()) {
      const before = slices[i - 1]?.fromEndMm ?? 36 - drill.zFromMm;
      expect(s.fromEndMm - before).toBeLessThanOrEqual(0.5);
      const deepMm = s.fromEndMm - (36 - drill.zFromMm);
      expect(s.fromDiameterMm).toBeCloseTo(16 - 2 * deepMm * Math.tan((59 * Math.PI) / 180), 6);
    }
    expect(slices.at(-1)!.fromDiameterMm).toBeCloseTo(0, 6);
    // a bar of 12 goes into 16, but with its edge on the axis its back would be through the wall
    expect(drawer.find((t) => t.id === rough!.toolId)).toMatchObject({ leastBoreMm: 8 });
    const stout = planOf(drawn, 42, { tools: drawer.filter((t) => t.name !== 'bar 8') });
    expect(waits(stout)).toMatchObject({ b1: 'noTool' });
    expect(stout.problems).toContainEqual(expect.objectContaining({ code: 'route.lacks.room', value: 20 }));
    // a flat end leaves nothing to face off, and goes into a shallow recess
    const recess = bush([boreStep('b1', 30, 2)]);
    expect(planOf(recess, 42).problems).toContainEqual(expect.objectContaining({ code: 'route.lacks.room' }));
    const flat = planOf(recess, 42, { tools: [...drawer, { ...drillOf(10), id: drillOf(10.5).id, pointDeg: 180 }] });
    expect(waits(flat)).not.toHaveProperty('b1');
    expect(of(flat, 'openFloor')).toEqual([]);
  });
  it('is not bored by a bar that cannot face its floor', () => {
    const leaning = drawer.map((t) => (t.kind === 'boring bar' ? { ...t, kappaDeg: 75 } : t));
    const plan = planOf(hollow([feature(1, 40, 40)], [boreStep('b1', 20, 25)]), 42, { tools: leaning });
    expect(waits(plan)).toMatchObject({ b1: 'noTool' });
    expect(
      planOf(hollow([feature(1, 40, 40)], [boreStep('b1', 20, '')]), 42, { tools: leaning }).waiting,
    ).not.toContainEqual(expect.objectContaining({ id: 'b1' }));
  });
});

describe('a plain hole', () => {
  it('is drilled where a drill has its size, though it is drawn as bored', () => {
    expect(ids(planOf(bush([boreStep('b1', 6, '')]), 42))).toContain('b1-drill');
    // not where a cone would stay at its bottom
    const blind = planOf(bush([boreStep('b1', 6, 10)]), 42);
    expect(waits(blind)).toMatchObject({ b1: 'noTool' });
    expect(blind.problems).toContainEqual(expect.objectContaining({ code: 'route.lacks.drill', value: 6 }));
  });
  it('that goes right through has no floor, from whichever end it is drawn', () => {
    const step = boreStep('b1', 20, '', { limits: 'H7' });
    for (const drawn of [bush([step]), hollow([feature(1, 40, 6), feature(2, 34, 30)], [], [step])]) {
      const plan = planOf(drawn, 42);
      expect(of(plan, 'drill').at(-1)).toMatchObject({ through: true });
      expect(of(plan, 'finish').find((o) => o.featureId === 'b1')!.zFromMm).toBeLessThan(0);
      expect(of(plan, 'shoulder').filter((o) => o.featureId === 'b1')).toEqual([]);
    }
  });
});

describe('what cannot be made', () => {
  it('waits for a tool, and the nearest owned is named', () => {
    const plan = planOf(hollow([feature(1, 12, 10)], [boreStep('b1', 4.2, '', { limits: 'H7' })]), 14);
    expect(waits(plan)).toMatchObject({ b1: 'noTool' });
    expect(plan.problems).toContainEqual(expect.objectContaining({ code: 'route.lacks.reamer', value: 4.2, limit: 8 }));
    const drilled = planOf(
      hollow([feature(1, 30, 20)], [boreStep('b1', 7, '', { kind: 'drilled', limits: '±0.05' })]),
      32,
    );
    expect(drilled.problems).toContainEqual(expect.objectContaining({ code: 'route.lacks.drill', value: 7 }));
  });
  it('waits behind a narrower step, for the other end, and behind the tail centre', () => {
    const waisted = hollow([feature(1, 40, 60)], [boreStep('b1', 12, 40)], [boreStep('b2', 20, 20)]);
    expect(waits(planOf(waisted, 42))).toMatchObject({ b2: 'behindNarrower' });
    const blind = hollow([feature(1, 40, 60)], [], [boreStep('b2', 20, 20)]);
    expect(waits(planOf(blind, 42))).toMatchObject({ b2: 'otherEnd' });
    const centred = planOf(hollow([feature(1, 40, 60)], [boreStep('b1', 20, 20)]), 42, {
      setup: { support: 'centre' },
    });
    expect(waits(centred)).toMatchObject({ b1: 'behindCentre' });
  });
  it('is no cone at the mouth of a hole that is not there', () => {
    const drawn = hollow(
      [feature(1, 30, 40)],
      [
        boreStep('c', 9, '', { kind: 'countersunk', end: { text: '7', unit: 'mm' } }),
        boreStep('b1', 7, '', { kind: 'drilled', limits: '±0.05' }),
      ],
    );
    expect(ids(planOf(drawn, 32))).not.toContain('c-countersink');
    const tools7 = [...drawer, drillOf(7)];
    expect(ids(planOf(drawn, 32, { tools: tools7 }))).toContain('c-countersink');
  });
});

describe('drills', () => {
  it('clear their chips after three diameters, then every diameter, deep down every half', () => {
    expect(pecksMm(10, 29)).toEqual([29]);
    expect(pecksMm(10, 45)).toEqual([30, 40, 45]);
    expect(pecksMm(10, 75)).toEqual([30, 40, 50, 60, 65, 70, 75]);
  });
  it('are led up to by the largest that what is open lets run', () => {
    const drills = [28, 25, 16, 11.7, 6].map((d) => drillOf(d));
    const run = (open: number, bears: (d: number, open: number) => boolean = () => true) =>
      drillsUpTo(drills[0]!, open, drills, (d, o) => bears(d.diameterMm, o))?.map((d) => d.diameterMm);
    expect(run(0)).toEqual([11.7, 28]);
    expect(run(14)).toEqual([28]);
    expect(run(0, (d, open) => d - open <= 12)).toEqual([11.7, 16, 28]);
    expect(run(0, (d) => d < 20)).toBeUndefined();
  });
});

describe('boring bars', () => {
  it('give as a cantilever of their shank does', () => {
    // Ø16 steel, 64 out: 64³ ÷ (3 · 210000 · π·16⁴/64)
    expect(barGivesMmPerN({ shankMm: 16, shank: 'steel' }, 64)).toBeCloseTo(262144 / (3 * 210000 * 3216.99), 9);
    expect(barGivesMmPerN({ shankMm: 16, shank: 'carbide' }, 64)).toBeLessThan(
      barGivesMmPerN({ shankMm: 16, shank: 'steel' }, 64) / 2.5,
    );
  });
  it('are the stiffest that enter and reach', () => {
    const bars = [barOf(8), barOf(12), barOf(18), barOf(25)];
    const found = (entersMm: number, deepMm: number, floor = false) =>
      barFor(bars, { entersMm, deepMm, floor })?.bar.leastBoreMm;
    expect([found(7, 20), found(11, 20), found(20, 30), found(40, 30)]).toEqual([undefined, 8, 18, 25]);
    // 5 × 12 reach
    expect(found(12, 58)).toBeUndefined();
    expect(barFor([barOf(12)], { entersMm: 12, deepMm: 40, floor: false })!.long).toBe(true);
    expect(barFor([barOf(12, { kappaDeg: 75 })], { entersMm: 12, deepMm: 20, floor: true })).toBeUndefined();
  });
});

describe('any bush', () => {
  const sizes = fc.record({
    flange: fc.integer({ min: 30, max: 60 }),
    wall: fc.integer({ min: 4, max: 12 }),
    long: fc.integer({ min: 8, max: 40 }),
    made: fc.constantFrom('bored' as const, 'reamed' as const),
    bore: fc.constantFrom(10, 12, 16, 20),
    counter: fc.option(fc.integer({ min: 3, max: 6 })),
  });
  it('is left without metal in its hole, none of it too deep, and cut off its stock', () => {
    fc.assert(
      fc.property(sizes, ({ flange, wall, long, made, bore, counter }) => {
        const body = bore + 2 * wall + 6;
        const steps = [
          ...(counter ? [boreStep('b0', bore + 5, counter)] : []),
          boreStep('b1', bore, '', { limits: made === 'reamed' ? 'H7' : '', kind: made }),
        ];
        const drawn = hollow([feature(1, Math.max(flange, body + 4), 6), feature(2, body, long)], steps);
        const plan = planOf(drawn, Math.max(flange, body + 4) + 3, {
          tools: [...drawer, reamerOf(bore)],
          cutsOff: true,
        });
        const done = insides(plan.after.part).filter((s) => s.id in plan.after.finished);
        expect(plan.waiting.filter((w) => w.id.startsWith('b'))).toEqual([]);
        expect(done).toHaveLength(steps.length);
        // half the largest tolerance of the outline that stands, and the millimetre that is faced from the other end
        const whole = contourOf(plan.after.part);
        const missing = areaMm2(cutAway(whole, plan.after.contour));
        expect(missing).toBeLessThan(0.25 * outlineMm(whole));
        const inHole = cutAway(plan.after.contour, whole);
        const head = plan.after.part.largestMm / 2;
        expect(areaMm2(inHole)).toBeLessThan(1.05 * head + 0.25 * outlineMm(whole));
      }),
      { numRuns: 40 },
    );
  });
});

describe('a drawer without tools for holes', () => {
  it('leaves the outside planned as it was', () => {
    const plan = planOf(bush([boreStep('b1', 20, '')]), 42, { tools });
    expect(waits(plan)).toMatchObject({ b1: 'noTool' });
    expect(ids(plan)).toContain('f2-finish');
  });
});

describe('edges that nobody drew', () => {
  const edges = (plan: Plan) => of(plan, 'breakEdges')[0];
  it('are broken: of lengths that stick out, and the mouth of a hole, but not those that are drawn', () => {
    // flange, body, mouth
    expect(edges(planOf(bush([boreStep('b1', 20, '')]), 42))).toMatchObject({ count: 3, largestMm: 40, zFromMm: 5 });
    const drawn = hollow(
      [feature(1, 40, 6), feature(2, 34, 30, '', { edges: { left: '', right: '1x45' } })],
      [boreStep('c', 22, '', { kind: 'countersunk', end: { text: '20', unit: 'mm' } }), boreStep('b1', 20, '')],
    );
    expect(edges(planOf(drawn, 42))).toMatchObject({ count: 1, largestMm: 40 });
    expect(of(planOf(bush([boreStep('b1', 20, '')]), 42, { setup: { extent: 'rough' } }), 'breakEdges')).toEqual([]);
  });
});
