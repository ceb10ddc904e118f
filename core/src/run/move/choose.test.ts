import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aimOf, choose, chooseHalf, chooseRough, comesOf, markFor, type Situation } from './choose.ts';

const known = (share: number) => ({ lowShare: share, bestShare: share, highShare: share, count: 9 });
/** Ø30 h9 outside: 29.948 to 30, measured after a pass 0.1 deep, ring of 0.02. */
const base: Situation = {
  sign: 1,
  known: { xMm: 0, rMm: 15.09, depthMm: 0.1, touchMm: 0 },
  knownSpring: known(0.05),
  spring: known(0.05),
  beforeMm: 15.09,
  beforeDoubtMm: 0,
  goneMm: 14.974,
  metalMm: 15,
  wantedMm: 14.987,
  guardMm: 0.009,
  stepMm: 0.01,
  markMm: 0,
  shallowestMm: 0.01,
};
const unsure = { lowShare: 0, bestShare: 0.06, highShare: 0.12, count: 0 };

describe('the aim', () => {
  it('is the size wanted, or the guard before the limit where that lies farther from it', () => {
    expect(aimOf(base)).toBe(14.987);
    expect(aimOf({ ...base, guardMm: 0.02 })).toBeCloseTo(14.994, 12);
    // a bore: what cannot be put back is the upper limit
    expect(aimOf({ sign: -1, goneMm: 15.01, guardMm: 0.009, wantedMm: 15.005 })).toBeCloseTo(15.001, 12);
  });
});

