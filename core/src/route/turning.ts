import { feedForRa, type School } from '../cutting/index.ts';
import { FREE_DIAMETERS, onTailCentre } from '../hold/index.ts';
import { toleranceMm } from '../limit/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import type { EdgeTool } from '../tool/index.ts';
import { cutHold, roughedShaft } from './bending.ts';
import { FINE_FEED, type FitContext, type RecorderFor } from './fit-context.ts';
import { type CutWish, type FittedCut, fitCut } from './fit-cut.ts';
import { type Level, roughedMm, SHOULDER_LEFT_MM } from './level.ts';
import type { AnyOperation, Limiter } from './operation/any.ts';
import type { Operation } from './operation/kinds.ts';
import { measureOperation } from './operation/measure.ts';
import type { OwnCut } from './wishes.ts';

/** Deepest cut on work that a film holds, on the radius, mm. FIELD 14: light cuts */
const FILM_DEPTH_MM = 0.3;
/** Share of the usual depth that is cut in a hole. FIELD 5: bars spring */
const BORING_SHARE = 0.5;
/** What is left of the usual depth where more stands out than does freely. FIELD 2: light cuts */
const LIGHT_SHARE = 0.5;
/** Roughing feed as a share of the nose that leaves it whole: as is usual, and as far as it goes. A sharp point takes no more than this, mm. */
export const ROUGH_OF_NOSE = { usual: 0.4, most: 0.6 } as const;
const SHARP_FEED_MM = 0.2;

/** How deep a cut may be at once, on the radius, and by what. */
export function depthCap(context: FitContext, tool: EdgeTool, school: School): { mm: number; by: Limiter } {
  const { usualDepthMm, deepestCutMm } = context.means.lathe.rigidity;
  const wanted = school === 'machineFirst' ? deepestCutMm : usualDepthMm;
  const { method, overhangDiameters } = context.held;
  if (method === 'chuck' && overhangDiameters > FREE_DIAMETERS)
    return { mm: Math.min(wanted, LIGHT_SHARE * usualDepthMm), by: 'overhang' };
  if (method === 'adhesiveArbor') return { mm: Math.min(wanted, FILM_DEPTH_MM), by: 'film' };
  // a bar springs and clears its chips less well: half of what the post bears
  const most = tool.kind === 'boring bar' ? wanted * BORING_SHARE : wanted;
  if (tool.deepestMm < most) return { mm: tool.deepestMm, by: 'tool' };
  return { mm: most, by: school === 'machineFirst' ? 'lathe' : 'usual' };
}

/** The same wish with the turner's own depth and feed in it, where there are any. */
function asChosen(wish: CutWish, own: OwnCut | undefined): CutWish {
  if (!own) return wish;
  return { ...wish, depthCapMm: own.depthMm, depthCapBy: 'own', feedCapMm: own.feedMmPerRev, feedCapBy: 'own' };
}

function operationOf(
  id: string,
  kind: 'rough' | 'semiFinish' | 'finish',
  level: Level,
  zToMm: number,
  tool: EdgeTool,
  cut: FittedCut,
  rest: Partial<AnyOperation>,
): Operation {
  return {
    id,
    kind,
    featureId: level.feature.id,
    zFromMm: level.zFromMm,
    zToMm,
    toolId: tool.id,
    setting: cut.setting,
    passes: cut.passes,
    loads: cut.loads,
    decidedBy: cut.decidedBy,
    exceeds: cut.exceeds,
    minutes: cut.minutes,
    ...rest,
  };
}

/** Roughing from one diameter to a level's size plus its allowance, up to where the raw metal ends; nothing when there is none. @param raw whether it begins on the surface as it came */
export function roughLevel(
  context: FitContext,
  level: Level,
  startMm: number,
  endMm: number,
  raw: boolean,
  recorderFor: RecorderFor,
): Operation | undefined {
  const { sign, edges } = level;
  const toMm = roughedMm(level);
  const tool = edges.rougher;
  if (sign * (startMm - toMm) < 0.02) return undefined;
  const zFromMm = level.shoulder ? level.zFromMm + SHOULDER_LEFT_MM : level.zFromMm;
  // what is bored leaves the outside as it is
  const shaft = sign === 1 ? roughedShaft(context.shaft, context.stepped, context.held, zFromMm, toMm) : context.shaft;
  const hold = cutHold(shaft, context.held, {
    ...{ zFromMm, zToMm: endMm, bendAllowedMm: level.allowanceMm / 2, weightNmm: context.weightNmm },
    ...{ barMmPerN: edges.barMmPerN },
  });
  const { school } = context.wishes;
  const cap = depthCap(context, tool, school);
  const wish: CutWish = {
    fromMm: startMm,
    toMm,
    sign,
    zFromMm,
    zToMm: endMm,
    tool,
    hold,
    depthCapMm: cap.mm,
    depthCapBy: cap.by,
    ...(raw && context.piece.skinMm ? { skinMm: context.piece.skinMm } : {}),
    feedCapMm:
      (school === 'machineFirst' ? ROUGH_OF_NOSE.most : ROUGH_OF_NOSE.usual) * tool.noseRadiusMm || SHARP_FEED_MM,
    feedCapBy: 'nose',
  };
  const id = `${level.feature.id}-rough`;
  const chosen = fitCut(context, asChosen(wish, context.wishes.own?.[id]), school, undefined, recorderFor(id));
  return (
    chosen &&
    operationOf(id, 'rough', { ...level, zFromMm }, endMm, tool, chosen, {
      targetMm: toMm,
      ...(level.allowanceMm > ROUNDING ? { leavesMm: level.allowanceMm } : {}),
      // until the bar's corners are off, the tool strikes them one after the other
      caution:
        sign === -1
          ? 'barClear'
          : startMm > (context.piece.section?.acrossMm ?? startMm)
            ? 'cornersFirst'
            : level.shoulder
              ? 'throwOutShort'
              : 'nearJaws',
    })
  );
}

