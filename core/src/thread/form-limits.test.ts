import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  boreForShareMm,
  formOf,
  identifyThread,
  type NamedThread,
  readThread,
  runOutGroove,
  type Side,
  shareOfBore,
  THREAD_FORMS,
  threadChamferMm,
  threadLimits,
  tipLimitsMm,
} from './index.ts';

const IN = 25.4;
const of = (text: string): NamedThread => {
  const read = readThread(text);
  if (!read.ok) throw new Error(`${text}: ${read.why}`);
  return read.thread;
};
/** Upper and lower of each diameter in mm, or what has only one. */
const sizes = (text: string, side: Side, close: string) => {
  const { pitchDiameter, major, minor } = threadLimits(of(text), side, close)!;
  const pair = (l: { upperMm: number; lowerMm: number } | { leastMm: number } | { basicMm: number }): number[] =>
    'upperMm' in l ? [l.upperMm, l.lowerMm] : Object.values(l);
  return { pitchDiameter: pair(pitchDiameter), major: pair(major), minor: pair(minor) };
};
const near = (all: readonly number[], by = 3) => all.map((mm) => expect.closeTo(mm, by));

describe('limits of the other forms', () => {
  it.each([
    // ISO 2903 and 2904
    ['Tr 8x1.5', 'outside', '7e', [7.183, 7.013]],
    ['Tr 8x1.5', 'inside', '7H', [7.474, 7.25]],
    ['Tr 24x8', 'outside', '7e', [19.868, 19.493]],
    ['Tr 24x8', 'inside', '7H', [20.5, 20]],
    ['Tr 24x5', 'outside', '8c', [21.5 - 0.212, 21.5 - 0.212 - 0.375]],
    ['Tr 36x6', 'inside', '9H', [33 + 0.71, 33]],
  ] as const)('%s %s %s has the published pitch diameter', (text, side, close, pitch) => {
    expect(sizes(text, side, close).pitchDiameter).toEqual(near(pitch));
  });
  it('of trapezoidal crests go by grade 4', () => {
    expect(sizes('Tr 12x3', 'outside', '7e').major).toEqual(near([12, 11.764]));
    expect(sizes('Tr 32x6', 'inside', '7H').minor).toEqual(near([26.5, 26]));
    expect(sizes('Tr 52x8', 'inside', '7H').major).toEqual([53]);
    expect(sizes('Tr 40x10', 'outside', '7e').minor[0]).toBeCloseTo(29, 6);
    expect(threadLimits(of('Tr 24x5'), 'outside', '6e')).toBeUndefined();
    expect(threadLimits(of('Tr 24x5'), 'inside', '7e')).toBeUndefined();
  });
  it.each([
    // ASME B1.5 and B1.8, inches
    ['1/2-10 ACME', '2G', [0.4443, 0.4306], [0.5, 0.495], [0.38, 0.3594], [0.4637, 0.45], [0.405, 0.4], 0.52],
    ['1 1/2-4 ACME', '2G', [1.3652, 1.3429], [1.5, 1.4875], [1.23, 1.1965], [1.3973, 1.375], [1.2625, 1.25], 1.52],
    ['4-2 ACME', '2G', [3.734, 3.7008], [4, 3.975], [3.48, 3.4302], [3.7832, 3.75], [3.525, 3.5], 4.02],
    ['1-5 ACME', '4G', [0.896, 0.8895], [1, 0.99], [0.78, 0.7702], [0.9065, 0.9], [0.81, 0.8], 1.02],
    // biome-ignore lint/suspicious/noApproximativeNumericConstant: a limit of a table
    ['3/4-6 Stub Acme', '2G', [0.6931, 0.6756], [0.75, 0.7417], [0.63, 0.6039], [0.7174, 0.7], [0.6583, 0.65], 0.77],
  ] as const)('%s %s are those of the tables', (text, close, pitch, major, minor, nut, bore, nutMajor) => {
    const inches = (all: readonly number[]) => all.map((mm) => mm / IN);
    const out = sizes(text, 'outside', close);
    expect(inches(out.pitchDiameter)).toEqual(near(pitch, 4));
    expect(inches(out.major)).toEqual(near(major, 4));
    expect(inches(out.minor)).toEqual(minor.map((inch) => expect.closeTo(inch, 3)));
    const inside = sizes(text, 'inside', close);
    expect(inches(inside.pitchDiameter)).toEqual(near(nut, 4));
    expect(inches(inside.minor)).toEqual(near(bore, 4));
    expect(inches(inside.major)).toEqual(near([nutMajor], 4));
  });
  it('of centralizing Acme threads are close at the crests', () => {
    const thread = { ...of('1-5 ACME'), form: 'acmeCentralizing' as const };
    const found = threadLimits(thread, 'outside', '2C')!;
    expect(found.major).toEqual({ upperMm: 25.4, lowerMm: expect.closeTo(0.9965 * IN, 4) });
    expect(threadLimits(thread, 'inside', '2C')!.major).toEqual({ leastMm: expect.closeTo(1.001 * IN, 4) });
    expect(threadLimits(thread, 'outside', '2G')).toBeUndefined();
    expect(threadLimits(of('1-5 ACME'), 'outside', '2C')).toBeUndefined();
  });
  it.each([
    // BS 84 basic sizes, inches: pitch diameter and minor
    ['1/4-20 BSW', 0.218, 0.186],
    ['9/16-12 BSW', 0.5091, 0.4558],
    ['1 1/8-7 BSW', 1.0335, 0.942],
    ['3/16-32 BSF', 0.1675, 0.1475],
    ['1/2-16 BSF', 0.46, 0.42],
    ['1-10 BSF', 0.936, 0.8719],
  ])('%s has its basic sizes', (text, pitch, minor) => {
    expect(of(text).pitchDiameterMm / IN).toBeCloseTo(pitch, 4);
    expect(of(text).minorMm / IN).toBeCloseTo(minor, 3);
  });
  it('of Whitworth threads widen from close by medium to free, by the standard’s formula', () => {
    const t = (0.002 * Math.cbrt(0.5) + 0.003 * Math.sqrt(0.5) + 0.005 * Math.sqrt(1 / 12)) * IN;
    for (const [close, share] of [
      ['close', 2 / 3],
      ['medium', 1],
      ['free', 1.5],
    ] as const) {
      const [upper, lower] = sizes('1/2-12 BSW', 'outside', close).pitchDiameter as [number, number];
      expect(upper - lower).toBeCloseTo(share * t, 4);
      expect(upper).toBeCloseTo(of('1/2-12 BSW').pitchDiameterMm, 4);
    }
  });
  it('of pipe threads are those of ISO 228: G 1/2 A 19.793 to 19.651, nut 19.793 to 19.935, bore 18.631 to 19.172', () => {
    expect(sizes('G 1/2', 'outside', 'A').pitchDiameter).toEqual(near([19.793, 19.651]));
    expect(sizes('G 1/2', 'outside', 'B').pitchDiameter).toEqual(near([19.793, 19.509]));
    expect(sizes('G 1/2', 'outside', 'A').major).toEqual(near([20.955, 20.671]));
    expect(sizes('G 1/2', 'inside', '').pitchDiameter).toEqual(near([19.935, 19.793]));
    expect(sizes('G 1/2', 'inside', '').minor).toEqual(near([19.172, 18.631], 2));
    expect(
      sizes('G 2 1/2', 'outside', 'A').pitchDiameter[0]! - sizes('G 2 1/2', 'outside', 'A').pitchDiameter[1]!,
    ).toBeCloseTo(0.217, 6);
  });
  it('of BA threads are a tenth of the pitch and a little', () => {
    const [upper, lower] = sizes('0 BA', 'outside', 'normal').pitchDiameter as [number, number];
    expect([upper, lower]).toEqual(near([5.4 - 0.025, 5.4 - 0.025 - 0.125]));
    expect(sizes('0 BA', 'inside', 'normal').minor).toEqual(near([4.8 + 0.375, 4.8]));
  });
  it('of a taper thread are a turn of its gauge either way, and it knows its pitch diameter in the gauge plane', () => {
    // ASME B1.20.1: 1/2-14 NPT E1 = 0.77843 in; 1/8-27 E1 = 0.37360
    expect(of('1/2-14 NPT').pitchDiameterMm / IN).toBeCloseTo(0.77843, 4);
    expect(of('1/8 NPT').pitchDiameterMm / IN).toBeCloseTo(0.3736, 4);
    const [upper, lower] = sizes('R 1/2', 'outside', '').pitchDiameter as [number, number];
    expect(upper - lower).toBeCloseTo((2 * 25.4) / 14 / 16, 6);
    expect(formOf(of('R 1/2')).taperShare).toBe(1 / 16);
  });
  it('of what has no table follow the formulas of metric threads', () => {
    // where both are, they lie beside each other
    const table = sizes('M20x2', 'outside', '6g').pitchDiameter as [number, number];
    const formula = threadLimits({ ...of('M20x2'), form: 'own', includedDeg: 60 }, 'outside', '6g')!.pitchDiameter;
    expect(formula.upperMm).toBeCloseTo(table[0], 2);
    expect(formula.lowerMm).toBeCloseTo(table[1], 1);
    expect(threadLimits(of('M20x3'), 'outside', '6g')!.pitchDiameter.upperMm).toBeCloseTo(20 - 0.6495 * 3 - 0.048, 2);
    expect(threadLimits(of('Sq 30x6'), 'inside', '')!.side).toBe('inside');
  });
  it('are the drawing’s own where it gives two deviations of the pitch diameter', () => {
    const { pitchDiameter } = threadLimits(of('Tr 24x5'), 'outside', '-0.1/-0.25')!;
    expect(pitchDiameter).toEqual({ upperMm: expect.closeTo(21.4, 9), lowerMm: expect.closeTo(21.25, 9) });
  });
  it('of a fit are those of the side', () => {
    expect(threadLimits(of('M12'), 'inside', '6H/6g')).toEqual(threadLimits(of('M12'), 'inside', '6H'));
    expect(threadLimits(of('M12'), 'outside', '6H/6g')).toEqual(threadLimits(of('M12'), 'outside', '6g'));
    expect(threadLimits(of('M12-7g6g'), 'outside')).toEqual(threadLimits(of('M12'), 'outside', '7g6g'));
  });
});

