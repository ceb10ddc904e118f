import { type Corner, QUARTER } from '../contour/index.ts';
import { radians } from '../quantity/index.ts';
import type { CutGroove } from './details.ts';
import type { Bored, Part, Turned } from './part.ts';

/** Half included angle of a drill's point from the axis: 118° in all. */
const DRILL_HALF_DEG = 59;

/** Corners of a groove from left to right; `out` is 1 where metal is inside the surface, −1 where it is around it. */
function grooveCorners(g: CutGroove, surfaceMm: number, out: 1 | -1): Corner[] {
  const [r, f] = [surfaceMm, surfaceMm - out * g.depthMm];
  const middle = (g.zFromMm + g.zToMm) / 2;
  const wide = g.zToMm - g.zFromMm;
  switch (g.shape) {
    case 'square':
      return [
        { zMm: g.zFromMm, rMm: r },
        { zMm: g.zFromMm, rMm: f },
        { zMm: g.zToMm, rMm: f },
        { zMm: g.zToMm, rMm: r },
      ];
    case 'round':
      return [
        { zMm: g.zFromMm, rMm: r, bulge: (out * 2 * g.depthMm) / wide },
        { zMm: g.zToMm, rMm: r },
      ];
    case 'vee':
      return [
        { zMm: g.zFromMm, rMm: r },
        { zMm: middle, rMm: f },
        { zMm: g.zToMm, rMm: r },
      ];
    case 'angled': {
      const lean = g.depthMm * Math.tan(radians(g.wallDeg));
      return [
        { zMm: g.zFromMm, rMm: r },
        { zMm: g.zFromMm + lean, rMm: f },
        { zMm: g.zToMm - lean, rMm: f },
        { zMm: g.zToMm, rMm: r },
      ];
    }
  }
}

const grooves = (details: Turned['details']): CutGroove[] =>
  details.filter((d) => d.kind === 'groove').sort((a, b) => a.zFromMm - b.zFromMm);

/** Corners of one outside feature from its left end to its right one, edges and grooves in it. */
function featureCorners(f: Turned, before: Turned | undefined, after: Turned | undefined): Corner[] {
  const [a, b] = [f.leftMm / 2, f.rightMm / 2];
  const long = f.zToMm - f.zFromMm;
  const at = (z: number): number => a + ((b - a) * (z - f.zFromMm)) / long;
  if (f.kind === 'ball') {
    const ball = f.diameterMm / 2;
    const sweep = Math.atan2(a, -Math.sqrt(ball ** 2 - a ** 2)) - Math.atan2(b, Math.sqrt(ball ** 2 - b ** 2));
    return [
      { zMm: f.zFromMm, rMm: a, bulge: -Math.tan(sweep / 4) },
      { zMm: f.zToMm, rMm: b },
    ];
  }
  if (f.arc) {
    const chord = Math.hypot(long, b - a);
    const bulge = Math.tan(Math.asin(Math.min(1, chord / 2 / f.arc.radiusMm)) / 2);
    return [
      { zMm: f.zFromMm, rMm: a, bulge: f.arc.hollow ? bulge : -bulge },
      { zMm: f.zToMm, rMm: b },
    ];
  }
  const left: Corner[] = [];
  const right: Corner[] = [];
  if (f.left)
    left.push(
      { zMm: f.zFromMm, rMm: a - f.left.depthMm },
      { zMm: f.zFromMm + f.left.lengthMm, rMm: at(f.zFromMm + f.left.lengthMm) },
    );
  else if (f.leftRoundMm) {
    const inner = (before?.rightMm ?? 0) / 2 > a;
    left.push(
      { zMm: f.zFromMm, rMm: a + (inner ? 1 : -1) * f.leftRoundMm, bulge: inner ? QUARTER : -QUARTER },
      { zMm: f.zFromMm + f.leftRoundMm, rMm: a },
    );
  } else left.push({ zMm: f.zFromMm, rMm: a });
  if (f.right)
    right.push(
      { zMm: f.zToMm - f.right.lengthMm, rMm: at(f.zToMm - f.right.lengthMm) },
      { zMm: f.zToMm, rMm: b - f.right.depthMm },
    );
  else if (f.rightRoundMm) {
    const inner = (after?.leftMm ?? 0) / 2 > b;
    right.push(
      { zMm: f.zToMm - f.rightRoundMm, rMm: b, bulge: inner ? QUARTER : -QUARTER },
      { zMm: f.zToMm, rMm: b + (inner ? 1 : -1) * f.rightRoundMm },
    );
  } else right.push({ zMm: f.zToMm, rMm: b });
  return [...left, ...grooves(f.details).flatMap((g) => grooveCorners(g, a, 1)), ...right];
}

/** One outside feature as corners, from its left end to its right one. @param index among the part's features */
export function featureProfile(part: Part, index: number): readonly Corner[] {
  const feature = part.features[index];
  return feature ? featureCorners(feature, part.features[index - 1], part.features[index + 1]) : [];
}

/**
 * The outside of a part as corners and arcs, from the axis at its left end over everything to the axis at its right end.
 */
export function outsideProfile(part: Part): readonly Corner[] {
  const { features } = part;
  const [first, last] = [features[0], features.at(-1)];
  if (!first || !last) return [];
  const corners = features.flatMap((f, i) => featureCorners(f, features[i - 1], features[i + 1]));
  return [{ zMm: first.zFromMm, rMm: 0 }, ...corners, { zMm: last.zToMm, rMm: 0 }];
}

function boreCorners(steps: readonly Bored[], part: Part): Corner[] {
  const corners: Corner[] = [];
  for (const step of steps) {
    corners.push({ zMm: step.zFromMm, rMm: step.outerMm / 2 });
    const inwards = step.side === 'left' ? 1 : -1;
    const cut = grooves(step.details).map((g) => grooveCorners(g, step.outerMm / 2, -1));
    // a hole from the right is gone through from right to left: corners and the turn of arcs are the other way round
    if (inwards === 1) corners.push(...cut.flat());
    else
      for (const g of cut.toReversed())
        corners.push(
          ...g.toReversed().map((c, k, all) => ({
            zMm: c.zMm,
            rMm: c.rMm,
            ...(all[k + 1]?.bulge ? { bulge: -all[k + 1]!.bulge! } : {}),
          })),
        );
    corners.push({ zMm: step.zToMm, rMm: step.innerMm / 2 });
  }
  const last = steps.at(-1);
  if (!last || last.through) return corners;
  const bottom = last.innerMm / 2;
  const inwards = last.side === 'left' ? 1 : -1;
  const point = last.kind === 'drilled' ? bottom / Math.tan(radians(DRILL_HALF_DEG)) : 0;
  const tip = Math.min(part.lengthMm, Math.max(0, last.zToMm + inwards * point));
  return bottom > 0 ? [...corners, { zMm: tip, rMm: 0 }] : corners;
}

/**
 * The holes on the axis as corners and arcs, each from its face inwards to its bottom on the axis, or right through to the other
 * face or hole.
 */
export function insideProfiles(part: Part): readonly (readonly Corner[])[] {
  return (['left', 'right'] as const)
    .map((side) => part.bores.filter((b) => b.side === side))
    .filter((steps) => steps.length > 0)
    .map((steps) => boreCorners(steps, part));
}
