/** A quarter or less of a circle that is cut in steps with a round nose. Millimetres, radians from the axis' direction outwards. */
export interface StepArc {
  readonly centreZMm: number;
  readonly centreRMm: number;
  readonly radiusMm: number;
  /** from where to where, anticlockwise from the direction of the tail */
  readonly fromRad: number;
  readonly toRad: number;
  /** metal lies around it, as in the corner of a shoulder */
  readonly hollow: boolean;
}
/** Places of the nose's centre along an arc, and how high the cusps between them stand. */
export interface ArcSteps {
  readonly steps: readonly { readonly zMm: number; readonly rMm: number }[];
  readonly cuspMm: number;
}

/** More steps than this nobody winds by hand. */
const MOST_STEPS = 24;

/**
 * How high a cusp stays between two places of a nose that lie an angle apart on an arc, mm.
 * @source two circles of the nose's radius about points of the circle R ± r: their crossing on the bisector, against R
 * @example cuspMm(5, 0.8, 0.2, false).toFixed(4) // '0.2190'
 */
export function cuspMm(radiusMm: number, noseMm: number, apartRad: number, hollow: boolean): number {
  const pathMm = hollow ? radiusMm - noseMm : radiusMm + noseMm;
  const half = pathMm * Math.sin(apartRad / 2);
  // the noses do not even meet
  if (half >= noseMm) return Number.POSITIVE_INFINITY;
  const reachMm = Math.sqrt(noseMm ** 2 - half ** 2);
  const bisectorMm = pathMm * Math.cos(apartRad / 2);
  return hollow ? radiusMm - (bisectorMm + reachMm) : bisectorMm - reachMm - radiusMm;
}

/**
 * The fewest equal steps along an arc whose cusps are no higher than is wanted.
 * @param noseMm of the tool, smaller than a hollow arc's radius
 * @returns undefined where a nose is too large for it, or no number of steps that a hand winds does
 * @source FIELD 6: contours by hand, a table of X/Z steps with the remaining cusp
 */
export function arcSteps(arc: StepArc, noseMm: number, mostCuspMm: number): ArcSteps | undefined {
  if (noseMm <= 0 || (arc.hollow && noseMm > arc.radiusMm)) return undefined;
  const sweep = arc.toRad - arc.fromRad;
  const pathMm = arc.hollow ? arc.radiusMm - noseMm : arc.radiusMm + noseMm;
  for (let count = 1; count <= MOST_STEPS; count++) {
    const cusp =
      count === 1 && pathMm > 1e-9
        ? Number.POSITIVE_INFINITY
        : count === 1
          ? 0
          : cuspMm(arc.radiusMm, noseMm, Math.abs(sweep) / (count - 1), arc.hollow);
    if (cusp > mostCuspMm) continue;
    const steps = Array.from({ length: count }, (_, i) => {
      const at = arc.fromRad + (count === 1 ? sweep / 2 : (sweep * i) / (count - 1));
      return { zMm: arc.centreZMm + pathMm * Math.cos(at), rMm: arc.centreRMm + pathMm * Math.sin(at) };
    });
    return { steps, cuspMm: cusp };
  }
  return undefined;
}
