import type { Part } from '../part/index.ts';

/**
 * Half outline of a part, from the axis at its left end over all faces, cylinders and chamfers to the axis at its right end.
 * @returns points [zPart, radius] in mm
 */
export function halfOutline(part: Part): readonly (readonly [number, number])[] {
  const points: [number, number][] = [];
  const first = part.features[0];
  const last = part.features.at(-1);
  if (!first || !last) return points;
  points.push([first.zFromMm, 0]);
  for (const f of part.features) {
    const r = f.diameterMm / 2;
    if (f.left) points.push([f.zFromMm, r - f.left.depthMm], [f.zFromMm + f.left.lengthMm, r]);
    else points.push([f.zFromMm, r]);
    if (f.right) points.push([f.zToMm - f.right.lengthMm, r], [f.zToMm, r - f.right.depthMm]);
    else points.push([f.zToMm, r]);
  }
  points.push([last.zToMm, 0]);
  return points;
}
