import { describe, expect, it } from 'vitest';
import type { Corner } from '../contour/index.ts';
import { insideProfiles, resolveDrawing } from '../part/index.ts';
import { drawingFromOutlines } from './features.ts';
import type { Traced } from './shape.ts';

/** Corners from pairs of place and radius; a third figure is the bulge of the way to the next. */
const path = (...points: [z: number, r: number, bulge?: number][]): Corner[] =>
  points.map(([zMm, rMm, bulge]) => ({ zMm, rMm, ...(bulge ? { bulge } : {}) }));
const block = path([0, 0], [0, 20], [60, 20], [60, 0]);
const traced = (outside: Corner[], left: Corner[] = [], right: Corner[] = []): Traced => ({
  ...{ outside, left, right, startMm: 0, problems: [] },
  used: { outline: 0, mirrored: 0, left: 0 },
});
const made = (outside: Corner[], left: Corner[] = [], right: Corner[] = [], unit: 'mm' | 'in' = 'mm') =>
  drawingFromOutlines(traced(outside, left, right), unit);
const QUARTER = Math.SQRT2 - 1;

describe('outlines as features', () => {
  it('a short slope beside a face is a chamfer, a long one or one between two diameters a taper', () => {
    const { features } = made(path([0, 0], [0, 9], [1, 10], [20, 10], [32, 8], [50, 8], [50.5, 7], [50.5, 0])).drawing;
    expect(features.map((f) => [f.kind, f.diameter.text, f.end?.text, f.length.text])).toEqual([
      ['cylinder', '20', undefined, '20'],
      ['taper', '20', '16', '12'],
      ['cylinder', '16', undefined, '18.5'],
    ]);
    expect(features[0]!.edges.left).toBe('1x45');
    expect(features[2]!.edges.right).toMatch(/^0\.5x63\.43/);
  });
  it('a quarter arc is a round on an edge or in a corner, any other arc a feature of its own', () => {
    const outline = path(
      [0, 0],
      [0, 12, -QUARTER],
      [3, 15],
      [20, 15],
      [20, 12, QUARTER],
      [22, 10],
      [40, 10, -0.2],
      [50, 8],
      [50, 0],
    );
    const { features } = made(outline).drawing;
    expect(features.map((f) => [f.kind, f.edges.left, f.length.text])).toEqual([
      ['cylinder', 'R3', '20'],
      ['cylinder', 'R2', '20'],
      ['arc', '', '10'],
    ]);
    expect(features[2]).toMatchObject({ hollow: false, end: { text: '16' } });
  });
  it('pieces of one diameter become one, and inches come out as inches', () => {
    const { features } = made(path([0, 0], [0, 12.7], [10, 12.7], [25.4, 12.7], [25.4, 0]), [], [], 'in').drawing;
    expect(features).toHaveLength(1);
    expect([features[0]!.diameter, features[0]!.length]).toEqual([
      { text: '1', unit: 'in' },
      { text: '1', unit: 'in' },
    ]);
  });
  it('more lengths than a drawing holds are told', () => {
    const steps = Array.from({ length: 250 }, (_, i): [number, number] => [
      Math.floor((i + 1) / 2),
      10 + (Math.floor(i / 2) % 2),
    ]);
    const { problems, drawing } = made(path([0, 0], [0, 10], ...steps, [125, 0]));
    expect(problems).toEqual([]);
    expect(drawing.features.length).toBeLessThan(200);
    const many = Array.from({ length: 500 }, (_, i): [number, number] => [
      Math.floor((i + 1) / 2),
      10 + (Math.floor(i / 2) % 2),
    ]);
    expect(made(path([0, 0], [0, 10], ...many, [250, 0])).problems).toMatchObject([
      { code: 'trace.tooManyFeatures', limit: 200 },
    ]);
  });
});

