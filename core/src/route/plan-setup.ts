import { speedTable, usualPolicy } from '../cutting/index.ts';
import { barOver, checkSlides, meansIn, reachFromTail, reachHoles, type Setup, type Waiting } from '../hold/index.ts';
import { checkLathe, depthRing, dialScale, type Feed } from '../lathe/index.ts';
import type { Means } from '../means/index.ts';
import { insides, type Outside, outsides, type Part } from '../part/index.ts';
import { type Problem, under } from '../quantity/index.ts';
import { reachOf, type Workpiece, weightOutNmm } from '../work/index.ts';
import type { Recorder } from '../working/index.ts';
import { afterOperations } from './after.ts';
import { finishedShaft, isStepped } from './bending.ts';
import { withCarried } from './carried.ts';
import { checkHold } from './check-hold.ts';
import { checkMeans } from './check-means.ts';
import { planCurves } from './curves.ts';
import { planFaceGrooves } from './cut-in/face-groove.ts';
import { planCutIns } from './cut-in/plan-cut-ins.ts';
import { chamferOf, edgesNow } from './edges.ts';
import { feedGroups } from './feed-groups.ts';
import type { FitContext, RecorderFor } from './fit-context.ts';
import { heldHere } from './gentle.ts';
import { planHoles } from './hole/plan-holes.ts';
import { withNotes } from './notes.ts';
import { breakEdgesOperation } from './operation/break-edges.ts';
import { centreHoleDepthMm, centreOperation, wantsCentreHole } from './operation/centre.ts';
import { chamferOperation } from './operation/chamfer.ts';
import { changeSupportOperation } from './operation/change-support.ts';
import { faceOperation } from './operation/face.ts';
import { glanceOperation } from './operation/glance.ts';
import { finishedBy, type Operation } from './operation/kinds.ts';
import { markOperation } from './operation/mark.ts';
import { mountOperation } from './operation/mount.ts';
import { partOperation } from './operation/part-off.ts';
import { sawOperation } from './operation/saw.ts';
import { touchOffOperation } from './operation/touch-off.ts';
import { ordered } from './order/moves.ts';
import { wantedOverSlide } from './over-slide.ts';
import type { Plan, Wanted } from './plan.ts';
import { putIn } from './put-in.ts';
import { planRounds } from './rounds.ts';
import { weighChanges } from './stay.ts';
import { conesNow, planCones } from './taper/plan.ts';
import { rawUpTo, turnLevels } from './turn-levels.ts';
import type { Wishes } from './wishes.ts';

const silent: RecorderFor = () => undefined;

/**
 * Plans all that can be turned from the tailstock end in one setup, the first or a later one: face, centre when needed, touch off,
 * rough everything, then finish everything with measurements, shoulders, chamfers. Largest diameters first, so that the work stays
 * stiff.
 * @param piece as it comes from the setup before, either way round; cut off its spare stock where this setup does not grip that
 * @param number of the setup, 1 for the first
 * @param recorderFor gives a recorder to the operations whose working is wanted; ids as in the plan, and `hold` for the holding
 * @returns operations in order, the workpiece they leave, what waits, and problems with paths from the setup, the drawing or the tools;
 *   a lathe that cannot be planned for gives problems only
 * @source FIELD 1 (depth, feed, speed), 2 (holding), 4 (last cuts)
 */
export function planSetup(
  piece: Workpiece,
  setup: Setup,
  means: Means,
  wishes: Wishes,
  number = 1,
  recorderFor: RecorderFor = silent,
): Plan {
  const plan = (asked: Setup): Plan => quickest(piece, asked, means, wishes, number, recorderFor);
  let best = plan(setup);
  if (setup.support !== 'auto') return best;
  // what bends too much as it is held is carried better, as far as the shop can
  for (const support of ['centre', 'following'] as const) {
    if (!best.problems.some((p) => p.code === 'route.exceeds.bend')) return best;
    if (support === 'centre' && best.held?.method !== 'chuck') continue;
    const next = plan({ ...setup, support });
    const lacks = next.problems.some((p) => p.code === 'hold.noRest');
    // an end that takes no centre bends as it does
    if (next.operations.length === 0 || lacks) return best;
    // a centre stands in the way of a hole
    if (next.waiting.length > best.waiting.length) return best;
    best = { ...next, held: next.held && { ...next.held, why: 'bends' } };
  }
  return best;
}

