/** Radians of an angle in degrees; only formulas use radians. */
export function radians(angleDeg: number): number {
  return (angleDeg * Math.PI) / 180;
}
