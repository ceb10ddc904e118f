import type { Recorder } from '../working/index.ts';
import { deltaIt5Um, holeJUpper, MAIN_RANGES_MM, shaftJLower } from './standard/hole-deviations.ts';
import { IT_GRADES, itRows } from './standard/it-grades.ts';
import { SHAFT_RANGES_MM, shaftLower, shaftUpper } from './standard/shaft-deviations.ts';

export type ZoneResult =
  | { readonly ok: true; readonly upperUm: number; readonly lowerUm: number }
  | {
      readonly ok: false;
      readonly code: 'limit.zoneUnknown' | 'limit.gradeOutside' | 'limit.sizeOutside' | 'limit.zoneNotForSize';
      readonly limit?: string;
    };

/**
 * Standard tolerance of an IT grade, in µm.
 * @param nominalMm over 0 up to 500
 * @param grade 5 to 13
 * @returns undefined outside the table: never a clamp
 * @source ISO 286-1, table of standard tolerance grades
 * @example itGradeUm(28, 7) // 21
 */
export function itGradeUm(nominalMm: number, grade: number): number | undefined {
  const column = IT_GRADES.indexOf(grade as (typeof IT_GRADES)[number]);
  if (column < 0 || !(nominalMm > 0)) return undefined;
  return itRows.find((row) => nominalMm <= row.upToMm)?.um[column];
}

const mainRange = (nominalMm: number): number => MAIN_RANGES_MM.findIndex((upTo) => nominalMm <= upTo);

/**
 * Deviations of a shaft's tolerance zone from its nominal size, in µm, upper first.
 * @param nominalMm over 0 up to 500
 * @param letter a b c cd d e ef f fg g h j js k m n p r s t u v x y z za zb zc
 * @param grade 5 to 13
 * @returns the deviations, or which of letter, grade or size the standard does not know
 * @source ISO 286-1: es or ei from the table of fundamental deviations, the other by the grade's tolerance
 * @example shaftZone(28, 'h', 7) // { ok: true, upperUm: 0, lowerUm: -21 }
 */
export function shaftZone(nominalMm: number, letter: string, grade: number, record?: Recorder): ZoneResult {
  if (letter !== 'js' && letter !== 'j' && !(letter in shaftUpper) && !(letter in shaftLower))
    return { ok: false, code: 'limit.zoneUnknown', limit: letter };
  if (!IT_GRADES.includes(grade as (typeof IT_GRADES)[number]))
    return { ok: false, code: 'limit.gradeOutside', limit: '5…13' };
  const toleranceUm = itGradeUm(nominalMm, grade);
  const range = SHAFT_RANGES_MM.findIndex((upTo) => nominalMm <= upTo);
  if (toleranceUm === undefined || range < 0) return { ok: false, code: 'limit.sizeOutside', limit: '500 mm' };
  let upperUm: number;
  if (letter === 'js') upperUm = toleranceUm / 2;
  else if (letter === 'j') {
    const lowerUm = shaftJLower[grade]?.[mainRange(nominalMm)];
    if (lowerUm === undefined) return { ok: false, code: 'limit.zoneNotForSize' };
    upperUm = toleranceUm - lowerUm;
  } else if (letter in shaftUpper) {
    // the standard gives a and b only for sizes over 1 mm
    if ((letter === 'a' || letter === 'b') && nominalMm <= 1) return { ok: false, code: 'limit.zoneNotForSize' };
    const given = shaftUpper[letter]![range];
    if (given === null || given === undefined) return { ok: false, code: 'limit.zoneNotForSize' };
    upperUm = -given;
  } else {
    const lowerUm = shaftLower[letter]![range];
    if (lowerUm === null || lowerUm === undefined) return { ok: false, code: 'limit.zoneNotForSize' };
    // k has its positive deviation only in grades 4 to 7; coarser grades start at the nominal size
    upperUm = (letter === 'k' && grade > 7 ? 0 : lowerUm) + toleranceUm;
  }
  const result = { upperUm: upperUm === 0 ? 0 : upperUm, lowerUm: upperUm - toleranceUm };
  record?.({
    code: 'limit.iso286',
    values: { nominalMm, zone: `${letter}${grade}`, toleranceUm, ...result },
    source: 'ISO 286-1',
  });
  return { ok: true, ...result };
}

