import { describe, expect, it } from 'vitest';
import { areaMm2, cutAway, ring } from '../contour/index.ts';
import type { Operation } from '../route/index.ts';
import { simulate } from '../simulate/index.ts';
import { FAMILIES, partOf } from '../testing/families.ts';
import { jobOf, shopWith } from '../testing/jobs.ts';
import { feature } from '../testing/shop.ts';
import { type PlannedJob, planJob } from './plan-job.ts';
import { proveJob } from './prove.ts';
import { stillWaiting } from './setups.ts';

const pin = planJob(jobOf([feature(1, 30, 30, 'h9'), feature(2, 22, 30, 'h7'), feature(3, 16, 20)]), shopWith('35'));
type Setup = PlannedJob['setups'][number];
/** The first setup of the pin with its operations changed. */
const changed = (by: (operations: readonly Operation[]) => readonly Operation[], more: Partial<Setup> = {}) => {
  const [setup] = pin.setups as readonly Setup[];
  return simulate({ ...setup!, ...more, plan: { ...setup!.plan, operations: by(setup!.plan.operations) } });
};
const codes = (result: ReturnType<typeof simulate>) =>
  result.findings.map((f) => [f.code, f.operationId ?? f.surfaceId]);
const deeper = (id: string, byMm: number) => (list: readonly Operation[]) =>
  list.map((o) =>
    o.id === id ? { ...o, passes: o.passes.map((p) => ({ ...p, diameterAfterMm: p.diameterAfterMm - 2 * byMm })) } : o,
  );

describe('a route as it is planned', () => {
  it('ends at the drawing with the tools as they are, in every family of parts, and nothing of it is refused', () => {
    for (const family of FAMILIES)
      for (let number = 1; number <= 12; number++) {
        const { planned } = partOf(family, number);
        const proof = proveJob(planned);
        expect([family, number, proof.findings]).toEqual([family, number, []]);
        expect(proof.setups.every((s) => s.frames.length > 0)).toBe(true);
        const waits = stillWaiting(planned.setups).filter((w) => w.why !== 'asBar');
        expect([family, number, waits]).toEqual([family, number, []]);
        expect(proof.proved).toBe(true);
      }
  }, 120_000);
  it('tells the metal after every pass, each less than the one before, the last as the plan leaves it but for its corners', () => {
    const result = changed((list) => list);
    const areas = result.frames.map((f) => areaMm2(f.contour));
    expect(areas.toSorted((a, b) => b - a)).toEqual(areas);
    const [setup] = pin.setups;
    const cuts = setup!.plan.operations.reduce((sum, o) => sum + Math.max(1, o.passes.length), 0);
    expect(result.frames.length).toBeLessThanOrEqual(cuts);
    // a nose of 0.8 in two corners
    const off = areaMm2(cutAway(result.contour, setup!.plan.after.contour));
    expect(off).toBeGreaterThan(2 * (1 - Math.PI / 4) * 0.64 - 0.02);
    expect(off).toBeLessThan(0.6);
    expect(result.kept.map((k) => [k.id, k.radiusMm])).toEqual([
      ['f2', 0.8],
      ['f3', 0.8],
    ]);
    expect(result.byHand).toEqual(expect.arrayContaining(['saw']));
  });
});

describe('what is wrong with a route', () => {
  it('a cut below the limits is found at its pass, one within them is not', () => {
    expect(codes(changed(deeper('f2-finish', 0.05)))).toEqual([['cutsInto', 'f2-finish']]);
    expect(changed(deeper('f2-finish', 0.05)).findings[0]).toMatchObject({ passNumber: 1, surfaceId: 'f2' });
    // h7 of 22 leaves 21 µm from its middle to either end
    expect(changed(deeper('f2-finish', 0.004)).findings).toEqual([]);
  });
  it('a cut that is left out leaves its metal, one that stops short too', () => {
    const without = (id: string) => changed((list) => list.filter((o) => o.id !== id));
    expect(codes(without('f3-finish'))).toEqual([['leaves', 'f3']]);
    expect(codes(without('f2-shoulder'))).toEqual([['leaves', 'f2']]);
    const short = changed((list) => list.map((o) => (o.id === 'f3-finish' ? { ...o, zFromMm: o.zFromMm + 3 } : o)));
    expect(codes(short)).toEqual([['leaves', 'f3']]);
  });
  it('a cut that goes on too far is found in what stands there', () => {
    const past = changed((list) => list.map((o) => (o.id === 'f3-finish' ? { ...o, zFromMm: o.zFromMm - 2 } : o)));
    expect(codes(past)[0]).toEqual(['cutsInto', 'f3-finish']);
  });
  it('a tool in the jaws, and what they held gone', () => {
    const [setup] = pin.setups as readonly Setup[];
    const { jawsMm } = setup!.plan.held!;
    const into = changed((list) => list.map((o) => (o.id === 'f1-finish' ? { ...o, zFromMm: jawsMm - 6 } : o)));
    expect(codes(into)).toContainEqual(['inJaws', 'f1-finish']);
    expect(codes(into)).not.toContainEqual(['gripLost', 'f1-finish']);
    const through = changed((list) => list.map((o) => (o.id === 'f1-finish' ? { ...o, zFromMm: jawsMm - 30 } : o)));
    expect(codes(through)).toContainEqual(['gripLost', 'f1-finish']);
  });
  it('a blank too small, a tool that is gone, an edge too short', () => {
    const [setup] = pin.setups as readonly Setup[];
    const thin = { ...setup!.piece, contour: ring(-60, 81, 0, 14.5) };
    expect(codes(simulate({ ...setup!, piece: thin }))[0]).toEqual(['blankSmall', 'f1']);
    const means = { ...setup!.means, tools: setup!.means.tools.filter((t) => t.kind !== 'finisher') };
    expect(codes(changed((list) => list, { means }))).toContainEqual(['noTool', 'f2-finish']);
    // what was to come off before makes a pass deeper than it is told
    const one = changed((list) =>
      list.flatMap((o) =>
        o.id === 'f2-rough' ? [] : o.id === 'f3-rough' ? [{ ...o, passes: [o.passes.at(-1)!] }] : [o],
      ),
    );
    expect(codes(one)).toContainEqual(['edgeShort', 'f3-rough']);
    expect(one.findings.find((f) => f.operationId === 'f3-rough')!.byMm).toBeGreaterThan(2);
  });
  it('a rest, a dog and a tail centre in the way', () => {
    const [setup] = pin.setups as readonly Setup[];
    const held = setup!.plan.held!;
    const rest = { kind: 'steady' as const, zMm: 40, onMm: 35 };
    const inRest = simulate({ ...setup!, plan: { ...setup!.plan, held: { ...held, rest } } });
    expect(codes(inRest).map(([code]) => code)).toContain('inRest');
    const centres = { ...held, method: 'betweenCentres' as const, jawsMm: 12, gripMm: 10 };
    const carried = setup!.plan.operations.map((o) => ({ ...o, carried: 'centres' as const }));
    const between = simulate({ ...setup!, plan: { ...setup!.plan, operations: carried, held: centres } });
    expect(codes(between)).toContainEqual(['inDog', 'f1-rough']);
    expect(codes(between)).toContainEqual(['inCentre', 'face']);
  });
});
