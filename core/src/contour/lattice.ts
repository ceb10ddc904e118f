import type { Path64 } from 'clipper2-ts';
import { type Contour, edgesOf, type Loop } from './contour.ts';
import { arcOf, type Corner } from './corner.ts';
import { flatten } from './flatten.ts';

/** Outlines are cut in whole steps of this, mm: 0.1 µm, so that cuts meet exactly. Arcs are followed as closely. */
export const LATTICE_MM = 0.0001;
const PER_MM = 1 / LATTICE_MM;
/** How far a corner of a cut outline may lie off the arc that it is on, mm: a chord's height, and being put on the lattice. */
const ON_ARC_MM = 0.00035;
/** Arcs are told in turns of no more than this, radians: beyond half a turn a bulge says less and less. */
const MOST_TURN = Math.PI * 0.75;

/** A circle that an outline follows for a way. */
export interface Circle {
  readonly centreZMm: number;
  readonly centreRMm: number;
  readonly radiusMm: number;
}

/** The circles of all arcs of some contours, each once. */
export function circlesOf(...contours: readonly Contour[]): readonly Circle[] {
  const found = new Map<string, Circle>();
  for (const contour of contours)
    for (const [a, b] of edgesOf(contour)) {
      if (!a.bulge) continue;
      const { radius, centreZ, centreR } = arcOf(a, b, a.bulge);
      const circle = { centreZMm: centreZ, centreRMm: centreR, radiusMm: radius };
      found.set([centreZ, centreR, radius].map((mm) => Math.round(mm / LATTICE_MM)).join(), circle);
    }
  return [...found.values()];
}

/** A contour as polygons on the lattice. */
export function toLattice(contour: Contour): Path64[] {
  return contour.loops.map((loop) =>
    flatten([...loop, loop[0]!], LATTICE_MM)
      .slice(0, -1)
      .map(([z, r]) => ({ x: Math.round(z * PER_MM), y: Math.round(r * PER_MM) })),
  );
}

/** On which circle an edge of a cut outline lies; undefined for a straight one. */
function circleUnder(a: Corner, b: Corner, circles: readonly Circle[]): Circle | undefined {
  const off = (zMm: number, rMm: number, c: Circle) => Math.hypot(zMm - c.centreZMm, rMm - c.centreRMm) - c.radiusMm;
  return circles.find(
    (c) =>
      Math.abs(off(a.zMm, a.rMm, c)) < ON_ARC_MM &&
      Math.abs(off(b.zMm, b.rMm, c)) < ON_ARC_MM &&
      Math.abs(off((a.zMm + b.zMm) / 2, (a.rMm + b.rMm) / 2, c)) < 1.5 * ON_ARC_MM,
  );
}

/** How far an edge turns about a circle, radians, left turns positive. */
function turnOf(a: Corner, b: Corner, c: Circle): number {
  const [u, v] = [a, b].map((p) => Math.atan2(p.rMm - c.centreRMm, p.zMm - c.centreZMm));
  const turn = v! - u!;
  return turn - 2 * Math.PI * Math.round(turn / (2 * Math.PI));
}

/**
 * A corner put back onto its circle along the straight edge that meets it there: cut off a chord it lies beside the circle, and would
 * move it a little at every cut. Where the edge only grazes the circle the corner stays.
 */
function onto(p: Corner, along: Corner | undefined, c: Circle): Corner {
  const [z, r] = [p.zMm - c.centreZMm, p.rMm - c.centreRMm];
  const long = along ? Math.hypot(along.zMm - p.zMm, along.rMm - p.rMm) : 0;
  if (!along || long < 10 * LATTICE_MM) return p;
  const [dz, dr] = [(along.zMm - p.zMm) / long, (along.rMm - p.rMm) / long];
  const half = z * dz + r * dr;
  const under = half * half - (z * z + r * r - c.radiusMm * c.radiusMm);
  if (under < 0) return p;
  const by = half > 0 ? -half + Math.sqrt(under) : -half - Math.sqrt(under);
  return Math.abs(by) > 2 * ON_ARC_MM ? p : { zMm: p.zMm + by * dz, rMm: Math.max(0, p.rMm + by * dr) };
}

