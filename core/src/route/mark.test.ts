import { describe, expect, it } from 'vitest';
import type { Lathe } from '../lathe/index.ts';
import { feature, metricLathe, planInput, planRoute } from '../testing/shop.ts';
import type { OperationOf } from './operation/kinds.ts';

const scribed: Lathe = {
  ...metricLathe,
  slides: { ...metricLathe.slides, carriage: { means: 'line', unit: 'mm', resolutionMm: 0.5, travelMm: 400 } },
};
const steps = [feature(1, 40, 10), feature(2, 30, 25), feature(3, 20, 15)];
const planOn = (lathe: Lathe, features = steps) => planRoute(planInput(features, 42, { lathe }));
const marks = (plan: ReturnType<typeof planOn>) =>
  plan.operations.filter((o): o is OperationOf<'mark'> => o.kind === 'mark');

describe('setting out', () => {
  it('is for a carriage without a ring: a line at every shoulder from the finished end, before anything is roughed', () => {
    const plan = planOn(scribed);
    const [made] = marks(plan);
    expect(made).toMatchObject({ marksMm: [15, 40], leavesMm: 0.3 });
    const at = (kind: string) => plan.operations.findIndex((o) => o.kind === kind);
    expect(at('touchOff')).toBeLessThan(at('mark'));
    expect(at('mark')).toBeLessThan(at('rough'));
    expect(marks(planOn(metricLathe))).toEqual([]);
  });
  it('is not asked for where nothing ends at a shoulder', () => {
    expect(marks(planOn(scribed, [feature(1, 40, 50)]))).toEqual([]);
  });
});
