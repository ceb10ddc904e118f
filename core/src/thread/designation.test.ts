import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readThread } from './designation.ts';
import { nameInSeries, nearThreads } from './near.ts';
import { series } from './standard/series.ts';

const named = (text: string) => {
  const read = readThread(text);
  return read.ok ? [read.thread.form, read.thread.majorMm, read.thread.pitchMm, read.thread.starts] : [read.why];
};

describe('the name of a thread', () => {
  it.each([
    ['M20', 'metric', 20, 2.5],
    ['M 6', 'metric', 6, 1],
    ['M6', 'metric', 6, 1],
    ['M20x1.5', 'metric', 20, 1.5],
    ['M20 × 1,5', 'metric', 20, 1.5],
    ['M20x2.5-6g', 'metric', 20, 2.5],
    ['M1.6', 'metric', 1.6, 0.35],
    ['Tr 24x5', 'trapezoidal', 24, 5],
    ['Tr24x5-7e', 'trapezoidal', 24, 5],
    ['1/2-13', 'unified', 12.7, 25.4 / 13],
    ['1/4-20 UNC', 'unified', 6.35, 1.27],
    ['3/8-24UNF-2A', 'unified', 9.525, 25.4 / 24],
    ['#10-24', 'unified', 4.826, 25.4 / 24],
    ['1 1/8-7', 'unified', 28.575, 25.4 / 7],
    ['1/2-12 BSW', 'whitworth', 12.7, 25.4 / 12],
    ['1-5 ACME', 'acme', 25.4, 5.08],
    ['G 1/2', 'pipe', 20.955, 25.4 / 14],
    ['R 3/4', 'taperPipe', 26.441, 25.4 / 14],
    ['Rp 3/4', 'pipe', 26.441, 25.4 / 14],
    ['1/2 BSP', 'pipe', 20.955, 25.4 / 14],
    ['1/2-14 BSPT', 'taperPipe', 20.955, 25.4 / 14],
    ['M12', 'metric', 12, 1.75],
    ['m 12x1', 'metric', 12, 1],
    ['1/2 13', 'unified', 12.7, 25.4 / 13],
    ['½-13 UNC-2A', 'unified', 12.7, 25.4 / 13],
    ['1/2" UNF', 'unified', 12.7, 25.4 / 20],
    ['1½-6 UNC', 'unified', 38.1, 25.4 / 6],
    ['1-1/2-6', 'unified', 38.1, 25.4 / 6],
    ['2 1/4-4 1/2 UNC', 'unified', 57.15, 25.4 / 4.5],
    ['3/8 BSF', 'whitworth', 9.525, 25.4 / 20],
    ['1/4-40 Whit', 'whitworth', 6.35, 25.4 / 40],
    ['W 1/2-12', 'whitworth', 12.7, 25.4 / 12],
    ['5/8-8 ACME-3G', 'acme', 15.875, 25.4 / 8],
    ['3/4-6 Stub Acme', 'stubAcme', 19.05, 25.4 / 6],
    ['Rd 40x1/6', 'round', 40, 25.4 / 6],
    ['S 40x7', 'sawtooth', 40, 7],
    ['Sq 30x6', 'square', 30, 6],
    ['2.5-8 Butt', 'buttress', 63.5, 25.4 / 8],
    ['20x2 50°', 'own', 20, 2],
    ['Ø20x1,5 47.5 deg', 'own', 20, 1.5],
    ['2BA', 'ba', 4.7, 0.81],
  ] as const)('%s is %s of %d with a pitch of %d', (text, form, major, pitch) => {
    const [f, d, p, starts] = named(text);
    expect(f).toBe(form);
    expect(d).toBeCloseTo(major, 6);
    expect(p).toBeCloseTo(pitch, 6);
    expect(starts).toBe(1);
  });
  it('says how many starts it has, where its lead and its pitch are given', () => {
    expect(named('Tr 20x8(P4)')).toEqual(['trapezoidal', 20, 4, 2]);
    expect(named('Tr 40 x 14 P7')).toEqual(['trapezoidal', 40, 7, 2]);
    expect(named('M16xPh3P1.5')).toEqual(['metric', 16, 1.5, 2]);
    expect(named('1/2-13 UNC 2 start')).toEqual(['unified', 12.7, expect.closeTo(25.4 / 13, 9), 2]);
    expect(named('Tr 40x14(P7) double-start')).toEqual(['trapezoidal', 40, 7, 2]);
    expect(named('Tr 20x9(P4)')).toEqual(['leadNotPitch']);
  });
  it('has its hand, its class and its list taken out of it', () => {
    const said = (text: string) => {
      const read = readThread(text);
      return read.ok ? [read.thread.hand, read.thread.class, read.thread.series] : [read.why];
    };
    expect(said('M20x1.5-6g LH')).toEqual(['left', '6g', 'fine']);
    expect(said('Tr 24x5 LH - 7e')).toEqual(['left', '7e', 'Tr']);
    expect(said('Tr24x5LH')).toEqual(['left', undefined, 'Tr']);
    expect(said('M12 left hand')).toEqual(['left', undefined, 'coarse']);
    expect(said('M12-6H/6g')).toEqual([undefined, '6H/6g', 'coarse']);
    expect(said('1/2-13 UNC-2A')).toEqual([undefined, '2A', 'UNC']);
    expect(said('1/2-13 UNC-2A-LH')).toEqual(['left', '2A', 'UNC']);
    expect(said('5/8-8 ACME-3G')).toEqual([undefined, '3G', 'Acme']);
    expect(said('1/2-12 BSW medium')).toEqual([undefined, 'medium', 'BSW']);
    expect(said('G 3/4 A')).toEqual([undefined, 'A', 'G']);
    // a pitch that no list has
    expect(said('M20x3')).toEqual([undefined, undefined, undefined]);
    expect(said('1/2-14')).toEqual([undefined, undefined, undefined]);
  });
  it('reads every thread of every list by the name that it is suggested by', () => {
    for (const list of series)
      for (const [size, ...pitches] of list.rows)
        for (const pitch of pitches) {
          const name = nameInSeries(list, size, pitch);
          const read = readThread(name);
          expect([name, read.ok && read.thread.form]).toEqual([name, list.form]);
          const mm = list.unit === 'mm' ? pitch : 25.4 / pitch;
          expect([name, read.ok && read.thread.pitchMm]).toEqual([name, expect.closeTo(mm, 9)]);
        }
  });
  it('never throws, and is in order whatever it says', () => {
    const pieces = [
      'M',
      'Tr',
      '1/2',
      '20',
      'x',
      '-',
      ' ',
      '13',
      'UNC',
      '2A',
      'LH',
      '(P4)',
      '/',
      '°',
      '#',
      '.',
      '½',
      'BSW',
      '0',
      '6g',
    ];
    const texts = fc.oneof(
      fc.string(),
      fc.array(fc.constantFrom(...pieces), { maxLength: 9 }).map((all) => all.join('')),
    );
    fc.assert(
      fc.property(texts, (text) => {
        const read = readThread(text);
        if (read.ok) {
          const { majorMm, pitchMm, minorMm, holeMm, starts } = read.thread;
          expect(Math.min(majorMm, pitchMm, minorMm, holeMm, starts)).toBeGreaterThan(0);
          expect(majorMm).toBeGreaterThan(holeMm);
        }
        expect(nearThreads(text).length).toBeLessThanOrEqual(3);
      }),
      { numRuns: 600 },
    );
    expect(readThread('M1x5')).toEqual({ ok: false, why: 'tooCoarse' });
  });
  it.each([
    ['M23', ['M22', 'M24']],
    ['M20x3', ['M20x2', 'M20x1']],
    ['Tr 25x5', ['Tr 24x5', 'Tr 26x5']],
    ['1/2-14 UNC', ['1/2-13 UNC']],
    ['1/2-13 UNX', ['1/2-13 UNC']],
    ['G 9/16', ['G 1/16']],
  ])('%s is answered with the nearest that there are', (text, near) => {
    expect(nearThreads(text, near.length)).toEqual(near);
  });
  it('is not made up: what is of no family stays unread', () => {
    for (const text of ['', 'thread', 'M', 'M20x', 'X5', '1/2', 'M-6', 'Tr 24'])
      expect(readThread(text).ok).toBe(false);
    expect(named('M23')).toEqual(['noPitch']);
    expect(named('G 9/16')).toEqual(['unknown']);
  });
  it('has the root and the hole of its standard', () => {
    const of = (text: string) => {
      const read = readThread(text);
      return read.ok ? [read.thread.minorMm, read.thread.holeMm] : [];
    };
    // ISO 724: M20 minor of the hole 17.294; ISO 2904: Tr 24x5 d3 18.5, D1 19; ISO 228: G 1/2 minor 18.631
    expect(of('M20')[1]).toBeCloseTo(17.294, 2);
    expect(of('M20')[0]).toBeCloseTo(16.933, 2);
    expect(of('Tr 24x5')).toEqual([18.5, 19]);
    expect(of('G 1/2')[0]).toBeCloseTo(18.631, 2);
  });
});
