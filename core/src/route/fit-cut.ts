import { type CutHold, type CutSetup, type EvaluatedCut, evaluateCut, type School } from '../cutting/index.ts';
import type { Feed } from '../lathe/index.ts';
import type { Sign } from '../mechanics/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import type { EdgeTool } from '../tool/index.ts';
import type { Recorder } from '../working/index.ts';
import { cutToolOf } from './cut-tool.ts';
import type { FitContext } from './fit-context.ts';
import { settingOf } from './hand-setting.ts';
import type { Limiter, Loads, Pass, Setting } from './operation/any.ts';

/** Winding back and setting the next depth, minutes a pass. */
export const HANDLING_MIN = 0.4;
/** Feeds of a steady hand where the lathe has no power feed, mm per rev, the usual one first. */
const HAND_FEEDS = [0.1, 0.05, 0.03] as const;
/** More passes than this beyond the fewest are not tried: the cut is then hopeless, and said so. */
const MORE_PASSES = 60;

/** A chip wider than so many feeds, at less than half the feed that could be had, is a thin wide one: more passes are the better answer. */
const THIN_WIDE = { feeds: 20, ofFeed: 0.5 } as const;

export interface CutWish {
  readonly fromMm: number;
  readonly toMm: number;
  /** +1 outside, −1 in a hole */
  readonly sign: Sign;
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly tool: EdgeTool;
  /** how it is carried where it bends most, and how much it may */
  readonly hold: CutHold;
  readonly depthCapMm: number;
  readonly depthCapBy: Limiter;
  /** how deep the first cut goes at the least, below scale or a casting's skin; none where it is not raw */
  readonly skinMm?: number;
  readonly feedCapMm: number;
  readonly feedCapBy: 'usual' | 'nose' | 'finish' | 'own';
}
export interface FittedCut {
  readonly setting: Setting;
  readonly passes: readonly Pass[];
  readonly loads: Loads;
  readonly decidedBy: Limiter;
  readonly exceeds: readonly Exceeded[];
  readonly minutes: number;
}

type Exceeded = 'power' | 'bend' | 'grip';
/** A combination that was tried: setting, loads and passes are written out when it is the one that is taken. */
interface Tried {
  readonly cut: EvaluatedCut;
  readonly feed: Feed | undefined;
  readonly feedMmPerRev: number;
  readonly depths: readonly number[];
  readonly passMin: number;
  readonly count: number;
  readonly minutes: number;
  readonly decidedBy: Limiter;
  readonly exceeds: readonly Exceeded[];
}

/** Depths of n passes that end on lines of the dial, sum exactly the stock, and differ by no more than a line. */
export function passDepths(radialMm: number, count: number, lineMm: number): number[] {
  const reached = Array.from({ length: count + 1 }, (_, i) =>
    i === count ? radialMm : Math.round((radialMm * i) / count / lineMm) * lineMm,
  );
  const depths = reached.slice(1).map((end, i) => Number((end - reached[i]!).toFixed(9)));
  return depths.every((d) => d > 0) ? depths : Array.from({ length: count }, () => radialMm / count);
}

/** The first of several passes goes below the skin, and the others share the rest; one pass alone is as deep as there is. */
export function belowSkin(depths: readonly number[], skinMm: number | undefined, lineMm: number): readonly number[] {
  const [first = 0, ...others] = depths;
  if (skinMm === undefined || first >= skinMm || others.length === 0) return depths;
  const radialMm = depths.reduce((sum, d) => sum + d, 0);
  const firstMm = Number((Math.ceil(skinMm / lineMm - ROUNDING) * lineMm).toFixed(9));
  if (firstMm >= radialMm) return depths;
  return [firstMm, ...passDepths(Number((radialMm - firstMm).toFixed(9)), others.length, lineMm)];
}

/** A wish as the cutting engine is asked about it. */
function setupOf(context: FitContext, wish: CutWish): CutSetup {
  const { material, lathe } = context.means;
  const { speeds, feeds, policy } = context;
  return {
    ...{ material, lathe, feeds, policy, table: speeds, tool: cutToolOf(wish.tool) },
    ...(wish.sign === 1
      ? ({ operation: 'turning', diameterMm: wish.fromMm } as const)
      : ({ operation: 'boring', diameterMm: wish.toMm } as const)),
    hold: wish.hold,
  };
}

/** What of the engine's limits a plan steers by. */
const EXCEEDED = { power: 'power', torque: 'power', bend: 'bend', grip: 'grip' } as const;

const NOTHING: readonly Exceeded[] = [];
/** Of the limits that a cut breaks, those that a plan steers by. */
function exceededBy({ limits }: EvaluatedCut): readonly Exceeded[] {
  if (limits.length === 0) return NOTHING;
  return limits.flatMap((l) => (l in EXCEEDED ? [EXCEEDED[l as keyof typeof EXCEEDED]] : []));
}

/** The combination that is taken, as a plan has it. */
function fittedOf(found: Tried, wish: CutWish): FittedCut {
  const { cut, feed, feedMmPerRev, depths, passMin, minutes, decidedBy, exceeds } = found;
  const { chosen, powerKw, availableKw, bendMm, gripShare, springShare } = cut;
  const { bendAllowedMm } = wish.hold;
  return {
    setting: {
      ...settingOf(chosen),
      ...{ cuttingSpeedMPerMin: cut.speedMPerMin, feedMmPerRev, feedLabel: feed?.label, feedAt: feed?.setting.at },
    },
    loads: { powerKw, availableKw, bendMm, bendAllowedMm, gripShare, springShare },
    passes: passesOf(wish.sign, wish.fromMm, depths, passMin),
    ...{ decidedBy, exceeds, minutes },
  };
}

