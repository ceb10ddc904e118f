import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { feedsOf, fixedSpeeds } from '../lathe/index.ts';
import { metricLathe } from '../testing/shop.ts';
import { adviseTrouble, changeOnLathe } from './advise.ts';
import { causes } from './causes.ts';
import { type Conditions, SYMPTOMS } from './conditions.ts';

const turning: Conditions = { operation: 'turning' };

describe('trouble', () => {
  it('has at least two causes for every symptom, and a change for every cause', () => {
    for (const symptom of SYMPTOMS)
      expect([symptom, adviseTrouble(symptom, turning).length >= 1]).toEqual([symptom, true]);
    for (const cause of causes) expect(cause.changes.length).toBeGreaterThan(0);
    expect(new Set(causes.map((c) => c.id)).size).toBe(causes.length);
  });
  it.each<[string, (typeof SYMPTOMS)[number], Partial<Conditions>, string, string | undefined]>([
    [
      'long work in the chuck',
      'chatter',
      { overhangDiameters: 7, tailCentre: false },
      'workOverhang',
      'overhangDiameters',
    ],
    [
      'the same on a tail centre is not the overhang',
      'chatter',
      { overhangDiameters: 7, tailCentre: true, speedMPerMin: 60, rightMPerMin: 30 },
      'tooFast',
      'speedMPerMin',
    ],
    [
      'a chip thinner than the edge bears',
      'squeal',
      { chipThicknessMm: 0.005, thinnestChipMm: 0.01 },
      'feedTooFine',
      'chipThicknessMm',
    ],
    ['slow steel', 'tornFinish', { speedMPerMin: 12, builtUpBelowMPerMin: 25 }, 'tooSlow', 'speedMPerMin'],
    [
      'an old edge',
      'tornFinish',
      { edgeUsedMin: 70, edgeLifeMin: 60, speedMPerMin: 30, builtUpBelowMPerMin: 20 },
      'blunt',
      'edgeUsedMin',
    ],
    ['a bar far out', 'bellMouth', { operation: 'boring', toolOverhangRatio: 5.5 }, 'barSprings', 'toolOverhangRatio'],
    ['a motor at its end', 'stalls', { powerShare: 1.1, gripShare: 0.3 }, 'tooMuchMetal', 'powerShare'],
    ['work pushed in the jaws', 'workPushed', { gripShare: 0.95, tailCentre: true }, 'poorGrip', 'gripShare'],
    [
      'a coarse feed on a small nose',
      'feedMarks',
      { feedMmPerRev: 0.4, noseRadiusMm: 0.4 },
      'feedTooCoarse',
      'feedMmPerRev',
    ],
  ])('names first, for %s, the cause and the condition that raised it', (_what, symptom, more, id, condition) => {
    const [first] = adviseTrouble(symptom, { ...turning, ...more });
    expect([first?.id, first?.evidence?.condition]).toEqual([id, condition]);
  });
  it('never raises a cause by a condition that is right', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SYMPTOMS),
        fc.record({
          overhangDiameters: fc.double({ min: 0.5, max: 14, noNaN: true }),
          gripShare: fc.double({ min: 0, max: 1.5, noNaN: true }),
          powerShare: fc.double({ min: 0, max: 1.5, noNaN: true }),
          speedMPerMin: fc.double({ min: 5, max: 200, noNaN: true }),
          rightMPerMin: fc.double({ min: 5, max: 200, noNaN: true }),
          feedMmPerRev: fc.double({ min: 0.02, max: 0.6, noNaN: true }),
        }),
        (symptom, known) => {
          const ranked = adviseTrouble(symptom, { ...turning, ...known });
          for (const [i, cause] of ranked.entries()) {
            if (i > 0) expect(cause.score).toBeLessThanOrEqual(ranked[i - 1]!.score);
            const { evidence } = cause;
            if (evidence) expect(evidence.value).not.toBe(evidence.limit);
          }
        },
      ),
    );
  });
  it('tells a change with the lathe’s own next setting', () => {
    const [speeds, feeds] = [fixedSpeeds(metricLathe), feedsOf(metricLathe)];
    expect(changeOnLathe('slower', speeds, feeds, 230, 0.2).speed?.rpm).toBe(155);
    expect(changeOnLathe('faster', speeds, feeds, 230, 0.2).speed?.rpm).toBe(335);
    expect(changeOnLathe('moreFeed', speeds, feeds, 230, 0.2).feed?.mmPerRev).toBe(0.4);
    expect(changeOnLathe('lessFeed', speeds, feeds, 230, 0.05)).toEqual({ change: 'lessFeed', feed: undefined });
    expect(changeOnLathe('sharpen', speeds, feeds, 230, 0.2)).toEqual({ change: 'sharpen' });
  });
});
