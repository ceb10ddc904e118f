import { describe, expect, it } from 'vitest';
import { areaMm2, type Contour, cutAway, intersect, type Loop, ring } from '../contour/index.ts';
import { contourOf, emptyDetail, type Feature, knurlStart } from '../part/index.ts';
import type { OperationOf } from '../route/index.ts';
import { barPart } from '../testing/families.ts';
import { feature, mm, shaped } from '../testing/shop.ts';
import type { Tool } from '../tool/index.ts';
import { stillWaiting } from './index.ts';
import { proveJob } from './prove.ts';

const noseOf = (radiusMm: number, widthMm = 2 * radiusMm): Tool => ({
  ...{ id: `00000000-0000-4000-8000-0009000000${10 + radiusMm}`, name: `nose ${radiusMm}`, kind: 'form' },
  ...{ material: 'hss', radiusMm, curve: 'round', widthMm },
});
const wheels: Tool = {
  ...{ id: '00000000-0000-4000-8000-000900000099', name: 'wheels', kind: 'knurling', material: 'hss' },
  ...{ pattern: 'diamond', pitchMm: 1, widthMm: 10 },
};
const ball = [shaped(1, 'ball', 25, ''), feature(2, 12, 30)];
const hollow = (radius: number) => [
  ...[feature(1, 24, 12), shaped(2, 'arc', 24, 16, { end: mm(24), radius: mm(radius), hollow: true })],
  feature(3, 24, 12),
];
type Planned = ReturnType<typeof barPart>['planned'];
const contours = ({ setups }: Planned) =>
  setups.flatMap(({ plan, piece }) =>
    plan.operations
      .filter((o): o is OperationOf<'contour'> => o.kind === 'contour')
      .map((operation) => ({ operation, piece })),
  );
const waits = (planned: Planned) => stillWaiting(planned.setups).map((w) => [w.id, w.why]);

/** A round nose that came straight down to a place, as what it went through; its own words, not the plan's. */
function plunged(noseMm: number, diameterMm: number, fromEndMm: number, endMm: number): Contour {
  const [z, r] = [endMm - fromEndMm + noseMm, diameterMm / 2 + noseMm];
  const round: Loop = Array.from({ length: 181 }, (_, i) => {
    const a = Math.PI + (Math.PI * i) / 180;
    return { zMm: z + noseMm * Math.cos(a), rMm: r + noseMm * Math.sin(a) };
  });
  return { loops: [[...round, { zMm: z + noseMm, rMm: 100 }, { zMm: z - noseMm, rMm: 100 }]] };
}

describe('a curved length', () => {
  it.each([
    ['a ball at the end', ball, 26],
    ['a ball between', [feature(1, 12, 30), shaped(2, 'ball', 25, ''), feature(3, 10, 20)], 26],
    [
      'a barrel',
      [feature(1, 20, 10), shaped(2, 'arc', 14, 40, { end: mm(14), radius: mm(60) }), feature(3, 14, 8)],
      22,
    ],
    ['a hollow neck', hollow(14), 26],
    [
      'a sweep to a shoulder',
      [
        ...[feature(1, 30, 12), shaped(2, 'arc', 30, 10, { end: mm(12), radius: mm(12), hollow: true })],
        feature(3, 12, 20),
      ],
      32,
    ],
  ])('%s is cut in steps that leave no more than their cusps, and nothing of it is cut away', (_, features, bar) => {
    const { planned } = barPart(features, bar, [noseOf(3), noseOf(1)]);
    expect(waits(planned)).toEqual([]);
    const proof = proveJob(planned);
    expect(proof.findings).toEqual([]);
    expect(proof.proved).toBe(true);
    const [made] = contours(planned);
    const { operation, piece } = made!;
    const { lengthMm } = piece.part;
    const gone = operation.steps.map((s) => plunged(operation.noseMm, s.diameterMm, s.fromEndMm, lengthMm));
    const drawn = contourOf(piece.part);
    for (const cut of gone) expect(areaMm2(intersect(drawn, cut))).toBeLessThan(0.02);
    // over the middle of the curve nothing is left that is higher than a cusp
    const inset = operation.noseMm + 1;
    const place = ring(operation.zFromMm + inset, operation.zToMm - inset, 0, 100);
    const left = cutAway(intersect(ring(0, lengthMm, 0, operation.largestMm / 2), place), drawn, ...gone);
    const high = left.loops.map((loop) => areaMm2({ loops: [loop] }));
    const apartMm = (operation.zToMm - operation.zFromMm) / operation.steps.length;
    expect(Math.max(...high)).toBeLessThan(4 * operation.cuspMm * apartMm);
    expect(operation.cuspMm).toBeLessThanOrEqual(0.05);
    expect(operation.steps.length).toBeGreaterThan(5);
  });
  it('is stepped downhill: each place as deep as the one beside it, or deeper, from a summit on', () => {
    const { planned } = barPart([feature(1, 12, 30), shaped(2, 'ball', 25, ''), feature(3, 10, 20)], 26, [noseOf(3)]);
    const { steps } = contours(planned)[0]!.operation;
    expect(Math.max(...steps.map((s) => s.diameterMm))).toBe(steps[0]!.diameterMm);
    const climbs = steps.filter((s, i) => i > 0 && s.diameterMm > steps[i - 1]!.diameterMm + 0.001);
    // once, where it goes back to the other side of the summit
    expect(climbs.length).toBe(1);
  });
  it('takes the nose of a turning tool only where all of it falls to the tail', () => {
    const dome = [feature(1, 20, 30), shaped(2, 'arc', 20, 5, { end: mm(8), radius: mm(12) })];
    const [made] = contours(barPart(dome, 22).planned);
    expect(made!.operation.noseMm).toBe(0.8);
    expect(waits(barPart(ball, 26).planned)).toEqual([['f1', 'noTool']]);
  });
  it('waits for a nose that goes into its hollow, and says which', () => {
    const { planned } = barPart(hollow(9), 26, [noseOf(10)]);
    expect(waits(planned)).toEqual([['f2', 'noTool']]);
    expect(planned.problems).toContainEqual(
      expect.objectContaining({ code: 'route.lacks.nose', value: 'd2', limit: 9, unit: 'mm' }),
    );
    // wider than its own nose it does not come down beside anything
    expect(waits(barPart(hollow(14), 26, [noseOf(3, 8)]).planned)).toEqual([['f2', 'noTool']]);
  });
  it('is roughed to its own largest first, also where it bulges over both its ends', () => {
    const barrel = [feature(1, 10, 10), shaped(2, 'arc', 14, 40, { end: mm(14), radius: mm(60) }), feature(3, 14, 8)];
    const { planned } = barPart(barrel, 30, [noseOf(3)]);
    const rough = planned.setups[0]!.plan.operations.find((o) => o.id === 'f2-rough')!;
    const largest = 14 + 2 * (60 - Math.sqrt(60 ** 2 - 20 ** 2));
    expect(rough.targetMm).toBeGreaterThan(largest);
    expect(rough.targetMm).toBeLessThan(largest + 1.5);
  });
});

