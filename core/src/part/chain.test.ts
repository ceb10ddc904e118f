import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rational } from '../quantity/index.ts';
import { type ChainSize, solveChain } from './chain.ts';

const size = (id: string, from: string, to: string, mm: string | number): ChainSize => ({
  id,
  from,
  to,
  mm: rational(mm),
});
const placesOf = (planes: string[], sizes: ChainSize[]) =>
  Object.fromEntries([...solveChain(planes, sizes, planes[0]!).places].map(([p, mm]) => [p, mm.toFraction()]));

describe('sizes along Z', () => {
  it('add up exactly, thirds and inches too', () => {
    const sizes = [size('a', 'p', 'q', '1/3'), size('b', 'q', 'r', '127/5'), size('c', 'r', 's', '1/3')];
    expect(placesOf(['p', 'q', 'r', 's'], sizes)).toEqual({ p: '0', q: '1/3', r: '386/15', s: '391/15' });
  });
  it('give an unknown from the whole and from a datum, in whatever order they are said', () => {
    const sizes = [size('whole', 'p', 's', 100), size('b', 'q', 'r', 30), size('datum', 's', 'r', -25)];
    for (const order of [sizes, sizes.toReversed(), [sizes[1]!, sizes[2]!, sizes[0]!]])
      expect(placesOf(['p', 'q', 'r', 's'], order)).toEqual({ p: '0', q: '45', r: '75', s: '100' });
  });
  it('name what none of them reaches', () => {
    const solved = solveChain(['p', 'q', 'r', 's'], [size('a', 'p', 'q', 5), size('c', 'r', 's', 5)], 'p');
    expect(solved.loose).toEqual(['r', 's']);
    expect(solved.conflict).toBeUndefined();
  });
  it('tell what is said twice and agrees', () => {
    const solved = solveChain(['p', 'q'], [size('a', 'p', 'q', '0.1'), size('again', 'q', 'p', '-0.1')], 'p');
    expect([solved.surplus, solved.conflict]).toEqual([['again'], undefined]);
  });
  it('tell the smallest set that disagrees, and by how much', () => {
    const chain = [10, 20, 30, 40, 50].map((mm, i) => size(`f${i}`, `o${i}`, `o${i + 1}`, mm));
    const planes = ['o0', 'o1', 'o2', 'o3', 'o4', 'o5'];
    // the whole is 0.4 short, and so is a datum over the middle: the datum's round is the shorter one
    const whole = size('overall', 'o0', 'o5', '149.6');
    expect(solveChain(planes, [...chain, whole], 'o0').conflict).toEqual({
      ids: expect.arrayContaining(['f0', 'f1', 'f2', 'f3', 'f4', 'overall']),
      byMm: expect.closeTo(0.4, 12),
    });
    const datum = size('datum', 'o1', 'o3', '50.1');
    const found = solveChain(planes, [...chain, whole, datum], 'o0').conflict!;
    expect([...found.ids].sort()).toEqual(['datum', 'f1', 'f2']);
    expect(found.byMm).toBeCloseTo(0.1, 12);
  });
  it('believe what was said first, so that a picture can be drawn', () => {
    const solved = solveChain(['p', 'q'], [size('a', 'p', 'q', 5), size('b', 'p', 'q', 6)], 'p');
    expect(solved.places.get('q')!.valueOf()).toBe(5);
    expect([...solved.conflict!.ids].sort()).toEqual(['a', 'b']);
  });
  it('place every plane where it is, from any sizes that reach them all', () => {
    const place = fc.integer({ min: -500_000, max: 500_000 });
    fc.assert(
      fc.property(
        fc.array(place, { minLength: 2, maxLength: 30 }),
        fc.array(fc.nat(), { maxLength: 40 }),
        (at, picks) => {
          const planes = at.map((_, i) => `p${i}`);
          const between = (id: string, a: number, b: number) => size(id, `p${a}`, `p${b}`, `${at[b]! - at[a]!}/1000`);
          // a tree that reaches all of them, and more sizes that are true as well
          const tree = at
            .slice(1)
            .map((_, i) => between(`t${i}`, (picks[i % Math.max(1, picks.length)] ?? 0) % (i + 1), i + 1));
          const more = picks
            .map((n, i) => between(`m${i}`, n % at.length, (n >> 3) % at.length))
            .filter((s) => s.from !== s.to);
          const solved = solveChain(planes, [...tree, ...more], 'p0');
          expect(solved.conflict).toBeUndefined();
          expect(solved.surplus).toHaveLength(more.length);
          for (const [i, plane] of planes.entries())
            expect(solved.places.get(plane)!.equals(rational(`${at[i]! - at[0]!}/1000`))).toBe(true);
        },
      ),
    );
  });
  it('find a wrong one among true ones in a round that holds it, no longer than need be', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 25 }), fc.nat(), fc.nat(), (n, from, to) => {
        const planes = Array.from({ length: n + 1 }, (_, i) => `p${i}`);
        const chain = planes.slice(1).map((p, i) => size(`c${i}`, `p${i}`, p, 10));
        const [a, b] = [from % (n + 1), to % (n + 1)].sort((x, y) => x - y) as [number, number];
        if (a === b) return;
        const { conflict } = solveChain(planes, [...chain, size('wrong', `p${a}`, `p${b}`, (b - a) * 10 + 1)], 'p0');
        expect(conflict!.ids).toContain('wrong');
        expect(conflict!.ids).toHaveLength(b - a + 1);
        expect(conflict!.byMm).toBe(1);
      }),
    );
  });
});
