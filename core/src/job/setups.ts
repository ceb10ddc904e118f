import { heldInside, type Setup, throughHoleMm, type Waiting, type Worked } from '../hold/index.ts';
import { chuckOf, type Lathe } from '../lathe/index.ts';
import { endForEnd, outsides, type Part } from '../part/index.ts';
import { type Problem, under } from '../quantity/index.ts';
import { type Operation, type Plan, type PlanInput, planRoute, type RecorderFor } from '../route/index.ts';

/** One holding of a job with what is cut in it. The part is as it lies in the lathe, its end at the tailstock on the right. */
export interface PlannedSetup {
  /** 1 for the first one */
  readonly number: number;
  /** how a later one is held; the first follows the job's own choice */
  readonly setup?: Setup;
  /** which end of the drawing stands at the tailstock */
  readonly tail: 'left' | 'right';
  readonly part: Part;
  readonly input: PlanInput;
  readonly plan: Plan;
  /** paths from the job's root */
  readonly problems: readonly Problem[];
  /** how the piece stood before; nothing done yet before the first */
  readonly before: Done;
}

/** What of a part is finished, in the drawing's own words. */
export interface Done {
  readonly features: readonly string[];
  /** edges, as `id-left` and `id-right` */
  readonly edges: readonly string[];
  readonly faces: readonly ('left' | 'right')[];
  readonly centres: readonly ('left' | 'right')[];
}
const NOTHING: Done = { features: [], edges: [], faces: [], centres: [] };
const opposite = { left: 'right', right: 'left' } as const;

/** How far a piece is after a plan was followed. */
function doneAfter(before: Done, plan: Plan, tail: 'left' | 'right'): Done {
  const of = (kind: Operation['kind']) => plan.operations.filter((o) => o.kind === kind);
  const ids = (kind: Operation['kind']) => of(kind).flatMap((o) => o.featureId ?? []);
  return {
    features: [...before.features, ...ids('finish')],
    edges: [...before.edges, ...ids('chamfer').map((id) => `${id}-${tail}`)],
    faces: of('face').length > 0 ? [...before.faces, tail] : before.faces,
    centres: of('centre').length > 0 ? [...before.centres, tail] : before.centres,
  };
}

/** The same in the words of a holding: what is finished, and what is still on the ends. */
function workedOf(done: Done, part: Part, tail: 'left' | 'right', hold: PlanInput['hold']): Worked {
  const rawMm = { right: hold.faceTailMm, left: hold.faceHeadMm };
  const left = (end: 'left' | 'right'): number => (done.faces.includes(end) ? 0 : rawMm[end]);
  return {
    doneIds: done.features,
    edgeIds: outsides(part)
      .filter((f) => done.edges.includes(`${f.id}-${tail}`))
      .map((f) => f.id),
    ...{ tailMm: left(tail), headMm: left(opposite[tail]) },
    ...{ tailCentre: done.centres.includes(tail), headCentre: done.centres.includes(opposite[tail]) },
  };
}

/** Says of a plan's own paths where in the job they are. */
function placed(problem: Problem, index: number): Problem {
  const [root, ...rest] = problem.path;
  if (root === 'method' || root === 'onId' || root === 'gripMm') return under(['hold', 'further', index], problem);
  return root === 'hold' ? { ...problem, path: ['hold', 'further', index, ...rest] } : problem;
}

/**
 * Plans the holdings after the first, each on what those before it have left.
 * @param first the first one, planned @param lathe with all of its chucks
 */
