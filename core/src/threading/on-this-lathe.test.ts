import { describe, expect, it } from 'vitest';
import { type Lathe, scaleDeg } from '../lathe/index.ts';
import { rational } from '../quantity/index.ts';
import { engagesFor, leadSettings, reactRpm, reacts, startsBy, trainsFor, usualCompoundDeg } from './index.ts';

type Threads = Lathe['threads'];
const inch: Threads = {
  leadscrewLead: { text: '1/8', unit: 'in' },
  controls: [],
  settings: [],
  gears: [20, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 75, 80, 127],
  dial: { wheelTeeth: 32, marks: 8 },
  tumbler: true,
};
const metric: Threads = {
  ...inch,
  leadscrewLead: { text: '6', unit: 'mm' },
  controls: [{ id: 'box', name: 'Box', kind: 'lever', positions: ['A', 'B'], changeMin: 0.2, stopFirst: false }],
  settings: [
    { at: { box: 'A' }, pitch: '1.5', unit: 'mm' },
    { at: { box: 'B' }, pitch: '16', unit: 'tpi' },
  ],
  gears: [],
  dial: { wheelTeeth: 14, marks: 7 },
};
const mm = (text: string) => rational(text);
const perInch = (n: number) => rational('25.4').div(n);

describe('a lead on the lathe that is there', () => {
  it('is levers where they are engraved, exact before near', () => {
    expect(leadSettings({ threads: metric }, mm('1.5'))[0]).toMatchObject({
      kind: 'marked',
      label: 'Box A',
      errorPpm: 0,
    });
    const [near] = leadSettings({ threads: metric }, perInch(17).mul(17).div(16));
    expect(near).toMatchObject({ kind: 'marked', label: 'Box B', errorPpm: 0 });
    // 16 to the inch is 1.5875: no 1.5 by 5.8 %
    expect(leadSettings({ threads: metric }, mm('1.45'))).toEqual([]);
  });
  it('is a train of the gears that are there, with a gear that stays, what fits between the shafts, and the stud’s room', () => {
    const [first] = trainsFor({ threads: inch }, mm('2'));
    expect(first!.exact).toBe(true);
    expect([...first!.drivers, ...first!.driven]).toContain(127);
    const whole = (t: { drivers: readonly number[]; driven: readonly number[] }) =>
      (t.drivers.reduce((a, b) => a * b, 1) / t.driven.reduce((a, b) => a * b, 1)) * 3.175;
    expect(whole(first!)).toBeCloseTo(2, 12);
    const halved = trainsFor({ threads: { ...inch, train: { fixed: [20, 40] } } }, mm('2'))[0]!;
    expect(whole(halved)).toBeCloseTo(4, 9);
    const narrow = { ...inch, train: { teethTogether: { least: 180, most: 230 } } };
    for (const t of trainsFor({ threads: narrow }, perInch(11)))
      if (t.drivers.length === 2) {
        const together = [...t.drivers, ...t.driven].reduce((a, b) => a + b, 0);
        expect(together).toBeGreaterThanOrEqual(180);
        expect(together).toBeLessThanOrEqual(230);
      }
    expect(leadSettings({ threads: metric }, mm('2'))).toEqual([]);
  });
  it('says where the nuts close, and where they never may', () => {
    expect(engagesFor({ threads: inch }, perInch(16))).toEqual({ kind: 'anywhere' });
    expect(engagesFor({ threads: inch }, perInch(13))).toMatchObject({ kind: 'marks', again: { marks: [0, 2, 4, 6] } });
    expect(engagesFor({ threads: inch }, mm('2'))).toEqual({ kind: 'never', why: 'noMark' });
    expect(engagesFor({ threads: { ...metric, dial: null } }, mm('2.5'))).toEqual({ kind: 'never', why: 'noDial' });
    expect(engagesFor({ threads: metric }, mm('1.75'))).toMatchObject({ kind: 'marks' });
    // another wheel does what the first does not
    expect(engagesFor({ threads: metric }, mm('2.5'))).toEqual({ kind: 'never', why: 'noMark' });
    const more = { ...metric, moreDials: [{ wheelTeeth: 15, marks: 3 }] };
    expect(engagesFor({ threads: more }, mm('2.5'))).toMatchObject({ kind: 'marks', wheel: { teeth: 15 } });
  });
  it('reaches another start by nuts, compound or gear', () => {
    const ways = startsBy({ threads: inch }, perInch(4), 2, 1, 40);
    expect(ways).toContainEqual({ kind: 'nuts', pitches: 1 });
    expect(ways).toContainEqual({ kind: 'gear', teeth: 20 });
    expect(ways.find((w) => w.kind === 'compound')).toMatchObject({ byMm: perInch(8) });
    expect(startsBy({ threads: inch }, perInch(4), 2, 1, 45).some((w) => w.kind === 'gear')).toBe(false);
  });
});

describe('the end of a pass', () => {
  it('leaves the hand its time, or says that it does not', () => {
    // 4 mm of groove less a tool of 1.5, lead 2.5 at 60 rpm: one second
    expect(reacts(60, { usableMm: 2.5, leadMm: 2.5, nutsShut: false })).toEqual({
      seconds: 1,
      coastMm: 0,
      enough: true,
    });
    expect(reacts(90, { usableMm: 2.5, leadMm: 2.5, nutsShut: false }).enough).toBe(false);
    expect(reactRpm({ usableMm: 2.5, leadMm: 2.5, nutsShut: false })).toBeCloseTo(60, 9);
    // with nuts shut the spindle has to run down
    expect(reacts(60, { usableMm: 2.5, leadMm: 2.5, stopTurns: 0.5, nutsShut: true })).toMatchObject({
      coastMm: 1.25,
      seconds: 0.5,
    });
    expect(reactRpm({ usableMm: 2.5, leadMm: 2.5, stopTurns: 1, nutsShut: true })).toBe(0);
  });
  it('goes in along a flank by half a degree less than it leans', () => {
    expect([30, 27.5, 15, 14.5, 3, 0].map((deg) => usualCompoundDeg(deg))).toEqual([29.5, 27, 14.5, 14, 0, 0]);
    const slides = (compoundZero: 'crossSlide' | 'bed') => ({ slides: { compoundZero } as Lathe['slides'] });
    expect(scaleDeg(slides('crossSlide'), 29.5)).toBe(29.5);
    expect(scaleDeg(slides('bed'), 29.5)).toBe(60.5);
  });
});
