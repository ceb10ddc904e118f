import {
  heldInside,
  meansIn,
  runsAt,
  type Setup,
  type TruingRecord,
  type Waiting,
  waitingWhat,
} from '../hold/index.ts';
import { type Chuck, chuckOf } from '../lathe/index.ts';
import type { Means } from '../means/index.ts';
import { insides, outsides, type Part, surfaceName, surfaceOf } from '../part/index.ts';
import { type Problem, under } from '../quantity/index.ts';
import { type Plan, planSetup, putIn, type RecorderFor, type Wishes } from '../route/index.ts';
import { isFinished, lying, type Mark, rawEndMm, type Workpiece } from '../work/index.ts';

/** One setup of a job with what is cut in it. */
export interface PlannedSetup {
  /** 1 for the first */
  readonly number: number;
  readonly setup: Setup;
  /** as it is put in: its end at the tailstock on the right */
  readonly piece: Workpiece;
  /** how it is cut off its spare stock before it is put in, where it is */
  readonly cutOff?: Mark['by'];
  readonly means: Means;
  /** the chuck that it is held in, or that is on meanwhile */
  readonly chuck: Chuck;
  /** how far a piece runs out in that chuck, mm */
  readonly runoutMm: number;
  readonly wishes: Wishes;
  readonly plan: Plan;
  /** paths from the job's root */
  readonly problems: readonly Problem[];
}
export type PlannedSetups = readonly [PlannedSetup, ...PlannedSetup[]];

/** Says of a setup's own paths where in the job they are. */
function placed(problem: Problem, index: number): Problem {
  const [root, ...rest] = problem.path;
  return root === 'setup' ? under(['hold', 'setups', index], { ...problem, path: rest }) : problem;
}

/** Whether a setup grips spare stock. */
const gripsSpare = ({ grip }: Setup): boolean => grip.kind === 'jaws' && grip.on === 'spare';

/** What of a job's setups is planned anew where not all of it is. */
export interface PlannedBefore {
  /** setups of the same job planned before, with the same drawing, stock and means: the first of them stand as long as nothing differs */
  readonly known?: readonly PlannedSetup[];
  /** the last one that is wanted; all where it is not given */
  readonly upTo?: number;
}

/** Plans the setups of a job in their order, each on what those before it have left. @param blank before the first */
export function planSetups(
  blank: Workpiece,
  setups: readonly Setup[],
  means: Means,
  wishes: Wishes,
  recorderFor: (number: number) => RecorderFor | undefined = () => undefined,
  truings: readonly TruingRecord[] = [],
  { known = [], upTo = setups.length }: PlannedBefore = {},
): readonly PlannedSetup[] {
  const cutsOffIn = (i: number): boolean => !setups.slice(i + 1).some(gripsSpare);
  const differs = known.findIndex((k, i) => k.setup !== setups[i] || k.wishes.cutsOff !== cutsOffIn(i));
  const planned: PlannedSetup[] = known.slice(0, Math.min(upTo, differs < 0 ? known.length : differs));
  let before = planned.at(-1)?.plan.after ?? blank;
  for (let i = planned.length; i < Math.min(upTo, setups.length); i++) {
    // nothing can follow on what could not be cut at all
    if (planned[0]?.plan.operations.length === 0) break;
    const setup = setups[i]!;
    const number = i + 1;
    const cutsOff = cutsOffIn(i);
    const piece = putIn(before, setup);
    const plan = planSetup(piece, setup, means, { ...wishes, cutsOff }, number, recorderFor(number));
    // what the shop lacks for a size was said when the piece was put in first
    const told =
      i === 0 ? plan.problems : plan.problems.filter((p) => p.path[0] !== 'drawing' && p.path[0] !== 'tools');
    const chuck = chuckOf(means.lathe, setup.grip.kind === 'jaws' ? setup.grip.chuckId : undefined);
    const problems = told.map((p) => placed(p, i));
    const cutOff = piece.marks.length < before.marks.length ? before.marks[0]?.by : undefined;
    const runoutMm = runsAt(chuck, truings, means.lathe.id);
    planned.push({
      number,
      setup,
      piece,
      ...(cutOff && { cutOff }),
      means: meansIn(means, piece, setup),
      chuck,
      runoutMm,
      wishes: { ...wishes, cutsOff },
      plan,
      problems,
    });
    before = plan.after;
  }
  return planned;
}

/** The piece after all setups of a job, as it is drawn. */
export const pieceAtLast = (setups: readonly PlannedSetup[]): Workpiece | undefined => {
  const last = setups.at(-1);
  return last && lying(last.plan.after, 'right');
};

/** Reasons that have nothing to do with where a surface lies in a setup. */
const IN_ANY_CASE: ReadonlySet<string> = new Set(['tooFine', 'wontBear', 'noTool', 'asBar', 'shape']);

/** What is not cut in any setup of a job, with the reason that is known best. */
export function stillWaiting(setups: readonly PlannedSetup[]): readonly Waiting[] {
  const piece = pieceAtLast(setups);
  if (!piece) return [];
  const onSpare = piece.marks.some((m) => m.kind === 'cutOff');
  // of all setups the last one that speaks of it knows best why
  const known = new Map<string, Waiting>();
  // what could be reached and still not be made is not made by another end
  for (const w of setups.flatMap((s) => s.plan.waiting))
    if (!(IN_ANY_CASE.has(known.get(w.id)?.why ?? '') && !IN_ANY_CASE.has(w.why))) known.set(w.id, w);
  return [...known.values()].flatMap((w) => {
    if (isFinished(piece, w.id)) return [];
    if (w.why !== 'cutOff' || onSpare) return [w];
    // it was cut off; what the saw left of the end is there still
    return rawEndMm(piece, surfaceName(w.id).end ?? 'left') > 0 ? [{ ...w, why: 'otherEnd' }] : [];
  });
}

/** What of a piece waits, by what it is. */
export function waitingOf(part: Part, waiting: readonly Waiting[]) {
  const lengths = new Set([...outsides(part), ...insides(part)].map((f) => f.id));
  return (kind: ReturnType<typeof waitingWhat>) => waiting.filter((w) => waitingWhat(w.id, lengths) === kind);
}

/** Whether a setup keeps the outside true to the hole rather than to what was turned before. */
export const trueToHole = (setup: PlannedSetup): boolean =>
  setup.plan.held !== undefined && heldInside(setup.plan.held.method);

/** Words for a surface need the round one it belongs to. */
export function belongsTo(part: Part, id: string): string {
  const { of } = surfaceName(id);
  const surface = surfaceOf(part, of);
  return surface && 'of' in surface ? surface.of : of;
}
