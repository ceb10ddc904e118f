import { z } from 'zod';
import { fitness } from '../gauge/index.ts';
import { FINE_ANGLE_SHARE, type Fineness, guardMm, TOUCH_MM } from '../lathe/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';

/**
 * Schools of the last cuts: as the limits ask; two really equal ones, measured before and between; a large one and one half as deep;
 * short trial cuts until the dial is right, then the run; close by the rougher, then one.
 */
export const LAST_CUTS = ['byLimits', 'equal', 'halved', 'trial', 'single'] as const;
/** What a turner wants of the last cuts; what is left for them on the diameter, mm, as is usual where it is not given. */
export const lastCutsSchema = z.strictObject({
  school: z.enum(LAST_CUTS),
  leaveMm: z.number().min(0.05).max(3).optional(),
  /** how the shop says an allowance: on the diameter where it is not given, or on each side */
  told: z.enum(['diameter', 'side']).optional(),
});
export type LastCutsWanted = Readonly<z.infer<typeof lastCutsSchema>>;
/** Close by the rougher: so much is left for one cut, on the diameter, mm. FIELD 4 d */
const ALLOWANCE_CLOSE_MM = 0.25;

/** Left on the diameter for the last cuts, mm: within FIELD 4's 0.4 to 0.8, more where two equal cuts with a measurement follow. */
const ALLOWANCE_TWO_CUTS_MM = 0.8;
const ALLOWANCE_ONE_CUT_MM = 0.5;
/** Where it is measured after roughing anyway: shallower last cuts spring less, and what springs less is known better. */
const ALLOWANCE_FINE_MM = 0.4;
/** Depth of each cut by the swung compound, mm of radius: its angle is only right to some hundredths. */
const COMPOUND_CUT_MM = 0.05;
/** How surely roughed metal is known that was not measured, half-width on the radius, mm: touch, and some spring. */
const UNMEASURED_MM = 0.03;

/** How a diameter is brought to size. */
export interface LastCuts {
  readonly kind: 'planned';
  /** the first of two takes two thirds; a trial cut goes before the run */
  readonly larger?: true;
  readonly trialFirst?: true;
  readonly fineness: Fineness;
  /** two really equal ones with a measurement between, or one */
  readonly cuts: 1 | 2;
  /** measured after roughing, so that the two are really equal */
  readonly afterRough: boolean;
  /** what is left on the diameter for the cross-slide's cut before the compound takes over, mm; none without it */
  readonly nearMm?: number;
  /** left on the diameter by roughing, mm */
  readonly allowanceMm: number;
}
/** It cannot be brought to size with this ring, this gauge or this edge, and is not cut in hope. */
export interface TooFine {
  readonly kind: 'tooFine';
  readonly why: 'ring' | 'gauge' | 'edge';
}

/** What the last cuts are decided from. Lengths in mm. */
export interface LastCutsWish {
  /** on the diameter */
  readonly toleranceMm: number;
  /** metal over the wanted diameter before the last cuts, on the diameter */
  readonly roomMm: number;
  /** of the gauge, half-width at k = 2 on the diameter */
  readonly uncertaintyMm: number;
  /** a listed gauge may judge down to four times its uncertainty; one that nobody listed is not held to that */
  readonly listed: boolean;
  readonly finenesses: readonly Fineness[];
  /** bound of the spring here */
  readonly highestShare: number;
  /** of the finishing edge, on the radius */
  readonly shallowestMm: number;
  readonly wanted?: LastCutsWanted | undefined;
}

/** Guard of a way of setting; by the compound with its angle's doubt. */
function guardOf(f: Fineness, { uncertaintyMm }: LastCutsWish, shallowestMm: number): number {
  const cutMm = Math.max(COMPOUND_CUT_MM, shallowestMm);
  return guardMm(uncertaintyMm, f.setMm, f.slide === 'compound' ? FINE_ANGLE_SHARE * cutMm : 0);
}

