import { flatten, type NoseSteps, noseSteps } from '../contour/index.ts';
import { freeFromMm, onTailCentre, type Waiting, type WaitsBecause } from '../hold/index.ts';
import { toleranceMm } from '../limit/index.ts';
import { contourOf, isCurvedLength, lengthProfile, type Outside, outsides, type Part } from '../part/index.ts';
import { PLACE_MM, type Problem, ROUNDING } from '../quantity/index.ts';
import { edgeFor, type FormTool, type TurningTool, toolsOf } from '../tool/index.ts';
import { isFinished } from '../work/index.ts';
import { cuspsFor } from './cusps.ts';
import type { FitContext, RecorderFor } from './fit-context.ts';
import { handSetting } from './hand-setting.ts';
import { type ContourOperation, MOST_CONTOUR_STEPS } from './operation/contour.ts';
import { bare } from './operation/kind.ts';

/** Fed down by hand so much a turn; setting the tool, each pair of numbers, and blending, minutes. */
const STEP_FEED = 0.05;
const SET_MIN = 2;
const STEP_MIN = 0.3;
const BLEND_MIN = 4;
/** The tool keeps so far from the jaws, mm. */
const CLEAR_MM = 1;

/** A piece in its setup. */
type InSetup = Pick<FitContext, 'piece' | 'setup' | 'held'>;

/** Why a curved length is not cut in this setup; undefined where it is. */
function waitsBecause({ piece, held, setup }: InSetup, f: Outside): WaitsBecause | undefined {
  if (setup.extent === 'ends' || setup.extent === 'rough' || setup.leave?.includes(f.id)) return 'otherSetup';
  if (f.zFromMm < freeFromMm(held) + CLEAR_MM) return 'inJaws';
  // down to the axis on the headstock's side it would be cut off
  if (f.leftMm < ROUNDING) return 'otherEnd';
  const atTail = Math.abs(f.zToMm - piece.part.lengthMm) < PLACE_MM;
  return atTail && f.rightMm < ROUNDING && onTailCentre(held.method) ? 'behindCentre' : undefined;
}

interface Way {
  readonly tool: FormTool | TurningTool;
  readonly noseMm: number;
  readonly found: NoseSteps;
}

/** Parts are never changed in place: a nose along a curve is not worked out again for every way of holding it. */
const known = new WeakMap<Part, Map<string, NoseSteps | undefined>>();

function stepsAlong(part: Part, id: string, noseMm: number, cuspMm: number): NoseSteps | undefined {
  const key = `${id} ${noseMm} ${cuspMm}`;
  const ofPart = known.get(part) ?? new Map<string, NoseSteps | undefined>();
  known.set(part, ofPart);
  if (!ofPart.has(key))
    ofPart.set(key, noseSteps(contourOf(part), lengthProfile(part, id), noseMm, { steps: MOST_CONTOUR_STEPS, cuspMm }));
  return ofPart.get(key);
}

/** A round-nosed tool that comes straight down anywhere; a turning tool only where everything falls towards the tail. */
function wayOf({ piece, means }: FitContext, f: Outside): Way | undefined {
  const { part } = piece;
  const line = lengthProfile(part, f.id);
  const falls = flatten(line, 0.01).every(([, r], i, all) => i === 0 || r <= all[i - 1]![1] + ROUNDING);
  const noses = toolsOf(means.tools, 'form')
    .filter((t) => t.curve === 'round' && t.widthMm <= 2 * t.radiusMm + PLACE_MM)
    .map((tool) => ({ tool, noseMm: tool.radiusMm }));
  const turning = ['finisher', 'rougher'] as const;
  const edges = turning.flatMap((kind) => edgeFor(means.tools, kind) ?? []);
  const bits = falls
    ? edges.filter((t) => !t.flatMm && t.noseRadiusMm > 0).map((tool) => ({ tool, noseMm: tool.noseRadiusMm }))
    : [];
  for (const cuspMm of cuspsFor(f.raUm)) {
    const ways = [...noses, ...bits].flatMap((nose): Way[] => {
      const found = stepsAlong(part, f.id, nose.noseMm, cuspMm);
      return found ? [{ ...nose, found }] : [];
    });
    const [fewest] = ways.toSorted((a, b) => a.found.steps.length - b.found.steps.length);
    if (fewest) return fewest;
  }
  return undefined;
}

