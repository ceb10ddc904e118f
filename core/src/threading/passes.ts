import { radians } from '../quantity/index.ts';
import { equalAreaDepths, grooveAreaMm2 } from './infeed.ts';

/** Ways of going into a thread: along a flank by the compound, straight by the cross-slide, or to one flank and the other by turns. */
export const INFEED_SCHOOLS = ['flank', 'straight', 'alternate'] as const;
export type InfeedSchool = (typeof INFEED_SCHOOLS)[number];
/** Ways of sharing the depth: equal areas of chip, or depths that fall with the root of the pass's number. */
export const PASS_SCHEDULES = ['equalArea', 'fallingDepth'] as const;
export type PassSchedule = (typeof PASS_SCHEDULES)[number];

/** What passes are made from. Depths on the radius, mm. */
export interface PassesWish {
  readonly depthMm: number;
  /** half angles of leading and trailing flank, degrees */
  readonly flanksDeg: readonly [leading: number, trailing: number];
  /** flat at the tool's point, or the breadth of its round near there */
  readonly tipMm: number;
  readonly school: InfeedSchool;
  /** of the compound from the cross-slide's line, where it feeds; 0 otherwise */
  readonly compoundDeg: number;
  readonly schedule: PassSchedule;
  /** deepest first pass, shallowest last one; the edge's least depth */
  readonly firstMm: number;
  readonly lastMm: number;
}
/** One pass. Depths on the radius, mm. */
export interface ThreadPass {
  /** from the surface, after it */
  readonly depthMm: number;
  /** deeper than the pass before */
  readonly cutMm: number;
  readonly areaMm2: number;
  /** edge that is in the metal: the point, and each flank that cuts */
  readonly contactMm: number;
  /** what of the area the leading flank cuts, the trailing one, and the point; together 1 */
  readonly leadingShare: number;
  readonly trailingShare: number;
  /** how far the point has gone along the work towards its leading side since the surface; of alternate flanks to that side or the other */
  readonly alongMm: number;
}

/** A flank that takes less than this share of what the other does only shaves. */
const IDLE_SHARE = 0.1;
/** More passes than this are no plan. */
const MOST_PASSES = 200;

/** Depths of so many passes, the last exactly the whole. */
function depthsOf(count: number, { depthMm, tipMm, schedule }: PassesWish, t: number): number[] {
  if (schedule === 'equalArea') return [...equalAreaDepths(depthMm, count, t, tipMm)];
  return Array.from({ length: count }, (_, i) => (i === count - 1 ? depthMm : depthMm * Math.sqrt((i + 1) / count)));
}

/**
 * What is left from where passes become shallower than the edge's least is shared evenly, so that none is; from so early on that none
 * of them is deeper than the one before.
 */
function evenTail(depths: readonly number[], lastMm: number): number[] {
  const cutAt = (i: number): number => depths[i]! - (depths[i - 1] ?? 0);
  const tooThin = depths.findIndex((_, i) => cutAt(i) < lastMm - 1e-9);
  if (tooThin < 0) return [...depths];
  const whole = depths.at(-1)!;
  for (let from = tooThin; from > 0; from--) {
    const [begun, left] = [depths[from - 1]!, whole - depths[from - 1]!];
    const count = Math.floor(left / lastMm + 1e-9);
    if (count > 0 && left / count <= cutAt(from - 1) + 1e-9)
      return [...depths.slice(0, from), ...shared(begun, whole, count)];
  }
  return shared(0, whole, Math.max(1, Math.floor(whole / lastMm + 1e-9)));
}

/** Depths after so many equal passes between two, the last exactly the second. */
const shared = (fromMm: number, toMm: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => (i === count - 1 ? toMm : fromMm + ((toMm - fromMm) * (i + 1)) / count));

/**
 * Passes from the surface to a depth: none deeper than the first, none shallower than the last, none deeper than the one before.
 * @source FIELD 7: equal areas, or depth_i = depth·√(i/n)
 */
export function threadPasses(wish: PassesWish): readonly ThreadPass[] {
  const { depthMm, flanksDeg, firstMm, lastMm } = wish;
  const [a, b] = [Math.tan(radians(flanksDeg[0])), Math.tan(radians(flanksDeg[1]))];
  const t = a + b;
  if (depthMm <= 0) return [];
  const first = Math.max(firstMm, lastMm);
  let count = 1;
  while (count < MOST_PASSES && depthsOf(count, wish, t)[0]! > first + 1e-9) count++;
  return passesAt(evenTail(depthsOf(count, wish, t), lastMm), wish);
}

/**
 * Where the point lies along the work when it goes in along the one flank and the other by turns: each pass cuts on one side only. Told from
 * where the last of them lies.
 */
function zigzag(depths: readonly number[], tangent: number): readonly number[] {
  let at = 0;
  const raw = depths.map((depth, i) => {
    if (i > 0) at += (i % 2 === 1 ? 1 : -1) * (depth - depths[i - 1]!) * tangent;
    return at;
  });
  return raw.map((along) => along - at);
}

/** What each pass takes when the tool goes to these depths one after another. */
export function passesAt(
  depths: readonly number[],
  { flanksDeg, tipMm, school, compoundDeg }: Pick<PassesWish, 'flanksDeg' | 'tipMm' | 'school' | 'compoundDeg'>,
): readonly ThreadPass[] {
  const [a, b] = [Math.tan(radians(flanksDeg[0])), Math.tan(radians(flanksDeg[1]))];
  const t = a + b;
  const q = school === 'flank' ? Math.tan(radians(compoundDeg)) : 0;
  const asides = school === 'alternate' ? zigzag(depths, Math.min(a, b)) : depths.map((depth) => depth * q);
  // how far each flank has been cut by then, along the work at the surface
  const first = asides[0] ?? 0;
  let [led, trailed] = school === 'alternate' ? [first, -first] : [0, 0];
  return depths.map((depth, i): ThreadPass => {
    const before = depths[i - 1] ?? 0;
    const cut = depth - before;
    const along = asides[i]!;
    // thickness off each flank, measured along the work, and what the point takes
    const [lead, trail] = [along + depth * a, depth * b - along];
    const leading = Math.max(0, lead - led);
    const trailing = Math.max(0, trail - trailed);
    [led, trailed] = [Math.max(led, lead), Math.max(trailed, trail)];
    const point = tipMm * cut + (cut * cut * t) / 2;
    const area =
      school === 'alternate'
        ? leading * before + trailing * before + point
        : grooveAreaMm2(depth, tipMm, t) - grooveAreaMm2(before, tipMm, t);
    const flanks = before * (leading + trailing) + cut * cut * (t / 2);
    const share = flanks + tipMm * cut || 1;
    return {
      ...{ depthMm: depth, cutMm: cut, areaMm2: area, alongMm: along },
      contactMm:
        tipMm +
        depth / Math.cos(radians(flanksDeg[0])) +
        (trailing > IDLE_SHARE * leading ? depth / Math.cos(radians(flanksDeg[1])) : 0),
      leadingShare: (before * leading + (cut * cut * a) / 2) / share,
      trailingShare: (before * trailing + (cut * cut * b) / 2) / share,
    };
  });
}
