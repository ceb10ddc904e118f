import { type Holding, onTailCentre } from '../hold/index.ts';
import { bentLineMm, deflectionMm, type Shaft, type Support, shaftOf, thickerFrom } from '../mechanics/index.ts';
import type { Part } from '../part/index.ts';
import { outsides } from '../part/index.ts';
import type { Recorder } from '../working/index.ts';

/** Places along a cut that are tried for the worst bend; the curve is smooth, so a few find it well within the force's own doubt. */
const TRIED = 6;

/** zPart where the work is carried at the headstock: at the jaws, on the centre, at the mandrel's end. */
const originMm = (holding: Holding): number => holding.supportMm ?? holding.jawsMm;

/** How a holding carries the work. */
export function supportOf({ method }: Holding): Support {
  if (method === 'betweenCentres' || method === 'mandrel') return 'centres';
  return onTailCentre(method) ? 'chuckAndCentre' : 'chuck';
}

/** The work as a shaft from where it is carried to the tail with its finished diameters, the thinnest it will be. */
export function finishedShaft(part: Part, holding: Holding, stockMm: number, modulusGPa: number): Shaft {
  const lengths = [];
  const first = outsides(part)[0];
  const from = originMm(holding);
  // before the part: spare stock, or the arbor that it sits on
  const spareMm = holding.method === 'mandrel' ? holding.onMm! : Math.min(stockMm, first?.diameterMm ?? stockMm);
  if (from < 0) lengths.push({ lengthMm: -from, diameterMm: spareMm });
  for (const feature of outsides(part)) {
    const start = Math.max(feature.zFromMm, from);
    if (feature.zToMm - start > 1e-9)
      lengths.push({ lengthMm: feature.zToMm - start, diameterMm: Math.min(stockMm, feature.diameterMm) });
  }
  if (holding.method === 'mandrel') lengths.push({ lengthMm: holding.onMm!, diameterMm: holding.onMm! });
  return shaftOf(lengths, modulusGPa);
}

/** The work while a length is roughed: finished diameters left of a place (zPart), one diameter from there to the tail. */
export function roughingShaft(finished: Shaft, holding: Holding, fromMm: number, diameterMm: number): Shaft {
  return thickerFrom(finished, Math.max(0, fromMm - originMm(holding)), diameterMm);
}

/** Largest error of diameter per newton of radial force along a cut, mm/N. zPart limits of the cut. */
export function worstBendPerN(
  shaft: Shaft,
  holding: Holding,
  zFromMm: number,
  zToMm: number,
): { perN: number; aMm: number } {
  const support = supportOf(holding);
  let worst = { perN: 0, aMm: 0 };
  for (let i = 0; i < TRIED; i++) {
    const z = zFromMm + ((zToMm - zFromMm) * i) / (TRIED - 1);
    const aMm = Math.min(shaft.lengthMm, Math.max(0, z - originMm(holding)));
    const perN = 2 * deflectionMm(shaft, aMm, 1, support);
    if (perN > worst.perN) worst = { perN, aMm };
  }
  return worst;
}

/** Tells the working of a bend at the worst place. */
export function recordBend(shaft: Shaft, holding: Holding, aMm: number, forceN: number, record?: Recorder): void {
  if (record) deflectionMm(shaft, aMm, forceN, supportOf(holding), record);
}

/** The bent line of the work under a cut: places from jaws to tail (zPart) and how far the axis gives way there, mm. */
export interface BentLine {
  readonly atMm: number;
  readonly points: readonly { readonly zMm: number; readonly awayMm: number }[];
}

/** Places at which a bent line is told. */
const DRAWN = 48;

/** How the finished work bends under the cut that bends it most. @param cut its length, and the error of diameter it makes */
export function bentLineOf(
  part: Part,
  holding: Holding,
  stockMm: number,
  modulusGPa: number,
  cut: { readonly zFromMm: number; readonly zToMm: number; readonly bendMm: number },
): BentLine {
  const shaft = finishedShaft(part, holding, stockMm, modulusGPa);
  const { perN, aMm } = worstBendPerN(shaft, holding, cut.zFromMm, cut.zToMm);
  const places = Array.from({ length: DRAWN + 1 }, (_, i) => (shaft.lengthMm * i) / DRAWN);
  // the error of diameter is twice the bend at the tool
  const forceN = perN > 0 ? cut.bendMm / perN : 0;
  const from = originMm(holding);
  const line = bentLineMm(shaft, aMm, forceN, supportOf(holding), places);
  return { atMm: from + aMm, points: places.map((x, i) => ({ zMm: from + x, awayMm: line[i]! })) };
}
