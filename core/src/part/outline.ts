import { type Contour, type Corner, cutAway, type Loop, NOTHING, QUARTER, ring } from '../contour/index.ts';
import { bottomOf, cutInto, edgeOf, faceGroovesOf, insides, mouthOf, outsides } from './ask.ts';
import { filletBeside, filletOnBall } from './ball-fillet.ts';
import type { Part } from './part.ts';
import { blindCorners } from './shape/bore.ts';
import { wallBulge } from './shape/bore-arc.ts';
import { detailCorners } from './shape/details.ts';
import { edgeCorners, roundRadiusMm } from './shape/edges.ts';
import { lineOf, sphereOf } from './shape/outside.ts';
import type { Inside, Outside } from './surface.ts';
import { opposite } from './surface-id.ts';

/** Corners of one length of the outside from its left end to its right one, edges and grooves in it. */
function lengthCorners(part: Part, f: Outside): readonly Corner[] {
  const line = lineOf(f);
  const [first, last] = [line[0], line.at(-1)!];
  // edges are broken on straight lengths; an arc ends where it ends
  const sphere = sphereOf(f);
  if (sphere) return ballCorners(part, f, sphere.middleMm, line);
  if (first.bulge) return line;
  const [left, right] = [edgeOf(part, f.id, 'left'), edgeOf(part, f.id, 'right')];
  // beside a ball a round is no quarter: it leaves the length where it touches it, and the ball goes on where it touches that
  const [toLeft, toRight] = [filletBeside(part, f, 'left'), filletBeside(part, f, 'right')];
  return [
    ...(toLeft ? [toLeft.length] : left ? edgeCorners(left, f, 'left') : [first]),
    ...detailCorners(cutInto(part, f.id), f, 1).flat(),
    ...(toRight ? [toRight.length] : right ? edgeCorners(right, f, 'right') : [last]),
  ];
}

/** A ball from where its neighbours, or their fillets, leave it. */
function ballCorners(part: Part, ball: Outside, middleMm: number, line: readonly Corner[]): readonly Corner[] {
  const [left, right] = [filletOnBall(part, ball, 'left'), filletOnBall(part, ball, 'right')];
  if (!left && !right) return line;
  const [from, to] = [left ?? line[0]!, right ?? line.at(-1)!];
  const angle = ({ zMm, rMm }: Corner): number => Math.atan2(rMm, zMm - middleMm);
  const start = { zMm: from.zMm, rMm: from.rMm, bulge: -Math.tan((angle(from) - angle(to)) / 4) };
  return [start, right ?? { zMm: to.zMm, rMm: to.rMm }];
}

/** One length of the outside as corners, from its left end to its right one. */
export function lengthProfile(part: Part, id: string): readonly Corner[] {
  const f = outsides(part).find((o) => o.id === id);
  return f ? lengthCorners(part, f) : [];
}

/**
 * The outside of a part as corners and arcs, from the axis at its left end over everything to the axis at its right end.
 */
export function outsideProfile(part: Part): readonly Corner[] {
  const lengths = outsides(part);
  const [first, last] = [lengths[0], lengths.at(-1)];
  if (!first || !last) return [];
  const corners = lengths.flatMap((f) => lengthCorners(part, f));
  return [{ zMm: first.zFromMm, rMm: 0 }, ...corners, { zMm: last.zToMm, rMm: 0 }];
}

/** Corners gone through the other way, arcs and all. */
const backwards = (corners: readonly Corner[]): Corner[] =>
  corners.toReversed().map((c, k, all) => {
    const bulge = all[k + 1]?.bulge;
    return { zMm: c.zMm, rMm: c.rMm, ...(bulge ? { bulge: -bulge } : {}) };
  });

/** Where a step of a hole ends: its corner, or the round in it. */
function bottomCorners(
  part: Part,
  step: Inside,
  { zMm, diameterMm }: { readonly zMm: number; readonly diameterMm: number },
): readonly Corner[] {
  const inwards = step.from === 'left' ? 1 : -1;
  const corner = edgeOf(part, step.id, opposite[step.from]);
  const rMm = diameterMm / 2;
  const radiusMm = roundRadiusMm(corner);
  if (radiusMm === undefined) return [{ zMm, rMm }];
  return [
    { zMm: zMm - inwards * radiusMm, rMm, bulge: -inwards * QUARTER },
    { zMm, rMm: rMm - radiusMm },
  ];
}

function holeCorners(steps: readonly Inside[], part: Part): readonly Corner[] {
  const corners = steps.flatMap((step): Corner[] => {
    const [mouth, bottom] = [mouthOf(step), bottomOf(step)];
    const cut = detailCorners(cutInto(part, step.id), step, -1);
    // a hole from the right is gone through from right to left
    const inOrder = step.from === 'left' ? cut.flat() : cut.toReversed().flatMap(backwards);
    const bulge = wallBulge(step);
    const at = { zMm: mouth.zMm, rMm: mouth.diameterMm / 2, ...(bulge ? { bulge } : {}) };
    return [at, ...inOrder, ...bottomCorners(part, step, bottom)];
  });
  return [...corners, ...blindCorners(steps.at(-1)!, part.lengthMm)];
}

/**
 * The holes on the axis as corners and arcs, each from its face inwards to its bottom on the axis, or right through to the other
 * face or hole.
 */
export function insideProfiles(part: Part): readonly (readonly Corner[])[] {
  // told in the order in which they are drawn, whichever way the piece lies
  const order = part.tail === 'right' ? (['left', 'right'] as const) : (['right', 'left'] as const);
  return order
    .map((from) => insides(part).filter((b) => b.from === from))
    .filter((steps) => steps.length > 0)
    .map((steps) => holeCorners(steps, part));
}

/** A groove in a face is cut from so far beyond it, mm. */
const BEYOND_MM = 1;
const contours = new WeakMap<Part, Contour>();

/**
 * The half-section of a part: its outside less its holes. What is cut across the axis is not of it.
 */
export function contourOf(part: Part): Contour {
  const known = contours.get(part);
  if (known) return known;
  const outside = outsideProfile(part);
  if (outside.length === 0) return NOTHING;
  // gone over from left to right the metal is on the right: the other way round it is on the left
  const body: Contour = { loops: [backwards(outside)] };
  const bored = insideProfiles(part).reduce((left, hole) => cutAway(left, { loops: [hollow(hole)] }), body);
  const contour = faceGroovesOf(part).reduce((left, g) => {
    // from beyond the face, so that nothing is left at it
    const [from, to] = g.towards === 'left' ? [g.zFromMm - BEYOND_MM, g.zToMm] : [g.zFromMm, g.zToMm + BEYOND_MM];
    return cutAway(left, ring(from, to, g.innerMm / 2, g.outerMm / 2));
  }, bored);
  contours.set(part, contour);
  return contour;
}

/** What a hole takes, closed along the axis. */
function hollow(hole: readonly Corner[]): Loop {
  const [first, last] = [hole[0]!, hole.at(-1)!];
  const closed = [...hole, ...(last.rMm > 0 ? [{ zMm: last.zMm, rMm: 0 }] : []), { zMm: first.zMm, rMm: 0 }];
  // from the left face inwards the hollow lies on the right of the way
  return last.zMm > first.zMm ? backwards(closed) : closed;
}
