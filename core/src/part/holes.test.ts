import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { flatten, largestRadius } from '../contour/index.ts';
import { codesOf, drawingOf, feature, mm, shaped } from '../testing/shop.ts';
import { bottomOf, insides, mouthOf, outsides } from './ask.ts';
import { type Drawing, emptyBoreStep, emptyDrawing, type Feature } from './drawing.ts';
import { insideProfiles, outsideProfile } from './outline.ts';
import { resolveDrawing } from './resolve.ts';
import type { BoreStep } from './shape/bore.ts';
import { storedDrawingSchema } from './upgrade.ts';

const bore = (id: string, d: number | string, l: number | string, more: Partial<BoreStep> = {}): BoreStep => ({
  ...emptyBoreStep(id, 'mm', 'bored'),
  ...{ diameter: mm(d), length: mm(l) },
  ...more,
});
const hollow = (features: Feature[], left: BoreStep[], right: BoreStep[] = []): Drawing => ({
  ...drawingOf(features),
  bores: { left, right },
});
const near = (...values: number[]) => values.map((v) => expect.closeTo(v, 6));

describe('holes', () => {
  it('go in from their faces: drilled with a point, bored with a flat bottom, right through', () => {
    const { part, problems } = resolveDrawing(
      hollow([feature(1, 40, 60)], [bore('a', 20, 15), bore('b', 10, 20, { kind: 'drilled' })], [bore('c', 16, 12)]),
    );
    expect(problems).toEqual([]);
    const [left, right] = insideProfiles(part).map((p) => p.map((c) => [c.zMm, c.rMm]));
    expect(left).toEqual([
      near(0, 10),
      near(15, 10),
      near(15, 5),
      near(35, 5),
      near(35 + 5 / Math.tan((59 * Math.PI) / 180), 0),
    ]);
    expect(right).toEqual([near(60, 8), near(48, 8), near(48, 0)]);
    const through = resolveDrawing(hollow([feature(1, 40, 60)], [bore('a', 20, '')])).part;
    expect(insideProfiles(through)[0]!.map((c) => c.zMm)).toEqual([0, 60]);
  });
  it('countersunk and tapered follow from what is said', () => {
    const { part } = resolveDrawing(
      hollow([feature(1, 40, 60)], [bore('a', 20, '', { kind: 'countersunk', end: mm(12) }), bore('b', 12, '')]),
    );
    expect(insides(part)[0]).toMatchObject({ zToMm: expect.closeTo(4), leftMm: 20, rightMm: 12 });
  });
  it('take the letters of holes and count in the chain from their own face', () => {
    const d = hollow([feature(1, 40, 60)], [], [bore('c', 16, '', { limits: 'H7' }), bore('d', 10, 5)]);
    const datum = {
      id: 'x1',
      ...{ from: 'part.left', to: 'c.floor' },
      size: mm(48),
      limits: '',
    };
    const { part, problems } = resolveDrawing({ ...d, dimensions: [datum] });
    expect(problems).toEqual([]);
    expect(insides(part)[0]).toMatchObject({ zFromMm: 48, zToMm: 60, limits: { upperMm: 16.018, lowerMm: 16 } });
    expect([mouthOf(insides(part)[1]!).zMm, bottomOf(insides(part)[1]!).zMm]).toEqual([48, 43]);
    expect(part.lengths.map((l) => [l.id, l.from, l.to, l.mm])).toEqual([
      ['f1', 'f1.left', 'f1.right', 60],
      ['d', 'c.floor', 'd.floor', 5],
      ['x1', 'part.left', 'c.floor', 48],
    ]);
  });
  it.each<[string, Drawing, string, string]>([
    [
      'deeper than the part',
      hollow([feature(1, 40, 60)], [bore('a', 20, 61)]),
      'bore.deeperThanPart',
      'bores.left.0.length',
    ],
    [
      'meeting',
      hollow([feature(1, 40, 60)], [bore('a', 20, 35)], [bore('b', 20, 30)]),
      'bore.meets',
      'bores.right.0.length',
    ],
    [
      'through the outside',
      hollow([feature(1, 40, 30), feature(2, 18, 30)], [bore('a', 20, 40)]),
      'bore.breaksThrough',
      'bores.left.0.diameter',
    ],
    [
      'with hardly a wall',
      hollow([feature(1, 20.6, 60)], [bore('a', 20, 30)]),
      'bore.thinWall',
      'bores.left.0.diameter',
    ],
    [
      'with no depth',
      hollow([feature(1, 40, 60)], [bore('a', 20, ''), bore('b', 10, 5)]),
      'length.empty',
      'bores.left.0.length',
    ],
  ])('%s is told at its own field', (_what, drawing, code, path) => {
    expect(codesOf(drawing)).toContainEqual([code, path]);
  });
});

