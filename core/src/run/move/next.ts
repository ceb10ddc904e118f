import { shallowestCutMm } from '../../cutting/index.ts';
import { limitsBySide, signOf } from '../../gauge/index.ts';
import { FINE_ANGLE_SHARE, type Fineness, finenessOf, guardMm, TOUCH_MM } from '../../lathe/index.ts';
import type { SpringShare } from '../../mechanics/index.ts';
import { ROUNDING } from '../../quantity/index.ts';
import { threadAimMm } from '../../thread/index.ts';
import { lastPassMm } from '../../threading/index.ts';
import { hasEdge } from '../../tool/index.ts';
import type { Recorder } from '../../working/index.ts';
import type { Told } from '../event.ts';
import type { FrozenRun } from '../frozen.ts';
import { sideOf } from '../side-of.ts';
import type { Metal, Rings, RunState } from '../state.ts';
import { actOf, isPass, type Step } from '../step.ts';
import { stockOf } from '../stock-of.ts';
import { isThreadStep, POINT_MM, type ThreadStep, threadFineness, threadOf } from '../thread.ts';
import { type Choice, type Comes, choose, chooseHalf, chooseRough, type Situation } from './choose.ts';
import { type Hands, handsTo, linesFor, placeOf } from './hands.ts';
import { believedOf, reckonedShare, springAt } from './spring.ts';

/** A number to set, with everything that it stands for. Sizes are diameters, mm. */
export interface Move {
  readonly kind: 'move';
  readonly hands: Hands;
  readonly fineness: Fineness;
  readonly told: Told;
  /** size aimed at in the end, and metal before this cut */
  readonly aimMm: number;
  readonly beforeMm: number;
  readonly spring: SpringShare;
  /** kept from the limit that cannot be put back, on the diameter */
  readonly guardMm: number;
  /** between what it will come out 19 times in 20: spring at its worst, with reading and setting at two standard uncertainties */
  readonly likely: { readonly smallestMm: number; readonly largestMm: number };
}
/** No number is safe, and why. */
export interface NoMove {
  readonly kind: 'none';
  readonly why: 'ring' | 'edge';
  readonly aimMm: number;
  readonly leftMm: number;
}

/** Metal on a length: measured or expected, in this setup or one before; the stock before anything was cut there. */
export function metalOn(run: FrozenRun, state: RunState, featureId: string | undefined): Metal {
  const known = state.metal[featureId ?? ''];
  if (known) return known;
  // nothing of a thread is cut yet: its surface stands for what a point touching it would make
  const thread = threadOf(run, featureId);
  if (thread) {
    const blank = Object.values(state.metal).length > 0 ? blankOf(run, state, thread) : undefined;
    return blank ?? { diameterMm: thread.blankMm + thread.pitchOverPointMm, doubtMm: BLANK_MM, by: 'stock' };
  }
  // a setup before may have measured what it left
  const before = run.piece.measured?.[featureId ?? ''];
  if (before) return { diameterMm: before.sizeMm, doubtMm: before.uncertaintyMm, by: 'measured' };
  return { diameterMm: stockOf(run, featureId), doubtMm: 0.5, by: 'stock' };
}

/** How surely a blank that nobody measured is what it was drawn as, mm on the diameter. */
const BLANK_MM = 0.1;
/** What the surface stands for that a thread is begun on, where it was measured. */
function blankOf(run: FrozenRun, state: RunState, { threadId, pitchOverPointMm }: ThreadStep): Metal | undefined {
  const on = run.steps.find((s) => s.kind === 'touchOff' && s.forThread && s.id === `${threadId}-touchOff`)?.featureId;
  const metal = on === undefined ? undefined : state.metal[on];
  return metal && { ...metal, diameterMm: metal.diameterMm + pitchOverPointMm };
}

/** The rings as they stand now. */
export function ringsOf(state: RunState): Rings {
  const crossSlide = state.crossLines ?? state.reference?.rings.crossSlide ?? 0;
  if (state.compoundLines === undefined) return { crossSlide };
  const share = state.compoundShare === undefined ? {} : { acrossShare: state.compoundShare };
  return { crossSlide, compound: state.compoundLines, ...share };
}

