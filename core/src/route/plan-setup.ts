import { outerProfile } from '../contour/index.ts';
import { speedTable, usualPolicy } from '../cutting/index.ts';
import { fitness, measures } from '../gauge/index.ts';
import { checkSlides, freeFromMm, type Held, heldIn, reachFromTail, type Setup, type Waiting } from '../hold/index.ts';
import { checkLathe, dialScale, feedsOf } from '../lathe/index.ts';
import { toleranceMm } from '../limit/index.ts';
import type { Means } from '../means/index.ts';
import { type Chamfer, edgeOf, type Outside, outsides, type Part } from '../part/index.ts';
import { PLACE_MM, type Problem, under } from '../quantity/index.ts';
import { toolFor } from '../tool/index.ts';
import { cutOffSpare, isFinished, lying, reachOf, standingMm, type Workpiece } from '../work/index.ts';
import { afterOperations } from './after.ts';
import { finishedShaft, isStepped } from './bending.ts';
import { withCarried } from './carried.ts';
import type { FitContext, RecorderFor } from './fit-context.ts';
import { type Level, levelOf } from './level.ts';
import { centreHoleDepthMm, centreOperation, wantsCentreHole } from './operation/centre.ts';
import { chamferOperation } from './operation/chamfer.ts';
import { changeSupportOperation } from './operation/change-support.ts';
import { faceOperation } from './operation/face.ts';
import type { Operation } from './operation/kinds.ts';
import { measureRoughed } from './operation/measure.ts';
import { mountOperation } from './operation/mount.ts';
import { shoulderOperation } from './operation/shoulder.ts';
import { touchAgainOperation, touchOffOperation } from './operation/touch-off.ts';
import type { Plan } from './plan.ts';
import { weighChanges } from './stay.ts';
import { finishLevel, roughLevel } from './turning.ts';
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
  const first = planWith(piece, setup, means, wishes, number, recorderFor);
  const bends =
    first.held?.method === 'chuck' &&
    setup.support === 'auto' &&
    first.operations.some((o) => o.exceeds.includes('bend'));
  if (!bends) return first;
  const second = planWith(piece, { ...setup, support: 'centre' }, means, wishes, number, recorderFor);
  // an end that takes no centre bends as it does
  if (second.operations.length === 0) return first;
  return { ...second, held: second.held && { ...second.held, why: 'bends' } };
}

/** The piece as it is put in: this end at the tail, and off its spare stock unless that is what is gripped. */
export function putIn(piece: Workpiece, setup: Setup): Workpiece {
  const there = lying(piece, setup.tail);
  const spare = there.marks.some((m) => m.kind === 'cutOff' && m.zToMm <= 0);
  const onSpare = setup.grip.kind === 'jaws' && (setup.grip.on === 'spare' || setup.grip.on === undefined) && spare;
  return onSpare ? there : cutOffSpare(there);
}

function planWith(
  before: Workpiece,
  setup: Setup,
  means: Means,
  wishes: Wishes,
  number: number,
  recorderFor: RecorderFor,
): Plan {
  const piece = putIn(before, setup);
  const { part } = piece;
  const { lathe } = means;
  const { held, problems: ofHold } = heldIn(piece, setup, lathe, wishes.clearanceMm, recorderFor('hold'));
  const problems = [
    // what is merely odd about the lathe is told on its own page
    ...checkLathe(lathe)
      .filter((p) => p.severity !== 'warning')
      .map((p) => under(['setup', 'lathe'], p)),
    ...ofHold.map((p) => under(['setup'], p)),
    ...(held ? checkMeans(piece, setup, means, held) : []),
  ];
  const empty: Plan = { held, operations: [], after: piece, waiting: [], problems, minutes: 0, changes: 0 };
  if (!held || problems.some((p) => p.severity !== 'warning') || outsides(part).length === 0) return empty;
  const context: FitContext = {
    ...{ piece, setup, held, means, wishes },
    speeds: speedTable(lathe, held.maxRpm),
    policy: wishes.policy ?? usualPolicy,
    feeds: feedsOf(lathe),
    lineMm: dialScale(lathe.slides.crossSlide).lineTravelMm.valueOf(),
    shaft: finishedShaft(piece, held, means.material.modulusGPa),
    stepped: isStepped(piece),
    stockMm: reachOf(piece).largestMm,
  };
  const within = reachFromTail(piece, held, wishes.clearanceMm);
  const onlyEnds = setup.extent === 'ends';
  const reachable = onlyEnds ? [] : within.reachable;
  const waiting: Waiting[] = onlyEnds
    ? [...within.reachable.map(({ id }): Waiting => ({ id, why: 'otherSetup' })), ...within.waiting]
    : [...within.waiting];
  const wanted = opening(context, touchPlace(context, reachable.at(-1), number), recorderFor);
  const turned = turnLevels(context, reachable, wanted, recorderFor);
  waiting.push(...turned.waiting);
  problems.push(...turned.problems);
  for (const feature of edgesNow(context, turned.cut))
    push(wanted, chamferOperation(context, feature, chamferOf(part, feature)!, recorderFor));
  const operations = weighChanges(context, wanted, recorderFor).map((o) => withCarried(held, o));
  const slides = checkSlides(
    part,
    held,
    context.stockMm,
    lathe,
    centreHoleDepthMm(operations.find((o) => o.kind === 'centre')),
  );
  problems.push(...slides.map((p) => under(['setup'], p)), ...exceeded(operations));
  const changed = settingChanges(means, operations);
  const operationsMin = operations.reduce((total, o) => total + o.minutes, 0);
  const minutes = operationsMin + changed.minutes;
  recorderFor('total')?.({
    code: 'route.total',
    values: { count: operations.length, operationsMin, changes: changed.count, changesMin: changed.minutes, minutes },
  });
  const after = afterOperations(piece, operations, number);
  return { held, operations, after, waiting, problems, minutes, changes: changed.count };
}

