import { describe, expect, it } from 'vitest';
import type { Chuck, Lathe } from '../lathe/index.ts';
import { type Feature, resolveDrawing } from '../part/index.ts';
import { pieceOf, type Standing, setupBy } from '../testing/pieces.ts';
import { drawingOf, feature, metricLathe } from '../testing/shop.ts';
import { heldInside, onTailCentre } from './held.ts';
import { heldIn } from './held-in.ts';
import { helpedByHolding, reachFromTail, WAITS, waitingWhat } from './reach.ts';
import { freeFromMm } from './rest.ts';
import { HOLD_METHODS } from './schema.ts';

const [threeJaw] = metricLathe.holding.chucks as [Chuck];
const lathe: Lathe = {
  ...metricLathe,
  holding: {
    ...metricLathe.holding,
    chucks: [{ ...threeJaw, jawLengthMm: 45, jaws: [{ name: 'outside', fromMm: 3, toMm: 150 }] }],
    rests: [
      { name: 'steady', kind: 'steady', fromMm: 10, toMm: 60 },
      { name: 'following', kind: 'following', fromMm: 20, toMm: 40 },
    ],
    drivers: [{ name: 'dog', fromMm: 10, toMm: 40 }],
  } as Lathe['holding'],
};
const partOf = (...features: readonly Feature[]) => resolveDrawing(drawingOf(features)).part;
const codes = (problems: readonly { readonly code: string }[]) => problems.map((p) => p.code);

describe('ways of holding', () => {
  it('have the tailstock at the end, or a hole to sit in', () => {
    expect(HOLD_METHODS.filter(onTailCentre).toSorted()).toEqual([
      ...['betweenCentres', 'chuckAndCentre', 'followingRest', 'mandrel'],
    ]);
    expect(HOLD_METHODS.filter(heldInside).toSorted()).toEqual(['expandingMandrel', 'mandrel', 'stubArbor']);
  });
});

describe('what waits', () => {
  it('is helped by another holding unless it is left to the turner or to the bar', () => {
    expect(WAITS.filter((why) => !helpedByHolding({ id: 'f1', why }))).toEqual(
      WAITS.filter((why) => ['shape', 'tooFine', 'asBar', 'noTool', 'noLead', 'noRunOut', 'noClass'].includes(why)),
    );
    expect(WAITS.filter((why) => helpedByHolding({ id: 'f1', why })).length).toBeGreaterThan(3);
  });
  it('is a length, a face, an edge or what is cut in, by its name', () => {
    const lengths = new Set(['f1', 'f2']);
    expect(['f1', 'f1.left', 'f2.right.edge', 'd3', 'part.left'].map((id) => waitingWhat(id, lengths))).toEqual([
      ...['length', 'face', 'edge', 'cutIn', 'face'],
    ]);
  });
  it('of flats is as the bar where that has the same, else left to the mill', () => {
    const bolt = partOf({ ...feature(1, 24, 15), kind: 'hexagon' }, feature(2, 16, 60));
    const why = (section?: { flats: 4 | 6; acrossMm: number }) => {
      const piece = { ...pieceOf(bolt, 27.71, { headMm: 40 }), ...(section && { section }) };
      const { held } = heldIn(piece, setupBy('auto', { mm: 20 }), lathe, 5);
      return reachFromTail(piece, held!, 5).waiting.find((w) => w.id === 'f1')!.why;
    };
    expect(why({ flats: 6, acrossMm: 24 })).toBe('asBar');
    expect(why({ flats: 6, acrossMm: 24.5 })).toBe('shape');
    expect(why({ flats: 6, acrossMm: 23 })).toBe('shape');
    expect(why({ flats: 4, acrossMm: 24 })).toBe('shape');
    expect(why()).toBe('shape');
  });
  it('behind a steady begins half its width beyond it, and a millimetre of air', () => {
    const piece = pieceOf(partOf(feature(1, 40, 100), feature(2, 30, 200)), 45);
    const at = (restMm: number, clearanceMm = 5) => {
      const { held } = heldIn(piece, { ...setupBy('chuckAndSteady'), restMm }, lathe, clearanceMm);
      const reach = reachFromTail(piece, held!, clearanceMm);
      return [freeFromMm(held!), reach.waiting.find((w) => w.id === 'f2')?.why];
    };
    // f2 begins at 100: the fingers' far edge lies at 300 − rest + 7.5
    expect(at(208.5)).toEqual([99, undefined]);
    expect(at(208.4)).toEqual([expect.closeTo(99.1, 9), 'behindRest']);
    expect(at(208, 0.4)).toEqual([99.5, undefined]);
    const chucked = heldIn(piece, setupBy('chuck'), lathe, 5).held!;
    expect(freeFromMm(chucked)).toBe(chucked.jawsMm);
  });
});

