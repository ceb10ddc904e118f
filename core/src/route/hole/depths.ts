import type { Inside } from '../../part/index.ts';
import { PLACE_MM } from '../../quantity/index.ts';
import { type Drill, pointLengthMm } from '../../tool/index.ts';
import { reachOf, type Workpiece } from '../../work/index.ts';

/** What a drill's point keeps from a floor that is to be flat, mm. */
const KEEP_MM = 0.3;
/** A tool that goes right through runs on so far beyond, mm. */
const BEYOND_MM = 1;

/** Whether a step ends in metal that stays: its floor, or the shoulder of the narrower one behind it. */
export function hasFloor(step: Inside, deeper: Inside | undefined): boolean {
  if (deeper) return Math.max(deeper.leftMm, deeper.rightMm) < step.leftMm - PLACE_MM;
  return step.zFromMm > PLACE_MM;
}

/**
 * How far a tool that leaves its full diameter all the way goes through an open end, zPart, mm: into the slot where the part is cut
 * off its spare stock, else out of the metal.
 */
export function throughToMm(piece: Workpiece): number {
  const slot = piece.marks.find((m) => m.kind === 'cutOff' && m.zToMm <= 0);
  // no farther into the spare stock than the blade takes, where that is enough to be sure of the whole length
  if (slot) return Math.min(-BEYOND_MM, (slot.zFromMm + slot.zToMm) / 2);
  return reachOf(piece).zFromMm - BEYOND_MM;
}

/** How far what is as wide as a step runs on through the wider ones behind it, zPart, mm: to the next floor, or right through. */
export function runsToMm(piece: Workpiece, step: Inside, behind: readonly Inside[]): number {
  const wideMm = Math.max(step.leftMm, step.rightMm);
  let last = step;
  for (const next of behind) {
    if (Math.min(next.leftMm, next.rightMm) < wideMm - PLACE_MM) return last.zFromMm;
    last = next;
  }
  return hasFloor(last, undefined) ? last.zFromMm : throughToMm(piece);
}

/**
 * How far the full diameter of a drill goes in a step of a hole, zPart, mm: right through, to the depth that is drawn, or so far that
 * its point stays clear of a floor that is to be flat. What of the point lies in the narrower hole behind does not count.
 * @param behind steps that follow it, from the face inwards @param behindMm diameter of the hole behind that is there already or drilled before
 */
export function fullDepthMm(
  piece: Workpiece,
  step: Inside,
  behind: readonly Inside[],
  drill: Drill,
  behindMm: number,
): number {
  if (!hasFloor(step, behind[0])) return runsToMm(piece, step, behind);
  if (step.made === 'drilled' && behind.length === 0) return step.zFromMm;
  const inMetalMm = pointLengthMm(drill) * (1 - Math.min(1, behindMm / drill.diameterMm));
  return step.zFromMm + KEEP_MM + inMetalMm;
}
