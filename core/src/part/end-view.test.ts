import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawingOf, feature, mm } from '../testing/shop.ts';
import { crossHoles, flatsOf, keywaysOf } from './ask.ts';
import { type Drawing, emptyBoreStep } from './drawing.ts';
import { drawnRound } from './drawn-round.ts';
import { centresOf } from './end-view.ts';
import { endForEnd } from './mirror.ts';
import { resolveDrawing } from './resolve.ts';
import { evenAngles } from './shape/angles.ts';
import type { DrawnFlat } from './shape/flat.ts';
import type { DrawnHole } from './shape/hole.ts';
import { type DrawnKeyway, emptyKeyway } from './shape/keyway.ts';

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

describe('holes that are more than round and even', () => {
  const one = (more: Partial<DrawnHole>) => resolveDrawing(flange([hole(more)]));
  it('lie at angles of their own, and run together where two are too near', () => {
    const { part, problems } = one({ angles: '0; 55, 200 340' });
    expect(problems).toEqual([]);
    expect(crossHoles(part)[0]!.anglesDeg).toEqual([0, 55, 200, 340]);
    // Ø6 on Ø40: 17.25° apart they touch
    expect(codes(flange([hole({ angles: '0; 18' })]))).toEqual([]);
    expect(codes(flange([hole({ angles: '350; 7' })]))).toEqual([['hole.runTogether', 'holes.0.count']]);
    expect(codes(flange([hole({ angles: '0; north' })]))).toEqual([['hole.angle', 'holes.0.angles']]);
  });
  it('are tapped: their hole follows from the thread, and another one is told', () => {
    const tapped = one({ thread: 'M6', diameter: mm('') });
    expect(tapped.problems).toEqual([]);
    // M6×1: 6 − 1.0825 = 4.92
    expect(crossHoles(tapped.part)[0]).toMatchObject({ thread: 'M6', diameterMm: 4.92 });
    expect(codes(flange([hole({ thread: 'M6', diameter: mm(5) })]))).toEqual([]);
    expect(codes(flange([hole({ thread: 'M6', diameter: mm(6) })]))).toEqual([['hole.notTapping', 'holes.0.diameter']]);
    expect(codes(flange([hole({ thread: 'six' })]))).toEqual([['hole.thread', 'holes.0.thread']]);
  });
  it('are countersunk, 90° where nothing is said', () => {
    const sunk = (diameter: number, angle = '') => hole({ countersink: { diameter: mm(diameter), angle } });
    expect(crossHoles(resolveDrawing(flange([sunk(12)])).part)[0]!.countersink).toEqual({
      diameterMm: 12,
      angleDeg: 90,
    });
    expect(codes(flange([sunk(5)]))).toEqual([['hole.countersinkSmall', 'holes.0.countersink.diameter']]);
    expect(codes(flange([sunk(12, '170')]))).toEqual([['hole.sinkAngle', 'holes.0.countersink.angle']]);
    // its mouth is what has to stay inside the outside
    expect(codes(flange([{ ...sunk(12), place: mm(50) }]))).toEqual([['hole.beyondOutside', 'holes.0.place']]);
  });
});

describe('flats and keyways along a shaft', () => {
  const key = (more: Partial<DrawnKeyway>): DrawnKeyway => ({
    ...emptyKeyway('k1', 'mm'),
    ...{ width: mm(8), widthLimits: 'P9', depth: mm(4), at: mm(3), length: mm(20), angle: '90' },
    ...more,
  });
  const keyed = (more: Partial<DrawnKeyway>, boreMm?: number): Drawing => {
    const drawing = flange([], [], boreMm);
    return { ...drawing, endView: { ...drawing.endView, keyways: [key(more)] } };
  };
  it('begin where they are said to', () => {
    const [seen] = flatsOf(resolveDrawing(flange([], [flat({ at: mm(6) })])).part);
    expect([seen!.zFromMm, seen!.zToMm]).toEqual([24, 34]);
    const [left] = flatsOf(resolveDrawing(flange([], [flat({ from: 'left', at: mm(12) })])).part);
    expect([left!.zFromMm, left!.zToMm]).toEqual([12, 22]);
  });
  it('have width with limits, depth either way, and a place', () => {
    const [k] = keywaysOf(resolveDrawing(keyed({})).part);
    expect(k).toMatchObject({ side: 'outside', zFromMm: 17, zToMm: 37, depthMm: 4, floorMm: 16, diameterMm: 40 });
    // P9 over 6 to 10: −0.015 and −0.051
    expect(k!.widthLimits).toMatchObject({ upperMm: expect.closeTo(7.985, 9), lowerMm: expect.closeTo(7.949, 9) });
    expect(keywaysOf(resolveDrawing(keyed({ by: 'over', depth: mm(36) })).part)[0]!.depthMm).toBe(4);
    const [inside] = keywaysOf(resolveDrawing(keyed({ where: 'bore', by: 'over', depth: mm('23.3') }, 20)).part);
    expect(inside).toMatchObject({
      side: 'inside',
      diameterMm: 20,
      depthMm: expect.closeTo(3.3, 9),
      floorMm: expect.closeTo(13.3, 9),
    });
    // to the other end where no length is typed
    expect(keywaysOf(resolveDrawing(keyed({ at: mm(''), length: mm('') })).part)[0]).toMatchObject({
      zFromMm: 0,
      zToMm: 40,
    });
  });
  it.each<[string, Partial<DrawnKeyway>, string, string]>([
    ['deeper than the metal', { depth: mm(25) }, 'keyway.depth', 'depth'],
    ['over more than the shaft is', { by: 'over', depth: mm(41) }, 'keyway.depth', 'depth'],
    ['beyond the end', { length: mm(45) }, 'hole.beyondEnds', 'length'],
    ['in a hole that is not there', { where: 'bore' }, 'keyway.noHole', 'where'],
    ['wider than the shaft', { width: mm(50), widthLimits: '' }, 'keyway.width', 'width'],
  ])('are refused %s', (_what, more, code, field) => {
    expect(codes(keyed(more))).toEqual([[code, `keyways.0.${field}`]]);
  });
  it('lie the other way round when the piece does', () => {
    const { part } = resolveDrawing(keyed({}));
    expect(keywaysOf(endForEnd(part))[0]).toMatchObject({ zFromMm: 3, zToMm: 23, angleDeg: 90 });
    const round = drawnRound({ ...keyed({ angle: '30' }), features: [feature(1, 60, 10), feature(2, 40, 30)] });
    expect(round.ok && keywaysOf(resolveDrawing(round.drawing).part)[0]).toMatchObject({
      zFromMm: 3,
      zToMm: 23,
      angleDeg: 150,
    });
  });
});