describe('a knurl', () => {
  const knurled = (f: Feature, more: object = {}): Feature => ({
    ...f,
    details: [{ ...emptyDetail('k1', 'knurl', 'mm'), pattern: 'crossed', pitch: mm(1), ...more } as never],
  });
  const knurls = ({ setups }: Planned) =>
    setups.flatMap(({ plan }) => plan.operations.filter((o): o is OperationOf<'knurl'> => o.kind === 'knurl'));
  it('begins on whole teeth that grow to what is drawn', () => {
    for (const [drawn, pitch] of [
      [30, 1],
      [12.7, 0.8],
      [60, 1.6],
    ] as const) {
      const { diameterMm, count, growsMm } = knurlStart(drawn, pitch, 'straight');
      expect((diameterMm * Math.PI) / pitch).toBeCloseTo(count, 3);
      expect(Number.isInteger(count)).toBe(true);
      expect(Math.abs(diameterMm + growsMm - drawn)).toBeLessThanOrEqual(pitch / Math.PI / 2 + 1e-9);
    }
  });
  it('over a whole length: that is turned to what it begins on, and measured there', () => {
    const { planned } = barPart([feature(1, 12, 20), knurled(feature(2, 30, 15))], 32, [wheels]);
    const [made] = knurls(planned);
    expect(made).toMatchObject({ startMm: 29.6028, toothCount: 93, fromDiameterMm: 29.6028, knurlId: 'k1' });
    const { operations } = planned.setups[0]!.plan;
    expect(operations.find((o) => o.id === 'f2-finish')!.targetMm).toBeCloseTo(29.6028, 3);
    expect(operations.findIndex((o) => o.id === 'f2-finish')).toBeLessThan(operations.indexOf(made!));
    expect(waits(planned)).toEqual([]);
    const proof = proveJob(planned);
    expect(proof.findings).toEqual([]);
    expect(proof.setups[0]!.byHand).toContain('k1-knurl');
  });
  it('over a part of one: the rest keeps its diameter', () => {
    const part = { from: 'right', at: mm(5), length: mm(20) };
    const { planned } = barPart([knurled(feature(1, 30, 40), part)], 32, [wheels]);
    expect(knurls(planned)[0]).toMatchObject({ startMm: 29.6028, fromDiameterMm: 30 });
    expect(planned.setups[0]!.plan.operations.find((o) => o.id === 'f1-finish')!.targetMm).toBe(30);
  });
  it('waits for wheels of its pattern and pitch, and says which', () => {
    const { planned } = barPart([knurled(feature(1, 30, 40), { pattern: 'straight' })], 32, [wheels]);
    expect(waits(planned)).toEqual([['k1', 'noTool']]);
    expect(planned.problems).toContainEqual(expect.objectContaining({ code: 'route.lacks.knurl', value: 1, limit: 1 }));
  });
  it('far out with nothing behind it, it is said that the wheels push', () => {
    const codes = (f: Feature[]) =>
      knurls(barPart(f, 32, [wheels]).planned).flatMap((o) => o.notes?.map((n) => n.code) ?? []);
    expect(codes([feature(1, 30, 10), knurled(feature(2, 14, 40))])).toContain('knurlPushes');
    expect(codes([knurled(feature(1, 30, 20))])).not.toContain('knurlPushes');
  });
});