/** Steps so that each takes a narrow chip: from every summit down to the tail, then down to the head. */
function downhill(steps: NoseSteps['steps']): NoseSteps['steps'] {
  const ordered: NoseSteps['steps'][number][] = [];
  const high = (i: number): number => steps[i]?.rMm ?? Number.NEGATIVE_INFINITY;
  const taken = new Set<number>();
  for (let i = 0; i < steps.length; i++) {
    if (high(i) < high(i - 1) || high(i) <= high(i + 1)) continue;
    // steps come from the tail: before a summit lies what falls to the tail
    for (const by of [-1, 1])
      for (let k = i; k >= 0 && k < steps.length && (k === i || high(k) <= high(k - by)); k += by)
        if (!taken.has(k)) {
          taken.add(k);
          ordered.push(steps[k]!);
        }
  }
  return [...ordered, ...steps.filter((_, i) => !taken.has(i))];
}

/** Curved lengths that are cut in a setup where the drawer has a tool for them, and what of them waits. */
export function curvesNow(inSetup: InSetup): {
  readonly now: readonly Outside[];
  readonly waiting: readonly Waiting[];
} {
  const { piece } = inSetup;
  const all = outsides(piece.part)
    .filter((f) => isCurvedLength(f) && !isFinished(piece, f.id))
    .map((f) => ({ f, why: waitsBecause(inSetup, f) }));
  return {
    now: all.flatMap(({ f, why }) => (why ? [] : [f])),
    waiting: all.flatMap(({ f, why }) => (why ? [{ id: f.id, why }] : [])),
  };
}

/** What a curved length is roughed to before its steps: a cylinder of its largest diameter. */
export function roundIt(f: Outside): Outside {
  const { diameterMm } = f;
  const halfMm = toleranceMm(f.limits) / 2;
  const limits = { ...f.limits, lowerMm: diameterMm - halfMm, upperMm: diameterMm + halfMm };
  return { ...f, leftMm: diameterMm, rightMm: diameterMm, limits };
}

/** A nose for a curve that the drawer has not got; of a hollow one its radius too. */
const lacks = (f: Outside): Problem => ({
  ...{ code: 'route.lacks.nose', path: ['tools'], value: f.name || f.id, severity: 'warning' },
  ...(f.kind === 'arc' && f.hollow ? { limit: f.radiusMm, unit: 'mm' } : {}),
});

/** Plans the curved lengths of a setup in steps. */
export function planCurves(
  context: FitContext,
  recorderFor: RecorderFor,
): {
  readonly operations: readonly ContourOperation[];
  readonly waiting: readonly Waiting[];
  readonly problems: readonly Problem[];
} {
  const found = curvesNow(context);
  const operations: ContourOperation[] = [];
  const waiting = [...found.waiting];
  const problems: Problem[] = [];
  for (const f of found.now) {
    const way = wayOf(context, f);
    const operation = way && contourOperation(context, f, way, recorderFor);
    if (operation) operations.push(operation);
    else {
      waiting.push({ id: f.id, why: 'noTool' });
      problems.push(lacks(f));
    }
  }
  return { operations, waiting, problems };
}

function contourOperation(
  context: FitContext,
  f: Outside,
  { tool, noseMm, found }: Way,
  recorderFor: RecorderFor,
): ContourOperation | undefined {
  const { part } = context.piece;
  const id = `${f.id}-contour`;
  const record = recorderFor(id);
  const { diameterMm: largestMm } = f;
  const form = tool.kind === 'form';
  const setting = handSetting(context, largestMm, form ? 'grooving' : 'facing', tool, STEP_FEED, record);
  if (!setting) return undefined;
  // a turning tool comes from the tail, where nothing stands in the way of its other side
  const ordered = form ? downhill(found.steps) : found.steps;
  const steps = ordered.map(({ zMm, rMm }) => ({
    // not beyond the axis: what little is left there goes with the file
    diameterMm: Number(Math.max(0, 2 * (rMm - noseMm)).toFixed(3)),
    fromEndMm: Number((part.lengthMm - (zMm - noseMm)).toFixed(3)),
  }));
  const cuspMm = Number(found.cuspMm.toFixed(4));
  const downMm = steps.reduce((sum, s) => sum + (largestMm - s.diameterMm) / 2 + 1, 0);
  const cutMin = downMm / (setting.feedMmPerRev * setting.rpm);
  const minutes = SET_MIN + STEP_MIN * steps.length + cutMin + BLEND_MIN;
  record?.({ code: 'route.contourSteps', values: { noseMm, count: steps.length, cuspMm, cutMin, minutes } });
  return {
    ...{ ...bare, id, kind: 'contour', featureId: f.id, zFromMm: f.zFromMm, zToMm: f.zToMm, toolId: tool.id },
    ...{ setting, minutes, noseMm, steps, cuspMm, largestMm, caution: 'blendWithFile' },
  };
}