describe('sizes from datums', () => {
  const face = (id: string, side: 'left' | 'right') => `${id}.${side}`;
  const dim = (
    id: string,
    from: [string, 'left' | 'right'],
    to: [string, 'left' | 'right'],
    size: number | string,
  ) => ({
    ...{ id, from: face(...from), to: face(...to), size: mm(size), limits: '' },
  });
  const shaft = (lengths: (number | string)[]) => drawingOf(lengths.map((l, i) => feature(i + 1, 30 - 2 * i, l)));
  it('give lengths that were left open, from either end and over several features', () => {
    const drawing = {
      ...shaft(['', 20, '', '']),
      overall: mm(100),
      dimensions: [
        dim('d1', ['part', 'right'], ['f3', 'left'], 45),
        dim('d2', ['f4', 'left'], ['part', 'right'], '1 in'),
      ],
    };
    const { part, problems } = resolveDrawing(drawing);
    expect(problems).toEqual([]);
    expect(outsides(part).map((f) => f.zToMm - f.zFromMm)).toEqual([
      35,
      20,
      expect.closeTo(19.6, 9),
      expect.closeTo(25.4, 9),
    ]);
  });
  it('that disagree are named with those they disagree with, and by how much', () => {
    const drawing = { ...shaft([10, 20, 30]), dimensions: [dim('d1', ['part', 'left'], ['f2', 'right'], '30.4')] };
    const [problem, ...rest] = resolveDrawing(drawing).problems;
    expect(rest).toEqual([]);
    expect(problem).toMatchObject({ code: 'drawing.sizesDisagree', path: ['dimensions', 0, 'size'], limit: 0.4 });
    expect(String(problem!.value).split('|').sort()).toEqual(['30.4', 'd1', 'd2']);
  });
  it('say when they say nothing new, lead nowhere, or leave no length', () => {
    const codes = (drawing: Drawing) => resolveDrawing(drawing).problems.map((p) => [p.code, p.severity ?? 'error']);
    expect(codes({ ...shaft([10, 20]), dimensions: [dim('d1', ['part', 'left'], ['f2', 'right'], 30)] })).toEqual([
      ['dimension.surplus', 'warning'],
    ]);
    expect(codes({ ...shaft([10, 20]), dimensions: [dim('d1', ['f1', 'right'], ['f2', 'left'], 30)] })).toEqual([
      ['dimension.noSuchPlane', 'error'],
    ]);
    expect(codes({ ...shaft([10, 20]), dimensions: [dim('d1', ['gone', 'right'], ['f2', 'left'], 30)] })).toEqual([
      ['dimension.noSuchPlane', 'error'],
    ]);
    expect(codes({ ...shaft([60, '']), overall: mm(50) })).toEqual([['drawing.noLengthLeft', 'error']]);
    expect(codes(shaft([10, '']))).toEqual([['length.empty', 'error']]);
  });
});

describe('any drawing', () => {
  it('that is accepted has a closed outline from the axis to the axis, above it all the way', () => {
    const dim = fc.integer({ min: 6, max: 60 });
    const one = fc.record({
      kind: fc.constantFrom('cylinder', 'taper', 'arc', 'ball'),
      d: dim,
      e: dim,
      l: dim,
      r: dim,
      hollow: fc.boolean(),
      edge: fc.constantFrom('', '1', 'R1'),
    });
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 8 }), fc.integer({ min: 3, max: 30 }), (list, hole) => {
        const features = list.map((f, i) =>
          shaped(i + 1, f.kind as Feature['kind'], f.d, f.kind === 'ball' ? '' : f.l, {
            end: mm(f.e),
            radius: mm(f.r),
            hollow: f.hollow,
            edges: { left: '', right: f.edge },
          }),
        );
        const { part, problems } = resolveDrawing(hollow(features, [bore('h', hole, 4)]));
        if (problems.some((p) => p.severity !== 'warning')) return;
        const outline = flatten(outsideProfile(part), 0.01);
        expect(outline[0]).toEqual([0, 0]);
        expect(outline.at(-1)![0]).toBeCloseTo(part.lengthMm, 9);
        expect(outline.at(-1)![1]).toBe(0);
        for (const [z, r] of outline) {
          expect(r).toBeGreaterThanOrEqual(0);
          expect(z).toBeGreaterThanOrEqual(-1e-9);
          expect(z).toBeLessThanOrEqual(part.lengthMm + 1e-9);
        }
        expect(largestRadius(outsideProfile(part))).toBeGreaterThanOrEqual(hole / 2);
      }),
    );
  });
  it('of the first version is read with nothing lost, and a newer one refused', () => {
    const { details: _none, ...old } = feature(1, 20, 30, 'h7');
    const first = { schema: 1, unit: 'mm', generalClass: 'm', overall: mm(30), features: [old] };
    expect(storedDrawingSchema.parse(first)).toEqual({
      ...emptyDrawing('mm'),
      overall: mm(30),
      features: [{ ...old, details: [] }],
    });
    expect(storedDrawingSchema.safeParse({ ...first, schema: 3 }).success).toBe(false);
    expect(storedDrawingSchema.safeParse({ ...first, features: 'none' }).success).toBe(false);
  });
});
