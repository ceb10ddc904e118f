import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { edgeOf, insides, outsides, resolveDrawing, type WornSketch, type WornSurface } from '../part/index.ts';
import { mm } from '../testing/shop.ts';
import { nominalGuesses } from './nominal.ts';
import { areReadings, wornReadings } from './readings.ts';
import { drawingOfWorn, lengthGuesses, nextAsk, seeCircle, seeSurface } from './sketch.ts';
import { centreDistanceMm, holeCircleMm } from './spans.ts';

const surface = (id: string, change: Partial<WornSurface>): WornSurface => ({
  ...{
    id,
    where: 'outside',
    name: '',
    instrumentId: null,
    readings: '',
    state: 'worn',
    nominal: mm(''),
    length: mm('20'),
  },
  mate: { measured: mm(''), least: '0.02', most: '0.05' },
  ...change,
});

describe('what a worn size was made to', () => {
  it.each([
    // read, of, wear → likeliest
    [24.87, 'outside', 'worn', '25', 'mm'],
    [22.1, 'outside', 'worn', '7/8', 'in'],
    [31.68, 'outside', 'worn', '1 1/4', 'in'],
    [30.12, 'inside', 'worn', '30', 'mm'],
    [12.75, 'inside', 'worn', '1/2', 'in'],
    [19.99, 'outside', 'sound', '20', 'mm'],
    [19.05, 'outside', 'sound', '3/4', 'in'],
  ] as const)('%d %s, %s: %s %s', (read, of, wear, text, unit) => {
    expect(nominalGuesses(read, of, wear)[0]!.size).toEqual({ text, unit });
  });
  it('leans to the system of the rest of the part', () => {
    expect(nominalGuesses(18.745, 'outside', 'worn')[0]!.size.unit).toBe('mm');
    expect(nominalGuesses(18.745, 'outside', 'worn', 'in')[0]!.size).toEqual({ text: '3/4', unit: 'in' });
  });
  it('offers both systems, and never a shaft that would have grown by wear', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 150, noNaN: true }),
        fc.constantFrom('outside' as const, 'inside' as const),
        (read, of) => {
          const guesses = nominalGuesses(read, of, 'worn');
          expect(guesses.some((g) => g.size.unit === 'mm') && guesses.some((g) => g.size.unit === 'in')).toBe(true);
          for (const g of guesses) expect(of === 'outside' ? g.offMm : -g.offMm).toBeGreaterThanOrEqual(-0.0600001);
          expect(guesses.map((g) => g.score)).toEqual(guesses.map((g) => g.score).toSorted((a, b) => a - b));
        },
      ),
    );
  });
});

describe('readings in a line', () => {
  it.each([
    ['24.87 24.91 24.9', [24.87, 24.91, 24.9]],
    ['24,87; 24,91', [24.87, 24.91]],
    ['1 3/8in; 34.9', [34.925, 34.9]],
    ['1 3/8in 34.9', [34.925, 34.9]],
    ['.979in, .981in', [24.8666, 24.9174]],
    ['  ', undefined],
  ])('%s', (text, expected) => {
    const read = wornReadings(text, 'mm');
    if (!expected) expect(read).toBeUndefined();
    else expect(areReadings(read) && read.mm.map((x) => Number(x.toFixed(6)))).toEqual(expected);
  });
  it('name the one that cannot be read', () => {
    expect(wornReadings('24.8; about 25', 'mm')).toMatchObject({ code: 'length.notALength', value: 'about' });
  });
});

describe('hole centres from spans', () => {
  it('over outsides a diameter less, between insides one more', () => {
    expect(centreDistanceMm(55, 'outsides', 6, 6)).toBe(49);
    expect(centreDistanceMm(43, 'insides', 6, 6)).toBe(49);
    expect(centreDistanceMm(49, 'centres', 6, 6)).toBe(49);
    expect(centreDistanceMm(54, 'outsides', 6, 4)).toBe(49);
    expect(centreDistanceMm(5, 'outsides', 6, 6)).toBeUndefined();
  });
  it('give the circle from neighbours and from opposite ones alike', () => {
    for (const count of [2, 3, 4, 5, 6, 8, 12]) {
      const at = (k: number) =>
        [30 * Math.cos((2 * Math.PI * k) / count), 30 * Math.sin((2 * Math.PI * k) / count)] as const;
      const [a, b, c] = [at(0), at(1), at(count / 2)];
      expect(holeCircleMm(Math.hypot(a[0] - b[0], a[1] - b[1]), count, 'neighbours')).toBeCloseTo(60, 5);
      if (count % 2 === 0)
        expect(holeCircleMm(Math.hypot(a[0] - c[0], a[1] - c[1]), count, 'opposite')).toBeCloseTo(60, 5);
      else expect(holeCircleMm(10, count, 'opposite')).toBeUndefined();
    }
  });
});