/** Everything the next number of a pass follows from; undefined before the tool is touched off. */
export function situationOf(
  run: FrozenRun,
  state: RunState,
  step: Step,
): { s: Situation; fineness: Fineness; same: number | undefined } | undefined {
  const { reference } = state;
  if (!reference || step.targetMm === undefined || !isPass(step)) return undefined;
  const rough = actOf(step) === 'rough';
  const means = step.fineness === 'compound' && state.compoundLines === undefined ? 'halfLinesWithCare' : step.fineness;
  const planned = isThreadStep(step) ? step : undefined;
  // picked up again it goes straight in
  const thread = planned && state.pickedUp.includes(planned.threadId) ? { ...planned, compoundDeg: 0 } : planned;
  const fineness = thread
    ? threadFineness(run, thread, rough)
    : finenessOf(run.means.lathe, rough ? 'lines' : (means ?? 'lines'));
  const metal = metalOn(run, state, step.featureId);
  const belief = believedOf(run, state, step.toolId);
  const reckoned = reckonedShare(step);
  const tool = run.means.tools.find((t) => t.id === step.toolId);
  const onThis = reference.featureId === step.featureId && reference.by === 'measured';
  const rings = ringsOf(state);
  const side = sideOf(run, step.featureId);
  const sign = signOf(side);
  const bySide = limitsBySide(step.limits ?? { lowerMm: step.targetMm, upperMm: step.targetMm }, side);
  const leftMm = Math.max(0, (sign * (metal.diameterMm - step.targetMm)) / 2);
  const angleMm = fineness.slide === 'compound' && !thread ? FINE_ANGLE_SHARE * leftMm : 0;
  // the tool's place is that of its point, but for what was measured of the thread itself
  const overPointMm = thread && !onThis ? thread.pitchOverPointMm : 0;
  const wantedMm =
    thread && !rough
      ? threadAimMm({ side, pitchDiameter: step.limits ?? { lowerMm: step.targetMm, upperMm: step.targetMm } }) / 2
      : (bySide.goneMm + bySide.metalMm) / 4;
  return {
    fineness,
    same: onThis && !reference.trial ? placeOf(run.means.lathe, rings) : undefined,
    s: {
      sign,
      known: {
        xMm: placeOf(run.means.lathe, reference.rings),
        rMm: (reference.diameterMm + overPointMm) / 2,
        depthMm: reference.depthMm,
        touchMm: reference.by === 'touchOff' ? TOUCH_MM + (thread ? POINT_MM : 0) + (reference.placeDoubtMm ?? 0) : 0,
      },
      knownSpring: springAt(belief, reference.springShare ?? reckoned),
      spring: springAt(belief, reckoned),
      beforeMm: metal.diameterMm / 2,
      beforeDoubtMm: metal.doubtMm / 2,
      ...(reference.trial && onThis ? { zoneMm: reference.diameterMm / 2 } : {}),
      goneMm: bySide.goneMm / 2,
      metalMm: bySide.metalMm / 2,
      wantedMm,
      guardMm: rough ? 0 : guardMm(reference.uncertaintyMm, fineness.setMm, angleMm),
      stepMm: fineness.stepMm,
      markMm: placeOf(run.means.lathe, { ...rings, [fineness.slide]: 0 }),
      shallowestMm:
        tool && hasEdge(tool)
          ? shallowestCutMm(tool.material, tool.noseRadiusMm, tool.edgeRadiusMm)
          : lastPassMm(tool?.material ?? 'hss'),
    },
  };
}

/** How a cut's number was chosen. */
function choiceFor(step: Step, s: Situation, same: number | undefined): Choice {
  const act = actOf(step);
  if (act === 'rough') return { kind: 'final', comes: chooseRough(s), aimMm: s.wantedMm };
  if (act === 'last') return choose(s, same);
  const half = chooseHalf(s, step.leavesMm === undefined ? undefined : step.leavesMm / 2);
  const enough = half.kind === 'half' && s.sign * (s.beforeMm - half.comes.bestMm) >= s.shallowestMm - ROUNDING;
  // roughing came out lower than planned: what is left is not enough for two
  return enough ? half : choose(s, same);
}

