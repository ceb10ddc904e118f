import { areaMm2, intersect, ring } from '../contour/index.ts';
import type { Drawing } from './drawing.ts';
import { contourOf } from './outline.ts';
import type { Part } from './part.ts';
import type { Reader } from './read.ts';
import type { FaceGroove, Surface } from './surface.ts';

/** A floor thinner than this is none, mm. */
const FLOOR_MM = 0.01;
/** Kept clear of the sides of a groove, which may be walls of a hole or of a step, mm. */
const SIDE_MM = 0.01;

/** Whether a groove of that depth has metal under the whole of its floor. */
function hasFloor(part: Part, g: FaceGroove, depthMm: number): boolean {
  const [inner, outer] = [g.innerMm / 2 + SIDE_MM, g.outerMm / 2 - SIDE_MM];
  const floorMm = g.towards === 'left' ? g.zFromMm + depthMm : g.zToMm - depthMm;
  const [from, to] = g.towards === 'left' ? [floorMm, floorMm + FLOOR_MM] : [floorMm - FLOOR_MM, floorMm];
  const under = intersect(contourOf(part), ring(from, to, inner, outer));
  return areaMm2(under) > 0.99 * FLOOR_MM * (outer - inner);
}

/**
 * Grooves in faces leave metal under them.
 * @param outline the part without its grooves
 */
export function checkFaceGrooves(outline: Part, surfaces: readonly Surface[], drawing: Drawing, reader: Reader): void {
  for (const g of surfaces) {
    if (g.kind !== 'faceGroove' || hasFloor(outline, g, g.depthMm)) continue;
    let [some, none] = [0, g.depthMm];
    while (none - some > FLOOR_MM) {
      const middle = (some + none) / 2;
      if (hasFloor(outline, g, middle)) some = middle;
      else none = middle;
    }
    const i = (drawing.ends[g.towards].grooves ?? []).findIndex((d) => d.id === g.id);
    reader.add({
      ...{ code: 'faceGroove.tooDeep', path: ['ends', g.towards, 'grooves', i, 'depth'], value: g.depthMm, unit: 'mm' },
      limit: Number(some.toFixed(2)),
    });
  }
}
