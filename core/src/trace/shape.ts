import type { Corner } from '../contour/index.ts';
import type { Problem } from '../quantity/index.ts';
import { JOINS_MM, type Placing, placed } from './place.ts';
import type { Stroke } from './stroke.ts';
import { type Net, netOf, walk, withoutLooseEnds } from './walk.ts';

/** The outlines of a turned part that were found among strokes, in mm with the headstock end at 0. */
export interface Traced {
  /** from the axis at the left end over everything to the axis at the right end; empty where none was found */
  readonly outside: readonly Corner[];
  /** holes from their faces inwards */
  readonly left: readonly Corner[];
  readonly right: readonly Corner[];
  /** where the part's left end lies among the placed strokes, mm */
  readonly startMm: number;
  /** how many strokes became part of an outline, lay on or below the axis, or were left over */
  readonly used: { readonly outline: number; readonly mirrored: number; readonly left: number };
  readonly problems: readonly Problem[];
}

const round = (mm: number): number => Number(mm.toFixed(3));

const none = (problem: Problem, mirrored = 0, left = 0): Traced => ({
  ...{ outside: [], left: [], right: [], problems: [problem], startMm: 0 },
  used: { outline: 0, mirrored, left },
});

/** Corners of a path; joined straight lines stay as they are. */
function cornersOf(path: readonly Stroke[]): Corner[] {
  const last = path.at(-1);
  if (!last) return [];
  return [
    ...path.map((s): Corner => ({ zMm: s.a[0], rMm: s.a[1], ...(s.bulge ? { bulge: s.bulge } : {}) })),
    { zMm: last.b[0], rMm: last.b[1] },
  ];
}

/** Most ends that lines across at one place are cut at; more are no drawing of a part. */
const MOST_CUTS = 400;

/**
 * Lines straight across are cut wherever another stroke ends on them: where a hole's outline begins in the middle of a face,
 * and where an edge is drawn across over a face.
 */
function cutFaces(strokes: readonly Stroke[], joinMm: number): readonly Stroke[] {
  const place = (z: number): number => Math.round(z / joinMm / 4);
  const stops = new Map<number, Set<number>>();
  for (const s of strokes)
    for (const [z, r] of [s.a, s.b]) {
      const at = stops.get(place(z));
      if (at) at.add(r);
      else stops.set(place(z), new Set([r]));
    }
  return strokes.flatMap((s): Stroke[] => {
    if (s.bulge || Math.abs(s.a[0] - s.b[0]) > joinMm) return [s];
    const here = place(s.a[0]);
    const [low, high] = [Math.min(s.a[1], s.b[1]), Math.max(s.a[1], s.b[1])];
    const inner = [here - 1, here, here + 1]
      .flatMap((k) => ((stops.get(k)?.size ?? 0) > MOST_CUTS ? [] : [...(stops.get(k) ?? [])]))
      .filter((r) => r > low + joinMm && r < high - joinMm)
      .sort((a, b) => a - b);
    const rs = [low, ...inner, high];
    return rs.slice(1).map((r, i): Stroke => ({ ...s, a: [s.a[0], rs[i]!], b: [s.a[0], r], bulge: 0 }));
  });
}

/** A hole's outline from the face at a place inwards. */
function hole(
  net: Net,
  used: Set<number>,
  group: readonly number[],
  faceMm: number,
  farMm: number,
  joinMm: number,
): readonly Stroke[] {
  const near = (z: number, to: number): boolean => Math.abs(z - to) <= joinMm;
  const start = group
    .map((i) => ({ p: net.points[i]!, i }))
    .filter(
      ({ p, i }) =>
        near(p[0], faceMm) &&
        p[1] > joinMm &&
        net.ways[i]!.some((w) => !used.has(w.index) && !near(net.points[w.to]![0], faceMm)),
    )
    .sort((a, b) => b.p[1] - a.p[1])[0];
  if (!start) return [];
  const inwards = farMm > faceMm;
  return walk(net, used, start.i, inwards ? 0 : Math.PI, inwards ? 1 : -1, (i) => {
    const [z, r] = net.points[i]!;
    return r <= joinMm || near(z, farMm);
  });
}

/** Outlines with ends joined that lie within a distance. */
function traceJoined(flat: readonly Stroke[], joinMm: number): Traced {
  // ends of what lies above the axis only: a centreline may reach beyond the part
  const solid = flat.filter((s) => s.a[1] > joinMm || s.b[1] > joinMm || s.bulge);
  const net = netOf(cutFaces(solid, joinMm), joinMm);
  const used = new Set(withoutLooseEnds(net, joinMm));
  const loose = used.size;
  const mirrored = flat.length - solid.length + net.dropped;
  const groups = componentsOf(net, used);
  if (groups.length === 0) {
    const [z, r] = net.points
      .filter((p, i) => net.ways[i]!.length === 1 && p[1] > joinMm)
      .reduce((a, b) => (b[0] < a[0] ? b : a), [Number.POSITIVE_INFINITY, 0] as const);
    return none(
      { code: 'trace.broken', path: ['strokes'], value: round(z), limit: round(r), unit: 'mm' },
      mirrored,
      loose,
    );
  }
  let first: Traced | undefined;
  for (const group of groups.slice(0, MOST_VIEWS)) {
    const traced = traceGroup(net, new Set(used), group, joinMm, mirrored);
    if (traced.problems.length === 0) return traced;
    first ??= traced;
  }
  return first!;
}

/** More separate figures than this are not tried. */
const MOST_VIEWS = 24;