/** The quickest of the plans with each gearing of the feeds that stays on, and with all feeds; what cuts more goes first. */
function quickest(
  before: Workpiece,
  setup: Setup,
  means: Means,
  wishes: Wishes,
  number: number,
  recorderFor: RecorderFor,
): Plan {
  const { context, empty } = begun(putIn(before, setup), setup, means, wishes, recorderFor('hold'));
  if (!context) return empty;
  const groups = feedGroups(means.lathe);
  const planFor = (feeds: readonly Feed[], tell: RecorderFor): Plan =>
    planWith({ ...context, feeds }, empty.problems, number, tell);
  if (groups.length === 1) return planFor(groups[0]!, recorderFor);
  const quiet = groups.map((feeds) => ({ feeds, plan: planFor(feeds, silent) }));
  const [best] = quiet.sort((a, b) => a.plan.waiting.length - b.plan.waiting.length || a.plan.minutes - b.plan.minutes);
  // told only of the one that is taken
  return recorderFor === silent ? best!.plan : planFor(best!.feeds, recorderFor);
}

/** How the piece is held, and what everything in the setup is planned with; nothing to plan with where it cannot be. */
function begun(
  piece: Workpiece,
  setup: Setup,
  asked: Means,
  wishes: Wishes,
  record?: Recorder,
): { readonly context?: FitContext; readonly empty: Plan } {
  const means = meansIn(asked, piece, setup);
  const { lathe } = means;
  const { held, problems: ofHold } = heldHere(piece, setup, means, wishes.clearanceMm, record);
  const problems = [
    // what is merely odd about the lathe is told on its own page
    ...checkLathe(lathe)
      .filter((p) => p.severity !== 'warning')
      .map((p) => under(['setup', 'lathe'], p)),
    ...ofHold.map((p) => under(['setup'], p)),
    ...(held ? checkHold(piece, setup, held, means).map((p) => under(['setup'], p)) : []),
    ...(held ? checkMeans(piece, setup, means, held) : []),
  ];
  const empty: Plan = {
    held,
    operations: [],
    planned: [],
    after: piece,
    waiting: [],
    problems,
    minutes: 0,
    changes: 0,
  };
  if (!held || problems.some((p) => p.severity !== 'warning') || outsides(piece.part).length === 0) return { empty };
  const context: FitContext = {
    ...{ piece, setup, held, means, wishes },
    speeds: speedTable(lathe, held.maxRpm),
    policy: wishes.policy ?? usualPolicy,
    feeds: [],
    lineMm: dialScale(depthRing(lathe)).lineTravelMm.valueOf(),
    shaft: finishedShaft(piece, held, means.material.modulusGPa),
    stepped: isStepped(piece),
    weightNmm: weightOutNmm(piece, held.jawsMm, means.material.densityKgPerM3),
    stockMm: reachOf(piece).largestMm,
    ...(setup.grip.kind === 'slide' ? { turning: barOver(means.tools, piece, setup.grip.by)! } : {}),
  };
  return { context, empty };
}

/** All operations of a setup with these feeds, in their order. @param problems that are known of how it is held */
function planWith(context: FitContext, ofHold: readonly Problem[], number: number, recorderFor: RecorderFor): Plan {
  const { piece, held, means } = context;
  const {
    wanted,
    waiting,
    problems: ofWork,
  } = context.turning ? wantedOverSlide(context, recorderFor) : wantedIn(context, number, recorderFor);
  lookFirst(context, wanted, recorderFor);
  const { after: whole, parting } = cutOff(context, wanted, waiting, number, recorderFor);
  push(wanted, parting);
  const { order, refused } = ordered(wanted, context.setup.moves ?? [], piece.part);
  const settled = weighChanges(context, order, recorderFor).map((o) => withCarried(held, o));
  const operations = withNotes(context, settled);
  const centreMm = centreHoleDepthMm(operations.find((o) => o.kind === 'centre'));
  // over the cross-slide they were looked at before anything was clamped
  const slides = context.turning ? [] : checkSlides(piece.part, held, context.stockMm, means.lathe, centreMm);
  const problems = [
    ...ofHold,
    ...ofWork,
    ...slides.map((p) => under(['setup'], p)),
    ...exceeded(operations),
    ...refusedMoves(context.setup, refused),
  ];
  const changed = settingChanges(means, operations);
  const operationsMin = operations.reduce((total, o) => total + o.minutes, 0);
  const minutes = operationsMin + changed.minutes;
  recorderFor('total')?.({
    code: 'route.total',
    values: { count: operations.length, operationsMin, changes: changed.count, changesMin: changed.minutes, minutes },
  });
  const after = parting ? afterOperations(whole, [parting], number) : whole;
  return {
    held,
    operations,
    planned: wanted.map((o) => o.id),
    after,
    waiting,
    problems,
    minutes,
    changes: changed.count,
  };
}

