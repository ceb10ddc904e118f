import { type Limits, middleMm } from '../../limit/index.ts';
import type { Sign } from '../../mechanics/index.ts';
import { type Inside, isConeLength, type Outside } from '../../part/index.ts';
import { halfDegOf } from '../../taper/index.ts';

/** A cone as it is cut from the tailstock's end. Lengths in mm. */
export interface ConeCut {
  readonly on: Outside | Inside;
  readonly sign: Sign;
  /** change of diameter per length, and half the included angle, degrees; never negative */
  readonly perLength: number;
  readonly halfDeg: number;
  readonly lengthMm: number;
  /** limits of the diameter at its end towards the tail, where its cut begins */
  readonly limits: Limits;
  /** how far from there the size is that the drawing gives */
  readonly gaugeFromTailMm: number;
}

/** Whether a round surface is a cone. */
export const isCone = (on: Outside | Inside): boolean =>
  on.side === 'outside' ? isConeLength(on as Outside) : on.kind === 'taper';
/** Whether it falls towards the tail outside, or opens to it in a hole: only so a tool goes along it from there. */
export const fallsToTail = (on: Outside | Inside): boolean =>
  on.side === 'outside' ? on.leftMm > on.rightMm : on.rightMm > on.leftMm;

/** A cone with its limits where its cut begins; undefined for what is none, or goes the other way. */
export function coneOf(on: Outside | Inside): ConeCut | undefined {
  if (!isCone(on) || !fallsToTail(on)) return undefined;
  const lengthMm = on.zToMm - on.zFromMm;
  const perLength = Math.abs(on.leftMm - on.rightMm) / lengthMm;
  // limits are of the diameter that was typed, at one of its ends
  const typed = middleMm(on.limits);
  const atHead = Math.abs(on.leftMm - typed) < Math.abs(on.rightMm - typed);
  const byMm = atHead ? on.rightMm - on.leftMm : 0;
  const { limits } = on;
  return {
    ...{ on, perLength, lengthMm, sign: on.side === 'outside' ? 1 : -1, halfDeg: halfDegOf(perLength) },
    limits: { ...limits, lowerMm: limits.lowerMm + byMm, upperMm: limits.upperMm + byMm },
    gaugeFromTailMm: atHead ? lengthMm : 0,
  };
}