export function planSetups(
  first: PlannedSetup,
  further: readonly Setup[],
  lathe: Lathe,
  recorderFor: (number: number) => RecorderFor | undefined = () => undefined,
): readonly PlannedSetup[] {
  const planned = [first];
  const { hold } = first.input;
  let done = doneAfter(NOTHING, first.plan, 'right');
  for (const [i, setup] of further.entries()) {
    const { tail } = setup;
    const turned = tail === 'left';
    const part = turned ? endForEnd(first.part) : first.part;
    const worked: Worked = {
      ...workedOf(done, part, tail, hold),
      ...(first.input.rough ? { rough: first.input.rough } : {}),
      ...(i === 0 && hold.gripOn === 'spare' ? { onSpare: true } : {}),
    };
    const input: PlanInput = {
      ...first.input,
      part,
      chuck: chuckOf(lathe, setup.chuckId),
      hold: {
        ...hold,
        method: setup.method === 'auto' || setup.method === 'chuck' ? setup.method : 'chuckAndCentre',
        ...{ gripOn: 'part', gripMm: setup.gripMm, faceTailMm: worked.tailMm, faceHeadMm: worked.headMm },
        extent: setup.extent,
      },
      again: { setup, worked },
    };
    const route = planRoute(input, recorderFor(i + 2));
    const head = opposite[tail];
    // an edge that was broken before waits for nothing
    const waits = (w: Waiting) => w.what !== 'leftEdge' || !done.edges.includes(`${w.featureId}-${head}`);
    const plan = { ...route, waiting: route.waiting.filter(waits) };
    planned.push({
      ...{ number: i + 2, setup, tail, part, input, plan, before: done },
      // what the shop lacks for a size was said when the piece was put in first
      problems: plan.problems.filter((p) => p.path[0] !== 'drawing' && p.path[0] !== 'tools').map((p) => placed(p, i)),
    });
    done = doneAfter(done, plan, tail);
  }
  return planned;
}

/** How far the piece is after all holdings of a job. */
export function doneInAll(setups: readonly PlannedSetup[]): Done {
  const last = setups.at(-1);
  return last ? doneAfter(last.before, last.plan, last.tail) : NOTHING;
}

/** What is not cut in any holding of a job, in the drawing's own words. */
export function stillWaiting(setups: readonly PlannedSetup[]): readonly Waiting[] {
  const [first] = setups;
  if (!first) return [];
  const done = doneInAll(setups);
  const held = setups.length > 1;
  return first.plan.waiting
    .filter((w) => {
      if (w.what === 'cutOff') return !held;
      if (w.what === 'headFace') return !done.faces.includes('left');
      if (w.what === 'leftEdge') return !done.edges.includes(`${w.featureId}-left`);
      return w.what !== 'feature' || !done.features.includes(w.featureId ?? '');
    })
    .map((w) => {
      // of later holdings the last one that speaks of it knows best why
      const again = setups.findLast((s) =>
        s.plan.waiting.some((o) => o.what === w.what && o.featureId === w.featureId),
      );
      return again?.plan.waiting.find((o) => o.what === w.what && o.featureId === w.featureId) ?? w;
    });
}

/**
 * The next holding that would bring a job on: the other end to the tailstock, as long as something is left there that can be
 * reached; at last what was always in the jaws, held by the hole.
 * @returns undefined where all that can be planned is done
 */
export function nextSetup(setups: readonly PlannedSetup[], id: string): Setup | undefined {
  const last = setups.at(-1);
  if (!last || last.plan.operations.every((o) => o.kind === 'mount')) return undefined;
  const left = stillWaiting(setups);
  const tail = opposite[last.tail];
  const ends = left.some((w) => w.what === 'headFace' || w.what === 'cutOff');
  const lengths = left.filter((w) => w.what === 'feature');
  const held = lengths.filter((w) => w.why === 'inJaws');
  const base = { id, tail, gripMm: 0, protect: 'strips' as const };
  // gripped from either side: only the hole is left to hold it by
  const byHole = setups.length > 1 && !ends && held.length > 0 && held.length === lengths.length;
  if (byHole && throughHoleMm(last.part) > 0) return { ...base, method: 'mandrel' };
  const edges = left.some((w) => w.what === 'leftEdge');
  const worth =
    ends || edges || lengths.some((w) => w.why === 'behindLarger' || w.why === 'inJaws' || w.why === 'otherSetup');
  if (!worth) return undefined;
  // what served for the lengths serves for their other edges
  const before = last.setup?.method;
  const same = before === 'betweenCentres' || (!ends && lengths.length === 0 && trueToHole(last));
  return { ...base, method: same && before ? before : 'auto' };
}

/** Whether a holding keeps the outside true to the hole rather than to what was turned before. */
export const trueToHole = ({ plan }: PlannedSetup): boolean => heldInside(plan.holding.method);