/** A round in a hole follows on the last cut of its step, with the bar that is there; one outside comes after everything is turned. */
function putRound(part: Part, wanted: Operation[], round: Operation): void {
  const inside = insides(part).some((s) => s.id === round.featureId);
  const last = inside ? wanted.findLastIndex((o) => o.featureId === round.featureId) : -1;
  wanted.splice(last < 0 ? wanted.length : last + 1, 0, round);
}

/** A look before the first feed under power is put in where that is. */
function lookFirst(context: FitContext, wanted: Operation[], recorderFor: RecorderFor): void {
  const fed = wanted.filter((o) => o.passes.length > 0);
  const glance = glanceOperation(context, fed, recorderFor);
  if (glance) wanted.splice(wanted.indexOf(fed[0]!), 0, glance);
}

/** Everything that is cut while the piece is whole, what waits, and what is wrong with it. */
function wantedIn(context: FitContext, number: number, recorderFor: RecorderFor): Wanted {
  const { piece, setup, held, wishes } = context;
  const { part } = piece;
  const within = reachFromTail(piece, held, wishes.clearanceMm, setup.leave);
  const onlyEnds = setup.extent === 'ends';
  const reachable = onlyEnds ? [] : within.reachable;
  const inHoles = reachHoles(piece, held, setup);
  const later = onlyEnds ? [...within.reachable, ...inHoles.steps] : [];
  const holes = planHoles(context, onlyEnds ? [] : inHoles.steps, recorderFor);
  const wanted = opening(context, holes.drilled, touchPlace(context, reachable.at(-1), number), recorderFor);
  push(wanted, markOperation(context, reachable, recorderFor));
  const turned = turnLevels(context, reachable, wanted, holes.sized, recorderFor);
  const waiting: Waiting[] = [
    ...within.waiting,
    ...inHoles.waiting,
    ...later.map(({ id }): Waiting => ({ id, why: 'otherSetup' })),
    ...holes.waiting,
    ...turned.waiting,
  ];
  const curves = planCurves(context, recorderFor);
  wanted.push(...curves.operations);
  waiting.push(...curves.waiting);
  const reached = new Set(inHoles.steps.map((s) => s.id));
  const cones = planCones(context, conesNow(context, reached, waiting), wanted, number, recorderFor);
  wanted.push(...cones.early);
  waiting.push(...cones.waiting);
  const cutNow = new Set([...turned.cut, ...[...wanted, ...cones.late].flatMap((o) => finishedBy(part, o))]);
  const cutIns = planCutIns(context, cutNow, waiting, recorderFor);
  wanted.push(...cutIns.operations);
  waiting.push(...cutIns.waiting);
  const inFaces = planFaceGrooves(context, cutNow, recorderFor);
  wanted.push(...inFaces.operations);
  waiting.push(...inFaces.waiting);
  const rounds = planRounds(context, cutNow, waiting, wanted, recorderFor);
  for (const round of rounds.operations) putRound(part, wanted, round);
  waiting.push(...rounds.waiting);
  const finishes = (of: readonly Operation[]): readonly string[] => of.flatMap((o) => finishedBy(part, o));
  const breakEdges = (cut: ReadonlySet<string>, but: ReadonlySet<string> = new Set()): void => {
    for (const feature of edgesNow(context, cut))
      if (!but.has(feature.id))
        push(wanted, chamferOperation(context, feature, chamferOf(part, feature)!, recorderFor));
  };
  const ready = new Set([...turned.cut, ...finishes(cones.early)]);
  breakEdges(ready);
  const threads = planCutIns(
    context,
    new Set([...cutNow, ...wanted.flatMap((o) => finishedBy(part, o))]),
    waiting,
    recorderFor,
    true,
  );
  wanted.push(...threads.operations, ...cones.late);
  const last = new Set(finishes(cones.late));
  if (last.size > 0) breakEdges(last, new Set(edgesNow(context, ready).map((f) => f.id)));
  waiting.push(...threads.waiting);
  if (!onlyEnds && setup.extent !== 'rough') push(wanted, breakEdgesOperation(context, cutNow, recorderFor));
  return {
    wanted,
    waiting,
    problems: [
      ...holes.problems,
      ...turned.problems,
      ...curves.problems,
      ...cones.problems,
      ...cutIns.problems,
      ...inFaces.problems,
      ...threads.problems,
    ],
  };
}

