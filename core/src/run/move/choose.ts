import {
  askFor,
  comesTo,
  type KnownPlace,
  type Sign,
  type SpringShare,
  springPassTakesMm,
} from '../../mechanics/index.ts';
import { PLACE_MM, ROUNDING } from '../../quantity/index.ts';

/** Everything that the next number is decided from. Radii in mm; x is the tool's place by the rings. */
export interface Situation {
  readonly sign: Sign;
  /** place whose result is known; after a touch its depth is 0 and `touchMm` its half-width of doubt */
  readonly known: Omit<KnownPlace, 'share'> & { readonly touchMm: number };
  /** spring at the known place and at this one, as they are believed; of one tool both go up and down together */
  readonly knownSpring: SpringShare;
  readonly spring: SpringShare;
  /** metal before the cut, and how far it may really be from that */
  readonly beforeMm: number;
  readonly beforeDoubtMm: number;
  /** of a trial cut's short zone, where one was made: it comes out lower than the run */
  readonly zoneMm?: number;
  /** limit that cannot be put back, and the one on which metal is still there */
  readonly goneMm: number;
  readonly metalMm: number;
  /** size wanted; the move aims no nearer to the limit that cannot be put back than the guard */
  readonly wantedMm: number;
  readonly guardMm: number;
  /** distance between two marks, and the place of one of them */
  readonly stepMm: number;
  readonly markMm: number;
  /** shallowest cut of the edge */
  readonly shallowestMm: number;
}

/** A place of the ring with what it makes of the metal. */
export interface Comes {
  readonly xMm: number;
  readonly bestMm: number;
  /** worst on the side that cannot be put back, and on the other */
  readonly deepestMm: number;
  readonly shallowestMm: number;
}

export type Choice =
  /** to size */
  | { readonly kind: 'final'; readonly comes: Comes; readonly aimMm: number }
  /** half of what is left to the aim, then measure */
  | { readonly kind: 'half'; readonly comes: Comes; readonly aimMm: number }
  /** the same number again */
  | { readonly kind: 'springPass'; readonly comes: Comes; readonly aimMm: number }
  /** no number is safe: the ring too coarse, or too little left for the edge */
  | { readonly kind: 'none'; readonly why: 'ring' | 'edge'; readonly aimMm: number; readonly leftMm: number };

/** Spring, metal and touch as bad as they may be: all of one tool's spring goes up and down together. */
interface Corner {
  readonly share: number;
  readonly knownShare: number;
  readonly beforeMm: number;
  readonly touchMm: number;
}

/** The corners that can be deepest (`-1`) or shallowest (`+1`): both of them are straight in everything but the spring. */
function corners(s: Situation, way: 1 | -1): Corner[] {
  const off = s.sign * way;
  return (['lowShare', 'highShare'] as const).flatMap((which) => {
    const corner = { share: s.spring[which], knownShare: s.knownSpring[which], touchMm: off * s.known.touchMm };
    const run = { ...corner, beforeMm: s.beforeMm + off * s.beforeDoubtMm };
    return s.zoneMm === undefined || way === 1 ? [run] : [run, { ...corner, beforeMm: s.zoneMm }];
  });
}

const knownAt = (s: Situation, corner: Corner): KnownPlace => ({
  xMm: s.known.xMm,
  rMm: s.known.rMm + corner.touchMm,
  depthMm: s.known.depthMm,
  share: corner.knownShare,
});

/** What a place of the ring makes of the metal, with spring, touch and metal at their best and at their worst. */
export function comesOf(s: Situation, xMm: number): Comes {
  const at = (corner: Corner) => comesTo(s.sign, knownAt(s, corner), xMm, corner.beforeMm, corner.share);
  const furthest = (way: 1 | -1) =>
    corners(s, way)
      .map(at)
      .reduce((a, b) => (s.sign * way * (b - a) > 0 ? b : a));
  const best = { share: s.spring.bestShare, knownShare: s.knownSpring.bestShare, beforeMm: s.beforeMm, touchMm: 0 };
  return { xMm, bestMm: at(best), deepestMm: furthest(-1), shallowestMm: furthest(1) };
}

/** Size aimed at: the farther from the limit that cannot be put back of the one wanted and that limit with the guard. */
export function aimOf(s: Pick<Situation, 'sign' | 'goneMm' | 'guardMm' | 'wantedMm'>): number {
  const guarded = s.goneMm + s.sign * s.guardMm;
  return s.sign * (s.wantedMm - guarded) > 0 ? s.wantedMm : guarded;
}

/** Place of the ring for a size, spring as it is most likely. */
const placeFor = (s: Situation, aimMm: number): number =>
  askFor(s.sign, { ...s.known, share: s.knownSpring.bestShare }, aimMm, s.beforeMm, s.spring.bestShare);

/** The mark nearest to a place, as a count from the one that is given. */
const nearestMark = (s: Situation, xMm: number): number => Math.round((xMm - s.markMm) / s.stepMm);

