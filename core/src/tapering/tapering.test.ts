import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { halfDegOf } from '../taper/index.ts';
import { twoChucks } from '../testing/jobs.ts';
import { metricLathe } from '../testing/shop.ts';
import {
  ballDepthMm,
  correctTaper,
  diameterOfStandOff,
  heightErrorMm,
  ofBalls,
  ofBlue,
  ofRollers,
  pointBeyondMm,
  pointDepthMm,
  riseMm,
  setOver,
  sineAngleDeg,
  sineHeightMm,
  stationsFor,
  taperOfOffset,
  taperTable,
  taperWays,
} from './index.ts';

const rad = (deg: number): number => (deg * Math.PI) / 180;
const plain = (wholeMm: number) => ({ wholeMm, headDepthMm: 0, tailDepthMm: 0 });
/** Where a growing function is nothing, by halving. */
function zeroOf(f: (x: number) => number, from: number, to: number): number {
  let [a, b] = [from, to];
  for (let i = 0; i < 80; i++) {
    const m = (a + b) / 2;
    if (f(m) < 0) a = m;
    else b = m;
  }
  return (a + b) / 2;
}

describe('a tailstock set over', () => {
  it('leans the work by half the angle: the rule of the trade is a little more', () => {
    // 0.60235 on a foot, 8.25 inches between centres
    const set = setOver(0.60235 / 12, plain(8.25 * 25.4));
    expect(set.byRuleMm / 25.4).toBeCloseTo(0.2070578125, 9);
    expect(set.offsetMm).toBeLessThan(set.byRuleMm);
    expect(set.offsetMm / 25.4).toBeCloseTo(0.20706, 3);
    expect(set.way).toBe('tool');
    expect(setOver(-0.05, plain(200)).way).toBe('away');
  });
  it('turns what is really cut: a path along the bed on an axis that leans', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.3, noNaN: true }),
        fc.integer({ min: 50, max: 800 }),
        (share, whole) => {
          const { offsetMm, nearerMm } = setOver(share, plain(whole));
          // head pivot at 0, tail pivot at (whole − nearer, offset); distance of a line parallel to the bed at two places of the axis
          const tail = [whole - nearerMm, offsetMm] as const;
          expect(Math.hypot(...tail)).toBeCloseTo(whole, 9);
          const axis = [tail[0] / whole, tail[1] / whole] as const;
          const radius = (along: number): number => {
            // where the square to the axis meets the tool's path at 100 beside the bed's axis
            const t = (100 - along * axis[1]) / axis[0];
            return t;
          };
          expect((2 * (radius(0) - radius(10))) / 10).toBeCloseTo(share, 9);
          expect(taperOfOffset(offsetMm, plain(whole))).toBeCloseTo(share, 9);
        },
      ),
    );
  });
  it('counts from where the work turns about its centres', () => {
    expect(pointDepthMm(6.3)).toBeCloseTo(5.456, 3);
    // a ball of 6 in it: its middle lies r/sin 30° above the cone’s point
    expect(ballDepthMm(6.3, 6)).toBeCloseTo(5.456 - 6, 3);
    const deep = setOver(0.05, { wholeMm: 200, headDepthMm: 5, tailDepthMm: 5 });
    expect(deep.offsetMm).toBeCloseTo(190 * Math.sin(rad(halfDegOf(0.05))), 9);
  });
});

describe('settings by indicator, sine bar and height', () => {
  it('rise by the sine along the compound, by the tangent along a cone', () => {
    expect(riseMm(30, 100, 'compound')).toBeCloseTo(50, 9);
    expect(riseMm(45, 20, 'cone')).toBeCloseTo(20, 9);
    expect(sineHeightMm(30, 100)).toBeCloseTo(50, 9);
    expect(sineAngleDeg(sineHeightMm(7.125, 200), 200)).toBeCloseTo(7.125, 9);
  });
  it('a tool off the axis leaves the small end large, above or below alike', () => {
    const up = heightErrorMm(30, 10, 60, 0.5);
    expect(up).toBeCloseTo(heightErrorMm(30, 10, 60, -0.5), 12);
    expect(up).toBeGreaterThan(0);
    // near its point it is worst: r = √(x² + h²)
    const x = Math.sqrt(15 ** 2 - 0.25) - 60 * Math.tan(rad(10));
    expect(up).toBeCloseTo(2 * (Math.hypot(x, 0.5) - (15 - 60 * Math.tan(rad(10)))), 12);
    expect(heightErrorMm(30, 10, 60, 0)).toBeCloseTo(0, 12);
  });
});