/** What comes before anything is turned: putting in, facing, the centre hole where one is wanted, drilling, touching off. */
function opening(
  context: FitContext,
  drilled: readonly Operation[],
  touchMm: number | undefined,
  recorderFor: RecorderFor,
): Operation[] {
  const operations: Operation[] = [mountOperation(context, recorderFor)];
  push(operations, faceOperation(context, recorderFor('face')));
  if (wantsCentreHole(context)) push(operations, centreOperation(context, recorderFor('centre')));
  push(operations, changeSupportOperation(context, recorderFor));
  operations.push(...drilled);
  if (touchMm !== undefined) push(operations, touchOffOperation(context, touchMm, recorderFor));
  return operations;
}

/** Taking the piece off its spare stock at the end, by blade or saw; its face then waits for the other end, or is done. */
function cutOff(
  context: FitContext,
  wanted: readonly Operation[],
  waiting: Waiting[],
  number: number,
  recorderFor: RecorderFor,
): { readonly after: Workpiece; readonly parting?: Operation } {
  const after = afterOperations(context.piece, wanted, number);
  if (!context.wishes.cutsOff) return { after };
  const parted = partOperation(context, after, recorderFor);
  const parting = typeof parted === 'string' ? sawOperation(context, parted, recorderFor) : parted;
  if (!parting) return { after };
  const done = finishedBy(context.piece.part, parting);
  for (const [i, w] of [...waiting.entries()].toReversed())
    if (w.why === 'cutOff') {
      if (done.includes(w.id)) waiting.splice(i, 1);
      else waiting[i] = { id: w.id, why: 'otherEnd' };
    }
  return { after, parting };
}

/** Where the end of the raw metal is touched off: that of the length nearest to the tail; of the bar, if only its ends are made. */
function touchPlace({ piece, setup }: FitContext, last: Outside | undefined, number: number): number | undefined {
  if (last) return rawUpTo(piece, last);
  return number === 1 && setup.extent !== 'ends' ? piece.part.lengthMm : undefined;
}

/** What the turner moved and the rules of the order do not let stand. */
const refusedMoves = ({ moves = [] }: Setup, refused: ReturnType<typeof ordered>['refused']): Problem[] =>
  refused.map(({ move, by }) => ({
    ...{ code: 'route.moveRefused', path: ['setup', 'moves', moves.indexOf(move)], value: move.id, limit: by.code },
    severity: 'warning',
  }));

/** What asks more of motor, work or grip than they bear. */
const exceeded = (operations: readonly Operation[]): Problem[] =>
  operations.flatMap(({ id, exceeds: [most] }): Problem[] =>
    most ? [{ code: `route.exceeds.${most}`, path: ['operations', id], value: id, severity: 'warning' }] : [],
  );

function push(operations: Operation[], operation: Operation | undefined): void {
  if (operation) operations.push(operation);
}

/** How often levers, belts or gears are changed between operations, and what that costs. */
function settingChanges({ lathe }: Means, operations: readonly Operation[]): { count: number; minutes: number } {
  const standing: Record<string, string> = {};
  let count = 0;
  let minutes = 0;
  for (const { setting } of operations) {
    for (const [controls, at] of [
      [lathe.spindle.controls, setting?.speedAt],
      [lathe.feeds.controls, setting?.feedAt],
    ] as const) {
      for (const control of controls) {
        const position = at?.[control.id];
        if (position === undefined || standing[control.id] === position) continue;
        if (standing[control.id] !== undefined) {
          count++;
          minutes += control.changeMin;
        }
        standing[control.id] = position;
      }
    }
  }
  return { count, minutes };
}
