import { type ProblemCode, ROUNDING } from '../quantity/index.ts';
/** Length and end of a taper as far as three of its four sizes give them; how far four disagree at the end. */
export interface SolvedTaper {
  readonly lengthMm: number;
  readonly endMm: number;
  readonly disagreeMm?: number;
}
/** Whether enough was given to know the taper. */
export function isSolvedTaper(solved: SolvedTaper | undefined): solved is SolvedTaper {
  return solved !== undefined;
}

/**
 * Solves a taper from three of: diameter at its left end, at its right end, length, change of diameter per length.
 * @param perLength positive where the diameter falls towards the right
 * @returns undefined while it cannot be known, or would end at less than nothing
 * @source D − d = taper × length
 */
export function solveTaper(
  startMm: number | undefined,
  endMm: number | undefined,
  lengthMm: number | undefined,
  perLength: number | undefined,
): SolvedTaper | undefined {
  if (startMm === undefined) return undefined;
  if (endMm !== undefined && lengthMm !== undefined)
    return {
      lengthMm,
      endMm,
      ...(perLength === undefined ? {} : { disagreeMm: Math.abs(startMm - perLength * lengthMm - endMm) }),
    };
  if (perLength === undefined) return undefined;
  if (endMm !== undefined) {
    const solved = (startMm - endMm) / perLength;
    return solved > 0 ? { lengthMm: solved, endMm } : undefined;
  }
  if (lengthMm === undefined) return undefined;
  const end = startMm - perLength * lengthMm;
  return end >= 0 ? { lengthMm, endMm: end } : undefined;
}

/**
 * Length along Z of a ball between its neighbours.
 * @param leftMm, rightMm diameters of the neighbours where they meet it; 0 at the end of the part
 * @returns undefined when a neighbour is larger than the ball
 * @source √(R² − r²) to either side of its centre
 * @example ballLengthMm(20, 0, 12) // 18
 */
export function ballLengthMm(diameterMm: number, leftMm: number, rightMm: number): number | undefined {
  const [r, a, b] = [diameterMm / 2, leftMm / 2, rightMm / 2];
  return a >= r || b >= r ? undefined : Math.sqrt(r * r - a * a) + Math.sqrt(r * r - b * b);
}

/**
 * Where the middle of an arc stands, from its left end along Z and from the axis, mm; it stands beyond the chord where the arc is hollow.
 * @source the perpendicular on the middle of the chord
 */
function arcMiddle(
  { leftMm, rightMm, lengthMm, radiusMm }: ArcSizes,
  beyond: boolean,
): { readonly zMm: number; readonly rMm: number } {
  const [a, b] = [leftMm / 2, rightMm / 2];
  const chord = Math.hypot(lengthMm, b - a);
  const off = Math.sqrt(Math.max(0, radiusMm ** 2 - (chord / 2) ** 2)) * (beyond ? 1 : -1);
  return { zMm: lengthMm / 2 - ((b - a) / chord) * off, rMm: (a + b) / 2 + (lengthMm / chord) * off };
}

/** An arc between two diameters, mm. */
export interface ArcSizes {
  readonly leftMm: number;
  readonly rightMm: number;
  readonly lengthMm: number;
  readonly radiusMm: number;
}

/** The largest diameter of an arc that bulges away from the axis, mm. @example arcLargestMm({ leftMm: 12, rightMm: 12, lengthMm: 16, radiusMm: 10 }) // 20 */
export function arcLargestMm(arc: ArcSizes): number {
  const { zMm, rMm } = arcMiddle(arc, false);
  return zMm >= 0 && zMm <= arc.lengthMm ? 2 * (rMm + arc.radiusMm) : Math.max(arc.leftMm, arc.rightMm);
}

/**
 * Whether an arc of that radius goes from one end to the other without meeting the axis.
 * @returns what is wrong, with the least radius in mm
 */
export function arcLengthFits(
  arc: ArcSizes,
  hollow: boolean,
): { readonly code: ProblemCode; readonly limitMm: number } | undefined {
  const [a, b] = [arc.leftMm / 2, arc.rightMm / 2];
  const chord = Math.hypot(arc.lengthMm, b - a);
  if (arc.radiusMm < chord / 2 - ROUNDING) return { code: 'arc.tooSmall', limitMm: Number((chord / 2).toFixed(3)) };
  if (!hollow) return undefined;
  // the lowest point of a hollow arc, where its centre stands over it
  const middle = arcMiddle(arc, true);
  const lowest = middle.zMm >= 0 && middle.zMm <= arc.lengthMm ? middle.rMm - arc.radiusMm : Math.min(a, b);
  return lowest <= 0 ? { code: 'arc.meetsAxis', limitMm: Number(lowest.toFixed(3)) } : undefined;
}
