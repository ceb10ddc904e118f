import { outsides } from '../part/index.ts';
import { PLACE_MM } from '../quantity/index.ts';
import { isFinished, standingMm, type Workpiece } from '../work/index.ts';

/** What keeps the fingers of a steady from running at a place: a step, the corners of a bar, its skin. */
export type SteadyFault = 'step' | 'corners' | 'skin';

/** Whether the metal between two places is of one diameter. */
export function isEven(piece: Workpiece, zFromMm: number, zToMm: number): boolean {
  const [first, last] = [standingMm(piece, zFromMm, zFromMm + PLACE_MM), standingMm(piece, zToMm - PLACE_MM, zToMm)];
  const middle = standingMm(piece, zFromMm, zToMm);
  return Math.abs(first - middle) <= PLACE_MM && Math.abs(last - middle) <= PLACE_MM;
}

/**
 * What is wrong with a place for a steady's fingers, which want one straight round length, turned or bright; undefined where nothing is.
 * @source FIELD 2 and practice
 */
export function steadyFault(piece: Workpiece, zFromMm: number, zToMm: number): SteadyFault | undefined {
  if (!isEven(piece, zFromMm, zToMm)) return 'step';
  if (piece.section && standingMm(piece, zFromMm, zToMm) > piece.section.acrossMm + PLACE_MM) return 'corners';
  if (!piece.skinMm) return undefined;
  const there = outsides(piece.part).filter((f) => f.zFromMm < zToMm && zFromMm < f.zToMm);
  return there.every((f) => isFinished(piece, f.id)) ? undefined : 'skin';
}
