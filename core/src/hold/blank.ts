import { type Chuck, chuckReachMm, type Lathe } from '../lathe/index.ts';
import type { Part } from '../part/index.ts';
import { type Problem, rational, sum } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import type { HoldChoice } from './schema.ts';

/** Shortest grip in jaws that is a grip at all, mm. FIELD 2: about 10 */
export const SHORTEST_GRIP_MM = 10;

export interface BlankLine {
  readonly part:
    | 'finished'
    | 'grip'
    | 'clearance'
    | 'faceTail'
    | 'faceHead'
    | 'kerf'
    | 'slot'
    | 'spigotTail'
    | 'spigotHead';
  readonly mm: number;
}
export interface Blank {
  readonly lines: readonly BlankLine[];
  readonly lengthMm: number;
  readonly diameterMm: number;
  readonly gripMm: number;
}

/**
 * Grip length that a bar wants: half its diameter, at least 10 mm, no more than the jaws are long.
 * @source FIELD 2
 */
export function usualGripMm(diameterMm: number, jawLengthMm: number): number {
  return Math.min(jawLengthMm, Math.max(SHORTEST_GRIP_MM, Math.ceil(diameterMm * 0.75)));
}

/** A blade reaches so many of its widths deep before the slot must be wider than it, and how much wider it is then. */
const STRAIGHT_SLOT_WIDTHS = 5;
const WIDENED = 1.6;

/**
 * Width of a parting slot: that of the blade, and wider where it is deep, so that the blade does not rub between its walls.
 * @source shop practice: side by side plunges that overlap by four tenths beyond a depth of five widths
 * @example slotMm(3, 12) // 3
 */
export function slotMm(bladeMm: number, depthMm: number): number {
  return depthMm <= STRAIGHT_SLOT_WIDTHS * bladeMm ? bladeMm : Number((WIDENED * bladeMm).toFixed(6));
}

/** What cutting off takes of the bar: the saw's cut, or the slot as wide as it becomes, mm. */
export function cutOffMm(choice: Pick<HoldChoice, 'cutOff' | 'kerfMm'>, diameterMm: number): number {
  return choice.cutOff === 'slot' ? slotMm(choice.kerfMm, diameterMm / 2) : choice.kerfMm;
}

/** Spigots that stand beyond the finished ends, to be gripped and taken off at last. */
export interface Spigots {
  readonly leftMm: number;
  readonly rightMm: number;
}

/**
 * Length of the blank to cut from the bar, as the sum a turner writes down.
 * On spare stock: finished + facing both ends + cutting off + clearance to the jaws + grip. On the part: finished + facing both ends.
 * @returns the lines, their exact sum in mm, and the grip
 */
export function blankFor(
  part: Part,
  diameterMm: number,
  choice: HoldChoice,
  jawLengthMm: number,
  record?: Recorder,
  spigots: Spigots = { leftMm: 0, rightMm: 0 },
): Blank {
  const gripMm = choice.gripMm > 0 ? choice.gripMm : usualGripMm(diameterMm, jawLengthMm);
  const ends: BlankLine[] = [
    { part: 'finished', mm: part.lengthMm },
    { part: 'faceTail', mm: choice.faceTailMm },
    { part: 'faceHead', mm: choice.faceHeadMm },
    { part: 'spigotTail', mm: spigots.rightMm },
    { part: 'spigotHead', mm: spigots.leftMm },
  ];
  const spare: BlankLine[] =
    choice.gripOn === 'spare'
      ? [
          { part: choice.cutOff === 'slot' ? 'slot' : 'kerf', mm: cutOffMm(choice, diameterMm) },
          { part: 'clearance', mm: choice.clearanceMm },
          { part: 'grip', mm: gripMm },
        ]
      : [];
  const lines = [...ends, ...spare].filter((line) => line.mm > 0);
  const lengthMm = sum(lines.map((line) => rational(line.mm))).valueOf();
  record?.({
    code: 'hold.blank',
    values: { ...Object.fromEntries(lines.map((line) => [`${line.part}Mm`, line.mm])), lengthMm },
  });
  return { lines, lengthMm, diameterMm, gripMm };
}

/** Whether the blank goes into this lathe, comes from this bar, and is gripped enough. Paths point into the job. */
export function checkBlank(
  blank: Blank,
  barLengthMm: number | undefined,
  sawKerfMm: number,
  lathe: Lathe,
  chuck: Chuck,
): Problem[] {
  const problems: Problem[] = [];
  if (barLengthMm !== undefined && blank.lengthMm + sawKerfMm > barLengthMm)
    problems.push({
      code: 'stock.longerThanBar',
      path: ['stock', 'bar'],
      value: blank.lengthMm + sawKerfMm,
      limit: barLengthMm,
      unit: 'mm',
    });
  // what is gripped may reach back into the spindle when it goes through the bore
  const throughBore = blank.diameterMm <= lathe.spindle.boreMm ? blank.gripMm : 0;
  if (blank.lengthMm - throughBore > lathe.sizes.betweenCentresMm)
    problems.push({
      code: 'hold.longerThanLathe',
      path: ['hold', 'lathe'],
      value: blank.lengthMm,
      limit: lathe.sizes.betweenCentresMm,
      unit: 'mm',
    });
  if (blank.diameterMm > lathe.sizes.swingOverCrossSlideMm)
    problems.push({
      code: 'hold.swing',
      path: ['stock', 'diameter'],
      value: blank.diameterMm,
      limit: lathe.sizes.swingOverCrossSlideMm,
      unit: 'mm',
    });
  if (blank.diameterMm > chuckReachMm(chuck))
    problems.push({
      code: 'hold.jaws',
      path: ['stock', 'diameter'],
      value: blank.diameterMm,
      limit: chuckReachMm(chuck),
      unit: 'mm',
    });
  const wantedMm = Math.max(SHORTEST_GRIP_MM, blank.diameterMm / 2);
  if (blank.gripMm < wantedMm)
    problems.push({
      code: 'hold.shortGrip',
      path: ['hold', 'gripMm'],
      value: blank.gripMm,
      limit: wantedMm,
      unit: 'mm',
      severity: 'warning',
    });
  if (blank.gripMm > chuck.jawLengthMm)
    problems.push({
      code: 'hold.longGrip',
      path: ['hold', 'gripMm'],
      value: blank.gripMm,
      limit: chuck.jawLengthMm,
      unit: 'mm',
      severity: 'warning',
    });
  return problems;
}
