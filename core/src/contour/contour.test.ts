import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  type Contour,
  cutAway,
  distanceMm,
  extentOf,
  holeOf,
  intersect,
  LATTICE_MM,
  largestOf,
  mirrored,
  moved,
  NOTHING,
  offset,
  outlineMm,
  outsideOf,
  placesOf,
  QUARTER,
  ring,
  ringsAt,
  secondMomentMm4,
  unite,
  volumeMm3,
  wallOf,
} from './index.ts';

/** A ball of that radius about a place on the axis. */
const ball = (zMm: number, radiusMm: number): Contour => ({
  loops: [
    [
      { zMm: zMm - radiusMm, rMm: 0 },
      { zMm: zMm + radiusMm, rMm: 0, bulge: QUARTER },
      { zMm, rMm: radiusMm, bulge: QUARTER },
    ],
  ],
});
/** A round bar in the half-section that stands off the axis. */
const torus = (zMm: number, rMm: number, radiusMm: number): Contour => ({
  loops: [
    [
      { zMm: zMm - radiusMm, rMm, bulge: 1 },
      { zMm: zMm + radiusMm, rMm, bulge: 1 },
    ],
  ],
});
const arcs = (c: Contour) => c.loops.flat().filter((corner) => corner.bulge);

describe('areas and volumes', () => {
  it('of a ring, a ball and a torus are those of the textbook', () => {
    expect(areaMm2(ring(0, 10, 2, 5))).toBeCloseTo(30, 12);
    expect(volumeMm3(ring(0, 10, 2, 5))).toBeCloseTo(Math.PI * 21 * 10, 9);
    expect(volumeMm3(ball(4, 3))).toBeCloseTo((4 / 3) * Math.PI * 27, 9);
    expect(volumeMm3(torus(0, 10, 2))).toBeCloseTo(2 * Math.PI * 10 * Math.PI * 4, 9);
    expect(outlineMm(torus(0, 10, 2))).toBeCloseTo(4 * Math.PI, 9);
    expect(areaMm2(ring(5, 5, 0, 5))).toBe(0);
  });
  it('are the same moved and turned end for end, for any lens', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -900, max: 900 }).map((b) => b / 1000),
        fc.double({ min: 1, max: 50, noNaN: true }),
        (bulge, long) => {
          const lens: Contour = {
            loops: [
              [
                { zMm: 0, rMm: 0 },
                { zMm: long, rMm: 0 },
                { zMm: long, rMm: 60, ...(bulge ? { bulge } : {}) },
                { zMm: 0, rMm: 55 },
              ],
            ],
          };
          const there = mirrored(moved(lens, 3), 70);
          expect(areaMm2(there)).toBeCloseTo(areaMm2(lens), 6);
          expect(volumeMm3(there) / volumeMm3(lens)).toBeCloseTo(1, 9);
          expect(
            mirrored(there, 70)
              .loops[0]!.map((c) => c.bulge ?? 0)
              .toSorted(),
          ).toEqual(lens.loops[0]!.map((c) => c.bulge ?? 0).toSorted());
        },
      ),
    );
  });
});

describe('cutting', () => {
  it('takes a shoulder, and a parting cut leaves two pieces', () => {
    const bar = ring(0, 50, 0, 10);
    const turned = cutAway(bar, ring(20, 60, 6, 20));
    expect(areaMm2(turned)).toBeCloseTo(20 * 10 + 30 * 6, 9);
    const parted = cutAway(turned, ring(10, 13, 0, 20));
    expect(parted.loops).toHaveLength(2);
    expect(parted.loops.map((loop) => areaMm2({ loops: [loop] })).toSorted()).toEqual(
      [100, 250].map((a) => expect.closeTo(a, 9)),
    );
  });
  it('leaves a hollow inside as an outline that turns the other way', () => {
    const holed = cutAway(ring(0, 30, 0, 20), ring(10, 20, 5, 15));
    expect(holed.loops).toHaveLength(2);
    expect(areaMm2(holed)).toBeCloseTo(500, 9);
    expect(ringsAt(holed, 15, 'after')).toEqual([
      { innerMm: 0, outerMm: 5 },
      { innerMm: 15, outerMm: 20 },
    ]);
    expect(cutAway(ring(0, 10, 0, 5), ring(-1, 11, 0, 6))).toEqual(NOTHING);
  });
  it('gives arcs back as arcs, with their radius', () => {
    const dome = intersect(ball(0, 25), ring(5, 40, 4, 40));
    expect(arcs(dome)).toHaveLength(1);
    const exact = 2 * Math.PI * simpson((z) => (25 ** 2 - z ** 2 - 16) / 2, 5, Math.sqrt(625 - 16));
    expect(volumeMm3(dome) / exact).toBeCloseTo(1, 4);
    const cut = cutAway(ring(-30, 30, 0, 30), torus(0, 30, 8));
    expect(arcs(cut).length).toBeGreaterThan(0);
    expect(arcs(cut).every((c) => c.bulge! < 0)).toBe(true);
    expect(largestOf(torus(0, 10, 8), 0, 5)).toBeCloseTo(18, 9);
  });
  it('conserves the metal: what is cut off and what is left make up what was there', () => {
    const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const box = fc.record({ z: mm(-5, 60), long: mm(0.01, 40), r: mm(0, 28), deep: mm(0.01, 20) });
    const cutter = fc.oneof(
      box.map((b) => ring(b.z, b.z + b.long, b.r, b.r + b.deep)),
      fc.record({ z: mm(-5, 60), r: mm(10, 30), radius: mm(0.3, 9) }).map((t) => torus(t.z, t.r, t.radius)),
    );
    const blank = unite(ring(0, 30, 0, 25), ball(30, 25));
    fc.assert(
      fc.property(fc.array(cutter, { minLength: 1, maxLength: 6 }), (cuts) => {
        let left = blank;
        let off = 0;
        let edge = outlineMm(blank);
        for (const cut of cuts) {
          off += areaMm2(intersect(left, cut));
          edge += outlineMm(cut);
          left = cutAway(left, cut);
        }
        expect(Math.abs(off + areaMm2(left) - areaMm2(blank))).toBeLessThan(LATTICE_MM * edge + 1e-5);
      }),
      { numRuns: 60 },
    );
  });
  it('goes on being exact through hundreds of cuts of one arc', () => {
    let left = ball(0, 20);
    let off = 0;
    for (let i = 0; i < 100; i++) {
      const slice = ring(-20 + i * 0.3, -20 + (i + 1) * 0.3, 0, 30);
      off += areaMm2(intersect(left, slice));
      left = cutAway(left, slice);
    }
    expect(off + areaMm2(left)).toBeCloseTo(areaMm2(ball(0, 20)), 3);
    expect(arcs(left).length).toBeLessThanOrEqual(2);
  });
});