describe('every form', () => {
  const one: Readonly<Record<(typeof THREAD_FORMS)[number], string>> = {
    ...{ metric: 'M20', unified: '3/4-10', whitworth: '3/4 BSW', pipe: 'G 3/4', taperPipe: 'R 3/4', npt: '3/4 NPT' },
    ...{
      ba: '0 BA',
      trapezoidal: 'Tr 24x5',
      acme: '1-5 ACME',
      acmeCentralizing: '1-5 ACME',
      stubAcme: '1-5 Stub Acme',
    },
    ...{ square: 'Sq 24x5', buttress: '1-5 Butt', sawtooth: 'S 24x5', round: 'Rd 24x1/8', own: '20x2 50°' },
  };
  it.each(THREAD_FORMS)(
    '%s: every class is in order, crests outside its root, a groove and a chamfer past it',
    (form) => {
      const thread = { ...of(one[form]), form };
      for (const side of ['outside', 'inside'] as const) {
        for (const close of formOf(thread).classes[side]) {
          const limits = threadLimits(thread, side, close);
          expect([close, limits?.side]).toEqual([close, side]);
          const { pitchDiameter, major, minor } = limits!;
          expect(pitchDiameter.upperMm).toBeGreaterThan(pitchDiameter.lowerMm);
          const crest = side === 'outside' ? major : minor;
          if ('upperMm' in crest) expect(crest.upperMm).toBeGreaterThan(crest.lowerMm);
          const [outer, inner] = side === 'outside' ? [crest, pitchDiameter] : [pitchDiameter, crest];
          if ('lowerMm' in outer && 'upperMm' in inner)
            expect(outer.lowerMm).toBeGreaterThan(inner.upperMm - 0.3 * thread.pitchMm);
        }
        const groove = runOutGroove(thread, side);
        const chamfer = threadChamferMm(thread, side);
        if (side === 'outside') expect(Math.max(groove.floorMm, chamfer)).toBeLessThan(thread.minorMm);
        else expect(Math.min(groove.floorMm, chamfer)).toBeGreaterThan(thread.majorMm - 1e-9);
        // what the form's own tool ends in is allowed
        const own = formOf(thread).tip(thread.pitchMm, side);
        const most = tipLimitsMm(thread, side);
        if (own.kind === 'flat') expect(own.flatMm).toBeLessThanOrEqual(most.flatMm + 1e-6);
        else expect(own.radiusMm).toBeLessThanOrEqual(most.radiusMm + 1e-6);
      }
    },
  );
});

