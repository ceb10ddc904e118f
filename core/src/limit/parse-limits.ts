import { z } from 'zod';
import { type LengthUnit, type ProblemCode, parseLength, type Rational, rational } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import { type GeneralClass, generalToleranceMm } from './general.ts';
import { holeZone, shaftZone } from './iso286.ts';

/** Largest and smallest permitted size, millimetres; `how` names the way they were given. */
export const limitsSchema = z.strictObject({
  upperMm: z.number(),
  lowerMm: z.number(),
  how: z.enum(['plusMinus', 'deviations', 'sizes', 'zone', 'general', 'decimals', 'mate', 'thread']),
});
export type Limits = Readonly<z.infer<typeof limitsSchema>>;
export type ParsedLimits =
  | { readonly ok: true; readonly limits: Limits }
  | { readonly ok: false; readonly code: ProblemCode; readonly value: string; readonly limit?: string };

/** Zones of shafts in small letters, of holes in capitals. */
const ZONE = /^(js|cd|ef|fg|z[abc]|[a-hjk-np-vx-z]|JS|CD|EF|FG|Z[ABC]|[A-HJK-NP-VX-Z])\s?(\d{1,2})$/;
/** Whether metal is inside the size, as on a shaft, or around it, as in a hole. */
export type SizeOf = 'outside' | 'inside';

interface Given {
  readonly upper: Rational;
  readonly lower: Rational;
  readonly how: Limits['how'];
}

/** One deviation or size inside a limits text. */
function part(text: string, unit: LengthUnit): Rational | ProblemCode {
  const read = parseLength(text, unit, 'any');
  return read.ok ? read.mm : read.code;
}

function readGiven(text: string, nominal: Rational, unit: LengthUnit): Given | ProblemCode {
  const plusMinus = /^(?:±|\+\/-|\+-)\s*(.+)$/.exec(text);
  if (plusMinus) {
    const half = part(plusMinus[1]!, unit);
    if (typeof half === 'string') return half;
    return half.compare(0) <= 0
      ? 'limit.noTolerance'
      : { upper: nominal.add(half), lower: nominal.sub(half), how: 'plusMinus' };
  }
  // one side alone: the other is the size itself
  if (/^[+-][^/+-]+$/.test(text)) {
    const one = part(text, unit);
    if (typeof one === 'string') return one;
    const zero = rational(0);
    const [upper, lower] = one.compare(0) < 0 ? [zero, one] : [one, zero];
    return { upper: nominal.add(upper), lower: nominal.add(lower), how: 'deviations' };
  }
  // two sizes with a dash between, whichever stands first; a whole number and a fraction are one size
  const between = /^(\d*[.,]\d+|\d+)\s*(?:-|–|…|\.{2,3})\s*(\d*[.,]\d+|\d+)$/.exec(text);
  if (between) {
    const [a, b] = [part(between[1]!, unit), part(between[2]!, unit)];
    if (typeof a === 'string') return a;
    if (typeof b === 'string') return b;
    const [upper, lower] = a.compare(b) < 0 ? [b, a] : [a, b];
    const half = nominal.div(2);
    return lower.compare(half) > 0 ? { upper, lower, how: 'sizes' } : 'limit.notLimits';
  }
  // a slash inside a fraction has digits close on both sides; limits are split at the last slash or blank before a sign
  const pair = /^([+-]?[^/]+?)\s*(?:\/\s*|\s+(?=[+-]))([+-]?[^/]+)$/.exec(text);
  if (!pair) return 'limit.notLimits';
  const first = part(pair[1]!, unit);
  const second = part(pair[2]!, unit);
  if (typeof first === 'string') return first;
  if (typeof second === 'string') return second;
  const sizes = !/[+-]/.test(text) && first.compare(nominal.div(2)) > 0 && second.compare(nominal.div(2)) > 0;
  return {
    upper: sizes ? first : nominal.add(first),
    lower: sizes ? second : nominal.add(second),
    how: sizes ? 'sizes' : 'deviations',
  };
}

/**
 * Reads limits as a drawing gives them: `±0.1`, `+0.02/-0.01`, `-0.05` (0 above), `28.00/27.98` and `27.98-28.00` (sizes), `h7`, or nothing
 * for the drawing's general tolerance.
 * @param text as typed; a unit may follow each figure
 * @param nominal exact nominal size in mm, > 0
 * @param unit unit of figures that name none
 * @param generalClass ISO 2768-1 class that applies where the text is empty
 * @param of outside sizes take the shafts' letters, inside ones the holes'
 * @returns limits in mm, upper above lower, or the fault
 * @example parseLimits('h7', rational(28), 'mm', 'm') // { ok: true, limits: { upperMm: 28, lowerMm: 27.979, how: 'zone' } }
 */
export function parseLimits(
  text: string,
  nominal: Rational,
  unit: LengthUnit,
  generalClass: GeneralClass,
  record?: Recorder,
  of: SizeOf = 'outside',
): ParsedLimits {
  const typed = text.trim().replaceAll('−', '-');
  const nominalMm = nominal.valueOf();
  if (text.length > 64) return { ok: false, code: 'length.tooLong', value: text.slice(0, 64) };
  if (typed === '') {
    const half = generalToleranceMm(nominalMm, generalClass);
    if (half === undefined) return { ok: false, code: 'limit.noGeneral', value: generalClass };
    record?.({ code: 'limit.general', values: { nominalMm, generalClass, halfMm: half }, source: 'ISO 2768-1' });
    return made({ upper: nominal.add(rational(half)), lower: nominal.sub(rational(half)), how: 'general' });
  }
  const zone = ZONE.exec(typed);
  if (zone) {
    const ofHole = zone[1] === zone[1]!.toUpperCase();
    if (ofHole !== (of === 'inside'))
      return { ok: false, code: ofHole ? 'limit.holeZone' : 'limit.shaftZone', value: typed };
    const found = (ofHole ? holeZone : shaftZone)(nominalMm, zone[1]!, Number(zone[2]), record);
    if (!found.ok) return { ok: false, code: found.code, value: typed, limit: found.limit };
    return made({
      upper: nominal.add(rational(found.upperUm).div(1000)),
      lower: nominal.add(rational(found.lowerUm).div(1000)),
      how: 'zone',
    });
  }
  if (/^[a-z]{1,2}\s?\d{1,2}$/i.test(typed)) return { ok: false, code: 'limit.zoneUnknown', value: typed };
  const given = readGiven(typed, nominal, unit);
  if (typeof given === 'string') return { ok: false, code: given, value: typed };
  if (given.upper.compare(given.lower) < 0) return { ok: false, code: 'limit.reversed', value: typed };
  if (given.upper.equals(given.lower)) return { ok: false, code: 'limit.noTolerance', value: typed };
  if (given.lower.compare(0) <= 0) return { ok: false, code: 'limit.belowZero', value: typed };
  return made(given);
}

function made({ upper, lower, how }: Given): ParsedLimits {
  return { ok: true, limits: { upperMm: upper.valueOf(), lowerMm: lower.valueOf(), how } };
}

/** Middle of the limits in mm: where a turner aims so that both sides are equally far. */
export function middleMm(limits: Limits): number {
  return (limits.upperMm + limits.lowerMm) / 2;
}

/** Width of the limits in mm. */
export function toleranceMm(limits: Limits): number {
  return limits.upperMm - limits.lowerMm;
}
