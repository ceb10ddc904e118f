import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { metricLathe } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { checkLathe } from './checks.ts';
import { dialMove, dialNumber, dialScale, handTurnsPerSecond, readDialNumber, senseIn } from './dial.ts';
import { feedOf, feedsOf, fixedSpeeds, powerKwAt, rpmOfPulleys, spindleSettings, torqueNm } from './settings.ts';
import type { Dial } from './slide-schema.ts';

const cross = metricLathe.slides.crossSlide;
const grey: Dial = { ...cross, unit: 'in', travelPerTurn: '0.100', divisions: 100, resettable: false };
const diameterDial: Dial = { ...cross, travelPerTurn: '0.5', divisions: 50, kind: 'diameter' };

describe('dials', () => {
  it('knows what a line is worth, exactly, in either unit and kind', () => {
    expect(dialScale(cross).lineTravelMm.toFraction()).toBe('1/50');
    expect(dialScale(grey).lineTravelMm.toFraction()).toBe('127/5000');
    expect(dialScale(diameterDial)).toMatchObject({ decimals: 2 });
    expect(dialScale(diameterDial).lineNumber.valueOf()).toBe(0.02);
    expect(dialScale(diameterDial).lineTravelMm.valueOf()).toBe(0.01);
  });
  it('tells a move as full turns and the rest, with the hand', () => {
    expect(dialMove(cross, 7, 2.7)).toMatchObject({
      number: '0.84',
      fullTurns: 1,
      rest: '0.70',
      hand: 'clockwise',
      offByMm: 0,
    });
    expect(dialMove(cross, 7, -2.7)).toMatchObject({
      number: '1.44',
      fullTurns: 1,
      rest: '0.70',
      hand: 'anticlockwise',
    });
    expect(dialMove(grey, 37, 25.4 * 0.135)).toMatchObject({
      number: '0.072',
      fullTurns: 1,
      rest: '0.035',
      hand: 'clockwise',
    });
  });
  it('turns the hand and the numbers by the dial’s own sense', () => {
    const out = { ...cross, clockwiseMoves: 'out' as const };
    expect(dialMove(out, 0, 0.2)).toMatchObject({ hand: 'anticlockwise', number: '1.80' });
    expect(dialMove({ ...out, numbersRise: 'anticlockwise' }, 0, 0.2)).toMatchObject({
      hand: 'anticlockwise',
      number: '0.20',
    });
    expect(senseIn(cross)).toBe(1);
    expect(senseIn(out)).toBe(-1);
  });
  it('tells how fast a hand turns for a feed, more slowly at fewer rpm', () => {
    // 2 mm a turn: 0.1 mm × 600 = 60 mm a minute = 30 turns a minute
    expect(handTurnsPerSecond(cross, 0.1, 600)).toBeCloseTo(0.5, 12);
    expect(handTurnsPerSecond(cross, 0.1, 300)).toBeCloseTo(0.25, 12);
    // the ring's own kind does not change what the slide does
    expect(handTurnsPerSecond({ ...cross, kind: 'diameter' }, 0.1, 600)).toBeCloseTo(0.5, 12);
  });
  it('takes the nearest line and says what it misses', () => {
    const move = dialMove(cross, 0, 0.2055);
    expect(move.number).toBe('0.20');
    expect(move.offByMm).toBeCloseTo(-0.0055, 9);
  });
  it('comes back to the same number after moving there and back, on every kind of dial', () => {
    const dials = fc.record({
      kind: fc.constantFrom('radius' as const, 'diameter' as const),
      clockwiseMoves: fc.constantFrom('in' as const, 'out' as const),
      numbersRise: fc.constantFrom('clockwise' as const, 'anticlockwise' as const),
    });
    fc.assert(
      fc.property(dials, fc.integer({ min: -500, max: 500 }), fc.integer({ min: 0, max: 99 }), (kind, lines, from) => {
        const dial = { ...cross, ...kind };
        const travel = lines * dialScale(dial).lineTravelMm.valueOf();
        const there = dialMove(dial, from, travel);
        const back = dialMove(dial, there.toLines, -travel);
        return back.toLines === from && back.number === dialNumber(dial, from) && Math.abs(there.offByMm) < 1e-9;
      }),
    );
  });
  it('reads a noted number and refuses one that the ring does not have', () => {
    expect(readDialNumber(grey, '0.037')).toEqual({ ok: true, lines: 37 });
    expect(readDialNumber(grey, '.0375')).toEqual({ ok: true, lines: 37.5 });
    expect(readDialNumber(grey, '0.1')).toMatchObject({ ok: false, code: 'dial.beyondTurn' });
    expect(readDialNumber(grey, '-1')).toMatchObject({ ok: false, code: 'dial.notANumber' });
    expect(dialNumber(grey, 37.5)).toBe('0.0375');
  });
});

