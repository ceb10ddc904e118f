import type { Truing } from '../../lathe/index.ts';
import type { Recorder } from '../../working/index.ts';
import { type Eccentricity, eccentricityOf, type FourReadings } from './eccentricity.ts';

/** One pair of opposite jaws or screws to be moved. */
export interface PairMove {
  /** 1 to 4: the one to slacken first, and the one opposite to tighten after it */
  readonly slacken: number;
  readonly tighten: number;
  /** how far the work is to go, mm, and about which part of a turn of the key that is, degrees */
  readonly byMm: number;
  readonly keyDeg: number;
  /** way of the key for slackening: seen from the key's handle */
  readonly slackenKey: 'clockwise' | 'anticlockwise';
  /** jaw that stands under the indicator meanwhile, what it shows before, and what it should show after */
  readonly under: number;
  readonly fromMm: number;
  readonly toMm: number;
}

export type TruingRound =
  | { readonly kind: 'true'; readonly seen: Eccentricity }
  /** what is left is its form: truing does not take it away */
  | { readonly kind: 'outOfRound'; readonly seen: Eccentricity }
  | { readonly kind: 'move'; readonly seen: Eccentricity; readonly moves: readonly PairMove[] };

/** A share of what is asked that is believed to be got before anything was learned, as strong as a move of so many mm. */
const PRIOR_MM = 0.05;
/** What is learned of a pair stays between these: a pair that moves less than half or twice what is asked was misread. */
const LEAST_GOT = 0.5;
const MOST_GOT = 2;
/** A pair that is off by less than this share of the wanted runout is left alone. */
const LEAVE_SHARE = 0.2;

/**
 * The next round of truing from four readings. Which way a pair goes follows from the chuck: jaws push, so the low side is slackened and
 * the high side tightened; the screws of a fine-adjusting body drag, so the high side is slackened and the low side tightened.
 * What earlier rounds got of what was asked is learned for each pair and asked for accordingly.
 * @param readings of every round so far, the latest last, mm, rising as the surface comes nearer
 * @param wantedMm runout at which to stop
 */
export function truingRound(
  readings: readonly FourReadings[],
  wantedMm: number,
  chuck: Truing,
  record?: Recorder,
): TruingRound {
  const now = readings.at(-1);
  if (!now) throw new RangeError('no readings');
  const seen = eccentricityOf(now, record);
  if (seen.runoutMm <= wantedMm) return { kind: seen.runoutMm + seen.ovalMm <= wantedMm ? 'true' : 'outOfRound', seen };
  const got = gotOf(readings);
  const moves = ([0, 1] as const)
    .map((pair): PairMove => {
      const off = seen.towardsMm[pair];
      const high = off >= 0 ? pair + 1 : pair + 3;
      const low = off >= 0 ? pair + 3 : pair + 1;
      const byMm = Math.abs(off) / got[pair];
      const [slacken, tighten] = chuck.sense === 'push' ? [low, high] : [high, low];
      const fromMm = now[high - 1]!;
      return {
        ...{ slacken, tighten, byMm },
        keyDeg: (byMm / chuck.mmPerTurn) * 360,
        slackenKey: chuck.clockwise === 'tightens' ? 'anticlockwise' : 'clockwise',
        under: high,
        fromMm,
        toMm: fromMm - byMm,
      };
    })
    .filter((move) => move.byMm > (LEAVE_SHARE * wantedMm) / 2)
    .toSorted((a, b) => b.byMm - a.byMm);
  record?.({
    code: 'truing.move',
    values: { wantedMm, gotPair1Share: got[0], gotPair2Share: got[1], mmPerTurn: chuck.mmPerTurn, sense: chuck.sense },
  });
  return { kind: 'move', seen, moves };
}

/** Share of what was asked that each pair went, learned from earlier rounds. @source least squares with a prior of 1 */
function gotOf(readings: readonly FourReadings[]): readonly [number, number] {
  const askedSum: [number, number] = [PRIOR_MM ** 2, PRIOR_MM ** 2];
  const wentSum: [number, number] = [PRIOR_MM ** 2, PRIOR_MM ** 2];
  const share = (pair: 0 | 1) => Math.min(MOST_GOT, Math.max(LEAST_GOT, wentSum[pair] / askedSum[pair]));
  const seen = readings.map((r) => eccentricityOf(r).towardsMm);
  for (const [i, before] of seen.slice(0, -1).entries()) {
    const shares = [share(0), share(1)] as const;
    for (const pair of [0, 1] as const) {
      const asked = before[pair] / shares[pair];
      const went = before[pair] - seen[i + 1]![pair];
      askedSum[pair] += asked ** 2;
      wentSum[pair] += asked * went;
    }
  }
  return [share(0), share(1)];
}
