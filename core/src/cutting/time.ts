import type { Recorder } from '../working/index.ts';
import { rpmFor } from './speed.ts';

/** Minutes of a cut along the work, air before it included. @source t = passes·L/(f·n) @example alongMin(100, 0.2, 500, 2) // 2 */
export function alongMin(lengthMm: number, feedMmPerRev: number, rpm: number, passes = 1): number {
  return (passes * lengthMm) / (feedMmPerRev * rpm);
}

/** A face as it is cut across, inwards or outwards. */
export interface FaceCut {
  readonly outsideMm: number;
  /** 0 to the middle */
  readonly insideMm: number;
  readonly feedMmPerRev: number;
  readonly speedMPerMin: number;
  /** fastest that lathe, chuck or work allow */
  readonly mostRpm: number;
}

/**
 * Minutes for a face: with the speed that follows the diameter down until the ceiling of revolutions is met, and with one setting for
 * all of it, that of its rim.
 * @source following: π·(D1² − D2²)/(4000·v·f) above the diameter where n = n_max, below it ΔD/(2·f·n_max)
 * @example facingMin({ outsideMm: 100, insideMm: 0, feedMmPerRev: 0.1, speedMPerMin: 100, mostRpm: 1000 }).oneSettingMin.toFixed(2) // '1.57'
 */
export function facingMin(
  { outsideMm, insideMm, feedMmPerRev, speedMPerMin, mostRpm }: FaceCut,
  record?: Recorder,
): {
  readonly followingMin: number;
  readonly oneSettingMin: number;
  readonly ceilingFromMm: number;
  readonly rimRpm: number;
} {
  const ceilingFromMm = (1000 * speedMPerMin) / (Math.PI * mostRpm);
  const rimRpm = Math.min(mostRpm, rpmFor(speedMPerMin, outsideMm));
  const fromMm = Math.min(outsideMm, Math.max(insideMm, ceilingFromMm));
  const followingMin =
    (Math.PI * (outsideMm ** 2 - fromMm ** 2)) / (4000 * speedMPerMin * feedMmPerRev) +
    (fromMm - insideMm) / (2 * feedMmPerRev * mostRpm);
  const oneSettingMin = (outsideMm - insideMm) / (2 * feedMmPerRev * rimRpm);
  record?.({
    code: 'cutting.facing',
    values: { outsideMm, insideMm, feedMmPerRev, speedMPerMin, mostRpm, ceilingFromMm, followingMin, oneSettingMin },
  });
  return { followingMin, oneSettingMin, ceilingFromMm, rimRpm };
}

/** Metal that a cut along the work takes off, mm³/min. @source Q = 1000·v·f·d @example removalMm3PerMin(1, 0.2, 30) // 6000 */
export function removalMm3PerMin(depthMm: number, feedMmPerRev: number, speedMPerMin: number): number {
  return 1000 * speedMPerMin * feedMmPerRev * depthMm;
}

/**
 * Cutting speed for another edge life, m/min. @source Taylor: v·T^n = constant
 * @example speedForLifeMPerMin({ speedMPerMin: 200, lifeMin: 15, exponent: 0.25 }, 60).toFixed(1) // '141.4'
 */
export function speedForLifeMPerMin(
  known: { readonly speedMPerMin: number; readonly lifeMin: number; readonly exponent: number },
  lifeMin: number,
): number {
  return known.speedMPerMin * (known.lifeMin / lifeMin) ** known.exponent;
}
