import type { Instrument } from '../gauge/index.ts';
import { type BoreStep, type Drawing, emptyBoreStep, type Feature } from '../part/index.ts';
import type { Blade, BoringBar, Countersink, Drill, InsideBlade, Reamer, Tool } from '../tool/index.ts';
import { drawingOf, instruments, mm, tools } from './shop.ts';

/** Tools for holes and slots, and gauges that go into holes, for tests. */
const id = (kind: number, n: number): string =>
  `00000000-0000-4000-8000-${String(kind).padStart(4, '0')}${String(n).padStart(8, '0')}`;

export const drillOf = (diameterMm: number, fluteMm = 12 * Math.sqrt(diameterMm) + 5 * diameterMm): Drill => ({
  ...{ id: id(1, Math.round(diameterMm * 100)), name: `drill ${diameterMm}`, kind: 'drill', material: 'hss' },
  ...{ diameterMm, fluteMm, pointDeg: 118 },
});
export const reamerOf = (diameterMm: number, leadMm = 1): Reamer => ({
  ...{ id: id(2, Math.round(diameterMm * 100)), name: `reamer ${diameterMm}`, kind: 'reamer', material: 'hss' },
  ...{ diameterMm, fluteMm: 6 * diameterMm + 30, leadMm },
});
export const barOf = (leastBoreMm: number, more: Partial<BoringBar> = {}): BoringBar => ({
  ...{ id: id(3, Math.round(leastBoreMm * 100)), name: `bar ${leastBoreMm}`, kind: 'boring bar', material: 'hss' },
  ...{ noseRadiusMm: 0.4, kappaDeg: 93, deepestMm: 2, edgeRadiusMm: 0.015 },
  ...{ leastBoreMm, shankMm: leastBoreMm * 0.7, shank: 'steel', reachMm: 5 * leastBoreMm, ...more },
});
export const bladeOf = (widthMm: number, reachMm: number, frontDeg = 0): Blade => ({
  ...{ id: id(4, Math.round(widthMm * 100)), name: `blade ${widthMm}`, kind: 'blade', material: 'hss' },
  ...{ widthMm, reachMm, frontDeg },
});
export const insideBladeOf = (widthMm: number, leastBoreMm: number, radiusMm?: number): InsideBlade => ({
  ...{ id: id(6, Math.round(widthMm * 100)), name: `inside blade ${widthMm}`, kind: 'inside blade', material: 'hss' },
  ...{ widthMm, deepestMm: 4, leastBoreMm, reachMm: 60, ...(radiusMm ? { radiusMm } : {}) },
});
const countersink: Countersink = {
  ...{ id: id(5, 1), name: 'countersink 90', kind: 'countersink', material: 'hss', diameterMm: 31, angleDeg: 90 },
};

/** A drawer with what a turner of bushes has. */
export const drawer: readonly Tool[] = [
  ...tools,
  ...[3, 4, 5, 6, 8, 9.7, 10, 11.7, 13, 16, 19.7, 22, 25, 28].map((d) => drillOf(d)),
  ...[8, 10, 12, 16, 20].map((d) => reamerOf(d)),
  ...[8, 12, 18, 25].map((d) => barOf(d)),
  ...[bladeOf(2, 12), bladeOf(3, 32)],
  ...[insideBladeOf(2, 14), countersink],
];
/** Gauges of the test shop with those that go into holes. */
export const holeGauges: readonly Instrument[] = [
  ...instruments,
  {
    ...{ id: id(7, 1), name: 'bore gauge', kind: 'bore gauge', unit: 'mm', fromMm: 6, toMm: 100 },
    ...{ resolutionMm: 0.001, uncertaintyMm: 0.005 },
  },
];

/** A step of a hole. */
export const boreStep = (
  name: string,
  diameter: number | string,
  length: number | string,
  more: Partial<BoreStep> = {},
): BoreStep => ({
  ...emptyBoreStep(name, 'mm', 'bored'),
  ...{ name, diameter: mm(diameter), length: mm(length) },
  ...more,
});
/** A drawing with holes from its ends. */
export const hollow = (
  features: readonly Feature[],
  right: readonly BoreStep[],
  left: readonly BoreStep[] = [],
): Drawing => ({
  ...drawingOf(features),
  bores: { left: [...left], right: [...right] },
});
