import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Drawing, emptyBoreStep, PATTERNS, patternDrawing, resolveDrawing } from '../part/index.ts';
import { drawingOf, feature, mm } from '../testing/shop.ts';
import { clearOf, overlap } from './clear.ts';
import { hatchLines } from './hatch.ts';
import { fitted, PAPERS, type PaperName } from './paper.ts';
import { drawingSheets, SCALES } from './sheet.ts';
import { rowsFor, spread } from './spread.ts';

const words = {
  ...{
    title: 'A part',
    issue: 'A',
    date: '2026-01-05',
    material: 'Steel',
    quantity: '1',
    unit: 'mm',
    general: 'ISO 2768-m',
  },
  heads: {
    title: 't',
    material: 'm',
    quantity: 'q',
    scale: 's',
    unit: 'u',
    general: 'g',
    issue: 'i',
    date: 'd',
    sheet: 'h',
  },
  columns: ['No.', 'Size', 'Largest', 'Smallest', 'Ra'] as [string, string, string, string, string],
  ...{ knurl: { straight: 'Straight knurl', crossed: 'Crossed knurl' }, leftHand: 'LH', texts: {} },
};
const sheetsOf = (drawing: Drawing, paper: PaperName = 'A4', both = false, lying = true) =>
  drawingSheets(drawing, resolveDrawing(drawing), { paper, lying, both, words });
const textsOf = (drawing: Drawing, paper: PaperName = 'A4', both = false) =>
  sheetsOf(drawing, paper, both)!.pages.flatMap((p) => p.shapes.flatMap((s) => (s.kind === 'text' ? [s.text] : [])));

/** No text of a size lies over another, and all lie on the sheet. */
function isClear(drawing: Drawing, paper: PaperName, both: boolean, lying: boolean): void {
  const sheets = sheetsOf(drawing, paper, both, lying);
  if (!sheets) return;
  const { boxes, pages } = sheets;
  for (const [i, a] of boxes.entries()) {
    for (const b of boxes.slice(i + 1)) expect(overlap(a, b) && [a, b]).toBe(false);
    expect(a[0]).toBeGreaterThanOrEqual(10);
    expect(a[2]).toBeLessThanOrEqual(pages[0]!.width - 8);
    expect(a[1]).toBeGreaterThanOrEqual(8);
    expect(a[3]).toBeLessThanOrEqual(pages[0]!.height - 40);
  }
  expect(SCALES).toContainEqual(sheets.scale);
}

describe('a printed drawing', () => {
  it('keeps every text clear of every other, on every sheet, in one unit or both', () => {
    for (const pattern of PATTERNS)
      for (const unit of ['mm', 'in'] as const)
        for (const paper of Object.keys(PAPERS) as PaperName[])
          for (const both of [false, true])
            for (const lying of [true, false]) {
              const drawing = patternDrawing(pattern, unit);
              expect(sheetsOf(drawing, paper, both, lying), `${pattern} ${unit} ${paper}`).toBeDefined();
              isClear(drawing, paper, both, lying);
            }
  });
  it('keeps them clear for any shaft or tube', () => {
    const one = fc.record({
      d: fc.integer({ min: 30, max: 900 }).map((n) => n / 10),
      long: fc.integer({ min: 3, max: 900 }).map((n) => n / 10),
      limits: fc.constantFrom('', 'h7', '+0.02/-0.01'),
      edge: fc.constantFrom('', '0.2', 'R0.2'),
    });
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 24 }), fc.boolean(), fc.boolean(), (list, hollow, both) => {
        const features = list.map((f, i) => ({
          ...feature(i + 1, f.d, f.long, f.limits),
          edges: { left: '', right: f.edge },
        }));
        const bore = { ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(2), limits: 'H7' };
        const drawing = { ...drawingOf(features), bores: { left: hollow ? [bore] : [], right: [] } };
        isClear(drawing, 'A3', both, true);
      }),
    );
  });
  it('tells every size as it was typed, what follows in brackets, and the other unit where it is wanted', () => {
    const [a, b] = [feature(1, 30, 40, 'h7'), { ...feature(2, 20, 10), length: mm('') }];
    const drawing = { ...drawingOf([a, { ...b, diameter: { text: '1 1/8', unit: 'in' as const } }]), overall: mm(65) };
    expect(textsOf(drawing)).toEqual(
      expect.arrayContaining(['Ø30 h7', 'Ø1-1/8 in', '40', '(25)', '65', '30.000', '29.979']),
    );
    expect(textsOf(drawing, 'A4', true)).toEqual(
      expect.arrayContaining(['Ø30 [1.1811] h7', '65 [2.5591]', '30.000 [1.1811]']),
    );
  });
  it('shows threads with their hand, grooves, tapers, edges, tolerances to a datum', () => {
    const base = drawingOf([
      feature(1, 24, 30),
      feature(2, 30, 40),
      { ...feature(3, 30, 40), kind: 'taper' as const, taper: '1:10' },
    ]);
    const thread = {
      id: 'd1',
      kind: 'thread' as const,
      designation: 'M24x2',
      hand: 'left' as const,
      from: 'left' as const,
      length: mm('20'),
      class: '6g',
    };
    const groove = {
      id: 'd2',
      kind: 'groove' as const,
      shape: 'square' as const,
      from: 'right' as const,
      at: mm(''),
      width: mm(3),
      by: 'floor' as const,
      floor: mm(26),
      floorLimits: '±0.1',
      widthLimits: '',
      angle: '',
    };
    const drawing: Drawing = {
      ...base,
      features: [
        { ...base.features[0]!, details: [thread], edges: { left: '1.5', right: '' } },
        { ...base.features[1]!, details: [groove] },
        base.features[2]!,
      ],
      datums: [{ letter: 'A', on: 'f2' }],
      geometry: [{ id: 'g1', kind: 'concentricity', on: 'f1', tolerance: mm('0.05'), datum: 'A' }],
    };
    expect(textsOf(drawing)).toEqual(
      expect.arrayContaining(['M24x2 LH 6g', '20', '3 × Ø26 ±0.1', '1:10', 'Ø(26)', '1.5×45°', '0.05', 'A']),
    );
  });
  it('tells limits that a measured mate gave, not those that it took the place of', () => {
    const mate = {
      id: 'm1',
      on: 'f1',
      note: '',
      measured: mm('30.02'),
      least: '0.02',
      most: '0.05',
      unit: 'mm' as const,
      from: null,
    };
    const texts = textsOf({ ...drawingOf([feature(1, 30, 40, 'h7')]), mates: [mate] });
    expect(texts).toEqual(expect.arrayContaining(['Ø30 +0.000/-0.030', '30.000', '29.970']));
    expect(texts.some((t) => t.includes('h7'))).toBe(false);
  });
  it('puts inside sizes below the centreline, outside ones above, and hatches only metal that is cut', () => {
    const sheets = sheetsOf(patternDrawing('bush', 'mm'))!;
    const { shapes, origin, unitsPerMm } = sheets.pages[0]!;
    const at = (text: string) => shapes.flatMap((s) => (s.kind === 'text' && s.text === text ? [s.at[1]] : []))[0]!;
    expect(at('Ø20 H7')).toBeGreaterThan(origin[1]);
    expect(at('Ø30 s6')).toBeLessThan(origin[1]);
    expect(at('40')).toBeLessThan(origin[1]);
    const hatch = shapes.filter((s) => s.kind === 'polyline' && s.role === 'hatch');
    expect(hatch.length).toBeGreaterThan(5);
    for (const line of hatch)
      for (const [, y] of (line as { points: readonly (readonly [number, number])[] }).points) {
        const r = (y - origin[1]) / unitsPerMm;
        expect(r).toBeGreaterThan(10 - 0.05);
        expect(r).toBeLessThan(15 + 0.05);
      }
  });
  it('has no sheet while there is no part', () => {
    expect(sheetsOf(drawingOf([]))).toBeUndefined();
  });
});

