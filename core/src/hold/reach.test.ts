import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { outsides } from '../part/index.ts';
import { usualAllowances } from '../stock/index.ts';
import { feature, metricLathe, planInput } from '../testing/shop.ts';
import { centreHole, centrePilots } from './centre-hole.ts';
import { centreForLoad } from './centre-load.ts';
import { usualGripMm } from './held.ts';
import { heldIn } from './held-in.ts';
import { reachFromTail } from './reach.ts';

type More = Parameters<typeof planInput>[2];
const held = (features: Parameters<typeof planInput>[0], stockMm: number, more: More = {}) => {
  const { part, piece, setup, wishes } = planInput(features, stockMm, more);
  const holding = heldIn(piece, setup, metricLathe, wishes.clearanceMm).held!;
  return { part, holding, ...reachFromTail(piece, holding, wishes.clearanceMm) };
};
/** On the part's own left end, so long. */
const onPart = (mm: number): More => ({ setup: { grip: { kind: 'jaws', mm } }, gripMm: 0 });

describe('where the jaws are', () => {
  it('is behind the slot on spare stock, and on the part’s own left end otherwise', () => {
    const spare = held([feature(1, 20, 50)], 25).holding;
    const { faceHeadMm, kerfMm, clearanceMm, faceTailMm } = usualAllowances;
    expect(spare.jawsMm).toBeCloseTo(-(faceHeadMm + kerfMm + clearanceMm), 9);
    expect(spare.overhangMm).toBeCloseTo(50 + faceTailMm + faceHeadMm + kerfMm + clearanceMm, 9);
    const own = held([feature(1, 25, 30), feature(2, 20, 50)], 25, onPart(20)).holding;
    expect(own.jawsMm).toBeCloseTo(20 - faceHeadMm, 9);
    expect(own.overhangDiameters).toBeCloseTo(own.overhangMm / 25, 12);
  });
  it('is as the turner chose, with or without the centre', () => {
    for (const [support, method] of [
      ['none', 'chuck'],
      ['centre', 'chuckAndCentre'],
    ] as const)
      expect(held([feature(1, 20, 50)], 25, { setup: { support } }).holding).toMatchObject({ method, why: 'chosen' });
  });
});

describe('what can be turned from the tail end', () => {
  it('is all that grows towards the chuck, the bar’s own diameter apart', () => {
    const { reachable, waiting } = held([feature(1, 25, 20), feature(2, 22, 20), feature(3, 18, 20)], 25);
    expect(reachable.map((f) => f.id)).toEqual(['f2', 'f3']);
    expect(waiting[0]).toEqual({ id: 'f1', why: 'asBar' });
    expect(held([feature(1, 24.9, 20), feature(2, 18, 20)], 25).reachable.map((f) => f.id)).toEqual(['f1', 'f2']);
  });
  it('stops at the jaws, a millimetre of air apart', () => {
    const own: More = { ...onPart(20), allow: { faceHeadMm: 0 } };
    const at = (first: number) => held([feature(1, 24, first), feature(2, 20, 40)], 25, own);
    expect(at(20).waiting.map((w) => [w.id, w.why])).toContainEqual(['f2', 'inJaws']);
    expect(at(21).reachable.map((f) => f.id)).toEqual(['f2']);
    expect(at(30).waiting.map((w) => [w.id, w.why])).toContainEqual(['f1', 'inJaws']);
  });
  it('leaves left edges and the head for the other end, and cutting off where the grip is spare', () => {
    const waits = (more: More) =>
      held([feature(1, 20, 50, '', { edges: { left: '1', right: '1' } })], 25, more).waiting;
    expect(waits({})).toEqual([
      { id: 'f1.left.edge', why: 'otherEnd' },
      { id: 'part.left', why: 'cutOff' },
    ]);
    expect(waits(onPart(20))).toContainEqual({ id: 'part.left', why: 'otherEnd' });
    expect(waits(onPart(20)).map((w) => w.why)).not.toContain('cutOff');
  });
  it('never holds a feature that is smaller than something nearer the tail', () => {
    const sizes = fc.array(fc.integer({ min: 5, max: 40 }), { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(sizes, (diameters) => {
        const { reachable, part } = held(
          diameters.map((d, i) => feature(i + 1, d, 10)),
          45,
        );
        for (const f of reachable)
          for (const other of outsides(part))
            if (other.zFromMm > f.zFromMm) expect(other.diameterMm).toBeLessThanOrEqual(f.diameterMm);
        expect(reachable.map((f) => f.zFromMm)).toEqual(reachable.map((f) => f.zFromMm).toSorted((a, b) => a - b));
      }),
    );
  });
});

describe('a blank', () => {
  it.each([
    // three quarters of the diameter, at least ten, no more than the jaws
    [8, 10],
    [14, 11],
    [30, 23],
    [100, 45],
  ])('of Ø%d is gripped %d mm', (diameter, grip) => {
    expect(usualGripMm(diameter, 45)).toBe(grip);
  });
  it('reaches through the bore when it fits, and not when it is too thick', () => {
    const codes = (diameterMm: number, lengthMm: number) => {
      const { piece, setup } = planInput([feature(1, diameterMm - 2, lengthMm)], diameterMm);
      return heldIn(piece, setup, metricLathe, 5).problems.map((p) => p.code);
    };
    // bore 38, a metre between the centres: the grip reaches back into the bore
    expect(codes(38, 980)).not.toContain('hold.longerThanLathe');
    expect(codes(40, 980)).toContain('hold.longerThanLathe');
    expect(codes(38, 1000)).toContain('hold.longerThanLathe');
    expect(codes(160, 30)).toContain('hold.jaws');
    expect(codes(200, 30)).toEqual(expect.arrayContaining(['hold.jaws', 'hold.swing']));
  });
});

describe('centre holes of ISO 6411, type A', () => {
  it.each([
    [0.5, 1.06],
    [0.63, 1.32],
    [0.8, 1.7],
    [1, 2.12],
    [1.25, 2.65],
    [1.6, 3.35],
    [2, 4.25],
    [2.5, 5.3],
    [3.15, 6.7],
    [4, 8.5],
    [5, 10.6],
    [6.3, 13.2],
    [8, 17],
    [10, 21.2],
  ])('pilot %d has a mouth of %d', (pilot, mouth) => {
    expect(centreHole(pilot)).toEqual({ pilotMm: pilot, mouthMm: mouth });
  });
  it('grow with the work, and never take more than six tenths of its end', () => {
    const pilots = [6, 12, 20, 30, 45, 70, 110, 200].map((d) => centreForLoad(d, d, 0, 0, 'live')!.pilotMm);
    expect(pilots).toEqual(pilots.toSorted((a, b) => a - b));
    for (const end of [4, 8, 15, 40])
      expect(centreForLoad(100, end, 0, 0, 'live')!.mouthMm).toBeLessThanOrEqual(0.6 * end);
    expect(centrePilots).toContain(centreForLoad(500, 500, 0, 0, 'live')!.pilotMm);
  });
});
