import { flatten } from '../contour/index.ts';
import {
  bottomOf,
  type CutIn,
  cutInto,
  type Inside,
  insides,
  lengthProfile,
  mouthOf,
  outsides,
  type Part,
} from '../part/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import { DRAWN_CLOSE_MM, halfOutline, holeOutlines } from './outline.ts';
import type { Shape } from './picture.ts';

type Point = readonly [number, number];
type At = (zMm: number, rMm: number) => Point;

/** Lines of a thread or knurl at a side of the centreline: 1 above, −1 below. */
export function detailLines(d: CutIn, radiusMm: number, side: 1 | -1, at: At): Shape[] {
  if (d.kind === 'groove') return [];
  if (d.kind === 'thread')
    return [
      {
        kind: 'polyline',
        role: 'thin',
        points: [at(d.zFromMm, (side * d.lineMm) / 2), at(d.zToMm, (side * d.lineMm) / 2)],
      },
      ...[d.zFromMm, d.zToMm].map(
        (z): Shape => ({
          kind: 'polyline',
          role: 'thin',
          points: [at(z, side * radiusMm), at(z, (side * d.lineMm) / 2)],
        }),
      ),
    ];
  // never more lines than stay apart on a screen
  const step = Math.max(d.pitchMm, (d.zToMm - d.zFromMm) / 24);
  const lines: Shape[] = [];
  for (let z = d.zFromMm + step; z < d.zToMm - ROUNDING; z += step) {
    const lean = d.pattern === 'crossed' ? step / 2 : 0;
    const [foot, top] = [
      at(Math.max(d.zFromMm, z - lean), side * radiusMm * 0.86),
      at(Math.min(d.zToMm, z + lean), side * radiusMm),
    ];
    lines.push({ kind: 'polyline', role: 'thin', points: [foot, top] });
    if (d.pattern === 'crossed')
      lines.push({
        kind: 'polyline',
        role: 'thin',
        points: [
          at(Math.min(d.zToMm, z + lean), side * radiusMm * 0.86),
          at(Math.max(d.zFromMm, z - lean), side * radiusMm),
        ],
      });
  }
  return lines;
}

/** Strokes that show a thread's hand, how far they lean and stand apart as shares of their height, at the most as many. */
const HAND_LEAN = 0.22;
const HAND_APART = 0.4;
const HAND_STROKES = 3;

/**
 * Short slanted strokes in the middle of a thread, leaning as its crests do where they are seen: the near side of an outside thread,
 * the far side of an inside one. A right-hand thread seen from outside falls to the right, a left-hand one to the left.
 * @param seen of the whole thread, of the upper half of a part that is cut open, or in a hole below the centreline
 */
export function handStrokes(d: CutIn, radiusMm: number, seen: 'whole' | 'upper' | 'hole', at: At): Shape[] {
  if (d.kind !== 'thread') return [];
  const highMm = radiusMm * 0.5;
  const middleMm = { whole: 0, upper: radiusMm / 2, hole: -radiusMm / 2 }[seen];
  const falls = (d.hand === 'right') !== (seen === 'hole');
  const leanMm = (falls ? -1 : 1) * highMm * HAND_LEAN;
  const room = Math.floor((d.zToMm - d.zFromMm) / (highMm * HAND_APART));
  const count = Math.min(HAND_STROKES, Math.max(1, room - 1));
  const centreMm = (d.zFromMm + d.zToMm) / 2;
  return Array.from({ length: count }, (_, i): Shape => {
    const zMm = centreMm + (i - (count - 1) / 2) * highMm * HAND_APART;
    return {
      kind: 'polyline',
      role: 'thin',
      points: [at(zMm + leanMm / 2, middleMm + highMm / 2), at(zMm - leanMm / 2, middleMm - highMm / 2)],
    };
  });
}

/** Threads and knurls of the outside; above the centreline, and below it too while nothing is cut open. */
export function surfaceShapes(part: Part, at: At): Shape[] {
  const sides = insides(part).length > 0 ? ([1] as const) : ([1, -1] as const);
  return outsides(part).flatMap((f) =>
    cutInto(part, f.id).flatMap((d) => [
      ...sides.flatMap((side) => detailLines(d, f.diameterMm / 2, side, at)),
      ...handStrokes(d, f.diameterMm / 2, insides(part).length > 0 ? 'upper' : 'whole', at),
    ]),
  );
}

/**
 * The lower half cut open where a part is hollow: its metal hatched, the hole free, edges of the hole as lines.
 * @param at maps zPart and radius to the picture; below the centreline the radius is negative
 */
export function sectionShapes(part: Part, at: At): Shape[] {
  const holes = holeOutlines(part);
  if (holes.length === 0) return [];
  const below = (points: readonly Point[]): Point[] => points.map(([z, r]) => at(z, -r));
  const ends = [...new Set(insides(part).map((b) => b.from))];
  const shapes: Shape[] = [{ kind: 'polygon', role: 'section', points: below(halfOutline(part)) }];
  for (const [i, hole] of holes.entries()) {
    const side = insides(part).filter((b) => b.from === ends[i]);
    const first = hole[0]!;
    const last = hole.at(-1)!;
    // closed along the axis, so that what is hollow can be painted free of hatching
    shapes.push({ kind: 'polygon', role: 'void', points: [...below(hole), at(last[0], 0), at(first[0], 0)] });
    shapes.push({ kind: 'polyline', role: 'outline', points: below(hole) });
    for (const b of side)
      shapes.push({
        kind: 'polyline',
        role: 'edge',
        points: [at(bottomOf(b).zMm, 0), at(bottomOf(b).zMm, -b.diameterMm / 2)],
      });
    for (const b of side)
      for (const d of cutInto(part, b.id)) {
        const r = mouthOf(b).diameterMm / 2;
        shapes.push(...detailLines(d, r, -1, at), ...handStrokes(d, r, 'hole', at));
      }
  }
  return shapes;
}

/** The shape of one outside feature, both sides of the centreline, as a closed line to be drawn or met by a pointer. */
export function featureShape(part: Part, id: string, at: At): readonly Point[] {
  const half = flatten(lengthProfile(part, id), DRAWN_CLOSE_MM);
  return [...half.map(([z, r]) => at(z, r)), ...half.toReversed().map(([z, r]) => at(z, -r))];
}

/** The shape of a step of a hole below the centreline, to be met by a pointer. */
export function boreShape(b: Inside, at: At): readonly Point[] {
  return [at(b.zFromMm, 0), at(b.zFromMm, -b.leftMm / 2), at(b.zToMm, -b.rightMm / 2), at(b.zToMm, 0)];
}
