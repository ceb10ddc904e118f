import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Corner } from '../contour/index.ts';
import {
  type Drawing,
  emptyBoreStep,
  emptyDetail,
  insideProfiles,
  outsideProfile,
  resolveDrawing,
} from '../part/index.ts';
import { drawingOf, feature, mm } from '../testing/shop.ts';
import { drawingFromOutlines } from './features.ts';
import { guessAxis, type Placing } from './place.ts';
import { traceOutlines } from './shape.ts';
import { arcsAlong, type Stroke } from './stroke.ts';

const asDrawn: Placing = { mmPerUnit: 1, along: 'x', axis: 0, turned: false, below: false };

/** Strokes of a path of corners, moved, scaled and mirrored as a file may have them. */
const strokesOf = (
  corners: readonly Corner[],
  map = (z: number, r: number): readonly [number, number] => [z, r],
  flip = false,
): Stroke[] =>
  corners.slice(1).map((to, i) => {
    const from = corners[i]!;
    return {
      a: map(from.zMm, from.rMm),
      b: map(to.zMm, to.rMm),
      bulge: (flip ? -1 : 1) * (from.bulge ?? 0),
      layer: '0',
    };
  });
const traced = (
  drawing: Drawing,
  placing = asDrawn,
  map?: (z: number, r: number) => readonly [number, number],
  flip = false,
) => {
  const { part } = resolveDrawing(drawing);
  const strokes = [outsideProfile(part), ...insideProfiles(part)].flatMap((c) => strokesOf(c, map, flip));
  return drawingFromOutlines(traceOutlines(strokes, placing), 'mm');
};
const corners = (drawing: Drawing) => {
  const resolved = resolveDrawing(drawing);
  expect(resolved.problems.filter((p) => p.severity !== 'warning')).toEqual([]);
  return [outsideProfile(resolved.part), ...insideProfiles(resolved.part)].map((path) =>
    // corners in the middle of a straight line say nothing about its shape
    path.filter((c, i) => {
      const [a, b] = [path[i - 1], path[i + 1]];
      if (!a || !b || a.bulge || c.bulge) return true;
      return Math.abs((c.zMm - a.zMm) * (b.rMm - a.rMm) - (c.rMm - a.rMm) * (b.zMm - a.zMm)) > 1e-6;
    }),
  );
};
/** The same outlines within a thousandth of a millimetre, arcs included. */
function sameShape(drawn: Drawing, again: Drawing): void {
  const [a, b] = [corners(drawn), corners(again)];
  expect(b.map((p) => p.length)).toEqual(a.map((p) => p.length));
  for (const [i, path] of a.entries())
    for (const [k, c] of path.entries()) {
      const o = b[i]![k]!;
      expect(Math.abs(o.zMm - c.zMm) + Math.abs(o.rMm - c.rMm)).toBeLessThan(0.001);
      expect(o.bulge ?? 0).toBeCloseTo(c.bulge ?? 0, 5);
    }
}

const bush = (): Drawing => {
  const drawing = drawingOf([
    { ...feature(1, 58, 8), edges: { left: '1x45', right: 'R1' } },
    { ...feature(2, 40, 38), edges: { left: '', right: '1x30' } },
  ]);
  const groove = {
    ...emptyDetail('d2', 'groove', 'mm'),
    shape: 'round' as const,
    from: 'left' as const,
    at: mm(20),
    by: 'depth' as const,
    floor: mm(1.5),
  };
  return {
    ...drawing,
    bores: {
      left: [
        { ...emptyBoreStep('h1', 'mm', 'countersunk'), diameter: mm(34), end: mm(30) },
        { ...emptyBoreStep('h2', 'mm', 'bored'), diameter: mm(30), details: [groove as never] },
      ],
      right: [],
    },
  };
};

