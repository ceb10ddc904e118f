import { speedTable, usualPolicy } from '../cutting/index.ts';
import { fitness, measures } from '../gauge/index.ts';
import {
  type Blank,
  blankFor,
  checkBlank,
  checkDiameters,
  checkSlides,
  cutOffMm,
  type Holding,
  heldAgain,
  holdingFor,
  reachFromTail,
  type Waiting,
  type Worked,
} from '../hold/index.ts';
import { checkLathe, feedsOf } from '../lathe/index.ts';
import { toleranceMm } from '../limit/index.ts';
import type { Outside, Part } from '../part/index.ts';
import { type Chamfer, edgeOf, outsides } from '../part/index.ts';
import { type Problem, rational, sum, under } from '../quantity/index.ts';
import { toolFor } from '../tool/index.ts';
import { finishedShaft } from './bending.ts';
import { centreHoleDepthMm, wantsCentreHole } from './centre.ts';
import { chamferOperation, openingOperations, shoulderOperation, touchAgainOperation } from './ends.ts';
import type { FitContext } from './fit-context.ts';
import type { Operation, Plan, PlanInput } from './plan.ts';
import { weighChanges } from './stay.ts';
import { finishLevel, type Level, levelOf, measureRoughed, type RecorderFor, roughLevel } from './turning.ts';

const silent: RecorderFor = () => undefined;

/**
 * Plans all that can be turned from the tailstock end in one holding, the first or a later one: face, centre when needed, touch off, rough everything,
 * then finish everything with measurements, shoulders, chamfers. Largest diameters first, so that the work stays stiff.
 * @param input part, material, lathe, tools, stock, holding and school; lengths in mm
 * @param recorderFor gives a recorder to the operations whose working is wanted; ids as in the plan, and `hold` for the holding
 * @param barLengthMm what is left of the bar; undefined: not checked
 * @returns operations in order, what waits, and problems; a lathe that cannot be planned for gives problems only
 * @source FIELD 1 (depth, feed, speed), 2 (holding), 4 (last cuts)
 */
export function planRoute(input: PlanInput, recorderFor: RecorderFor = silent, barLengthMm?: number): Plan {
  const first = planWith(input, recorderFor, barLengthMm);
  const bends =
    first.holding.method === 'chuck' &&
    input.hold.method === 'auto' &&
    first.operations.some((o) => o.exceeds.includes('bend'));
  if (!bends) return first;
  const method = 'chuckAndCentre' as const;
  const again = input.again && { ...input.again, setup: { ...input.again.setup, method } };
  const second = planWith({ ...input, hold: { ...input.hold, method }, again }, recorderFor, barLengthMm);
  return { ...second, holding: { ...second.holding, why: 'bends' } };
}

