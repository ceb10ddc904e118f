import { radians } from '../quantity/index.ts';

/**
 * What a tool off the lathe's axis makes of a cone: a hollow one that is true where it was sized, mm on the diameter at its other end.
 * Above or below is the same.
 * @param sizedMm diameter at which it was sized @param lengthMm from there to the other end, where it is smaller
 * @returns how much larger the other end is
 * @source the point runs straight at a height h: r = √(x² + h²), x falling by tan α
 */
export function heightErrorMm(sizedMm: number, halfDeg: number, lengthMm: number, heightMm: number): number {
  const x = Math.sqrt(Math.max(0, (sizedMm / 2) ** 2 - heightMm ** 2));
  const there = x - lengthMm * Math.tan(radians(halfDeg));
  return 2 * (Math.hypot(there, heightMm) - (sizedMm / 2 - lengthMm * Math.tan(radians(halfDeg))));
}
