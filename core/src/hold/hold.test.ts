import { describe, expect, it } from 'vitest';
import { emptyBoreStep, resolveDrawing } from '../part/index.ts';
import {
  type Allowances,
  type Bar,
  type BarSizes,
  barSizes,
  blankFor,
  realBlank,
  slotMm,
  usualAllowances,
} from '../stock/index.ts';
import { setupBy } from '../testing/pieces.ts';
import { drawingOf, feature, metricLathe, mm, planInput } from '../testing/shop.ts';
import { centreHole } from './centre-hole.ts';
import { centreForLoad } from './centre-load.ts';
import { usualGripMm } from './held.ts';
import { heldIn } from './held-in.ts';
import { reachFromTail } from './reach.ts';
import { checkBarFor } from './stock-check.ts';

const part = planInput([feature(1, 30, '12.7'), feature(2, 20, '0.1'), feature(3, 18, '0.2')], 35).part;

const blankOf = (stockMm: number, allow: Allowances = usualAllowances, p = part) =>
  blankFor(p, stockMm, allow, usualGripMm(stockMm, 45));

describe('blank', () => {
  it('adds up exactly, on spare stock and on the part', () => {
    expect(blankOf(35).lengthMm).toBe(13 + 1 + 1 + 3 + 5 + 27);
    expect(blankFor(part, 35, usualAllowances, 0).lines.map((l) => l.part)).toEqual([
      'finished',
      'faceTail',
      'faceHead',
    ]);
  });
  it('grips at least ten millimetres and no more than the jaws are long', () => {
    expect([usualGripMm(6, 45), usualGripMm(40, 45), usualGripMm(100, 45)]).toEqual([10, 30, 45]);
    // of a disc half of what stands out
    expect([usualGripMm(120, 45, 29), usualGripMm(120, 45, 12), usualGripMm(40, 45, 59)]).toEqual([15, 10, 30]);
  });
  it('warns of a short grip and refuses what does not go in', () => {
    const codes = (mm: number, gripMm: number, lengthMm = 20) => {
      const asked = planInput([feature(1, mm - 5, lengthMm)], mm, { gripMm });
      const grip = { kind: 'jaws' as const, on: 'spare' as const, mm: gripMm };
      return heldIn(asked.piece, { ...asked.setup, grip }, metricLathe, 5).problems.map((p) => p.code);
    };
    expect(codes(35, 12, 50)).toEqual(['hold.shortGrip']);
    // what stands out less than it is thick is a disc: no rule of half the diameter, but never nothing
    expect(codes(35, 12)).toEqual([]);
    expect(codes(35, 2)).toEqual(['hold.gripFloor']);
    expect(codes(35, 3)).toEqual([]);
    expect(codes(2.8, 6, 3)).toEqual(['hold.jawsClose']);
    expect(codes(200, 100)).toEqual(['hold.swing', 'hold.longGrip', 'hold.jaws']);
    expect(codes(35, 30)).toEqual([]);
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
  const blank = blankOf(35);
  const real = (lengthMm: number, diameterMm = 35) => realBlank(blank, usualAllowances, lengthMm, diameterMm, 34, 18);
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
    const slot = blankOf(35, { ...usualAllowances, cutOff: 'slot' });
    expect(slot.lines.find((l) => l.part === 'slot')?.mm).toBe(4.8);
    const drawn = drawingOf([feature(1, 30, '13')]);
    const left = { ...drawn.ends.left, spigot: { diameter: mm(20), length: mm(12) } };
    const { part: p } = resolveDrawing({ ...drawn, ends: { ...drawn.ends, left } });
    const spigot = blankOf(35, usualAllowances, p);
    expect(spigot.lengthMm - blank.lengthMm).toBe(12);
  });
});

describe('holding', () => {
  it('wants a tail centre beyond four diameters and a rest beyond twelve', () => {
    const long = (l: number) => {
      const { piece, setup } = planInput([feature(1, 18, l)], 20);
      return heldIn(piece, setup, metricLathe, 5).held!;
    };
    expect(long(60)).toMatchObject({ method: 'chuck', why: 'shortOverhang' });
    expect(long(80)).toMatchObject({ method: 'chuckAndCentre', why: 'longOverhang', wantsRest: false });
    expect(long(240).wantsRest).toBe(true);
  });
  it('reaches features that stand clear of larger ones and of the jaws', () => {
    const { piece, setup } = planInput(
      [feature(1, 20, 20), feature(2, 40, 10), feature(3, 25, 10), feature(4, 30, 20), feature(5, 45, 5)],
      45,
    );
    const reach = reachFromTail(piece, heldIn(piece, setup, metricLathe, 5).held!, 5);
    expect(reach.reachable.map((f) => f.id)).toEqual([]);
    expect(reach.waiting.slice(0, 5)).toEqual([
      { id: 'f5', why: 'asBar' },
      ...['f4', 'f3', 'f2', 'f1'].map((id) => ({ id, why: 'behindLarger' })),
    ]);
  });
  it('in jaws keeps to what is asked for: which end, whether a centre, how long on raw metal', () => {
    const { piece } = planInput([feature(1, 20, 30), feature(2, 16, 50)], 25, { gripMm: 0 });
    const by = (...way: Parameters<typeof setupBy>) => heldIn(piece, setupBy(...way), metricLathe, 5).held!;
    expect(by('chuck')).toMatchObject({ method: 'chuck', why: 'chosen', jawsMm: 18, headEndMm: -1, onId: 'f1' });
    expect(by('chuckAndCentre', { mm: 25 })).toMatchObject({ jawsMm: 24, gripMm: 25, why: 'chosen' });
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
    expect(centreForLoad(45, 4, 0, 0, 'live')).toMatchObject({ pilotMm: 1, mouthMm: 2.12, by: 'thinEnd' });
    expect(centreForLoad(45, 1.7, 0, 0, 'live')).toBeUndefined();
  });
});
