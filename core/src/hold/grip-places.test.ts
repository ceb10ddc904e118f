import { describe, expect, it } from 'vitest';
import { cutAway, ring } from '../contour/index.ts';
import type { Chuck, Lathe } from '../lathe/index.ts';
import { emptyDetail, type Feature, resolveDrawing } from '../part/index.ts';
import { pieceOf, type Standing } from '../testing/pieces.ts';
import { drawingOf, feature, metricLathe, mm } from '../testing/shop.ts';
import { type GripWith, gripPlaces, placeOn } from './grip-places.ts';
import { gripFloorMm, leastGripMm, wantedGripMm } from './held.ts';
import { jawsRefuse } from './jaws-take.ts';

const [threeJaw] = metricLathe.holding.chucks as [Chuck];
const chuck: Chuck = { ...threeJaw, jawLengthMm: 45, jaws: [{ name: 'outside', fromMm: 3, toMm: 150 }] };
const lathe: Lathe = { ...metricLathe, spindle: { ...metricLathe.spindle, boreMm: 38 } };
const partOf = (...features: readonly Feature[]) => resolveDrawing(drawingOf(features)).part;
const places = (part: ReturnType<typeof partOf>, stockMm: number, how: Standing, more: Partial<GripWith> = {}) =>
  gripPlaces(pieceOf(part, stockMm, { tailMm: 0, ...how }), { lathe, chuck, clearanceMm: 10, ...more });

describe('how far jaws go on what is finished', () => {
  // a length beside one that is still to be cut
  const jaws = (long: number, how: Standing = { done: ['f1'] }, clearanceMm = 10) =>
    places(partOf(feature(1, 30, long), feature(2, 24, 80)), 35, how, { clearanceMm }).find((p) => p.id === 'f1')!;
  it('is a third short of its end, the clearance at the most and 1.5 mm at the least', () => {
    expect([jaws(60).jawsMm, jaws(30).jawsMm, jaws(12).jawsMm, jaws(3).jawsMm]).toEqual([50, 20, 8, 1.5]);
    expect(jaws(60, undefined, 4).jawsMm).toBe(56);
    // as long as they are, and no longer than there is
    expect([jaws(60).gripMm, jaws(30).gripMm, jaws(12).gripMm]).toEqual([45, 20, 8]);
    expect(jaws(60).outMm).toBe(90);
  });
  it('is up to its end where nothing is left to be cut beside it', () => {
    expect(jaws(30, { done: ['f1', 'f2'] })).toMatchObject({ jawsMm: 30, gripMm: 30 });
    const edged = partOf({ ...feature(1, 30, 30), edges: { left: '', right: '1x45' } }, feature(2, 24, 80));
    const first = (how: Standing) => places(edged, 35, how).find((p) => p.id === 'f1')!;
    // its own edge is still to be broken
    expect(first({ done: ['f1', 'f2'] }).jawsMm).toBe(20);
    expect(first({ done: ['f1', 'f2'], edges: ['f1.right.edge'] }).jawsMm).toBe(30);
  });
});

