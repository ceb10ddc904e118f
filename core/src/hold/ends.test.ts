import { describe, expect, it } from 'vitest';
import { cutAway, ring } from '../contour/index.ts';
import type { Chuck, Lathe } from '../lathe/index.ts';
import { resolveDrawing } from '../part/index.ts';
import { pieceOf, type Standing, setupBy } from '../testing/pieces.ts';
import { drawingOf, feature, metricLathe } from '../testing/shop.ts';
import { whileEndIsMade } from './ends.ts';
import { heldIn } from './held-in.ts';
import type { SupportChoice } from './schema.ts';

const [threeJaw] = metricLathe.holding.chucks as [Chuck];
const through = (boreMm: number, rests = metricLathe.holding.rests): Lathe => ({
  ...metricLathe,
  spindle: { ...metricLathe.spindle, boreMm },
  holding: { ...metricLathe.holding, chucks: [{ ...threeJaw, jaws: [{ name: 'out', fromMm: 3, toMm: 150 }] }], rests },
});
const partOf = (...lengths: readonly (readonly [number, number])[]) =>
  resolveDrawing(drawingOf(lengths.map(([d, l], i) => feature(i + 1, d, l)))).part;
const codes = (problems: readonly { readonly code: string }[]) => problems.map((p) => p.code);
const barOf = (d: number, long: number, standing?: Standing) => pieceOf(partOf([d, long]), d, standing);
const ends = (support: SupportChoice = 'auto') => ({ ...setupBy('auto'), support, extent: 'ends' as const });

describe('a long bar drawn back through the spindle', () => {
  it.each([
    // stands out by its diameter, at least 12 mm, a thin one three diameters; gripped three quarters of it, at least 10 mm
    [30, 30, 23],
    [16, 16, 12],
    [8, 12, 10],
    [3, 9, 10],
  ])('of Ø%i stands out %f and is gripped %f long while its end is made', (d, outMm, gripMm) => {
    const { held, problems } = heldIn(barOf(d, 400), ends(), through(40), 5);
    expect(problems).toEqual([]);
    expect(held).toMatchObject({ method: 'chuck', why: 'shortOverhang', overhangMm: outMm, gripMm, onMm: d });
    expect(held).toMatchObject({ jawsMm: 401 - outMm, headEndMm: 0, wantsRest: false });
    expect(held!.overhangDiameters).toBeCloseTo(outMm / d, 9);
  });
  it('is held on the length that the middle of its jaws is on', () => {
    // 401 − 30 − 23/2 = 359.5
    const on = (...lengths: [number, number][]) =>
      heldIn(pieceOf(partOf(...lengths), 30), ends(), through(40), 5).held!.onId;
    expect(on([26, 359], [27, 1], [28, 40])).toBe('f2');
    expect(on([26, 360], [27, 1], [28, 39])).toBe('f1');
    expect(on([26, 358], [27, 1], [28, 41])).toBe('f3');
  });
  it('with flats is gripped across them', () => {
    const hexagon = { ...barOf(27.71, 400), section: { flats: 6, acrossMm: 24 } as const };
    expect(heldIn(hexagon, ends(), through(40), 5).held).toMatchObject({ method: 'chuck', onMm: 24 });
    const turned = { ...hexagon, contour: cutAway(hexagon.contour, ring(300, 402, 11, 20)) };
    expect(heldIn(turned, ends(), through(40), 5).held).toMatchObject({ onMm: 22, overhangMm: 22 });
    // a square does not sit in three jaws: it is not drawn back in them
    const square = { ...barOf(33.94, 400), section: { flats: 4, acrossMm: 24 } as const };
    expect(codes(heldIn(square, ends(), through(40), 5).problems)).toContain('hold.endStandsFree');
  });
  it('is then held as it stands for the rest, and short for its end', () => {
    const { held } = heldIn(barOf(30, 200), setupBy('auto'), through(40), 5);
    expect(held).toMatchObject({
      method: 'chuckAndCentre',
      ends: { kind: 'drawnBack', outMm: 30, gripMm: 23, onMm: 30 },
    });
    const short = whileEndIsMade(held!);
    expect(short).toMatchObject({ method: 'chuck', jawsMm: 171, overhangMm: 30, overhangDiameters: 1, gripMm: 23 });
    expect(whileEndIsMade({ ...held!, ends: undefined })).toEqual({ ...held!, ends: undefined });
  });
});

