import { type ArcSteps, arcSteps } from '../contour/index.ts';
import { freeFromMm, type Waiting } from '../hold/index.ts';
import { edgeOf, type Inside, insides, type Outside, outsides, type RoundEdge } from '../part/index.ts';
import { PLACE_MM, ROUNDING } from '../quantity/index.ts';
import { type BoringBar, type EdgeTool, edgeFor, type FormTool, toolsOf } from '../tool/index.ts';
import { isFinished } from '../work/index.ts';
import { cuspsFor } from './cusps.ts';
import type { FitContext, RecorderFor } from './fit-context.ts';
import { handSetting } from './hand-setting.ts';
import { barFor } from './hole/choose-bar.ts';
import { bare } from './operation/kind.ts';
import type { Operation } from './operation/kinds.ts';
import type { RoundOperation } from './operation/round.ts';

/** A form may differ from the drawn radius by so much, as a share of it. */
const RADIUS_SHARE = 0.03;
const FORM_FEED = 0.03;
const STEP_FEED = 0.1;
/** Setting a form tool; each step of a table, and blending it, minutes. */
const FORM_MIN = 1.5;
const STEP_MIN = 0.3;
const BLEND_MIN = 1;

/** A round to be made, with the length or the step of a hole that it is on. */
interface Wanted {
  readonly edge: RoundEdge;
  readonly on: Outside | Inside;
}

const isRound = (edge: ReturnType<typeof edgeOf>): edge is RoundEdge => edge !== undefined && 'inner' in edge;

/**
 * Rounds that are made now: on edges towards the tail and in corners towards the headstock, of lengths that are finished by then and
 * free; and what waits.
 */
export function roundsNow(
  { piece, setup, held }: Pick<FitContext, 'piece' | 'setup' | 'held'>,
  cutNow: ReadonlySet<string>,
  waiting: readonly Waiting[],
): { readonly now: readonly Wanted[]; readonly waiting: readonly Waiting[] } {
  const now: Wanted[] = [];
  const later: Waiting[] = [];
  const all = setup.extent !== 'ends' && setup.extent !== 'rough';
  for (const on of outsides(piece.part))
    for (const towards of ['left', 'right'] as const) {
      const edge = edgeOf(piece.part, on.id, towards);
      if (!isRound(edge) || isFinished(piece, edge.id)) continue;
      const length = waiting.find((w) => w.id === on.id);
      const stands = cutNow.has(on.id) || isFinished(piece, on.id) || length?.why === 'asBar';
      const reached = edge.inner ? towards === 'left' : towards === 'right';
      const zMm = towards === 'left' ? on.zFromMm : on.zToMm;
      if (!reached) later.push({ id: edge.id, why: 'otherEnd' });
      else if (!stands || !all || setup.leave?.includes(edge.id))
        later.push({ id: edge.id, why: length?.why ?? 'otherSetup' });
      else if (zMm < freeFromMm(held) + 1) later.push({ id: edge.id, why: 'inJaws' });
      else now.push({ edge, on });
    }
  for (const on of insides(piece.part)) {
    const edge = edgeOf(piece.part, on.id, 'left') ?? edgeOf(piece.part, on.id, 'right');
    if (!isRound(edge) || isFinished(piece, edge.id)) continue;
    const step = waiting.find((w) => w.id === on.id);
    // the corner at the bottom of a step is reached from its mouth
    if (edge.towards !== 'left') later.push({ id: edge.id, why: 'otherEnd' });
    else if (!(cutNow.has(on.id) || isFinished(piece, on.id)) || !all || setup.leave?.includes(edge.id))
      later.push({ id: edge.id, why: step?.why ?? 'otherSetup' });
    else now.push({ edge, on });
  }
  return { now, waiting: later };
}

/** The way a round is made: by a tool of its form, by the nose itself in a corner, or by a table of steps. */
type Way =
  | { readonly by: 'form'; readonly tool: FormTool }
  | { readonly by: 'nose'; readonly tool: EdgeTool }
  | { readonly by: 'steps'; readonly tool: EdgeTool; readonly table: ArcSteps };

