import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arcSteps, areaMm2, cuspMm, cutAway, intersect, type Loop } from '../contour/index.ts';
import { contourOf } from '../part/index.ts';
import { boreStep, drawer, holeGauges, hollow } from '../testing/drawer.ts';
import { type AskedMore, feature, planInput, planRoute } from '../testing/shop.ts';
import type { FormTool, Tool } from '../tool/index.ts';
import type { OperationOf } from './operation/kinds.ts';

const planOf = (edges: { left?: string; right?: string }, more: AskedMore = {}) =>
  planRoute(
    planInput([feature(1, 30, 30), feature(2, 20, 40, '', { edges: { left: '', right: '', ...edges } })], 32, {
      ...{ tools: drawer, cutsOff: true },
      ...more,
    }),
  );
const rounds = (plan: ReturnType<typeof planOf>) =>
  plan.operations.filter((o): o is OperationOf<'roundEdge'> => o.kind === 'roundEdge');
const form = (radiusMm: number, curve: FormTool['curve']): Tool => ({
  ...{ id: '00000000-0000-4000-8000-000900000002', name: 'form', kind: 'form', material: 'hss' },
  ...{ radiusMm, curve, widthMm: 8 },
});
const withNose = (noseRadiusMm: number) =>
  drawer.map((t) => (t.kind === 'finisher' || t.kind === 'rougher' ? { ...t, noseRadiusMm } : t));

/** A nose that runs from the tail along a diameter to a place, as what it goes through; its own words, not the plan's. */
function nosePath(noseMm: number, diameterMm: number, fromEndMm: number, endMm: number): Loop {
  const [z, r] = [endMm - fromEndMm + noseMm, diameterMm / 2 + noseMm];
  const left = Array.from({ length: 61 }, (_, i) => {
    const a = Math.PI / 2 + (Math.PI * i) / 60;
    return { zMm: z + noseMm * Math.cos(a), rMm: r + noseMm * Math.sin(a) };
  });
  return [...left, { zMm: endMm + 5, rMm: r - noseMm }, { zMm: endMm + 5, rMm: r + noseMm }];
}

describe('a rounded edge', () => {
  it('is cut by the tool of its form where there is one', () => {
    const [made] = rounds(planOf({ right: 'R2' }, { tools: [...drawer, form(2, 'hollow')] }));
    expect(made).toMatchObject({ featureId: 'f2', by: 'form', radiusMm: 2, inner: false, steps: [] });
    expect(made!.setting!.feedMmPerRev).toBe(0.03);
  });
  it('else by a table of steps whose cusps a file blends, finer where the finish is', () => {
    const [made] = rounds(planOf({ right: 'R2' }));
    expect(made!.by).toBe('steps');
    expect(made!.cuspMm).toBeLessThanOrEqual(0.05);
    expect(made!.cuspMm).toBeGreaterThan(0.02);
    const fine = planRoute(
      planInput([feature(1, 30, 30), feature(2, 20, 40, '', { finish: '1.6', edges: { left: '', right: 'R2' } })], 32, {
        tools: drawer,
      }),
    );
    expect(rounds(fine)[0]!.steps.length).toBeGreaterThan(made!.steps.length);
    expect(rounds(fine)[0]!.cuspMm).toBeLessThanOrEqual(0.02);
    // the outermost runs along the length's own diameter, the last along the face
    expect(made!.steps[0]).toMatchObject({ diameterMm: 20 });
    expect(made!.steps.at(-1)!.fromEndMm).toBeCloseTo(0, 9);
  });
});

describe('the round in a corner', () => {
  it('is left by the nose of its radius, fed out along the shoulder', () => {
    const [made] = rounds(planOf({ left: 'R0.8' }));
    expect(made).toMatchObject({ featureId: 'f2', by: 'nose', inner: true });
  });
  it('else is cut in steps with a smaller nose, never with a larger one', () => {
    const [made] = rounds(planOf({ left: 'R3' }));
    expect(made!.by).toBe('steps');
    const plan = planOf({ left: 'R0.4' });
    expect(rounds(plan)).toEqual([]);
    expect(plan.waiting).toContainEqual({ id: 'f2.left.edge', why: 'noTool' });
  });
  it('keeps its metal till then: the shoulder is faced from beyond it', () => {
    const plan = planOf({ left: 'R3' });
    const at = (id: string) => plan.operations.find((o) => o.id === id)!;
    expect([at('f2-rough').zFromMm, at('f2-finish').zFromMm, at('f2-shoulder').zFromMm]).toEqual([33.3, 33, 30]);
    expect(at('f2-shoulder')).toMatchObject({ fromDiameterMm: 26, toDiameterMm: 30 });
    // nothing of the drawn part is gone, and nothing but the face to come off the other end is left on it
    const whole = contourOf(plan.after.part);
    expect(areaMm2(cutAway(whole, plan.after.contour))).toBeLessThan(1e-3);
    expect(areaMm2(cutAway(plan.after.contour, whole))).toBeCloseTo(15, 1);
  });
});

