import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawingOf, feature } from '../testing/shop.ts';
import { outsides } from './ask.ts';
import { readEdge } from './edge.ts';
import { nGradeOf, readFinish } from './finish.ts';
import { resolveDrawing } from './resolve.ts';

const codes = (features: ReturnType<typeof feature>[], overall = '') =>
  resolveDrawing({ ...drawingOf(features), overall: { text: overall, unit: 'mm' } }).problems.map((p) => [
    p.code,
    p.path.join('.'),
  ]);

describe('resolveDrawing', () => {
  it('places features from the left and sums their lengths exactly, inches and millimetres mixed', () => {
    const { part, length } = resolveDrawing(
      drawingOf([feature(1, 30, '1/3 in'), feature(2, '1"', '1/3 in'), feature(3, 20, '1/3 in')]),
    );
    expect(length.toFraction()).toBe('127/5');
    expect(part.lengthMm).toBe(25.4);
    expect(outsides(part).map((f) => f.diameterMm)).toEqual([30, 25.4, 20]);
    expect(outsides(part)[1]!.zFromMm).toBeCloseTo(25.4 / 3, 12);
  });
  it.each([
    [[feature(1, '3/0"', 10)], 'length.divisionByZero', 'features.0.diameter'],
    [[feature(1, '-5', 10)], 'length.negative', 'features.0.diameter'],
    [[feature(1, 20, '1,000')], 'length.ambiguousComma', 'features.0.length'],
    [[feature(1, 20, '1e999')], 'length.exponent', 'features.0.length'],
    [[feature(1, '9'.repeat(70), 10)], 'length.tooLong', 'features.0.diameter'],
    [[feature(1, 20, 10, '-0.1/+0.1')], 'limit.reversed', 'features.0.limits'],
    [[feature(1, 20, 10, '', { finish: 'shiny' })], 'finish.unknown', 'features.0.finish'],
    [[feature(1, 20, 10), feature(2, 20, 10)].map((f) => ({ ...f, id: 'f1' })), 'drawing.sameId', 'features.1.id'],
    [
      [feature(1, 20, 10, '', { edges: { left: '', right: '1' } }), feature(2, 30, 10)],
      'edge.innerCorner',
      'features.0.edges.right',
    ],
    [
      [feature(1, 30, 10, '', { edges: { left: '', right: '3' } }), feature(2, 28, 10)],
      'edge.deeperThanStep',
      'features.0.edges.right',
    ],
    [[feature(1, 20, 3, '', { edges: { left: '2', right: '2' } })], 'edge.longerThanFeature', 'features.0.edges.right'],
    [[feature(1, 4, 10, '', { edges: { left: '', right: '2' } })], 'edge.beyondAxis', 'features.0.edges.right'],
  ])('says what is wrong and where, case %#', (features, code, path) => {
    expect(codes(features)).toContainEqual([code, path]);
  });
  it('checks the whole length against the sum', () => {
    expect(codes([feature(1, 20, 10), feature(2, 15, 10)], '20')).toEqual([]);
    expect(codes([feature(1, 20, 10), feature(2, 15, 10)], '20.4')).toEqual([['drawing.sizesDisagree', 'overall']]);
    expect(codes([])).toEqual([['drawing.empty', 'features']]);
  });
  it('never throws on texts of any kind', () => {
    const text = fc.string({ maxLength: 70 });
    fc.assert(
      fc.property(text, text, text, text, (d, l, limits, edge) => {
        const { part, problems } = resolveDrawing(
          drawingOf([feature(1, d, l, limits, { edges: { left: edge, right: '' } })]),
        );
        return outsides(part).length === 1 || problems.length > 0;
      }),
    );
  });
});

describe('edges and finishes', () => {
  it.each([
    ['1', { lengthMm: 1, angleDeg: 45, depthMm: 1 }],
    ['2x30', { lengthMm: 2, angleDeg: 30, depthMm: 1.154700538 }],
    ['0.5×45°', { lengthMm: 0.5, angleDeg: 45, depthMm: 0.5 }],
    ['', undefined],
  ])('reads the edge %s', (text, chamfer) => {
    const read = readEdge(text, 'mm', 'm');
    expect(read).toMatchObject({ ok: true });
    if (chamfer) expect(read).toMatchObject({ chamfer });
    else expect(read).toEqual({ ok: true, chamfer: undefined });
  });
  it.each(['x', '1x', '1x90', '1x45x2', '-1', '1 ±0', '1 -0.1/+0.1', '1x45 ±'])('refuses the edge %s', (text) => {
    expect(readEdge(text, 'mm', 'm').ok).toBe(false);
  });
  it.each([
    // general tolerances of broken edges: 0.5 to 3 ±0.2 fine and medium, ±0.4 coarse; over 3 to 6 ±0.5; over 6 ±1
    ['1x45', 'm', 0.8, 1.2],
    ['3', 'f', 2.8, 3.2],
    ['3.01', 'f', 2.51, 3.51],
    ['0.5', 'c', 0.1, 0.9],
    ['8x30', 'v', 6, 10],
    ['1x45 ±0.1', 'm', 0.9, 1.1],
    ['1x45 +0.2/0', 'm', 1, 1.2],
    ['1x45 0/-0.2', 'm', 0.8, 1],
  ] as const)('gives the edge %s in class %s its limits', (text, generalClass, lowerMm, upperMm) => {
    const read = readEdge(text, 'mm', generalClass);
    if (!read.ok) throw new Error(read.code);
    expect(read.chamfer?.limits?.lowerMm).toBeCloseTo(lowerMm, 9);
    expect(read.chamfer?.limits?.upperMm).toBeCloseTo(upperMm, 9);
  });
  it('gives no general limits below half a millimetre', () => {
    expect(readEdge('0.3', 'mm', 'm')).toEqual({ ok: true, chamfer: { lengthMm: 0.3, angleDeg: 45, depthMm: 0.3 } });
  });
  it('reads finishes as Ra or N grade', () => {
    expect(readFinish('Rz 6.3')).toBeCloseTo(1.617, 3);
    expect([readFinish('Rz 400'), nGradeOf(0.8), nGradeOf(0.81), nGradeOf(60)]).toEqual([
      undefined,
      'N6',
      'N7',
      undefined,
    ]);
    expect(['N7', 'Ra 1.6', '0,8', '', 'Ra 0', '99'].map(readFinish)).toEqual([
      1.6,
      1.6,
      0.8,
      3.2,
      undefined,
      undefined,
    ]);
  });
});