/** Whether a round-nosed form comes down beside the shoulder: what is wider than its nose begins above that. */
function clears(part: Parameters<typeof edgeOf>[0], on: Outside, { widthMm, radiusMm }: FormTool): boolean {
  const left = outsides(part).findLast((o) => o.zToMm <= on.zFromMm + PLACE_MM && o.id !== on.id);
  const highMm = left ? (left.rightMm - on.leftMm) / 2 : 0;
  return widthMm / 2 <= radiusMm + PLACE_MM || highMm <= 2 * radiusMm;
}

/** Room for a bar's back, mm. */
const ROOM_MM = 0.5;

/** Bars that go into a hole as deep as its bottom: the one that bored it first, then the stiffest. */
function barsInto(
  { piece, means }: FitContext,
  on: Inside,
  radiusMm: number,
  done: readonly Operation[],
): readonly BoringBar[] {
  // its back keeps clear of the opposite wall while its nose stands beside the corner
  const acrossMm = on.diameterMm - radiusMm - ROOM_MM;
  const wish = { entersMm: on.diameterMm, deepMm: piece.part.lengthMm - on.zFromMm, floor: true, acrossMm };
  // the one that bored it is set already
  const isSet = (b: BoringBar): number => (done.some((o) => o.featureId === on.id && o.toolId === b.id) ? 0 : 1);
  return toolsOf(means.tools, 'boring bar')
    .flatMap((b) => barFor([b], wish) ?? [])
    .toSorted((a, b) => isSet(a.bar) - isSet(b.bar) || a.givesMmPerN - b.givesMmPerN)
    .map(({ bar }) => bar);
}

/** In a hole: the nose of a bar that has the corner's radius, else one that is smaller, in steps. */
function wayInside(
  context: FitContext,
  { edge, on }: { readonly edge: RoundEdge; readonly on: Inside },
  done: readonly Operation[],
): Way | undefined {
  const { radiusMm: R } = edge;
  const bars = barsInto(context, on, R, done);
  const exact = bars.find((b) => Math.abs(b.noseRadiusMm - R) <= RADIUS_SHARE * R + ROUNDING);
  if (exact) return { by: 'nose', tool: exact };
  const arc = {
    ...{ centreZMm: on.zFromMm + R, centreRMm: on.leftMm / 2 - R, radiusMm: R },
    ...{ fromRad: Math.PI / 2, toRad: Math.PI, hollow: true },
  };
  // a small nose leaves higher cusps in as many steps: the largest goes first
  const smaller = bars.filter((b) => b.noseRadiusMm > 0 && b.noseRadiusMm < R);
  for (const tool of smaller.toSorted((a, b) => b.noseRadiusMm - a.noseRadiusMm)) {
    const table = tableOf(arc, tool.noseRadiusMm, on.raUm);
    if (table) return { by: 'steps', tool, table };
  }
  return undefined;
}

/** The steps of an arc with the lowest cusps that a hand still winds; undefined where it takes too many even so. */
function tableOf(arc: Parameters<typeof arcSteps>[0], noseMm: number, raUm: number): ArcSteps | undefined {
  for (const cuspMm of cuspsFor(raUm)) {
    const table = arcSteps(arc, noseMm, cuspMm);
    if (table) return table;
  }
  return undefined;
}

function wayOf(context: FitContext, { edge, on }: Wanted, done: readonly Operation[]): Way | undefined {
  if (on.side === 'inside') return wayInside(context, { edge, on }, done);
  const { piece, means } = context;
  const { radiusMm: R, inner } = edge;
  const is = (mm: number): boolean => Math.abs(mm - R) <= RADIUS_SHARE * R + ROUNDING;
  const turning = [edgeFor(means.tools, 'finisher'), edgeFor(means.tools, 'rougher')].filter((t) => t !== undefined);
  const nose = inner ? turning.find((t) => is(t.noseRadiusMm) && !t.flatMm) : undefined;
  if (nose) return { by: 'nose', tool: nose };
  const form = toolsOf(means.tools, 'form').find(
    (t) => t.curve === (inner ? 'round' : 'hollow') && is(t.radiusMm) && (!inner || clears(piece.part, on, t)),
  );
  if (form) return { by: 'form', tool: form };
  const tool = turning.find((t) => !t.flatMm && t.noseRadiusMm > 0 && (!inner || t.noseRadiusMm < R));
  if (!tool) return undefined;
  const [zMm, rMm] = inner ? [on.zFromMm + R, on.leftMm / 2 + R] : [on.zToMm - R, on.rightMm / 2 - R];
  const [fromRad, toRad] = inner ? [-Math.PI / 2, -Math.PI] : [Math.PI / 2, 0];
  const arc = { centreZMm: zMm, centreRMm: rMm, radiusMm: R, fromRad, toRad, hollow: inner };
  const table = tableOf(arc, tool.noseRadiusMm, on.raUm);
  return table && { by: 'steps', tool, table };
}