describe('outlines from a file', () => {
  it('come back as the drawing they were, holes and grooves and rounds included', () => {
    const { drawing, problems } = traced(bush());
    expect(problems).toEqual([]);
    sameShape(bush(), drawing);
    expect(drawing.features[0]!.edges).toEqual({ left: '1x45', right: 'R1' });
    expect(drawing.bores.left.map((b) => b.kind)).toEqual(['taper', 'bored']);
    expect(drawing.bores.left[1]!.details).toMatchObject([{ kind: 'groove', shape: 'round', floor: { text: '1.5' } }]);
  });

  it('are read below and beside any axis, in any unit, from either side', () => {
    const inch = traced(bush(), { mmPerUnit: 25.4, along: 'x', axis: 7, turned: false, below: false }, (z, r) => [
      100 + z / 25.4,
      7 + r / 25.4,
    ]);
    sameShape(bush(), inch.drawing);
    const upright = traced(bush(), { mmPerUnit: 1, along: 'y', axis: 50, turned: false, below: false }, (z, r) => [
      50 - r,
      z - 300,
    ]);
    sameShape(bush(), upright.drawing);
    const turned = traced(bush(), { ...asDrawn, turned: true }, (z, r) => [-z, r], true);
    sameShape(bush(), turned.drawing);
  });

  it('are found in half profiles that are open at one end or both, holes included', () => {
    const { part } = resolveDrawing(bush());
    const [outside, ...holes] = [outsideProfile(part), ...insideProfiles(part)];
    const open = [outside!, ...holes].map((c) => strokesOf(c));
    // faces are all that goes straight down at either end
    const faces = (s: Stroke) => s.a[0] === s.b[0] && (s.a[0] === 0 || s.a[0] === part.lengthMm);
    const all = open.flat();
    for (const strokes of [all.filter((s) => !faces(s)), all.filter((s) => !(faces(s) && s.a[0] === 0))]) {
      expect(strokes.length).toBeLessThan(all.length);
      const found = traceOutlines(strokes, asDrawn);
      expect(found.problems.map((p) => p.code)).toEqual(['trace.facesAdded']);
      sameShape(bush(), drawingFromOutlines(found, 'mm').drawing);
      expect(guessAxis(strokes, strokes, 'x')).toMatchObject({ axis: 0 });
    }
    const shaft = resolveDrawing(drawingOf([feature(1, 30, 10), feature(2, 20, 25)])).part;
    const line = strokesOf(outsideProfile(shaft)).filter(
      (s) => !(s.a[0] === s.b[0] && (s.a[0] === 0 || s.a[0] === 35)),
    );
    expect(guessAxis(line, line, 'x')).toEqual({ axis: 0, why: 'origin', below: false });
    sameShape(
      drawingOf([feature(1, 30, 10), feature(2, 20, 25)]),
      drawingFromOutlines(traceOutlines(line, asDrawn), 'mm').drawing,
    );
  });

  it('are found in a part drawn whole, with edges across, hatching and a centreline', () => {
    const drawing = drawingOf([
      feature(1, 30, 10),
      { ...feature(2, 50, 20), edges: { left: '', right: '1x45' } },
      feature(3, 20, 25),
    ]);
    const { part } = resolveDrawing(drawing);
    const half = strokesOf(outsideProfile(part));
    const line = (a: [number, number], b: [number, number]): Stroke => ({ a, b, bulge: 0, layer: '0' });
    const whole = [
      ...half,
      ...half.map((s) => ({ ...s, a: [s.a[0], -s.a[1]] as const, b: [s.b[0], -s.b[1]] as const, bulge: -s.bulge })),
      ...[10, 29, 30].map((z) => line([z, -10], [z, 10])),
      line([10, -15], [10, 15]),
      line([-5, 0], [60, 0]),
      line([12, 3], [18, 9]),
    ];
    const found = traceOutlines(whole, asDrawn);
    const { outside, used, problems } = found;
    expect(problems).toEqual([]);
    expect(outside.length).toBeGreaterThan(7);
    expect(used.mirrored).toBeGreaterThan(7);
    sameShape(drawing, drawingFromOutlines(found, 'mm').drawing);
    expect(guessAxis(whole, whole, 'x')).toEqual({ axis: 0, why: 'symmetric', below: false });
  });

  it('say where they break off, go back, or come to a point', () => {
    const line = (a: [number, number], b: [number, number]): Stroke => ({ a, b, bulge: 0, layer: '0' });
    const gap = traceOutlines(
      [line([0, 0], [0, 10]), line([0, 10], [20, 10]), line([20.5, 10], [40, 10]), line([40, 10], [40, 0])],
      asDrawn,
    );
    expect(gap.problems[0]).toMatchObject({ code: 'trace.broken', value: 20, limit: 10 });
    const nearly = traceOutlines(
      [line([0, 0], [0, 10]), line([0, 10], [20, 10]), line([20.004, 10], [40, 10]), line([40, 10], [40, 0])],
      asDrawn,
    );
    expect(nearly.problems).toMatchObject([{ code: 'trace.gapsClosed', limit: 0.005, severity: 'warning' }]);
    expect(nearly.outside.at(-1)).toMatchObject({ zMm: 40, rMm: 0 });
    expect(traceOutlines([], asDrawn).problems[0]!.code).toBe('trace.nothing');
    const back = [
      line([0, 0], [0, 10]),
      line([0, 10], [20, 10]),
      line([20, 10], [15, 6]),
      line([15, 6], [40, 6]),
      line([40, 6], [40, 0]),
    ];
    expect(drawingFromOutlines(traceOutlines(back, asDrawn), 'mm').problems).toMatchObject([
      { code: 'trace.goesBack', value: 20 },
    ]);
    const cone = [line([0, 0], [0, 10]), line([0, 10], [20, 10]), line([20, 10], [30, 0])];
    expect(drawingFromOutlines(traceOutlines(cone, asDrawn), 'mm').problems).toMatchObject([
      { code: 'trace.point', value: 20 },
    ]);
  });

  it('keeps arcs, balls and tapers within a thousandth, whatever their sizes', () => {
    const size = fc.integer({ min: 200, max: 6000 }).map((n) => n / 100);
    const kinds = fc.constantFrom('cylinder' as const, 'taper' as const, 'arc' as const);
    const one = fc.record({
      d: size,
      end: size,
      long: fc.integer({ min: 600, max: 5000 }).map((n) => n / 100),
      kind: kinds,
      hollow: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 8 }), (list) => {
        const features = list.map((f, i) => {
          const chord = Math.hypot(f.long, (f.end - f.d) / 2);
          // an arc that stays within its length and off the axis
          const shape =
            f.kind === 'arc'
              ? { end: mm(f.d), radius: mm((chord * 4).toFixed(3)), hollow: f.hollow }
              : { end: mm(f.end) };
          return { ...feature(i + 1, f.d, f.long), ...shape, kind: f.kind, name: '' };
        });
        const drawing = drawingOf(features);
        fc.pre(resolveDrawing(drawing).problems.every((p) => p.severity === 'warning'));
        // a taper without slope is a cylinder
        fc.pre(
          list.every(
            (f, i) =>
              (f.kind !== 'taper' || Math.abs(f.end - f.d) > 0.1) &&
              (i === 0 || f.d !== (list[i - 1]!.kind === 'taper' ? list[i - 1]!.end : list[i - 1]!.d)),
          ),
        );
        const back = traced(drawing);
        expect(back.problems).toEqual([]);
        sameShape(drawing, back.drawing);
      }),
    );
  });
});

