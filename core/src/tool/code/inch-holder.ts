import { inchLengthsIn, inchShankLengthsIn } from '../standard/holder-letters.ts';
import { insertShapes } from '../standard/insert-letters.ts';
import { insertSizes, sizeCodeOf } from './insert-sizes.ts';
import { has } from './letters.ts';

/** Shank, length and insert of a holder whose designation counts in inches; lengths in mm. */
export interface InchTail {
  readonly shankHighMm: number;
  readonly shankWideMm: number;
  readonly lengthMm: number | undefined;
  /** of the insert, as the metric designation has it */
  readonly sizeCode: string;
  /** as it is written */
  readonly text: string;
}
const SIXTEENTH = 25.4 / 16;
const mm = (value: number): number => Number(value.toFixed(4));

/** Figures of an insert's inscribed circle in eighths of an inch, in the metric designation's. */
function sizeCode(shape: string, eighths: string): string | undefined {
  if (!has(insertShapes, shape)) return undefined;
  const circleMm = Number(eighths) * 3.175;
  const size = insertSizes(shape).find((s) => Math.abs(s.circleMm - circleMm) < 0.03);
  return size && sizeCodeOf(shape, size.circleMm);
}

/**
 * What follows the five letters of an outside holder in inches: the shank in sixteenths where it is square, or its width in eighths and
 * its height in quarters; the insert's circle in eighths; the length.
 * @returns undefined for what is no such designation
 * @source inch form of ISO 5608: `MCLNR 16-4D` is a square shank of 1 in for a circle of 1/2 in, 6 in long; provenance: recalled
 * @example inchOutside('C', '164D')?.shankHighMm // 25.4
 */
export function inchOutside(shape: string, tail: string): InchTail | undefined {
  const read = /^(\d)(\d)-?(\d(?:\.[258])?)([A-Z])(?![0-9])/.exec(tail);
  if (!read) return undefined;
  const [, first = '', second = '', eighths = '', letter = ''] = read;
  const code = sizeCode(shape, eighths);
  const square = Number(`${first}${second}`);
  // a square shank is one of these; any other pair of figures is width and height
  const isSquare = [4, 5, 6, 8, 10, 12, 16, 20, 24].includes(square);
  if (!code || !has(inchShankLengthsIn, letter)) return undefined;
  const [wide, high] = isSquare
    ? [mm(square * SIXTEENTH), mm(square * SIXTEENTH)]
    : [mm(Number(first) * 2 * SIXTEENTH), mm(Number(second) * 4 * SIXTEENTH)];
  return {
    ...{ shankHighMm: high, shankWideMm: wide, lengthMm: mm(inchShankLengthsIn[letter] * 25.4), sizeCode: code },
    text: `${first}${second}-${eighths}${letter}`,
  };
}

/**
 * Diameter and insert of a boring bar in inches: sixteenths before its length letter, the insert's circle in eighths behind the five
 * letters. @returns undefined where the insert's figures are metric
 * @source inch form of ISO 6261: `S10M-SCLCR 2` is a bar of 5/8 in, 6 in long, for a circle of 1/4 in; provenance: recalled
 * @example inchBar('C', '10', 'M', '2')?.shankHighMm // 15.875
 */
export function inchBar(shape: string, sixteenths: string, letter: string, tail: string): InchTail | undefined {
  const read = /^(\d(?:\.[258])?)(?![0-9.])/.exec(tail);
  const code = read && sizeCode(shape, read[1]!);
  if (!code) return undefined;
  const wide = mm(Number(sixteenths) * SIXTEENTH);
  const inches = has(inchLengthsIn, letter) ? inchLengthsIn[letter] : undefined;
  return {
    ...{ shankHighMm: wide, shankWideMm: wide, lengthMm: inches && mm(inches * 25.4), sizeCode: code, text: read[1]! },
  };
}