describe('where a steady stands', () => {
  const shaft = (long: number, d = 30) => pieceOf(partOf(feature(1, d, long)), d);
  const placed = (long: number, extent?: 'ends') =>
    heldIn(shaft(long), { ...setupBy('chuckAndSteady'), ...(extent && { extent }) }, lathe, 5).held?.rest;
  it('is four diameters before the end where nothing is chosen, a diameter where only the end is made', () => {
    expect(placed(400)).toMatchObject({ zMm: 280 });
    expect(placed(400, 'ends')).toMatchObject({ zMm: 370 });
    // no nearer to the jaws than its own width: they are 23 mm on
    expect(placed(100)).toMatchObject({ zMm: 38 });
  });
  it('is just beside the jaws, or just at the end', () => {
    const at = (restMm: number, mmLong = 30) =>
      codes(heldIn(shaft(200), { ...setupBy('chuckAndSteady', { mm: mmLong }), restMm }, lathe, 5).problems);
    expect([at(7.5), at(7.4), at(162.5), at(162.6)]).toEqual([[], ['hold.restBeyond'], [], ['hold.restBeyond']]);
  });
  it('takes so much, and a following rest another', () => {
    const owned = (d: number, method: 'chuckAndSteady' | 'followingRest') =>
      codes(
        heldIn(shaft(300, d), setupBy(method), { ...lathe, spindle: { ...lathe.spindle, boreMm: 80 } }, 5).problems,
      );
    expect([9, 10, 60, 61].map((d) => owned(d, 'chuckAndSteady').includes('hold.noRest'))).toEqual([
      true,
      false,
      false,
      true,
    ]);
    expect([19, 20, 40, 41].map((d) => owned(d, 'followingRest').includes('hold.noRest'))).toEqual([
      true,
      false,
      false,
      true,
    ]);
  });
});

describe('between centres', () => {
  const centred: Standing = { tailMm: 0, centres: true };
  const held = (d: number, long: number, how: Standing = centred, dogOn?: string) =>
    heldIn(
      pieceOf(partOf(feature(1, d, long)), d, how),
      setupBy('betweenCentres', dogOn ? { on: dogOn } : {}),
      lathe,
      5,
    );
  it('drives by its dog, and turns so fast at the most', () => {
    expect(held(30, 200).held).toMatchObject({ forceN: 20_000, maxRpm: 1200, gripMm: 12, jawsMm: 12, overhangMm: 188 });
    expect(held(30, 200).held!.overhangDiameters).toBeCloseTo(188 / 30, 9);
    expect(held(30, 372).held!.wantsRest).toBe(false);
    expect(held(30, 373).held!.wantsRest).toBe(true);
  });
  it('wants both holes, a dog of the size, and room on the bed', () => {
    expect(codes(held(30, 200, { tailMm: 0 }).problems)).toEqual(['hold.noCentreHoles']);
    const one = pieceOf(partOf(feature(1, 30, 200)), 30, { tailMm: 0, edges: ['part.left.centre'] });
    expect(codes(heldIn(one, setupBy('betweenCentres'), lathe, 5).problems)).toEqual(['hold.noCentreHoles']);
    expect([9, 10, 40, 41].map((d) => codes(held(d, 100).problems))).toEqual([['hold.noDog'], [], [], ['hold.noDog']]);
    expect(codes(held(30, 1000).problems)).toEqual([]);
    expect(held(30, 1001, { ...centred, headMm: 1 }).problems).toMatchObject([
      { code: 'hold.longerThanLathe', value: 1002, limit: 1000 },
    ]);
    expect(codes(held(30, 200, centred, 'f9').problems)).toEqual(['hold.cannotGripThere']);
    // a third of 9 stays free beside it
    expect(codes(held(30, 8.9).problems)).toEqual(['hold.shortGrip']);
    expect(codes(held(30, 9).problems)).toEqual([]);
  });
});

describe('a tail centre', () => {
  const bar = (d: number, long: number, how: Standing = {}) => pieceOf(partOf(feature(1, d, long)), d, how);
  const by = (piece: ReturnType<typeof bar>, support: 'auto' | 'centre' = 'auto') => {
    const { held, problems } = heldIn(piece, { ...setupBy('auto', { mm: 20 }), support }, lathe, 5);
    return [held!.method, held!.why, ...codes(problems)];
  };
  it('carries what stands out beyond four diameters', () => {
    expect(by(bar(20, 100, { tailMm: 0 }))).toEqual(['chuck', 'shortOverhang']);
    expect(by(bar(20, 101, { tailMm: 0 }))).toEqual(['chuckAndCentre', 'longOverhang']);
    expect(by(bar(20, 50, { tailMm: 0 }), 'centre')).toEqual(['chuckAndCentre', 'chosen']);
  });
  it('wants an end that takes its hole, and a hole that was drilled stays one', () => {
    // the smallest has a mouth of 1.06, six tenths of Ø1.77
    const needle = (d: number, centres: boolean) => {
      const collet = {
        ...lathe,
        holding: { ...lathe.holding, chucks: [{ ...threeJaw, jaws: [{ name: 'c', fromMm: 1, toMm: 3 }] }] },
      };
      const piece = pieceOf(partOf(feature(1, d, 12)), d, { tailMm: 0, centres });
      return codes(heldIn(piece, { ...setupBy('auto', { mm: 2 }), support: 'centre' }, collet, 5).problems);
    };
    expect(needle(1.76, false)).toContain('hold.thinForCentre');
    expect(needle(1.78, false)).not.toContain('hold.thinForCentre');
    expect(needle(1.76, true)).not.toContain('hold.thinForCentre');
  });
  it('stands in no end of which the drawing says that none may stay', () => {
    const drawing = drawingOf([feature(1, 20, 101)]);
    const right = { ...drawing.ends.right, centre: 'none' };
    const { part } = resolveDrawing({ ...drawing, ends: { ...drawing.ends, right } });
    expect(by(pieceOf(part, 20, { tailMm: 0 }), 'centre')).toContain('hold.noCentreMayStay');
    expect(by(pieceOf(part, 20, { tailMm: 0, centres: true }), 'centre')).toEqual(['chuckAndCentre', 'chosen']);
    // left to itself the work then stands as it is, and says why
    expect(by(pieceOf(part, 20, { tailMm: 0 }))).toEqual(['chuck', 'thinEnd']);
  });
});
