import type { Limits } from './parse-limits.ts';

/** How two sizes go together; clearance is how much larger the hole is, negative where it is smaller. */
export interface Fit {
  readonly kind: 'clearance' | 'transition' | 'interference';
  readonly mostClearanceMm: number;
  readonly leastClearanceMm: number;
}

/**
 * The fit of a hole and a shaft between their limits.
 * @source ISO 286-1, definitions of fits
 * @example fitOf({ upperMm: 25.021, lowerMm: 25 }, { upperMm: 25.035, lowerMm: 25.022 }).kind // 'interference'
 */
export function fitOf(hole: Pick<Limits, 'upperMm' | 'lowerMm'>, shaft: Pick<Limits, 'upperMm' | 'lowerMm'>): Fit {
  const mostClearanceMm = Number((hole.upperMm - shaft.lowerMm).toFixed(9));
  const leastClearanceMm = Number((hole.lowerMm - shaft.upperMm).toFixed(9));
  const kind = leastClearanceMm >= 0 ? 'clearance' : mostClearanceMm <= 0 ? 'interference' : 'transition';
  return { kind, mostClearanceMm, leastClearanceMm };
}
