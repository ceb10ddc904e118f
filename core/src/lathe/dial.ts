import { decimalsOf, MM_PER_IN, PLACE_MM, type Rational, ROUNDING, rational } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import type { Lathe } from './schema.ts';
import type { Dial } from './slide-schema.ts';

/** What one line of a ring is worth: the number it adds, and the slide's true travel. */
export interface DialScale {
  /** number between two lines, in the dial's own unit (on a diameter dial: change of diameter) */
  readonly lineNumber: Rational;
  readonly lineTravelMm: Rational;
  readonly decimals: number;
}

/** Scale of a ring, exact. @example dialScale(dial).lineTravelMm.valueOf() // 0.02 for 2 mm a turn in 100 */
export function dialScale(dial: Dial): DialScale {
  const known = scales.get(dial);
  if (known) return known;
  const scale = scaleOf(dial);
  scales.set(dial, scale);
  return scale;
}
/** Rings are never changed, only replaced: each is worked out once. */
const scales = new WeakMap<Dial, DialScale>();

function scaleOf(dial: Dial): DialScale {
  const travel = rational(dial.travelPerTurn).div(dial.divisions);
  const lineNumber = dial.kind === 'diameter' ? travel.mul(2) : travel;
  return {
    lineNumber,
    lineTravelMm: (dial.unit === 'in' ? travel.mul(MM_PER_IN) : travel).mul(rational(dial.scale ?? 1)),
    decimals: decimalsOf(lineNumber.valueOf()),
  };
}

/**
 * The ring that sets a depth: the cross-slide's, that of a cutter's own screw while the work stands on the slide, or the compound's
 * where it is swung for that.
 */
export const depthRing = ({ slides }: Pick<Lathe, 'slides'>, slide: 'crossSlide' | 'compound' = 'crossSlide'): Dial =>
  slide === 'compound' ? slides.compound : (slides.cutter ?? slides.crossSlide);

/** Highest number on the ring plus one line: where it reads nothing again. */
export function numbersPerTurn(dial: Dial): Rational {
  return dialScale(dial).lineNumber.mul(dial.divisions);
}

/**
 * The figure at the index for a count of lines; whole turns drop out.
 * @param lines count of lines in the sense in which numbers rise, any sign
 * @example dialNumber(dial, 137) // '0.74' on a ring of 100 by 0.02
 */
export function dialNumber(dial: Dial, lines: number): string {
  const { lineNumber, decimals } = dialScale(dial);
  const onRing = ((lines % dial.divisions) + dial.divisions) % dial.divisions;
  // between two lines one more digit is honest; on a line none is
  const between = Math.abs(onRing - Math.round(onRing)) > PLACE_MM ? 1 : 0;
  return (onRing * lineNumber.valueOf()).toFixed(decimals + between);
}

export type DialReading =
  | { readonly ok: true; readonly lines: number }
  | { readonly ok: false; readonly code: 'dial.notANumber' | 'dial.beyondTurn'; readonly limit?: string };

/**
 * Reads a number noted from the ring.
 * @param text plain decimal in the dial's own unit, at least 0 and below one turn
 * @returns lines from the ring's 0, fractions of a line allowed
 */
export function readDialNumber(dial: Dial, text: string): DialReading {
  const clean = text.trim().replace(',', '.');
  if (!/^(\d{1,4}(\.\d{0,5})?|\.\d{1,5})$/.test(clean))
    // with a number that this ring has, as an example
    return { ok: false, code: 'dial.notANumber', limit: dialNumber(dial, Math.round(dial.divisions / 3)) };
  const value = rational(clean.startsWith('.') ? `0${clean}` : clean.replace(/\.$/, ''));
  const whole = numbersPerTurn(dial);
  if (value.compare(whole) >= 0) return { ok: false, code: 'dial.beyondTurn', limit: whole.toString() };
  return { ok: true, lines: value.div(dialScale(dial).lineNumber).valueOf() };
}

/**
 * How fast a hand turns a wheel for a feed, turns a second. At one speed of the hand fewer rpm means more feed a turn.
 * @param mmPerRev feed of the slide for each turn of the spindle
 * A wheel that moves 2 mm a turn: 0.1 mm at 600 rpm is half a turn a second.
 */
export function handTurnsPerSecond(dial: Dial, mmPerRev: number, rpm: number): number {
  const turnMm = dialScale(dial).lineTravelMm.mul(dial.divisions).valueOf();
  return (mmPerRev * rpm) / 60 / turnMm;
}

/** A move as the hand makes it. */
export interface DialMove {
  readonly fromLines: number;
  readonly toLines: number;
  readonly number: string;
  readonly fullTurns: number;
  /** what is left after the full turns, as a number on the ring */
  readonly rest: string;
  readonly hand: 'clockwise' | 'anticlockwise' | 'none';
  /** slide travel that the nearest line misses the wish by, mm, positive when the line goes further `in` */
  readonly offByMm: number;
}

/** +1 when numbers rise while the slide moves in. */
export function senseIn(dial: Dial): 1 | -1 {
  const clockwiseIn = dial.clockwiseMoves === 'in';
  const risesClockwise = dial.numbersRise === 'clockwise';
  return clockwiseIn === risesClockwise ? 1 : -1;
}

/**
 * The move from one place of the ring by a travel of the slide, to the nearest line.
 * @param fromLines where the ring stands, lines in the rising sense
 * @param travelInMm travel of the slide, mm, positive towards the axis (cross-slide) or the chuck (carriage)
 * @param fromOffsetMm how far the slide already is from `fromLines`' place, positive in; for counting turns from elsewhere
 * @returns number, full turns and rest, direction of the hand, and what the line misses
 * @source FIELD 0: dials have unit, kind and sense; slack is taken up by approaching from one side
 */
export function dialMove(dial: Dial, fromLines: number, travelInMm: number, record?: Recorder): DialMove {
  const { lineTravelMm, lineNumber, decimals } = dialScale(dial);
  const line = lineTravelMm.valueOf();
  const sense = senseIn(dial);
  const wanted = fromLines + (sense * travelInMm) / line;
  const toLines = Math.round(wanted + ROUNDING);
  const gone = toLines - fromLines;
  const restLines = Math.abs(gone) % dial.divisions;
  const clockwise = gone > 0 === (dial.numbersRise === 'clockwise');
  const move: DialMove = {
    fromLines,
    toLines,
    number: dialNumber(dial, toLines),
    fullTurns: Math.floor(Math.abs(gone) / dial.divisions + ROUNDING),
    rest: (restLines * lineNumber.valueOf()).toFixed(
      decimals + (Math.abs(restLines - Math.round(restLines)) > PLACE_MM ? 1 : 0),
    ),
    hand: Math.abs(gone) < ROUNDING ? 'none' : clockwise ? 'clockwise' : 'anticlockwise',
    offByMm: Number((sense * (toLines - wanted) * line).toFixed(9)),
  };
  record?.({
    code: 'lathe.dialMove',
    values: {
      travelInMm,
      lineTravelMm: line,
      fromNumber: dialNumber(dial, fromLines),
      toNumber: move.number,
      fullTurns: move.fullTurns,
      rest: move.rest,
    },
  });
  return move;
}
