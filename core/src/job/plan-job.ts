import { checkBarFor, choiceAsSawn } from '../hold/index.ts';
import { chuckOf } from '../lathe/index.ts';
import { familyOf, type Material } from '../material/index.ts';
import { type Part, resolveDrawing, spigotAt } from '../part/index.ts';
import { type Problem, under } from '../quantity/index.ts';
import { type Plan, type PlanInput, planRoute } from '../route/index.ts';
import { type FrozenRun, stepsOf } from '../run/index.ts';
import { type Bar, type BarSizes, barSizes, type CleanUp, checkBar, checkCasting, roughShape } from '../stock/index.ts';
import type { Recorder } from '../working/index.ts';
import { checkTogether } from './concentric.ts';
import { type Job, materialIn, type Shop } from './schema.ts';
import { type PlannedSetup, planSetups } from './setups.ts';

export interface PlannedJob {
  readonly part: Part;
  /** problems of the drawing, then of stock, hold and route; paths from the job's root */
  readonly problems: readonly Problem[];
  readonly input?: PlanInput;
  readonly plan?: Plan;
  readonly bar?: Bar;
  /** over the corners */
  readonly stockMm?: number;
  readonly barSizes?: BarSizes;
  readonly cleanUp?: CleanUp;
  readonly material?: Material;
  /** every holding with what is cut in it; none while the job cannot be planned */
  readonly setups: readonly PlannedSetup[];
}

/**
 * Plans a job with what the shop has; as far as the job has been filled in.
 * @param recorderFor gives a recorder to operations by their ids in the plan; those of later holdings as `2/id`
 */
export function planJob(job: Job, shop: Shop, recorderFor?: (operationId: string) => Recorder | undefined): PlannedJob {
  const { part, problems: drawn } = resolveDrawing(job.drawing);
  const problems: Problem[] = drawn.map((p) => under(['drawing'], p));
  const bar = shop.bars.find((b) => b.id === job.stock.barId);
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  const chuck = lathe && chuckOf(lathe, job.hold.choice.chuckId);
  const material = bar && materialIn(shop, bar.materialId);
  const sizes = bar && barSizes(bar);
  if (!bar) problems.push({ code: 'stock.noBar', path: ['stock', 'barId'] });
  else if (!material) problems.push({ code: 'material.unknown', path: ['stock', 'barId'], value: bar.materialId });
  if (!lathe) problems.push({ code: 'hold.noLathe', path: ['hold', 'latheId'] });
  if (bar && !sizes)
    problems.push(...checkBar(bar).map((p): Problem => ({ ...p, code: 'stock.badBar', path: ['stock', 'barId'] })));
  const sawnMm = (job.stock.sawn ?? 0) > 0 ? job.stock.sawnMm : undefined;
  const rough = sizes && roughShape(part, sizes);
  const stockMm = rough ? Math.max(0, ...Object.values(rough)) : sizes?.cornersMm;
  if (!lathe || !chuck || !material || stockMm === undefined || drawn.some((p) => p.severity !== 'warning')) {
    const bare = sizes && checkBarFor(part, sizes, chuck?.runoutMm ?? 0, part.lengthMm);
    problems.push(...(bare?.problems ?? []));
    return {
      ...{ part, problems, bar, stockMm, material, setups: [] },
      barSizes: sizes,
      cleanUp: bare?.cleanUp,
    };
  }
  // the preferred tool material comes first; what it lacks the other serves
  const tools = [
    ...shop.tools.filter((t) => familyOf(t.material) === job.route.tools),
    ...shop.tools.filter((t) => familyOf(t.material) !== job.route.tools),
  ];
  const spigots = { leftMm: spigotAt(part, 'left')?.lengthMm ?? 0, rightMm: spigotAt(part, 'right')?.lengthMm ?? 0 };
  const sawn =
    sawnMm !== undefined && !rough
      ? choiceAsSawn(part, stockMm, job.hold.choice, chuck.jawLengthMm, sawnMm, spigots)
      : undefined;
  if (sawn && !sawn.ok)
    problems.push({
      code: 'stock.sawnShort',
      path: ['stock', 'sawnMm'],
      value: sawnMm,
      limit: Number((sawnMm! + sawn.missingMm).toFixed(2)),
      unit: 'mm',
    });
  const input: PlanInput = {
    part,
    material,
    lathe,
    chuck,
    tools,
    instruments: shop.instruments,
    stockMm,
    ...(spigots.leftMm + spigots.rightMm > 0 ? { spigots } : {}),
    ...(rough ? { rough } : {}),
    hold: rough ? castHold(job.hold.choice, sizes!.allowanceMm!) : sawn?.ok ? sawn.choice : job.hold.choice,
    school: job.route.school,
    policy: job.route.policy,
    own: job.route.own,
  };
  const plan = planRoute(input, recorderFor, (job.stock.sawn ?? 0) >= job.quantity ? undefined : sizes?.lengthMm);
  const { cleanUp, problems: ofBar } = checkBarFor(
    part,
    sizes!,
    chuck.runoutMm,
    plan.holding.overhangMm,
    recorderFor?.('cleanUp'),
  );
  const first: PlannedSetup = {
    ...{ number: 1, tail: 'right', part, input, plan, problems: [] },
    before: { features: [], edges: [], faces: [], centres: [] },
  };
  const further = plan.operations.length > 0 ? (job.hold.further ?? []) : [];
  const setups = planSetups(first, further, lathe, (number) =>
    recorderFor ? (operationId) => recorderFor(`${number}/${operationId}`) : undefined,
  );
  return {
    setups,
    ...{ part, input, plan, bar, stockMm, material, cleanUp, barSizes: sizes },
    problems: [
      ...problems,
      ...ofBar,
      ...checkCasting(sizes!, chuck.runoutMm),
      // said of the bar's own section already
      ...plan.problems.filter((p) => p.code !== 'stock.diameterAboveBar'),
      ...setups.flatMap((s) => s.problems),
      ...checkTogether(setups, part.relations),
    ],
  };
}

