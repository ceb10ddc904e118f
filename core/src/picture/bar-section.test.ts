import { describe, expect, it } from 'vitest';
import { checkBarFor } from '../hold/index.ts';
import { barSection, endForEnd, outsides, resolveDrawing } from '../part/index.ts';
import { barSizes } from '../stock/index.ts';
import { drawingOf, feature } from '../testing/shop.ts';
import { endViewPicture } from './index.ts';

const head = (limits = '') => ({ ...feature(1, 24, 15, limits), kind: 'hexagon' as const });
const bolt = resolveDrawing(drawingOf([head(), feature(2, 16, 60)]));
const bar = (shape: 'round' | 'hexagon' | 'square', size: string, surface: 'bright' | 'black' = 'bright') =>
  barSizes({
    ...{ id: '00000000-0000-4000-8000-000000000001', materialId: 'brass', note: '', shape, surface },
    ...{ diameter: { text: size, unit: 'mm' }, length: { text: '500', unit: 'mm' } },
  })!;
const codes = (sizes: ReturnType<typeof bar>, of = bolt) =>
  checkBarFor(of.part, sizes, 0, 90).problems.map((p) => [p.code, p.severity ?? 'error']);

describe('a length that keeps its bar’s section', () => {
  it('is drawn across its flats, and as thick as it is over its corners', () => {
    expect(bolt.problems).toEqual([]);
    const [hex] = outsides(bolt.part);
    expect(hex).toMatchObject({ kind: 'hexagon', diameterMm: expect.closeTo(27.7128, 4) });
    expect(barSection(hex!)).toEqual({ flats: 6, acrossMm: 24 });
    // its limits are those across the flats
    expect(hex!.limits).toMatchObject({ upperMm: 24.2, lowerMm: 23.8 });
    const square = resolveDrawing(drawingOf([{ ...head(), kind: 'square' }, feature(2, 16, 60)]));
    expect(outsides(square.part)[0]!.diameterMm).toBeCloseTo(24 * Math.SQRT2, 6);
    expect(barSection(outsides(endForEnd(bolt.part)).at(-1)!)).toEqual({ flats: 6, acrossMm: 24 });
    expect(barSection(outsides(bolt.part)[1]!)).toBeUndefined();
  });
  it('wants a bar of its section, or one that is round over its corners', () => {
    expect(codes(bar('hexagon', '24'))).toEqual([]);
    expect(codes(bar('hexagon', '27'))).toEqual([['stock.diameterAboveBar', 'error']]);
    expect(codes(bar('hexagon', '30'))).toEqual([['stock.otherSection', 'warning']]);
    expect(codes(bar('square', '28'))).toEqual([['stock.otherSection', 'warning']]);
    expect(codes(bar('round', '28'))).toEqual([['stock.otherSection', 'warning']]);
    expect(codes(bar('round', '27'))).toEqual([['stock.diameterAboveBar', 'error']]);
  });
  it('has the bar’s own limits and finish', () => {
    // 24 h11 is 0.13 wide
    const fine = resolveDrawing(drawingOf([head('-0.05'.replace('-', '+0 -')), feature(2, 16, 60)]));
    expect(fine.problems).toEqual([]);
    expect(codes(bar('hexagon', '24'), fine)).toEqual([['stock.asBarLimits', 'warning']]);
    expect(codes(bar('hexagon', '24', 'black')).map(([c]) => c)).toEqual(['stock.asBarLimits', 'stock.asBarFinish']);
  });
  it('shows its corners from the end', () => {
    const body = endViewPicture(bolt.part, { width: 200, height: 200, textSize: 10 }).shapes.find(
      (s) => s.role === 'body',
    );
    expect(body).toMatchObject({ kind: 'path' });
    expect(body && 'corners' in body && body.corners.length).toBe(6);
  });
});
