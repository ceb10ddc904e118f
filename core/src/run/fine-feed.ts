import { dialScale, type Lathe } from '../lathe/index.ts';
import { radians } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';

/** Angle of the compound from Z at which one of its lines moves the tool a tenth of a line across. */
export const FINE_ANGLE_DEG = (Math.asin(0.1) * 180) / Math.PI;

/** A radial travel finer than the cross-slide's line, made with the compound swung nearly along the work. */
export interface FineFeed {
  readonly angleDeg: number;
  readonly lines: number;
  readonly reading: string;
  readonly radialMm: number;
  readonly shiftAlongZMm: number;
}

/**
 * Lines of the compound, swung to 5.74° from Z, for a small radial travel.
 * @param radialMm travel towards the axis, > 0
 * @returns undefined when it is less than one such line
 * @source FIELD 0: sin 5.74° = 0.1, so a line of its dial is a tenth of it in X; shift along Z = travel·cos
 */
export function fineFeed(lathe: Lathe, radialMm: number, record?: Recorder): FineFeed | undefined {
  const dial = lathe.slides.compound;
  const { lineTravelMm, lineNumber, decimals } = dialScale(dial);
  const perLineMm = lineTravelMm.valueOf() * 0.1;
  const lines = Math.floor(radialMm / perLineMm + 0.5);
  if (lines < 1) return undefined;
  const fine: FineFeed = {
    angleDeg: FINE_ANGLE_DEG,
    lines,
    reading: (lines * lineNumber.valueOf()).toFixed(decimals),
    radialMm: lines * perLineMm,
    shiftAlongZMm: lines * lineTravelMm.valueOf() * Math.cos(radians(FINE_ANGLE_DEG)),
  };
  record?.({
    code: 'run.fineFeed',
    values: { wantedMm: radialMm, lineTravelMm: lineTravelMm.valueOf(), perLineMm, ...fine },
    source: 'sin 5.74° = 0.1',
  });
  return fine;
}