describe('gauging', () => {
  it('by rollers is what a circle that touches table and flank says', () => {
    for (const halfDeg of [0.5, 1.5, 5, 12])
      for (const roller of [6, 10]) {
        const t = Math.tan(rad(halfDeg));
        const over = (heightMm: number): number => {
          // least distance of the roller’s middle to the flank, found point by point
          const away = (x: number): number => {
            let least = Number.POSITIVE_INFINITY;
            for (let y = heightMm - 20; y < heightMm + 30; y += 0.002)
              least = Math.min(least, Math.hypot(x - (10 + y * t), heightMm + roller / 2 - y));
            return least - roller / 2;
          };
          return 2 * zeroOf(away, 10 + (heightMm + roller / 2) * t, 60) + roller;
        };
        const found = ofRollers({ rollerMm: roller, lowMm: over(0), highMm: over(40), blocksMm: 40 });
        expect(found.halfDeg).toBeCloseTo(halfDeg, 4);
        expect(found.smallEndMm).toBeCloseTo(20, 3);
      }
  }, 60_000);
  it('by two balls is where each touches the wall', () => {
    for (const halfDeg of [1.5, 8, 30]) {
      // a hole of 40 at its face that falls inwards: a ball of radius r has its middle where the wall is r / cos α away
      const down = (r: number): number => (20 - r / Math.cos(rad(halfDeg))) / Math.tan(rad(halfDeg)) - r;
      const found = ofBalls({ smallMm: 20, largeMm: 30, smallDownMm: down(10), largeDownMm: down(15) });
      expect(found.halfDeg).toBeCloseTo(halfDeg, 9);
      expect(found.atFaceMm).toBeCloseTo(40, 9);
    }
  });
  it('by a gauge, blue and a small flat', () => {
    expect(diameterOfStandOff(1, 1 / 20.02)).toBeCloseTo(0.0499508, 5);
    expect(ofBlue('large', 'outside')).toBe('steep');
    expect(ofBlue('large', 'inside')).toBe('slow');
    expect(ofBlue('small', 'outside')).toBe('slow');
    expect(ofBlue('all', 'inside')).toBe('right');
    expect(pointBeyondMm(2, 45)).toBeCloseTo(1, 12);
  });
});

describe('ways of turning a cone', () => {
  const lathe = {
    ...twoChucks,
    tailstock: { ...twoChucks.tailstock, setOverMm: 8 },
    slides: { ...twoChucks.slides, compound: { ...twoChucks.slides.compound, travelMm: 80 } },
    taperAttachment: { lengthMm: 250, mostDeg: 8, graduated: 'degrees' as const },
  };
  const of = (cone: object, on: typeof lathe | object = lathe) =>
    taperWays(on as typeof lathe, { perLength: 0.05, lengthMm: 60, side: 'outside', ...cone });
  const first = (cone: object, on?: object) => of(cone, on).map((w) => (w.can ? w.way : `${w.way}: ${w.why}`));
  it('are the compound for what it reaches, the attachment or the tailstock for long slow ones', () => {
    expect(first({})[0]).toBe('compound');
    expect(first({ lengthMm: 180 })[0]).toBe('attachment');
    const without = { ...lathe, taperAttachment: null };
    expect(first({ lengthMm: 180, between: plain(220) }, without)[0]).toBe('setOver');
    expect(first({ lengthMm: 180 }, without)).toEqual(
      expect.arrayContaining(['setOver: noCentres', 'attachment: noAttachment', 'compound: tooLong']),
    );
    expect(first({ perLength: 2, lengthMm: 3 })).toEqual(expect.arrayContaining(['formTool', 'attachment: tooSteep']));
    expect(first({ side: 'inside', between: plain(200) })).toContain('setOver: inside');
    expect(first({ between: plain(400) })).toContain('setOver: tooFar');
    expect(first({ between: plain(200), lengthsVary: true })).toContain('setOver: lengthsVary');
  });
  it('tell the compound’s angle as the scale marks it, and what the eye may be off', () => {
    const [way] = of({ perLength: 0.1 });
    if (!way?.can || way.way !== 'compound') throw new Error('no compound');
    const half = halfDegOf(0.1);
    expect(way.set.scaleDeg).toBeCloseTo(twoChucks.slides.compoundZero === 'bed' ? half : 90 - half, 9);
    // a sixth of a degree over 60 is a third of a millimetre
    expect(way.set.eyeMm).toBeCloseTo(2 * 60 * (Math.tan(rad(half + 1 / 6)) - Math.tan(rad(half))), 9);
    expect(way.set.eyeMm).toBeGreaterThan(0.3);
    expect(way.set.settings).toBe(1);
    const [long] = of({ lengthMm: 120, perLength: 0.5 }).filter((w) => w.way === 'compound');
    expect(long).toMatchObject({ can: true, set: { settings: 2 } });
  });
});