/** Of the marks, the one that comes nearest to a size without leaving the guard at its worst; undefined when it would cut nothing. */
export function markFor(s: Situation, aimMm: number): Comes | undefined {
  const guardedMm = s.goneMm + s.sign * s.guardMm;
  // the deepest place that keeps the guard in every corner, taken back to a mark
  const deepest = corners(s, -1)
    .map((c) => askFor(s.sign, knownAt(s, c), guardedMm, c.beforeMm, c.share))
    .reduce((a, b) => (s.sign * (b - a) > 0 ? b : a));
  const limit = s.sign * Math.ceil(s.sign * ((deepest - s.markMm) / s.stepMm) - PLACE_MM);
  const wanted = nearestMark(s, placeFor(s, aimMm));
  const mark = s.sign * (wanted - limit) >= 0 ? wanted : limit;
  const comes = comesOf(s, s.markMm + mark * s.stepMm);
  return s.sign * (s.beforeMm - comes.bestMm) > 0 ? comes : undefined;
}

/**
 * The next number: to size where a mark is safe that ends inside; else half of what is left to the aim, as long as that is enough
 * for the edge; else the same number again, where what it may take leaves the guard; else none, by name.
 * @param sameMm place of the ring where it stands, when the last pass over this metal was cut there and measured
 * @source FIELD 13, never below
 */
export function choose(s: Situation, sameMm?: number): Choice {
  const aimMm = aimOf(s);
  const leftMm = s.sign * (s.beforeMm - aimMm);
  const inside = (comes: Comes) => s.sign * (s.metalMm - comes.bestMm) >= 0;
  // inside at its worst too, with one standard uncertainty: else a further equal cut between makes it so
  const surely = (comes: Comes) => s.sign * (s.metalMm - comes.shallowestMm) >= s.guardMm / 3;
  const takesMm = (comes: Comes) => s.sign * (s.beforeMm - comes.bestMm);
  const isSame = (comes: Comes) => sameMm !== undefined && Math.abs(comes.xMm - sameMm) < PLACE_MM;
  const final = markFor(s, aimMm);
  const half = leftMm / 2 >= s.shallowestMm - ROUNDING ? markFor(s, (s.beforeMm + aimMm) / 2) : undefined;
  const halves = half && takesMm(half) >= s.shallowestMm - ROUNDING && !isSame(half) ? half : undefined;
  if (final && inside(final) && (surely(final) || !halves)) {
    if (isSame(final)) return { kind: 'springPass', comes: final, aimMm };
    if (takesMm(final) >= s.shallowestMm - ROUNDING) return { kind: 'final', comes: final, aimMm };
  }
  if (halves) return { kind: 'half', comes: halves, aimMm };
  // too little for the edge at the mark nearest to the aim: a deeper one that is just as safe serves
  const enough = markFor(s, s.beforeMm - s.sign * (s.shallowestMm + s.stepMm / 2));
  if (enough && inside(enough) && takesMm(enough) >= s.shallowestMm - ROUNDING && !isSame(enough))
    return { kind: 'final', comes: enough, aimMm };
  if (sameMm !== undefined && s.known.depthMm > 0) {
    const again = comesOf(s, sameMm);
    const mostMm = springPassTakesMm(s.known.depthMm, s.spring.highShare);
    const takes = s.sign * (s.beforeMm - again.deepestMm);
    // it must be able to help: at its best it takes something worth measuring
    if (s.sign * (again.deepestMm - s.goneMm) >= s.guardMm - ROUNDING && takes > 0.001 && mostMm > 0.001)
      return { kind: 'springPass', comes: again, aimMm };
  }
  return { kind: 'none', why: leftMm < 2 * s.shallowestMm ? 'edge' : 'ring', aimMm, leftMm };
}

/** The first of two really equal cuts: half of what is left to the aim, at a mark that leaves the rest for the second. */
export function chooseHalf(s: Situation, leavesMm?: number): Choice {
  const aimMm = aimOf(s);
  const toMm = leavesMm === undefined ? (s.beforeMm + aimMm) / 2 : aimMm + s.sign * leavesMm;
  const found = markFor(s, toMm);
  const leftMm = s.sign * (s.beforeMm - aimMm);
  if (!found) return { kind: 'none', why: 'ring', aimMm, leftMm };
  return { kind: 'half', comes: found, aimMm };
}

/** A roughing pass: the mark nearest to its size, no deeper even if nothing springs. */
export function chooseRough(s: Situation): Comes {
  const aim = s.wantedMm;
  const stiff: Situation = {
    ...s,
    spring: { ...s.spring, bestShare: s.spring.lowShare },
    knownSpring: { ...s.knownSpring, bestShare: s.knownSpring.lowShare },
  };
  return comesOf(stiff, s.markMm + nearestMark(s, placeFor(stiff, aim)) * s.stepMm);
}
