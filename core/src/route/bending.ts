import type { Holding } from '../hold/index.ts';
import { deflectionMm, type Shaft, shaftOf, thickerFrom } from '../mechanics/index.ts';
import type { Part } from '../part/index.ts';
import type { Recorder } from '../working/index.ts';

/** Places along a cut that are tried for the worst bend; the curve is smooth, so a few find it well within the force's own doubt. */
const TRIED = 6;

/** The work as a shaft from the jaws to the tail with its finished diameters, the thinnest it will be. */
export function finishedShaft(part: Part, holding: Holding, stockMm: number, modulusGPa: number): Shaft {
  const lengths = [];
  const first = part.features[0];
  if (holding.jawsMm < 0)
    lengths.push({ lengthMm: -holding.jawsMm, diameterMm: Math.min(stockMm, first?.diameterMm ?? stockMm) });
  for (const feature of part.features) {
    const from = Math.max(feature.zFromMm, holding.jawsMm);
    if (feature.zToMm - from > 1e-9)
      lengths.push({ lengthMm: feature.zToMm - from, diameterMm: Math.min(stockMm, feature.diameterMm) });
  }
  return shaftOf(lengths, modulusGPa);
}

/** The work while a length is roughed: finished diameters left of a place (zPart), one diameter from there to the tail. */
export function roughingShaft(finished: Shaft, holding: Holding, fromMm: number, diameterMm: number): Shaft {
  return thickerFrom(finished, Math.max(0, fromMm - holding.jawsMm), diameterMm);
}

/** Largest error of diameter per newton of radial force along a cut, mm/N. zPart limits of the cut. */
export function worstBendPerN(
  shaft: Shaft,
  holding: Holding,
  zFromMm: number,
  zToMm: number,
): { perN: number; aMm: number } {
  const centre = holding.method === 'chuckAndCentre';
  let worst = { perN: 0, aMm: 0 };
  for (let i = 0; i < TRIED; i++) {
    const z = zFromMm + ((zToMm - zFromMm) * i) / (TRIED - 1);
    const aMm = Math.min(shaft.lengthMm, Math.max(0, z - holding.jawsMm));
    const perN = 2 * deflectionMm(shaft, aMm, 1, centre);
    if (perN > worst.perN) worst = { perN, aMm };
  }
  return worst;
}

/** Tells the working of a bend at the worst place. */
export function recordBend(shaft: Shaft, holding: Holding, aMm: number, forceN: number, record?: Recorder): void {
  if (record) deflectionMm(shaft, aMm, forceN, holding.method === 'chuckAndCentre', record);
}
