import { bottomOf, type Inside, insides, type Part } from '../part/index.ts';
import { PLACE_MM } from '../quantity/index.ts';
import { isFinished, reachOf, type Workpiece } from '../work/index.ts';
import { type Held, heldInside, onTailCentre } from './held.ts';
import type { Waiting, WaitsBecause } from './reach.ts';
import type { Setup } from './schema.ts';

/** Steps of holes that open to the end at the tailstock, from that end inwards, whichever face they are drawn from. */
export function holeFromTail(part: Part): readonly Inside[] {
  const steps: Inside[] = [];
  let zMm = part.lengthMm;
  for (;;) {
    const next = insides(part).find((s) => Math.abs(s.zToMm - zMm) < PLACE_MM);
    if (!next) return steps;
    steps.push(next);
    zMm = next.zFromMm;
  }
}

/** What keeps tools out of a hole altogether while the work is held so; undefined where its end is open. */
function closedBy({ method }: Held, { extent }: Pick<Setup, 'extent'>): WaitsBecause | undefined {
  // a centre that only comes when the ends are made leaves them open
  if (onTailCentre(method)) return method === 'chuckAndCentre' && extent === 'ends' ? undefined : 'behindCentre';
  return heldInside(method) ? 'onArbor' : undefined;
}

/** How far in jaws that open into the hole stand, zPart, mm. */
const jawsInMm = (piece: Workpiece, { method, gripMm }: Held): number =>
  method === 'insideJaws' ? reachOf(piece).zFromMm + gripMm : Number.NEGATIVE_INFINITY;

/**
 * Which steps of holes can be made from the tailstock end: those that open to it, none wider than what lies before them, clear of
 * whatever holds the work by its hole. From the end inwards; by name all the rest that is not finished.
 */
export function reachHoles(
  piece: Workpiece,
  held: Held,
  setup: Pick<Setup, 'extent' | 'leave'>,
): { readonly steps: readonly Inside[]; readonly waiting: readonly Waiting[] } {
  const { part } = piece;
  const closed = closedBy(held, setup);
  const open = holeFromTail(part);
  const jawsMm = jawsInMm(piece, held);
  const waiting: Waiting[] = [];
  const steps: Inside[] = [];
  // what lies deeper than a step that is left has to wait with it
  const leftFrom = open.findIndex((s) => setup.leave?.includes(s.id));
  let narrowestMm = Number.POSITIVE_INFINITY;
  for (const [i, step] of open.entries()) {
    const wideMm = Math.max(step.leftMm, step.rightMm);
    const why: WaitsBecause | undefined =
      closed ??
      (leftFrom >= 0 && i >= leftFrom ? 'otherSetup' : undefined) ??
      (step.from === 'left' && !step.through && bottomOf(step).zMm >= part.lengthMm - PLACE_MM
        ? 'otherEnd'
        : wideMm > narrowestMm + PLACE_MM
          ? 'behindNarrower'
          : step.zFromMm < jawsMm
            ? 'inJaws'
            : undefined);
    narrowestMm = Math.min(narrowestMm, step.leftMm, step.rightMm);
    if (isFinished(piece, step.id)) continue;
    if (why) waiting.push({ id: step.id, why });
    else steps.push(step);
  }
  const told = new Set(open.map((s) => s.id));
  for (const step of insides(part))
    if (!told.has(step.id) && !isFinished(piece, step.id)) waiting.push({ id: step.id, why: 'otherEnd' });
  return { steps, waiting };
}
