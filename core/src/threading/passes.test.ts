import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { firstPassMm, INFEED_SCHOOLS, lastPassMm, PASS_SCHEDULES, type PassesWish, threadPasses } from './index.ts';
import { grooveAreaMm2 } from './infeed.ts';

const wish = (more: Partial<PassesWish> = {}): PassesWish => ({
  ...{ depthMm: 1.53, flanksDeg: [30, 30], tipMm: 0.3, school: 'flank', compoundDeg: 29.5, schedule: 'equalArea' },
  ...{ firstMm: 0.25, lastMm: 0.03, ...more },
});

describe('passes of a thread', () => {
  it('end exactly at the depth, grow never deeper, begin and end within what is allowed', () => {
    fc.assert(
      fc.property(
        fc.record({
          depthMm: fc.double({ min: 0.2, max: 8, noNaN: true }),
          flanksDeg: fc.constantFrom([30, 30], [15, 15], [0, 0], [7, 45], [27.5, 27.5]) as fc.Arbitrary<
            [number, number]
          >,
          tipMm: fc.double({ min: 0.05, max: 4, noNaN: true }),
          school: fc.constantFrom(...INFEED_SCHOOLS),
          schedule: fc.constantFrom(...PASS_SCHEDULES),
          compoundDeg: fc.constantFrom(0, 14.5, 29.5),
          firstMm: fc.double({ min: 0.08, max: 0.5, noNaN: true }),
          lastMm: fc.double({ min: 0.01, max: 0.06, noNaN: true }),
        }),
        (asked) => {
          const all = threadPasses(asked);
          expect(all.at(-1)!.depthMm).toBe(asked.depthMm);
          expect(all.reduce((sum, p) => sum + p.cutMm, 0)).toBeCloseTo(asked.depthMm, 9);
          for (const [i, p] of all.entries()) {
            if (all.length > 1) expect(p.cutMm).toBeGreaterThanOrEqual(asked.lastMm - 1e-9);
            if (i > 0) expect(p.cutMm).toBeLessThanOrEqual(all[i - 1]!.cutMm + 1e-6);
            expect(p.leadingShare + p.trailingShare).toBeLessThanOrEqual(1 + 1e-9);
            expect(Math.min(p.leadingShare, p.trailingShare)).toBeGreaterThanOrEqual(-1e-12);
          }
          const tangents = asked.flanksDeg.reduce((sum, deg) => sum + Math.tan((deg * Math.PI) / 180), 0);
          const area = (deep: number) => grooveAreaMm2(deep, asked.tipMm, tangents);
          // of more passes than anybody makes the first is deeper
          if (Math.max(area(asked.depthMm) / area(asked.firstMm), (asked.depthMm / asked.firstMm) ** 2) > 150) return;
          expect(all[0]!.cutMm).toBeLessThanOrEqual(Math.max(asked.firstMm, asked.lastMm, 2 * asked.lastMm) + 1e-5);
        },
      ),
      { numRuns: 400 },
    );
  });
  it('take equal areas, or depths by the root of their number', () => {
    const areas = threadPasses(wish({ lastMm: 0.001 })).map((p) => p.areaMm2);
    for (const area of areas) expect(area).toBeCloseTo(areas[0]!, 9);
    const byRoot = threadPasses(wish({ schedule: 'fallingDepth', lastMm: 0.001 }));
    expect(byRoot[3]!.depthMm).toBeCloseTo(2 * byRoot[0]!.depthMm, 9);
  });
  it('along a flank leave the trailing one almost alone; straight ones cut both alike; alternate ones by turns', () => {
    const flank = threadPasses(wish()).at(-1)!;
    expect(flank.leadingShare).toBeGreaterThan(10 * flank.trailingShare);
    expect(flank.alongMm).toBeCloseTo(1.53 * Math.tan((29.5 * Math.PI) / 180), 9);
    const straight = threadPasses(wish({ school: 'straight' })).at(-2)!;
    expect(straight.leadingShare).toBeCloseTo(straight.trailingShare, 9);
    const alternate = threadPasses(wish({ school: 'alternate' }));
    expect(Math.sign(alternate[0]!.alongMm)).toBe(-Math.sign(alternate[1]!.alongMm));
    expect(Math.abs(alternate.at(-1)!.alongMm)).toBe(0);
  });
  it('begin shallower inside, in tough metal, and on a light lathe', () => {
    const first = (more: object) =>
      firstPassMm({
        usualDepthMm: 1.5,
        group: 'P',
        inside: false,
        pitchMm: 2.5,
        tipMm: 0.3,
        tangents: 1.1547,
        ...more,
      });
    expect(first({})).toBeGreaterThan(0.15);
    expect(first({})).toBeLessThan(0.35);
    expect(first({ inside: true })).toBeLessThan(first({}));
    expect(first({ group: 'M' })).toBeLessThan(first({}));
    expect(first({ group: 'N' })).toBeGreaterThan(first({}));
    expect(first({ usualDepthMm: 0.5 })).toBeLessThan(first({}));
    // a wide tool has all of its width in the metal at once
    expect(first({ tipMm: 1.6 })).toBeLessThan(first({}));
    expect(first({ pitchMm: 0.5 })).toBeCloseTo(0.075, 9);
    expect(lastPassMm('coated')).toBeGreaterThan(lastPassMm('hss'));
  });
});

describe('alternate flanks', () => {
  const passes = threadPasses({
    ...{ depthMm: 1.5, flanksDeg: [30, 30], tipMm: 0.3, school: 'alternate', compoundDeg: 0 },
    ...{ schedule: 'equalArea', firstMm: 0.3, lastMm: 0.04 },
  });
  it('are cut by turns, each pass on one side only, and together they are the whole groove', () => {
    for (const [i, { leadingShare, trailingShare }] of passes.slice(1).entries()) {
      const [cuts, idles] = i % 2 === 0 ? [leadingShare, trailingShare] : [trailingShare, leadingShare];
      expect(cuts).toBeGreaterThan(3 * idles);
    }
    expect(passes.at(-1)!.alongMm).toBe(0);
    const whole = 0.3 * 1.5 + 1.5 ** 2 * Math.tan(Math.PI / 6);
    expect(passes.reduce((sum, p) => sum + p.areaMm2, 0)).toBeCloseTo(whole, 9);
  });
});
