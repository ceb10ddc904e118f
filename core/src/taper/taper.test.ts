import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  angleGrade,
  coneZone,
  fitCone,
  gradeWithin,
  halfDegOf,
  holdsItself,
  identifyTaper,
  inMinutes,
  NAMED_TAPERS,
  perLengthOfHalf,
  readTaper,
  sayTaper,
  taperNamed,
} from './index.ts';

const perLength = (text: string, unit: 'mm' | 'in' = 'mm') => {
  const read = readTaper(text, unit);
  if (!read.ok) throw new Error(`${text}: ${read.code}`);
  return read.perLength;
};

describe('a taper as it is said', () => {
  it.each([
    ['7:24', 7 / 24],
    ['5 %', 0.05],
    ['0.5 in 1000', 0.0005],
    ['1°26\'16"', 2 * Math.tan(((1 + 26 / 60 + 16 / 3600) * Math.PI) / 180)],
    ['2°52′ incl', 2 * Math.tan(((1 + 26 / 60) * Math.PI) / 180)],
    ['0.60235/ft', 0.0501958333333],
    ['.6 in per foot', 0.05],
    ['0.05 per inch', 0.05],
    ['0.05 mm/mm', 0.05],
    ['24 to 20 over 80', 0.05],
    ['20 to 24 over 80', -0.05],
    ['24 - 20 / 80', 0.05],
    ['1/20', 0.05],
    ['3 mm/m', 0.003],
    ['Morse 3', 1 / 19.922],
    ['MT2', 1 / 20.02],
    ['-1:50', -0.02],
  ])('%s', (text, share) => {
    expect(perLength(text)).toBeCloseTo(share, 10);
  });
  it('is exact where it is typed as a ratio', () => {
    const read = readTaper('7:24', 'mm');
    expect(read.ok && read.exact?.toFraction()).toBe('7/24');
    const foot = readTaper('0.502/ft', 'mm');
    expect(foot.ok && foot.exact?.toFraction()).toBe('251/6000');
  });
  it('goes from every way into every other and back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.0003, max: 3, noNaN: true }), (share) => {
        const said = sayTaper(share);
        expect(perLengthOfHalf(said.halfDeg)).toBeCloseTo(share, 10);
        expect(said.perFootIn / 12).toBeCloseTo(share, 12);
        expect(1 / said.ratio).toBeCloseTo(share, 10);
        expect(said.percent / 100).toBeCloseTo(share, 12);
        expect(said.includedDeg).toBeCloseTo(2 * halfDegOf(share), 12);
      }),
    );
  });
  it('is told as geometry has it', () => {
    // 1:10, and number 6 of the Morse series as published
    expect(sayTaper(0.1)).toMatchObject({
      perFootIn: expect.closeTo(1.2, 9),
      halfDeg: expect.closeTo(2.86240522611, 9),
      includedDeg: expect.closeTo(5.72481045222, 9),
    });
    expect(sayTaper(1 / 19.18).halfDeg).toBeCloseTo(1.49329114333, 5);
    expect(inMinutes(1.4321)).toEqual({ deg: 1, min: 25, sec: 56 });
    expect(inMinutes(2.99999)).toEqual({ deg: 3, min: 0, sec: 0 });
  });
  it('never throws on any text', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.stringMatching(/^[-0-9.,:°'"% /a-z]{0,16}$/)), (text) => {
        const read = readTaper(text, 'mm');
        if (read.ok) expect(Math.abs(read.perLength)).toBeGreaterThan(0);
      }),
      { numRuns: 2000 },
    );
  });
});

describe('standard tapers', () => {
  // inches on a foot as they are published beside the ratios: the two tables bear each other out
  it.each([
    ['Morse 0', 0.6246, 0.3561],
    ['Morse 1', 0.59858, 0.475],
    ['Morse 2', 0.59941, 0.7],
    ['Morse 3', 0.60235, 0.938],
    ['Morse 4', 0.62326, 1.231],
    ['Morse 5', 0.63151, 1.748],
    ['Morse 6', 0.62565, 2.494],
    ['Morse 7', 0.624, 3.27],
  ])('%s is %d on a foot and %d at its gauge line', (name, perFoot, inch) => {
    const taper = taperNamed(name)!;
    expect(12 * taper.perLength.valueOf()).toBeCloseTo(perFoot, 4);
    expect(taper.sizeMm! / 25.4).toBeCloseTo(inch, 3);
  });
  it('have their sizes by the numbers', () => {
    expect(taperNamed('Jarno 6')).toMatchObject({ sizeMm: 19.05, lengthMm: 76.2 });
    expect(taperNamed('metric 100')).toMatchObject({ sizeMm: 100, lengthMm: 232 });
    expect(taperNamed('7:24 50')!.sizeMm).toBe(69.85);
    expect(taperNamed('1/2/ft 7')!.sizeMm).toBeCloseTo(15.24, 9);
    expect(taperNamed('Morse 9')).toBeUndefined();
    // the short ones of chucks are pieces of the Morse tapers
    for (const [short, whole] of [
      ['B12', 'Morse 1'],
      ['B18', 'Morse 2'],
      ['B24', 'Morse 3'],
    ] as const) {
      expect(taperNamed(short)!.sizeMm).toBe(taperNamed(whole)!.sizeMm);
      expect(taperNamed(short)!.perLength.equals(taperNamed(whole)!.perLength)).toBe(true);
    }
    // what is left at the other end is more than nothing
    for (const t of NAMED_TAPERS)
      if (t.sizeAt === 'large' && t.sizeMm && t.lengthMm)
        expect(t.sizeMm - t.perLength.valueOf() * t.lengthMm).toBeGreaterThan(0.6 * t.sizeMm);
  });
  it('hold by themselves or come loose', () => {
    expect(holdsItself(2.9)).toBe('holds');
    expect(holdsItself(16.6)).toBe('releases');
    expect(holdsItself(11)).toBe('between');
  });
});