/** A casting is held by itself, with its own allowance to come off both ends and nothing to saw. */
const castHold = (choice: Job['hold']['choice'], allowanceMm: number): Job['hold']['choice'] => ({
  ...choice,
  ...{ gripOn: 'part', faceTailMm: allowanceMm, faceHeadMm: allowanceMm, kerfMm: 0 },
});

/** Freezes one holding of a planned job for cutting; undefined while it cannot be planned. @param number 1 for the first */
export function freezeJob(job: Job, planned: PlannedJob, number = 1): FrozenRun | undefined {
  const setup = planned.setups[number - 1];
  if (!setup || setup.plan.operations.length === 0) return undefined;
  const { plan, input, part } = setup;
  return {
    schema: 3,
    title: job.title,
    drawing: job.drawing,
    part,
    material: input.material,
    lathe: input.lathe,
    chuck: input.chuck,
    tools: input.tools,
    instruments: input.instruments,
    stockMm: input.stockMm,
    ...(input.rough ? { rough: input.rough } : {}),
    spigots: input.spigots ?? { leftMm: 0, rightMm: 0 },
    known: [],
    living: [],
    hold: input.hold,
    school: input.school,
    policy: input.policy,
    own: input.own,
    ...(input.again ? { again: input.again } : {}),
    plan,
    steps: stepsOf(plan),
  };
}

export type Station = 'drawing' | 'stock' | 'hold' | 'route' | 'cut';
export interface Progress {
  readonly done: readonly Station[];
  readonly now: Station;
  readonly next: string;
  readonly problem?: Problem;
  readonly pieceNow?: number;
  /** of the piece, where there are several holdings */
  readonly setupNow?: number;
}

/** Where a job stands on its way through the stations, and the code of the next thing to do. */
export function progressOf(
  job: Job,
  planned: PlannedJob,
  runs: readonly {
    readonly piece: number;
    readonly setup: number;
    readonly open: boolean;
    readonly outcome: string | null;
    readonly stepIndex: number;
    readonly stepCount: number;
  }[],
): Progress {
  const error = planned.problems.find((p) => p.severity !== 'warning');
  const done: Station[] = [];
  const station = (name: Station): boolean => {
    if (error && stationOf(error) === name) return false;
    done.push(name);
    return true;
  };
  if (!station('drawing'))
    return { done, now: 'drawing', next: job.drawing.features.length === 0 ? 'draw' : 'fixDrawing', problem: error };
  if (!station('stock')) return { done, now: 'stock', next: planned.bar ? 'fixStock' : 'chooseBar', problem: error };
  if (!station('hold')) return { done, now: 'hold', next: planned.input ? 'fixHold' : 'chooseLathe', problem: error };
  if (!station('route')) return { done, now: 'route', next: 'fixRoute', problem: error };
  const several = planned.setups.length > 1;
  const open = runs.find((r) => r.open);
  if (open)
    return {
      ...{ done, now: 'cut', next: open.stepIndex >= open.stepCount ? 'finish' : 'goOn', pieceNow: open.piece },
      setupNow: several ? open.setup : undefined,
    };
  // each holding on all pieces before the next: what is set is set once
  for (const { number } of planned.setups) {
    const finished = new Set(runs.filter((r) => r.outcome === 'finished' && r.setup === number).map((r) => r.piece));
    let pieceNow = 1;
    while (finished.has(pieceNow)) pieceNow++;
    if (pieceNow <= job.quantity)
      return {
        ...{ done, now: 'cut', next: 'startPiece', pieceNow },
        setupNow: several ? number : undefined,
      };
  }
  return { done: [...done, 'cut'], now: 'cut', next: 'allCut' };
}

/** The station at which a problem is put right. */
export function stationOf(problem: Problem): Station {
  const [root] = problem.path;
  if (problem.code.startsWith('stock.')) return 'stock';
  if (problem.code.startsWith('hold.') || root === 'hold') return 'hold';
  if (root === 'drawing') return 'drawing';
  return root === 'stock' ? 'stock' : 'route';
}
