import { describe, expect, it } from 'vitest';
import { areaMm2, outerBetween, ring } from '../contour/index.ts';
import { resolveDrawing } from '../part/index.ts';
import { type Bar, barSizes, blankFor, usualAllowances } from '../stock/index.ts';
import { drawingOf, feature } from '../testing/shop.ts';
import { blankPiece } from './blank-piece.ts';
import { allRound, turnedRound } from './workpiece.ts';

const { part } = resolveDrawing(drawingOf([feature(1, 20, 40)]));
const bar = (shape: Bar['shape']): Bar => ({
  ...{ id: '00000000-0000-4000-8000-000000000001', materialId: 'brass', note: '', shape },
  ...{ diameter: { text: '24', unit: 'mm' }, length: { text: '500', unit: 'mm' } },
});
const pieceFrom = (shape: Bar['shape']) => {
  const sizes = barSizes(bar(shape))!;
  return blankPiece(part, sizes, blankFor(part, sizes.cornersMm, usualAllowances, 20), usualAllowances);
};

describe('a blank of a bar with flats', () => {
  it('is as thick as it is over its corners, and solid all round only between its flats', () => {
    const hexagon = pieceFrom('hexagon');
    expect(2 * outerBetween(hexagon.contour, 0, 40)).toBeCloseTo(27.713, 2);
    expect(2 * outerBetween(allRound(hexagon), 0, 40)).toBeCloseTo(24, 4);
    expect(areaMm2(allRound(hexagon))).toBeLessThan(areaMm2(hexagon.contour));
    expect(2 * outerBetween(allRound(pieceFrom('square')), 0, 40)).toBeCloseTo(24, 4);
    // turned end for end its flats stay
    expect(turnedRound(hexagon).section).toEqual({ flats: 6, acrossMm: 24 });
  });
  it('is solid all round where the bar is', () => {
    const round = pieceFrom('round');
    expect(round.section).toBeUndefined();
    expect(allRound(round)).toBe(round.contour);
    const turned = { contour: ring(0, 40, 0, 10), section: { flats: 6 as const, acrossMm: 24 } };
    expect(areaMm2(allRound(turned))).toBeCloseTo(400, 6);
  });
});
