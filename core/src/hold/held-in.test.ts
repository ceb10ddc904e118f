import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chuckOf } from '../lathe/index.ts';
import { emptyBoreStep, endForEnd, outsides, type Part, resolveDrawing } from '../part/index.ts';
import { twoChucks } from '../testing/jobs.ts';
import { pieceOf, type Standing, setupBy } from '../testing/pieces.ts';
import { drawingOf, feature, mm } from '../testing/shop.ts';
import { gripPlaces } from './grip-places.ts';
import { heldIn } from './held-in.ts';

const jawsMm = twoChucks.holding.chucks[0]!.jawLengthMm;
// a journal left of a collar, a long bearing right of it: turned from the right, then put in again the other way round
const spindle = endForEnd(
  resolveDrawing(drawingOf([feature(1, 30, 40), feature(2, 42, 12), feature(3, 28, 60, 'h7'), feature(4, 18, 20)]))
    .part,
);
const lathe = twoChucks;
const chuck = chuckOf(lathe);
const worked: Standing = { done: ['f2', 'f3', 'f4'] };
const placesOf = (part: Part, how: Standing, stockMm: number, clearanceMm: number) =>
  gripPlaces(pieceOf(part, stockMm, how), { lathe, chuck, clearanceMm });

describe('places to grip', () => {
  it('are those in front of which nothing larger stands, the one that stands out least first', () => {
    const places = placesOf(spindle, worked, 45, 5);
    expect(places[0]).toMatchObject({ id: 'f3', diameterMm: 28, jawsMm: 80, finished: true, fit: true });
    // up to the collar, as long as the jaws are
    expect(places[0]!.gripMm).toBe(Math.min(jawsMm, 60));
    // nothing of the journal is left free when it is held itself
    expect(places.at(-1)).toMatchObject({ id: 'f1', finished: false });
    expect(places.find((p) => p.id === 'f2')!.poor).toBe('short');
    expect(places.find((p) => p.id === 'f4')).toMatchObject({ jawsMm: 20 });
  });
  it('leave the tool room before what is still to be cut, and hold raw metal at its very end', () => {
    const half = resolveDrawing(drawingOf([feature(1, 20, 50), feature(2, 16, 40)])).part;
    const [first] = placesOf(half, { done: ['f1'] }, 25, 6);
    expect(first).toMatchObject({ id: 'f1', jawsMm: 44 });
    const raw = placesOf(half, { headMm: 2 }, 25, 6)[0]!;
    expect(raw).toMatchObject({ id: 'f1', finished: false, diameterMm: 25 });
    expect(raw.jawsMm - raw.gripMm).toBe(-2);
  });
  it('never have jaws beyond the length they hold, nor anything larger behind them', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 8, max: 60 }), fc.integer({ min: 6, max: 70 }), fc.boolean()), {
          minLength: 1,
          maxLength: 7,
        }),
        (lengths) => {
          const { part } = resolveDrawing(drawingOf(lengths.map(([d, l], i) => feature(i + 1, d, l))));
          const doneIds = outsides(part)
            .filter((_, i) => lengths[i]![2])
            .map((f) => f.id);
          for (const place of placesOf(part, { done: doneIds }, 64, 5)) {
            const at = outsides(part).findIndex((f) => f.id === place.id);
            const f = outsides(part)[at]!;
            // raw metal goes on over the lengths that are to be made of it
            const end = outsides(part).find((o, i) => i > at && doneIds.includes(o.id))?.zFromMm ?? part.lengthMm;
            expect(place.jawsMm).toBeLessThanOrEqual((place.finished ? f.zToMm : end) + 1e-9);
            expect(place.gripMm).toBeLessThanOrEqual(jawsMm);
            for (const before of outsides(part).slice(0, at))
              expect(doneIds.includes(before.id) ? before.diameterMm : 64).toBeLessThanOrEqual(place.diameterMm + 1e-9);
          }
        },
      ),
      { numRuns: 80 },
    );
  });
});

const ring = resolveDrawing({
  ...drawingOf([feature(1, 60, 20)]),
  bores: {
    left: [{ ...emptyBoreStep('h1', 'mm', 'bored'), limits: 'H7', diameter: mm(30), length: mm('') }],
    right: [],
  },
}).part;