function planWith(given: PlanInput, recorderFor: RecorderFor, barLengthMm: number | undefined): Plan {
  const { part, stockMm, hold, tools } = given;
  const held = given.again ? putInAgain(given, given.again, recorderFor) : putInFirst(given, recorderFor, barLengthMm);
  const { blank, holding } = held;
  const { lathe } = given;
  const input = given;
  const worked = given.again?.worked;
  const problems = [
    // what is merely odd about the lathe is told on its own page
    ...checkLathe(lathe)
      .filter((p) => p.severity !== 'warning')
      .map((p) => under(['hold', 'lathe'], p)),
    ...held.problems,
    ...checkMeans(input, holding),
  ];
  const empty: Plan = { blank, holding, operations: [], waiting: [], problems, minutes: 0, changes: 0 };
  if (problems.some((p) => p.severity !== 'warning') || outsides(part).length === 0) return empty;
  const context: FitContext = {
    input,
    speeds: speedTable(lathe, holding.maxRpm),
    policy: input.policy ?? usualPolicy,
    feeds: feedsOf(lathe),
    holding,
    shaft: finishedShaft(part, holding, stockMm, input.material.modulusGPa),
  };
  const finisher = toolFor(tools, 'finisher')!;
  const within = reachFromTail(part, holding, stockMm, hold.clearanceMm, hold.gripOn, worked);
  const reachable = hold.extent === 'ends' ? [] : within.reachable;
  const waiting: Waiting[] =
    hold.extent === 'ends' ? [...within.reachable.map(later), ...within.waiting] : [...within.waiting];
  const { lengthMm } = part;
  const done = new Set(worked?.doneIds);
  // metal between two finished lengths is cut up to the one at its tail side
  const endOf = (feature: Outside): number =>
    worked === undefined
      ? lengthMm
      : (outsides(part).find((f) => done.has(f.id) && f.zFromMm >= feature.zToMm - 1e-9)?.zFromMm ?? lengthMm);
  const wanted = openingOperations(context, reachable.at(-1), recorderFor);
  const levels: { level: Level; outsideMm: number; square: boolean }[] = [];
  let startMm = stockMm;
  let regionMm = input.rough ? Number.NaN : lengthMm;
  for (const feature of reachable) {
    // a casting is cut length by length from its own steps; a bar all along at once
    const endMm = input.rough ? feature.zToMm : endOf(feature);
    if (endMm !== regionMm) startMm = input.rough?.[feature.id] ?? stockMm;
    regionMm = endMm;
    const left = outsides(part)[outsides(part).indexOf(feature) - 1];
    const shoulder = left !== undefined && left.diameterMm > feature.diameterMm;
    // where nothing larger stands to the left the tool runs on a little, so that the whole length comes to size
    const runPast =
      left === undefined && hold.gripOn === 'spare'
        ? hold.faceHeadMm + cutOffMm(hold, stockMm) / 2
        : !shoulder && (left !== undefined || holding.headEndMm !== undefined)
          ? 1
          : 0;
    // a round in the corner is not planned: it keeps its metal
    const corner = shoulder ? edgeOf(part, feature.id, 'left') : undefined;
    const cornerMm = corner?.kind === 'round' ? corner.radiusMm : 0;
    const zFromMm = Math.max(feature.zFromMm + cornerMm - runPast, holding.jawsMm + 0.5);
    const level = levelOf(context, feature, zFromMm, shoulder, startMm, recorderFor);
    const rough = roughLevel(context, level, startMm, endMm, recorderFor);
    if (rough) wanted.push(rough);
    startMm = Math.min(startMm, Number((level.targetMm + level.allowanceMm).toFixed(9)));
    levels.push({ level, outsideMm: left?.diameterMm ?? stockMm, square: cornerMm === 0 });
  }
  const rougher = toolFor(tools, 'rougher')!;
  wanted.push(
    ...measureRoughed(
      context,
      levels.map((l) => l.level),
      recorderFor,
    ),
  );
  const byCompound = levels.some(
    ({ level: { last } }) => last.kind === 'planned' && last.fineness.slide === 'compound',
  );
  const last = levels.at(-1)?.level.feature;
  if (last && (finisher.id !== rougher.id || byCompound))
    push(wanted, touchAgainOperation(context, last, startMm, regionMm, finisher, byCompound, recorderFor));
  for (const { level, outsideMm, square } of levels) {
    wanted.push(...finishLevel(context, level, recorderFor));
    if (level.last.kind === 'tooFine') {
      waiting.push({ what: 'feature', featureId: level.feature.id, why: 'tooFine' });
      problems.push({
        ...{ code: `route.tooFine.${level.last.why}`, path: ['drawing', 'features', level.feature.index, 'limits'] },
        ...{ value: Number(toleranceMm(level.feature.limits).toFixed(4)), unit: 'mm', severity: 'warning' },
      });
    } else if (level.shoulder && square)
      push(wanted, shoulderOperation(context, level, Math.min(outsideMm, stockMm), recorderFor));
  }
  const cutNow = new Set(levels.flatMap(({ level }) => (level.last.kind === 'planned' ? [level.feature.id] : [])));
  for (const feature of edgesNow(part, holding, hold.extent === 'ends' ? undefined : worked, cutNow))
    push(wanted, chamferOperation(context, feature, chamferOf(part, feature)!, recorderFor));
  const operations = weighChanges(context, wanted, recorderFor);
  problems.push(...checkSlides(part, holding, stockMm, lathe, centreHoleDepthMm(operations)));
  for (const operation of operations)
    if (operation.exceeds.length > 0)
      problems.push({
        code: `route.exceeds.${operation.exceeds[0]}`,
        path: ['operations', operation.id],
        value: operation.id,
        severity: 'warning',
      });
  const changed = settingChanges(input, operations);
  const operationsMin = operations.reduce((total, o) => total + o.minutes, 0);
  const minutes = operationsMin + changed.minutes;
  recorderFor('total')?.({
    code: 'route.total',
    values: { count: operations.length, operationsMin, changes: changed.count, changesMin: changed.minutes, minutes },
  });
  return { blank, holding, operations, waiting, problems, minutes, changes: changed.count };
}

interface PutIn {
  readonly blank: Blank;
  readonly holding: Holding;
  readonly problems: readonly Problem[];
}

/** The bar's piece in the lathe for the first time. */
function putInFirst(input: PlanInput, recorderFor: RecorderFor, barLengthMm: number | undefined): PutIn {
  const { part, lathe, chuck, stockMm, hold } = input;
  const blank = blankFor(part, stockMm, hold, chuck.jawLengthMm, recorderFor('hold'), input.spigots);
  const spigotMm = input.spigots?.leftMm ?? 0;
  const holding = holdingFor(part, blank, hold, chuck, recorderFor('hold'), spigotMm);
  // a casting is held by one of its own steps
  if (input.rough && spigotMm === 0) return putCastingIn(input, blank, recorderFor);
  const problems = [...checkDiameters(part, stockMm), ...checkBlank(blank, barLengthMm, hold.kerfMm, lathe, chuck)];
  return { blank, holding, problems };
}

