import { type Rational, ROUNDING, rational } from '../quantity/index.ts';

/** A size along Z between two planes: `to` lies so much nearer to the tailstock than `from`. */
export interface ChainSize {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly mm: Rational;
}
/** Sizes that cannot all be true: going round them does not come back to where it began, by so much. */
export interface ChainConflict {
  readonly ids: readonly string[];
  readonly byMm: number;
}
export interface SolvedChain {
  /** exact places of all planes that the sizes tie to the origin, mm from it */
  readonly places: ReadonlyMap<string, Rational>;
  /** planes that no size reaches */
  readonly loose: readonly string[];
  /** sizes that say again what the others say already, and agree */
  readonly surplus: readonly string[];
  /** the smallest set of sizes that disagree; undefined when all agree */
  readonly conflict?: ChainConflict;
}

interface Step {
  readonly plane: string;
  readonly size: ChainSize;
  readonly sign: 1 | -1;
}

function neighbours(sizes: readonly ChainSize[]): Map<string, Step[]> {
  const map = new Map<string, Step[]>();
  const add = (plane: string, step: Step) => {
    const list = map.get(plane);
    if (list) list.push(step);
    else map.set(plane, [step]);
  };
  for (const size of sizes) {
    add(size.from, { plane: size.to, size, sign: 1 });
    add(size.to, { plane: size.from, size, sign: -1 });
  }
  return map;
}

/**
 * The shortest way round some planes whose sizes do not add up to nothing. Every such round holds a size that disagreed when the
 * planes were put together, so it is enough to grow a tree of shortest ways from one end of each of those; any size that closes
 * a loop in it wrongly makes such a round.
 * @param roots a plane of each size that disagreed
 */
function smallestConflict(roots: ReadonlySet<string>, sizes: readonly ChainSize[]): ChainConflict {
  const next = neighbours(sizes);
  // plain numbers find the loop; what it is wrong by is summed exactly afterwards
  const mm = new Map(sizes.map((s) => [s.id, s.mm.valueOf()]));
  let best: { readonly ids: readonly string[]; readonly signed: readonly (readonly [ChainSize, 1 | -1])[] } | undefined;
  for (const root of roots) {
    const place = new Map([[root, 0]]);
    const depth = new Map([[root, 0]]);
    const way = new Map<string, { from: string; step: Step }>();
    const queue = [root];
    for (let at = 0; at < queue.length; at++) {
      const plane = queue[at]!;
      if (best && depth.get(plane)! * 2 >= best.ids.length) break;
      for (const step of next.get(plane) ?? []) {
        const there = place.get(plane)! + step.sign * mm.get(step.size.id)!;
        if (!place.has(step.plane)) {
          place.set(step.plane, there);
          depth.set(step.plane, depth.get(plane)! + 1);
          way.set(step.plane, { from: plane, step });
          queue.push(step.plane);
          continue;
        }
        if (Math.abs(place.get(step.plane)! - there) < ROUNDING) continue;
        const back = (plane_: string): (readonly [ChainSize, 1 | -1])[] => {
          const path: (readonly [ChainSize, 1 | -1])[] = [];
          for (let p = plane_; way.has(p); p = way.get(p)!.from) {
            const { step: taken } = way.get(p)!;
            path.unshift([taken.size, taken.sign]);
          }
          return path;
        };
        const there_ = [...back(plane), [step.size, step.sign] as const];
        const round = [...there_, ...back(step.plane).map(([s, sign]) => [s, sign === 1 ? -1 : 1] as const)];
        const ids = [...new Set(round.map(([s]) => s.id))];
        if (!best || ids.length < best.ids.length) best = { ids, signed: round };
      }
    }
  }
  const by = (best?.signed ?? []).reduce((sum, [s, sign]) => sum.add(s.mm.mul(sign)), rational(0));
  return { ids: best?.ids ?? [], byMm: Math.abs(by.valueOf()) };
}

/**
 * Solves the sizes along Z: places every plane exactly, tells what is still open, what is said twice, and what disagrees.
 * @param planes names of all planes
 * @param sizes in the order in which they are believed; a later one that disagrees with earlier ones is part of a conflict
 * @param origin the plane at 0
 * @source sums of rationals over a spanning tree; a conflict is the shortest closed way with a sum other than nothing
 */
export function solveChain(planes: readonly string[], sizes: readonly ChainSize[], origin: string): SolvedChain {
  // groups of planes whose places to one another are known, each plane with its place from the group's head
  const head = new Map(planes.map((p) => [p, p]));
  const from = new Map(planes.map((p) => [p, rational(0)]));
  const members = new Map(planes.map((p) => [p, [p]]));
  const surplus: string[] = [];
  const disagree = new Set<string>();
  for (const { id, from: a, to: b, mm } of sizes) {
    const [ha, hb] = [head.get(a), head.get(b)];
    if (ha === undefined || hb === undefined) continue;
    if (ha === hb) {
      if (from.get(b)!.sub(from.get(a)!).equals(mm)) surplus.push(id);
      else disagree.add(a);
      continue;
    }
    // the smaller group moves to the larger one
    const [keep, move, shift] =
      members.get(ha)!.length >= members.get(hb)!.length
        ? [ha, hb, from.get(a)!.add(mm).sub(from.get(b)!)]
        : [hb, ha, from.get(b)!.sub(mm).sub(from.get(a)!)];
    for (const p of members.get(move)!) {
      head.set(p, keep);
      from.set(p, from.get(p)!.add(shift));
    }
    members.get(keep)!.push(...members.get(move)!);
  }
  const home = head.get(origin);
  const zero = from.get(origin) ?? rational(0);
  const places = new Map(planes.filter((p) => head.get(p) === home).map((p) => [p, from.get(p)!.sub(zero)] as const));
  return {
    places,
    loose: planes.filter((p) => head.get(p) !== home),
    surplus,
    conflict: disagree.size > 0 ? smallestConflict(disagree, sizes) : undefined,
  };
}
