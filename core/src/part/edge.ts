import {
  type DecimalLimits,
  decimalTolerance,
  type GeneralClass,
  generalEdgeToleranceMm,
  type Limits,
  parseLimits,
} from '../limit/index.ts';
import { type LengthUnit, type ProblemCode, parseLength, type Rational, radians } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';

/** A chamfer: length along Z and angle from Z; `depthMm` is the change of radius; limits are of the length. */
export interface Chamfer {
  readonly lengthMm: number;
  readonly angleDeg: number;
  readonly depthMm: number;
  /** undefined where neither the drawing nor the general tolerance gives any */
  readonly limits?: Limits;
}
export type ReadEdge =
  | { readonly ok: true; readonly chamfer: Chamfer | undefined; readonly roundMm?: number }
  | { readonly ok: false; readonly code: ProblemCode };

/**
 * Change of radius over a chamfer, mm.
 * @param angleDeg from Z
 */
export function chamferDepthMm(lengthMm: number, angleDeg: number, record?: Recorder): number {
  const depthMm = Number((lengthMm * Math.tan(radians(angleDeg))).toFixed(9));
  record?.({ code: 'part.chamfer', values: { lengthMm, angleDeg, depthMm } });
  return depthMm;
}

function limitsOf(
  text: string | undefined,
  size: Rational,
  unit: LengthUnit,
  generalClass: GeneralClass,
  record: Recorder | undefined,
  decimals: { readonly rows: DecimalLimits; readonly written: string } | undefined,
): { readonly limits?: Limits } | ProblemCode {
  if (text !== undefined) {
    const read = parseLimits(text, size, unit, generalClass, record);
    return read.ok ? { limits: read.limits } : read.code;
  }
  const nominalMm = size.valueOf();
  if (decimals) {
    const halfMm = decimalTolerance(decimals.written, decimals.rows, record)?.valueOf();
    if (halfMm === undefined) return {};
    return { limits: { upperMm: nominalMm + halfMm, lowerMm: Math.max(0, nominalMm - halfMm), how: 'decimals' } };
  }
  const halfMm = generalEdgeToleranceMm(nominalMm, generalClass);
  // the widest class would let the smallest chamfers vanish: an edge stays broken
  if (halfMm === undefined) return {};
  record?.({ code: 'limit.general', values: { nominalMm, generalClass, halfMm }, source: 'ISO 2768-1, broken edges' });
  return { limits: { upperMm: nominalMm + halfMm, lowerMm: Math.max(0, nominalMm - halfMm), how: 'general' } };
}

/**
 * Reads an edge: nothing (edge only broken), `1`, `1x45`, `0.5×30°`, and its limits after a blank: `1x45 ±0.1`; or a round:
 * `R2`, on an edge that sticks out or in the corner of a shoulder.
 * @param generalClass ISO 2768-1 class where no limits are given
 * @param decimals the shop's tolerances by decimals, which then stand in the place of ISO 2768-1
 * @example readEdge('0.3x45', 'mm', 'm') // { ok: true, chamfer: { lengthMm: 0.3, angleDeg: 45, depthMm: 0.3 } }
 */
export function readEdge(
  text: string,
  unit: LengthUnit,
  generalClass: GeneralClass,
  record?: Recorder,
  decimals?: DecimalLimits,
): ReadEdge {
  const clean = text.trim();
  if (clean === '') return { ok: true, chamfer: undefined };
  if (/^r/i.test(clean)) {
    const round = parseLength(clean.slice(1), unit);
    return round.ok
      ? { ok: true, chamfer: undefined, roundMm: round.mm.valueOf() }
      : { ok: false, code: round.code === 'length.notALength' ? 'edge.notAnEdge' : round.code };
  }
  const [, sizes = '', given] = /^(.*?)(?:\s+([±+−-].*|0\s*\/.*))?$/.exec(clean) ?? [];
  const [size = '', angle, more] = sizes.split(/\s*[x×]\s*/i);
  const read = parseLength(size, unit);
  if (!read.ok) return { ok: false, code: read.code };
  if (more !== undefined || (angle !== undefined && !/^\d{1,2}(\.\d+)?°?$/.test(angle)))
    return { ok: false, code: 'edge.notAnEdge' };
  const angleDeg = angle === undefined ? 45 : Number(angle.replace('°', ''));
  if (angleDeg < 5 || angleDeg > 85) return { ok: false, code: 'edge.angle' };
  const limits = limitsOf(given, read.mm, unit, generalClass, record, decimals && { rows: decimals, written: size });
  if (typeof limits === 'string') return { ok: false, code: limits };
  const lengthMm = read.mm.valueOf();
  return {
    ok: true,
    chamfer: { lengthMm, angleDeg, depthMm: chamferDepthMm(lengthMm, angleDeg, record), ...limits },
  };
}
