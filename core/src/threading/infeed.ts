import { radians } from '../quantity/index.ts';

/** Half the included angle of a form, radians. */
const half = (includedDeg: number): number => radians(includedDeg / 2);

/**
 * What the compound goes for a depth on the radius, set at an angle from the cross-slide's line, and how far the point shifts along the
 * work meanwhile, mm. On a dial that counts the diameter its numbers change by twice the travel.
 * @example byCompound(3, 14.5).travelMm.toFixed(4) // '3.0987'
 */
export function byCompound(
  depthMm: number,
  compoundDeg: number,
): { readonly travelMm: number; readonly alongMm: number } {
  const q = radians(compoundDeg);
  return { travelMm: depthMm / Math.cos(q), alongMm: depthMm * Math.tan(q) };
}

/**
 * What a step of the compound does to the pitch diameter, and what it takes off the trailing flank along the work, mm; by a compound set
 * to half the angle of the form the trailing flank is not cut at all.
 */
export function stepByCompound(
  stepMm: number,
  compoundDeg: number,
  includedDeg: number,
): { readonly pitchDiameterMm: number; readonly trailingMm: number } {
  const [q, a] = [radians(compoundDeg), half(includedDeg)];
  const radialMm = stepMm * Math.cos(q);
  const alongMm = stepMm * Math.sin(q);
  // a groove that only grows deeper widens by the tangent on each side; what it shifts is taken from the trailing one
  return { pitchDiameterMm: -2 * radialMm, trailingMm: radialMm * Math.tan(a) - alongMm };
}

/**
 * Depths on the radius after each of so many passes that take equal areas, from the surface down.
 * @param depthMm in all @param tipFlatMm flat at the tool's point
 * @source a groove with a flat w is w·h + h²·tan α in section: equal parts of it
 */
export function equalAreaDepths(
  depthMm: number,
  passCount: number,
  includedDeg: number,
  tipFlatMm: number,
): readonly number[] {
  const t = Math.tan(half(includedDeg));
  const whole = tipFlatMm * depthMm + depthMm ** 2 * t;
  return Array.from({ length: passCount }, (_, i) => {
    if (i === passCount - 1) return depthMm;
    const part = (whole * (i + 1)) / passCount;
    return (-tipFlatMm + Math.sqrt(tipFlatMm ** 2 + 4 * t * part)) / (2 * t);
  });
}
