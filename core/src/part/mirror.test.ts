import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areaMm2, mirrored as contourMirrored, cutAway } from '../contour/index.ts';
import { drawingOf, feature, mm, shaped } from '../testing/shop.ts';
import {
  bottomOf,
  crossHoles,
  cutInto,
  edgeOf,
  endFace,
  facesOf,
  insides,
  mouthOf,
  outsides,
  placeOf,
  spigotAt,
  surfaceOf,
} from './ask.ts';
import { emptyBoreStep } from './drawing.ts';
import { endForEnd } from './mirror.ts';
import { contourOf, insideProfiles, outsideProfile } from './outline.ts';
import { resolveDrawing } from './resolve.ts';
import { emptyDetail } from './shape/details.ts';

const groove = { ...emptyDetail('g1', 'groove', 'mm'), at: mm(3), width: mm(2), floor: mm(22) };
const drawing = {
  ...drawingOf([
    feature(1, 30, 20, 'h7', { edges: { left: '1x45', right: '' } }),
    shaped(2, 'taper', 30, 15, { end: mm(24) }),
    feature(3, 24, 25, '', { edges: { left: '', right: '2x30' }, details: [groove] }),
  ]),
  ends: {
    left: { centre: '', centreStays: false, made: 'parted' as const, spigot: { diameter: mm(20), length: mm(9) } },
    right: { centre: 'A2', centreStays: true, made: 'faced' as const, spigot: null },
  },
  endView: {
    holes: [
      {
        ...{
          id: 'x',
          name: '',
          way: 'right' as const,
          place: mm(15),
          count: 3,
          angle: '0',
          diameter: mm(2),
          limits: '',
        },
        ...{ depth: mm(4), counterbore: null },
      },
      {
        ...{
          id: 'y',
          name: '',
          way: 'radial' as const,
          place: mm(12),
          count: 1,
          angle: '270',
          diameter: mm(2),
          limits: '',
        },
        ...{ depth: mm(3), counterbore: null },
      },
    ],
    flats: [{ id: 'z', across: mm(20), count: 1, angle: '30', from: 'right' as const, length: mm(5) }],
    notes: [],
  },
  bores: {
    left: [{ ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(12), length: mm(18) }],
    right: [{ ...emptyBoreStep('h2', 'mm', 'drilled'), diameter: mm(6), length: mm(30) }],
  },
};
const { part } = resolveDrawing(drawing);

