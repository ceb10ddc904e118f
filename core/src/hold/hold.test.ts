import { describe, expect, it } from 'vitest';
import { chuckOf } from '../lathe/index.ts';
import { emptyBoreStep, resolveDrawing } from '../part/index.ts';
import { type Bar, type BarSizes, barSizes } from '../stock/index.ts';
import { drawingOf, feature, metricLathe, planInput } from '../testing/shop.ts';
import { blankFor, checkBlank, slotMm, usualGripMm } from './blank.ts';
import { centreHole } from './centre-hole.ts';
import { centreForLoad } from './centre-load.ts';
import { holdingFor, reachFromTail } from './holding.ts';
import { realBlank } from './real-blank.ts';
import { usualHold } from './schema.ts';
import { checkBarFor } from './stock-check.ts';

const part = planInput([feature(1, 30, '12.7'), feature(2, 20, '0.1'), feature(3, 18, '0.2')], 35).part;

describe('blank', () => {
  it('adds up exactly, on spare stock and on the part', () => {
    expect(blankFor(part, 35, usualHold, 45).lengthMm).toBe(13 + 1 + 1 + 3 + 5 + 27);
    expect(blankFor(part, 35, { ...usualHold, gripOn: 'part' }, 45).lines.map((l) => l.part)).toEqual([
      'finished',
      'faceTail',
      'faceHead',
    ]);
  });
  it('grips at least ten millimetres and no more than the jaws are long', () => {
    expect([usualGripMm(6, 45), usualGripMm(40, 45), usualGripMm(100, 45)]).toEqual([10, 30, 45]);
  });
  it('warns of a short grip and refuses what does not go in', () => {
    const codes = (mm: number, gripMm: number, bar?: number) =>
      checkBlank(blankFor(part, mm, { ...usualHold, gripMm }, 45), bar, 3, metricLathe, chuckOf(metricLathe)).map(
        (p) => p.code,
      );
    expect(codes(35, 12)).toEqual(['hold.shortGrip']);
    expect(codes(200, 100)).toEqual(['hold.swing', 'hold.jaws', 'hold.longGrip']);
    expect(codes(35, 20, 30)).toEqual(['stock.longerThanBar']);
  });
});

describe('a bar for a part', () => {
  const sizesOf = (text: string, more: Partial<Bar> = {}) =>
    barSizes({
      ...{ id: '00000000-0000-4000-8000-000000000001', materialId: 'brass', note: '' },
      ...{ diameter: { text, unit: 'mm' }, length: { text: '500', unit: 'mm' } },
      ...more,
    })!;
  const codesFor = (bar: BarSizes, p = part) => checkBarFor(p, bar, 0.1, 100).problems.map((x) => x.code);
  it('must clean up, unless what is there may stay', () => {
    expect(codesFor(sizesOf('32'))).toEqual([]);
    // Ø30 of general limits stays as the bar is
    expect(codesFor(sizesOf('30'))).toEqual([]);
    expect(codesFor(sizesOf('30.25'))).toEqual(['stock.mayNotCleanUp']);
    expect(codesFor(sizesOf('29'))).toEqual(['stock.diameterAboveBar']);
    // across the flats counts, not the corners
    expect(codesFor(sizesOf('29', { shape: 'hexagon' }))).toEqual(['stock.diameterAboveBar']);
  });
  it('of tube is for hollow parts, its hole inside theirs however it runs out', () => {
    const tube = (bore: string) => sizesOf('40', { shape: 'tube', bore: { text: bore, unit: 'mm' } });
    expect(codesFor(tube('10'))).toEqual(['stock.tubeForSolid']);
    const step = {
      ...emptyBoreStep('h1', 'mm'),
      kind: 'bored' as const,
      diameter: { text: '16', unit: 'mm' as const },
    };
    const hollow = resolveDrawing({ ...drawingOf([feature(1, 30, 20)]), bores: { left: [step], right: [] } }).part;
    expect(codesFor(tube('15'), hollow)).toEqual([]);
    expect(codesFor(tube('15.95'), hollow)).toEqual(['stock.boreAbovePart']);
  });
});

