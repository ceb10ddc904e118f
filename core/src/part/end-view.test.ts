import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawingOf, feature, mm } from '../testing/shop.ts';
import { crossHoles, flatsOf } from './ask.ts';
import { type Drawing, emptyBoreStep } from './drawing.ts';
import { centresOf } from './end-view.ts';
import { resolveDrawing } from './resolve.ts';
import { evenAngles } from './shape/angles.ts';
import type { DrawnFlat } from './shape/flat.ts';
import type { DrawnHole } from './shape/hole.ts';

const hole = (more: Partial<DrawnHole>): DrawnHole => ({
  ...{ id: 'e1', name: '', way: 'right', place: mm(40), count: 4, angle: '45', diameter: mm(6), limits: '' },
  ...{ depth: mm(''), counterbore: null },
  ...more,
});
const flat = (more: Partial<DrawnFlat>): DrawnFlat => ({
  id: 'e2',
  across: mm(36),
  count: 2,
  angle: '',
  from: 'right',
  length: mm(10),
  ...more,
});
const flange = (holes: DrawnHole[], flats: DrawnFlat[] = [], boreMm?: number): Drawing => {
  const drawing = drawingOf([feature(1, 60, 10), feature(2, 40, 30)]);
  const bore = { ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(boreMm ?? 1) };
  return { ...drawing, bores: { left: boreMm ? [bore] : [], right: [] }, endView: { holes, flats, notes: [] } };
};
const codes = (drawing: Drawing) => resolveDrawing(drawing).problems.map((p) => [p.code, p.path.slice(1).join('.')]);

describe('holes beside the axis', () => {
  it('lie evenly on their circle, the first at its angle', () => {
    const [seen] = crossHoles(resolveDrawing(flange([hole({})])).part);
    expect(seen!.anglesDeg).toEqual([45, 135, 225, 315]);
    const [x, y] = centresOf(seen!)[0]!;
    expect([x, y]).toEqual([expect.closeTo(20 / Math.SQRT2, 9), expect.closeTo(20 / Math.SQRT2, 9)]);
  });
  it('are as far apart as the chord says, whatever their number', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 40 }), fc.double({ min: -360, max: 360, noNaN: true }), (count, first) => {
        const centres = centresOf({ radiusMm: 25, anglesDeg: evenAngles(first, count) });
        const chord = 2 * 25 * Math.sin(Math.PI / count);
        for (const [i, [x, y]] of centres.entries()) {
          const [nx, ny] = centres[(i + 1) % count]!;
          expect(Math.hypot(nx - x, ny - y)).toBeCloseTo(chord, 9);
          expect(Math.hypot(x, y)).toBeCloseTo(25, 9);
        }
      }),
    );
  });
  it.each<[string, DrawnHole, number | undefined, string, string]>([
    ['off the outside', hole({ place: mm(56) }), undefined, 'hole.beyondOutside', 'holes.0.place'],
    ['into one another', hole({ count: 24 }), undefined, 'hole.runTogether', 'holes.0.count'],
    [
      'a counterbore off the outside',
      hole({ place: mm(50), counterbore: { diameter: mm(12), depth: mm(4) } }),
      undefined,
      'hole.beyondOutside',
      'holes.0.place',
    ],
    ['into the bore', hole({ place: mm(34) }), 30, 'hole.meetsBore', 'holes.0.place'],
    ['at no angle', hole({ angle: 'up' }), undefined, 'hole.angle', 'holes.0.angle'],
    ['of no size', hole({ diameter: mm('') }), undefined, 'length.empty', 'holes.0.diameter'],
    ['across, off the end', hole({ way: 'radial', place: mm(39) }), undefined, 'hole.beyondEnds', 'holes.0.place'],
    [
      'across, wider than the work',
      hole({ way: 'radial', place: mm(20), diameter: mm(40), count: 1 }),
      undefined,
      'hole.tooLarge',
      'holes.0.diameter',
    ],
    ['with a shaft’s letter', hole({ limits: 'h7' }), undefined, 'limit.shaftZone', 'holes.0.limits'],
  ])('%s are refused at their field', (_what, h, bore, code, path) => {
    expect(codes(flange([h], [], bore))).toEqual([[code, path]]);
  });
  it('across the work keep their place from the left face and their depth', () => {
    const across = hole({ way: 'radial', place: mm(25), count: 1, angle: '90°', depth: mm(8) });
    const [oil] = crossHoles(resolveDrawing(flange([across])).part);
    expect(oil).toMatchObject({ way: 'radial', zMm: 25, depthMm: 8, radiusMm: 0, anglesDeg: [90] });
  });
});

describe('flats', () => {
  it('even ones are measured across, a single one to the round opposite', () => {
    const distance = (more: Partial<DrawnFlat>) =>
      flatsOf(resolveDrawing(flange([], [flat(more)])).part)[0]?.distanceMm;
    expect(distance({})).toBe(18);
    expect(distance({ count: 6, across: mm(34) })).toBe(17);
    expect(distance({ count: 1, across: mm(36) })).toBe(16);
  });
  it('must leave a flat, and lie on the part', () => {
    expect(codes(flange([], [flat({ across: mm(41) })]))).toEqual([['flat.noFlat', 'flats.0.across']]);
    expect(codes(flange([], [flat({ count: 1, across: mm(15) })]))).toEqual([['flat.noFlat', 'flats.0.across']]);
    expect(codes(flange([], [flat({ length: mm(41) })]))).toEqual([['hole.beyondEnds', 'flats.0.length']]);
  });
});
