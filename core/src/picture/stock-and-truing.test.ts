import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { truingRound } from '../hold/index.ts';
import { usualTruing } from '../lathe/index.ts';
import { cuttingList } from '../stock/index.ts';
import { type Insert, insertShapes, readInsert } from '../tool/index.ts';
import { centreHolePicture } from './centre-hole.ts';
import { cuttingListPicture } from './cutting-list.ts';
import { insertFacePicture, insertSectionPicture } from './insert.ts';
import type { Picture } from './picture.ts';
import { jawsPicture, tailstockPicture } from './truing.ts';

type Point = readonly [number, number];
const pointsOf = (picture: Picture, role: string): readonly (readonly Point[])[] =>
  picture.shapes.flatMap((s) => ('points' in s && s.role === role ? [s.points] : []));
const middleOf = (points: readonly Point[]): Point => [
  points.reduce((sum, p) => sum + p[0], 0) / points.length,
  points.reduce((sum, p) => sum + p[1], 0) / points.length,
];
const inside = (picture: Picture): boolean =>
  picture.shapes.every((s) => {
    const points: readonly Point[] = 'points' in s ? s.points : s.kind === 'text' ? [s.at] : [];
    return points.every(([x, y]) => x >= -1 && y >= -1 && x <= picture.width + 1 && y <= picture.height + 1);
  });

describe('bars of a cutting list', () => {
  const list = cuttingList({
    bars: [
      { id: 'a', lengthMm: 1000, count: 1 },
      { id: 'b', lengthMm: 470, count: 1 },
    ],
    blanks: [
      { id: 'axle', lengthMm: 121, count: 7 },
      { id: 'pin', lengthMm: 110, count: 4 },
    ],
    kerfMm: 3,
  });
  const picture = cuttingListPicture(
    list,
    3,
    1000,
    (id) => id,
    (mm) => `${mm} mm`,
  );
  it('are to one scale, every blank drawn as wide as it is long, what is left hatched', () => {
    const wide = (points: readonly Point[]) =>
      Math.max(...points.map((p) => p[0])) - Math.min(...points.map((p) => p[0]));
    const blanks = pointsOf(picture, 'edge').map((p) => Math.round(wide(p) / picture.unitsPerMm));
    expect(blanks.toSorted((a, b) => a - b)).toEqual([...Array(4).fill(110), ...Array(7).fill(121)]);
    const left = pointsOf(picture, 'stock').map((p) => wide(p) / picture.unitsPerMm);
    expect(left.reduce((sum, mm) => sum + mm, 0)).toBeCloseTo(
      list.bars.reduce((sum, b) => sum + b.leftMm, 0),
      6,
    );
    expect(inside(picture)).toBe(true);
  });
  it('name what there is room for', () => {
    const texts = picture.shapes.flatMap((s) => (s.kind === 'text' ? [s.text] : []));
    expect(texts.some((t) => t.startsWith('7 × 121 mm'))).toBe(true);
  });
});

describe('the chuck seen from the tailstock', () => {
  it('shows the work towards the high jaw, above for 1, to the right for 2', () => {
    const at = (a: number, b: number) => middleOf(pointsOf(jawsPicture([a, b], undefined), 'body')[0]!);
    const [x, y] = at(0, 0);
    expect(at(0.2, 0)[1]).toBeLessThan(y - 5);
    expect(at(-0.2, 0)[1]).toBeGreaterThan(y + 5);
    expect(at(0, 0.2)[0]).toBeGreaterThan(x + 5);
    expect(at(0, -0.2)[0]).toBeLessThan(x - 5);
  });
  it('stays inside its frame however far off the work is', () => {
    const off = fc.double({ min: -5, max: 5, noNaN: true });
    fc.assert(fc.property(off, off, (a, b) => inside(jawsPicture([a, b], undefined))));
  });
  it('marks the pair to move, the arrow of the one to tighten inwards', () => {
    const round = truingRound([[0.5, 0.2, 0.1, 0.2]], 0.02, usualTruing.fourJaw);
    const picture = jawsPicture(round.seen.towardsMm, round.kind === 'move' ? round.moves[0] : undefined);
    expect(pointsOf(picture, 'selected')).toHaveLength(2);
    // 1 is tightened: its arrow, above the axis, points down
    const [slacken, tighten] = pointsOf(picture, 'cut') as [readonly Point[], readonly Point[]];
    const tip = (points: readonly Point[]) => points[3]!;
    expect(tip(tighten)[1]).toBeGreaterThan(middleOf(tighten)[1]);
    expect(tip(slacken)[1]).toBeGreaterThan(middleOf(slacken)[1]);
    expect(middleOf(slacken)[1]).toBeGreaterThan(middleOf(tighten)[1]);
  });
});

