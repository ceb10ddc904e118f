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

/** Area of a groove so deep: a flat at its bottom and two flanks, whose tangents together are given. mm² */
export const grooveAreaMm2 = (depthMm: number, tipFlatMm: number, tangents: number): number =>
  tipFlatMm * depthMm + (depthMm ** 2 * tangents) / 2;

/** The depth at which a groove has an area, mm; the inverse of {@link grooveAreaMm2}. */
export const depthOfAreaMm = (areaMm2: number, tipFlatMm: number, tangents: number): number =>
  tangents === 0 ? areaMm2 / tipFlatMm : (-tipFlatMm + Math.sqrt(tipFlatMm ** 2 + 2 * tangents * areaMm2)) / tangents;

/**
 * Depths on the radius after each of so many passes that take equal areas, from the surface down.
 * @param depthMm in all @param tangents of both flanks together @param tipFlatMm flat at the tool's point
 * @source a groove with a flat w is w·h + h²·tan α in section: equal parts of it
 */
export function equalAreaDepths(
  depthMm: number,
  passCount: number,
  tangents: number,
  tipFlatMm: number,
): readonly number[] {
  const whole = grooveAreaMm2(depthMm, tipFlatMm, tangents);
  return Array.from({ length: passCount }, (_, i) =>
    i === passCount - 1 ? depthMm : depthOfAreaMm((whole * (i + 1)) / passCount, tipFlatMm, tangents),
  );
}