describe('the next number', () => {
  it('goes to size where a mark does, and no deeper than the guard lets it', () => {
    const choice = choose(base);
    expect(choice.kind).toBe('final');
    if (choice.kind !== 'final') return;
    expect(choice.comes.bestMm).toBeCloseTo(14.99, 3);
    expect(choice.comes.deepestMm).toBeGreaterThanOrEqual(14.974 + 0.009 - 1e-9);
  });
  it('takes half of what is left where the spring leaves too much open', () => {
    const choice = choose({ ...base, known: { ...base.known, depthMm: 0.5 }, knownSpring: unsure, spring: unsure });
    expect(choice.kind).toBe('half');
    if (choice.kind === 'half') expect(choice.comes.bestMm).toBeGreaterThan(15.02);
  });
  it('is the same again where what springs is all that is wanted and all that can come', () => {
    // 0.006 left on the radius: too little to set, but 5 % of 0.2 still springs
    const s = { ...base, known: { ...base.known, rMm: 15.002, depthMm: 0.2 }, beforeMm: 15.002, stepMm: 0.02 };
    const choice = choose(s, 0);
    expect(choice.kind).toBe('springPass');
    // and not where it could take too much
    const wild = { ...s, spring: { ...unsure, highShare: 0.3 }, knownSpring: { ...unsure, highShare: 0.3 } };
    expect(choose(wild, 0)).toMatchObject({ kind: 'none', why: 'edge' });
  });
  it('is none, by name, where the ring is too coarse or too little is left for the edge', () => {
    const coarse = { ...base, beforeMm: 15.06, known: { ...base.known, rMm: 15.06 }, stepMm: 0.2, markMm: 0.1 };
    expect(choose(coarse)).toMatchObject({ kind: 'none', why: 'ring' });
    const thin = { ...base, beforeMm: 15.003, known: { ...base.known, rMm: 15.003 }, shallowestMm: 0.1 };
    expect(choose(thin)).toMatchObject({ kind: 'none', why: 'edge' });
  });
  it('takes half of what is left to the aim, on the nearest mark', () => {
    // 5 % of what is cut springs back; known between nothing and 12 %
    const wide = {
      ...base,
      beforeMm: 15.2,
      known: { ...base.known, rMm: 15.2, depthMm: 0.5 },
      knownSpring: unsure,
      spring: unsure,
    };
    const choice = choose({ ...wide, stepMm: 0.002 });
    expect(choice.kind).toBe('half');
    if (choice.kind === 'half') expect(Math.abs(choice.comes.bestMm - (15.2 + 14.987) / 2)).toBeLessThan(0.0011);
  });
  it('keeps the guard with metal and touch as far out as they may be, and not further', () => {
    // nothing springs: touch 0.02 and no doubt of the metal: the deepest mark is 14.974 + 0.009 + 0.02
    const still = known(0);
    const s = {
      ...base,
      known: { ...base.known, touchMm: 0.02 },
      knownSpring: still,
      spring: still,
      stepMm: 0.001,
      wantedMm: 14.98,
    };
    expect(markFor(s, 14.98)!.bestMm).toBeCloseTo(15.003, 6);
    expect(markFor(s, 14.98)!.deepestMm).toBeCloseTo(14.983, 6);
  });
  it('is the same number again where no mark fits and what springs can help, not where it is a hair', () => {
    const s = {
      ...base,
      known: { ...base.known, rMm: 15.002, depthMm: 0.2 },
      beforeMm: 15.002,
      stepMm: 0.2,
      markMm: 0.1,
    };
    expect(choose(s, 0)).toMatchObject({ kind: 'springPass', comes: { xMm: 0 } });
    // 5 % of 0.005 is a quarter of a thousandth
    expect(choose({ ...s, known: { ...s.known, depthMm: 0.005 } }, 0).kind).toBe('none');
  });
  it('names the edge where less than two of its cuts are left, else the ring', () => {
    const at = (leftMm: number) => {
      const beforeMm = 14.987 + leftMm;
      return choose({
        ...base,
        beforeMm,
        known: { ...base.known, rMm: beforeMm },
        stepMm: 0.2,
        markMm: 0.1,
        shallowestMm: 0.01,
      });
    };
    expect([at(0.019), at(0.021), at(0.025)].map((c) => c.kind === 'none' && c.why)).toEqual(['edge', 'ring', 'ring']);
  });
  it('does not end outside on the metal’s side, nor too near it where two cuts can end surely inside', () => {
    // marks 0.06 apart: the deepest safe one leaves 15.02, the limit is 15
    const far = { ...base, stepMm: 0.06, markMm: 0.01, shallowestMm: 0.04 };
    expect(choose(far).kind).not.toBe('final');
    // half a third of the guard from the limit: inside, but not surely; with metal for two equal cuts it takes those
    const edge = { ...base, known: { ...base.known, rMm: 15.06, depthMm: 0.06 }, beforeMm: 15.06 };
    const only = { ...edge, stepMm: 0.0625, markMm: 0 };
    const first = choose({ ...only, shallowestMm: 0.001, spring: unsure, knownSpring: unsure });
    expect(first.kind).toBe('half');
  });
  it('is the same number only where this metal was cut at it, and not where the ring stands elsewhere', () => {
    const close = { ...base, known: { ...base.known, rMm: 15.002, depthMm: 0.2 }, beforeMm: 15.002, stepMm: 0.02 };
    expect(choose(close).kind).toBe('none');
    // the spring that is wanted cannot come where nothing was cut
    expect(choose({ ...close, known: { ...close.known, depthMm: 0 } }, 0).kind).toBe('none');
    // a last cut whose mark is the one it stands at is called by its name
    const at = choose(close, 0);
    expect(at).toMatchObject({ kind: 'springPass', comes: { xMm: 0 } });
    expect(at.aimMm).toBeCloseTo(14.987, 9);
    const none = choose({ ...close, known: { ...close.known, depthMm: 0 } }, 0);
    expect(none.kind === 'none' && none.leftMm).toBeCloseTo(0.015, 9);
  });
  it('never goes below what the worst would leave, whatever is known', () => {
    const any = fc.record({
      sign: fc.constantFrom(1 as const, -1 as const),
      depth: fc.double({ min: 0, max: 0.6, noNaN: true }),
      left: fc.double({ min: 0.002, max: 0.6, noNaN: true }),
      low: fc.double({ min: 0, max: 0.1, noNaN: true }),
      wide: fc.double({ min: 0, max: 0.1, noNaN: true }),
      touch: fc.constantFrom(0, 0.02),
      doubt: fc.double({ min: 0, max: 0.03, noNaN: true }),
      step: fc.constantFrom(0.002, 0.01, 0.02, 0.0254),
      mark: fc.double({ min: 0, max: 0.02, noNaN: true }),
    });
    fc.assert(
      fc.property(any, (a) => {
        const spring = { lowShare: a.low, bestShare: a.low + a.wide / 2, highShare: a.low + a.wide, count: 0 };
        const gone = 15;
        const s: Situation = {
          ...base,
          ...{ sign: a.sign, knownSpring: spring, spring, goneMm: gone, metalMm: gone + a.sign * 0.05 },
          ...{ wantedMm: gone + a.sign * 0.025, beforeMm: gone + a.sign * (0.025 + a.left) },
          known: { xMm: 0, rMm: gone + a.sign * (0.025 + a.left), depthMm: a.depth, touchMm: a.touch },
          ...{ beforeDoubtMm: a.doubt, stepMm: a.step, markMm: a.mark },
        };
        for (const choice of [choose(s, 0), choose(s), chooseHalf(s)]) {
          if (choice.kind === 'none') continue;
          // the world, anywhere within what is believed
          for (const share of [spring.lowShare, spring.highShare])
            for (const touch of [-a.touch, a.touch]) {
              const c = a.sign * (s.known.rMm + touch - s.known.xMm) - share * a.depth;
              const r = (choice.comes.xMm + a.sign * c + share * s.beforeMm) / (1 + share);
              expect(a.sign * (r - gone)).toBeGreaterThanOrEqual(s.guardMm - 1e-6);
            }
          const marks = (choice.comes.xMm - a.mark) / a.step;
          if (choice.kind !== 'springPass') expect(Math.abs(marks - Math.round(marks))).toBeLessThan(1e-6);
        }
      }),
      { numRuns: 400 },
    );
  });
  it('keeps the short zone of a trial cut inside too', () => {
    // the zone was cut 0.05 deeper than the run's metal: it springs less and comes out lower
    const s = {
      ...base,
      beforeMm: 15.14,
      zoneMm: 15.09,
      known: { ...base.known, depthMm: 0.05 },
      spring: known(0.1),
      knownSpring: known(0.1),
    };
    const found = markFor(s, 14.987)!;
    const zone = comesOf({ ...s, beforeMm: s.zoneMm }, found.xMm).bestMm;
    expect(zone).toBeLessThan(found.bestMm);
    expect(found.deepestMm).toBeCloseTo(zone, 9);
    expect(found.deepestMm).toBeGreaterThanOrEqual(14.974 + 0.009 - 1e-9);
  });
});

describe('roughing', () => {
  it('comes no deeper than wanted even where nothing springs', () => {
    const s = { ...base, spring: unsure, knownSpring: unsure, wantedMm: 14.5, beforeMm: 15.09, guardMm: 0 };
    const comes = chooseRough(s);
    expect(comes.bestMm).toBeGreaterThanOrEqual(14.5 - s.stepMm / 2 - 1e-9);
    expect(comes.bestMm).toBeLessThanOrEqual(14.5 + s.stepMm);
  });
});

describe('the first of two equal cuts', () => {
  it('leaves as much as it takes, or as much as the compound is to take', () => {
    const half = chooseHalf(base);
    const leaves = chooseHalf({ ...base, stepMm: 0.002 }, 0.05);
    expect(half.kind === 'half' && half.comes.bestMm).toBeCloseTo((15.09 + 14.987) / 2, 2);
    expect(leaves.kind === 'half' && leaves.comes.bestMm).toBeCloseTo(14.987 + 0.05, 2);
  });
});
