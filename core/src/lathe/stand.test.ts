import { describe, expect, it } from 'vitest';
import { metricLathe } from '../testing/shop.ts';
import { checkLathe } from './checks.ts';
import { chuckOf, chuckReachMm, reverseIsSafe } from './chucks.ts';
import { LATHE_PATTERNS, lathePattern } from './patterns.ts';
import { latheSchema } from './schema.ts';
import { feedOf } from './settings.ts';
import { type Stand, standBesidesSchema, standOn, standSchema, unknownStand } from './stand.ts';

const id = '00000000-0000-4000-8000-000000000007';

describe('how a lathe stands', () => {
  const stand: Stand = {
    ...unknownStand(metricLathe),
    controls: { lever: '4', feed: '2' },
    slides: { crossSlide: '1.28', carriage: '', compound: '' },
  };
  it('is nothing but the usual chuck while nobody said anything', () => {
    expect(unknownStand(metricLathe)).toEqual({
      ...{ schema: 1, controls: {}, chuckId: 'three-jaw', toolId: null, setOverMm: 0, compoundDeg: 0 },
      ...{ direction: 'stopped', slides: { crossSlide: '', carriage: '', compound: '' } },
      locks: { carriage: false, crossSlide: false, compound: false, quill: false, tailstock: false },
    });
    expect(standSchema.parse(stand)).toEqual(stand);
  });
  it('keeps what the lathe still has, and forgets positions, levers and chucks that are gone', () => {
    expect(standOn(metricLathe, stand)).toEqual(stand);
    const gone = { ...stand, chuckId: 'sold', controls: { lever: '99', feed: '2', belt: '1' } };
    expect(standOn(metricLathe, gone)).toEqual({ ...stand, chuckId: null, controls: { feed: '2' } });
  });
  it.each([
    ['a set-over of a metre', { setOverMm: 1000 }],
    ['a compound turned twice', { compoundDeg: 400 }],
    ['a direction of its own', { direction: 'sideways' }],
    ['a lock too few', { locks: { carriage: true } }],
    ['a number longer than a ring', { slides: { ...stand.slides, crossSlide: '1'.repeat(17) } }],
    ['a key that is none', { apron: true }],
  ])('is not %s', (_what, more) => {
    expect(standSchema.safeParse({ ...stand, ...more }).success).toBe(false);
  });
  it('can be corrected in part, and made unknown', () => {
    for (const part of [{}, { chuckId: null }, { locks: { quill: null } }, { setOverMm: null, direction: 'forward' }])
      expect(standBesidesSchema.safeParse(part).success).toBe(true);
    expect(standBesidesSchema.safeParse({ locks: { quill: 'tight' } }).success).toBe(false);
  });
});

describe('a chuck', () => {
  const withNose = (kind: 'screwed' | 'key' | 'cam', locked: boolean) => ({
    ...metricLathe,
    spindle: { ...metricLathe.spindle, nose: { kind, size: '', locked } },
  });
  it('may unscrew in reverse from a screwed nose that nothing locks', () => {
    expect(reverseIsSafe(withNose('screwed', false))).toBe(false);
    expect(reverseIsSafe(withNose('screwed', true))).toBe(true);
    expect(reverseIsSafe(withNose('cam', false))).toBe(true);
    expect(reverseIsSafe(withNose('key', false))).toBe(true);
  });
  it('reaches as far as its widest jaws', () => {
    const jaws = [
      { name: 'outside', fromMm: 3, toMm: 150 },
      { name: 'reversed', fromMm: 55, toMm: 180 },
      { name: 'soft', fromMm: 10, toMm: 60 },
    ];
    expect(chuckReachMm({ ...chuckOf(metricLathe), jaws })).toBe(180);
    // the one asked for, the one the owner calls usual, the first; a name that nothing has is passed over
    const [first] = metricLathe.holding.chucks;
    const chucks = [first!, { ...first!, id: 'four' }];
    const by = (usualChuckId: string | undefined, asked?: string) =>
      chuckOf({ holding: { ...metricLathe.holding, chucks, usualChuckId } }, asked).id;
    expect([by(undefined), by('four'), by('gone'), by('four', first!.id), by(undefined, 'four')]).toEqual([
      ...[first!.id, 'four', first!.id, first!.id, 'four'],
    ]);
  });
});

describe('a blank pattern', () => {
  it.each(LATHE_PATTERNS)('%s is a description that only lacks its speeds', (pattern) => {
    const lathe = lathePattern(pattern, id, 'by the door');
    expect(latheSchema.parse(lathe)).toEqual(lathe);
    expect(lathe).toMatchObject({ id, name: 'by the door', revision: 1, inForce: {}, taperAttachment: null });
    expect(checkLathe(lathe).map((p) => p.code)).toContain('lathe.noSpeeds');
    expect(checkLathe(lathe).filter((p) => p.code !== 'lathe.noSpeeds' && p.severity !== 'warning')).toEqual([]);
  });
  it('of belts is an inch lathe: eight to the inch, a tenth a turn in thousandths, a screwed nose', () => {
    const belts = lathePattern('belts', id, 'old');
    expect(belts.threads.leadscrewLead).toEqual({ text: '1/8', unit: 'in' });
    expect(feedOf({ kind: 'gears', at: {}, pairs: [[1, 1]] as [number, number][] }, belts)?.toFraction()).toBe(
      '127/40',
    );
    expect(belts.slides.crossSlide).toMatchObject({
      unit: 'in',
      travelPerTurn: '0.100',
      divisions: 100,
      resettable: false,
    });
    expect(reverseIsSafe(belts)).toBe(false);
    expect(belts.sizes).toMatchObject({ swingOverBedMm: 9 * 25.4, swingOverCrossSlideMm: 5.5 * 25.4 });
    expect(belts.sizes.betweenCentresMm).toBeCloseTo(24 * 25.4, 9);
  });
  it('with gears is metric, its carriage wheel moving towards the tailstock when turned clockwise', () => {
    const geared = lathePattern('geared', id, 'new');
    expect(geared.slides.carriage).toMatchObject({ travelPerTurn: '20', divisions: 200, clockwiseMoves: 'out' });
    expect(reverseIsSafe(geared)).toBe(true);
    expect(geared.rigidity.deepestCutMm).toBeGreaterThan(geared.rigidity.usualDepthMm);
    expect(geared.changeMin).toEqual({ tool: 1, chuck: 10, setOver: 15, compound: 2 });
  });
});