describe('a piece that is put in again', () => {
  type Way = Parameters<typeof setupBy>;
  const held = (way: Way, part = spindle, how: Standing = worked, on = twoChucks) =>
    heldIn(pieceOf(part, 45, how), setupBy(...way), on, 5);
  const codes = (result: ReturnType<typeof held>) => result.problems.map((p) => [p.code, p.path.join('.')]);
  it('takes the best place, or the one that was chosen', () => {
    expect(held(['auto']).held).toMatchObject({ method: 'chuck', onId: 'f3', onMm: 28, jawsMm: 80, rawEndMm: 133 });
    expect(held(['auto', { on: 'f4' }]).held).toMatchObject({ method: 'chuckAndCentre', onId: 'f4', overhangMm: 113 });
    expect(held(['auto', { mm: 8 }]).held!.gripMm).toBe(8);
    expect(codes(held(['auto', { mm: 8 }]))).toEqual([['hold.shortGrip', 'grip.mm']]);
    expect(codes(held(['auto', { on: 'f99' }]))).toEqual([['hold.cannotGripThere', 'grip.on']]);
  });
  it('wants centre holes, a dog and room between the centres', () => {
    expect(codes(held(['betweenCentres']))).toContainEqual(['hold.noCentreHoles', 'grip.kind']);
    const centred = { ...worked, centres: true };
    const owned = {
      ...twoChucks,
      holding: { ...twoChucks.holding, drivers: [{ name: 'dog', fromMm: 10, toMm: 30 }] },
    };
    const between = held(['betweenCentres'], spindle, centred, owned);
    expect(codes(between)).toEqual([]);
    // carried from end to end; the dog sits at the far end
    expect(between.held).toMatchObject({ method: 'betweenCentres', supportMm: 0, onId: 'f4', onMm: 18 });
    expect(between.held!.jawsMm).toBeLessThanOrEqual(12);
    expect(codes(held(['betweenCentres'], ring, centred, owned))).toContainEqual(['hold.hollowNoCentres', 'grip.kind']);
    const short = { ...owned, sizes: { ...owned.sizes, betweenCentresMm: 120 } };
    expect(codes(held(['betweenCentres'], spindle, centred, short))).toEqual([['hold.longerThanLathe', 'grip.kind']]);
    const noDog = { ...owned, holding: { ...owned.holding, drivers: [] } };
    expect(codes(held(['betweenCentres'], spindle, centred, noDog))).toEqual([['hold.noDog', 'grip.dogOn']]);
  });
  it('is held by its hole on mandrels and arbors, with the whole outside free', () => {
    const bored: Standing = { edges: ['h1'] };
    const stub = held(['stubArbor'], ring, bored);
    expect(codes(stub)).toEqual([]);
    expect(stub.held).toMatchObject({ method: 'stubArbor', onMm: 30, maxRpm: 1500 });
    expect(stub.held!.jawsMm).toBeLessThan(0);
    expect(codes(held(['stubArbor'], ring, {}))).toEqual([['hold.notBoredYet', 'grip.kind']]);
    expect(codes(held(['mandrel'], ring, bored))).toEqual([['hold.noArbor', 'grip.kind']]);
    const arbors = [{ name: 'no. 6', kind: 'mandrel' as const, fromMm: 29.9, toMm: 30.2 }];
    const owned = { ...twoChucks, holding: { ...twoChucks.holding, arbors } };
    expect(codes(held(['mandrel'], ring, bored, owned))).toEqual([]);
    // it is as thick as the hole is drawn: a hole that is still to be brought to size does not take it
    expect(codes(held(['mandrel'], ring, { done: ['f1'] }, owned))).toEqual([['hold.notBoredYet', 'grip.kind']]);
    expect(codes(held(['mandrel']))).toEqual([['hold.noThroughHole', 'grip.kind']]);
    expect(held(['mandrel']).held).toBeUndefined();
  });
  it('is not hung on one end of something it is too long for', () => {
    expect(codes(held(['adhesiveArbor']))).toEqual([['hold.longForArbor', 'grip.kind']]);
    expect(codes(held(['adhesiveArbor'], ring, {}))).toEqual([]);
    expect(codes(held(['faceplate']))).toContainEqual(['hold.longForArbor', 'grip.kind']);
    const none = { ...twoChucks, holding: { ...twoChucks.holding, faceplate: null } };
    expect(codes(held(['faceplate'], ring, {}, none))).toEqual([['hold.noFaceplate', 'grip.kind']]);
  });
});
