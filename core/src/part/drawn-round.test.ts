import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawingOf, feature, mm, shaped } from '../testing/shop.ts';
import { crossHoles, flatsOf, insides, outsides } from './ask.ts';
import { type Drawing, emptyBoreStep } from './drawing.ts';
import { drawnRound } from './drawn-round.ts';
import { endForEnd } from './mirror.ts';
import { insideProfiles, outsideProfile } from './outline.ts';
import { resolveDrawing } from './resolve.ts';
import { emptyDetail } from './shape/details.ts';

const thing = (drawing: Drawing): Drawing => {
  const round = drawnRound(drawing);
  if (!round.ok) throw new Error(round.problem.code);
  return round.drawing;
};
const groove = { ...emptyDetail('g1', 'groove', 'mm'), at: mm(3), width: mm(2), floor: mm(22) };
const whole: Drawing = {
  ...drawingOf([
    feature(1, 30, 20, 'h7', { edges: { left: '1x45', right: '' } }),
    shaped(2, 'taper', 30, 15, { end: mm(24) }),
    feature(3, 24, 25, '', { edges: { left: '', right: '2x30' }, details: [groove] }),
  ]),
  ends: {
    left: { centre: '', centreStays: false, made: 'parted', spigot: { diameter: mm(20), length: mm(9) } },
    right: { centre: 'A2', centreStays: true, made: 'faced', spigot: null },
  },
  endView: {
    holes: [
      {
        ...{ id: 'x', name: '', way: 'right', place: mm(18), count: 3, angle: '20', diameter: mm(2), limits: '' },
        ...{ depth: mm(4), counterbore: null },
      },
      {
        ...{ id: 'y', name: '', way: 'radial', place: mm('12.7'), count: 1, angle: '270', diameter: mm(2), limits: '' },
        ...{ depth: mm(3), counterbore: null },
      },
    ],
    flats: [{ id: 'z', across: mm(20), count: 1, angle: '30', from: 'right', length: mm(5) }],
    notes: [],
  },
  bores: {
    left: [{ ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(12), length: mm(18) }],
    right: [{ ...emptyBoreStep('h2', 'mm', 'drilled'), diameter: mm(6), length: mm(30) }],
  },
  datums: [{ letter: 'A', on: 'f3.right' }],
};
const corners = (list: readonly { zMm: number; rMm: number }[]) =>
  list.map((c) => `${c.zMm.toFixed(6)} ${c.rMm.toFixed(6)}`).toSorted();

describe('a drawing turned end for end', () => {
  it('is of the same part, which lies the other way round', () => {
    const { part, problems } = resolveDrawing(thing(whole));
    expect(problems.map((p) => p.code)).toEqual(resolveDrawing(whole).problems.map((p) => p.code));
    const there = endForEnd(resolveDrawing(whole).part);
    expect(corners(outsideProfile(part))).toEqual(corners(outsideProfile(there)));
    expect(insideProfiles(part).flatMap(corners).toSorted()).toEqual(insideProfiles(there).flatMap(corners).toSorted());
    expect(outsides(part).map((f) => [f.id, f.leftMm, f.rightMm])).toEqual(
      outsides(there).map((f) => [f.id, f.leftMm, f.rightMm]),
    );
    expect(insides(part).map((b) => [b.id, b.from])).toEqual(
      expect.arrayContaining(insides(there).map((b) => [b.id, b.from])),
    );
    const places = (p: typeof part) =>
      crossHoles(p).map((h) => [h.id, h.way, h.zMm, h.anglesDeg.toSorted((a, b) => a - b)]);
    expect(places(part)).toEqual(places(there));
    expect(flatsOf(part).map((f) => [f.zFromMm, f.anglesDeg])).toEqual(
      flatsOf(there).map((f) => [f.zFromMm, f.anglesDeg]),
    );
    expect(thing(whole).ends.left.centre).toBe('A2');
    expect(thing(whole).datums).toEqual([{ letter: 'A', on: 'f3.left' }]);
  });
  it('is itself again when it is turned twice', () => {
    expect(thing(thing(whole))).toEqual(whole);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 5, max: 60 }), fc.integer({ min: 4, max: 50 })), {
          minLength: 1,
          maxLength: 6,
        }),
        (lengths) => {
          const drawn = drawingOf(
            lengths.map(([d, l], i) => feature(i + 1, d, l, '', { edges: { left: '0.5', right: '' } })),
          );
          expect(thing(thing(drawn))).toEqual(drawn);
        },
      ),
      { numRuns: 40 },
    );
  });
  it('keeps a slope that gave an end, by that end', () => {
    const cone = drawingOf([shaped(1, 'taper', 30, 40, { taper: '1:20' }), feature(2, 20, 10)]);
    const { part, problems } = resolveDrawing(thing(cone));
    expect(problems).toEqual([]);
    expect(outsides(part)[1]).toMatchObject({ leftMm: 28, rightMm: 30 });
    const both = drawingOf([shaped(1, 'taper', 30, '', { end: mm(28), taper: '1:20' })]);
    expect(outsides(resolveDrawing(thing(both)).part)[0]).toMatchObject({ leftMm: 28, rightMm: 30, zToMm: 40 });
  });
  it('is refused where limits belong to one end of a slope', () => {
    const cone = drawingOf([shaped(1, 'taper', 30, 40, { taper: '1:20', limits: 'h7' })]);
    expect(drawnRound(cone)).toEqual({
      ok: false,
      problem: { code: 'drawing.limitsOfOneEnd', path: ['features', 0, 'limits'] },
    });
  });
});
