import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawingOf, feature, mm, shaped } from '../testing/shop.ts';
import { emptyDetail } from './detail-schema.ts';
import { emptyBoreStep } from './drawing.ts';
import { endViewEndForEnd, facesEndForEnd, partEndForEnd } from './end-for-end.ts';
import { insideProfiles, outsideProfile } from './profile.ts';
import { resolveDrawing } from './resolve.ts';
import type { SeenEnd } from './seen-end.ts';

const groove = { ...emptyDetail('g1', 'groove', 'mm'), at: mm(3), width: mm(2), floor: mm(22) };
const drawing = {
  ...drawingOf([
    feature(1, 30, 20, 'h7', { edges: { left: '1x45', right: '' } }),
    shaped(2, 'taper', 30, 15, { end: mm(24) }),
    feature(3, 24, 25, '', { edges: { left: '', right: '2x30' }, details: [groove] }),
  ]),
  bores: {
    left: [{ ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(12), length: mm(18) }],
    right: [{ ...emptyBoreStep('h2', 'mm', 'drilled'), diameter: mm(6), length: mm(30) }],
  },
};
const { part, faces, endView } = resolveDrawing(drawing);

describe('a part turned end for end', () => {
  it('stands the other way round: lengths, edges, tapers and holes change ends, ids and numbers stay', () => {
    const turned = partEndForEnd(part);
    expect(turned.features.map((f) => [f.id, f.index, f.zFromMm, f.zToMm])).toEqual([
      ['f3', 2, 0, 25],
      ['f2', 1, 25, 40],
      ['f1', 0, 40, 60],
    ]);
    expect(turned.features[0]!.left).toMatchObject({ lengthMm: 2, angleDeg: 30 });
    expect(turned.features[0]!.right).toBeUndefined();
    expect(turned.features[2]!.right).toMatchObject({ lengthMm: 1, angleDeg: 45 });
    expect(turned.features[1]).toMatchObject({ leftMm: 24, rightMm: 30 });
    expect(turned.features[0]!.details[0]).toMatchObject({ zFromMm: 3, zToMm: 5, floorMm: 22 });
    expect(turned.bores.map((b) => [b.id, b.side, b.zFromMm, b.zToMm])).toEqual([
      ['h1', 'right', 60, 42],
      ['h2', 'left', 0, 30],
    ]);
  });
  it('has the mirrored outline, outside and in its holes', () => {
    const mirrored = (list: readonly { zMm: number; rMm: number }[]) =>
      list.map((c) => `${(part.lengthMm - c.zMm).toFixed(6)} ${c.rMm.toFixed(6)}`).toSorted();
    const plain = (list: readonly { zMm: number; rMm: number }[]) =>
      list.map((c) => `${c.zMm.toFixed(6)} ${c.rMm.toFixed(6)}`).toSorted();
    const turned = partEndForEnd(part);
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
          expect(partEndForEnd(partEndForEnd(drawn.part))).toEqual(drawn.part);
        },
      ),
      { numRuns: 60 },
    );
    expect(facesEndForEnd(facesEndForEnd(faces))).toEqual(faces);
  });
  it('shows holes round the axis mirrored, and those across it from the other face', () => {
    const hole = { id: 'x', name: '', way: 'right' as const, diameterMm: 4, limits: part.features[0]!.limits };
    const view: SeenEnd = {
      ...endView,
      holes: [
        { ...hole, radiusMm: 10, anglesDeg: [0, 90, 210] },
        { ...hole, id: 'y', way: 'radial' as const, radiusMm: 0, zMm: 12, anglesDeg: [270] },
      ],
    };
    const turned = endViewEndForEnd(view, 60);
    expect(turned.holes[0]!.anglesDeg).toEqual([180, 90, 330]);
    expect(turned.holes[1]).toMatchObject({ zMm: 48, anglesDeg: [270] });
    expect(endViewEndForEnd(turned, 60)).toEqual(view);
  });
});