/** Plans the rounds of a setup. @param cutNow lengths that are finished in it @param waiting those that are not @param done what is planned before them */
export function planRounds(
  context: FitContext,
  cutNow: ReadonlySet<string>,
  waiting: readonly Waiting[],
  done: readonly Operation[],
  recorderFor: RecorderFor,
): { readonly operations: readonly Operation[]; readonly waiting: readonly Waiting[] } {
  const found = roundsNow(context, cutNow, waiting);
  const operations: Operation[] = [];
  const later = [...found.waiting];
  for (const wanted of found.now) {
    const way = wayOf(context, wanted, done);
    const operation = way && roundOperation(context, wanted, way, recorderFor);
    if (operation) operations.push(operation);
    else later.push({ id: wanted.edge.id, why: 'noTool' });
  }
  return { operations, waiting: later };
}

/** In a hole from the floor outwards, so that a bar takes a little at every place; outside as they lie. */
const inOrder = (steps: ArcSteps['steps'], inside: boolean): ArcSteps['steps'] => (inside ? steps.toReversed() : steps);

function roundOperation(
  context: FitContext,
  { edge, on }: Wanted,
  way: Way,
  recorderFor: RecorderFor,
): RoundOperation | undefined {
  const { radiusMm: R, inner } = edge;
  const id = `${on.id}-${inner ? 'fillet' : 'round'}`;
  const record = recorderFor(id);
  const inside = on.side === 'inside';
  const aroundMm = inner ? on.leftMm + (inside ? 0 : 2 * R) : on.rightMm;
  const form = way.by === 'form';
  const feed = form ? FORM_FEED : STEP_FEED;
  const setting = handSetting(context, aroundMm, form ? 'form' : 'facing', way.tool, feed, record);
  if (!setting) return undefined;
  const nose = 'noseRadiusMm' in way.tool ? way.tool.noseRadiusMm : 0;
  const end = context.piece.part.lengthMm;
  const steps =
    way.by === 'steps'
      ? inOrder(way.table.steps, inside).map(({ zMm, rMm }) => ({
          diameterMm: Number((2 * (inside ? rMm + nose : rMm - nose)).toFixed(3)),
          fromEndMm: Number((end - (zMm - nose)).toFixed(3)),
        }))
      : [];
  const cuspMm = way.by === 'steps' ? Number(way.table.cuspMm.toFixed(4)) : 0;
  const minutes = FORM_MIN + STEP_MIN * steps.length + (steps.length > 0 ? BLEND_MIN : 0);
  record?.({ code: 'route.roundSteps', values: { radiusMm: R, noseMm: nose, count: steps.length, cuspMm } });
  const zMm = inner ? on.zFromMm : on.zToMm;
  return {
    ...{ ...bare, id, kind: 'roundEdge', featureId: on.id, toolId: way.tool.id, setting, minutes },
    ...{ zFromMm: inner ? zMm : zMm - R, zToMm: inner ? zMm + R : zMm, radiusMm: R, inner, by: way.by, steps, cuspMm },
    fromDiameterMm: inner ? on.leftMm : on.rightMm,
    caution: form ? 'formSqueals' : inside ? 'barClear' : steps.length > 0 ? 'blendWithFile' : 'feedOutwards',
  };
}

/** So near to a shoulder's corner a place lies in its round, mm. */
export const cornerMm = (part: Parameters<typeof edgeOf>[0], { id }: Outside): number => {
  const edge = edgeOf(part, id, 'left');
  return isRound(edge) && edge.radiusMm > PLACE_MM ? edge.radiusMm : 0;
};
