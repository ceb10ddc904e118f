import { type LengthUnit, type ProblemCode, parseLength, radians } from '../quantity/index.ts';

/** Change of diameter per length, positive where it falls towards the tailstock. */
export type ReadTaper =
  | { readonly ok: true; readonly perLength: number }
  | { readonly ok: false; readonly code: ProblemCode };

/**
 * Reads a taper: `1:20`, `7:24`, `5°` to the axis, `10° incl`, `0.6/ft`; a minus before it where it rises towards the tailstock.
 * @returns change of diameter per length
 * @source FIELD 8: angle, per foot, 1:x; 2·tan of the half angle
 * @example readTaper('1:20', 'mm') // { ok: true, perLength: 0.05 }
 */
export function readTaper(text: string, unit: LengthUnit): ReadTaper {
  const clean = text.trim().replaceAll('−', '-');
  const rises = clean.startsWith('-');
  const bare = rises ? clean.slice(1).trim() : clean;
  const signed = (perLength: number): ReadTaper =>
    Number.isFinite(perLength) && perLength > 0 && perLength < 40
      ? { ok: true, perLength: rises ? -perLength : perLength }
      : { ok: false, code: 'taper.outOfRange' };
  const ratio = /^(\d{1,4}(?:[.,]\d{1,5})?)\s*:\s*(\d{1,4}(?:[.,]\d{1,5})?)$/.exec(bare);
  if (ratio) return signed(Number(ratio[1]!.replace(',', '.')) / Number(ratio[2]!.replace(',', '.')));
  const angle = /^(\d{1,3}(?:[.,]\d{1,5})?)\s*(?:°|deg)\s*(incl\.?|included)?$/i.exec(bare);
  if (angle) {
    const halfDeg = Number(angle[1]!.replace(',', '.')) / (angle[2] ? 2 : 1);
    return halfDeg < 87 ? signed(2 * Math.tan(radians(halfDeg))) : { ok: false, code: 'taper.outOfRange' };
  }
  const perFoot = /^(.+?)\s*\/\s*ft$/i.exec(bare);
  if (perFoot) {
    const read = parseLength(perFoot[1]!, 'in');
    return read.ok ? signed(read.mm.valueOf() / 304.8) : { ok: false, code: read.code };
  }
  const perLength = /^(.+?)\s*\/\s*(\d+(?:\.\d+)?)\s*mm$/i.exec(bare);
  if (perLength) {
    const read = parseLength(perLength[1]!, unit);
    return read.ok ? signed(read.mm.valueOf() / Number(perLength[2])) : { ok: false, code: read.code };
  }
  return { ok: false, code: 'taper.notATaper' };
}
