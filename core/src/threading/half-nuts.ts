import { type Rational, rational } from '../quantity/index.ts';

/** A wheel that runs in the leadscrew, and the marks that are engraved evenly round its dial; a lathe may have several wheels. */
export interface DialWheel {
  readonly teeth: number;
  readonly marks: number;
}

/** Where half-nuts may close again so that the tool meets the groove it began. Places are counted in marks from that of the first pass. */
export interface ClosesAgain {
  /** pitches of the leadscrew between two right places: the least one, and every multiple of it */
  readonly everyPitches: number;
  /** the nuts may close wherever they can */
  readonly anyPlace: boolean;
  /** marks that are right at every turn of the dial; none where they do not repeat */
  readonly marks: readonly number[];
  /** right places between two engraved marks, in marks and parts of them; for a dial that a line was added to */
  readonly between: readonly number[];
  /** turns of the dial after which the first mark is right again: 1 where it is so at every turn */
  readonly turns: number;
}

/** No leadscrew has more pitches than this: farther on nothing is looked for. */
const MOST_PITCHES = 10_000;

/** Greatest common divisor of two whole numbers above 0. */
function divisorOf(a: number, b: number): number {
  return b === 0 ? a : divisorOf(b, a % b);
}

/**
 * The least number of leadscrew pitches that the carriage may have gone when the half-nuts close again: then it has gone a whole number
 * of leads too.
 * @param leadscrewMm pitch of the leadscrew @param leadMm of the thread, for one start or several; both exact and above 0
 * @source FIELD 7: k leadscrew pitches with k·P_ls/lead a whole number
 * @example pitchesBetween(rational('25.4').div(8), rational('25.4').div(20)) // 2
 */
export function pitchesBetween(leadscrewMm: Rational, leadMm: Rational): number {
  return Number(leadscrewMm.div(leadMm).d);
}

/**
 * The right places on a dial whose wheel runs in the leadscrew.
 * @source FIELD 7: they repeat at each turn of the dial only if the wheel's teeth are a multiple of the least k, else turns are counted
 */
export function closesAgain(leadscrewMm: Rational, leadMm: Rational, { teeth, marks }: DialWheel): ClosesAgain {
  const every = pitchesBetween(leadscrewMm, leadMm);
  const repeats = teeth % every === 0;
  const right: number[] = [];
  const between: number[] = [];
  // the nuts close on whole pitches only: a mark that lies between two of them is no place at all
  for (let k = 0; repeats && k < teeth; k += every) {
    const place = rational(k * marks).div(teeth);
    if (Number(place.d) === 1) right.push(Number(place.n));
    else between.push(place.valueOf());
  }
  return {
    ...{ everyPitches: every, anyPlace: every === 1, marks: right, between },
    turns: every / divisorOf(every, teeth),
  };
}

/**
 * The marks of a dial for each start of a thread, from the mark of the first pass of the first one; undefined where a start has none, or
 * where marks mean another start at another turn of the dial.
 * @example marksOfStarts(rational(6), rational(8), 2, { teeth: 16, marks: 8 })?.[1] // [1, 3, 5, 7]
 */
export function marksOfStarts(
  leadscrewMm: Rational,
  leadMm: Rational,
  starts: number,
  { teeth, marks }: DialWheel,
): readonly (readonly number[])[] | undefined {
  if (teeth % pitchesBetween(leadscrewMm, leadMm) !== 0) return undefined;
  const found = Array.from({ length: starts }, (_, start) =>
    Array.from({ length: marks }, (_, mark) => mark).filter((mark) => {
      const pitches = rational(mark * teeth).div(marks);
      const gone = leadscrewMm.mul(pitches).div(leadMm).mod(1);
      return Number(pitches.d) === 1 && gone.equals(rational(start).div(starts).mod(1));
    }),
  );
  return found.every((of) => of.length > 0) ? found : undefined;
}

/**
 * How far on the nuts close for another start, in leadscrew pitches from those of the first start: the least of them.
 * @param start 0 for the first @param starts of the thread
 * @returns undefined where the leadscrew has no place for it: then the compound or the spindle gear is shifted
 */
export function pitchesToStart(
  leadscrewMm: Rational,
  leadMm: Rational,
  start: number,
  starts: number,
): number | undefined {
  const every = pitchesBetween(leadscrewMm, leadMm);
  const wanted = rational(start).div(starts).mod(1);
  for (let k = 0; k < Math.min(every, MOST_PITCHES); k++)
    if (leadscrewMm.mul(k).div(leadMm).mod(1).equals(wanted)) return k;
  return undefined;
}