/** What comes before anything is turned: putting in, facing, the centre hole where one is wanted, touching off. */
function opening(context: FitContext, touchMm: number | undefined, recorderFor: RecorderFor): Operation[] {
  const operations: Operation[] = [mountOperation(context, recorderFor)];
  push(operations, faceOperation(context, recorderFor('face')));
  if (wantsCentreHole(context)) push(operations, centreOperation(context, recorderFor('centre')));
  push(operations, changeSupportOperation(context, recorderFor));
  if (touchMm !== undefined) push(operations, touchOffOperation(context, touchMm, recorderFor));
  return operations;
}

/** Where the end of the raw metal is touched off: that of the length nearest to the tail; of the bar, if only its ends are made. */
function touchPlace({ piece, setup }: FitContext, last: Outside | undefined, number: number): number | undefined {
  if (last) return rawUpTo(piece, last);
  return number === 1 && setup.extent !== 'ends' ? piece.part.lengthMm : undefined;
}

/** How far towards the tail the raw metal over a length goes on as thick as it is there, mm. */
function rawUpTo(piece: Workpiece, feature: Outside): number {
  const { placesMm, radiiMm } = outerProfile(piece.contour);
  const thick = standingMm(piece, feature.zFromMm, feature.zToMm);
  const end = piece.part.lengthMm;
  for (let i = 0; i < radiiMm.length; i++)
    if (placesMm[i]! >= feature.zToMm - PLACE_MM && Math.abs(2 * radiiMm[i]! - thick) > 1e-5)
      return Math.min(end, placesMm[i]!);
  return end;
}

interface Turned {
  readonly waiting: readonly Waiting[];
  readonly problems: readonly Problem[];
  /** lengths that are finished in this setup */
  readonly cut: ReadonlySet<string>;
}

/** Roughs all that can be reached, measures, changes the tool, and finishes it; operations are put after those that are wanted already. */
function turnLevels(
  context: FitContext,
  reachable: readonly Outside[],
  wanted: Operation[],
  recorderFor: RecorderFor,
): Turned {
  const { piece, means, held } = context;
  const { part } = piece;
  const lengths = outsides(part);
  const levels: { level: Level; outsideMm: number; square: boolean }[] = [];
  let startMm = context.stockMm;
  let regionMm = Number.NaN;
  for (const feature of reachable) {
    const endMm = rawUpTo(piece, feature);
    if (endMm !== regionMm) startMm = standingMm(piece, feature.zFromMm, feature.zToMm);
    regionMm = endMm;
    const left = lengths[lengths.indexOf(feature) - 1];
    const shoulder = left !== undefined && left.diameterMm > feature.diameterMm;
    // a round in the corner is not planned: it keeps its metal
    const corner = shoulder ? edgeOf(part, feature.id, 'left') : undefined;
    const cornerMm = corner?.kind === 'round' ? corner.radiusMm : 0;
    const runPast = runPastMm(context, left, shoulder);
    const zFromMm = Math.max(feature.zFromMm + cornerMm - runPast, freeFromMm(held) + 0.5);
    const level = levelOf(context, feature, zFromMm, shoulder, startMm, recorderFor);
    const rough = roughLevel(context, level, startMm, endMm, recorderFor);
    if (rough) wanted.push(rough);
    const outsideMm = left ? Math.min(left.diameterMm, standingMm(piece, left.zFromMm, left.zToMm)) : context.stockMm;
    startMm = Math.min(startMm, Number((level.targetMm + level.allowanceMm).toFixed(9)));
    levels.push({ level, outsideMm, square: cornerMm === 0 });
  }
  const [rougher, finisher] = [toolFor(means.tools, 'rougher')!, toolFor(means.tools, 'finisher')!];
  const plain = levels.map((l) => l.level);
  wanted.push(...measureRoughed(context, plain, recorderFor));
  const byCompound = plain.some(({ last }) => last.kind === 'planned' && last.fineness.slide === 'compound');
  const last = plain.at(-1)?.feature;
  if (last && (finisher.id !== rougher.id || byCompound))
    push(wanted, touchAgainOperation(context, last, startMm, regionMm, finisher, byCompound, recorderFor));
  const waiting: Waiting[] = [];
  const problems: Problem[] = [];
  for (const { level, outsideMm, square } of levels) {
    wanted.push(...finishLevel(context, level, recorderFor));
    if (level.last.kind === 'tooFine') {
      waiting.push({ id: level.feature.id, why: 'tooFine' });
      problems.push({
        ...{ code: `route.tooFine.${level.last.why}`, path: ['drawing', 'features', level.feature.index, 'limits'] },
        ...{ value: Number(toleranceMm(level.feature.limits).toFixed(4)), unit: 'mm', severity: 'warning' },
      });
    } else if (level.shoulder && square) push(wanted, shoulderOperation(context, level, outsideMm, recorderFor));
  }
  return { waiting, problems, cut: new Set(plain.flatMap((l) => (l.last.kind === 'planned' ? [l.feature.id] : []))) };
}

