import type { Contour, Corner } from '../contour/index.ts';

/** From where to where something goes along the axis and on the radius, mm. */
export interface Box {
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly rFromMm: number;
  readonly rToMm: number;
}

/** The box round corners; arcs are within a little of it. */
export function boxOf(corners: Iterable<Corner>): Box {
  let [zFromMm, zToMm, rFromMm, rToMm] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { zMm, rMm } of corners) {
    zFromMm = Math.min(zFromMm, zMm);
    zToMm = Math.max(zToMm, zMm);
    rFromMm = Math.min(rFromMm, rMm);
    rToMm = Math.max(rToMm, rMm);
  }
  return { zFromMm, zToMm, rFromMm, rToMm };
}
/** The box round a whole contour. */
export const boxRound = ({ loops }: Contour): Box => boxOf(loops.flat());

/** Whether two boxes have any metal in common. */
export const meets = (a: Box, b: Box): boolean =>
  a.zFromMm < b.zToMm && b.zFromMm < a.zToMm && a.rFromMm < b.rToMm && b.rFromMm < a.rToMm;
