import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areaMm2, hull, swept, unite } from './index.ts';

const at = (zMm: number, rMm: number) => ({ zMm, rMm });
const square = [at(0, 0), at(2, 0), at(2, 2), at(0, 2)];

describe('a hull', () => {
  it('leaves out what lies inside it and on its edges, and turns left', () => {
    const found = hull([...square, at(1, 1), at(1, 0), at(2, 1)]);
    expect(found).toHaveLength(4);
    expect(areaMm2({ loops: [found] })).toBeCloseTo(4, 9);
  });
});

describe('what is swept', () => {
  it('is the shape itself at one place', () => {
    const [one] = swept([square], [at(5, 1)]);
    expect(one!.loops[0]).toEqual([at(5, 1), at(7, 1), at(7, 3), at(5, 3)]);
    expect(swept([square], [])).toEqual([]);
  });
  it('of a square moved straight is a longer one, moved aslant its own area and what its diagonal passes', () => {
    const area = (to: ReturnType<typeof at>) => areaMm2(unite(...swept([square], [at(0, 0), to])));
    expect(area(at(7, 0))).toBeCloseTo(18, 6);
    // 2·2 and the parallelogram of its diagonal, 2·√2 · 5·√2
    expect(area(at(5, -5))).toBeCloseTo(4 + 20, 6);
  });
  it('goes on from place to place, and never covers less than it does at any place of the way', () => {
    const places = fc.array(
      fc.record({ zMm: fc.integer({ min: -20, max: 20 }), rMm: fc.integer({ min: 0, max: 20 }) }),
      {
        minLength: 2,
        maxLength: 4,
      },
    );
    fc.assert(
      fc.property(places, fc.double({ min: 0, max: 1, noNaN: true }), (path, share) => {
        const [a, b] = [path[0]!, path[1]!];
        const between = at(a.zMm + share * (b.zMm - a.zMm), a.rMm + share * (b.rMm - a.rMm));
        const whole = unite(...swept([square], path));
        const with1 = unite(whole, ...swept([square], [between]));
        expect(areaMm2(with1)).toBeCloseTo(areaMm2(whole), 2);
      }),
      { numRuns: 60 },
    );
  });
});
