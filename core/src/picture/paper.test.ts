import { describe, expect, it } from 'vitest';
import { materialById } from '../material/index.ts';
import { resolveDrawing } from '../part/index.ts';
import { drawingOf, feature, metricLathe } from '../testing/shop.ts';
import { BIT_SHAPES, grindingAngles } from '../tool/index.ts';
import { grindingSheetPicture } from './grinding-sheet.ts';
import type { Picture, Shape } from './picture.ts';
import { silhouettePicture } from './silhouette.ts';
import { speedCardPicture, speedCardRows } from './speed-card.ts';

type Text = Extract<Shape, { kind: 'text' }>;
const textsOf = (picture: Picture): Text[] => picture.shapes.flatMap((s) => (s.kind === 'text' ? [s] : []));
const pointsOf = (picture: Picture, role: string): (readonly [number, number])[] =>
  picture.shapes.flatMap((s) => (s.kind !== 'text' && s.kind !== 'path' && s.role === role ? [...s.points] : []));
/** Box of a text, letters taken as wide as their font draws them at the most. */
function box({ at: [x, y], text, size = 4, anchor }: Text) {
  const wide = text.length * size * 0.56;
  const left = anchor === 'middle' ? x - wide / 2 : anchor === 'end' ? x - wide : x;
  return { left, right: left + wide, top: y - size * 0.75, bottom: y + size * 0.2, text };
}
const overlaps = (texts: Text[]): string[] =>
  texts.flatMap((a, i) =>
    texts.slice(i + 1).flatMap((b) => {
      const [p, q] = [box(a), box(b)];
      const apart = p.right <= q.left || q.right <= p.left || p.bottom <= q.top || q.bottom <= p.top;
      return apart ? [] : [`${a.text} | ${b.text}`];
    }),
  );

describe('a silhouette', () => {
  const { part } = resolveDrawing(drawingOf([feature(1, 30, 40), feature(2, 20, 60)]));
  it('is true to scale about its centreline, with an edge at every step', () => {
    const picture = silhouettePicture(part, 216, 90);
    // 200 units for 100 mm along, 60 for 30 mm across: two units a millimetre either way
    expect([picture.unitsPerMm, picture.origin]).toEqual([2, [8, 37]]);
    const outline = pointsOf(picture, 'outline');
    expect([Math.min(...outline.map((p) => p[0])), Math.max(...outline.map((p) => p[0]))]).toEqual([8, 208]);
    expect([Math.min(...outline.map((p) => p[1])), Math.max(...outline.map((p) => p[1]))]).toEqual([7, 67]);
    expect(pointsOf(picture, 'edge')).toEqual([
      [88, 17],
      [88, 57],
    ]);
    expect(pointsOf(picture, 'centreline')).toEqual([
      [2, 37],
      [214, 37],
    ]);
  });
  it('says how large it is: the longest round bar within a quarter of the width', () => {
    const bar = (lengthMm: number, width: number) => {
      const long = resolveDrawing(drawingOf([feature(1, lengthMm / 10, lengthMm)])).part;
      const picture = silhouettePicture(long, width, 90);
      const points = pointsOf(picture, 'scale');
      return [textsOf(picture)[0]!.text, Math.round((points[2]![0] - points[1]![0]) / picture.unitsPerMm)];
    };
    expect([bar(100, 216), bar(1000, 216), bar(30, 216), bar(450, 416)]).toEqual([
      ['20 mm', 20],
      ['200 mm', 200],
      ['5 mm', 5],
      ['100 mm', 100],
    ]);
  });
});

