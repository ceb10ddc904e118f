import { type LengthUnit, type ProblemCode, parseLength, type Rational, radians, rational } from '../quantity/index.ts';
import { taperNamed } from './named.ts';

/** Change of diameter per length, positive where it falls towards the tailstock; exact where it was typed as a ratio. */
export type ReadTaper =
  | { readonly ok: true; readonly perLength: number; readonly exact?: Rational; readonly name?: string }
  | { readonly ok: false; readonly code: ProblemCode };

const NUMBER = String.raw`\d{1,5}(?:[.,]\d{1,6})?`;
const INCLUDED = /\s*(?:incl\.?|included)$/i;
/** Change of a diameter per length beyond which nothing is a cone any more. */
const MOST = 40;

const plain = (text: string): Rational => rational(text.replace(',', '.'));

/** Degrees of `5°`, `1°26'16"`, `2.5 deg`; undefined where it is no angle. */
function degreesOf(text: string): number | undefined {
  const found = new RegExp(
    String.raw`^(${NUMBER})\s*(?:°|deg)(?:\s*(${NUMBER})\s*['′’])?(?:\s*(${NUMBER})\s*(?:"|″|''|”))?$`,
    'i',
  ).exec(text);
  if (!found) return undefined;
  const [deg, min, sec] = found.slice(1, 4).map((t) => Number((t ?? '0').replace(',', '.')));
  return deg! + min! / 60 + sec! / 3600;
}

/** A length of diameter per foot or inch, or over so many millimetres. */
function perLengthOf(text: string, unit: LengthUnit): ReadTaper | undefined {
  const perInches = /^(.+?)\s*(?:in|"|”)?\s*(?:\/|per)\s*(ft|foot|in|inch)$/i.exec(text);
  if (perInches) {
    const read = parseLength(perInches[1]!, 'in');
    const inches = /^f/i.test(perInches[2]!) ? 12 : 1;
    return read.ok ? said(read.mm.div(rational('25.4')).div(inches)) : { ok: false, code: read.code };
  }
  const same = new RegExp(String.raw`^(${NUMBER})\s*mm\s*\/\s*mm$`, 'i').exec(text);
  if (same) return said(plain(same[1]!));
  const perMetre = new RegExp(String.raw`^(${NUMBER})\s*mm\s*(?:\/|per)\s*m$`, 'i').exec(text);
  if (perMetre) return said(plain(perMetre[1]!).div(1000));
  const over = new RegExp(String.raw`^(.+?)\s*\/\s*(${NUMBER})\s*mm$`, 'i').exec(text);
  if (!over) return undefined;
  const read = parseLength(over[1]!, unit);
  return read.ok ? said(read.mm.div(plain(over[2]!))) : { ok: false, code: read.code };
}

/** Two diameters over a length: `24 to 20 over 80`, `24-20/80`. */
function byEnds(text: string, unit: LengthUnit): ReadTaper | undefined {
  const found =
    /^(.+?)\s*(?:to|→)\s*(.+?)\s*(?:over|on)\s*(.+)$/i.exec(text) ??
    new RegExp(String.raw`^(${NUMBER})\s*-\s*(${NUMBER})\s*\/\s*(${NUMBER})$`).exec(text);
  if (!found) return undefined;
  const [from, to, long] = found.slice(1, 4).map((t) => parseLength(t!, unit));
  for (const read of [from!, to!, long!]) if (!read.ok) return { ok: false, code: read.code };
  if (!from!.ok || !to!.ok || !long!.ok) return undefined;
  if (long!.mm.valueOf() <= 0) return { ok: false, code: 'taper.outOfRange' };
  const share = from!.mm.sub(to!.mm).div(long!.mm);
  return share.valueOf() < 0 ? turned(said(share.neg())) : said(share);
}

function said(exact: Rational): ReadTaper {
  const perLength = exact.valueOf();
  return perLength > 0 && perLength < MOST ? { ok: true, perLength, exact } : { ok: false, code: 'taper.outOfRange' };
}
const turned = (read: ReadTaper): ReadTaper =>
  read.ok ? { ...read, perLength: -read.perLength, ...(read.exact ? { exact: read.exact.neg() } : {}) } : read;

/**
 * Reads a taper: `1:20`, `7:24`, `0.5 in 1000`, `5%`, `5°` to the axis, `10° incl`, `1°26'16"`, `0.6/ft`, `0.05 per inch`,
 * `0.5/100 mm`, `24 to 20 over 80`, or a name as `Morse 3`; a minus before it where it rises towards the tailstock.
 * @returns change of diameter per length
 * @source FIELD 8; 2·tan of the half angle
 * @example readTaper('7:24', 'mm').perLength.toFixed(6) // '0.291667'
 */
export function readTaper(text: string, unit: LengthUnit): ReadTaper {
  const clean = text.trim().replaceAll('−', '-');
  if (clean.startsWith('-')) return turned(readTaper(clean.slice(1), unit));
  const named = taperNamed(clean);
  if (named) return { ok: true, perLength: named.perLength.valueOf(), exact: named.perLength, name: named.name };
  const ratio = new RegExp(String.raw`^(${NUMBER})\s*(?::|\/|\bin\b)\s*(${NUMBER})$`).exec(clean);
  if (ratio) {
    const to = plain(ratio[2]!);
    return to.valueOf() === 0 ? { ok: false, code: 'taper.outOfRange' } : said(plain(ratio[1]!).div(to));
  }
  const percent = new RegExp(String.raw`^(${NUMBER})\s*%$`).exec(clean);
  if (percent) return said(plain(percent[1]!).div(100));
  const deg = degreesOf(clean.replace(INCLUDED, '').trim());
  if (deg !== undefined) {
    const half = INCLUDED.test(clean) ? deg / 2 : deg;
    return half > 0 && half < 87
      ? { ok: true, perLength: perLengthOfHalf(half) }
      : { ok: false, code: 'taper.outOfRange' };
  }
  return perLengthOf(clean, unit) ?? byEnds(clean, unit) ?? { ok: false, code: 'taper.notATaper' };
}

/** Half the included angle of a taper, degrees; of a rising one negative. @example halfDegOf(0.05).toFixed(4) // '1.4321' */
export const halfDegOf = (perLength: number): number => (Math.atan(perLength / 2) * 180) / Math.PI;
/** The taper of a half angle, as a change of diameter per length. */
export const perLengthOfHalf = (halfDeg: number): number => 2 * Math.tan(radians(halfDeg));

/** A taper in every way that it is said. */
export interface TaperSaid {
  readonly perLength: number;
  readonly halfDeg: number;
  readonly includedDeg: number;
  /** of diameter, inches on a foot */
  readonly perFootIn: number;
  readonly percent: number;
  /** 1 to so much */
  readonly ratio: number;
}
/** @source FIELD 8: every one follows from the change of diameter per length */
export function sayTaper(perLength: number): TaperSaid {
  const halfDeg = halfDegOf(perLength);
  return {
    ...{ perLength, halfDeg, includedDeg: 2 * halfDeg, perFootIn: 12 * perLength },
    ...{ percent: 100 * perLength, ratio: 1 / perLength },
  };
}

/** An angle in degrees, minutes and whole seconds. @example inMinutes(1.4321) // { deg: 1, min: 25, sec: 56 } */
export function inMinutes(angleDeg: number): { readonly deg: number; readonly min: number; readonly sec: number } {
  const all = Math.round(Math.abs(angleDeg) * 3600);
  return { deg: Math.floor(all / 3600), min: Math.floor((all % 3600) / 60), sec: all % 60 };
}
