import { freeFromMm, type Waiting, type WaitsBecause } from '../../hold/index.ts';
import { toleranceMm } from '../../limit/index.ts';
import { type Inside, insides, type Outside, outsides, type Part } from '../../part/index.ts';
import { PLACE_MM, type Problem, ROUNDING } from '../../quantity/index.ts';
import { isFinished, type Workpiece } from '../../work/index.ts';
import { afterOperations } from '../after.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { barFor, edgesOf } from '../hole/choose-bar.ts';
import { isMouthCone } from '../hole/plan-holes.ts';
import { type Edges, levelOf, turningEdges } from '../level.ts';
import type { Operation } from '../operation/kinds.ts';
import { type ConeCut, coneOf, fallsToTail, isCone } from './cone.ts';
import { type ConeCuts, coneOperations } from './operations.ts';
import { standsOver } from './stands.ts';
import { coneSteps } from './steps.ts';
import { wayFor } from './way.ts';

/** A piece in its setup. */
type InSetup = Pick<FitContext, 'piece' | 'setup' | 'held'>;

/** Cones that are turned in a setup, and what of them waits. */
export interface ConesPlanned {
  /** before grooves, edges and threads; and with the tailstock set over, when nothing parallel is left to turn */
  readonly early: readonly Operation[];
  readonly late: readonly Operation[];
  readonly waiting: readonly Waiting[];
  readonly problems: readonly Problem[];
}

/** Cones of a part that are cut along their slope; one at the mouth of a hole is countersunk. */
const conesOf = (part: Part): readonly (Outside | Inside)[] => [
  ...outsides(part).filter(isCone),
  ...insides(part).filter((s) => isCone(s) && !isMouthCone(s, part.lengthMm)),
];

/** Why a cone is not turned in this setup, as its place has it; undefined where it is. */
function waitsBecause(
  { piece, held, setup }: InSetup,
  on: Outside | Inside,
  reached: ReadonlySet<string>,
): WaitsBecause | undefined {
  if (setup.extent === 'ends' || setup.extent === 'rough' || setup.leave?.includes(on.id)) return 'otherSetup';
  if (!fallsToTail(on)) return 'otherEnd';
  if (on.side === 'inside') return reached.has(on.id) ? undefined : 'behindNarrower';
  if (on.zFromMm < freeFromMm(held) + 1) return 'inJaws';
  const larger = outsides(piece.part).some(
    (f) => f.zFromMm >= on.zToMm - PLACE_MM && f.diameterMm > on.rightMm + ROUNDING,
  );
  return larger ? 'behindLarger' : undefined;
}

/** Cones that are turned now, and what waits. @param reached steps of holes that can be made from the tail's end @param told what waits already */
export function conesNow(
  inSetup: InSetup,
  reached: ReadonlySet<string>,
  told: readonly Waiting[],
): { readonly now: readonly ConeCut[]; readonly waiting: readonly Waiting[]; readonly noHole: WaitsBecause } {
  const waits = new Set<string>(told.map((w) => w.id));
  const steps = new Set<string>(insides(inSetup.piece.part).map((s) => s.id));
  const all = conesOf(inSetup.piece.part)
    .filter((on) => !isFinished(inSetup.piece, on.id) && !waits.has(on.id))
    .map((on) => ({ on, why: waitsBecause(inSetup, on, reached) }));
  return {
    now: all.flatMap(({ on, why }) => (why ? [] : (coneOf(on) ?? []))),
    waiting: all.flatMap(({ on, why }) => (why ? [{ id: on.id, why }] : [])),
    // one in a hole that is not made waits with it
    noHole: told.find((w) => steps.has(w.id))?.why ?? 'shape',
  };
}

/** A bar goes so far beyond the inner end. */
const OVER_MM = 1.2;
/** A bar that enters what is open of a hole and reaches to a cone's inner end; outside the turning tools. */
function edgesFor(context: FitContext, { on, sign }: ConeCut, openMm: number): Edges | undefined {
  if (sign === 1) return turningEdges(context);
  const deepMm = context.piece.part.lengthMm - on.zFromMm + OVER_MM;
  const bar = barFor(context.means.tools, { entersMm: openMm, deepMm, floor: false });
  return bar && edgesOf(bar);
}