/** Δ of the fine holes K to ZC: what the grade's tolerance is over that of the grade below, µm. Nothing up to 3 mm. */
function deltaUm(nominalMm: number, grade: number): number {
  if (nominalMm <= 3) return 0;
  if (grade === 5) return deltaIt5Um[mainRange(nominalMm)]!;
  return itGradeUm(nominalMm, grade)! - itGradeUm(nominalMm, grade - 1)!;
}

/** ES of a hole of the letters K to ZC; undefined where the standard gives none. */
function upperOfTightHole(nominalMm: number, letter: string, grade: number, range: number): number | undefined {
  const shaft = shaftLower[letter.toLowerCase()]![range];
  if (shaft === null || shaft === undefined) return undefined;
  if (letter === 'K' && grade > 8) return nominalMm <= 3 ? 0 : undefined;
  // coarse N holes begin at the nominal size; the one M6 that the rule would put 2 µm lower is as the table has it
  if (letter === 'N' && grade > 8) return nominalMm <= 1 ? undefined : nominalMm <= 3 ? -4 : 0;
  if (letter === 'M' && grade === 6 && nominalMm > 250 && nominalMm <= 315) return -9;
  const fine = 'KMN'.includes(letter) ? grade <= 8 : grade <= 7;
  return -shaft + (fine ? deltaUm(nominalMm, grade) : 0);
}

/**
 * Deviations of a hole's tolerance zone from its nominal size, in µm, upper first.
 * @param nominalMm over 0 up to 500
 * @param letter A B C CD D E EF F FG G H J JS K M N P R S T U V X Y Z ZA ZB ZC
 * @param grade 5 to 13
 * @returns the deviations, or which of letter, grade or size the standard does not know
 * @source ISO 286-1: A to H mirror the shafts; K, M, N to IT8 and P to ZC to IT7 are ES = −ei + Δ, Δ = ITn − IT(n−1)
 * @example holeZone(28, 'H', 7) // { ok: true, upperUm: 21, lowerUm: 0 }
 */
export function holeZone(nominalMm: number, letter: string, grade: number, record?: Recorder): ZoneResult {
  const small = letter.toLowerCase();
  if (
    letter !== letter.toUpperCase() ||
    (letter !== 'J' && letter !== 'JS' && !(small in shaftUpper) && !(small in shaftLower))
  )
    return { ok: false, code: 'limit.zoneUnknown', limit: letter };
  if (!IT_GRADES.includes(grade as (typeof IT_GRADES)[number]))
    return { ok: false, code: 'limit.gradeOutside', limit: '5…13' };
  const toleranceUm = itGradeUm(nominalMm, grade);
  const range = SHAFT_RANGES_MM.findIndex((upTo) => nominalMm <= upTo);
  if (toleranceUm === undefined || range < 0) return { ok: false, code: 'limit.sizeOutside', limit: '500 mm' };
  let upperUm: number | undefined;
  if (letter === 'JS') upperUm = toleranceUm / 2;
  else if (letter === 'J') upperUm = holeJUpper[grade]?.[mainRange(nominalMm)];
  else if (small in shaftUpper) {
    const mirrored = shaftZone(nominalMm, small, grade);
    // what the shaft has none of the hole has not either
    upperUm = mirrored.ok ? toleranceUm - mirrored.upperUm : undefined;
  } else upperUm = upperOfTightHole(nominalMm, letter, grade, range);
  if (upperUm === undefined) return { ok: false, code: 'limit.zoneNotForSize' };
  const result = { upperUm: upperUm === 0 ? 0 : upperUm, lowerUm: upperUm - toleranceUm };
  record?.({
    code: 'limit.iso286',
    values: { nominalMm, zone: `${letter}${grade}`, toleranceUm, ...result },
    source: 'ISO 286-1',
  });
  return { ok: true, ...result };
}
