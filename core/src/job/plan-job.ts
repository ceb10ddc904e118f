import { checkBarFor, leastGripMm, type Setup, usualGripMm } from '../hold/index.ts';
import { type Chuck, chuckOf, type Lathe } from '../lathe/index.ts';
import type { Material } from '../material/index.ts';
import { type Means, withToolsOf } from '../means/index.ts';
import { endForEnd, type Part, resolveDrawing } from '../part/index.ts';
import { type Problem, under } from '../quantity/index.ts';
import type { Wishes } from '../route/index.ts';
import { type FrozenRun, stepsOf } from '../run/index.ts';
import {
  type Allowances,
  asSawn,
  type Bar,
  type BarSizes,
  type Blank,
  barSizes,
  beyondGripMm,
  blankFor,
  type CleanUp,
  checkBar,
  checkCasting,
  roughShape,
} from '../stock/index.ts';
import { blankPiece, type Workpiece } from '../work/index.ts';
import type { Recorder } from '../working/index.ts';
import { checkTogether } from './concentric.ts';
import { type Job, materialIn, type Shop } from './schema.ts';
import { type PlannedBefore, type PlannedSetups, planSetups } from './setups.ts';

/** What is known of a job however far it has been filled in. */
interface Known {
  readonly part: Part;
  /** problems of the drawing, then of stock, hold and route; paths from the job's root */
  readonly problems: readonly Problem[];
  readonly bar?: Bar;
  /** largest diameter of the blank, over the corners of a bar that is not round, mm */
  readonly stockMm?: number;
  readonly barSizes?: BarSizes;
  readonly cleanUp?: CleanUp;
  readonly material?: Material;
}
/** A job that lacks something yet: bar, lathe, a drawing without faults, or a bar that the part can be made of. */
export interface OpenJob extends Known {
  readonly kind: 'open';
  readonly setups: readonly [];
  /** as far as it can be told */
  readonly blank?: Blank;
  /** the blank that it would be made of */
  readonly piece?: Workpiece;
}
/** A job with all of its setups planned; what cannot be held or cut has its problems. */
export interface JobWithPlan extends Known {
  readonly kind: 'planned';
  readonly bar: Bar;
  readonly material: Material;
  readonly stockMm: number;
  readonly blank: Blank;
  readonly setups: PlannedSetups;
}
export type PlannedJob = OpenJob | JobWithPlan;

/** Jaws of a lathe that has not been chosen yet are about so long, mm. */
const USUAL_JAWS_MM = 40;

/** How long spare stock is gripped, as the first setup of a job has it; 0 where the part itself is. @param stockMm of the bar */
export function spareGripMm({ hold, stock }: Job, lathe: Lathe | undefined, part: Part, stockMm: number): number {
  const grip = hold.setups[0]?.grip;
  if (grip?.kind !== 'jaws' || grip.on !== 'spare') return 0;
  const jawsMm = lathe ? chuckOf(lathe, grip.chuckId).jawLengthMm : USUAL_JAWS_MM;
  return grip.mm > 0 ? grip.mm : usualGripMm(stockMm, jawsMm, beyondGripMm(part, stockMm, stock.allow));
}

/**
 * Plans a job with what the shop has; as far as the job has been filled in.
 * @param recorderFor gives a recorder to operations by their ids in the plan; those of later setups as `2/id`
 * @param anew which setups are wanted, and what of them was planned before; all anew where it is not given
 */