describe('placing on a line', () => {
  it('moves neighbours apart no farther than it must, keeps their order, and says when they do not fit', () => {
    const wishes = [0, 0, 10].map((want) => ({ want, half: 2 }));
    expect(spread(wishes, -50, 50)).toEqual([-2, 2, 10]);
    expect(spread(wishes, 0, 50)).toEqual([2, 6, 10]);
    expect(spread(wishes, 0, 11)).toBeUndefined();
  });
  it('is as good as any other placing: least squares by trying', () => {
    const list = fc.array(fc.record({ want: fc.integer({ min: 0, max: 12 }), half: fc.constant(1) }), {
      minLength: 3,
      maxLength: 3,
    });
    fc.assert(
      fc.property(list, (raw) => {
        const wishes = raw.toSorted((a, b) => a.want - b.want);
        const cost = (at: readonly number[]) => at.reduce((sum, x, i) => sum + (x - wishes[i]!.want) ** 2, 0);
        const found = spread(wishes, -20, 20)!;
        for (let a = -6; a < 18; a += 0.5)
          for (let b = a + 2; b < 18; b += 0.5)
            for (let c = b + 2; c < 19; c += 0.5)
              if (cost([a, b, c]) < cost(found) - 1e-9) throw new Error(JSON.stringify([wishes, found, [a, b, c]]));
      }),
      { numRuns: 25 },
    );
  });
  it('gives each interval the nearest free row, chains share one', () => {
    expect(
      rowsFor([
        [0, 10],
        [10, 20],
        [5, 15],
        [20, 30],
        [0, 30],
      ]),
    ).toEqual([0, 0, 1, 0, 2]);
  });
});

describe('lines on a sheet', () => {
  it('stop before a text and go on behind it', () => {
    expect(clearOf([0, 0], [10, 0], [[4, -1, 6, 1]])).toEqual([
      [
        [0, 0],
        [4, 0],
      ],
      [
        [6, 0],
        [10, 0],
      ],
    ]);
    expect(clearOf([0, 0], [10, 0], [[4, 1, 6, 2]])).toEqual([
      [
        [0, 0],
        [10, 0],
      ],
    ]);
    expect(clearOf([5, 0], [5, 1], [[4, -1, 6, 2]])).toEqual([]);
  });
  it('hatch an area but not its holes', () => {
    const square = (a: number, b: number): [number, number][] => [
      [a, a],
      [b, a],
      [b, b],
      [a, b],
    ];
    const lines = hatchLines([square(0, 40), square(10, 30)], 2);
    const long = lines.reduce((sum, [p, q]) => sum + Math.hypot(q[0] - p[0], q[1] - p[1]), 0);
    // area over distance is the length of its lines
    expect(long).toBeCloseTo((1600 - 400) / 2, -1.6);
    for (const [p, q] of lines) {
      const [x, y] = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
      expect(x > 10 && x < 30 && y > 10 && y < 30).toBe(false);
    }
  });
  it('words are set smaller, then cut, to stay in their cell', () => {
    expect(fitted('Short', 50, 3)).toEqual({ text: 'Short', size: 3 });
    expect(fitted('A title of some length', 22, 3).size).toBeLessThan(3);
    expect(fitted('W'.repeat(200), 30, 3).text).toMatch(/^W+…$/);
  });
});
