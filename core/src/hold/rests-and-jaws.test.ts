import { describe, expect, it } from 'vitest';
import { cutAway, ring } from '../contour/index.ts';
import type { Lathe } from '../lathe/index.ts';
import { outsides, resolveDrawing } from '../part/index.ts';
import { pieceOf, setupBy } from '../testing/pieces.ts';
import { drawingOf, feature, metricLathe } from '../testing/shop.ts';
import { heldIn } from './held-in.ts';
import { reachFromTail } from './reach.ts';

const [chuck] = metricLathe.holding.chucks;
const stepped = { name: 'reversed', fromMm: 40, toMm: 180, stepMm: 9 };
const opening = { name: 'outside', fromMm: 3, toMm: 150, inside: { fromMm: 40, toMm: 140 } };
const lathe: Lathe = {
  ...metricLathe,
  holding: {
    ...metricLathe.holding,
    chucks: [{ ...chuck!, jaws: [opening, stepped] }],
    rests: [
      { name: 'steady', kind: 'steady' as const, fromMm: 10, toMm: 90 },
      { name: 'following', kind: 'following' as const, fromMm: 8, toMm: 50 },
    ],
  },
};
const partOf = (...lengths: readonly (readonly [number, number])[]) =>
  resolveDrawing(drawingOf(lengths.map(([d, l], i) => feature(i + 1, d, l)))).part;
const codes = (problems: readonly { readonly code: string }[]) => problems.map((p) => p.code);

describe('a steady rest', () => {
  const shaft = pieceOf(partOf([40, 300], [30, 150]), 45);
  it('stands near an end that is only faced and centred, and carries it: little stands out', () => {
    const setup = { ...setupBy('chuckAndSteady'), extent: 'ends' as const };
    const { held, problems } = heldIn(shaft, setup, lathe, 5);
    expect(problems).toEqual([]);
    expect(held).toMatchObject({ method: 'chuckAndSteady', rest: { kind: 'steady', zMm: 405, onMm: 45 } });
    expect(held!.overhangDiameters).toBeCloseTo(46 / 45, 3);
    expect(held!.wantsRest).toBe(false);
  });
  it('lets only what lies beyond it be turned; what is under it or behind waits by name', () => {
    const { held } = heldIn(shaft, { ...setupBy('chuckAndSteady'), restMm: 170 }, lathe, 5);
    const reach = reachFromTail(shaft, held!, 5);
    expect(reach.reachable.map((f) => f.id)).toEqual(['f2']);
    expect(reach.waiting).toContainEqual({ id: 'f1', why: 'inJaws' });
    const nearer = heldIn(shaft, { ...setupBy('chuckAndSteady'), restMm: 100 }, lathe, 5);
    expect(reachFromTail(shaft, nearer.held!, 5).waiting).toContainEqual({ id: 'f2', why: 'behindRest' });
  });
  it('is refused on a step, in the jaws and beyond the end, and told where none is owned', () => {
    const turned = { ...shaft, contour: cutAway(shaft.contour, ring(300, 460, 15, 60)) };
    const at = (restMm: number, on = turned, by = lathe) =>
      codes(heldIn(on, { ...setupBy('chuckAndSteady'), restMm }, by, 5).problems);
    expect(at(150)).toEqual(['hold.restOnStep']);
    expect(at(130)).toEqual([]);
    expect(at(445)).toEqual(['hold.restBeyond']);
    expect(at(4)).toEqual(['hold.restBeyond']);
    expect(at(130, turned, { ...lathe, holding: { ...lathe.holding, rests: [] } })).toEqual(['hold.noRest']);
  });
});