describe('settings', () => {
  it('derives feeds from change gears exactly', () => {
    const lathe = {
      ...metricLathe,
      threads: { ...metricLathe.threads, leadscrewLead: { text: '1/8', unit: 'in' as const } },
      feeds: {
        ...metricLathe.feeds,
        settings: [
          {
            kind: 'gears' as const,
            at: { feed: '1' },
            pairs: [
              [20, 80],
              [20, 75],
            ] as [number, number][],
          },
        ],
      },
    };
    expect(feedsOf(lathe)[0]!.exactMmPerRev.toFraction()).toBe('127/600');
  });
  it('reads a speed from its pulleys, and a train by the name its owner gave it', () => {
    // 1420 rpm over 60 on 120, then gears of 30 on 90: a sixth
    expect(
      rpmOfPulleys({
        motorRpm: 1420,
        pairs: [
          [60, 120],
          [30, 90],
        ],
      }),
    ).toBe(236.7);
    const belts = {
      ...metricLathe,
      spindle: {
        ...metricLathe.spindle,
        settings: [
          { kind: 'pulleys' as const, at: { lever: '1' }, motorRpm: 1420, pairs: [[71, 100]] as [number, number][] },
          { kind: 'fixed' as const, at: { lever: '2' }, rpm: 400 },
        ],
      },
    };
    expect(fixedSpeeds(belts).map((s) => s.rpm)).toEqual([400, 1008.2]);
    // the same value each time: what is remembered of a setting stays found
    expect(spindleSettings(belts)[0]).toBe(spindleSettings(belts)[0]);
    const named = {
      ...metricLathe,
      feeds: {
        ...metricLathe.feeds,
        settings: [{ kind: 'gears' as const, at: {}, name: 'Fine', pairs: [[20, 80]] as [number, number][] }],
      },
    };
    expect(feedsOf(named)[0]!.label).toBe('Fine, 20/80');
  });
  it('gives constant power through gears, constant torque below a stepless drive’s base speed', () => {
    const fixed = spindleSettings(metricLathe);
    expect(powerKwAt(metricLathe, fixed[0]!, 45)).toBeCloseTo(0.88, 9);
    expect(powerKwAt(metricLathe, fixed[9]!, 1600)).toBeCloseTo(0.88, 9);
    const range = { kind: 'stepless' as const, at: {}, minRpm: 80, maxRpm: 900, baseRpm: 600 };
    expect(torqueNm(metricLathe, range, 100)).toBeCloseTo(torqueNm(metricLathe, range, 600), 9);
    expect(powerKwAt(metricLathe, range, 300)).toBeCloseTo(0.44, 9);
    expect(powerKwAt(metricLathe, range, 900)).toBeCloseTo(0.88, 9);
  });
  it('finds what makes a lathe unusable', () => {
    expect(checkLathe(metricLathe)).toEqual([]);
    expect(
      checkLathe({
        ...metricLathe,
        spindle: { ...metricLathe.spindle, settings: [{ kind: 'fixed', at: { lever: '77' }, rpm: 100 }] },
      })[0],
    ).toMatchObject({ code: 'lathe.noSuchPosition', value: '77' });
  });
});

describe('workings of a lathe’s figures', () => {
  it('give the figure that they tell', () => {
    const { steps, record } = collectWorking();
    const [slowest] = fixedSpeeds(metricLathe);
    const powerKw = powerKwAt(metricLathe, slowest!.setting, slowest!.rpm, record);
    for (const feed of feedsOf(metricLathe)) feedOf(feed.setting, metricLathe, record);
    expect(steps.find((s) => s.code === 'lathe.power')?.values.powerKw).toBe(powerKw);
    expect(powerKw).toBeCloseTo(metricLathe.drive.motorKw * metricLathe.drive.efficiency, 9);
    const told = steps.filter((s) => s.code.endsWith('Feed')).map((s) => s.values.feedMmPerRev);
    expect(told).toEqual(feedsOf(metricLathe).map((f) => f.mmPerRev));
  });
  it('multiply a train out of the leadscrew exactly', () => {
    const { steps, record } = collectWorking();
    const lathe = {
      ...metricLathe,
      threads: { ...metricLathe.threads, leadscrewLead: { text: '1/8', unit: 'in' as const } },
    };
    const pairs: [number, number][] = [
      [20, 100],
      [20, 80],
    ];
    const feed = feedOf({ kind: 'gears', at: {}, pairs }, lathe, record);
    // 25.4/8 × 1/5 × 1/4
    expect(feed?.toFraction()).toBe('127/800');
    expect(steps[0]).toMatchObject({ code: 'lathe.gearFeed', values: { train: '20/100 × 20/80', ratio: '1/20' } });
  });
});