/** A casting in the lathe for the first time: on the step that leaves most to be cut. */
function putCastingIn(input: PlanInput, blank: Blank, recorderFor: RecorderFor): PutIn {
  const { part, lathe, chuck, stockMm, hold, rough } = input;
  const method = hold.method;
  const setup = { id: '', tail: 'right' as const, method, gripMm: hold.gripMm };
  const worked: Worked = {
    ...{ doneIds: [], edgeIds: [], tailMm: hold.faceTailMm, headMm: hold.faceHeadMm, rough },
    ...{ tailCentre: false, headCentre: false },
  };
  const { holding, problems } = heldAgain(
    part,
    setup,
    worked,
    stockMm,
    lathe,
    chuck,
    hold.clearanceMm,
    recorderFor('hold'),
  );
  return {
    blank: { ...blank, gripMm: holding?.gripMm ?? blank.gripMm },
    holding: holding ?? holdingFor(part, blank, hold, chuck),
    problems: [
      ...checkDiameters(part, stockMm),
      ...problems.map((p) => under(['hold', 'choice'], p)),
      // how long it is gripped was said of its own step
      ...checkBlank(blank, undefined, 0, lathe, chuck).filter((p) => p.path[1] !== 'gripMm'),
    ],
  };
}

/** A piece that is held again: as long as it is by now, on what it is held by. */
function putInAgain(
  { part, lathe, chuck, stockMm, hold }: PlanInput,
  { setup, worked }: NonNullable<PlanInput['again']>,
  recorderFor: RecorderFor,
): PutIn {
  const { holding, problems } = heldAgain(
    part,
    setup,
    worked,
    stockMm,
    lathe,
    chuck,
    hold.clearanceMm,
    recorderFor('hold'),
  );
  const { tailMm, headMm } = worked;
  const lines = [
    { part: 'finished' as const, mm: part.lengthMm },
    { part: 'faceTail' as const, mm: tailMm },
    { part: 'faceHead' as const, mm: headMm },
  ].filter((line) => line.mm > 0);
  const blank: Blank = {
    lines,
    lengthMm: sum(lines.map((line) => rational(line.mm))).valueOf(),
    diameterMm: holding?.onMm ?? stockMm,
    gripMm: holding?.gripMm ?? 0,
  };
  // where it cannot be held it is shown lying free
  const free: Holding = {
    ...{ method: 'chuck', why: 'chosen', jawsMm: -headMm, rawEndMm: part.lengthMm + tailMm },
    ...{ overhangMm: blank.lengthMm, overhangDiameters: blank.lengthMm / stockMm, wantsRest: false, gripMm: 0 },
    ...{ onMm: stockMm, forceN: chuck.forceN, maxRpm: chuck.maxRpm },
  };
  return { blank, holding: holding ?? free, problems };
}

/** What is left for a later holding because only the ends are made in this one. */
const later = (feature: Outside): Waiting => ({ what: 'feature', featureId: feature.id, why: 'otherSetup' });

/** Lengths whose edge towards the tail is broken now: those cut in this holding, and finished ones whose edge had to wait. */
function edgesNow(
  part: Part,
  holding: Holding,
  worked: Worked | undefined,
  cutNow: ReadonlySet<string>,
): readonly Outside[] {
  const free = (f: Outside, i: number): boolean => {
    const next = outsides(part)[i + 1];
    return f.zToMm > holding.jawsMm + 1 && (next === undefined || next.diameterMm < f.diameterMm);
  };
  const waited = (f: Outside): boolean => worked?.doneIds.includes(f.id) === true && !worked.edgeIds.includes(f.id);
  return outsides(part).filter((f, i) => chamferOf(part, f) && (cutNow.has(f.id) || (waited(f) && free(f, i))));
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
function checkMeans(input: PlanInput, holding: Holding): Problem[] {
  const problems: Problem[] = [];
  if (!toolFor(input.tools, 'rougher')) problems.push({ code: 'route.noTool', path: ['tools'], value: 'rougher' });
  if (!toolFor(input.tools, 'finisher')) problems.push({ code: 'route.noTool', path: ['tools'], value: 'finisher' });
  const wanted = [
    ['chamfer', outsides(input.part).some((f) => chamferOf(input.part, f))],
    ['centre drill', wantsCentreHole(input, holding)],
  ] as const;
  for (const [kind, needed] of wanted)
    if (needed && !toolFor(input.tools, kind))
      problems.push({ code: 'route.noTool', path: ['tools'], value: kind, severity: 'warning' });
  if (holding.wantsRest)
    problems.push({
      code: 'hold.wantsRest',
      path: ['hold'],
      value: Number(holding.overhangDiameters.toFixed(1)),
      limit: 12,
      severity: 'warning',
    });
  for (const feature of outsides(input.part)) {
    const tolerance = toleranceMm(feature.limits);
    const path = ['drawing', 'features', feature.index, 'limits'];
    const fit = input.instruments.filter(
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
function settingChanges(input: PlanInput, operations: readonly Operation[]): { count: number; minutes: number } {
  const standing: Record<string, string> = {};
  let count = 0;
  let minutes = 0;
  for (const { setting } of operations) {
    for (const [controls, at] of [
      [input.lathe.spindle.controls, setting?.speedAt],
      [input.lathe.feeds.controls, setting?.feedAt],
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