describe('a cone’s angle tolerance', () => {
  // ISO 1947, microradians and µm on the diameter at the longest cone of a range
  it.each([
    [1, 8, 50],
    [7, 100, 250],
    [7, 80, 250],
    [5, 125, 80],
    [12, 500, 1000],
    [3, 20, 80],
    [8, 63, 500],
  ])('AT%d of %d mm is %d µrad', (grade, lengthMm, microradians) => {
    expect(angleGrade(grade, lengthMm)).toEqual({ microradians, overLengthUm: (microradians * lengthMm) / 1000 });
  });
  it('is none beyond the table, and tells what an angle is within', () => {
    expect(angleGrade(7, 6)).toBeUndefined();
    expect(angleGrade(13, 60)).toBeUndefined();
    expect(gradeWithin(124e-6, 80)).toBe(7);
    expect(gradeWithin(126e-6, 80)).toBe(8);
    expect(gradeWithin(1, 80)).toBeUndefined();
  });
});

describe('stations along a cone', () => {
  const stations = (off: readonly number[] = []) =>
    [5, 30, 55, 80, 95].map((zMm, i) => ({ zMm, diameterMm: 30 - 0.05 * zMm + (off[i] ?? 0), uncertaintyMm: 0.004 }));
  it('lie in a line whose slope and size are told with their doubt', () => {
    const cone = fitCone(stations())!;
    expect(cone.perLength).toBeCloseTo(-0.05, 10);
    expect(cone.diameterAtMm(0)).toBeCloseTo(30, 9);
    // 0.004 over the spread of the places: 0.004/√Σ(z − z̄)²
    expect(cone.doubtPerLength).toBeCloseTo(0.004 / Math.sqrt(48 ** 2 + 23 ** 2 + 2 ** 2 + 27 ** 2 + 42 ** 2), 6);
    expect(cone.straightMm).toBeCloseTo(0, 9);
    expect(cone.doubtful).toBeUndefined();
    expect(fitCone(stations().slice(0, 1))).toBeUndefined();
  });
  it('with one slip name it, and a belly is no slip', () => {
    expect(fitCone(stations([0, 0, 0.1]))!.doubtful).toBe(2);
    expect(fitCone(stations([0, 0, 0, 0.05]))!.doubtful).toBe(3);
    const belly = fitCone(stations([0, 0.03, 0.04, 0.03, 0]))!;
    expect(belly.doubtful).toBeUndefined();
    expect(belly.straightMm).toBeGreaterThan(0.03);
    // scatter beyond the gauge’s own doubt widens the slope’s
    expect(belly.doubtPerLength).toBeGreaterThan(2 * fitCone(stations())!.doubtPerLength);
  });
  it('of a worn cone tell what it probably was', () => {
    const morse3 = [0, 20, 40, 60].map((zMm) => ({
      ...{ zMm, diameterMm: 23.75 - zMm / 19.922 - 0.003, uncertaintyMm: 0.01 },
    }));
    const cone = fitCone(morse3)!;
    const [first] = identifyTaper(cone, 60, 23.75 - 60 / 19.922, 23.75);
    expect(first!.taper.name).toBe('Morse 3');
    const steep = fitCone([0, 10, 20].map((zMm) => ({ zMm, diameterMm: 44 - (7 / 24) * zMm, uncertaintyMm: 0.01 })))!;
    expect(identifyTaper(steep, 20, 38.2, 44)[0]!.taper.name).toMatch(/^7:24/);
  });
});

describe('limits of the diameter all along a cone', () => {
  it('let its ends lie at opposite limits, and a gauge stand by half of them', () => {
    // ISO 3040: 0.04 over 80 is 0.5 mrad either way; AT8 of 80 mm is 400 µrad in all, AT10 1000, AT11 1600
    expect(coneZone(0.04, 80, 0.05)).toEqual({ microradians: 500, grade: 10, gaugeMm: expect.closeTo(0.4, 9) });
    expect(coneZone(0.0001, 80, 0.05).grade).toBeUndefined();
    expect(coneZone(0.04, 80, -0.05).gaugeMm).toBeCloseTo(0.4, 9);
  });
});
