import { type Grip, type GripPlace, gripPlaces, heldBy, type Setup, throughHoleMm } from '../hold/index.ts';
import { chuckOf } from '../lathe/index.ts';
import { opposite } from '../part/index.ts';
import { planSetup, putIn, reachSetup, type SetupReach } from '../route/index.ts';
import { isFinished, type Workpiece } from '../work/index.ts';
import { type PlannedSetup, stillWaiting, trueToHole, waitingOf } from './setups.ts';

/** How far it is looked ahead, and how many beginnings are kept at each step. */
const AHEAD = 3;
const KEPT = 4;
/** Beginnings that are planned in full before it is given up: what can be reached may still be too much for its hold. */
const PLANNED = 10;
/** Places on the outside that are tried besides the best one. */
const PLACES = 3;

/** A setup that might follow, with what speaks for others before it: the least is the most usual. */
interface Tried {
  readonly setup: Setup;
  readonly rank: number;
}
/** Some setups after one another. */
interface Course {
  readonly setups: readonly Setup[];
  readonly piece: Workpiece;
  readonly left: number;
  /** how many of them are held in a way that something speaks against */
  readonly poor: number;
  readonly rank: number;
}

/**
 * The next setup that would bring a job on: of all courses of a few setups that are looked through by reach alone, the first of the
 * one that leaves least, with the fewest setups, in the most usual way; planned in full before it is proposed.
 * @returns undefined where all that can be made is made, or nothing brings it on
 * @source FIELD 2: which end first, and the order of all setups, until nothing waits
 */
export function nextSetup(setups: readonly PlannedSetup[], id: string): Setup | undefined {
  const last = setups.at(-1);
  if (!last || last.plan.operations.every((o) => o.kind === 'mount')) return undefined;
  const known = proposed.get(last);
  if (known !== undefined) return known ? { ...known, id } : undefined;
  const found = searched(setups, last);
  proposed.set(last, found ?? null);
  return found && { ...found, id };
}
const proposed = new WeakMap<PlannedSetup, Setup | null>();

function searched(setups: readonly PlannedSetup[], last: PlannedSetup): Setup | undefined {
  const { means, wishes, plan } = last;
  const waits = stillWaiting(setups);
  if (waits.length === 0) return undefined;
  const onlyEdges = waits.length === waitingOf(last.piece.part, waits)('edge').length;
  const again = onlyEdges && trueToHole(last) ? last.setup : undefined;
  const courses = coursesFrom(plan.after, last.setup, again, {
    reach: (piece, setup) => reachSetup(piece, setup, means, wishes.clearanceMm),
    places: (piece, setup) => {
      const by = { lathe: means.lathe, chuck: chuckOf(means.lathe), clearanceMm: wishes.clearanceMm };
      return gripPlaces(putIn(piece, setup), by).slice(0, PLACES);
    },
  });
  const tried = new Set<string>();
  for (const { setups: course } of courses) {
    const [first] = course;
    const key = JSON.stringify(first);
    if (!first || tried.has(key)) continue;
    tried.add(key);
    if (tried.size > PLANNED) break;
    const there = planSetup(plan.after, first, means, wishes, last.number + 1);
    const refused = there.problems.some((p) => p.severity !== 'warning');
    if (!refused && Object.keys(there.after.finished).length > Object.keys(plan.after.finished).length) return first;
  }
  return undefined;
}

/** What a lathe is asked while it is looked ahead. */
interface Asked {
  readonly reach: (piece: Workpiece, setup: Setup) => SetupReach | undefined;
  readonly places: (piece: Workpiece, setup: Setup) => readonly GripPlace[];
}

/** Courses of setups, those that leave least first; none that finishes nothing. */
function coursesFrom(piece: Workpiece, last: Setup, again: Setup | undefined, asked: Asked): readonly Course[] {
  const ended: Course[] = [];
  let open: readonly Course[] = [{ setups: [], piece, left: Number.POSITIVE_INFINITY, poor: 0, rank: 0 }];
  for (let depth = 0; depth < AHEAD && open.length > 0; depth++) {
    const further = open.flatMap((course) =>
      candidates(course.piece, course.setups.at(-1) ?? last, depth === 0 ? again : undefined, asked).flatMap(
        ({ setup, rank }): Course[] => {
          const got = asked.reach(course.piece, setup);
          if (!got || got.finishes.length === 0) return [];
          const all = { setups: [...course.setups, setup], piece: got.after, left: got.left.length };
          return [{ ...all, poor: course.poor + Math.min(1, got.against.length), rank: course.rank + rank }];
        },
      ),
    );
    further.sort(better);
    ended.push(...further);
    open = further.filter((c) => c.left > 0).slice(0, KEPT);
    // no course of more setups is better than one that leaves nothing and is held well all along
    if (further.some((c) => c.left === 0 && c.poor === 0)) break;
  }
  return ended.sort(better);
}

const better = (a: Course, b: Course): number => a.left - b.left || worth(a) - worth(b) || a.rank - b.rank;
/** A poor hold is worth more than another setup. */
const worth = ({ setups, poor }: Course): number => setups.length + 1.5 * poor;

/** Setups that might follow: either end to the tailstock, in jaws where they hold best or elsewhere, between centres, by the hole. */
function candidates(piece: Workpiece, last: Setup, again: Setup | undefined, { places }: Asked): readonly Tried[] {
  const { part } = piece;
  const centred = ['part.left.centre', 'part.right.centre'].every((c) => isFinished(piece, c));
  const hole = throughHoleMm(part) > 0;
  return ([opposite[last.tail], last.tail] as const).flatMap((tail, turn): Tried[] => {
    const base: Setup = { ...last, tail, extent: undefined, restMm: undefined };
    const by = (grip: Grip, support: Setup['support'], rank: number): Tried => ({
      setup: { id: last.id, tail, grip, support },
      // turning it round costs less than holding it the same way again is worth
      rank: rank + turn * 0.5,
    });
    const jaws = { kind: 'jaws', mm: 0, protect: 'strips' } as const;
    const [first] = part.surfaces;
    const onPart = first ? places(piece, by({ ...jaws, on: first.id }, 'auto', 0).setup) : [];
    return [
      ...(again ? [by(again.grip, again.support, -1)] : []),
      ...(last.grip.kind === 'centres' && centred ? [by(last.grip, last.support, 0)] : []),
      by(jaws, 'auto', 0),
      ...onPart.map(({ id: on }, i) => by({ ...jaws, on }, 'auto', 1 + i * 0.1)),
      ...(centred ? [by({ kind: 'centres' }, 'centre', 1.5)] : []),
      ...(hole
        ? (['mandrel', 'expandingMandrel', 'stubArbor'] as const).map((method, i) => {
            const held = heldBy(base, method);
            return by(held.grip, held.support, 2 + i);
          })
        : []),
    ];
  });
}
