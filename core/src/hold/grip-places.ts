import { type Chuck, chuckReachMm, type Lathe } from '../lathe/index.ts';
import {
  cutInto,
  detailShape,
  edgeOf,
  isStraight,
  type Outside,
  outsides,
  type Part,
  spigotAt,
} from '../part/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import { isFinished, rawEndMm, reachOf, standingMm, type Workpiece } from '../work/index.ts';
import { usualGripMm, wantedGripMm } from './held.ts';

/** A place that jaws or a dog can take hold of. */
export interface GripPlace {
  /** the surface that is held; of raw metal the first of those that it will become */
  readonly id: string;
  readonly diameterMm: number;
  /** zPart of the jaws' tail side */
  readonly jawsMm: number;
  readonly gripMm: number;
  /** how far the piece stands out of the jaws */
  readonly outMm: number;
  /** finished already, so that jaws mark it */
  readonly finished: boolean;
  /** whether its limits are closer than general ones */
  readonly fit: boolean;
  /** why it is a poor place */
  readonly poor?: 'short' | 'detail' | 'jaws' | 'spindle';
}
/** The chuck and the lathe that a place is looked for in, and how: by its jaws, or for a dog. */
export interface GripWith {
  readonly lathe: Lathe;
  readonly chuck: Chuck;
  /** what the tool keeps from the jaws, mm */
  readonly clearanceMm: number;
  readonly dog?: boolean;
}

/** Width of a dog on the work, and the least of it that holds, mm. */
const DOG_MM = 12;
export const LEAST_DOG_MM = 6;

/** What speaks against a place, in the same measure as diameters standing out. Judgement */
const WORSE: Readonly<Record<NonNullable<GripPlace['poor']>, number>> = { short: 14, detail: 8, jaws: 25, spindle: 20 };

/** Of a short length so much at the least stays free before what is cut beside it: as a share of it, and in mm. */
const FREE_OF_SHORT = 1 / 3;
const LEAST_FREE_MM = 1.5;

/** Metal of one diameter: a finished length, or raw metal that several lengths will be made of. */
interface Run {
  readonly lengths: readonly Outside[];
  readonly finished: boolean;
  readonly diameterMm: number;
  readonly zFromMm: number;
  readonly zToMm: number;
}

function runsOf(piece: Workpiece): readonly Run[] {
  const { part } = piece;
  const head = reachOf(piece).zFromMm;
  const runs: Run[] = [];
  for (const f of outsides(part)) {
    const finished = isFinished(piece, f.id);
    // what is finished is known by the size it is drawn with
    const diameterMm = finished ? f.diameterMm : standingMm(piece, f.zFromMm, f.zToMm);
    const last = runs.at(-1);
    if (last && !finished && !last.finished && last.diameterMm === diameterMm)
      runs[runs.length - 1] = { ...last, lengths: [...last.lengths, f], zToMm: f.zToMm };
    else runs.push({ lengths: [f], finished, diameterMm, zFromMm: last ? f.zFromMm : head, zToMm: f.zToMm });
  }
  return runs;
}

/** Whether what lies behind the jaws is longer than they are and too thick for the spindle's bore. */
function behind(piece: Workpiece, zMm: number, { lathe, chuck }: GripWith): boolean {
  const head = reachOf(piece).zFromMm;
  return zMm - head > chuck.jawLengthMm && standingMm(piece, head, zMm) > lathe.spindle.boreMm;
}

/** Free length before what is still to be cut beside a place: the edge of its last length, or the length after it. */
function keptFreeMm(piece: Workpiece, f: Outside, next: Run | undefined, clearanceMm: number): number {
  const edge = edgeOf(piece.part, f.id, 'right');
  const edgeWaits = edge !== undefined && !isFinished(piece, edge.id);
  if (next?.finished && !edgeWaits) return 0;
  // of a short length, a flange's say, most is wanted by the jaws
  return Math.min(clearanceMm, Math.max(LEAST_FREE_MM, (f.zToMm - f.zFromMm) * FREE_OF_SHORT));
}

