import { checkBarFor } from '../hold/index.ts';
import { usualChuck, withChuckOn } from '../lathe/index.ts';
import { familyOf, type Material } from '../material/index.ts';
import { type Part, resolveDrawing, type SeenEnd, type SeenFaces } from '../part/index.ts';
import { type Problem, under } from '../quantity/index.ts';
import { type Plan, type PlanInput, planRoute } from '../route/index.ts';
import { type FrozenRun, stepsOf } from '../run/index.ts';
import { type Bar, type BarSizes, barSizes, type CleanUp, checkBar } from '../stock/index.ts';
import type { Recorder } from '../working/index.ts';
import { type Job, materialIn, type Shop } from './schema.ts';

export interface PlannedJob {
  readonly part: Part;
  readonly endView: SeenEnd;
  readonly faces: SeenFaces;
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
}

/** Plans a job with what the shop has; as far as the job has been filled in. */
export function planJob(job: Job, shop: Shop, recorderFor?: (operationId: string) => Recorder | undefined): PlannedJob {
  const { part, endView, faces, problems: drawn } = resolveDrawing(job.drawing);
  const problems: Problem[] = drawn.map((p) => under(['drawing'], p));
  const bar = shop.bars.find((b) => b.id === job.stock.barId);
  const owned = shop.lathes.find((l) => l.id === job.hold.latheId);
  const lathe = owned && withChuckOn(owned, job.hold.choice.chuckId);
  const material = bar && materialIn(shop, bar.materialId);
  const sizes = bar && barSizes(bar);
  if (!bar) problems.push({ code: 'stock.noBar', path: ['stock', 'barId'] });
  else if (!material) problems.push({ code: 'material.unknown', path: ['stock', 'barId'], value: bar.materialId });
  if (!lathe) problems.push({ code: 'hold.noLathe', path: ['hold', 'latheId'] });
  if (bar && !sizes)
    problems.push(...checkBar(bar).map((p): Problem => ({ ...p, code: 'stock.badBar', path: ['stock', 'barId'] })));
  const stockMm = sizes?.cornersMm;
  if (!lathe || !material || stockMm === undefined || drawn.some((p) => p.severity !== 'warning')) {
    const bare = sizes && checkBarFor(part, sizes, lathe ? usualChuck(lathe).runoutMm : 0, part.lengthMm);
    problems.push(...(bare?.problems ?? []));
    return { ...{ part, endView, faces, problems, bar, stockMm, material }, barSizes: sizes, cleanUp: bare?.cleanUp };
  }
  // the preferred tool material comes first; what it lacks the other serves
  const tools = [
    ...shop.tools.filter((t) => familyOf(t.material) === job.route.tools),
    ...shop.tools.filter((t) => familyOf(t.material) !== job.route.tools),
  ];
  const spigots = { leftMm: faces.left.spigot?.lengthMm ?? 0, rightMm: faces.right.spigot?.lengthMm ?? 0 };
  const input: PlanInput = {
    part,
    material,
    lathe,
    tools,
    instruments: shop.instruments,
    stockMm,
    ...(spigots.leftMm + spigots.rightMm > 0 ? { spigots } : {}),
    hold: job.hold.choice,
    school: job.route.school,
    policy: job.route.policy,
    own: job.route.own,
  };
  const plan = planRoute(input, recorderFor, (job.stock.sawn ?? 0) >= job.quantity ? undefined : sizes?.lengthMm);
  const { cleanUp, problems: ofBar } = checkBarFor(
    part,
    sizes!,
    usualChuck(lathe).runoutMm,
    plan.holding.overhangMm,
    recorderFor?.('cleanUp'),
  );
  return {
    ...{ part, endView, faces, input, plan, bar, stockMm, material, cleanUp, barSizes: sizes },
    problems: [
      ...problems,
      ...ofBar,
      // said of the bar's own section already
      ...plan.problems.filter((p) => p.code !== 'stock.diameterAboveBar'),
    ],
  };
}

/** Freezes a planned job for cutting; undefined while it cannot be planned. */
export function freezeJob(job: Job, planned: PlannedJob): FrozenRun | undefined {
  const { plan, input, part } = planned;
  if (!plan || !input || plan.operations.length === 0) return undefined;
  return {
    schema: 1,
    title: job.title,
    drawing: job.drawing,
    part,
    material: input.material,
    lathe: input.lathe,
    tools: input.tools,
    instruments: input.instruments,
    stockMm: input.stockMm,
    hold: input.hold,
    school: input.school,
    policy: input.policy,
    own: input.own,
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
}

/** Where a job stands on its way through the stations, and the code of the next thing to do. */
export function progressOf(
  job: Job,
  planned: PlannedJob,
  runs: readonly {
    readonly piece: number;
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
  const open = runs.find((r) => r.open);
  if (open)
    return { done, now: 'cut', next: open.stepIndex >= open.stepCount ? 'finish' : 'goOn', pieceNow: open.piece };
  const finished = runs.filter((r) => r.outcome === 'finished').length;
  if (finished >= job.quantity) return { done: [...done, 'cut'], now: 'cut', next: 'allCut' };
  return { done, now: 'cut', next: 'startPiece', pieceNow: finished + 1 };
}

/** The station at which a problem is put right. */
export function stationOf(problem: Problem): Station {
  const [root] = problem.path;
  if (problem.code.startsWith('stock.')) return 'stock';
  if (problem.code.startsWith('hold.') || root === 'hold') return 'hold';
  if (root === 'drawing') return 'drawing';
  return root === 'stock' ? 'stock' : 'route';
}
