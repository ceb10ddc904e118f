import { PLACE_MM } from '../quantity/index.ts';
import { type Bars, barChoices } from './bar-choices.ts';
import { type Fill, firstFit, packInto } from './packing.ts';

/** Equal blanks that are wanted. */
export interface WantedBlanks {
  readonly id: string;
  readonly lengthMm: number;
  readonly count: number;
}
/** Equal bars that may be cut into. */
export interface RackBars {
  readonly id: string;
  readonly lengthMm: number;
  readonly count: number;
}
export interface CuttingProblem {
  readonly bars: readonly RackBars[];
  readonly blanks: readonly WantedBlanks[];
  /** width of the saw's cut; nothing is lost after a blank that ends where the bar ends */
  readonly kerfMm: number;
}

/** What is cut from one bar. */
export interface BarCuts {
  readonly barId: string;
  readonly lengthMm: number;
  /** longest first */
  readonly cuts: readonly { readonly id: string; readonly lengthMm: number; readonly count: number }[];
  /** what goes back to the rack */
  readonly leftMm: number;
}
export interface CuttingList {
  readonly bars: readonly BarCuts[];
  /** blanks that no bar has room for */
  readonly lacking: readonly { readonly id: string; readonly count: number }[];
  /** length of all bars that are cut into */
  readonly openedMm: number;
  /** no list can do with less */
  readonly boundMm: number;
  /** share by which it may be longer than the best there is; 0: it is the best */
  readonly gap: number;
  readonly nodes: number;
}
/** How far a search has come. */
export interface CuttingProgress {
  readonly nodes: number;
  readonly openedMm: number;
  readonly boundMm: number;
}

/** Lengths are counted in whole micrometres: blanks and the kerf rounded up, bars down, so that what fits here fits at the saw. */
const PER_MM = 1000;
const up = (mm: number): number => Math.ceil(mm * PER_MM - PLACE_MM);
const down = (mm: number): number => Math.floor(mm * PER_MM + PLACE_MM);

/** Tries for one combination before it is left undecided, and for all of them together. */
const NODES_EACH = 400_000;
const NODES_ALL = 3_000_000;

/**
 * Which blanks to cut from which bars so that as little bar as can be is cut into: remnants are used up, long bars stay whole.
 * Combinations of bars are tried from the shortest total up; the first one into which all blanks go is the best, when each shorter
 * one was shown not to do. It may be stopped at any step; the best list so far stands in what `finish` gives.
 * @throws RangeError on lengths that are not positive: a caller's bug
 * @source bin completion after Martello and Toth, for bars of different lengths; capacity L + k, items l + k for a kerf of k
 */
export function* searchCuttingList(
  problem: CuttingProblem,
): Generator<CuttingProgress, CuttingList, boolean | undefined> {
  const { kerf, wanted, bars } = prepared(problem);
  const need = wanted.reduce((total, w) => total + w.size * w.count, 0);
  const all = bars.flatMap((b) => Array.from({ length: b.count }, () => b));
  // what first fit does in the rack's own order is never undercut
  let best: Solution | undefined;
  const offer = (chosen: readonly Bars[], fills: readonly Fill[] | undefined): void => {
    if (!fills) return;
    const used = chosen.filter((_, i) => fills[i]!.some((n) => n > 0));
    const opened = used.reduce((total, b) => total + b.lengthUm, 0);
    if (!best || opened < best.opened) best = { opened, bars: used, fills: fills.filter((f) => f.some((n) => n > 0)) };
  };
  for (const order of [
    all,
    all.toSorted((a, b) => a.lengthUm - b.lengthUm),
    all.toSorted((a, b) => b.lengthUm - a.lengthUm),
  ]) {
    const fit = firstFit(
      order.map((b) => b.roomUm),
      wanted,
    );
    if (fit.left.every((n) => n === 0)) offer(order, fit.fills);
  }
  let nodes = 0;
  let bound = 0;
  const longest = Math.max(...all.map((b) => b.roomUm), 0);
  const hopeless = all.reduce((total, b) => total + b.roomUm, 0) < need || wanted.some((w) => w.size > longest);
  const choices = hopeless ? undefined : barChoices(bars, need);
  // whether something shorter is not ruled out
  let open = !choices?.complete;
  if (choices) bound = choices.boundUm;
  for (const chosen of choices?.sets ?? []) {
    const opened = chosen.reduce((total, b) => total + b.lengthUm, 0);
    if (best && opened >= best.opened) {
      if (!open) bound = best.opened;
      break;
    }
    if (!open) bound = opened;
    const result = packInto(
      chosen.map((b) => b.roomUm),
      wanted,
      Math.min(NODES_EACH, NODES_ALL - nodes),
    );
    nodes += result.nodes;
    if (result.kind === 'packed') {
      offer(chosen, result.fills);
      break;
    }
    // neither packed nor shown not to: nothing shorter than this is ruled out any more
    if (result.kind === 'undecided') open = true;
    const stop = yield {
      nodes,
      openedMm: best ? best.opened / PER_MM : 0,
      boundMm: bound / PER_MM,
    };
    if (stop || nodes >= NODES_ALL) {
      open = true;
      break;
    }
  }
  if (best) return told(best, wanted, kerf, open ? Math.min(bound, best.opened) : best.opened, nodes);
  return short(all, wanted, kerf, nodes);
}