describe('a grinding sheet', () => {
  const sheet = (shape: (typeof BIT_SHAPES)[number], id = 'low-carbon-steel') => {
    const angles = grindingAngles(materialById(id)!, shape);
    const rows = ['Side rake', 'Back rake', 'Side clearance', 'End clearance', 'Side edge', 'End edge', 'Nose'].map(
      (name) => [name, '14°'] as const,
    );
    const order = Array.from({ length: 6 }, () => 'End edge with its clearance, cooling often and gauged.');
    const names = { top: 'From above', side: 'Across: rake / clearance', front: 'Along: rake / clearance' };
    return grindingSheetPicture({ angles, title: 'Rougher', underTitle: 'for steel', rows, order, names });
  };
  it('keeps its words apart from one another and on the page, whatever is ground', () => {
    for (const shape of BIT_SHAPES)
      for (const id of ['brass', 'aluminium-wrought', 'alloy-steel']) {
        const picture = sheet(shape, id);
        expect([shape, overlaps(textsOf(picture))]).toEqual([shape, []]);
        for (const text of textsOf(picture).map(box)) {
          expect(text.left).toBeGreaterThanOrEqual(5);
          expect([text.text, text.right <= picture.width && text.bottom <= picture.height]).toEqual([text.text, true]);
        }
      }
  });
  it('keeps its three views apart: bit from above, section across, section along', () => {
    for (const shape of BIT_SHAPES) {
      const views = sheet(shape).shapes.flatMap((s) => (s.kind === 'polygon' ? [s.points.map((p) => p[0])] : []));
      expect(views).toHaveLength(3);
      for (const i of [1, 2]) expect(Math.min(...views[i]!)).toBeGreaterThan(Math.max(...views[i - 1]!) + 4);
    }
  });
  it('counts the order of grinding and lines it up with the angles', () => {
    const texts = textsOf(sheet('rougher'));
    const steps = texts.filter((t) => /^\d\. /.test(t.text));
    expect(steps.map((t) => t.text[0])).toEqual(['1', '2', '3', '4', '5', '6']);
    const rake = texts.find((t) => t.text === 'Side rake')!;
    const value = texts.find((t) => t.text === '14°')!;
    expect([steps[0]!.at[1], value.at[1]]).toEqual([rake.at[1], rake.at[1]]);
    expect(steps[1]!.at[1] - steps[0]!.at[1]).toBe(7);
  });
});

describe('a speed card', () => {
  const materials = [
    { name: 'Low-carbon steel', speedMPerMin: 32 },
    { name: 'Brass', speedMPerMin: 70 },
    { name: 'Alloy steel, quenched and tempered', speedMPerMin: 20 },
    { name: 'Stainless steel, austenitic', speedMPerMin: 16 },
    { name: 'Grey cast iron', speedMPerMin: 22 },
  ];
  const card = (count: number, foot = 'First the depth, then the feed, then this.') =>
    speedCardPicture({
      ...{ lathe: metricLathe, materials: materials.slice(0, count), title: 'the Long one' },
      ...{ underTitle: 'Lever for the diameter turned', foot },
    });
  it.each([1, 2, 3, 4, 5])('with %d materials has no words over others and none off the page', (count) => {
    const picture = card(count);
    expect(overlaps(textsOf(picture))).toEqual([]);
    for (const text of textsOf(picture).map(box))
      expect([text.text, text.left >= 8 && text.right <= picture.width - 5]).toEqual([text.text, true]);
  });
  it('makes a long foot smaller instead of running off', () => {
    const long = 'Guards on, eyes covered, key out, sleeves rolled; '.repeat(6);
    expect(textsOf(card(3, long)).find((t) => t.text === long)!.size).toBeCloseTo(277 / (long.length * 0.56), 9);
    expect(textsOf(card(3)).at(-1)!.size).toBe(4);
  });
  it('begins its head and its rows at the left, figures in the middle of their columns', () => {
    const texts = textsOf(card(2));
    for (const text of texts.filter((t) => t.at[0] <= 11))
      expect([text.text, text.anchor]).toEqual([text.text, 'start']);
    const column = texts.filter((t) => t.text === 'Brass' || t.text === '70 m/min').map((t) => [t.at[0], t.anchor]);
    expect(column).toEqual([
      [10 + 62 + 1.5 * 107.5, 'middle'],
      [10 + 62 + 1.5 * 107.5, 'middle'],
    ]);
  });
  it('joins every row to the next: where one ends the slower begins', () => {
    const rows = speedCardRows(metricLathe, materials.slice(0, 1));
    const ends = rows.map((r) => [...r.cells[0]!.big.matchAll(/[\d.]+/g)].map((m) => Number(m[0])));
    expect(rows.map((r) => r.big)).toEqual(['10', '9', '8', '7', '6', '5', '4', '3', '2', '1']);
    for (let i = 1; i < rows.length; i++) expect(ends[i]![0]).toBe(ends[i - 1]!.at(-1));
    // what turns over the cross-slide ends it: 195 mm
    expect(rows.at(-1)!.cells[0]!.big).toBe(`over ${ends.at(-2)!.at(-1)}`);
  });
  it('has no row for a speed that the chuck must not turn at', () => {
    const chucks = metricLathe.holding.chucks.map((c) => ({ ...c, maxRpm: 800 }));
    const slow = { ...metricLathe, holding: { ...metricLathe.holding, chucks } };
    expect(speedCardRows(slow, materials).map((r) => r.small)[0]).toBe('750 rpm');
  });
});
