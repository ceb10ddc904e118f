import type { Part } from '../part/index.ts';
import { endFace, spigotAt } from '../part/index.ts';
import { rational, sum } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import type { Allowances } from './allowances.ts';

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
/** The length to cut from a bar, as the sum a turner writes down. */
export interface Blank {
  readonly lines: readonly BlankLine[];
  readonly lengthMm: number;
  readonly diameterMm: number;
  /** gripped on spare stock, mm; 0 where the part itself is gripped */
  readonly spareGripMm: number;
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
export function cutOffMm(allow: Pick<Allowances, 'cutOff' | 'kerfMm'>, diameterMm: number): number {
  return allow.cutOff === 'slot' ? slotMm(allow.kerfMm, diameterMm / 2) : allow.kerfMm;
}

/** What is left to be faced off the end at the headstock: nothing where it is parted off to its length. */
export const facingHeadMm = (part: Part, { cutOff, faceHeadMm }: Pick<Allowances, 'cutOff' | 'faceHeadMm'>): number =>
  cutOff === 'slot' && endFace(part, 'left')?.made === 'parted' ? 0 : faceHeadMm;

/**
 * Length of the blank to cut from the bar.
 * On spare stock: finished + facing both ends + cutting off + clearance to the jaws + grip. On the part: finished + facing both ends.
 * @param part as it lies when it is put in first, with its spigots @param spareGripMm length gripped on spare stock; 0: the part itself is gripped
 * @returns the lines, and their exact sum in mm
 */
export function blankFor(
  part: Part,
  diameterMm: number,
  allow: Allowances,
  spareGripMm: number,
  record?: Recorder,
): Blank {
  const ends: BlankLine[] = [
    { part: 'finished', mm: part.lengthMm },
    { part: 'faceTail', mm: allow.faceTailMm },
    { part: 'faceHead', mm: facingHeadMm(part, allow) },
    { part: 'spigotTail', mm: spigotAt(part, 'right')?.lengthMm ?? 0 },
    { part: 'spigotHead', mm: spigotAt(part, 'left')?.lengthMm ?? 0 },
  ];
  const spare: BlankLine[] =
    spareGripMm > 0
      ? [
          { part: allow.cutOff === 'slot' ? 'slot' : 'kerf', mm: cutOffMm(allow, diameterMm) },
          { part: 'clearance', mm: allow.clearanceMm },
          { part: 'grip', mm: spareGripMm },
        ]
      : [];
  const lines = [...ends, ...spare].filter((line) => line.mm > 0);
  const lengthMm = sum(lines.map((line) => rational(line.mm))).valueOf();
  record?.({
    code: 'hold.blank',
    values: { ...Object.fromEntries(lines.map((line) => [`${line.part}Mm`, line.mm])), lengthMm },
  });
  return { lines, lengthMm, diameterMm, spareGripMm };
}

/** How far a blank goes beyond the spare stock that it is gripped by, mm. */
export const beyondGripMm = (part: Part, diameterMm: number, allow: Allowances): number =>
  Number((blankFor(part, diameterMm, allow, 1).lengthMm - 1).toFixed(6));