/** How long raw metal is gripped at its very end: as jaws usually are where it goes on to the tail, else as it goes. */
function rawGripMm(
  piece: Workpiece,
  run: Run,
  freeMm: number,
  isLast: boolean,
  longestMm: number,
  dog: boolean,
): number {
  const spigotMm = spigotAt(piece.part, 'left')?.lengthMm ?? 0;
  // a spigot is there to be gripped: the jaws end with it
  const roomMm = (spigotMm > 0 ? -(rawEndMm(piece, 'left') - spigotMm) : run.zToMm - freeMm) - run.zFromMm;
  const wanted = isLast && !dog ? usualGripMm(run.diameterMm, longestMm) : longestMm;
  return Math.max(0, Math.min(wanted, roomMm));
}

/** Lengths that have to wait because jaws are on them or before them. */
const waitingBehind = (part: Part, piece: Workpiece, jawsMm: number): number =>
  outsides(part).filter((o) => !isFinished(piece, o.id) && o.zFromMm < jawsMm - ROUNDING).length;

/**
 * Places on the outside where jaws, or a dog, can hold the piece, best first: nothing larger may stand between them and the
 * headstock. They go as far towards the tail as what is turned there leaves free.
 */
export function gripPlaces(piece: Workpiece, by: GripWith): readonly GripPlace[] {
  const { part } = piece;
  const dog = by.dog === true;
  const longestMm = dog ? DOG_MM : by.chuck.jawLengthMm;
  const runs = runsOf(piece);
  const places: (GripPlace & { cost: number })[] = [];
  let largestMm = 0;
  for (const [i, run] of runs.entries()) {
    const { diameterMm, finished, zFromMm } = run;
    const [first] = run.lengths;
    const over = diameterMm < largestMm - ROUNDING;
    largestMm = Math.max(largestMm, diameterMm);
    if (!first || over || (finished && !isStraight(first))) continue;
    const free = keptFreeMm(piece, run.lengths.at(-1)!, runs[i + 1], by.clearanceMm);
    const gripMm = finished
      ? Math.min(longestMm, Math.max(0, run.zToMm - free - zFromMm))
      : rawGripMm(piece, run, free, i === runs.length - 1, longestMm, dog);
    // raw metal is held by its very end, so that most of it stands free; finished as near to the cut as it goes
    const jawsMm = dog || !finished ? zFromMm + gripMm : run.zToMm - free;
    const outMm = reachOf(piece).zToMm - jawsMm;
    const least = dog ? LEAST_DOG_MM : Math.min(longestMm, wantedGripMm(diameterMm, outMm));
    const poor =
      gripMm < least - ROUNDING
        ? 'short'
        : !dog && diameterMm > chuckReachMm(by.chuck)
          ? 'jaws'
          : !dog && behind(piece, jawsMm - gripMm, by)
            ? 'spindle'
            : finished && cutInto(part, first.id).some((d) => detailShape(d.kind).spoiltByJaws)
              ? 'detail'
              : undefined;
    const fit = finished && first.limits.how !== 'general';
    const lack = poor === 'short' ? 1 - gripMm / least : 1;
    // what is under the jaws or behind them has to wait for yet another setup
    const waits = waitingBehind(part, piece, jawsMm);
    const cost = (poor ? WORSE[poor] * lack : 0) + 5 * waits + (fit ? 1 : 0) + (dog ? i : outMm / diameterMm / 3);
    places.push({ id: first.id, diameterMm, jawsMm, gripMm, outMm, finished, fit, poor, cost });
  }
  return places.toSorted((a, b) => a.cost - b.cost).map(({ cost: _cost, ...place }) => place);
}

/** The place that holds a surface: itself, or the raw metal that it will be made of. */
export function placeOn(piece: Workpiece, places: readonly GripPlace[], id: string): GripPlace | undefined {
  const run = runsOf(piece).find((r) => r.lengths.some((f) => f.id === id));
  return places.find((p) => p.id === run?.lengths[0]?.id);
}
