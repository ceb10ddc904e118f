import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Held, HOLD_METHODS, type HoldMethod } from '../hold/index.ts';
import { deflectionMm } from '../mechanics/index.ts';
import { resolveDrawing } from '../part/index.ts';
import { pieceOf } from '../testing/pieces.ts';
import { drawingOf, feature } from '../testing/shop.ts';
import { bentLineOf, finishedShaft, supportOf, worstBendPerN } from './bending.ts';

const { part } = resolveDrawing(drawingOf([feature(1, 20, 60), feature(2, 30, 40), feature(3, 16, 100)]));
const piece = pieceOf(part, 35);
const GPA = 207;
const held = (method: HoldMethod, more: Partial<Held> = {}): Held => ({
  ...{ method, why: 'chosen', jawsMm: -10, rawEndMm: 201, overhangMm: 211, overhangDiameters: 6, wantsRest: false },
  ...{ gripMm: 30, forceN: 18_000, maxRpm: 2000, onMm: 45, chuckId: 'three-jaw', ...more },
});

describe('how a holding carries the work', () => {
  it('is fixed, propped, or free to lean at either end', () => {
    expect(Object.fromEntries(HOLD_METHODS.map((m) => [m, supportOf(held(m))]))).toEqual({
      chuck: 'chuck',
      chuckAndCentre: 'chuckAndCentre',
      // a rest carries it besides
      chuckAndSteady: 'chuck',
      followingRest: 'chuckAndCentre',
      insideJaws: 'chuck',
      stepJaws: 'chuck',
      betweenCentres: 'centres',
      mandrel: 'centres',
      expandingMandrel: 'chuck',
      stubArbor: 'chuck',
      adhesiveArbor: 'chuck',
      faceplate: 'chuck',
      barOverSlide: 'chuck',
      headOverSlide: 'chuck',
    });
  });
  it('begins at the jaws, at the centre, or at the mandrel’s own end', () => {
    expect(finishedShaft(piece, held('chuck'), GPA).lengthMm).toBe(210);
    expect(finishedShaft(piece, held('chuck', { jawsMm: 50 }), GPA).lengthMm).toBe(150);
    // between centres what lies under the dog bends too
    const between = held('betweenCentres', { jawsMm: 12, supportMm: -1 });
    expect(finishedShaft(piece, between, GPA).lengthMm).toBe(201);
    const mandrel = held('mandrel', { jawsMm: -1, supportMm: -12, onMm: 12 });
    expect(finishedShaft(piece, mandrel, GPA).lengthMm).toBe(224);
  });
  it('bends least with a centre, more between two than fixed at one of them, most on its own', () => {
    const perN = (method: HoldMethod) => {
      const holding = held(method, method === 'betweenCentres' ? { supportMm: -10 } : {});
      return worstBendPerN(finishedShaft(piece, holding, GPA), holding, 100, 200).perN;
    };
    expect(perN('chuckAndCentre')).toBeLessThan(perN('betweenCentres'));
    expect(perN('betweenCentres')).toBeLessThan(perN('chuck'));
  });
});

describe('the bent line', () => {
  const cut = { zFromMm: 100, zToMm: 200, bendMm: 0.04 };
  it('gives way at the tool by half the error of diameter, and not where it is held', () => {
    for (const method of ['chuck', 'chuckAndCentre', 'betweenCentres'] as const) {
      const holding = held(method, method === 'betweenCentres' ? { supportMm: -10 } : {});
      const line = bentLineOf(piece, holding, GPA, cut);
      expect(line.points[0]!.zMm).toBe(-10);
      expect(line.points.at(-1)!.zMm).toBeCloseTo(200, 9);
      expect(line.points[0]!.awayMm).toBeCloseTo(0, 12);
      if (method !== 'chuck') expect(line.points.at(-1)!.awayMm).toBeCloseTo(0, 9);
      // the place of the force lies between two told ones
      const i = line.points.findIndex((p) => p.zMm >= line.atMm - 1e-9);
      const near = line.points.slice(Math.max(0, i - 1), i + 1).map((p) => p.awayMm);
      expect(Math.min(...near)).toBeLessThanOrEqual(0.02 + 1e-9);
      expect(Math.max(...near)).toBeGreaterThanOrEqual(0.02 * 0.9);
    }
  });
  it('grows with the cut, and is straight for none', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 1, noNaN: true }), (bendMm) => {
        const one = bentLineOf(piece, held('chuck'), GPA, { ...cut, bendMm });
        const two = bentLineOf(piece, held('chuck'), GPA, { ...cut, bendMm: 2 * bendMm });
        one.points.forEach((p, i) => {
          expect(two.points[i]!.awayMm).toBeCloseTo(2 * p.awayMm, 9);
        });
      }),
      { numRuns: 20 },
    );
    const none = bentLineOf(piece, held('chuck'), GPA, { ...cut, bendMm: 0 });
    expect(none.points.every((p) => p.awayMm === 0)).toBe(true);
  });
  it('is that of the same shaft as the load told beside it', () => {
    const holding = held('chuck');
    const shaft = finishedShaft(piece, holding, GPA);
    const { perN, aMm } = worstBendPerN(shaft, holding, cut.zFromMm, cut.zToMm);
    expect(2 * deflectionMm(shaft, aMm, cut.bendMm / perN, 'chuck')).toBeCloseTo(cut.bendMm, 12);
  });
});
