import { flatten } from '../contour/index.ts';
import {
  barSection,
  bottomOf,
  type CutIn,
  cutInto,
  detailShape,
  faceGroovesOf,
  type Inside,
  insides,
  lengthProfile,
  mouthOf,
  type Outside,
  outsides,
  type Part,
  type Seen,
  surfaceAt,
  type ThinLine,
  wallBulge,
} from '../part/index.ts';
import { DRAWN_CLOSE_MM, halfOutline, holeOutlines } from './outline.ts';
import type { Shape } from './picture.ts';

type Point = readonly [number, number];
type At = (zMm: number, rMm: number) => Point;

const thin = (line: ThinLine, side: 1 | -1, at: At): Shape => ({
  kind: 'polyline',
  role: 'thin',
  points: line.map((p) => at(p.zMm, side * p.rMm)),
});
/** What shows a thing cut into a length at a side of the centreline: 1 above, −1 below. */
export const detailLines = (d: CutIn, on: Outside | Inside, side: 1 | -1, at: At): Shape[] =>
  (detailShape(d.kind).lines?.(d, surfaceAt(on)) ?? []).map((line) => thin(line, side, at));
/** Strokes across it, such as show a thread's hand. */
export const handStrokes = (d: CutIn, radiusMm: number, seen: Seen, at: At): Shape[] =>
  (detailShape(d.kind).strokes?.(d, radiusMm, seen) ?? []).map((line) => thin(line, 1, at));

/** Corners of a length with flats that look towards the eye, one of them up: as lines along it. */
export function cornerLines(f: Outside, at: At): Shape[] {
  const { flats = 0 } = barSection(f) ?? {};
  const seen = Array.from({ length: Math.max(0, flats / 2 - 1) }, (_, i) => Math.cos((2 * Math.PI * (i + 1)) / flats));
  return seen.map((share) => ({
    ...{ kind: 'polyline', role: 'edge' },
    points: [at(f.zFromMm, (share * f.diameterMm) / 2), at(f.zToMm, (share * f.diameterMm) / 2)],
  }));
}

/** Threads and knurls of the outside; above the centreline, and below it too while nothing is cut open. */
export function surfaceShapes(part: Part, at: At): Shape[] {
  const sides = insides(part).length > 0 ? ([1] as const) : ([1, -1] as const);
  return outsides(part).flatMap((f) => [
    ...cornerLines(f, at),
    ...cutInto(part, f.id).flatMap((d) => [
      ...sides.flatMap((side) => detailLines(d, f, side, at)),
      ...handStrokes(d, f.diameterMm / 2, insides(part).length > 0 ? 'upper' : 'whole', at),
    ]),
  ]);
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
        shapes.push(...detailLines(d, b, -1, at), ...handStrokes(d, r, 'hole', at));
      }
  }
  // over the face's own line, which a groove opens
  for (const { zFromMm, zToMm, innerMm, outerMm, towards } of faceGroovesOf(part)) {
    const [floor, mouth] = towards === 'left' ? [zToMm, zFromMm] : [zFromMm, zToMm];
    const [inner, outer] = [innerMm / 2, outerMm / 2];
    const walls = below([
      [mouth, inner],
      [floor, inner],
      [floor, outer],
      [mouth, outer],
    ]);
    shapes.push({ kind: 'polygon', role: 'void', points: walls }, { kind: 'polyline', role: 'outline', points: walls });
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
  const [mouth, bottom] = [mouthOf(b), bottomOf(b)];
  const wall = flatten(
    [
      { zMm: mouth.zMm, rMm: mouth.diameterMm / 2, bulge: wallBulge(b) },
      { zMm: bottom.zMm, rMm: bottom.diameterMm / 2 },
    ],
    DRAWN_CLOSE_MM,
  );
  return [at(mouth.zMm, 0), ...wall.map(([z, r]) => at(z, -r)), at(bottom.zMm, 0)];
}
