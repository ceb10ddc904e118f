import { describe, expect, it } from 'vitest';
import { ring } from '../contour/index.ts';
import type { Held, HoldMethod } from '../hold/index.ts';
import { HOLD_METHODS } from '../hold/index.ts';
import { resolveDrawing } from '../part/index.ts';
import { pieceOf } from '../testing/pieces.ts';
import { drawingOf, feature } from '../testing/shop.ts';
import { barStyles, clampings, holderStyles, standsAt } from '../tool/index.ts';
import { holdRoom } from './hold.ts';
import { clampingPicture, holderPicture } from './holder.ts';
import type { Picture, Shape } from './picture.ts';
import { simulationPicture } from './simulation.ts';
import { stripPicture } from './strip.ts';

const { part } = resolveDrawing(drawingOf([feature(1, 28, 60), feature(2, 42, 12), feature(3, 30, 40)]));
const piece = pieceOf(part, 45, { done: ['f1', 'f2'] });
const holding = (method: HoldMethod, more: Partial<Held> = {}): Held => ({
  ...{ method, why: 'chosen', jawsMm: 50, rawEndMm: 113, overhangMm: 63, overhangDiameters: 2, wantsRest: false },
  ...{ gripMm: 40, headEndMm: 0, onMm: 28, forceN: 18_000, maxRpm: 2000, chuckId: 'three-jaw', ...more },
});
const view = (method: HoldMethod, more: Partial<Held> = {}): Picture =>
  stripPicture(part, {
    ...{ width: 900, height: 236, textSize: 15, labels: [], overall: '' },
    held: holding(method, more),
    metal: piece.contour,
  });
const points = (shape: Shape): readonly (readonly [number, number])[] =>
  shape.kind === 'polygon' || shape.kind === 'polyline'
    ? shape.points
    : shape.kind === 'text'
      ? [shape.at]
      : shape.corners.map((c) => [c.x, c.y] as const);
const of = (picture: Picture, role: Shape['role']) => picture.shapes.filter((s) => s.role === role);
const wide = (shape: Shape) => {
  const xs = points(shape).map(([x]) => x);
  return [Math.min(...xs), Math.max(...xs)] as const;
};

describe('what holds the work, on the strip', () => {
  it.each(HOLD_METHODS)('stays in the picture: %s', (method) => {
    const inside = method === 'mandrel' || method === 'expandingMandrel' || method === 'stubArbor';
    const picture = view(method, inside ? { onMm: 12, jawsMm: -1, gripMm: 112 } : {});
    for (const shape of picture.shapes)
      for (const [x, y] of points(shape)) {
        expect([x, y].every(Number.isFinite)).toBe(true);
        expect(x).toBeGreaterThanOrEqual(-1);
        expect(x).toBeLessThanOrEqual(901);
      }
    expect(holdRoom({ ...holding(method) })[0]).toBeGreaterThan(30);
  });
  it('has a centre at each end it is carried by', () => {
    const centres = Object.fromEntries(HOLD_METHODS.map((m) => [m, of(view(m, { onMm: 12 }), 'centre').length]));
    expect(centres).toMatchObject({ chuck: 0, chuckAndCentre: 1, betweenCentres: 2, mandrel: 2, stubArbor: 0 });
  });
  it('has what a cutter from the spindle enters first at the headstock, on the strip and while it is simulated', () => {
    const standing = { jawsMm: -5, gripMm: 0, rawEndMm: 112 };
    const middle = (picture: Picture, zMm: number) => picture.origin[0] + zMm * picture.unitsPerMm;
    for (const method of ['barOverSlide', 'headOverSlide'] as const) {
      const strip = view(method, standing);
      const simulated = simulationPicture(part, {
        ...{ width: 900, height: 236, held: holding(method, standing), blank: piece.contour },
        ...{ metal: piece.contour, look: 'section' },
      });
      for (const picture of [strip, simulated]) expect(middle(picture, 112)).toBeLessThan(middle(picture, 0));
      expect(of(strip, 'centre')).toHaveLength(method === 'barOverSlide' ? 2 : 0);
      // the bar itself is the tool there
      expect(of(simulated, 'jaws')).toHaveLength(1);
    }
    expect(middle(view('chuck'), 112)).toBeGreaterThan(middle(view('chuck'), 0));
  });
  it('grips the diameter that is held, not the bar', () => {
    const picture = view('chuck');
    const [upper] = of(picture, 'jaws');
    const nearest = Math.max(...points(upper!).map(([, y]) => y));
    expect(nearest).toBeCloseTo(picture.origin[1] - 14 * picture.unitsPerMm, 6);
    // the jaws end where the holding says
    expect(wide(upper!)[1]).toBeCloseTo(picture.origin[0] + 50 * picture.unitsPerMm, 6);
  });
  it('shows the metal as it stands: raw only where nothing has been turned', () => {
    const picture = view('chuck');
    const [metal, ...more] = of(picture, 'stock');
    expect(more).toEqual([]);
    const thick = points(metal!).filter(([, y]) => picture.origin[1] - y > 22 * picture.unitsPerMm);
    const zs = thick.map(([x]) => (x - picture.origin[0]) / picture.unitsPerMm);
    expect([Math.min(...zs), Math.max(...zs)]).toEqual([expect.closeTo(72, 6), expect.closeTo(113, 6)]);
  });
  it('shows a tube as two bands, with nothing on the axis', () => {
    const tube = stripPicture(part, {
      ...{ width: 900, height: 236, textSize: 15, labels: [], overall: '', metal: ring(-5, 113, 8, 22.5) },
    });
    const bands = of(tube, 'stock');
    expect(bands).toHaveLength(2);
    for (const band of bands)
      for (const [, y] of points(band))
        expect(Math.abs(y - tube.origin[1])).toBeGreaterThanOrEqual(8 * tube.unitsPerMm - 1e-6);
  });
  it('draws how the axis bends as much as can be seen, however little it is', () => {
    const bent = (mm: number) =>
      of(
        stripPicture(part, {
          ...{ width: 900, height: 236, textSize: 15, labels: [], overall: '', metal: piece.contour },
          held: holding('chuck'),
          bent: { atMm: 112, points: [0, 0.3, 1].map((share, i) => ({ zMm: 50 + i * 31, awayMm: mm * share })) },
        }),
        'bent',
      );
    expect(bent(0)).toEqual([]);
    expect(bent(0.001)).toEqual(bent(0.2));
    expect(bent(0.01)).toHaveLength(2);
  });
});

