import { speedTable, usualPolicy } from '../cutting/index.ts';
import { fitness } from '../gauge/index.ts';
import {
  blankFor,
  checkBlank,
  checkDiameters,
  cutOffMm,
  type Holding,
  holdingFor,
  reachFromTail,
} from '../hold/index.ts';
import { checkLathe, dialScale, feedsOf, usualChuck } from '../lathe/index.ts';
import { toleranceMm } from '../limit/index.ts';
import { type Problem, under } from '../quantity/index.ts';
import { toolFor } from '../tool/index.ts';
import { finishedShaft } from './bending.ts';
import { chamferOperation, openingOperations, shoulderOperation, touchAgainOperation } from './ends.ts';
import type { FitContext } from './fit-cut.ts';
import type { Operation, Plan, PlanInput } from './plan.ts';
import { weighChanges } from './stay.ts';
import { finishLevel, type Level, levelOf, type RecorderFor, roughLevel } from './turning.ts';

const silent: RecorderFor = () => undefined;

/**
 * Plans all that can be turned from the tailstock end in one holding: face, centre when needed, touch off, rough everything,
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
  const second = planWith({ ...input, hold: { ...input.hold, method: 'chuckAndCentre' } }, recorderFor, barLengthMm);
  return { ...second, holding: { ...second.holding, why: 'bends' } };
}

function planWith(input: PlanInput, recorderFor: RecorderFor, barLengthMm: number | undefined): Plan {
  const { part, lathe, stockMm, hold, tools } = input;
  const blank = blankFor(part, stockMm, hold, usualChuck(lathe).jawLengthMm, recorderFor('hold'), input.spigots);
  const holding = holdingFor(part, blank, hold, recorderFor('hold'));
  const problems = [
    // what is merely odd about the lathe is told on its own page
    ...checkLathe(lathe)
      .filter((p) => p.severity !== 'warning')
      .map((p) => under(['hold', 'lathe'], p)),
    ...checkDiameters(part, stockMm),
    ...checkBlank(blank, barLengthMm, hold.kerfMm, lathe),
    ...checkMeans(input, holding),
  ];
  const empty: Plan = { blank, holding, operations: [], waiting: [], problems, minutes: 0, changes: 0 };
  if (problems.some((p) => p.severity !== 'warning') || part.features.length === 0) return empty;
  const context: FitContext = {
    input,
    speeds: speedTable(lathe),
    policy: input.policy ?? usualPolicy,
    feeds: feedsOf(lathe),
    holding,
    shaft: finishedShaft(part, holding, stockMm, input.material.modulusGPa),
  };
  const finisher = toolFor(tools, 'finisher')!;
  const { reachable, waiting } = reachFromTail(part, holding, stockMm, hold.clearanceMm, hold.gripOn);
  const wanted = openingOperations(context, recorderFor);
  const levels: { level: Level; outsideMm: number }[] = [];
  let startMm = stockMm;
  for (const feature of reachable) {
    const left = part.features[feature.index - 1];
    const shoulder = left !== undefined && left.diameterMm > feature.diameterMm;
    // where nothing larger stands to the left the tool runs on a little, so that the whole length comes to size
    const runPast =
      left === undefined && hold.gripOn === 'spare'
        ? hold.faceHeadMm + cutOffMm(hold, stockMm) / 2
        : left !== undefined && !shoulder
          ? 1
          : 0;
    const zFromMm = Math.max(feature.zFromMm - runPast, holding.jawsMm + 0.5);
    const level = levelOf(feature, zFromMm, shoulder, startMm, finisher);
    const rough = roughLevel(context, level, startMm, recorderFor);
    if (rough) wanted.push(rough);
    startMm = Math.min(startMm, Number((level.targetMm + level.allowanceMm).toFixed(9)));
    levels.push({ level, outsideMm: left?.diameterMm ?? stockMm });
  }
  const rougher = toolFor(tools, 'rougher')!;
  if (levels.length > 0 && finisher.id !== rougher.id)
    push(wanted, touchAgainOperation(context, startMm, finisher, recorderFor));
  for (const { level, outsideMm } of levels) {
    wanted.push(...finishLevel(context, level, recorderFor));
    if (level.shoulder) push(wanted, shoulderOperation(context, level, Math.min(outsideMm, stockMm), recorderFor));
  }
  for (const { level } of levels)
    if (level.feature.right) push(wanted, chamferOperation(context, level, level.feature.right, recorderFor));
  const operations = weighChanges(context, wanted, recorderFor);
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

function push(operations: Operation[], operation: Operation | undefined): void {
  if (operation) operations.push(operation);
}

/** Tools and gauges that the part needs and the shop lacks; limits finer than gauge or dial. */
function checkMeans(input: PlanInput, holding: Holding): Problem[] {
  const problems: Problem[] = [];
  if (!toolFor(input.tools, 'rougher')) problems.push({ code: 'route.noTool', path: ['tools'], value: 'rougher' });
  if (!toolFor(input.tools, 'finisher')) problems.push({ code: 'route.noTool', path: ['tools'], value: 'finisher' });
  const wanted = [
    ['chamfer', input.part.features.some((f) => f.right)],
    ['centre drill', holding.method === 'chuckAndCentre'],
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
  const lineMm = dialScale(input.lathe.slides.crossSlide).lineTravelMm.valueOf();
  for (const feature of input.part.features) {
    const tolerance = toleranceMm(feature.limits);
    const path = ['drawing', 'features', feature.index, 'limits'];
    const fit = input.instruments.filter(
      (i) =>
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
    if (tolerance < 2 * lineMm - 1e-9)
      problems.push({
        code: 'lathe.dialTooCoarse',
        path,
        value: Number(tolerance.toFixed(4)),
        limit: 2 * lineMm,
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