describe('a long bar that does not go through the spindle', () => {
  it.each([
    // the steady stands a diameter from the end, at least 20 mm
    [30, 370],
    [14, 380],
  ])('of Ø%i has its end in a steady at %i', (d, zMm) => {
    const { held, problems } = heldIn(barOf(d, 400), ends(), through(d - 1), 5);
    expect(problems).toEqual([]);
    expect(held).toMatchObject({ method: 'chuckAndSteady', rest: { kind: 'steady', zMm, onMm: d }, wantsRest: false });
    expect(held!.ends).toBeUndefined();
    const whole = heldIn(barOf(d, 400), setupBy('auto'), through(d - 1), 5).held!;
    expect(whole).toMatchObject({ method: 'chuckAndCentre', ends: { kind: 'steady', zMm, onMm: d } });
    expect(whileEndIsMade(whole)).toMatchObject({ method: 'chuckAndSteady', rest: { kind: 'steady', zMm, onMm: d } });
  });
  it('goes through where it just does, and where it is of one diameter as far as the jaws reach', () => {
    expect(heldIn(barOf(30, 400), ends(), through(30), 5).held!.method).toBe('chuck');
    // a neck of 2 mm where the jaws would be, and one just behind them
    const necked = (zMm: number) => {
      const bar = barOf(30, 400);
      return heldIn({ ...bar, contour: cutAway(bar.contour, ring(zMm, zMm + 2, 10, 20)) }, ends(), through(30), 5).held!
        .method;
    };
    expect(necked(369)).toBe('chuckAndSteady');
    expect(necked(347.5)).toBe('chuckAndSteady');
    expect(necked(345)).toBe('chuck');
  });
  it('is refused where there is no steady that takes it, or no room for its fingers', () => {
    const told = (long: number, by: Lathe) => heldIn(barOf(30, long), ends(), by, 5).problems;
    expect(told(400, through(20, []))).toMatchObject([{ code: 'hold.endStandsFree', limit: 4 }]);
    expect(told(400, through(20, [{ name: 'small', kind: 'steady', fromMm: 5, toMm: 29 }]))).toHaveLength(1);
    expect(told(400, through(20, [{ name: 'following', kind: 'following', fromMm: 5, toMm: 60 }]))).toHaveLength(1);
    expect(told(400, through(20))).toEqual([]);
    // a step within the fingers' 15 mm, and one just beside them
    const stepped = (zMm: number) => {
      const bar = barOf(30, 400);
      return codes(
        heldIn({ ...bar, contour: cutAway(bar.contour, ring(zMm, 402, 14, 20)) }, ends(), through(20), 5).problems,
      );
    };
    // turned to Ø28 from there on: the steady stands 28 mm from the end, at 372, from 364.5 to 379.5
    expect(stepped(366)).toEqual(['hold.endStandsFree']);
    expect(stepped(379)).toEqual(['hold.endStandsFree']);
    expect(stepped(364)).toEqual([]);
    expect(stepped(380)).toEqual([]);
  });
});

describe('work on an end', () => {
  const asked = (standing: Standing, support: SupportChoice, extent?: 'ends') => {
    const { held, problems } = heldIn(
      barOf(20, 200, standing),
      { ...setupBy('auto'), support, ...(extent && { extent }) },
      through(30),
      5,
    );
    return [held?.ends?.kind ?? held?.method, ...codes(problems)];
  };
  it('is what a raw end, or one without the centre hole that is wanted, asks for', () => {
    expect(asked({}, 'centre')).toEqual(['drawnBack']);
    expect(asked({ tailMm: 0 }, 'centre')).toEqual(['drawnBack']);
    expect(asked({ tailMm: 0, centres: true }, 'centre')).toEqual(['chuckAndCentre']);
    expect(asked({ tailMm: 1, centres: true }, 'centre')).toEqual(['drawnBack']);
    expect(asked({ tailMm: 0 }, 'auto', 'ends')).toEqual(['drawnBack']);
    // faced and centred already there is nothing to do on it
    expect(asked({ tailMm: 0, centres: true }, 'auto', 'ends')).toEqual(['chuck']);
  });
  it('of a tube wants no centre hole', () => {
    const tube = barOf(20, 200, { tailMm: 0 });
    const hollow = { ...tube, contour: cutAway(tube.contour, ring(-1, 202, 0, 6)) };
    const nose = {
      ...through(30),
      holding: { ...through(30).holding, centres: [{ name: 'nose', kind: 'bullNose' as const }] },
    };
    const { held } = heldIn(hollow, { ...setupBy('auto'), support: 'centre' }, nose as never, 5);
    expect(held).toMatchObject({ method: 'chuckAndCentre' });
    expect(held!.ends).toBeUndefined();
  });
  it('and all beyond five diameters is not done standing free', () => {
    const free = (long: number) => {
      const setup = { ...setupBy('auto', { mm: 20 }), support: 'none' as const };
      const { held, problems } = heldIn(barOf(20, long, { tailMm: 0 }), setup, through(30), 5);
      return [held!.overhangMm, ...problems.map((p) => [p.code, p.value, p.limit])];
    };
    expect(free(120)).toEqual([100]);
    expect(free(122)).toEqual([102, ['hold.standsTooFar', 5.1, 5]]);
    const ring5 = { ...setupBy('auto', { mm: 20 }), support: 'none' as const };
    expect(heldIn(barOf(20, 110), ring5, through(30), 5).held!.ends).toMatchObject({ kind: 'drawnBack' });
    // four of them stand freely
    expect(heldIn(barOf(20, 99), ring5, through(30), 5).held!.ends).toBeUndefined();
    expect(heldIn(barOf(20, 100), ring5, through(30), 5).held!.ends).toBeDefined();
  });
});
