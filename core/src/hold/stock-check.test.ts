import { describe, expect, it } from 'vitest';
import { emptyBoreStep, type Feature, resolveDrawing } from '../part/index.ts';
import type { BarSizes } from '../stock/index.ts';
import { drawingOf, feature, mm } from '../testing/shop.ts';
import { checkBarFor, largestTurnedMm, throughHoleMm } from './stock-check.ts';

const bright = (d: number, more: Partial<BarSizes> = {}): BarSizes => ({
  ...{
    shape: 'round',
    acrossMm: d,
    cornersMm: d,
    boreMm: 0,
    lengthMm: 1000,
    pieces: 1,
    areaMm2: (Math.PI * d * d) / 4,
  },
  ...{ bowMmPerM: 0, skinMm: 0, ...more },
});
const hexagon = (across: number, more: Partial<BarSizes> = {}) =>
  bright(across, { shape: 'hexagon', cornersMm: (2 * across) / Math.sqrt(3), ...more });
const partOf = (
  features: readonly Feature[],
  steps: readonly (readonly [number, number | ''])[] = [],
  ends: object = {},
) => {
  const drawing = drawingOf(features);
  const left = steps.map(([d, l], i) => ({
    ...emptyBoreStep(`h${i + 1}`, 'mm', 'bored'),
    ...{ diameter: mm(d), length: mm(l) },
  }));
  return resolveDrawing({ ...drawing, bores: { left, right: [] }, ends: { ...drawing.ends, ...ends } }).part;
};
const found = (part: ReturnType<typeof partOf>, bar: BarSizes, runoutMm = 0) =>
  checkBarFor(part, bar, runoutMm, 60).problems.map((p) => [p.code, p.value, p.limit]);

describe('the largest diameter that is turned', () => {
  it('leaves out what the bar has between its limits', () => {
    // Ø25 h9: 25 to 24.948
    const part = partOf([feature(1, 25, 20, 'h9'), feature(2, 20, 20)]);
    expect(largestTurnedMm(part, 25)).toBe(20);
    expect(largestTurnedMm(part, 24.95)).toBe(20);
    expect(largestTurnedMm(part, 24.94)).toBe(25);
    expect(largestTurnedMm(part, 25.01)).toBe(25);
    expect(largestTurnedMm(partOf([feature(1, 25, 20, 'h9')]), 25)).toBe(0);
  });
  it('of a cone is its larger end, and leaves flats to the bar', () => {
    const cone = partOf([{ ...feature(1, 20, 30), kind: 'taper', end: mm(30) }]);
    expect(largestTurnedMm(cone, 40)).toBe(30);
    const bolt = partOf([{ ...feature(1, 24, 15), kind: 'hexagon' }, feature(2, 16, 60)]);
    expect(largestTurnedMm(bolt, 24)).toBe(16);
  });
});

describe('a hole right through', () => {
  it('is as wide as its narrowest step, and none where metal is left', () => {
    const block = [feature(1, 50, 40)];
    expect(throughHoleMm(partOf(block, [[20, '']]))).toBe(20);
    expect(
      throughHoleMm(
        partOf(block, [
          [30, 10],
          [18, ''],
        ]),
      ),
    ).toBe(18);
    expect(
      throughHoleMm(
        partOf(block, [
          [30, 10],
          [18, 29],
        ]),
      ),
    ).toBe(0);
    expect(throughHoleMm(partOf(block))).toBe(0);
    // a cone's narrower end
    const drawing = drawingOf(block);
    const cone = { ...emptyBoreStep('h1', 'mm', 'taper'), diameter: mm(30), end: mm(24), length: mm(40) };
    expect(throughHoleMm(resolveDrawing({ ...drawing, bores: { left: [cone], right: [] } }).part)).toBe(24);
  });
  it('takes a tube whose own hole lies inside it, however it runs out and whatever its skin', () => {
    const bush = partOf([feature(1, 40, 30)], [[20, '']]);
    const tube = (boreMm: number, skinMm = 0) => bright(45, { shape: 'tube', boreMm, skinMm });
    expect(found(bush, tube(19.9), 0.1)).toEqual([]);
    expect(found(bush, tube(19.95), 0.1)).toEqual([['stock.boreAbovePart', 20.05, 20]]);
    expect(found(bush, tube(19, 0.5), 0)).toEqual([]);
    expect(found(bush, tube(19, 0.5), 0.02)).toEqual([['stock.boreAbovePart', 20.02, 20]]);
    expect(found(partOf([feature(1, 40, 30)]), tube(10))).toEqual([['stock.tubeForSolid', 10, 0]]);
    expect(found(partOf([feature(1, 40, 30)]), tube(0.5))).toEqual([['stock.tubeForSolid', 0.5, 0]]);
  });
});