describe('correcting a taper', () => {
  const set = { by: 'compound', travelMm: 50, setMm: 0.004 } as const;
  const off = (measured: number, doubt = 0.00002) =>
    correctTaper(0.05, { perLength: measured, doubtPerLength: doubt }, set, 0.002);
  it('moves against what was found, as far as it is known', () => {
    const steep = off(0.051);
    if (steep.kind !== 'move') throw new Error(steep.kind);
    expect(steep.moveMm).toBeLessThan(0);
    expect(steep.moveMm).toBeCloseTo(-50 * (Math.sin(rad(halfDegOf(0.051))) - Math.sin(rad(halfDegOf(0.05)))), 4);
    const slow = off(0.049);
    expect(slow.kind === 'move' && slow.moveMm).toBeGreaterThan(0);
    const tail = correctTaper(
      0.05,
      { perLength: 0.051, doubtPerLength: 1e-5 },
      { by: 'setOver', pivotsMm: 200, setMm: 0.01 },
      0.002,
    );
    expect(tail.kind === 'move' && tail.moveMm).toBeCloseTo(-0.1, 2);
  });
  it('leaves what is inside, what cannot be seen, and what cannot be set', () => {
    expect(off(0.05001)).toMatchObject({ kind: 'enough', why: 'inside' });
    expect(off(0.0505, 0.002)).toMatchObject({ kind: 'enough', why: 'notSeen' });
    expect(
      correctTaper(0.05, { perLength: 0.05015, doubtPerLength: 1e-5 }, { ...set, setMm: 0.01 }, 0.002),
    ).toMatchObject({ kind: 'enough', why: 'notSet' });
  });
  it('is not touched again where it is probably inside and another setting would hardly be', () => {
    const measured = { perLength: 0.0501, doubtPerLength: 3e-5 };
    const coarse = correctTaper(0.05, measured, { ...set, setMm: 0.004 }, 0.0035);
    expect(coarse).toMatchObject({ kind: 'enough', why: 'inside' });
    expect(correctTaper(0.05, measured, { ...set, setMm: 0.0004 }, 0.0035).kind).toBe('move');
  });
  it('is proved at stations that clear the gauge', () => {
    expect(stationsFor(110, 5, 25)).toEqual([5, 30, 55, 80, 105]);
    expect(stationsFor(40, 5, 25)).toEqual([5, 35]);
    expect(stationsFor(81, 4, 25)).toEqual([4, 29, 54, 77]);
    expect(stationsFor(8, 5, 25)).toEqual([]);
    expect(stationsFor(900, 5, 25)).toHaveLength(9);
    for (const s of stationsFor(93, 4, 25)) {
      expect(s).toBeGreaterThanOrEqual(4);
      expect(s).toBeLessThanOrEqual(89);
    }
  });
});

describe('a lathe’s settings for the usual tapers', () => {
  const row = (lathe: Parameters<typeof taperTable>[0], name: string) =>
    taperTable(lathe).find((r) => r.name.split(', ').includes(name))!;
  it('are by its own scale, by an indicator and by the tailstock, slow ones first', () => {
    const rows = taperTable(metricLathe);
    expect(rows.map((r) => r.halfDeg)).toEqual(rows.map((r) => r.halfDeg).toSorted((a, b) => a - b));
    // Morse 3, 1 in 19.922: half angle 1.4377°, 50·sin = 1.2545
    const morse = row(metricLathe, 'Morse 3');
    expect([morse.halfDeg, morse.risesMm, morse.per100Mm]).toEqual(
      [1.4377, 1.2545, 2.509].map((n) => expect.closeTo(n, 3)),
    );
    expect(morse.scaleDeg).toBeCloseTo(metricLathe.slides.compoundZero === 'crossSlide' ? 88.562 : 1.438, 2);
    // a slope that several series share is told once, by its ratio
    expect(rows.filter((r) => Math.abs(r.perLength - 0.05) < 1e-9).length).toBe(1);
    expect(row(metricLathe, '60° point')).toMatchObject({ halfDeg: 30, overMm: 6, risesMm: expect.closeTo(3, 9) });
    expect(row(metricLathe, '60° point').per100Mm).toBeUndefined();
  });
  it('by the tailstock only where it is set over, by the attachment only as far as it swings', () => {
    const fixed = { ...metricLathe, tailstock: { ...metricLathe.tailstock, setOverMm: 0 } };
    expect(taperTable(fixed).every((r) => r.per100Mm === undefined)).toBe(true);
    const railed = { ...metricLathe, taperAttachment: { lengthMm: 200, mostDeg: 8, graduated: 'degrees' as const } };
    expect([row(railed, 'Morse 3').attachment, row(railed, '7:24').attachment]).toEqual([true, false]);
  });
});