describe('the lathe from above', () => {
  it('has the tail centre off to where it is taken away from, the arrow the way to go', () => {
    const tailOf = (way: 'tool' | 'away' | 'none') => middleOf(pointsOf(tailstockPicture(way, ''), 'jaws')[1]!)[1];
    // the tool stands below: towards it is down
    expect(tailOf('tool')).toBeLessThan(tailOf('none'));
    expect(tailOf('away')).toBeGreaterThan(tailOf('none'));
    for (const way of ['tool', 'away'] as const) {
      const [arrow] = pointsOf(tailstockPicture(way, '0.05 mm'), 'cut');
      expect(Math.sign(arrow![3]![1] - middleOf(arrow!)[1])).toBe(way === 'tool' ? 1 : -1);
    }
    expect(pointsOf(tailstockPicture('none', ''), 'cut')).toEqual([]);
    expect(inside(tailstockPicture('tool', '0.05 mm'))).toBe(true);
  });
});

describe('an insert', () => {
  it('of every shape touches its inscribed circle with all its edges, and lies outside of it', () => {
    for (const [letter, { form, cornerDeg }] of Object.entries(insertShapes)) {
      if (form === 'rectangle' || form === 'round' || form === 'parallelogram') continue;
      const picture = insertFacePicture({ form, cornerDeg, hole: 'none' });
      const [outline] = pointsOf(picture, 'outline');
      const [circle] = pointsOf(picture, 'thin');
      const [x, y] = middleOf(circle!);
      const radius = Math.hypot(circle![0]![0] - x, circle![0]![1] - y);
      const distances = outline!.map(([ax, ay], i) => {
        const [bx, by] = outline![(i + 1) % outline!.length]!;
        return Math.abs((bx - ax) * (ay - y) - (ax - x) * (by - ay)) / Math.hypot(bx - ax, by - ay);
      });
      for (const d of distances) expect([letter, d / radius]).toEqual([letter, expect.closeTo(1, 6)]);
      expect([letter, inside(picture)]).toEqual([letter, true]);
    }
  });
  it('has the corner that its letter names', () => {
    for (const [letter, angle] of [
      ['C', 80],
      ['D', 55],
      ['V', 35],
      ['T', 60],
      ['S', 90],
      ['W', 80],
    ] as const) {
      const { form, cornerDeg } = insertShapes[letter];
      const [points] = pointsOf(insertFacePicture({ form, cornerDeg, hole: 'none' }), 'outline');
      const [tip, next, last] = [points![0]!, points![1]!, points!.at(-1)!];
      const turn = (p: Point) => Math.atan2(p[1] - tip[1], p[0] - tip[0]);
      const between = Math.abs(turn(next) - turn(last));
      const deg = (Math.min(between, 2 * Math.PI - between) * 180) / Math.PI;
      expect([letter, deg]).toEqual([letter, expect.closeTo(angle, 6)]);
    }
  });
  it('is cut through with its clearance, hole and breakers', () => {
    const section = (code: string, countersinks: number) =>
      pointsOf(insertSectionPicture(readInsert(code) as Insert, countersinks), 'section')[0]!;
    // a clearance leans, none stands upright
    const foot = (points: readonly Point[]) => Math.max(...points.filter((p) => p[1] > 90).map((p) => p[0]));
    const head = (points: readonly Point[]) => Math.max(...points.map((p) => p[0]));
    expect(head(section('CNMG 12 04 08', 0)) - foot(section('CNMG 12 04 08', 0))).toBeCloseTo(0, 9);
    expect(head(section('CCMT 06 02 04', 1)) - foot(section('CCMT 06 02 04', 1))).toBeGreaterThan(5);
    expect(section('CNMG 12 04 08', 0).length).toBeGreaterThan(section('CNMA 12 04 08', 0).length);
  });
});

describe('a centre hole', () => {
  it('is drawn to one scale, mouth and pilot by their sizes', () => {
    const picture = centreHolePicture(
      { pilotMm: 3.15, mouthMm: 6.7, coneMm: 3.0744, totalMm: 6.9744 },
      { pilot: 'Ø3.15', mouth: 'Ø6.7', depth: '6.97' },
    );
    const [outline] = pointsOf(picture, 'outline');
    const mouth = Math.abs(outline![0]![1] - outline!.at(-1)![1]);
    expect(mouth / picture.unitsPerMm).toBeCloseTo(6.7, 6);
    const depth = Math.max(...outline!.map((p) => p[0])) - Math.min(...outline!.map((p) => p[0]));
    expect(depth / picture.unitsPerMm).toBeCloseTo(6.9744, 6);
    expect(inside(picture)).toBe(true);
  });
});
