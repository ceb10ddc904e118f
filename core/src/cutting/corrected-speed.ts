import type { ReferenceSpeed } from '../material/index.ts';
import type { Recorder } from '../working/index.ts';

/** No single correction beyond this, and no product beyond the other: the equation is only true near its reference. */
export const FACTOR_CAP = 1.5;
export const PRODUCT_CAP = 1.75;

const within = (factor: number, cap: number): number => Math.min(cap, Math.max(1 / cap, factor));

export interface CorrectedSpeed {
  readonly speedMPerMin: number;
  readonly feedFactor: number;
  readonly depthFactor: number;
  readonly lifeFactor: number;
  readonly product: number;
}

/**
 * Cutting speed for a feed, depth and edge life other than those it was published for, m/min.
 * @param feedMmPerRev, depthMm, lifeMin all > 0
 * @source extended tool-life equation v = v_ref·(f_ref/f)^a·(d_ref/d)^b·(T_ref/T)^n, each factor within 1/1.5…1.5, product within 1/1.75…1.75
 * @example correctedSpeed({ speedMPerMin: 120, feedRefMmPerRev: 0.2, depthRefMm: 2, lifeRefMin: 15, feedExponent: 0.3, depthExponent: 0.1, lifeExponent: 0.25 }, 0.2, 2, 30).speedMPerMin // 100.9
 */
export function correctedSpeed(
  reference: ReferenceSpeed,
  feedMmPerRev: number,
  depthMm: number,
  lifeMin: number,
  record?: Recorder,
): CorrectedSpeed {
  const { feedExponent, depthExponent, lifeExponent } = reference;
  const feedFactor = within((reference.feedRefMmPerRev / feedMmPerRev) ** feedExponent, FACTOR_CAP);
  const depthFactor = within((reference.depthRefMm / depthMm) ** depthExponent, FACTOR_CAP);
  const lifeFactor = within((reference.lifeRefMin / lifeMin) ** lifeExponent, FACTOR_CAP);
  const product = within(feedFactor * depthFactor * lifeFactor, PRODUCT_CAP);
  const speedMPerMin = reference.speedMPerMin * product;
  record?.({
    code: 'cutting.correctedSpeed',
    values: { referenceMPerMin: reference.speedMPerMin, feedFactor, depthFactor, lifeFactor, product, speedMPerMin },
    source: 'extended tool-life equation',
  });
  return { speedMPerMin, feedFactor, depthFactor, lifeFactor, product };
}