const lacksBar = (openMm: number): Problem => ({
  ...{ code: 'route.lacks.bar', path: ['tools'], value: Number(openMm.toFixed(2)), unit: 'mm', severity: 'warning' },
});

/**
 * Plans the cones of a setup, each by a setting of its own that is put back after it: set and proved by indicator, touched off, cut to what
 * is left for proving, proved at stations, then taken to size.
 * @param done everything that is cut before them @param number of the setup
 * @source FIELD 8
 */
export function planCones(
  context: FitContext,
  found: ReturnType<typeof conesNow>,
  done: readonly Operation[],
  number: number,
  recorderFor: RecorderFor,
): ConesPlanned {
  const early: Operation[] = [];
  const late: Operation[] = [];
  const waiting: Waiting[] = [...found.waiting];
  const problems: Problem[] = [];
  if (found.now.length === 0) return { early, late, waiting, problems };
  let piece: Workpiece = afterOperations(context.piece, done, number);
  for (const cone of found.now) {
    const wait = (why: WaitsBecause, problem?: Problem): void => {
      waiting.push({ id: cone.on.id, why });
      if (problem) problems.push(problem);
    };
    const cut = planCone(context, piece, cone, found.noHole, recorderFor);
    if ('why' in cut) {
      wait(cut.why, cut.problem);
      continue;
    }
    (cut.by === 'setOver' ? late : early).push(...cut.operations);
    piece = afterOperations(piece, cut.operations, number);
  }
  return { early, late, waiting, problems };
}

function planCone(
  context: FitContext,
  piece: Workpiece,
  cone: ConeCut,
  noHole: WaitsBecause,
  recorderFor: RecorderFor,
): ConeCuts {
  const { on, sign } = cone;
  const stands = standsOver(piece, cone);
  // a hole has to be there before a bar goes into it
  if (!stands) return { why: noHole };
  const edges = edgesFor(context, cone, stands.narrowestMm);
  if (!edges) return { why: 'noTool', problem: lacksBar(stands.narrowestMm) };
  const way = wayFor(context, cone);
  if (!way) return { why: 'shape', problem: noWay(cone) };
  const straight = { ...on, limits: cone.limits };
  const steps = sign === -1 ? coneSteps(context, cone, edges, stands.tailMm, recorderFor) : [];
  const begun = steps.length > 0 ? standsOver(afterOperations(piece, steps, 0), cone)! : stands;
  const { tailMm: startMm, atTailMm, cleanMm } = begun;
  const level = levelOf(context, edges, straight, on.zFromMm, false, startMm, recorderFor);
  const { last } = level;
  // the compound is the cone's own setting: it is no fine screw besides
  if (last.kind === 'tooFine' || last.fineness.slide === 'compound')
    return { why: 'tooFine', problem: tooFine(cone, last.kind === 'tooFine' ? last.why : 'ring') };
  return coneOperations(
    context,
    { cone, way, edges, level, last, startMm, cleanMm, atTailMm, steps, openMm: stands.narrowestMm },
    recorderFor,
  );
}

/** No setting of this lathe turns it whole. */
const noWay = ({ on, lengthMm }: ConeCut): Problem => ({
  ...{ code: 'route.noTaperWay', path: ['setup', 'lathe'], value: on.name || on.id, severity: 'warning' },
  ...{ limit: Number(lengthMm.toFixed(1)), unit: 'mm' },
});
const tooFine = ({ on }: ConeCut, why: 'ring' | 'gauge' | 'edge'): Problem => ({
  ...{
    code: `route.tooFine.${why}`,
    path: ['drawing', on.side === 'outside' ? 'features' : 'bores', on.index, 'limits'],
  },
  ...{ value: Number(toleranceMm(on.limits).toFixed(4)), unit: 'mm', severity: 'warning' },
});
