import type { ReferenceSpeed } from '../material/index.ts';
import type { Recorder } from '../working/index.ts';
import { correctedSpeed } from './corrected-speed.ts';

/** A life beyond these says no more than "short" or "long": the equation is not true there. */
export const LIFE_RANGE_MIN = { shortest: 1, longest: 600 } as const;

/**
 * How long an edge lasts at a speed under given feed and depth, minutes of cutting.
 * @param speedMPerMin > 0
 * @returns minutes, kept inside LIFE_RANGE_MIN
 * @source Taylor: T = T_ref·(v_T/v)^(1/n), v_T being the speed for T_ref corrected for feed and depth
 * @example edgeLifeMin({ speedMPerMin: 120, feedRefMmPerRev: 0.2, depthRefMm: 2, lifeRefMin: 15, feedExponent: 0.3, depthExponent: 0.1, lifeExponent: 0.25 }, 0.2, 2, 60) // 240
 */
export function edgeLifeMin(
  reference: ReferenceSpeed,
  feedMmPerRev: number,
  depthMm: number,
  speedMPerMin: number,
  record?: Recorder,
): number {
  const { lifeRefMin, lifeExponent } = reference;
  const forRefLife = correctedSpeed(reference, feedMmPerRev, depthMm, lifeRefMin).speedMPerMin;
  const life = lifeRefMin * (forRefLife / speedMPerMin) ** (1 / Math.max(0.02, lifeExponent));
  const lifeMin = Math.min(LIFE_RANGE_MIN.longest, Math.max(LIFE_RANGE_MIN.shortest, life));
  record?.({
    code: 'cutting.edgeLife',
    values: { lifeRefMin, forRefLifeMPerMin: forRefLife, speedMPerMin, exponent: lifeExponent, lifeMin },
    source: 'Taylor',
  });
  return lifeMin;
}