describe('fingers of a steady', () => {
  const long = partOf([24, 300], [20, 150]);
  const at = (piece: ReturnType<typeof pieceOf>, restMm: number) =>
    codes(heldIn(piece, { ...setupBy('chuckAndSteady'), restMm }, lathe, 5).problems);
  it('do not run on the corners of a bar, but on what was turned below them', () => {
    const hexagon = { ...pieceOf(long, 27.71), section: { flats: 6, acrossMm: 24 } as const };
    expect(at(hexagon, 130)).toEqual(['hold.restOnCorners']);
    expect(at({ ...hexagon, contour: cutAway(hexagon.contour, ring(300, 460, 10, 20)) }, 130)).toEqual([]);
    expect(at({ ...hexagon, contour: cutAway(hexagon.contour, ring(300, 460, 12, 20)) }, 130)).toEqual([]);
    // its end is not faced in one either
    const ends = { ...setupBy('chuck'), extent: 'ends' as const };
    const thick = { ...lathe, spindle: { ...lathe.spindle, boreMm: 20 } };
    expect(codes(heldIn(hexagon, ends, thick, 5).problems)).toEqual(['hold.endStandsFree']);
    expect(codes(heldIn({ ...hexagon, section: undefined }, ends, thick, 5).problems)).toEqual([]);
  });
  it('are told of a skin until a track is turned, and that the end runs in them', () => {
    const black = { ...pieceOf(long, 28), skinMm: 0.8 };
    expect(at(black, 130)).toEqual(['hold.restOnSkin']);
    expect(at({ ...pieceOf(long, 28, { done: ['f2'] }), skinMm: 0.8 }, 130)).toEqual([]);
    expect(at({ ...black, skinMm: 0 }, 130)).toEqual([]);
    // under both lengths, of which one is finished
    const half = { ...pieceOf(long, 28, { edges: ['f2'] }), skinMm: 0.8 };
    expect(at(half, 150)).toEqual(['hold.restOnSkin']);
    const ends = { ...setupBy('chuck'), extent: 'ends' as const };
    const thick = { ...lathe, spindle: { ...lathe.spindle, boreMm: 20 } };
    const { held, problems } = heldIn(black, ends, thick, 5);
    expect(held).toMatchObject({ rest: { kind: 'steady', zMm: 422, onMm: 28 } });
    expect(problems).toMatchObject([{ code: 'hold.restOnSkin', severity: 'warning', path: ['support'], value: 28 }]);
  });
  it('want their own width, and say how much there is', () => {
    const stub = pieceOf(partOf([30, 55]), 35);
    const by = (mmLong: number) => heldIn(stub, { ...setupBy('chuckAndSteady', { mm: mmLong }), restMm: 5 }, lathe, 5);
    expect(by(41).problems).toMatchObject([
      { code: 'hold.noRoomForRest', value: expect.closeTo(14, 1), limit: 15, unit: 'mm' },
    ]);
    expect(by(30).problems).toMatchObject([{ code: 'hold.restBeyond', value: 5, limit: 17.5 }]);
  });
});

describe('jaws opened into a hole', () => {
  const ringPart = partOf([80, 20], [70, 15]);
  const tube = { ...pieceOf(ringPart, 85), contour: ring(0, 36, 25, 42.5) };
  it('leave the whole outside free', () => {
    const { held, problems } = heldIn(tube, setupBy('insideJaws'), lathe, 5);
    expect(problems).toEqual([]);
    expect(held).toMatchObject({ method: 'insideJaws', onMm: 50, gripMm: 35, headEndMm: 0 });
    expect(reachFromTail(tube, held!, 5).reachable.map((f) => f.id)).toEqual(['f1', 'f2']);
  });
  it('are refused where nothing is hollow, where the hole is not in their range, and where that is unknown', () => {
    const at = (contour: typeof tube.contour, by = lathe) =>
      codes(heldIn({ ...tube, contour }, setupBy('insideJaws'), by, 5).problems);
    expect(at(ring(0, 36, 0, 42.5))).toEqual(['hold.noHoleForJaws']);
    expect(at(ring(0, 36, 10, 42.5))).toEqual(['hold.jawsInside']);
    expect(at(tube.contour, metricLathe)).toEqual(['hold.jawsInsideUnknown']);
    // a hole of 3 mm is too shallow to grip
    expect(at(cutAway(ring(0, 36, 0, 42.5), ring(-1, 3, 0, 25)))).toEqual(['hold.shortGrip']);
  });
});

describe('the step of the jaws', () => {
  const disc = pieceOf(partOf([120, 30]), 125);
  it('seats a disc and grips it as high as the step is', () => {
    const { held, problems } = heldIn(disc, setupBy('stepJaws'), lathe, 5);
    expect(problems).toEqual([]);
    expect(held).toMatchObject({ method: 'stepJaws', onMm: 125, gripMm: 9, jawsMm: 9, overhangMm: 22 });
  });
  it('grips no longer than the work is straight there', () => {
    const spigot = pieceOf(partOf([60, 6], [120, 30]), 125, { done: ['f1'] });
    expect(heldIn(spigot, setupBy('stepJaws'), lathe, 5).held).toMatchObject({ onMm: 60, gripMm: 6 });
    const short = pieceOf(partOf([60, 2], [120, 30]), 125, { done: ['f1'] });
    expect(codes(heldIn(short, setupBy('stepJaws'), lathe, 5).problems)).toEqual(['hold.shortGrip']);
  });
  it('is for discs, and for chucks that have one', () => {
    const bar = pieceOf(partOf([50, 260]), 55);
    expect(codes(heldIn(bar, setupBy('stepJaws'), lathe, 5).problems)).toEqual(['hold.longOnStep']);
    expect(codes(heldIn(disc, setupBy('stepJaws'), metricLathe, 5).problems)).toEqual(['hold.noStep']);
    expect(outsides(disc.part)).toHaveLength(1);
  });
});