/** How far the tool runs on to the left where nothing larger stands there, so that the whole length comes to size, mm. */
function runPastMm({ piece, held }: FitContext, left: Outside | undefined, shoulder: boolean): number {
  const spare = piece.marks.find((m) => m.kind === 'cutOff');
  // half way into what the saw or the blade takes
  if (left === undefined && spare) return -(spare.zFromMm + spare.zToMm) / 2;
  return !shoulder && (left !== undefined || held.headEndMm !== undefined) ? 1 : 0;
}

/** What asks more of motor, work or grip than they bear. */
const exceeded = (operations: readonly Operation[]): Problem[] =>
  operations.flatMap(({ id, exceeds: [most] }): Problem[] =>
    most ? [{ code: `route.exceeds.${most}`, path: ['operations', id], value: id, severity: 'warning' }] : [],
  );

/** Lengths whose edge towards the tail is broken now: those cut in this setup, and finished ones whose edge had to wait. */
function edgesNow({ piece, setup, held }: FitContext, cutNow: ReadonlySet<string>): readonly Outside[] {
  const lengths = outsides(piece.part);
  const waited = (f: Outside, i: number): boolean => {
    const edge = chamferOf(piece.part, f);
    const next = lengths[i + 1];
    const free = f.zToMm > freeFromMm(held) + 1 && (next === undefined || next.diameterMm < f.diameterMm);
    return setup.extent !== 'ends' && isFinished(piece, f.id) && !!edge && !isFinished(piece, edge.id) && free;
  };
  return lengths.filter((f, i) => chamferOf(piece.part, f) && (cutNow.has(f.id) || waited(f, i)));
}

/** The chamfer at the tail end of a length. */
function chamferOf(part: Part, { id }: Outside): Chamfer | undefined {
  const edge = edgeOf(part, id, 'right');
  return edge?.kind === 'chamfer' ? edge : undefined;
}

function push(operations: Operation[], operation: Operation | undefined): void {
  if (operation) operations.push(operation);
}

/** Tools and gauges that the part needs and the shop lacks; limits finer than gauge or dial. */
function checkMeans(piece: Workpiece, setup: Setup, means: Means, held: Held): Problem[] {
  const { part } = piece;
  const problems: Problem[] = [];
  if (!toolFor(means.tools, 'rougher')) problems.push({ code: 'route.noTool', path: ['tools'], value: 'rougher' });
  if (!toolFor(means.tools, 'finisher')) problems.push({ code: 'route.noTool', path: ['tools'], value: 'finisher' });
  const wanted = [
    ['chamfer', outsides(part).some((f) => chamferOf(part, f))],
    ['centre drill', wantsCentreHole({ piece, setup, held })],
  ] as const;
  for (const [kind, needed] of wanted)
    if (needed && !toolFor(means.tools, kind))
      problems.push({ code: 'route.noTool', path: ['tools'], value: kind, severity: 'warning' });
  if (held.wantsRest)
    problems.push({
      code: 'hold.wantsRest',
      path: ['setup', 'support'],
      value: Number(held.overhangDiameters.toFixed(1)),
      limit: 12,
      severity: 'warning',
    });
  for (const feature of outsides(part)) {
    const tolerance = toleranceMm(feature.limits);
    const path = ['drawing', 'features', feature.index, 'limits'];
    const fit = means.instruments.filter(
      (i) =>
        measures(i, 'outside') &&
        i.fromMm <= feature.diameterMm &&
        feature.diameterMm <= i.toMm &&
        fitness(tolerance, i.uncertaintyMm) !== 'tooCoarse',
    );
    if (fit.length === 0)
      problems.push({
        code: 'gauge.noneFineEnough',
        path,
        value: Number(tolerance.toFixed(4)),
        unit: 'mm',
        severity: 'warning',
      });
  }
  return problems;
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