describe('outlines as holes', () => {
  it('a cone to the axis is the point of a drill, a flat bottom is bored', () => {
    const { drawing, problems } = made(block, path([0, 5], [20, 5], [23, 0]), path([60, 8], [50, 8], [50, 0]));
    expect(problems).toEqual([]);
    expect(drawing.bores.left.map((b) => [b.kind, b.diameter.text, b.length.text])).toEqual([['drilled', '10', '20']]);
    expect(drawing.bores.right.map((b) => [b.kind, b.diameter.text, b.length.text])).toEqual([['bored', '16', '10']]);
    expect(resolveDrawing(drawing).problems).toEqual([]);
  });
  it('steps, a cone, and right through', () => {
    const { drawing } = made(block, path([0, 12], [4, 8], [20, 8], [20, 6], [60, 6]));
    expect(drawing.bores.left.map((b) => [b.kind, b.diameter.text, b.end?.text, b.length.text])).toEqual([
      ['taper', '24', '16', '4'],
      ['bored', '16', undefined, '16'],
      ['bored', '12', undefined, ''],
    ]);
  });
  it('an arc is a step of its own, curved in or out, down to the axis too; a quarter at the floor is the round in its corner', () => {
    const seat = path([0, 12, 0.3], [6, 8], [20, 8], [20, 0]);
    const ballNosed = path([60, 10], [40, 10, QUARTER], [30, 0]);
    const { drawing, problems } = made(block, seat, ballNosed);
    expect(problems).toEqual([]);
    const told = ({ kind, diameter, end, length, radius, hollow }: (typeof drawing.bores.left)[number]) => [
      ...[kind, diameter.text, end?.text, length.text, radius && Number(radius.text).toFixed(2), hollow],
    ];
    expect(drawing.bores.left.map(told)).toEqual([
      ['arc', '24', '16', '6', '6.55', false],
      ['bored', '16', undefined, '14', undefined, undefined],
    ]);
    expect(drawing.bores.right.map(told)).toEqual([
      ['bored', '20', undefined, '20', undefined, undefined],
      ['arc', '20', '', '10', '10.00', true],
    ]);
    const resolved = resolveDrawing(drawing);
    expect(resolved.problems).toEqual([]);
    // what was traced stands in the part, arc for arc
    const [left, right] = insideProfiles(resolved.part).map((profile) =>
      profile.filter((c, i) => c.zMm !== profile[i + 1]?.zMm || c.rMm !== profile[i + 1]?.rMm),
    );
    for (const [profile, from] of [
      [left, seat],
      [right, ballNosed],
    ] as const)
      for (const [i, corner] of from.slice(0, -1).entries()) {
        expect(profile![i]!.zMm).toBeCloseTo(corner.zMm, 6);
        expect(profile![i]!.rMm).toBeCloseTo(corner.rMm, 6);
        expect(profile![i]!.bulge ?? 0).toBeCloseTo(corner.bulge ?? 0, 6);
      }
    const cornered = made(block, path([0, 10], [18, 10, -QUARTER], [20, 8], [20, 0])).drawing;
    expect(cornered.bores.left).toMatchObject([{ kind: 'bored', length: { text: '20' }, corner: 'R2' }]);
    // bulging into the hole, that quarter is no round in a corner
    expect(made(block, path([0, 10], [18, 10, QUARTER], [20, 8], [20, 0])).drawing.bores.left).toHaveLength(2);
  });
  it('a hole right through that is wider at the right goes in from there', () => {
    const { drawing, problems } = made(block, path([0, 6], [20, 6, -QUARTER], [24, 10], [60, 14]));
    expect(problems).toEqual([]);
    expect(drawing.bores.left).toEqual([]);
    expect(drawing.bores.right.map((s) => [s.kind, s.diameter.text])).toEqual([
      ['taper', '28'],
      ['arc', '20'],
      ['bored', '12'],
    ]);
  });
  it('what no drawing holds is told with its place', () => {
    expect(made(block, path([0, 6], [10, 9], [20, 9], [20, 0])).problems).toMatchObject([{ code: 'trace.widens' }]);
    expect(made(block, path([0, 6], [10, 6], [8, 5], [20, 5], [20, 0])).problems).toMatchObject([
      { code: 'trace.goesBack', value: 10 },
    ]);
    expect(made(block, path([0, 6], [5, 0])).problems).toMatchObject([{ code: 'trace.point' }]);
  });
});
