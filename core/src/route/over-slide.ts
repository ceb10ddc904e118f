import { CLEAR_MM, reachFromTail, reachHoles, type Waiting } from '../hold/index.ts';
import { type Edge, edgeOf, insides, isStraight, type Outside, outsides } from '../part/index.ts';
import { PLACE_MM } from '../quantity/index.ts';
import { isFinished, openMm, reachOf, standingMm } from '../work/index.ts';
import { faceGroovesNow } from './cut-in/face-groove.ts';
import { cutInsNow } from './cut-in/plan-cut-ins.ts';
import type { FitContext, RecorderFor } from './fit-context.ts';
import { planBeside } from './hole/plan-beside.ts';
import { planHoles } from './hole/plan-holes.ts';
import type { Operation } from './operation/kinds.ts';
import { mountOperation } from './operation/mount.ts';
import { pickUpOperation } from './operation/pick-up.ts';
import { touchOffOperation } from './operation/touch-off.ts';
import type { Wanted } from './plan.ts';
import { rawUpTo, turnLevels } from './turn-levels.ts';

/** What is open all through already, mm. */
function openThrough({ piece }: FitContext): number {
  const { zFromMm, zToMm } = reachOf(piece);
  return openMm(piece, zFromMm + PLACE_MM, zToMm - PLACE_MM);
}

/** Lengths at the end that the cutter enters which go into a head with its cutter turned inwards. */
function spigotsNow({ piece, turning }: FitContext, reachable: readonly Outside[]): readonly Outside[] {
  const mostMm = turning?.turns?.mostSpigotMm;
  const { lengthMm } = piece.part;
  if (!turning || mostMm === undefined) return [];
  return reachable.filter(
    (f) =>
      isStraight(f) &&
      standingMm(piece, f.zFromMm, f.zToMm) <= mostMm &&
      lengthMm - f.zFromMm + CLEAR_MM <= turning.reachMm &&
      // what is larger on its left stops the cutter; a whole length is not turned down
      f.zFromMm > PLACE_MM,
  );
}

/**
 * What is done to work that stands on the cross-slide: clamped, its axis picked up, its holes drilled from the spindle and bored by
 * the bar that turns; then what lies beside the axis at its height, by the slide's own wheel. Everything else waits.
 * @source FIELD 5: positions by turns and divisions from one noted reading
 */
export function wantedOverSlide(context: FitContext, recorderFor: RecorderFor): Wanted {
  const { piece, setup, held, wishes } = context;
  const onlyEnds = setup.extent === 'ends';
  const inHoles = reachHoles(piece, held, setup);
  const holes = planHoles(context, onlyEnds ? [] : inHoles.steps, recorderFor);
  const beside = planBeside(context, recorderFor);
  const outside = reachFromTail(piece, held, wishes.clearanceMm, setup.leave);
  const spigots = onlyEnds ? [] : spigotsNow(context, outside.reachable);
  const sized: Operation[] = [];
  const [first] = spigots;
  if (first) {
    const touch = touchOffOperation(context, rawUpTo(piece, first), recorderFor);
    if (touch) sized.push(touch);
  }
  const turned = turnLevels(context, spigots, sized, [], recorderFor);
  const stands = (id: Waiting['id']): Waiting => ({ id, why: 'workStands' });
  const left = outside.reachable.filter((f) => !spigots.includes(f));
  const lengths = [...left.map((f) => stands(f.id)), ...outside.waiting, ...turned.waiting];
  const told = new Set(lengths.map((w) => w.id));
  const edges = [...outsides(piece.part), ...insides(piece.part)]
    .flatMap((f) => [edgeOf(piece.part, f.id, 'left'), edgeOf(piece.part, f.id, 'right')])
    .filter((e) => e !== undefined && !isFinished(piece, e.id) && !told.has(e.id)) as readonly Edge[];
  const done = new Set(beside.operations.map((o) => o.featureId));
  const asked = new Map(beside.waiting.map((w) => [w.id, w]));
  const known = lengths.flatMap((w) => (done.has(w.id) ? [] : [asked.get(w.id) ?? w]));
  const inFaces = faceGroovesNow({ piece, setup, held }, new Set());
  const cutIns = cutInsNow({ piece, setup, held }, new Set(), known);
  const later = onlyEnds ? inHoles.steps.map(({ id }): Waiting => ({ id, why: 'otherSetup' })) : [];
  return {
    wanted: [
      mountOperation(context, recorderFor),
      pickUpOperation(context, openThrough(context), recorderFor),
      ...holes.drilled,
      ...holes.sized,
      ...sized,
      ...beside.operations,
    ],
    waiting: [
      ...known,
      ...edges.map((e) => stands(e.id)),
      ...later,
      ...inHoles.waiting,
      ...holes.waiting,
      ...cutIns.now.map(([made]) => stands(made.id)),
      ...cutIns.waiting,
      ...inFaces.now.map((made) => stands(made.id)),
      ...inFaces.waiting,
    ],
    problems: [...holes.problems, ...turned.problems, ...beside.problems],
  };
}
