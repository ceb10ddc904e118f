import { describe, expect, it } from 'vitest';
import { materialById } from '../material/index.ts';
import { feature, planInput, planRoute } from '../testing/shop.ts';
import { grindingAngles } from '../tool/index.ts';
import { grindingSheetPicture } from './grinding-sheet.ts';
import { halfOutline } from './outline.ts';
import { handStrokes } from './section.ts';
import { silhouettePicture } from './silhouette.ts';
import { stripPicture } from './strip.ts';

const features = [feature(1, 30, 40), feature(2, 20, 60, '', { edges: { left: '', right: '2x45' } })];
const input = planInput(features, 35);
const view = {
  width: 1240,
  height: 236,
  textSize: 15,
  labels: [
    { id: 'f1', text: 'Ø30' },
    { id: 'f2', text: 'Ø20' },
  ],
  overall: '100 mm',
};

describe('strip', () => {
  it('draws the half outline with its chamfer', () => {
    expect(halfOutline(input.part)).toEqual([
      [0, 0],
      [0, 15],
      [40, 15],
      [40, 10],
      [98, 10],
      [100, 8],
      [100, 0],
    ]);
  });
  it('shows the hand of a thread by the way its crests lean, the other way seen inside a hole', () => {
    const lean = (hand: 'right' | 'left', seen: 'whole' | 'hole') => {
      const on = { id: 't', of: 'f1', side: 'outside', zFromMm: 0, zToMm: 30 } as const;
      const thread = { ...on, kind: 'thread', designation: 'M20', hand, lineMm: 17 } as const;
      const strokes = handStrokes(thread, 10, seen, (z, r) => [z, r]);
      expect(strokes).toHaveLength(3);
      return strokes.map((s) => {
        const [a, b] = s.kind === 'polyline' ? s.points : [];
        return Math.sign((b![0] - a![0]) * (a![1] - b![1]));
      });
    };
    // a right-hand crest seen from outside goes down towards the right
    expect(lean('right', 'whole')).toEqual([1, 1, 1]);
    expect(lean('left', 'whole')).toEqual([-1, -1, -1]);
    expect(lean('right', 'hole')).toEqual([-1, -1, -1]);
  });
  it('is true to scale: as many units a millimetre along as across', () => {
    const picture = stripPicture(input.part, view);
    const body = picture.shapes.find((s) => s.role === 'body')!;
    const xs = body.kind === 'polygon' ? body.points.map((p) => p[0]) : [];
    const ys = body.kind === 'polygon' ? body.points.map((p) => p[1]) : [];
    expect((Math.max(...xs) - Math.min(...xs)) / 100).toBeCloseTo(picture.unitsPerMm, 9);
    expect((Math.max(...ys) - Math.min(...ys)) / 30).toBeCloseTo(picture.unitsPerMm, 9);
  });
  it('keeps everything inside the view, whatever the proportions, and labels apart', () => {
    for (const [d, l] of [
      [5, 600],
      [150, 3],
      [30, 100],
      [1, 1],
    ] as const) {
      const { part } = planInput([feature(1, d, l), feature(2, d * 0.9, l / 10)], d);
      const asked = planInput([feature(1, d, l), feature(2, d * 0.9, l / 10)], d + 2);
      const picture = stripPicture(part, { ...view, held: planRoute(asked).held, metal: asked.piece.contour });
      for (const shape of picture.shapes) {
        if (shape.kind === 'text') continue;
        for (const [x, y] of shape.kind === 'path' ? [] : shape.points) {
          expect(x).toBeGreaterThanOrEqual(-1);
          expect(x).toBeLessThanOrEqual(view.width + 1);
          expect(y).toBeGreaterThanOrEqual(-1);
          expect(y).toBeLessThanOrEqual(view.height + 1);
        }
      }
    }
  });
  it('names the selected feature and answers for every feature by id', () => {
    const picture = stripPicture(input.part, { ...view, selectedId: 'f2' });
    expect(
      picture.shapes.filter((s) => s.kind === 'polygon' && s.id).map((s) => [s.role, s.kind === 'polygon' && s.id]),
    ).toEqual([
      ['edge', 'f1'],
      ['selected', 'f2'],
    ]);
  });
});

