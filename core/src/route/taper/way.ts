import { radians } from '../../quantity/index.ts';
import { angleGrade } from '../../taper/index.ts';
import {
  type BetweenCentres,
  INDICATOR_OVER_MM,
  pivotsMm,
  pointDepthMm,
  riseMm,
  type SetBy,
  type TaperWay,
  taperWays,
} from '../../tapering/index.ts';
import { hollowMm, reachOf } from '../../work/index.ts';
import type { FitContext } from '../fit-context.ts';
import type { TaperSetting } from '../operation/taper-set.ts';
import type { ConeCut } from './cone.ts';

/** How a cone is turned in a setup. */
export interface ChosenWay {
  readonly set: TaperSetting;
  /** an indicator over so much of a travel, and what it rises there, mm */
  readonly overMm: number;
  readonly risesMm: number;
}

/** An indicator goes so far. Usual */
const RANGE_MM = 8;
/** How surely a setting is brought to an indicator's reading and clamped there, mm. Shop */
export const CLAMPED_MM = 0.004;

/** Whole millimetres, or tenths of an inch. */
const wholeIn = (unit: 'mm' | 'in', mm: number): number =>
  unit === 'mm' ? Math.floor(mm) : Math.floor(mm / 2.54) * 2.54;

/** Where the work turns about its centres, as its centre holes stand; undefined where it is held otherwise. */
function betweenOf({ held, piece }: FitContext): BetweenCentres | undefined {
  if (held.method !== 'betweenCentres') return undefined;
  const { zFromMm, zToMm } = reachOf(piece);
  const inMm = 0.01;
  return {
    wholeMm: zToMm - zFromMm,
    headDepthMm: pointDepthMm(hollowMm(piece, zFromMm + inMm)),
    tailDepthMm: pointDepthMm(hollowMm(piece, zToMm - inMm)),
  };
}

type Can = Extract<TaperWay, { can: true }>;
const can = (way: TaperWay): way is Can => way.can;
/** A setting of its own for the whole cone: no wide edge, and no slide that would run off its screw before the cone is through. */
const settles = (way: Can): way is Exclude<Can, { way: 'formTool' }> =>
  way.way !== 'formTool' && (way.way !== 'compound' || way.set.settings === 1);

/** Every way of a cone in a setup, those that can first, the one that is wished before others. @returns none where no setting of this lathe turns it */
export function waysHere(context: FitContext, cone: ConeCut): readonly TaperWay[] {
  return taperWays(context.means.lathe, {
    ...{ perLength: cone.perLength, lengthMm: cone.lengthMm, side: cone.on.side },
    between: betweenOf(context),
  });
}

/** The way that a cone is turned by here; undefined where this lathe has none. */
export function wayFor(context: FitContext, cone: ConeCut): ChosenWay | undefined {
  const ways = waysHere(context, cone).filter(can).filter(settles);
  const way = ways.find((w) => w.way === context.wishes.tapers?.by) ?? ways[0];
  if (!way) return undefined;
  const { lathe } = context.means;
  if (way.way === 'compound') {
    const { scaleDeg, eyeDeg, eyeMm, travelMm, roomMm, beginsMm } = way.set;
    // no farther than an indicator's range
    const steepMm = RANGE_MM / Math.sin(radians(cone.halfDeg));
    const overMm = Math.max(1, wholeIn(lathe.unit, Math.min(INDICATOR_OVER_MM[lathe.unit], roomMm, steepMm)));
    return {
      set: {
        by: 'compound',
        scaleDeg: Number(scaleDeg.toFixed(4)),
        eyeDeg,
        eyeMm,
        travelMm,
        beginsMm,
      },
      ...{ overMm, risesMm: riseMm(cone.halfDeg, overMm, 'compound') },
    };
  }
  // the carriage along a true cylinder between the centres, or the slide along the attachment
  const overMm = INDICATOR_OVER_MM[lathe.unit];
  const rises = { overMm, risesMm: riseMm(cone.halfDeg, overMm, 'cone') };
  if (way.way === 'attachment') return { set: { by: 'attachment', graduated: way.graduated }, ...rises };
  const { offsetMm, byRuleMm, nearerMm } = way.set;
  const between = betweenOf(context)!;
  return {
    set: {
      ...{ by: 'setOver', offsetMm, byRuleMm, nearerMm, way: way.set.way, balls: way.balls },
      pivotsMm: pivotsMm(between),
    },
    ...rises,
  };
}

/** What a correction turns: an indicator over its travel, or the tailstock. */
export const setByOf = ({ set, overMm }: ChosenWay): SetBy =>
  set.by === 'setOver'
    ? { by: 'setOver', pivotsMm: set.pivotsMm, setMm: CLAMPED_MM }
    : { by: set.by, travelMm: overMm, setMm: CLAMPED_MM };

/** Slower than 1 in so many a taper holds itself, and has to fit closely; grades of the two. Shop */
const HOLDS_ITSELF = 8;
const USUAL_GRADE = { holds: 8, releases: 10 } as const;
/** The shortest that the grades know, mm. ISO 1947 */
const SHORTEST_MM = 6.01;
const LONGEST_MM = 630;

/** The grade of angle that a cone is turned to, and what half its angle may be off, degrees. @source ISO 1947: AT of the whole angle, half to either side */
export function toleranceOf({ wishes }: FitContext, { perLength, lengthMm }: ConeCut) {
  const grade = wishes.tapers?.grade ?? (perLength * HOLDS_ITSELF <= 1 ? USUAL_GRADE.holds : USUAL_GRADE.releases);
  const at = angleGrade(grade, Math.min(LONGEST_MM, Math.max(SHORTEST_MM, lengthMm)))!;
  return { grade, toleranceDeg: ((at.microradians / 1e6) * 180) / Math.PI / 4 };
}
