import { NAMED_TAPERS, type NamedTaper } from './named.ts';
import type { FittedCone } from './stations.ts';

/** A standard taper that a worn cone may be. */
export interface LikelyTaper {
  readonly taper: NamedTaper;
  /** change of diameter per length as measured less this one's */
  readonly offPerLength: number;
  /** what it is off over the measured length, mm on the diameter */
  readonly overLengthMm: number;
  /** of a taper with a size: the gauge line lies in the measured length, or beyond its ends by no more than its own length */
  readonly sizeFits?: boolean;
}

/** A slope may be off by so many of its doubts, and by a worn cone's own share, as a part of itself. */
const DOUBTS = 1.5;
const WORN_SHARE = 0.004;

/**
 * What a cone probably is: standard tapers whose slope lies within what was measured, those whose size fits first, then the nearest.
 * @param fromMm, toMm least and largest diameter that was measured
 */
export function identifyTaper(
  cone: Pick<FittedCone, 'perLength' | 'doubtPerLength'>,
  lengthMm: number,
  fromMm: number,
  toMm: number,
  most = 6,
): readonly LikelyTaper[] {
  const slope = Math.abs(cone.perLength);
  const found = NAMED_TAPERS.flatMap((taper): LikelyTaper[] => {
    const own = taper.perLength.valueOf();
    const offPerLength = slope - own;
    if (Math.abs(offPerLength) > DOUBTS * cone.doubtPerLength + WORN_SHARE * own) return [];
    const { sizeMm, sizeAt } = taper;
    // a length that no table has here is taken for one that halves the diameter
    const long = taper.lengthMm ?? (sizeMm ?? 0) / (2 * own);
    const [low, high] =
      sizeMm === undefined ? [] : sizeAt === 'large' ? [sizeMm - own * long, sizeMm] : [sizeMm, sizeMm + own * long];
    // worn or ground anew it may be a little beyond its own ends
    const slack = 0.02 * (high ?? 0);
    const sizeFits = low === undefined ? undefined : fromMm >= low - slack && toMm <= high! + slack;
    return [
      { taper, offPerLength, overLengthMm: offPerLength * lengthMm, ...(sizeFits === undefined ? {} : { sizeFits }) },
    ];
  });
  const rank = ({ sizeFits }: LikelyTaper): number => (sizeFits ? 0 : sizeFits === undefined ? 1 : 2);
  return found
    .filter((l) => l.sizeFits !== false)
    .toSorted((a, b) => rank(a) - rank(b) || Math.abs(a.offPerLength) - Math.abs(b.offPerLength))
    .slice(0, most);
}
