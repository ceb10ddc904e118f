import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { warmingOf } from '../mechanics/index.ts';
import { plainCentreDrills } from '../part/index.ts';
import { centreBearsN, centreDepth, mouthRemedy } from './centre-depth.ts';
import { centreForLoad } from './centre-load.ts';
import { facingToCentre } from './facing-to-centre.ts';

describe('depth of a centre hole', () => {
  it('is pilot and cone: 3.15 to a mouth of 6.7', () => {
    expect(centreDepth(3.15, 3.9, 6.7).coneMm).toBeCloseTo(3.074_390_183_43, 9);
    expect(centreDepth(3.15, 3.9, 6.7).totalMm).toBeCloseTo(6.974_390_183_43, 9);
  });
  it('is mended deeper, or by facing back while there is length, or not at all', () => {
    expect(mouthRemedy(6.6, 6.7, 1, 30, 0.15).kind).toBe('good');
    expect(mouthRemedy(6, 6.7, 1, 30, 0.15)).toEqual({ kind: 'deeper', byMm: expect.closeTo(0.606, 3) });
    expect(mouthRemedy(7.4, 6.7, 1, 30, 0.15)).toEqual({
      ...{ kind: 'faceBack', byMm: expect.closeTo(0.606, 3), leftMm: expect.closeTo(0.394, 3) },
    });
    expect(mouthRemedy(9, 6.7, 1, 30, 0.15)).toMatchObject({ kind: 'tooLarge', serves: true });
    expect(mouthRemedy(9, 6.7, 1, 14, 0.15)).toMatchObject({ kind: 'tooLarge', serves: false });
  });
  it('comes out as wanted when what is said is done', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (got, left) => {
          const remedy = mouthRemedy(got, 6.7, left, 40, 0.1);
          if (remedy.kind === 'good' || remedy.kind === 'tooLarge') return;
          const grows = 2 * Math.tan(Math.PI / 6) * remedy.byMm;
          expect(remedy.kind === 'deeper' ? got + grows : got - grows).toBeCloseTo(6.7, 9);
        },
      ),
    );
  });
});

describe('a centre hole for its load', () => {
  it('goes by the diameter for light work, by the load for heavy work, and never beyond what the end bears', () => {
    expect(centreForLoad(45, 42, 3, 100, 'live')).toMatchObject({ pilotMm: 3.15, by: 'diameter', bears: true });
    expect(centreForLoad(45, 42, 60, 1500, 'live')).toMatchObject({ by: 'load', bears: true });
    expect(centreForLoad(45, 12, 60, 1500, 'live')).toMatchObject({ pilotMm: 3.15, by: 'thinEnd', bears: false });
    expect(centreForLoad(45, 1.7, 1, 0, 'plain')).toBeUndefined();
    // however heavy, two sizes above what its diameter asks: 12 asks 1.6
    expect(centreForLoad(12, 100, 0, 90_000, 'plain')).toMatchObject({ pilotMm: 2.5, by: 'load', bears: false });
  });
  it('bears as its cone’s projected area: 4 with a mouth of 8.5 on a plain centre 292 N', () => {
    // (8.5 + 4)/2 · (8.5 − 4)/2/tan 30° · 12
    expect(centreBearsN(4, 8.5, 'plain')).toBeCloseTo(6.25 * (2.25 / Math.tan(Math.PI / 6)) * 12, 9);
  });
  it('has plain inch sizes as published', () => {
    const of = (size: string) => plainCentreDrills.find((d) => d.size === size)!;
    expect([of('2').pilot64 / 64, of('2').body64 / 64]).toEqual([0.078125, 0.1875]);
    expect([of('00').pilot64 / 64, of('00').body64 / 64]).toEqual([0.025, 0.078125]);
    expect([of('6').pilot64 / 64, of('6').body64 / 64]).toEqual([0.21875, 0.5]);
  });
});

describe('work that warms on a tail centre', () => {
  const shaft = { massKg: 3.05, lengthMm: 244, expansionPerK: 11.5e-6, group: 'P' as const };
  it('grows with the power that goes into it', () => {
    const warm = warmingOf(shaft, 0.6, 0.03);
    // 0.1 · 0.6 kW · 60 s = 3.6 kJ a minute into 3.05 kg of steel
    expect(warm.risesKPerMin).toBeCloseTo(3600 / (3.05 * 470), 9);
    expect(warm.easeAfterMin).toBeCloseTo(0.03 / (11.5e-6 * 244 * warm.risesKPerMin), 9);
    expect(warmingOf(shaft, 1.2, 0.03).easeAfterMin).toBeCloseTo(warm.easeAfterMin / 2, 9);
    expect(warmingOf({ ...shaft, massKg: 30.5 }, 0.6, 0.03).easeAfterMin).toBeCloseTo(warm.easeAfterMin * 10, 9);
  });
});

describe('facing up to a tail centre', () => {
  it('stops short of the cone, or at the mouth on a half-centre; the ring comes off by file or in the chuck', () => {
    expect(facingToCentre(30, 6.7, 0.3, false)).toEqual({ toMm: 9.7, ringMm: 1.5, after: 'file' });
    expect(facingToCentre(30, 6.7, 1, false)!.after).toBe('inChuck');
    expect(facingToCentre(30, 6.7, 1, true)).toEqual({ toMm: 6.7, ringMm: 0, after: 'nothing' });
    // a thin end has no room for the tool beside the centre
    expect(facingToCentre(9, 6.7, 1, false)).toBeUndefined();
    expect(facingToCentre(9, 6.7, 1, true)).toBeDefined();
  });
});