describe('faces and chamfers on the strip', () => {
  const shown = (more: object) => stripPicture(input.part, { ...view, ends: true, ...more }).shapes;
  it('can be met each on its own, on both sides of the centreline', () => {
    const ends = shown({}).flatMap((s) => (s.role === 'hit' && s.kind === 'polygon' ? [`${s.id}-${s.end}`] : []));
    // the step between 30 and 20 is the larger one's face; the chamfer ends the smaller one before its own face
    expect([...new Set(ends)]).toEqual(['f1-face', 'f2-right', 'f2-face']);
    expect(ends.filter((e) => e === 'f2-right')).toHaveLength(2);
    expect(stripPicture(input.part, view).shapes.some((s) => s.role === 'hit')).toBe(false);
  });
  it('stand out when selected: the chamfer from its foot to its top', () => {
    const [line, ...rest] = shown({ selectedId: 'f2', selectedEnd: 'right' }).filter((s) => s.role === 'selectedEnd');
    expect(rest).toHaveLength(1);
    const { unitsPerMm, origin } = stripPicture(input.part, view);
    const points = line?.kind === 'polyline' ? line.points : [];
    expect(points.map(([x, y]) => [(x - origin[0]) / unitsPerMm, (origin[1] - y) / unitsPerMm])).toEqual([
      [expect.closeTo(100), expect.closeTo(8)],
      [expect.closeTo(98), expect.closeTo(10)],
    ]);
  });
});

describe('silhouette', () => {
  it('carries a scale bar of a round length', () => {
    const texts = silhouettePicture(input.part, 380, 104).shapes.flatMap((s) => (s.kind === 'text' ? [s.text] : []));
    expect(texts).toEqual(['20 mm']);
    expect(silhouettePicture({ ...input.part, surfaces: [] }, 380, 104).shapes).toEqual([]);
    // the same in inches: a round length of theirs, no longer than a quarter of the width
    const inch = silhouettePicture(input.part, 380, 104, 'in');
    const [name] = inch.shapes.flatMap((s) => (s.kind === 'text' ? [s.text] : []));
    expect(name).toMatch(/^(1\/\d+|1|2|5|10|20) in$/);
    const [scale] = inch.shapes.flatMap((s) => (s.kind === 'polyline' && s.role === 'scale' ? [s.points] : []));
    const long = { '1/2 in': 12.7, '1 in': 25.4, '2 in': 50.8 }[name!]!;
    expect(scale![2]![0] - scale![1]![0]).toBeCloseTo(long * inch.unitsPerMm, 6);
  });
});

describe('grinding sheet', () => {
  it('draws every angle as it is, inside the page', () => {
    const angles = grindingAngles(materialById('low-carbon-steel')!, 'rougher');
    const rows = [['Side rake', '14°']] as const;
    const names = { top: 'above', side: 'across', front: 'along' };
    const { shapes, width, height } = grindingSheetPicture({
      angles,
      title: 't',
      underTitle: 'u',
      rows,
      order: ['stone'],
      names,
    });
    const outlines = shapes.flatMap((s) => (s.kind === 'polygon' ? [s.points] : []));
    const [top, across, along] = outlines;
    const slope = (a: readonly [number, number], b: readonly [number, number]) =>
      (Math.atan2(Math.abs(b[1] - a[1]), Math.abs(b[0] - a[0])) * 180) / Math.PI;
    expect(slope(top![0]!, top![1]!)).toBeCloseTo(angles.sideEdgeDeg, 6);
    expect(slope(top![0]!, top![4]!)).toBeCloseTo(angles.endEdgeDeg, 6);
    expect(slope(across![0]!, across![1]!)).toBeCloseTo(angles.sideRakeDeg, 6);
    expect(90 - slope(across![0]!, across![4]!)).toBeCloseTo(angles.sideClearanceDeg, 6);
    expect(slope(along![0]!, along![1]!)).toBeCloseTo(angles.backRakeDeg, 6);
    for (const [x, y] of outlines.flat()) expect(x > 0 && x < width && y > 0 && y < height).toBe(true);
  });
});