describe('the piece on the bench', () => {
  const blank = blankFor(part, 35, usualHold, 45);
  const real = (lengthMm: number, diameterMm = 35) => realBlank(blank, usualHold, lengthMm, diameterMm, 34, 18);
  it('is as wanted, or says what gives, or that it cannot be used', () => {
    expect(real(blank.lengthMm + 2)).toMatchObject({ verdict: 'good', spareLengthMm: 2 });
    expect(real(blank.lengthMm - 5)).toMatchObject({
      verdict: 'gives',
      gives: [
        { part: 'clearance', mm: 3 },
        { part: 'grip', mm: 2 },
      ],
    });
    // clearance 3, grip 27 − 18, and 0.7 of each face
    expect(real(blank.lengthMm - 13.4).gives.reduce((sum, g) => sum + g.mm, 0)).toBeCloseTo(13.4, 9);
    expect(real(blank.lengthMm - 13.5).verdict).toBe('tooShort');
    expect(real(200, 33.9)).toMatchObject({ verdict: 'tooThin', spareDiameterMm: -0.1 });
  });
  it('loses a wider slot where it is parted off deep', () => {
    expect([slotMm(3, 15), slotMm(3, 16)]).toEqual([3, 4.8]);
    const slot = blankFor(part, 35, { ...usualHold, cutOff: 'slot' }, 45);
    expect(slot.lines.find((l) => l.part === 'slot')?.mm).toBe(4.8);
    const spigot = blankFor(part, 35, usualHold, 45, undefined, { leftMm: 12, rightMm: 0 });
    expect(spigot.lengthMm - blank.lengthMm).toBe(12);
  });
});

describe('holding', () => {
  it('wants a tail centre beyond four diameters and a rest beyond twelve', () => {
    const long = (l: number) => {
      const { part: p } = planInput([feature(1, 18, l)], 20);
      return holdingFor(p, blankFor(p, 20, usualHold, 45), usualHold, chuckOf(metricLathe));
    };
    expect(long(60)).toMatchObject({ method: 'chuck', why: 'shortOverhang' });
    expect(long(80)).toMatchObject({ method: 'chuckAndCentre', why: 'longOverhang', wantsRest: false });
    expect(long(240).wantsRest).toBe(true);
  });
  it('reaches features that stand clear of larger ones and of the jaws', () => {
    const { part: p } = planInput(
      [feature(1, 20, 20), feature(2, 40, 10), feature(3, 25, 10), feature(4, 30, 20), feature(5, 45, 5)],
      45,
    );
    const reach = reachFromTail(
      p,
      holdingFor(p, blankFor(p, 45, usualHold, 45), usualHold, chuckOf(metricLathe)),
      45,
      5,
      'spare',
    );
    expect(reach.reachable.map((f) => f.id)).toEqual([]);
    expect(reach.waiting.slice(0, 5).map((w) => w.why)).toEqual([
      'asBar',
      'behindLarger',
      'behindLarger',
      'behindLarger',
      'behindLarger',
    ]);
  });
});

describe('centre holes', () => {
  it('gives the published mouths', () => {
    expect([1.6, 4, 6.3].map((d) => centreHole(d)?.mouthMm)).toEqual([3.35, 8.5, 13.2]);
    expect(centreHole(3)).toBeUndefined();
  });
  it('takes a smaller hole where the end is thin', () => {
    expect(centreForLoad(45, 42, 0, 0, 'live')?.pilotMm).toBe(3.15);
    expect(centreForLoad(45, 8, 0, 0, 'live')?.pilotMm).toBe(2);
    expect(centreForLoad(45, 3, 0, 0, 'live')).toBeUndefined();
  });
});
