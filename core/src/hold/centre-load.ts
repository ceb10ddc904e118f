import { centreHoleRows } from '../part/index.ts';
import type { Recorder } from '../working/index.ts';
import { centreBearsN } from './centre-depth.ts';

/** A centre hole by diameter and by load: the larger of both, as far as the end bears it. */
export interface CentreChoice {
  readonly pilotMm: number;
  readonly mouthMm: number;
  /** undefined below 1 mm, where there is no guarded form */
  readonly guardedMm: number | undefined;
  readonly pilotLengthMm: number;
  readonly bodyMm: number;
  readonly by: 'diameter' | 'load' | 'thinEnd';
  readonly bearsN: number;
  /** whether the hole bears what it is asked to */
  readonly bears: boolean;
}

/** Gravity, N/kg. */
const G = 9.81;

/** A load raises the size that the diameter asks by so many of the series at most. FIELD 14 */
const MOST_RAISED = 2;
/** Mouth of a centre hole against the end that it is in, at most. ISO 6411, practice */
const MOUTH_SHARE = 0.6;
/** Thinnest end that takes a centre hole: the smallest of them has its mouth in it and a rim around it, mm. */
export const LEAST_CENTRED_MM = centreHoleRows[0].mouthMm / MOUTH_SHARE;

/**
 * Centre hole for work of a diameter, which decides; raised by at most two sizes with half its weight and a cutting force on the tail centre.
 * @param forceN across the axis at the tail, from the cut @param massKg of the whole piece
 * @returns undefined where the end is too thin for the smallest
 * @source ISO 6411 sizes; mouth at most six tenths of the end; load on the cone's projected area
 */
export function centreForLoad(
  stockMm: number,
  endMm: number,
  massKg: number,
  forceN: number,
  centre: 'plain' | 'live',
  record?: Recorder,
): CentreChoice | undefined {
  const loadN = Math.hypot((massKg * G) / 2, forceN);
  const fits = centreHoleRows.filter((row) => row.mouthMm <= MOUTH_SHARE * endMm);
  if (fits.length === 0) return undefined;
  const at = (found: number) => (found < 0 ? centreHoleRows.length - 1 : found);
  const byDiameter = at(centreHoleRows.findIndex((row) => stockMm <= row.shaftUpToMm));
  const byLoad = at(centreHoleRows.findIndex((row) => centreBearsN(row.pilotMm, row.mouthMm, centre) >= loadN));
  // the diameter decides; a load raises it by so much and no more: the rest is a lighter cut's, or a running centre's
  const wanted = Math.max(byDiameter, Math.min(byLoad, byDiameter + MOST_RAISED));
  const index = Math.min(wanted, fits.length - 1);
  const { pilotMm, mouthMm, guardedMm, pilotLengthMm, bodyMm } = centreHoleRows[index]!;
  const bearsN = centreBearsN(pilotMm, mouthMm, centre);
  record?.({
    code: 'hold.centreLoad',
    values: {
      ...{ stockMm, endMm, massKg, forceN, loadN, pilotMm, mouthMm, bearsN },
      byDiameterMm: centreHoleRows[byDiameter]!.pilotMm,
    },
    source: 'ISO 6411 type A',
  });
  return {
    ...{ pilotMm, mouthMm, guardedMm, pilotLengthMm, bodyMm, bearsN, bears: bearsN >= loadN },
    by: index < wanted ? 'thinEnd' : byLoad > byDiameter ? 'load' : 'diameter',
  };
}
