import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rational } from '../quantity/index.ts';
import { collectWorking } from '../working/index.ts';
import { fitOf } from './fit.ts';
import { holeZone, itGradeUm, shaftZone } from './iso286.ts';
import { parseLimits } from './parse-limits.ts';
import { itRows } from './standard/it-grades.ts';
import { SHAFT_RANGES_MM } from './standard/shaft-deviations.ts';

describe('ISO 286 holes', () => {
  it.each([
    [25, 'E', 9, 92, 40],
    [300, 'H', 8, 81, 0],
    [35, 'D', 10, 180, 80],
    [100, 'F', 7, 71, 36],
    [1, 'H', 7, 10, 0],
    [380, 'J', 8, 60, -29],
    [75, 'K', 7, 9, -21],
    [160, 'M', 9, -15, -115],
    [16, 'P', 8, -18, -45],
    [50, 'S', 7, -34, -59],
    [450, 'ZC', 8, -2400, -2497],
    [120.01, 'N', 7, -12, -52],
    [400.01, 'H', 7, 63, 0],
    [28, 'JS', 9, 26, -26],
    [40, 'G', 6, 25, 9],
    [10, 'N', 9, 0, -36],
    [2, 'N', 9, -4, -29],
    [3, 'K', 7, 0, -10],
    [280, 'M', 6, -9, -41],
    [12, 'R', 7, -16, -34],
    [60, 'P', 6, -26, -45],
    [20, 'U', 7, -33, -54],
  ] as const)('Ø%d %s%d is %d / %d µm', (nominal, letter, grade, upperUm, lowerUm) => {
    expect(holeZone(nominal, letter, grade)).toEqual({ ok: true, upperUm, lowerUm });
  });
  it.each([
    [20, 'j', 6, 9, -4],
    [20, 'j', 7, 13, -8],
    [500, 'j', 5, 7, -20],
  ] as const)('the shaft Ø%d %s%d is %d / %d µm', (nominal, letter, grade, upperUm, lowerUm) => {
    expect(shaftZone(nominal, letter, grade)).toEqual({ ok: true, upperUm, lowerUm });
  });
  it('from A to H mirror the shafts about the nominal size', () => {
    for (const upTo of SHAFT_RANGES_MM)
      for (const letter of 'cdefgh') {
        const [hole, shaft] = [holeZone(upTo, letter.toUpperCase(), 8), shaftZone(upTo, letter, 8)];
        expect([letter, hole]).toEqual([
          letter,
          shaft.ok ? { ok: true, upperUm: 0 - shaft.lowerUm, lowerUm: shaft.upperUm === 0 ? 0 : -shaft.upperUm } : {},
        ]);
      }
  });
  it('from P on give the same fit on H shafts as the shafts do in H holes, to IT7 one grade apart', () => {
    // what Δ is for: P7/h6 is as tight as H7/p6
    for (const upTo of SHAFT_RANGES_MM.filter((d) => d > 3))
      for (const letter of ['p', 'r', 's']) {
        const basis = [holeZone(upTo, 'H', 7), shaftZone(upTo, letter, 6)] as const;
        const turned = [holeZone(upTo, letter.toUpperCase(), 7), shaftZone(upTo, 'h', 6)] as const;
        const least = ([hole, shaft]: typeof basis) =>
          hole.ok && shaft.ok ? hole.lowerUm - shaft.upperUm : Number.NaN;
        expect([upTo, letter, least(turned)]).toEqual([upTo, letter, least(basis)]);
      }
  });
  it('are right at every step edge: just above it the next range counts', () => {
    for (const [i, { upToMm }] of itRows.entries()) {
      const next = itRows[i + 1];
      expect(holeZone(upToMm, 'H', 7)).toMatchObject({ upperUm: itRows[i]!.um[2] });
      if (next) expect(holeZone(upToMm + 1e-6, 'H', 7)).toMatchObject({ upperUm: next.um[2] });
    }
    expect(holeZone(500.001, 'H', 7)).toMatchObject({ ok: false, code: 'limit.sizeOutside' });
  });
  it('are as wide as their grade, whatever the letter', () => {
    const letters = 'C,D,E,F,G,H,J,JS,K,M,N,P,R,S,T,U,V,X,Y,Z,ZA,ZB,ZC'.split(',');
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 500, noNaN: true }),
        fc.constantFrom(...letters),
        fc.integer({ min: 5, max: 13 }),
        (nominal, letter, grade) => {
          const zone = holeZone(nominal, letter, grade);
          return !zone.ok || Math.abs(zone.upperUm - zone.lowerUm - itGradeUm(nominal, grade)!) < 1e-9;
        },
      ),
    );
  });
  it.each([
    [20, 'h', 7, 'limit.zoneUnknown'],
    [20, 'Q', 7, 'limit.zoneUnknown'],
    [20, 'H', 14, 'limit.gradeOutside'],
    [10, 'T', 7, 'limit.zoneNotForSize'],
    [20, 'K', 9, 'limit.zoneNotForSize'],
    [20, 'J', 9, 'limit.zoneNotForSize'],
  ] as const)('Ø%d %s%d is refused: %s', (nominal, letter, grade, code) => {
    expect(holeZone(nominal, letter, grade)).toMatchObject({ ok: false, code });
  });
  it('tell their working with the grade’s tolerance', () => {
    const { steps, record } = collectWorking();
    holeZone(25, 'S', 7, record);
    expect(steps[0]!.values).toEqual({ nominalMm: 25, zone: 'S7', toleranceUm: 21, upperUm: -27, lowerUm: -48 });
  });
});

describe('limits of an inside size', () => {
  const at = (text: string, of: 'inside' | 'outside') => parseLimits(text, rational(28), 'mm', 'm', undefined, of);
  it('take the holes’ letters, outside ones the shafts’', () => {
    expect(at('H7', 'inside')).toMatchObject({ ok: true, limits: { upperMm: 28.021, lowerMm: 28, how: 'zone' } });
    expect(at('h7', 'inside')).toMatchObject({ ok: false, code: 'limit.shaftZone' });
    expect(at('H7', 'outside')).toMatchObject({ ok: false, code: 'limit.holeZone' });
    expect(at('+0.02/0', 'inside')).toMatchObject({ ok: true, limits: { upperMm: 28.02, lowerMm: 28 } });
    expect(at('', 'inside')).toEqual(at('', 'outside'));
    expect(at('j6', 'outside')).toMatchObject({ ok: true, limits: { upperMm: 28.009, lowerMm: 27.996 } });
  });
});

describe('fits', () => {
  it.each([
    [25, 'H7', 'p6', 'interference', -1, -35],
    [25, 'H11', 'c11', 'clearance', 370, 110],
    [100, 'N7', 'h6', 'transition', 12, -45],
    [12, 'H7', 'u6', 'interference', -15, -44],
    [200, 'H7', 'p6', 'interference', -4, -79],
    [65, 'H7', 's6', 'interference', -23, -72],
  ] as const)('Ø%d %s/%s is a %s fit: %d … %d µm', (nominal, hole, shaft, kind, most, least) => {
    const limits = (text: string, of: 'inside' | 'outside') => {
      const read = parseLimits(text, rational(nominal), 'mm', 'm', undefined, of);
      if (!read.ok) throw new Error(read.code);
      return read.limits;
    };
    expect(fitOf(limits(hole, 'inside'), limits(shaft, 'outside'))).toEqual({
      kind,
      mostClearanceMm: expect.closeTo(most / 1000, 9),
      leastClearanceMm: expect.closeTo(least / 1000, 9),
    });
  });
});