/** A real edge leaves more than the pure geometry of its nose: so much of the finish asked for is aimed at. */
export const RA_AIMED_SHARE = 0.5;

/** Coarsest feed of a finishing tool: below a ground flat the marks vanish; a nose leaves what its radius lets it. */
export function finishFeed(tool: EdgeTool, raUm: number): { readonly mm: number; readonly by: 'finish' | 'usual' } {
  if (tool.flatMm) return { mm: tool.flatMm * 0.8, by: 'finish' };
  return tool.noseRadiusMm > 0
    ? { mm: feedForRa(raUm, tool.noseRadiusMm), by: 'finish' }
    : { mm: FINE_FEED, by: 'usual' };
}

/** Last cuts of a level with the measurements between and after; none where it cannot be brought to size here. */
export function finishLevel(context: FitContext, level: Level, recorderFor: RecorderFor): Operation[] {
  const { feature, last } = level;
  const { sign, edges } = level;
  const tool = edges.finisher;
  if (level.allowanceMm <= 0 || last.kind === 'tooFine') return [];
  const tolerance = toleranceMm(feature.limits);
  const bendAllowedMm = tolerance / 4;
  const { zFromMm } = level;
  const hold = cutHold(context.shaft, context.held, {
    ...{ zFromMm, zToMm: feature.zToMm, bendAllowedMm, weightNmm: context.weightNmm, barMmPerN: edges.barMmPerN },
  });
  const { school } = context.wishes;
  const feed = finishFeed(tool, school === 'machineFirst' ? feature.raUm : feature.raUm * RA_AIMED_SHARE);
  const cut = (fromMm: number, toMm: number, suffix: string) => {
    const wish: CutWish = {
      fromMm,
      toMm,
      sign,
      zFromMm,
      zToMm: feature.zToMm,
      tool,
      hold,
      depthCapMm: (sign * (fromMm - toMm)) / 2,
      depthCapBy: 'finish',
      feedCapMm: feed.mm,
      feedCapBy: feed.by,
    };
    const id = `${feature.id}-${suffix}`;
    return { id, chosen: fitCut(context, asChosen(wish, context.wishes.own?.[id]), school, 1, recorderFor(id)) };
  };
  const centre = onTailCentre(context.held.method);
  const round = (mm: number) => Number(mm.toFixed(9));
  const startMm = roughedMm(level);
  const nearMm =
    last.nearMm === undefined ? startMm : round(level.targetMm + sign * Math.min(last.nearMm, level.allowanceMm));
  // half of what is left each, or two thirds and one
  const rest = last.larger ? 1 / 3 : 1 / 2;
  const betweenMm = last.cuts === 2 ? round(level.targetMm + (nearMm - level.targetMm) * rest) : nearMm;
  const operations: Operation[] = [];
  const add = (
    kind: 'semiFinish' | 'finish',
    fromMm: number,
    toMm: number,
    suffix: 'near' | 'semi' | 'finish',
    more: Partial<AnyOperation>,
  ): void => {
    const { id, chosen } = cut(fromMm, toMm, suffix);
    if (!chosen) return;
    const shared = { targetMm: toMm, limits: feature.limits, ...more };
    operations.push(
      operationOf(id, kind, level, feature.zToMm, tool, chosen, shared),
      measureOperation(context, level, suffix, toMm, recorderFor),
    );
  };
  const { means } = last.fineness;
  const first = sign === -1 ? 'barClear' : centre ? 'easeCentre' : 'throwOutShort';
  if (sign * (startMm - nearMm) > ROUNDING)
    add('semiFinish', startMm, nearMm, 'near', {
      ...{ fineness: 'lines', leavesMm: round(sign * (nearMm - level.targetMm)), caution: first },
    });
  if (last.cuts === 2)
    add('semiFinish', nearMm, betweenMm, 'semi', {
      ...{ fineness: means, caution: first },
      ...(last.larger ? { larger: true, leavesMm: round(sign * (betweenMm - level.targetMm)) } : {}),
    });
  add('finish', betweenMm, level.targetMm, 'finish', {
    fineness: means,
    ...(last.trialFirst ? { trialFirst: true } : {}),
    caution: sign === -1 ? 'barClear' : 'throwOutShort',
  });
  return operations;
}