/**
 * Decides how a diameter is brought to size: the plainest way of setting that leaves a mark inside the limits with the guard, how
 * many cuts, and how many measurements, from the tolerance against the worst that can come.
 * @returns why not, where neither ring nor compound nor gauge is fine enough
 * @source FIELD 13: too coarse is known when planning: step of the ring > tolerance − 3·√(u_read² + 2·u_set²), on the diameter
 */
export function lastCutsFor(wish: LastCutsWish, record?: Recorder): LastCuts | TooFine {
  const { toleranceMm, roomMm, uncertaintyMm, highestShare, shallowestMm } = wish;
  if (wish.listed && fitness(toleranceMm, uncertaintyMm) === 'tooCoarse') return { kind: 'tooFine', why: 'gauge' };
  const fitsWith = (edgeMm: number) => (f: Fineness) =>
    2 * f.stepMm <= toleranceMm - 2 * guardOf(f, wish, edgeMm) + ROUNDING;
  const fits = fitsWith(shallowestMm);
  const fineness = wish.finenesses.find(fits);
  for (const f of wish.finenesses) {
    record?.({
      code: 'route.fineness',
      values: {
        means: f.means,
        stepMm: 2 * f.stepMm,
        toleranceMm,
        guardMm: 2 * guardOf(f, wish, shallowestMm),
        does: fits(f) ? 'yes' : 'no',
      },
      source: 'guard 3·√(u_read² + 2·u_set²)',
    });
    if (f === fineness) break;
  }
  if (!fineness) {
    if (toleranceMm <= 2 * guardMm(uncertaintyMm, 0)) return { kind: 'tooFine', why: 'gauge' };
    return { kind: 'tooFine', why: wish.finenesses.some(fitsWith(0)) ? 'edge' : 'ring' };
  }
  const byCompound = fineness.slide === 'compound';
  // an edge that wants a deeper cut than the angle can be trusted for
  if (byCompound && shallowestMm > 2 * COMPOUND_CUT_MM) return { kind: 'tooFine', why: 'edge' };
  const guard = guardOf(fineness, wish, shallowestMm);
  const room = Number(roomMm.toFixed(9));
  const quarter = toleranceMm / 4;
  const oneCut = TOUCH_MM + guard + fineness.stepMm / 2 + (highestShare / 2) * (ALLOWANCE_ONE_CUT_MM / 2);
  const school = byCompound ? 'byLimits' : (wish.wanted?.school ?? 'byLimits');
  const two = room >= 4 * shallowestMm - ROUNDING;
  // a school of fewer cuts than the limits ask would be a hope; trial cuts are measured all the same
  const asked = quarter < oneCut && two && school !== 'trial';
  const cuts = byCompound || asked || (two && (school === 'equal' || school === 'halved')) ? 2 : 1;
  const fine = quarter < guard + fineness.stepMm / 2 + highestShare * UNMEASURED_MM;
  const afterRough = cuts === 2 && !byCompound && (fine || school === 'equal');
  const usual =
    cuts === 1
      ? school === 'single'
        ? ALLOWANCE_CLOSE_MM
        : ALLOWANCE_ONE_CUT_MM
      : afterRough
        ? ALLOWANCE_FINE_MM
        : ALLOWANCE_TWO_CUTS_MM;
  const larger = cuts === 2 && school === 'halved' && room >= 6 * shallowestMm - ROUNDING;
  // the second of an uneven pair is a third of it
  const least = 2 * (larger ? 3 : cuts) * shallowestMm;
  const wanted = Math.max(wish.wanted?.leaveMm ?? usual, least);
  record?.({
    code: 'route.lastCuts',
    values: {
      toleranceMm,
      worstMm: 4 * oneCut,
      cuts,
      measurements: cuts + (afterRough ? 1 : 0) + (byCompound ? 1 : 0),
    },
  });
  return {
    ...{ kind: 'planned', fineness, cuts, afterRough },
    ...(larger ? { larger } : {}),
    ...(cuts === 1 && school === 'trial' ? { trialFirst: true } : {}),
    ...(byCompound ? { nearMm: 4 * Math.max(COMPOUND_CUT_MM, shallowestMm) } : {}),
    allowanceMm: Number(Math.min(wanted, room).toFixed(9)),
  };
}