/** Most power feeds that are tried, from the coarsest down. */
const MOST_FEEDS = 8;
/** Feeds that a cut may be fitted with, the coarsest first: the usable power feeds, else the finest there is; by hand where there is none. */
function feedsTried(
  all: readonly Feed[],
  usable: readonly Feed[],
  capMm: number,
): readonly { readonly feed?: Feed; readonly feedMmPerRev: number }[] {
  const [finest] = all;
  if (finest)
    return (usable.length > 0 ? usable.slice(0, MOST_FEEDS) : [finest]).map((feed) => ({
      ...{ feed, feedMmPerRev: feed.mmPerRev },
    }));
  const fine = HAND_FEEDS.filter((mm) => mm <= capMm + ROUNDING);
  return (fine.length > 0 ? fine : [HAND_FEEDS.at(-1)!]).map((feedMmPerRev) => ({ feedMmPerRev }));
}

/**
 * Fits a cut into what lathe, work and jaws bear: fewest passes first, then the coarsest feed, then the speed; of the ways
 * that hold, the quickest. When none holds, the lightest one, with what it exceeds.
 * @returns undefined when the lathe has no speed
 */
export function fitCut(
  context: FitContext,
  wish: CutWish,
  school: School,
  fixedPasses?: number,
  record?: Recorder,
): FittedCut | undefined {
  const radialMm = (wish.sign * (wish.fromMm - wish.toMm)) / 2;
  const { lineMm } = context;
  const setup = setupOf(context, wish);
  const fewest = fixedPasses ?? Math.max(1, Math.ceil(radialMm / wish.depthCapMm - ROUNDING));
  const usable = context.feeds.filter((feed) => feed.mmPerRev <= wish.feedCapMm + ROUNDING).toReversed();
  const feeds = feedsTried(context.feeds, usable, wish.feedCapMm);
  const lengthMm = wish.zToMm - wish.zFromMm + 2;
  let best: Tried | undefined;
  let thin: Tried | undefined;
  let last: Tried | undefined;
  let stopper: Limiter | undefined;
  for (let count = fewest; count <= fewest + (fixedPasses ? 0 : MORE_PASSES); count++) {
    if (best && count > best.count + 1) break;
    const even = passDepths(radialMm, count, lineMm);
    const depths = belowSkin(even, wish.skinMm, lineMm);
    const deepest = Math.max(...depths);
    for (const { feed, feedMmPerRev } of feeds) {
      const cut = evaluateCut(setup, deepest, feedMmPerRev, school);
      if (!cut) return undefined;
      const passMin = lengthMm / (feedMmPerRev * cut.chosen.speed.rpm) + HANDLING_MIN;
      const decidedBy =
        depths !== even
          ? 'skin'
          : (stopper ?? (count === 1 && radialMm < wish.depthCapMm - ROUNDING ? 'stock' : wish.depthCapBy));
      const exceeds = exceededBy(cut);
      const minutes = passMin * count;
      const tried: Tried = { cut, feed, feedMmPerRev, depths, passMin, count, minutes, decidedBy, exceeds };
      if (exceeds.length === 0) {
        const coarsestMm = (feeds[0]?.feedMmPerRev ?? 0) * THIN_WIDE.ofFeed;
        if (feedMmPerRev < coarsestMm && deepest > THIN_WIDE.feeds * feedMmPerRev) thin ??= tried;
        else if (!best || minutes < best.minutes) best = tried;
        break;
      }
      stopper = exceeds[0];
      last = tried;
    }
    // doubling the passes halves the force at best: when far away, go there in larger steps
    if (!best && count > fewest + 8) count += Math.floor(count / 4);
  }
  // a skin that is deeper than all bears is cut through in two
  if (!best && wish.skinMm !== undefined)
    return fitCut(context, { ...wish, skinMm: undefined }, school, fixedPasses, record);
  const found = best ?? thin ?? last;
  if (!found) return undefined;
  const fitted = fittedOf(found, wish);
  if (record) {
    tellPlan(wish, fitted, lengthMm, record);
    evaluateCut(setup, Math.max(...found.depths), found.feedMmPerRev, school, record);
  }
  return fitted;
}

/** Tells why so many passes, this feed, and the time. */
function tellPlan(wish: CutWish, found: FittedCut, lengthMm: number, record: Recorder): void {
  const { setting, passes } = found;
  record({
    code: 'route.passes',
    values: {
      fromMm: wish.fromMm,
      toMm: wish.toMm,
      radialMm: (wish.sign * (wish.fromMm - wish.toMm)) / 2,
      depthCapMm: wish.depthCapMm,
      count: passes.length,
      by: found.decidedBy,
    },
  });
  record({
    code: 'route.feed',
    values: {
      feedCapMm: wish.feedCapMm,
      feedMmPerRev: setting.feedMmPerRev,
      setting: setting.feedLabel ?? '',
      why: wish.feedCapBy,
    },
  });
  record({
    code: 'route.minutes',
    values: {
      lengthMm,
      feedMmPerRev: setting.feedMmPerRev,
      rpm: setting.rpm,
      handlingMin: HANDLING_MIN,
      count: passes.length,
      minutes: found.minutes,
    },
  });
}

function passesOf(sign: Sign, fromMm: number, depths: readonly number[], minutes: number): Pass[] {
  let diameter = fromMm;
  return depths.map((depthMm) => {
    const before = diameter;
    diameter = Number((before - sign * 2 * depthMm).toFixed(9));
    return { depthMm, diameterBeforeMm: before, diameterAfterMm: diameter, minutes };
  });
}