export function planJob(
  job: Job,
  shop: Shop,
  recorderFor?: (operationId: string) => Recorder | undefined,
  anew?: PlannedBefore,
): PlannedJob {
  const { part, problems: drawn } = resolveDrawing(job.drawing);
  const problems: Problem[] = drawn.map((p) => under(['drawing'], p));
  const bar = shop.bars.find((b) => b.id === job.stock.barId);
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  const [firstSetup] = job.hold.setups;
  const chuck = lathe && chuckOf(lathe, firstSetup?.grip.kind === 'jaws' ? firstSetup.grip.chuckId : undefined);
  const material = bar && materialIn(shop, bar.materialId);
  const sizes = bar && barSizes(bar);
  if (!bar) problems.push({ code: 'stock.noBar', path: ['stock', 'barId'] });
  else if (!material) problems.push({ code: 'material.unknown', path: ['stock', 'barId'], value: bar.materialId });
  if (!lathe) problems.push({ code: 'hold.noLathe', path: ['hold', 'latheId'] });
  if (bar && !sizes)
    problems.push(...checkBar(bar).map((p): Problem => ({ ...p, code: 'stock.badBar', path: ['stock', 'barId'] })));
  const rough = sizes && roughShape(part, sizes);
  const stockMm = rough ? Math.max(0, ...Object.values(rough)) : sizes?.cornersMm;
  const hasFaults = drawn.some((p) => p.severity !== 'warning');
  if (!lathe || !chuck || !firstSetup || !bar || !material || !sizes || stockMm === undefined || hasFaults) {
    const bare = sizes && checkBarFor(part, sizes, chuck?.runoutMm ?? 0, part.lengthMm);
    problems.push(...(bare?.problems ?? []));
    const allow = rough ? castAllowances(job.stock.allow, sizes!.allowanceMm!) : job.stock.allow;
    const lies = layFirst(part, job);
    const spareMm = rough || stockMm === undefined ? 0 : spareGripMm(job, lathe, lies, stockMm);
    const blank = stockMm && part.lengthMm > 0 ? blankFor(lies, stockMm, allow, spareMm) : undefined;
    return {
      ...{ kind: 'open', part, problems, bar, stockMm, material, setups: [], barSizes: sizes, cleanUp: bare?.cleanUp },
      ...(sizes && blank && { blank, piece: blankPiece(lies, sizes, blank, allow) }),
    };
  }
  const lies = layFirst(part, job);
  const { allow, blank, problems: ofBlank } = blankOf(job, lathe, lies, sizes, stockMm, recorderFor?.('hold'));
  problems.push(...ofBlank);
  // how far it stands out is known once it is held; what the bar is too thin or too hollow for is so in any case
  const { problems: ofBar, cleanUp: bare } = checkBarFor(part, sizes, chuck.runoutMm, blank.lengthMm);
  const known = { part, bar, stockMm, material, barSizes: sizes };
  if ([...problems, ...ofBar].some((p) => p.severity !== 'warning'))
    return {
      ...{ ...known, kind: 'open', blank, setups: [], problems: [...problems, ...ofBar], cleanUp: bare },
      piece: blankPiece(lies, sizes, blank, allow),
    };
  const means: Means = {
    lathe,
    tools: withToolsOf(shop.tools, job.route.tools),
    instruments: shop.instruments,
    material,
  };
  const { school, policy, own, centreSpeed, holes, lastCuts, threads, tapers } = job.route;
  const wishes: Wishes = {
    school,
    policy,
    own,
    centreSpeed,
    holes,
    lastCuts,
    threads,
    tapers,
    clearanceMm: allow.clearanceMm,
  };
  const setups = planSetups(
    blankPiece(lies, sizes, blank, allow),
    job.hold.setups,
    means,
    wishes,
    (number) => (recorderFor ? (id) => recorderFor(number === 1 ? id : `${number}/${id}`) : undefined),
    job.hold.truings,
    anew,
  ) as PlannedSetups;
  const overhangMm = setups[0].plan.held?.overhangMm ?? blank.lengthMm;
  const { cleanUp, problems: ofPiece } = checkBarFor(part, sizes, chuck.runoutMm, overhangMm, recorderFor?.('cleanUp'));
  return {
    ...{ ...known, kind: 'planned', setups, blank, cleanUp },
    problems: [
      ...problems,
      ...ofPiece,
      ...checkCasting(sizes, chuck.runoutMm),
      ...noClearance(allow),
      ...(sizes.shape === 'casting' ? castingUneven(firstSetup, chuck, lathe) : []),
      ...setups.flatMap((s) => s.problems),
      ...checkTogether(setups, part.relations),
    ],
  };
}