/** A corner between two arcs of one circle, put onto it. */
function outTo(p: Corner, c: Circle): Corner {
  const share = c.radiusMm / Math.hypot(p.zMm - c.centreZMm, p.rMm - c.centreRMm);
  return { zMm: c.centreZMm + (p.zMm - c.centreZMm) * share, rMm: c.centreRMm + (p.rMm - c.centreRMm) * share };
}

/** Bulge of an arc of a circle between two corners that turns about so far. */
function bulgeOf(a: Corner, b: Corner, c: Circle, turn: number): number {
  const chord = Math.hypot(b.zMm - a.zMm, b.rMm - a.rMm);
  // by the chord the radius stays what it was; where that says little, by the angle
  const exact = Math.abs(turn) < 2.5 ? 2 * Math.asin(Math.min(1, chord / 2 / c.radiusMm)) * Math.sign(turn) : turn;
  return Math.tan(exact / 4);
}

/** A way along one edge, or along several that follow one circle. */
interface Way {
  readonly start: Corner;
  readonly circle?: Circle;
  readonly turn: number;
}

/** The edges of a polygon, those that follow one circle put together. */
function waysOf(corners: Loop, circles: readonly Circle[]): readonly Way[] {
  const { length } = corners;
  const at = (i: number) => corners[i % length]!;
  const under = corners.map((c, i) => circleUnder(c, at(i + 1), circles));
  const turns = corners.map((c, i) => (under[i] ? turnOf(c, at(i + 1), under[i]) : 0));
  const goesOn = (i: number): boolean => {
    const before = (i + length - 1) % length;
    return under[i] !== undefined && under[i] === under[before] && turns[i]! * turns[before]! > 0;
  };
  const first = Math.max(
    0,
    corners.findIndex((_, i) => !goesOn(i)),
  );
  const ways: { start: Corner; circle?: Circle; turn: number }[] = [];
  for (let k = 0; k < length; k++) {
    const i = (first + k) % length;
    const last = ways.at(-1);
    if (k > 0 && last && goesOn(i) && Math.abs(last.turn + turns[i]!) <= MOST_TURN) last.turn += turns[i]!;
    else ways.push({ start: corners[i]!, circle: under[i], turn: turns[i]! });
  }
  return ways;
}

/** A polygon of the lattice as an outline, its arcs told as arcs again. */
function outlineOf(path: Path64, circles: readonly Circle[]): Loop {
  const corners: Loop = path.map((p) => ({ zMm: p.x / PER_MM, rMm: p.y / PER_MM }));
  if (circles.length === 0) return corners;
  const ways = waysOf(corners, circles);
  const starts = ways.map(({ start, circle }, i) => {
    const before = ways[(i + ways.length - 1) % ways.length]!;
    if (circle && before.circle === circle) return outTo(start, circle);
    if (circle && !before.circle) return onto(start, before.start, circle);
    return !circle && before.circle ? onto(start, ways[(i + 1) % ways.length]!.start, before.circle) : start;
  });
  return ways.map(({ circle, turn }, i) => {
    const [start, end] = [starts[i]!, starts[(i + 1) % starts.length]!];
    return circle ? { ...start, bulge: bulgeOf(start, end, circle, turn) } : start;
  });
}

/** Whether a loop is only what rounding left between two cuts: no wider than the lattice's own steps. */
function isSliver(path: Path64): boolean {
  let area = 0;
  let edge = 0;
  for (const [i, p] of path.entries()) {
    const q = path[(i + 1) % path.length]!;
    area += (p.x * q.y - q.x * p.y) / 2;
    edge += Math.hypot(q.x - p.x, q.y - p.y);
  }
  return Math.abs(area) < edge;
}

/** Polygons of the lattice as a contour. @param circles those that its arcs may be of */
export function fromLattice(paths: readonly Path64[], circles: readonly Circle[]): Contour {
  return { loops: paths.filter((path) => !isSliver(path)).map((path) => outlineOf(path, circles)) };
}