/** Points that hang together, the figure with the most strokes first. */
function componentsOf(net: Net, gone: ReadonlySet<number>): readonly (readonly number[])[] {
  const seen = new Set<number>();
  const groups: { points: number[]; strokes: number }[] = [];
  for (const start of net.points.keys()) {
    if (seen.has(start) || net.ways[start]!.every((w) => gone.has(w.index))) continue;
    const group = { points: [start], strokes: 0 };
    seen.add(start);
    for (let k = 0; k < group.points.length; k++)
      for (const way of net.ways[group.points[k]!]!) {
        if (gone.has(way.index)) continue;
        group.strokes += 0.5;
        if (!seen.has(way.to)) {
          seen.add(way.to);
          group.points.push(way.to);
        }
      }
    groups.push(group);
  }
  return groups.sort((a, b) => b.strokes - a.strokes).map((g) => g.points);
}

/** The outlines of one figure: its outside, and holes from its faces. */
function traceGroup(net: Net, used: Set<number>, group: readonly number[], joinMm: number, mirrored: number): Traced {
  const places = group.map((i) => ({ p: net.points[i]!, i }));
  const leftMm = places.reduce((least, { p }) => Math.min(least, p[0]), Number.POSITIVE_INFINITY);
  const rightMm = places.reduce((most, { p }) => Math.max(most, p[0]), Number.NEGATIVE_INFINITY);
  const start = places.filter(({ p }) => p[0] <= leftMm + joinMm).sort((a, b) => a.p[1] - b.p[1])[0]!;
  const outer = walk(net, used, start.i, Math.PI / 2, 1, (i) => {
    const [z, r] = net.points[i]!;
    if (z < rightMm - joinMm) return false;
    const goesDown = net.ways[i]!.some((w) => {
      const [toZ, toR] = net.points[w.to]!;
      return !used.has(w.index) && toR < r && Math.abs(toZ - z) <= joinMm;
    });
    return r <= joinMm || !goesDown;
  });
  const end = outer.at(-1)?.b;
  if (!end || end[0] < rightMm - joinMm)
    return none(
      {
        ...{ code: 'trace.broken', path: ['strokes'], value: round((end?.[0] ?? leftMm) - leftMm), unit: 'mm' },
        limit: round(end?.[1] ?? start.p[1]),
      },
      mirrored,
      net.strokes.length,
    );
  const left = hole(net, used, group, leftMm, rightMm, joinMm);
  const right = hole(net, used, group, rightMm, leftMm, joinMm);
  const moved = (path: readonly Stroke[]): Corner[] => cornersOf(path).map((c) => ({ ...c, zMm: c.zMm - leftMm }));
  const outline = outer.length + left.length + right.length;
  return {
    outside: [
      ...(start.p[1] > joinMm ? [{ zMm: 0, rMm: 0 }] : []),
      ...moved(outer),
      ...(end[1] > joinMm ? [{ zMm: rightMm - leftMm, rMm: 0 }] : []),
    ],
    startMm: leftMm,
    left: moved(left),
    right: moved(right),
    used: { outline, mirrored, left: Math.max(0, net.strokes.length - outline) },
    problems: [],
  };
}

/**
 * An open half profile with its faces: where it ends in nothing at its very left or right end, a line goes from there to the axis.
 * @returns undefined where nothing is open there
 */
function withFaces(flat: readonly Stroke[], joinMm: number): readonly Stroke[] | undefined {
  const net = netOf(
    flat.filter((s) => s.a[1] > joinMm || s.b[1] > joinMm || s.bulge),
    joinMm,
  );
  const places = net.points.flatMap((p, i) => (net.ways[i]!.length > 0 ? [p] : []));
  if (places.length === 0) return undefined;
  const leftMm = places.reduce((least, p) => Math.min(least, p[0]), Number.POSITIVE_INFINITY);
  const rightMm = places.reduce((most, p) => Math.max(most, p[0]), Number.NEGATIVE_INFINITY);
  const open = net.points.filter((p, i) => net.ways[i]!.length === 1 && p[1] > joinMm);
  const faces = [leftMm, rightMm].flatMap((zMm): Stroke[] => {
    const [outer] = open.filter((p) => Math.abs(p[0] - zMm) <= joinMm).sort((a, b) => b[1] - a[1]);
    return outer ? [{ a: outer, b: [outer[0], 0], bulge: 0, layer: '' }] : [];
  });
  return faces.length > 0 ? [...flat, ...faces] : undefined;
}

/**
 * Finds the outlines of a turned part among the strokes of a file: the outside over the top, and holes from either end. A half
 * profile, closed or open at its ends, a whole one with edges across, and a section are all understood; hatching and other loose ends fall away.
 * @param strokes of the layers that were chosen, in the file's plane
 */
export function traceOutlines(strokes: readonly Stroke[], placing: Placing): Traced {
  const flat = placed(strokes, placing);
  if (flat.length === 0) return none({ code: 'trace.nothing', path: ['strokes'] });
  const first = traceJoined(flat, JOINS_MM[0]);
  if (first.problems.length === 0) return first;
  for (const joinMm of JOINS_MM.slice(1)) {
    const next = traceJoined(flat, joinMm);
    if (next.problems.length > 0) continue;
    return {
      ...next,
      problems: [{ code: 'trace.gapsClosed', path: ['strokes'], limit: joinMm, unit: 'mm', severity: 'warning' }],
    };
  }
  for (const joinMm of JOINS_MM) {
    const closed = withFaces(flat, joinMm);
    const next = closed && traceJoined(closed, joinMm);
    if (!next || next.problems.length > 0) continue;
    return { ...next, problems: [{ code: 'trace.facesAdded', path: ['strokes'], severity: 'warning' }] };
  }
  return first;
}