/** The blank as it is to be cut from the bar, or as it was sawn; a casting's as it came. */
function blankOf(
  job: Job,
  lathe: Lathe,
  lies: Part,
  sizes: BarSizes,
  stockMm: number,
  record: Recorder | undefined,
): { readonly allow: Allowances; readonly blank: Blank; readonly problems: readonly Problem[] } {
  const problems: Problem[] = [];
  const cast = sizes.shape === 'casting';
  const wanted = cast ? castAllowances(job.stock.allow, sizes.allowanceMm!) : job.stock.allow;
  const gripMm = cast ? 0 : spareGripMm(job, lathe, lies, stockMm);
  const sawnMm = (job.stock.sawn ?? 0) > 0 && !cast ? job.stock.sawnMm : undefined;
  const least = leastGripMm(gripMm, stockMm);
  const sawn = sawnMm === undefined ? undefined : asSawn(lies, stockMm, wanted, gripMm, least, sawnMm);
  if (sawn && !sawn.ok)
    problems.push({
      ...{ code: 'stock.sawnShort', path: ['stock', 'sawnMm'], value: sawnMm },
      ...{ limit: Number((sawnMm! + sawn.missingMm).toFixed(2)), unit: 'mm' },
    });
  const { allow, spareGripMm: heldMm } = sawn?.ok ? sawn : { allow: wanted, spareGripMm: gripMm };
  const blank = blankFor(lies, stockMm, allow, heldMm, record);
  const barLengthMm = (job.stock.sawn ?? 0) >= job.quantity ? undefined : sizes.lengthMm;
  // a bar that has the blank's length already wants no saw cut
  if (!cast && barLengthMm !== undefined && blank.lengthMm > barLengthMm)
    problems.push({
      ...{ code: 'stock.longerThanBar', path: ['stock', 'length'], value: blank.lengthMm },
      ...{ limit: barLengthMm, unit: 'mm' },
    });
  return { allow, blank, problems };
}

/** Room between jaws and tool below which they meet, mm. */
const LEAST_CLEARANCE_MM = 0.5;
const noClearance = ({ clearanceMm }: Allowances): Problem[] =>
  clearanceMm >= LEAST_CLEARANCE_MM
    ? []
    : [
        {
          ...{ code: 'stock.noClearance', path: ['stock', 'allow', 'clearanceMm'], value: clearanceMm },
          ...{ limit: LEAST_CLEARANCE_MM, unit: 'mm', severity: 'warning' },
        },
      ];

/** A rough casting in self-centring jaws, where the shop has jaws that are set one by one. */
const castingUneven = ({ grip }: Setup, { kind }: Chuck, { holding }: Lathe): Problem[] =>
  grip.kind === 'jaws' && (kind === 'threeJaw' || kind === 'collet') && holding.chucks.some((c) => c.kind === 'fourJaw')
    ? [{ code: 'hold.castingUneven', path: ['hold', 'setups', 0, 'grip', 'chuckId'], severity: 'warning' }]
    : [];

/** The part as it lies when it is put in first: spare stock is at its headstock end then. */
const layFirst = (part: Part, { hold }: Job): Part => (hold.setups[0]?.tail === 'left' ? endForEnd(part) : part);

/** A casting has its own allowance to come off both ends, and nothing to saw. */
const castAllowances = (allow: Allowances, allowanceMm: number): Allowances => ({
  ...allow,
  ...{ faceTailMm: allowanceMm, faceHeadMm: allowanceMm, kerfMm: 0 },
});

/** Freezes one setup of a planned job for cutting; undefined while it cannot be planned. @param number 1 for the first */
export function freezeJob(job: Job, planned: PlannedJob, number = 1): FrozenRun | undefined {
  const planOf = planned.setups[number - 1];
  if (!planOf || planOf.plan.operations.length === 0) return undefined;
  const { piece, cutOff, setup, chuck, means, wishes } = planOf;
  const { after: _after, planned: _planned, held, ...rest } = planOf.plan;
  if (!held) return undefined;
  const plan = { ...rest, held };
  return {
    ...{ schema: 3, title: job.title, drawing: job.drawing, number, piece, setup, chuck, means, wishes, plan },
    ...(cutOff && { cutOff }),
    ...{ known: [], living: [], steps: stepsOf(plan) },
  };
}

/** The stations of a job in the order of the work. */
export const STATIONS = ['drawing', 'stock', 'hold', 'route', 'cut'] as const;
export type Station = (typeof STATIONS)[number];
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
  if (!station('hold'))
    return { done, now: 'hold', next: planned.kind === 'planned' ? 'fixHold' : 'chooseLathe', problem: error };
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
