/**
 * A corner of an outline in zPart and radius, mm. `bulge`: the way to the next corner is an arc; the tangent of a quarter of
 * its angle, positive where it turns left on the way.
 */
export interface Corner {
  readonly zMm: number;
  readonly rMm: number;
  readonly bulge?: number;
}
/** Tangent of an eighth of a turn: the bulge of a quarter circle. */
export const QUARTER = Math.SQRT2 - 1;

/** Centre and radius of an arc between two corners, and the angles where it begins and how far it turns, radians. */
export function arcOf(a: Corner, b: Corner, bulge: number) {
  const sweep = 4 * Math.atan(bulge);
  const chord = Math.hypot(b.zMm - a.zMm, b.rMm - a.rMm);
  const radius = (chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge));
  // from the middle of the chord to the centre, along its left normal
  const off = (chord * (1 - bulge * bulge)) / (4 * bulge);
  const centreZ = (a.zMm + b.zMm) / 2 - ((b.rMm - a.rMm) / chord) * off;
  const centreR = (a.rMm + b.rMm) / 2 + ((b.zMm - a.zMm) / chord) * off;
  return { radius, centreZ, centreR, from: Math.atan2(a.rMm - centreR, a.zMm - centreZ), sweep };
}