describe('curves', () => {
  it('become arcs that lie within the tolerance', () => {
    const ellipse = (t: number): readonly [number, number] => [
      30 * Math.cos(2 * Math.PI * t),
      12 * Math.sin(2 * Math.PI * t),
    ];
    for (const tolerance of [0.1, 0.01, 0.001]) {
      const arcs = arcsAlong(ellipse, tolerance, '0');
      expect(arcs.length).toBeLessThan(130);
      for (let t = 0; t < 1; t += 0.003) {
        const [x, y] = ellipse(t);
        const away = Math.min(
          ...arcs.map((s) => {
            const { b, a, bulge } = s;
            const chord = Math.hypot(b[0] - a[0], b[1] - a[1]);
            const radius = (chord * (1 + bulge ** 2)) / (4 * Math.abs(bulge));
            const off = ((1 - bulge ** 2) / (4 * bulge)) as number;
            const c = [(a[0] + b[0]) / 2 - (b[1] - a[1]) * off, (a[1] + b[1]) / 2 + (b[0] - a[0]) * off];
            const along = ((x - a[0]) * (b[0] - a[0]) + (y - a[1]) * (b[1] - a[1])) / chord ** 2;
            return along < -0.1 || along > 1.1 ? 1e9 : Math.abs(Math.hypot(x - c[0]!, y - c[1]!) - radius);
          }),
        );
        expect(away).toBeLessThan(tolerance * 1.5);
      }
    }
  });
});