/** The whole search at once. */
export function cuttingList(problem: CuttingProblem): CuttingList {
  const search = searchCuttingList(problem);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

interface Wanted {
  readonly id: string;
  readonly size: number;
  readonly count: number;
}
interface Solution {
  readonly opened: number;
  readonly bars: readonly Bars[];
  readonly fills: readonly Fill[];
}

function prepared({ bars, blanks, kerfMm }: CuttingProblem) {
  const kerf = up(kerfMm);
  if (!(kerfMm >= 0)) throw new RangeError('kerf below zero');
  for (const { lengthMm } of [...bars, ...blanks]) if (!(lengthMm > 0)) throw new RangeError('length not positive');
  const wanted = blanks
    .filter((b) => b.count > 0)
    .map((b): Wanted => ({ id: b.id, size: up(b.lengthMm) + kerf, count: b.count }))
    .toSorted((a, b) => b.size - a.size);
  const smallest = Math.min(...wanted.map((w) => w.size));
  return {
    kerf,
    wanted,
    // a bar that is shorter than every blank is of no use here
    bars: bars
      .map((b): Bars => ({ id: b.id, lengthUm: down(b.lengthMm), roomUm: down(b.lengthMm) + kerf, count: b.count }))
      .filter((b) => b.roomUm >= smallest && b.count > 0),
  };
}

function told(solution: Solution, wanted: readonly Wanted[], kerf: number, bound: number, nodes: number): CuttingList {
  return {
    bars: solution.bars.map((bar, i) => barCuts(bar, solution.fills[i]!, wanted, kerf)),
    lacking: [],
    openedMm: solution.opened / PER_MM,
    boundMm: bound / PER_MM,
    gap: bound > 0 ? (solution.opened - bound) / bound : 0,
    nodes,
  };
}

function barCuts(bar: Bars, fill: Fill, wanted: readonly Wanted[], kerf: number): BarCuts {
  const used = fill.reduce((total, n, i) => total + n * wanted[i]!.size, 0);
  return {
    barId: bar.id,
    lengthMm: bar.lengthUm / PER_MM,
    cuts: wanted.flatMap((w, i) =>
      fill[i]! > 0 ? [{ id: w.id, lengthMm: (w.size - kerf) / PER_MM, count: fill[i]! }] : [],
    ),
    leftMm: Math.max(0, bar.lengthUm - used) / PER_MM,
  };
}

/** As much as the rack has room for, longest blanks first, and what it lacks. */
function short(all: readonly Bars[], wanted: readonly Wanted[], kerf: number, nodes: number): CuttingList {
  const order = all.toSorted((a, b) => a.roomUm - b.roomUm);
  const fit = firstFit(
    order.map((b) => b.roomUm),
    wanted,
  );
  const used = order.flatMap((bar, i) =>
    fit.fills[i]!.some((n) => n > 0) ? [{ bar, cuts: barCuts(bar, fit.fills[i]!, wanted, kerf) }] : [],
  );
  const opened = used.reduce((total, u) => total + u.bar.lengthUm, 0) / PER_MM;
  return {
    bars: used.map((u) => u.cuts),
    lacking: wanted.flatMap((w, i) => (fit.left[i]! > 0 ? [{ id: w.id, count: fit.left[i]! }] : [])),
    ...{ openedMm: opened, boundMm: opened, gap: 0, nodes },
  };
}