describe('a holder drawn', () => {
  const all = [
    ...Object.entries(holderStyles).map(([style, s]) => ['outside', style, s.settingDeg] as const),
    ...Object.entries(barStyles).map(([style, deg]) => ['boring', style, deg] as const),
  ];
  it('has its edge at the style’s angle to the feed, the corner at the work and the body behind it', () => {
    for (const [kind, style, settingDeg] of all) {
      if (!standsAt(settingDeg, 55)) continue;
      const picture = holderPicture({ kind, style, settingDeg, insertShape: 'D', hand: 'right' });
      const [insert] = of(picture, 'body');
      const [nose, next] = points(insert!);
      const [feedFrom, feedTo] = points(of(picture, 'feed')[0]!);
      const feed = [feedTo![0] - feedFrom![0], feedTo![1] - feedFrom![1]] as const;
      const edges = [next!, points(insert!).at(-1)!].map((p) => [p[0] - nose![0], p[1] - nose![1]] as const);
      const angles = edges.map(([x, y]) => {
        const cos = (x * feed[0] + y * feed[1]) / (Math.hypot(x, y) * Math.hypot(...feed));
        return (Math.acos(cos) * 180) / Math.PI;
      });
      expect([kind, style, Math.min(...angles.map((a) => Math.abs(a - settingDeg)))]).toEqual([
        kind,
        style,
        expect.closeTo(0, 6),
      ]);
    }
  });
  it('is mirrored for the left hand', () => {
    const holder = { kind: 'outside', style: 'L', settingDeg: 95, insertShape: 'C' } as const;
    const mirrored = (shape: Shape) => points(shape).map(([x, y]) => [150 - x, y]);
    const [right, left] = (['right', 'left'] as const).map((hand) => holderPicture({ ...holder, hand }));
    expect(right!.shapes.map(mirrored)).toEqual(left!.shapes.map((s) => points(s).map(([x, y]) => [x, y])));
  });
});

describe('how an insert is kept, drawn', () => {
  it('is another picture for each way, inside its frame', () => {
    const drawn = Object.values(clampings).map((c) => clampingPicture(c));
    expect(new Set(drawn.map((p) => JSON.stringify(p.shapes))).size).toBe(drawn.length);
    for (const picture of drawn)
      for (const [x, y] of picture.shapes.flatMap(points)) {
        expect(x >= 0 && x <= picture.width).toBe(true);
        expect(y >= 0 && y <= picture.height).toBe(true);
      }
  });
});