describe('a bar with flats', () => {
  const bolt = partOf([{ ...feature(1, 24, 15), kind: 'hexagon' }, feature(2, 16, 60)]);
  it('is kept by a length that has the same', () => {
    expect(found(bolt, hexagon(24))).toEqual([]);
    expect(found(bolt, hexagon(28))).toEqual([['stock.otherSection', 24, undefined]]);
    // of round bar, or of square: the head is left round, as large as its corners are
    expect(found(bolt, bright(28))).toEqual([['stock.otherSection', 24, undefined]]);
    expect(found(bolt, bright(24, { shape: 'square', cornersMm: 33.94 }))).toEqual([
      ['stock.diameterAboveBar', 27.71, 24],
    ]);
    expect(found(bolt, bright(27.6))).toEqual([['stock.diameterAboveBar', 27.71, 27.6]]);
    const stud = partOf([{ ...feature(1, 24, 15), kind: 'square' }, feature(2, 16, 60)]);
    expect(found(stud, bright(24, { shape: 'square', cornersMm: 33.94 }))).toEqual([]);
    expect(found(stud, hexagon(24))).toEqual([['stock.diameterAboveBar', 33.94, 24]]);
  });
});

describe('what stays as the bar is', () => {
  it('has the bar’s own limits and finish, which are told where they are wider', () => {
    // bright bar of Ø25 is h11, 25 to 24.87
    const plain = (limits: string, finish = '') =>
      partOf([{ ...feature(1, 25, 40, limits), finish }, feature(2, 20, 20)]);
    expect(found(plain(''), bright(25))).toEqual([]);
    expect(found(plain('h11'), bright(25, { surface: 'bright' }))).toEqual([]);
    expect(found(plain('h7'), bright(25))).toEqual([['stock.asBarLimits', 0.13, 0.021]]);
    // the upper limit alone, and the lower alone
    expect(found(plain('+0.2/-0.12'), bright(25)).map(([code]) => code)).toEqual(['stock.asBarLimits']);
    expect(found(plain('+0.2/-0.13'), bright(25))).toEqual([]);
    expect(found(plain('0/-0.1'), bright(25, { surface: 'black' })).map(([code]) => code)).toContain(
      'stock.asBarLimits',
    );
    expect(found(plain('', 'Ra 0.4'), bright(25)).map(([code, , limit]) => [code, limit])).toEqual([
      ['stock.asBarFinish', 0.4],
    ]);
    // a casting stays nowhere as it is
    expect(found(plain('', 'Ra 0.4'), bright(25, { shape: 'casting' }))).not.toContainEqual(
      expect.arrayContaining(['stock.asBarFinish']),
    );
    // nor does what is turned below the bar
    expect(found(plain('', 'Ra 0.4'), bright(27))).toEqual([]);
  });
  it('of a kept section counts as well; a ball or a cone never stays', () => {
    const head = (finish: string) => partOf([{ ...feature(1, 24, 15), kind: 'hexagon', finish }, feature(2, 16, 60)]);
    expect(found(head('Ra 0.4'), hexagon(24)).map(([code]) => code)).toEqual(['stock.asBarFinish']);
    const cone = partOf([{ ...feature(1, 25, 40), kind: 'taper', end: mm(20), finish: 'Ra 0.4' }, feature(2, 18, 20)]);
    expect(found(cone, bright(25)).map(([code]) => code)).not.toContain('stock.asBarFinish');
  });
});

describe('a spigot', () => {
  const spigot = (d: number) => ({ left: { ...drawingOf([]).ends.left, spigot: { diameter: mm(d), length: mm(12) } } });
  it('is no larger than the bar; a casting has it where it is drawn', () => {
    const part = (d: number) => partOf([feature(1, 25, 40)], [], spigot(d));
    expect(found(part(30), bright(30))).toEqual([]);
    expect(found(part(31), bright(30))).toEqual([['stock.spigotAboveBar', 31, 30]]);
    expect(found(part(31), bright(30, { shape: 'casting' }))).toEqual([]);
  });
});
