import { freeFromMm, type Waiting, type WaitsBecause } from '../../hold/index.ts';
import { type CutIn, cutInto, type Inside, insides, type Outside, outsides } from '../../part/index.ts';
import type { Problem } from '../../quantity/index.ts';
import { isFinished } from '../../work/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import type { Operation } from '../operation/kinds.ts';
import { planGroove } from './groove.ts';
import type { PlansCutIn } from './kind.ts';
import { planKnurl } from './knurl.ts';
import { planThread } from './thread/plan.ts';

/** The one list of what is planned of what is cut into lengths; what is not in it is left to the turner. */
const plans: { readonly [Kind in CutIn['kind']]?: PlansCutIn<Extract<CutIn, { kind: Kind }>> } = {
  groove: planGroove,
  knurl: planKnurl,
  thread: planThread,
};
/** Threads come when all else of a length is done: grooves to run out in, chamfers, holes. */
export const cutsLate = ({ kind }: CutIn): boolean => kind === 'thread';

/** Whether what is cut in is of a kind that is planned at all. */
export const plansCutIn = ({ kind }: CutIn): boolean => plans[kind] !== undefined;

/** A piece in its setup. */
type InSetup = Pick<FitContext, 'piece' | 'setup' | 'held'>;

/** What is cut into lengths in a setup, and what of it waits. */
export interface CutInsPlanned {
  readonly operations: readonly Operation[];
  readonly waiting: readonly Waiting[];
  readonly problems: readonly Problem[];
}

/** Why something cut into a length is not cut now, as its length and its place have it; undefined where it is. */
function waitsBecause(
  { piece, held, setup }: InSetup,
  made: CutIn,
  on: Outside | Inside,
  cutNow: ReadonlySet<string>,
  waiting: readonly Waiting[],
): WaitsBecause | undefined {
  if (!plansCutIn(made)) return 'shape';
  if (setup.leave?.includes(made.id)) return 'otherSetup';
  const length = waiting.find((w) => w.id === on.id);
  const stands = cutNow.has(on.id) || isFinished(piece, on.id) || length?.why === 'asBar';
  if (!stands) return length?.why ?? 'otherSetup';
  if (setup.extent === 'ends' || setup.extent === 'rough') return 'otherSetup';
  return on.side === 'outside' && made.zFromMm < freeFromMm(held) + 1 ? 'inJaws' : undefined;
}

/**
 * What is cut into lengths that are finished by then and free: those of this setup, and those of setups before; and what waits.
 * @param cutNow lengths and steps of holes that are finished in this setup @param waiting those that are not
 */
export function cutInsNow(
  inSetup: InSetup,
  cutNow: ReadonlySet<string>,
  waiting: readonly Waiting[],
  which: (made: CutIn) => boolean = () => true,
): { readonly now: readonly (readonly [CutIn, Outside | Inside])[]; readonly waiting: readonly Waiting[] } {
  const { piece } = inSetup;
  const all = [...outsides(piece.part), ...insides(piece.part)].flatMap((on) =>
    cutInto(piece.part, on.id)
      .filter((made) => which(made) && !isFinished(piece, made.id))
      .map((made) => ({ made, on, why: waitsBecause(inSetup, made, on, cutNow, waiting) })),
  );
  return {
    now: all.flatMap(({ made, on, why }) => (why ? [] : [[made, on] as const])),
    waiting: all.flatMap(({ made, why }) => (why ? [{ id: made.id, why }] : [])),
  };
}

/** Plans grooves and the like on lengths that are finished by then. @param late what comes when all else of them is done */
export function planCutIns(
  context: FitContext,
  cutNow: ReadonlySet<string>,
  waiting: readonly Waiting[],
  recorderFor: RecorderFor,
  late = false,
): CutInsPlanned {
  const found = cutInsNow(context, cutNow, waiting, (made) => cutsLate(made) === late);
  const planned = { operations: [] as Operation[], waiting: [...found.waiting], problems: [] as Problem[] };
  for (const [made, on] of found.now) {
    const plan = (plans[made.kind] as PlansCutIn<CutIn>)(context, made, on, recorderFor);
    if ('operations' in plan) planned.operations.push(...plan.operations);
    else {
      planned.waiting.push({ id: made.id, why: plan.why });
      if (plan.problem) planned.problems.push(plan.problem);
    }
  }
  return planned;
}
