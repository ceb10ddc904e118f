import { outerProfile } from '../contour/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import type { Workpiece } from './workpiece.ts';

/**
 * How many diameters stand out beyond a place, counted in the metal that is there: of a stepped piece the thin length counts, not
 * the thick one that it stands on.
 * @param fromMm zPart of the jaws, or of what else carries it
 * @returns the most of (end − begin of a length) / its diameter; 0 where nothing stands out
 * @source FIELD 2
 */
export function diametersOut({ contour }: Pick<Workpiece, 'contour'>, fromMm: number): number {
  const { placesMm, radiiMm } = outerProfile(contour);
  const endMm = placesMm.at(-1) ?? fromMm;
  let most = 0;
  for (const [i, radiusMm] of radiiMm.entries()) {
    const startMm = Math.max(fromMm, placesMm[i]!);
    if (placesMm[i + 1]! > fromMm + ROUNDING && radiusMm > 0) most = Math.max(most, (endMm - startMm) / (2 * radiusMm));
  }
  return most;
}