describe('the steps of a table', () => {
  it('never cut into what is drawn, and leave no more than they say', () => {
    const noses = fc.constantFrom(0.4, 0.8, 1.2);
    const radii = fc.constantFrom(1.5, 2, 3, 5);
    fc.assert(
      fc.property(noses, radii, fc.constantFrom('left' as const, 'right' as const), (nose, radius, end) => {
        const plan = planOf({ [end]: `R${radius}` }, { tools: withNose(nose) });
        const [made] = rounds(plan);
        const whole = contourOf(plan.after.part);
        const paths = made!.steps.map((s) => nosePath(nose, s.diameterMm, s.fromEndMm, 70));
        for (const path of paths) expect(areaMm2(intersect(whole, { loops: [path] }))).toBeLessThan(2e-3);
        // what the square or the corner had, less what all steps went through: cusps on an arc of a quarter
        const on = made!.inner ? { z: 30, r: 10 } : { z: 70 - radius, r: 10 - radius };
        const box: Loop = [
          { zMm: on.z, rMm: on.r },
          { zMm: on.z + radius, rMm: on.r },
          { zMm: on.z + radius, rMm: on.r + radius },
          { zMm: on.z, rMm: on.r + radius },
        ];
        const left = cutAway(cutAway({ loops: [box] }, whole), ...paths.map((p) => ({ loops: [p] })));
        expect(areaMm2(left)).toBeLessThan((Math.PI / 2) * radius * made!.cuspMm + 0.01);
      }),
      { numRuns: 24 },
    );
  });
  it('stand as near as their cusps allow, on either side of the arc', () => {
    expect(cuspMm(5, 0.8, 0.2, true)).toBeLessThan(cuspMm(5, 0.8, 0.2, false));
    expect(cuspMm(5, 0.1, 0.2, false)).toBe(Number.POSITIVE_INFINITY);
    const arc = { centreZMm: 0, centreRMm: 10, radiusMm: 2, fromRad: Math.PI / 2, toRad: 0, hollow: false };
    const table = arcSteps(arc, 0.8, 0.05)!;
    expect(table.cuspMm).toBeLessThanOrEqual(0.05);
    const fewer = cuspMm(2, 0.8, Math.PI / 2 / (table.steps.length - 2), false);
    expect(fewer).toBeGreaterThan(0.05);
    expect(arcSteps({ ...arc, hollow: true }, 2.5, 0.05)).toBeUndefined();
    expect(arcSteps(arc, 0.8, 1e-5)).toBeUndefined();
    // a nose of the corner's own radius needs one place
    expect(arcSteps({ ...arc, hollow: true }, 2, 0.05)!.steps).toHaveLength(1);
  });
});

describe('the round at the bottom of a hole', () => {
  const blind = (corner: string, more: AskedMore = {}) =>
    planRoute(
      planInput(hollow([feature(1, 48, 50)], [boreStep('h1', 26, 20, { corner, limits: 'H9' })]), 50, {
        ...{ tools: drawer, instruments: holeGauges, cutsOff: true },
        ...more,
      }),
    );
  const made = (plan: ReturnType<typeof blind>) => plan.operations.find((o) => o.id === 'h1-fillet');
  it('is left by the bar’s own nose where that has its radius, else stepped with a smaller one, with the bar that is there', () => {
    expect(made(blind('R0.4'))).toMatchObject({ kind: 'roundEdge', by: 'nose', inner: true, radiusMm: 0.4, steps: [] });
    const plan = blind('R2');
    const stepped = made(plan) as OperationOf<'roundEdge'>;
    expect(stepped.by).toBe('steps');
    expect(stepped.cuspMm).toBeLessThanOrEqual(0.05);
    const at = plan.operations.indexOf(stepped);
    expect(plan.operations[at - 1]!.featureId).toBe('h1');
    expect(plan.operations.slice(0, at).findLast((o) => o.toolId !== undefined)!.toolId).toBe(stepped.toolId);
  });
  it('its steps go into nothing that stays, from the floor outwards to the wall', () => {
    const { steps } = made(blind('R2')) as OperationOf<'roundEdge'>;
    const { part } = planInput(hollow([feature(1, 48, 50)], [boreStep('h1', 26, 20, { corner: 'R2' })]), 50);
    const noseMm = 0.4;
    expect(steps.map((s) => s.diameterMm)).toEqual(steps.map((s) => s.diameterMm).toSorted((a, b) => a - b));
    expect(steps.at(-1)!.diameterMm).toBeCloseTo(26, 6);
    expect(Math.max(...steps.map((s) => s.fromEndMm))).toBeCloseTo(20, 6);
    for (const { diameterMm, fromEndMm } of steps) {
      const [z, r] = [50 - fromEndMm + noseMm, diameterMm / 2 - noseMm];
      const round = Array.from({ length: 90 }, (_, i) => ({
        zMm: z + noseMm * Math.cos((i * Math.PI) / 45),
        rMm: r + noseMm * Math.sin((i * Math.PI) / 45),
      }));
      expect(areaMm2(intersect(contourOf(part), { loops: [round] }))).toBeLessThan(0.004);
    }
  });
  it('leaves higher cusps to the file where a small nose would take too many steps, and waits where even that does not do', () => {
    const large = made(blind('R6')) as OperationOf<'roundEdge'>;
    expect(large).toMatchObject({ by: 'steps', radiusMm: 6 });
    expect(large.cuspMm).toBeGreaterThan(0.05);
    expect(large.cuspMm).toBeLessThanOrEqual(0.1);
    expect(blind('R10').waiting).toContainEqual({ id: 'h1.left.edge', why: 'noTool' });
  });
});