describe('a hole before its thread', () => {
  it('leaves the share that was asked for', () => {
    // M10 coarse: 8.5 leaves about 92 % of the height to the basic bore
    expect(shareOfBore(of('M10'), 8.5)).toBeCloseTo(0.924, 3);
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 1, noNaN: true }), (share) => {
        expect(shareOfBore(of('1/2-13'), boreForShareMm(of('1/2-13'), share))).toBeCloseTo(share, 9);
      }),
    );
  });
});

describe('a worn thread', () => {
  const names = (worn: Parameters<typeof identifyThread>[0]) => identifyThread(worn).map((l) => l.name);
  it('is found by its pitch over a length and its crests', () => {
    expect(names({ side: 'outside', diameterMm: 19.8, pitchCount: 10, overMm: 25, byMm: 0.2 })[0]).toBe('M20');
    expect(names({ side: 'outside', diameterMm: 12.6, pitchCount: 13, overMm: 25.4, byMm: 0.2 })[0]).toBe('1/2-13 UNC');
    expect(names({ side: 'inside', diameterMm: 10.3, pitchCount: 8, overMm: 14, byMm: 0.3 })[0]).toBe('M12');
  });
  it('is told with its doubt where two systems are near, and a gauge of the angle decides', () => {
    const worn = { side: 'outside', diameterMm: 12.55, pitchCount: 12, overMm: 25.4, byMm: 0.3 } as const;
    const likely = identifyThread(worn);
    expect(likely.map((l) => l.name)).toContain('1/2-12 BSW');
    expect(likely.reduce((sum, l) => sum + l.share, 0)).toBeLessThanOrEqual(1 + 1e-9);
    expect(names({ ...worn, includedDeg: 55 })[0]).toBe('1/2-12 BSW');
    expect(names({ ...worn, includedDeg: 60 })).not.toContain('1/2-12 BSW');
  });
  it('that is like nothing is not made up', () => {
    expect(names({ side: 'outside', diameterMm: 19.8, pitchCount: 10, overMm: 91, byMm: 0.2 })).toEqual([]);
  });
});
