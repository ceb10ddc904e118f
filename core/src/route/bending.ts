import type { CutHold } from '../cutting/index.ts';
import { type Holding, onTailCentre } from '../hold/index.ts';
import { bentLineMm, deflectionMm, type Shaft, type Support, shaftOf, thickerFrom } from '../mechanics/index.ts';
import type { Part } from '../part/index.ts';
import { outsides } from '../part/index.ts';
import type { Operation, PlanInput } from './plan.ts';

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

/**
 * The work while a length is roughed: finished diameters left of a place (zPart), one diameter from there to the tail. A casting is
 * nowhere thicker towards the tail than it will be by much: its finished shape is the safe answer.
 */
export function roughedShaft(
  finished: Shaft,
  { rough }: Pick<PlanInput, 'rough'>,
  holding: Holding,
  fromMm: number,
  diameterMm: number,
): Shaft {
  return rough ? finished : thickerFrom(finished, Math.max(0, fromMm - originMm(holding)), diameterMm);
}

/** How work of that shape is held for a cut along it: carried where it is, cut where it bends most. */
export function cutHold(
  shaft: Shaft,
  holding: Holding,
  cut: { readonly zFromMm: number; readonly zToMm: number; readonly bendAllowedMm: number },
): CutHold {
  const { aMm: atMm } = worstBendPerN(shaft, holding, cut.zFromMm, cut.zToMm);
  return {
    bending: { shaft, support: supportOf(holding), atMm },
    ...{ gripDiameterMm: holding.onMm, jawForceN: holding.forceN, bendAllowedMm: cut.bendAllowedMm },
  };
}

/** What a planned cut was reckoned with: its work as a shaft, and what holds it; undefined for what is no cut along the work. */
export function holdOfCut(input: PlanInput, holding: Holding, operation: Operation): CutHold | undefined {
  const { part, stockMm, material } = input;
  const { loads, targetMm, kind, zFromMm, zToMm } = operation;
  if (!loads || targetMm === undefined) return undefined;
  const finished = finishedShaft(part, holding, stockMm, material.modulusGPa);
  const shaft = kind === 'rough' ? roughedShaft(finished, input, holding, zFromMm, targetMm) : finished;
  return cutHold(shaft, holding, { zFromMm, zToMm, bendAllowedMm: loads.bendAllowedMm });
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