describe('a part turned end for end', () => {
  it('stands the other way round: lengths, edges, tapers and holes change ends, ids and numbers stay', () => {
    const turned = endForEnd(part);
    expect(outsides(turned).map((f) => [f.id, f.index, f.zFromMm, f.zToMm])).toEqual([
      ['f3', 2, 0, 25],
      ['f2', 1, 25, 40],
      ['f1', 0, 40, 60],
    ]);
    expect(edgeOf(turned, 'f3', 'left')).toMatchObject({ id: 'f3.right.edge', lengthMm: 2, angleDeg: 30, zToMm: 2 });
    expect(edgeOf(turned, 'f3', 'right')).toBeUndefined();
    expect(edgeOf(turned, 'f1', 'right')).toMatchObject({ id: 'f1.left.edge', lengthMm: 1, angleDeg: 45, zFromMm: 59 });
    expect(outsides(turned)[1]).toMatchObject({ leftMm: 24, rightMm: 30 });
    expect(cutInto(turned, 'f3')[0]).toMatchObject({ zFromMm: 3, zToMm: 5, floorMm: 22 });
    expect(insides(turned).map((b) => [b.id, b.from, mouthOf(b).zMm, bottomOf(b).zMm])).toEqual([
      ['h1', 'right', 60, 42],
      ['h2', 'left', 0, 30],
    ]);
  });
  it('has the mirrored outline, outside and in its holes', () => {
    const mirrored = (list: readonly { zMm: number; rMm: number }[]) =>
      list.map((c) => `${(part.lengthMm - c.zMm).toFixed(6)} ${c.rMm.toFixed(6)}`).toSorted();
    const plain = (list: readonly { zMm: number; rMm: number }[]) =>
      list.map((c) => `${c.zMm.toFixed(6)} ${c.rMm.toFixed(6)}`).toSorted();
    const turned = endForEnd(part);
    expect(plain(outsideProfile(turned))).toEqual(mirrored(outsideProfile(part)));
    expect(insideProfiles(turned).flatMap(plain).toSorted()).toEqual(insideProfiles(part).flatMap(mirrored).toSorted());
  });
  it('is itself again when turned twice', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 5, max: 60 }), fc.integer({ min: 4, max: 50 }), fc.boolean()), {
          minLength: 1,
          maxLength: 7,
        }),
        (lengths) => {
          const drawn = resolveDrawing(
            drawingOf(
              lengths.map(([d, l, edge], i) =>
                feature(i + 1, d, l, '', edge ? { edges: { left: '0.5x45', right: '' } } : {}),
              ),
            ),
          );
          expect(endForEnd(endForEnd(drawn.part))).toEqual(drawn.part);
        },
      ),
      { numRuns: 60 },
    );
    expect(endForEnd(endForEnd(part))).toEqual(part);
  });
  it('shows holes round the axis mirrored, and those across it from the other face', () => {
    const [beside, across] = crossHoles(endForEnd(part));
    expect(beside).toMatchObject({ way: 'left', anglesDeg: [180, 60, 300] });
    expect(across).toMatchObject({ zMm: 48, anglesDeg: [270] });
    expect(surfaceOf(endForEnd(part), 'z')).toMatchObject({ zFromMm: 0, zToMm: 5, anglesDeg: [150] });
  });
  it('has its end faces, centre and spigot at the other end, under their names', () => {
    const turned = endForEnd(part);
    expect([endFace(part, 'left')?.id, endFace(turned, 'left')?.id]).toEqual(['part.left', 'part.right']);
    expect(endFace(turned, 'right')).toMatchObject({ id: 'part.left', made: 'parted', zFromMm: 60 });
    expect([spigotAt(part, 'left')?.id, spigotAt(turned, 'right')?.lengthMm]).toEqual(['part.left.spigot', 9]);
    expect(surfaceOf(turned, 'part.right.centre')).toMatchObject({ towards: 'left', zFromMm: 0 });
    for (const id of ['f1.left', 'f2.right', 'h1.floor', 'part.right', 'f3.right'])
      expect(placeOf(turned, id)).toBeCloseTo(60 - placeOf(part, id)!, 9);
    expect(placeOf(part, 'f9.left')).toBeUndefined();
  });
  it('is made of the mirrored metal', () => {
    const [there, here] = [contourOf(endForEnd(part)), contourMirrored(contourOf(part), part.lengthMm)];
    expect(areaMm2(there)).toBeCloseTo(areaMm2(here), 6);
    expect(areaMm2(cutAway(there, here)) + areaMm2(cutAway(here, there))).toBeLessThan(0.01);
  });
  it('has a face at every step and every flat bottom, named by the larger length and its end', () => {
    expect(facesOf(part).map((f) => [f.id, f.towards, f.innerMm, f.outerMm])).toEqual([
      ['h1.floor', 'left', 0, 12],
      ['part.left', 'left', 12, 30],
      ['part.right', 'right', 6, 24],
    ]);
    const stepped = resolveDrawing(drawingOf([feature(1, 30, 10), feature(2, 40, 10), feature(3, 20, 10)])).part;
    expect(facesOf(stepped).map((f) => [f.id, f.towards, f.innerMm, f.outerMm])).toEqual([
      ['f2.left', 'left', 30, 40],
      ['f2.right', 'right', 20, 40],
      ['part.left', 'left', 0, 30],
      ['part.right', 'right', 0, 20],
    ]);
  });
});