describe('a sketch of a worn part', () => {
  const sketch: WornSketch = {
    surfaces: [
      surface('f1', { readings: '22.15 22.18; 22.2', name: 'Seat', length: { text: '1 3/8', unit: 'in' } }),
      surface('f2', { state: 'mate', mate: { measured: mm('30.02'), least: '0.02', most: '0.05' }, length: mm('40') }),
      surface('h1', { where: 'left', readings: '10.2 10.31', length: mm('') }),
    ],
    circles: [
      { id: 'e1', count: 4, way: 'neighbours', of: 'outsides', span: mm('21.556'), hole: mm('4'), side: 'right' },
    ],
  };
  it('takes of a shaft the largest reading, of a hole the smallest', () => {
    expect(seeSurface(sketch.surfaces[0]!, 'mm')).toMatchObject({
      readings: { largestMm: 22.2 },
      size: { text: '7/8', unit: 'in' },
    });
    expect(seeSurface(sketch.surfaces[2]!, 'mm').size).toEqual(mm('10'));
  });
  it.each([
    // not worn: as read, unless whole millimetres or sixteenths lie within 0.03, halves within a hundredth
    ['23.40', '23.4', 'mm'],
    ['24.98', '25', 'mm'],
    ['19.06', '3/4', 'in'],
    ['12.49', '12.5', 'mm'],
    ['12.47', '12.47', 'mm'],
    ['17.86', '17.86', 'mm'],
  ])('keeps a sound %s as %s %s', (readings, text, unit) => {
    expect(seeSurface(surface('f1', { readings, state: 'sound' }), 'mm').size).toEqual({ text, unit });
  });
  it('offers round lengths next to what was measured', () => {
    const told = (text: string) => lengthGuesses(surface('f1', { length: mm(text) }), 'mm').map((g) => g.size.text);
    expect(told('39.8')).toContain('40');
    expect(told('34.9')).toEqual(expect.arrayContaining(['35', '1 3/8']));
    expect([told(''), told('40'), told('34.925')]).toEqual([[], [], []]);
  });
  it('has edges, necks, counterbores and holes across, their angles by a span round the outside', () => {
    const radial = { place: mm('12'), hole: mm('5'), depth: mm(''), of: 'outsides' as const, span: mm('') };
    const drawing = drawingOfWorn(
      {
        surfaces: [
          surface('f1', {
            ...{ readings: '40', length: mm('25'), edges: { left: '1x45', right: '' } },
            undercut: { from: 'right', width: mm('3'), floor: mm('36') },
          }),
          surface('f2', { readings: '50', length: mm('10'), edges: { left: '', right: 'R2' } }),
          surface('h1', { where: 'right', readings: '20', length: mm('8'), made: 'counterbored' }),
          surface('h2', { where: 'right', readings: '10', length: mm(''), made: 'drilled' }),
        ],
        circles: [],
        // a quarter round Ø40 away: chord 40/√2, over holes of 5
        radials: [
          { ...radial, id: 'r1' },
          { ...radial, id: 'r2', span: mm('33.284') },
        ],
      },
      'mm',
    );
    const { part, problems } = resolveDrawing(drawing);
    expect(problems).toEqual([]);
    expect(edgeOf(part, 'f1', 'left')).toMatchObject({ kind: 'chamfer', lengthMm: 1 });
    expect(edgeOf(part, 'f2', 'right')).toMatchObject({ kind: 'round', radiusMm: 2 });
    expect(part.surfaces.find((s) => s.kind === 'groove')).toMatchObject({
      of: 'f1',
      zFromMm: 22,
      zToMm: 25,
      floorMm: 36,
    });
    expect(insides(part).map((b) => b.made)).toEqual(expect.arrayContaining(['counterbored', 'drilled']));
    const holes = part.surfaces.filter((s) => s.kind === 'hole');
    expect(holes.map((h) => h.anglesDeg[0]!)).toEqual([0, expect.closeTo(90, 1)]);
  });
  it('becomes a drawing without a fault, the mated size following its mate', () => {
    const drawing = drawingOfWorn({ ...sketch, circles: [] }, 'mm');
    const { part, problems } = resolveDrawing(drawing);
    expect(problems).toEqual([]);
    expect(part.lengthMm).toBeCloseTo(34.925 + 40, 9);
    expect(outsides(part)[1]!.limits).toEqual({ upperMm: 30, lowerMm: 29.97, how: 'mate' });
    expect(insides(part)[0]).toMatchObject({ diameterMm: 10, through: true });
    expect(drawing.worn!.surfaces[0]!.readings).toBe('22.15 22.18; 22.2');
  });
  it('finds the circle of its holes', () => {
    expect(seeCircle(sketch.circles[0]!)).toBeCloseTo(24.829, 2);
    expect(drawingOfWorn(sketch, 'mm').endView.holes[0]).toMatchObject({ count: 4, place: { text: '24.83' } });
  });
  it('asks for what is open, surface by surface', () => {
    const open = (change: Partial<WornSurface>) =>
      nextAsk({ surfaces: [surface('f1', change)], circles: [] }, 'mm')?.ask;
    expect(open({})).toBe('readings');
    expect(open({ state: 'mate' })).toBe('mate');
    expect(open({ readings: '20', length: mm('') })).toBe('length');
    expect(nextAsk(sketch, 'mm')).toBeUndefined();
  });
});
