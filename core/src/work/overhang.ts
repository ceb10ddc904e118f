import { outerProfile } from '../contour/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import { hollowMm, type Workpiece } from './workpiece.ts';

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

/** Gravity, N/kg. */
const G = 9.81;

/** Weight of the metal beyond a place times the distance of its middle from there, N·mm. @param densityKgPerM3 of the metal */
export function weightOutNmm(piece: Pick<Workpiece, 'contour'>, fromMm: number, densityKgPerM3: number): number {
  const { placesMm, radiiMm } = outerProfile(piece.contour);
  return radiiMm.reduce((sum, radiusMm, i) => {
    const [start, end] = [Math.max(fromMm, placesMm[i]!), placesMm[i + 1]!];
    if (end <= start) return sum;
    const middle = (start + end) / 2;
    const areaMm2 = Math.PI * (radiusMm ** 2 - (hollowMm(piece, middle) / 2) ** 2);
    return sum + areaMm2 * (end - start) * densityKgPerM3 * 1e-9 * G * (middle - fromMm);
  }, 0);
}
