import { describe, expect, it } from 'vitest';
import { resolveDrawing } from '../part/index.ts';
import { drawingOf, feature } from '../testing/shop.ts';
import { type CutPlace, cutPlacePicture, toolPoint } from './cut-place.ts';
import type { Shape } from './picture.ts';

const { part } = resolveDrawing(drawingOf([feature(1, 30, 40), feature(2, 20, 30)]));
const view = { width: 320, height: 150, tool: { noseRadiusMm: 0.4, kappaDeg: 93 } };
const polygons = (place: CutPlace, role: string) =>
  cutPlacePicture(part, place, view).shapes.filter(
    (s): s is Extract<Shape, { kind: 'polygon' }> => s.kind === 'polygon' && s.role === role,
  );

describe('the point of a turning tool', () => {
  it('touches the surface behind it and the shoulder before it, and nothing beyond', () => {
    for (const kappa of [45, 75, 90]) {
      const points = toolPoint(0.8, kappa, 5);
      expect(Math.min(...points.map(([, v]) => v))).toBeCloseTo(0, 3);
    }
    expect(Math.min(...toolPoint(0.8, 90, 5).map(([u]) => u))).toBeCloseTo(0, 6);
    // one that reaches a corner leans away from it, one of 45° leaves a slope before it
    expect(toolPoint(0.8, 95, 5)[0]![0]).toBeGreaterThan(0);
    expect(toolPoint(0.8, 45, 5)[0]![0]).toBeLessThan(-3);
  });
});

describe('the place of the cut', () => {
  const along: CutPlace = { way: 'along', zMm: 40, beforeMm: 20.4, afterMm: 20, beyondMm: 30 };
  it('is grown until the layer is seen, and the tool stands on what it leaves', () => {
    for (const [before, least] of [
      [20.05, 2.9],
      [20.4, 20],
      [24, 20],
    ] as const) {
      const [layer] = polygons({ ...along, beforeMm: before }, 'cut');
      const tall = Math.max(...layer!.points.map((p) => p[1])) - Math.min(...layer!.points.map((p) => p[1]));
      expect(tall).toBeGreaterThanOrEqual(least);
      expect(tall).toBeLessThan(view.height / 2);
    }
    const [layer] = polygons(along, 'cut');
    const [tool] = polygons(along, 'tool');
    // y grows downwards: the tool's lowest point is the bottom of the layer
    expect(Math.max(...tool!.points.map((p) => p[1]))).toBeCloseTo(Math.max(...layer!.points.map((p) => p[1])), 1);
    expect(Math.min(...tool!.points.map((p) => p[0]))).toBeCloseTo(Math.min(...layer!.points.map((p) => p[0])), 1);
  });
  it('shows a facing tool right of the face, a chamfering edge along the chamfer', () => {
    const face: CutPlace = { way: 'face', zMm: 70, offMm: 1, diameterMm: 30 };
    const faceX = Math.min(...polygons(face, 'cut')[0]!.points.map((p) => p[0]));
    expect(Math.min(...polygons(face, 'tool')[0]!.points.map((p) => p[0]))).toBeCloseTo(faceX, 1);
    const edge: CutPlace = { way: 'edge', zMm: 70, diameterMm: 20, lengthMm: 2, depthMm: 2 };
    const [[ax, ay], [bx, by]] = polygons(edge, 'tool')[0]!.points as [[number, number], [number, number]];
    expect((by - ay) / (bx - ax)).toBeCloseTo(1, 6);
  });
  it('draws no layer where a shoulder is only squared', () => {
    expect(polygons({ way: 'shoulder', zMm: 40, fromMm: 20, toMm: 30 }, 'cut')).toEqual([]);
    expect(polygons({ way: 'shoulder', zMm: 40, fromMm: 20, toMm: 30 }, 'stock')).toHaveLength(2);
  });
});
