import { trainText } from '../lathe/index.ts';
import type { Rational } from '../quantity/index.ts';

/** Gears from the spindle's side to the leadscrew: drivers and what they drive, a pair after the other. */
export interface GearTrain {
  readonly drivers: readonly number[];
  readonly driven: readonly number[];
  /** by how much the thread comes out longer than wanted, parts in a million; 0 exactly where the train is exact */
  readonly errorPpm: number;
  readonly exact: boolean;
}

/** What trains are looked for. */
export interface TrainWish {
  /** teeth of every gear that is there; two of a size are there twice */
  readonly gears: readonly number[];
  /** turns of the leadscrew for each turn of the spindle: lead over leadscrew pitch, less what is fixed in the lathe; exact */
  readonly ratio: Rational;
  /** one pair or two */
  readonly pairs: 1 | 2;
  /** most that is told, best first */
  readonly most?: number;
  /** whether a train goes onto this lathe's banjo; every one where it is not given */
  readonly goesOn?: (drivers: readonly number[], driven: readonly number[]) => boolean;
}

const PPM = 1e6;
/** As many are told where nothing else is said. */
const USUAL_MOST = 20;
/** Teeth by which a pair must be larger than the gear beside it, so that that one clears its stud. Recalled from banjos of small lathes */
const STUD_TEETH = 15;

/**
 * Whether two pairs mesh without the one running into the stud or shaft of the other: what lies beside a shaft is smaller than the two
 * that hold it off.
 * @param teethOfStud room that a stud takes, as teeth of such gears
 * @source usual rule for a quadrant: first driver + first driven ≥ second driver + room, and the second pair likewise
 */
export function clearsStuds(
  [a = 0, c]: readonly number[],
  [b = 0, d = 0]: readonly number[],
  teethOfStud = STUD_TEETH,
): boolean {
  return c === undefined || (a + b >= c + teethOfStud && c + d >= b + teethOfStud);
}

/** Pairs out of a list, by their places; each once. */
function pairsOf(count: number): readonly (readonly [number, number])[] {
  const pairs: (readonly [number, number])[] = [];
  for (let i = 0; i < count; i++) for (let k = i + 1; k < count; k++) pairs.push([i, k]);
  return pairs;
}

/**
 * Every train of the gears that are there, exact ones first, then by their error; of trains of the same drivers and driven gears one.
 * Which of two drivers comes first is chosen so that it goes onto the banjo.
 * @returns none where no train goes on
 * @source FIELD 7: every train of the owner's gears; exact first, else ppm
 */
export function gearTrains({ gears, ratio, pairs, most = USUAL_MOST, goesOn }: TrainWish): readonly GearTrain[] {
  // whole numbers far below 2^53: exactness is told without a fraction
  const [p, q] = [Number(ratio.n), Number(ratio.d)];
  const sorted = gears.toSorted((a, b) => a - b);
  const found = new Map<string, GearTrain>();
  const take = (drivers: readonly number[], driven: readonly number[]): void => {
    const key = `${drivers.toSorted((a, b) => a - b).join()}/${driven.toSorted((a, b) => a - b).join()}`;
    if (found.has(key)) return;
    const [over, under] = [drivers.reduce((x, y) => x * y, q), driven.reduce((x, y) => x * y, p)];
    const exact = over === under;
    const orders = [
      [drivers, driven],
      [drivers, driven.toReversed()],
      [drivers.toReversed(), driven],
      [drivers.toReversed(), driven.toReversed()],
    ] as const;
    const order = orders.find(([a, b]) => goesOn?.(a, b) ?? true);
    if (!order) return;
    found.set(key, { drivers: order[0], driven: order[1], exact, errorPpm: exact ? 0 : (over / under - 1) * PPM });
  };
  const at = (i: number): number => sorted[i]!;
  if (pairs === 1)
    for (let i = 0; i < sorted.length; i++)
      for (let k = 0; k < sorted.length; k++) {
        if (i !== k) take([at(i)], [at(k)]);
      }
  else {
    const all = pairsOf(sorted.length);
    for (const [a, c] of all)
      for (const [b, d] of all) {
        if (a === b || a === d || c === b || c === d) continue;
        const off = Math.abs((at(a) * at(c) * q) / (at(b) * at(d) * p) - 1) * PPM;
        // what is far off is never wanted, and there are many of it
        if (off <= WORST_PPM) take([at(a), at(c)], [at(b), at(d)]);
      }
  }
  const size = ({ drivers, driven }: GearTrain): number => [...drivers, ...driven].reduce((x, y) => x + y, 0);
  return [...found.values()]
    .toSorted((a, b) => Math.abs(a.errorPpm) - Math.abs(b.errorPpm) || size(a) - size(b))
    .slice(0, most);
}
/** Farther off than this a thread is another one. */
const WORST_PPM = 20_000;

/**
 * How far a thread that is cut with an error is off over its length of engagement, mm.
 * @example offOverMm(606, 20) // 0.01212
 */
export const offOverMm = (errorPpm: number, engagedMm: number): number => (errorPpm / PPM) * engagedMm;

/** A train as it is written down, first pair first: 20/80 × 30/90. */
export const trainLabel = ({ drivers, driven }: Pick<GearTrain, 'drivers' | 'driven'>): string =>
  trainText(drivers.map((d, i) => [d, driven[i] ?? d] as const));
