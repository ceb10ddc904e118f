import { type Dial, depthRing, dialNumber, dialScale, type Fineness, type Lathe, senseIn } from '../../lathe/index.ts';
import type { Sign } from '../../mechanics/index.ts';
import { PLACE_MM, ROUNDING } from '../../quantity/index.ts';
import type { Rings } from '../state.ts';

/**
 * A move as both hands make it, in their order: away from the metal by whole turns, so that the slack is taken up, then to a number.
 * Away is outwards from an outside and inwards from the wall of a hole: there the hands go the other way round.
 */
export interface Hands {
  readonly slide: 'crossSlide' | 'compound';
  readonly fromLines: number;
  readonly toLines: number;
  /** number that the ring stands at now, and still after whole turns away */
  readonly now: string;
  readonly number: string;
  readonly outTurns: number;
  readonly outHand: 'clockwise' | 'anticlockwise';
  /** then towards the metal: whole turns and the rest, as a number on the ring */
  readonly fullTurns: number;
  readonly rest: string;
  readonly hand: 'clockwise' | 'anticlockwise';
  /** which way the slide goes as it cuts deeper; missing in answers of earlier versions: in */
  readonly cuts?: 'in' | 'out';
}

/** A number on a ring; half a line shows no digit more than it needs. */
export function ringNumber(dial: Dial, lines: number): string {
  const text = dialNumber(dial, lines);
  const { decimals } = dialScale(dial);
  return (text.split('.')[1]?.length ?? 0) > decimals && text.endsWith('0') ? text.slice(0, -1) : text;
}

/** What of the compound's travel goes across at the fine angle. */
export const FINE_SHARE = 0.1;

/** Radius at the tool by the rings, mm, from where both stand at 0; smaller when wound in. */
export function placeOf(lathe: Pick<Lathe, 'slides'>, rings: Rings): number {
  const { compound } = lathe.slides;
  const crossSlide = depthRing(lathe);
  const cross = senseIn(crossSlide) * rings.crossSlide * dialScale(crossSlide).lineTravelMm.valueOf();
  const fine =
    rings.compound === undefined
      ? 0
      : senseIn(compound) *
        rings.compound *
        dialScale(compound).lineTravelMm.valueOf() *
        (rings.acrossShare ?? FINE_SHARE);
  return -(cross + fine);
}

/** Lines of a ring for a place of the tool, on a mark of it, while the other ring stays. */
export function linesFor(lathe: Pick<Lathe, 'slides'>, fineness: Fineness, placeMm: number, rings: Rings): number {
  const zero = placeOf(lathe, { ...rings, [fineness.slide]: 0 });
  const marks = (zero - placeMm) / (senseIn(depthRing(lathe, fineness.slide)) * fineness.lineMm) / fineness.everyLines;
  return Math.round(marks) * fineness.everyLines;
}

/**
 * The move of a ring from where it stands to a line of it, come to from where there is no metal.
 * @param sign +1 outside, −1 in a hole: what is deeper there lies farther out
 * @source FIELD 0, slack; inside work reverses the hand
 */
export function handsTo(
  lathe: Pick<Lathe, 'slides'>,
  slide: Hands['slide'],
  fromLines: number,
  toLines: number,
  sign: Sign = 1,
): Hands {
  const dial = depthRing(lathe, slide);
  const { lineTravelMm, lineNumber, decimals } = dialScale(dial);
  const lineMm = lineTravelMm.valueOf();
  const sense = sign * senseIn(dial);
  const inLines = sense * (toLines - fromLines);
  const slackLines = dial.slackMm / lineMm;
  const outTurns = Math.max(1, Math.ceil((slackLines - inLines) / dial.divisions + ROUNDING));
  const gone = inLines + outTurns * dial.divisions;
  const hand = (dial.clockwiseMoves === 'in') === (sign === 1) ? 'clockwise' : 'anticlockwise';
  const restLines = gone % dial.divisions;
  const between = Math.abs(restLines - Math.round(restLines)) > PLACE_MM ? 1 : 0;
  const rest = (restLines * lineNumber.valueOf()).toFixed(decimals + between);
  return {
    ...{ slide, fromLines, toLines, outTurns, hand, ...(sign === 1 ? {} : { cuts: 'out' as const }) },
    now: ringNumber(dial, fromLines),
    number: ringNumber(dial, toLines),
    outHand: hand === 'clockwise' ? 'anticlockwise' : 'clockwise',
    fullTurns: Math.floor(gone / dial.divisions + ROUNDING),
    rest: between === 1 && rest.endsWith('0') ? rest.slice(0, -1) : rest,
  };
}