describe('what speaks against a place', () => {
  const poor = (part: ReturnType<typeof partOf>, stockMm: number, how: Standing, more: Partial<GripWith> = {}) =>
    places(part, stockMm, how, more).map((p) => [p.id, p.poor]);
  it('is that what is behind it is longer than the jaws and does not go into the spindle', () => {
    const behind = (d: number, long: number) =>
      poor(partOf(feature(1, d, long), feature(2, 40, 100)), 70, { done: ['f1', 'f2'] }).find(
        ([id]) => id === 'f2',
      )![1];
    // the jaws are on the last 45 mm of f2: from 55 mm in it on
    expect(behind(38, 60)).toBe('spindle');
    expect(behind(20, 60)).toBe('spindle');
    const thin = (d: number) =>
      poor(partOf(feature(1, d, 60), feature(2, d + 2, 44)), 70, { done: ['f1', 'f2'] }).find(
        ([id]) => id === 'f2',
      )![1];
    expect(thin(38)).toBeUndefined();
    expect(thin(39)).toBe('spindle');
    // no longer than the jaws, whatever it is
    const short = (long: number) =>
      poor(partOf(feature(1, 60, long), feature(2, 62, 44)), 70, { done: ['f1', 'f2'] }).find(
        ([id]) => id === 'f2',
      )![1];
    expect(short(45)).toBeUndefined();
    expect(short(46)).toBe('spindle');
  });
  it('is that it is too short, too large for the jaws, or threaded', () => {
    // Ø30 standing out more than its diameter wants 15 mm
    const first = (long: number) =>
      poor(partOf(feature(1, 30, long), feature(2, 24, 80)), 35, { done: ['f1', 'f2'] })[0];
    expect(
      places(partOf(feature(1, 30, 15), feature(2, 24, 80)), 35, { done: ['f1', 'f2'] }).find((p) => p.id === 'f1')!
        .poor,
    ).toBeUndefined();
    expect(
      places(partOf(feature(1, 30, 14), feature(2, 24, 80)), 35, { done: ['f1', 'f2'] }).find((p) => p.id === 'f1')!
        .poor,
    ).toBe('short');
    expect(first(40)).toEqual(['f1', undefined]);
    const disc = partOf(feature(1, 151, 40), feature(2, 24, 80));
    expect(poor(disc, 155, { done: ['f1', 'f2'] }).find(([id]) => id === 'f1')![1]).toBe('jaws');
    // a dog has no jaws
    expect(poor(disc, 155, { done: ['f1', 'f2'] }, { dog: true }).find(([id]) => id === 'f1')![1]).toBeUndefined();
    const threaded = partOf(
      { ...feature(1, 30, 40), details: [{ ...emptyDetail('d1', 'thread', 'mm'), designation: 'M30x2' } as never] },
      feature(2, 24, 80),
    );
    expect(poor(threaded, 35, { done: ['f1', 'f2'] }).find(([id]) => id === 'f1')![1]).toBe('detail');
  });
  it('puts a good place before a poor one, and what nothing waits behind before the rest', () => {
    // f1 is too short to be held well: the raw f2 beyond it is none that jaws reach, f1 waits behind f2
    const both = places(partOf(feature(1, 30, 40), feature(2, 40, 60)), 45, { done: ['f1', 'f2'] });
    expect(both.map((p) => p.id)).toEqual(['f2', 'f1']);
    const waits = places(partOf(feature(1, 30, 40), feature(2, 40, 60)), 45, { done: ['f2'] });
    expect(waits.map((p) => p.id)).toEqual(['f1']);
    // a fit is spared where another place does as well
    const fits = places(partOf(feature(1, 30, 60, 'h7'), feature(2, 30.2, 60)), 45, { done: ['f1', 'f2'] });
    expect(fits.find((p) => p.id === 'f1')!.fit).toBe(true);
    expect(fits.find((p) => p.id === 'f2')!.fit).toBe(false);
    const raw = places(partOf(feature(1, 30, 60, 'h7')), 45, {});
    expect(raw[0]).toMatchObject({ finished: false, fit: false });
  });
  it('names what holds a surface: itself, or the raw metal that it will be made of', () => {
    const part = partOf(feature(1, 20, 50), feature(2, 18, 20), feature(3, 16, 40));
    const piece = pieceOf(part, 25, { tailMm: 0 });
    const found = gripPlaces(piece, { lathe, chuck, clearanceMm: 10 });
    expect(found).toHaveLength(1);
    expect(placeOn(piece, found, 'f3')).toBe(found[0]);
    expect(placeOn(piece, found, 'f9')).toBeUndefined();
  });
});