/** A slow sum for comparison. */
function simpson(f: (z: number) => number, from: number, to: number): number {
  const [n, h] = [2000, (to - from) / 2000];
  let total = f(from) + f(to);
  for (let i = 1; i < n; i++) total += f(from + i * h) * (i % 2 ? 4 : 2);
  return (total * h) / 3;
}

describe('sections', () => {
  const tube = cutAway(unite(ring(0, 20, 0, 15), ring(20, 50, 0, 10)), ring(-1, 60, 0, 6));
  it('tell outside, hole, wall and stiffness on either side of a step', () => {
    expect(ringsAt(tube, 20, 'before')).toEqual([{ innerMm: 6, outerMm: 15 }]);
    expect(ringsAt(tube, 20, 'after')).toEqual([{ innerMm: 6, outerMm: 10 }]);
    expect(ringsAt(tube, 50, 'after')).toEqual([]);
    expect(ringsAt(tube, 0, 'before')).toEqual([]);
    const rings = ringsAt(tube, 30, 'after');
    expect([outsideOf(rings), holeOf(rings), wallOf(rings)]).toEqual([10, 6, 4]);
    expect(secondMomentMm4(rings)).toBeCloseTo((Math.PI / 64) * (20 ** 4 - 12 ** 4), 6);
    expect(wallOf([])).toBeUndefined();
  });
  it('follow arcs where they turn round', () => {
    const [one] = ringsAt(torus(0, 10, 2), 1, 'after');
    expect(one!.outerMm).toBeCloseTo(10 + Math.sqrt(3), 9);
    expect(one!.innerMm).toBeCloseTo(10 - Math.sqrt(3), 9);
    expect(placesOf(torus(0, 10, 2))).toEqual([-2, 2]);
    expect(extentOf(ball(3, 7))).toEqual({ zFromMm: -4, zToMm: 10, largestMm: 7 });
    expect(extentOf(NOTHING)).toBeUndefined();
  });
  it('know the largest between two places, without the faces that only touch it', () => {
    expect(largestOf(tube, 20, 50)).toBe(10);
    expect(largestOf(tube, 19.9, 50)).toBe(15);
    expect(largestOf(tube, 51, 60)).toBe(0);
    expect(largestOf(ball(0, 10), 6, 20)).toBeCloseTo(8, 9);
  });
});

describe('distance and offset', () => {
  it('is nothing where they touch, and straight across otherwise', () => {
    expect(distanceMm(ring(0, 10, 0, 5), ring(10, 20, 0, 5))).toBe(0);
    expect(distanceMm(ring(0, 10, 0, 5), ring(13, 20, 9, 12))).toBeCloseTo(5, 9);
    expect(distanceMm(ring(0, 10, 0, 5), torus(5, 10, 2))).toBeCloseTo(3, 3);
    expect(distanceMm(ring(0, 10, 0, 5), ring(2, 4, 1, 3))).toBe(0);
    expect(distanceMm(NOTHING, ring(0, 1, 0, 1))).toBeUndefined();
  });
  it('grows round the corners and leaves the axis where it is', () => {
    const grown = offset(ring(0, 10, 0, 5), 2);
    expect(areaMm2(grown)).toBeCloseTo(10 * 5 + 10 * 2 + 2 * 5 * 2 + (2 * Math.PI * 4) / 4, 3);
    expect(arcs(grown)).toHaveLength(2);
    const shrunk = offset(ring(0, 10, 0, 5), -1);
    expect(areaMm2(shrunk)).toBeCloseTo(8 * 4, 9);
    expect(areaMm2(offset(ring(0, 10, 2, 5), -1))).toBeCloseTo(8 * 1, 9);
    expect(volumeMm3(offset(ball(0, 10), 3)) / volumeMm3(ball(0, 13))).toBeCloseTo(1, 4);
  });
});
