import { describe, expect, it } from 'vitest';
import { areaMm2, cutAway, intersect, ring, swept } from '../contour/index.ts';
import { barOf, bladeOf, insideBladeOf } from '../testing/drawer.ts';
import { tools } from '../testing/shop.ts';
import {
  type BoringBar,
  barShape,
  bladeShape,
  chamferShape,
  coneShape,
  drillShape,
  hollowFormShape,
  insideBladeShape,
  roundFormShape,
  type TurningTool,
  turningBarShape,
  turningShape,
} from './index.ts';

const turning = (more: Partial<TurningTool> = {}): TurningTool => ({ ...(tools[0] as TurningTool), ...more });
const at = (zMm: number, rMm: number) => ({ zMm, rMm });
/** What stays of a bar of 40 by 50 when a shape has gone its way. */
const left = (shape: ReturnType<typeof turningShape>, ...path: ReturnType<typeof at>[]) =>
  cutAway(ring(0, 50, 0, 20), ...swept(shape.edge, path));

describe('a turning tool', () => {
  it('leaves its diameter, and its nose in the corner: a square less a quarter round', () => {
    const e = 0.8;
    const metal = left(turningShape(turning({ noseRadiusMm: e })), at(60, 15), at(20, 15));
    // 20 of it 20 thick, 30 of it 15, and in the corner what a round of 0.8 does not fill: within what 1° of clearance takes
    const corner = (1 - Math.PI / 4) * e * e;
    const wedge = 0.5 * 5 * 5 * Math.tan(Math.PI / 180);
    expect(areaMm2(metal) - (20 * 20 + 30 * 15)).toBeGreaterThan(corner - 0.01);
    expect(areaMm2(metal) - (20 * 20 + 30 * 15)).toBeLessThan(corner + wedge + 0.01);
  });
  it('with a sharp point leaves nothing there, with a flat as long a way at its depth', () => {
    const sharp = left(turningShape(turning({ noseRadiusMm: 0 })), at(30, 15));
    const gone = 20 * 50 - areaMm2(sharp);
    const flat = left(turningShape(turning({ noseRadiusMm: 0, flatMm: 4 })), at(30, 15));
    expect(20 * 50 - areaMm2(flat)).toBeGreaterThan(gone);
    const atDepth = areaMm2(intersect(flat, ring(30.2, 33.8, 14.9, 15.1)));
    expect(atDepth).toBeCloseTo(3.6 * 0.1, 3);
  });
  it('set with an edge that leads less is swung until it clears a shoulder', () => {
    const shape = turningShape(turning({ kappaDeg: 75 }));
    expect(Math.min(...shape.edge[0]!.map((c) => c.zMm))).toBeGreaterThan(-1e-6);
  });
});

describe('tools that plunge', () => {
  it('a blade leaves a slot as wide as itself, its front leaning to the waste', () => {
    const slot = left(bladeShape(bladeOf(3, 12)), at(20, 25), at(20, 12));
    expect(20 * 50 - areaMm2(slot)).toBeCloseTo(3 * 8, 6);
    const leaning = left(bladeShape(bladeOf(3, 12, 10)), at(20, 25), at(20, 12));
    expect(20 * 50 - areaMm2(leaning)).toBeCloseTo(3 * 8 - 0.5 * 9 * Math.tan((10 * Math.PI) / 180), 4);
  });
  it('a round nose leaves half a round below its middle, a hollow one the quarter that it is', () => {
    const form = { ...tools[0]!, kind: 'form', radiusMm: 2, widthMm: 8 } as never;
    const groove = left(roundFormShape(form), at(25, 18));
    expect(20 * 50 - areaMm2(groove)).toBeCloseTo((Math.PI * 4) / 2, 2);
    const round = cutAway(ring(0, 50, 0, 20), ...swept(hollowFormShape(form, 5).edge, [at(48, 18)]));
    expect(20 * 50 - areaMm2(round)).toBeCloseTo((1 - Math.PI / 4) * 4, 2);
  });
  it('an edge at an angle takes a chamfer off, and nothing beside it', () => {
    const broken = left(chamferShape(30, 3), at(50, 20 - 3 * Math.tan(Math.PI / 6)));
    expect(20 * 50 - areaMm2(broken)).toBeCloseTo(0.5 * 3 * 3 * Math.tan(Math.PI / 6), 3);
  });
});

describe('tools that go in', () => {
  it('a drill leaves its diameter and its point, a cone a countersink', () => {
    const hole = left(drillShape(10, 3, 40), at(60, 0), at(30, 0));
    expect(20 * 50 - areaMm2(hole)).toBeCloseTo(5 * 20 + 0.5 * 5 * 3, 4);
    const sunk = left(coneShape(90, 8, 1), at(50, 0));
    expect(20 * 50 - areaMm2(sunk)).toBeCloseTo(0.5 * 4 * 4, 4);
    const centre = left(coneShape(60, 6.7, 1, { diameterMm: 3.15, toMm: 7 }), at(50, 0));
    const cone = (6.7 - 3.15) / 2 / Math.tan(Math.PI / 6);
    const moved = left(coneShape(60, 6.7, 1, { diameterMm: 3.15, toMm: 7 }), at(60, 0), at(50, 0));
    expect(areaMm2(moved)).toBeCloseTo(areaMm2(centre), 4);
    const wanted = 7 * (3.15 / 2) + 0.5 * cone * ((6.7 - 3.15) / 2);
    expect(20 * 50 - areaMm2(centre)).toBeCloseTo(wanted, 4);
  });
  it('a bar cuts outwards; its back lies across the hole as far as the smallest hole it enters', () => {
    const bar = barOf(12);
    const shape = barShape(bar);
    expect(Math.max(...shape.edge[0]!.map((c) => c.rMm))).toBeCloseTo(0, 6);
    const shank = shape.body[0]!.map((c) => c.rMm);
    expect([Math.max(...shank), Math.min(...shank)]).toEqual([
      expect.closeTo(-(12 - bar.shankMm) / 2, 9),
      expect.closeTo(-(12 + bar.shankMm) / 2, 9),
    ]);
  });
  it('a bar that turns in the work has its shank on the axis, through all of it or out to its head', () => {
    const bar = (by: 'centres' | 'head') => barOf(12, { turns: { by } as BoringBar['turns'] });
    for (const by of ['centres', 'head'] as const) {
      const { edge, body } = turningBarShape(bar(by), 15);
      // its nose leaves the wall where it turns, and the shank lies evenly about the axis, 15 below it
      expect(Math.max(...edge[0]!.map((c) => c.rMm))).toBeCloseTo(0, 6);
      const shank = body[0]!.map((c) => c.rMm + 15);
      expect(Math.max(...shank)).toBeCloseTo(bar(by).shankMm / 2, 9);
      expect(Math.min(...shank)).toBeCloseTo(-bar(by).shankMm / 2, 9);
      const left = Math.min(...body[0]!.map((c) => c.zMm));
      if (by === 'centres') expect(left).toBeCloseTo(-bar(by).reachMm / 2, 9);
      else expect(left).toBeGreaterThan(0);
    }
  });
  it('a blade on a bar cuts outwards too', () => {
    const tube = cutAway(
      ring(0, 50, 10, 20),
      ...swept(insideBladeShape(insideBladeOf(2, 14)).edge, [at(20, 9), at(20, 12)]),
    );
    expect(10 * 50 - areaMm2(tube)).toBeCloseTo(2 * 2, 6);
  });
});