describe('raw metal', () => {
  it('is gripped three quarters of its diameter where it goes on to the tail, else as long as the jaws are', () => {
    const [whole] = places(partOf(feature(1, 20, 50), feature(2, 18, 60)), 24, {});
    expect(whole).toMatchObject({ id: 'f1', gripMm: 18, jawsMm: 18, outMm: 92 });
    const before = places(partOf(feature(1, 20, 80), feature(2, 18, 60)), 24, { done: ['f2'] }).find(
      (p) => p.id === 'f1',
    )!;
    expect(before.gripMm).toBe(45);
    // no farther than it goes
    const short = places(partOf(feature(1, 20, 30), feature(2, 18, 60)), 24, { done: ['f2'] }).find(
      (p) => p.id === 'f1',
    )!;
    expect(short).toMatchObject({ gripMm: 30, jawsMm: 30 });
  });
  it('of a spigot is gripped up to where it ends', () => {
    const drawing = drawingOf([feature(1, 20, 50)]);
    const left = { ...drawing.ends.left, spigot: { diameter: mm(16), length: mm(14) } };
    const { part } = resolveDrawing({ ...drawing, ends: { ...drawing.ends, left } });
    const piece = pieceOf(part, 24, { tailMm: 0, headMm: 14 });
    const spigot = { ...piece, contour: cutAway(piece.contour, ring(-15, 0, 8, 20)) };
    const [place] = gripPlaces(spigot, { lathe, chuck, clearanceMm: 10 });
    expect(place).toMatchObject({ gripMm: 14, jawsMm: 0 });
  });
  it('takes a dog of 12 mm at its end', () => {
    const [place] = places(partOf(feature(1, 20, 80)), 24, {}, { dog: true });
    expect(place).toMatchObject({ gripMm: 12, jawsMm: 12 });
    expect(
      places(partOf(feature(1, 20, 8), feature(2, 18, 60)), 24, { done: ['f1', 'f2'] }, { dog: true })[0],
    ).toMatchObject({
      id: 'f1',
      gripMm: 8,
      jawsMm: 8,
    });
    const poor = (long: number) =>
      places(partOf(feature(1, 20, long), feature(2, 18, 60)), 24, { done: ['f1', 'f2'] }, { dog: true }).find(
        (p) => p.id === 'f1',
      )!.poor;
    expect([poor(6), poor(5.9)]).toEqual([undefined, 'short']);
  });
});

describe('how long a grip must be', () => {
  it('is 3 mm at the least, of a thin shaft a third of its diameter, never less than 1 mm', () => {
    expect([20, 9, 8.4, 6, 3, 2].map(gripFloorMm)).toEqual([3, 3, expect.closeTo(2.8, 9), 2, 1, 1]);
  });
  it('is usually half the diameter and 10 mm, at most one diameter; of a disc there is no rule', () => {
    expect([wantedGripMm(40, 100), wantedGripMm(15, 60), wantedGripMm(6, 30), wantedGripMm(40, 40)]).toEqual([
      20, 10, 6, 20,
    ]);
    expect([wantedGripMm(40, 39.9), wantedGripMm(6, 5)]).toEqual([3, 2]);
  });
});

describe('a grip on a blank that came out short', () => {
  it('may become half the diameter and 10 mm, but of a disc is as it was planned', () => {
    expect([leastGripMm(30, 40), leastGripMm(18, 12), leastGripMm(14, 120), leastGripMm(0, 40)]).toEqual([
      20, 10, 14, 0,
    ]);
  });
});

describe('jaws', () => {
  const codes = (kind: Chuck['kind'], d: number, flats?: 4 | 6) =>
    jawsRefuse(
      {
        ...chuck,
        kind,
        jaws: [
          { name: 'in', fromMm: 3, toMm: 60 },
          { name: 'out', fromMm: 50, toMm: 150 },
        ],
      },
      d,
      flats && { flats, acrossMm: d },
    ).map((p) => [p.code, p.limit ?? p.value]);
  it('close and open so far', () => {
    expect([codes('threeJaw', 3), codes('threeJaw', 150), codes('threeJaw', 55)]).toEqual([[], [], []]);
    expect(codes('threeJaw', 2.9)).toEqual([['hold.jawsClose', 3]]);
    expect(codes('threeJaw', 150.1)).toEqual([['hold.jaws', 150]]);
  });
  it('take flats by their number', () => {
    for (const kind of ['threeJaw', 'fineAdjusting', 'soft'] as const) {
      expect(codes(kind, 24, 6)).toEqual([]);
      expect(codes(kind, 24, 4)).toEqual([['hold.section', 4]]);
    }
    expect([codes('fourJaw', 24, 4), codes('fourJaw', 24, 6)]).toEqual([[], [['hold.section', 6]]]);
    expect([codes('collet', 24, 6), codes('collet', 24)]).toEqual([[['hold.section', 6]], []]);
  });
});