function cutOf(step: Step, choice: Exclude<Choice, { kind: 'none' }>): Told['cut'] {
  if (actOf(step) === 'rough') return 'rough';
  return choice.kind === 'half' && step.leavesMm !== undefined && !step.larger ? 'near' : choice.kind;
}

/**
 * The number to set for a pass, as it follows from what was measured, what stands there now and what is believed of the spring.
 * @param trial the number for a short trial cut: half of what is left, so that the short length stays inside too
 * @returns undefined for a step that sets no ring; `none` where no number is safe
 * @source FIELD 13
 */
export function moveFor(
  run: FrozenRun,
  state: RunState,
  step: Step,
  trial = false,
  record?: Recorder,
): Move | NoMove | undefined {
  const found = situationOf(run, state, step);
  if (!found) return undefined;
  const { s, fineness, same } = found;
  const choice = trial ? chooseHalf(s) : choiceFor(step, s, same);
  if (choice.kind === 'none')
    return { kind: 'none', why: choice.why, aimMm: 2 * choice.aimMm, leftMm: 2 * choice.leftMm };
  const { comes } = choice;
  tell(state, step, s, comes, choice.aimMm, record);
  const rings = ringsOf(state);
  const lines = linesFor(run.means.lathe, fineness, comes.xMm, rings);
  return {
    kind: 'move',
    hands: handsTo(run.means.lathe, fineness.slide, rings[fineness.slide] ?? 0, lines, s.sign),
    fineness,
    told: {
      ...{ slide: fineness.slide, lines, cut: trial ? 'half' : cutOf(step, choice) },
      ...{ comesToMm: round(2 * comes.bestMm), smallestMm: round(2 * Math.min(comes.deepestMm, comes.shallowestMm)) },
      largestMm: round(2 * Math.max(comes.deepestMm, comes.shallowestMm)),
    },
    aimMm: 2 * choice.aimMm,
    beforeMm: 2 * s.beforeMm,
    spring: s.spring,
    guardMm: 2 * s.guardMm,
    likely: {
      smallestMm: 2 * Math.min(comes.deepestMm, comes.shallowestMm) - (4 / 3) * s.guardMm,
      largestMm: 2 * Math.max(comes.deepestMm, comes.shallowestMm) + (4 / 3) * s.guardMm,
    },
  };
}

const round = (mm: number): number => Number(mm.toFixed(6));

/** Tells the working of a move, on the diameter as the turner thinks of it. */
function tell(
  state: RunState,
  step: Step,
  s: Situation,
  comes: Comes,
  aimMm: number,
  record: Recorder | undefined,
): void {
  if (!record) return;
  const { known } = s;
  record({
    code: 'run.spring',
    values: {
      ...{
        lowShare: s.spring.lowShare,
        bestShare: s.spring.bestShare,
        highShare: s.spring.highShare,
        count: s.spring.count,
      },
      reckonedShare: reckonedShare(step),
    },
  });
  record({
    code: 'run.next',
    values: {
      ...{ nowMm: 2 * known.rMm, lastDepthMm: known.depthMm, beforeMm: 2 * s.beforeMm, aimMm: 2 * aimMm },
      ...{ depthMm: s.sign * (s.beforeMm - comes.bestMm), travelMm: s.sign * (known.xMm - comes.xMm) },
      ...{ springMm: s.spring.bestShare * (known.depthMm - s.sign * (s.beforeMm - comes.bestMm)) },
      by: state.reference?.by === 'touchOff' ? 'touchOff' : state.reference?.trial ? 'trial' : 'measured',
    },
    source: 'x2 = x1 − [a2 − k·(a1 − a2)]',
  });
  if (s.guardMm > 0)
    record({
      code: 'run.guard',
      values: {
        ...{ guardMm: 2 * s.guardMm, goneMm: 2 * s.goneMm, deepestMm: 2 * comes.deepestMm },
        ...{ comesToMm: 2 * comes.bestMm, stepMm: 2 * s.stepMm },
      },
      source: 'guard 3·√(u_read² + 2·u_set²)',
    });
}
