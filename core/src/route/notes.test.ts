import { describe, expect, it } from 'vitest';
import { materialById } from '../material/index.ts';
import { feature, planInput, planRoute, tools } from '../testing/shop.ts';

const stepped = [feature(1, 30, 40), feature(2, 20, 30)];
const planWith = (more: Parameters<typeof planInput>[2], features = stepped) =>
  planRoute(planInput(features, 32, more)).operations;
const said = (operations: ReturnType<typeof planWith>, code: string) =>
  operations.filter((o) => o.notes?.some((n) => n.code === code)).map((o) => o.id);

describe('what is said at a step', () => {
  it('is wet or dry once for each tool, at its first cut', () => {
    const wet = planWith({ material: materialById('low-carbon-steel')! });
    expect(said(wet, 'dry')).toEqual([]);
    expect(new Set(said(wet, 'wet').map((id) => wet.find((o) => o.id === id)!.toolId)).size).toBe(
      said(wet, 'wet').length,
    );
    expect(said(wet, 'wet')).toContain('f1-rough');
    expect(said(planWith({ material: materialById('grey-iron')! }), 'dry')).toContain('f1-rough');
    // either way: nothing is said
    const either = planWith({ material: materialById('tin-bronze')! });
    expect([...said(either, 'wet'), ...said(either, 'dry')]).toEqual([]);
  });
  it('is that a nose of 0.4 cannot leave a corner drawn sharp, and can leave one of 0.5', () => {
    const nosed = tools.map((t) => (t.kind === 'finisher' ? { ...t, noseRadiusMm: 0.4 } : t));
    const corner = planWith({ tools: nosed }).find((o) => o.kind === 'shoulder')!;
    expect(corner.notes).toContainEqual({ code: 'noseInCorner', value: 0.4, limit: 0 });
    const round = [stepped[0]!, feature(2, 20, 30, '', { edges: { left: 'R0.5', right: '' } })];
    expect(said(planWith({ tools: nosed }, round), 'noseInCorner')).toEqual([]);
  });
  it('is a finish that turning does not reach', () => {
    const fine = [stepped[0]!, feature(2, 20, 30, 'h7', { finish: 'Ra 0.2' })];
    const last = planWith({}, fine).find((o) => o.kind === 'finish' && o.featureId === 'f2')!;
    expect(last.notes?.find((n) => n.code === 'finishBeyond')).toMatchObject({ value: 0.2 });
    expect(said(planWith({}), 'finishBeyond')).toEqual([]);
  });
});
