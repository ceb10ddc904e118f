import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chuckOf } from '../lathe/index.ts';
import { emptyBoreStep, endForEnd, outsides, resolveDrawing } from '../part/index.ts';
import { twoChucks } from '../testing/jobs.ts';
import { drawingOf, feature, mm } from '../testing/shop.ts';
import { heldAgain } from './again.ts';
import { gripPlaces } from './grip-places.ts';
import type { Setup } from './schema.ts';
import type { Worked } from './worked.ts';

const jawsMm = twoChucks.holding.chucks[0]!.jawLengthMm;
const fresh: Worked = { doneIds: [], edgeIds: [], tailMm: 1, headMm: 0, tailCentre: false, headCentre: false };
const setup: Setup = { id: '00000000-0000-4000-8000-000000000001', tail: 'left', method: 'auto', gripMm: 0 };
// a journal left of a collar, a long bearing right of it: turned from the right, then put in again the other way round
const spindle = endForEnd(
  resolveDrawing(drawingOf([feature(1, 30, 40), feature(2, 42, 12), feature(3, 28, 60, 'h7'), feature(4, 18, 20)]))
    .part,
);
const worked: Worked = { ...fresh, doneIds: ['f2', 'f3', 'f4'] };

describe('places to grip', () => {
  it('are those in front of which nothing larger stands, the one that stands out least first', () => {
    const places = gripPlaces(spindle, worked, 45, twoChucks, chuckOf(twoChucks), 5);
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
    const [first] = gripPlaces(half, { ...fresh, doneIds: ['f1'] }, 25, twoChucks, chuckOf(twoChucks), 6);
    expect(first).toMatchObject({ id: 'f1', jawsMm: 44 });
    const raw = gripPlaces(half, { ...fresh, headMm: 2 }, 25, twoChucks, chuckOf(twoChucks), 6)[0]!;
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
          for (const place of gripPlaces(part, { ...fresh, doneIds }, 64, twoChucks, chuckOf(twoChucks), 5)) {
            const at = outsides(part).findIndex((f) => f.id === place.id);
            const f = outsides(part)[at]!;
            expect(place.jawsMm).toBeLessThanOrEqual(f.zToMm + 1e-9);
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
  const held = (more: Partial<Setup>, part = spindle, how = worked, lathe = twoChucks) =>
    heldAgain(part, { ...setup, ...more }, how, 45, lathe, chuckOf(lathe), 5);
  const codes = (result: ReturnType<typeof held>) => result.problems.map((p) => [p.code, p.path.join('.')]);
  it('takes the best place, or the one that was chosen', () => {
    expect(held({}).holding).toMatchObject({ method: 'chuck', onId: 'f3', onMm: 28, jawsMm: 80, rawEndMm: 133 });
    expect(held({ onId: 'f4' }).holding).toMatchObject({ method: 'chuckAndCentre', onId: 'f4', overhangMm: 113 });
    expect(held({ gripMm: 8 }).holding!.gripMm).toBe(8);
    expect(codes(held({ gripMm: 8 }))).toEqual([['hold.shortGrip', 'gripMm']]);
    expect(codes(held({ onId: 'nowhere' }))).toEqual([['hold.cannotGripThere', 'onId']]);
  });
  it('wants centre holes, a dog and room between the centres', () => {
    expect(codes(held({ method: 'betweenCentres' }))).toContainEqual(['hold.noCentreHoles', 'method']);
    const centred = { ...worked, tailCentre: true, headCentre: true };
    const lathe = {
      ...twoChucks,
      holding: { ...twoChucks.holding, drivers: [{ name: 'dog', fromMm: 10, toMm: 30 }] },
    };
    const between = held({ method: 'betweenCentres' }, spindle, centred, lathe);
    expect(codes(between)).toEqual([]);
    // carried from end to end; the dog sits at the far end
    expect(between.holding).toMatchObject({ method: 'betweenCentres', supportMm: 0, onId: 'f4', onMm: 18 });
    expect(between.holding!.jawsMm).toBeLessThanOrEqual(12);
    expect(codes(held({ method: 'betweenCentres' }, ring, centred, lathe))).toContainEqual([
      'hold.hollowNoCentres',
      'method',
    ]);
    const short = { ...lathe, sizes: { ...lathe.sizes, betweenCentresMm: 120 } };
    expect(codes(held({ method: 'betweenCentres' }, spindle, centred, short))).toEqual([
      ['hold.longerThanLathe', 'method'],
    ]);
    const noDog = { ...lathe, holding: { ...lathe.holding, drivers: [] } };
    expect(codes(held({ method: 'betweenCentres' }, spindle, centred, noDog))).toEqual([['hold.noDog', 'onId']]);
  });
  it('is held by its hole on mandrels and arbors, with the whole outside free', () => {
    const stub = held({ method: 'stubArbor' }, ring, fresh);
    expect(codes(stub)).toEqual([]);
    expect(stub.holding).toMatchObject({ method: 'stubArbor', onMm: 30 });
    expect(stub.holding!.jawsMm).toBeLessThan(0);
    expect(codes(held({ method: 'mandrel' }, ring, fresh))).toEqual([['hold.noArbor', 'method']]);
    const arbors = [{ name: 'no. 6', kind: 'mandrel' as const, fromMm: 29.9, toMm: 30.2 }];
    const owned = { ...twoChucks, holding: { ...twoChucks.holding, arbors } };
    expect(codes(held({ method: 'mandrel' }, ring, fresh, owned))).toEqual([]);
    expect(codes(held({ method: 'mandrel' }))).toEqual([['hold.noThroughHole', 'method']]);
    expect(held({ method: 'mandrel' }).holding).toBeUndefined();
  });
  it('is not hung on one end of something it is too long for', () => {
    expect(codes(held({ method: 'adhesiveArbor' }))).toEqual([['hold.longForArbor', 'method']]);
    expect(codes(held({ method: 'adhesiveArbor' }, ring, fresh))).toEqual([]);
    expect(codes(held({ method: 'faceplate' }))).toContainEqual(['hold.longForArbor', 'method']);
    const none = { ...twoChucks, holding: { ...twoChucks.holding, faceplate: null } };
    expect(codes(held({ method: 'faceplate' }, ring, fresh, none))).toEqual([['hold.noFaceplate', 'method']]);
  });
});
