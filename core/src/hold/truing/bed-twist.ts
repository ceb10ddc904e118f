import type { Recorder } from '../../working/index.ts';
import { type TailstockMove, tailstockFromDiameters } from './tailstock.ts';

/** What two collars turned in the chuck alone say of the bed, and two turned between centres of the tailstock beside it. */
export interface BedTwist {
  /** how much more the tool stands off at the far collar, mm on the radius; negative: nearer */
  readonly awayMm: number;
  /** lift under a foot at the tail end, mm, and which one; none when it is good enough */
  readonly foot: 'front' | 'rear' | 'none';
  readonly liftMm: number;
  /** of the tailstock alone, the bed's share taken off; when both were turned */
  readonly tailstock?: TailstockMove;
}

/**
 * Tells a twisted bed from a tailstock that stands off. A bar gripped in the chuck alone and cut at two collars knows no tailstock: a
 * taper there is the bed's (or the headstock's). Where the far collar is larger, the carriage has carried the tool away from the axis:
 * the front way stands too low at the tail end, so its foot is lifted there. A headstock out of line shows the same: level the bed first.
 * @param chuck diameters at the head and at the tail end of the bar that stands out alone, and their distance
 * @param bed height of the axis over the ways, distance of front and rear feet, distance from headstock to tail feet, mm
 * @param between the same turned between centres, with the length between these, if it was done
 * @source first principles: a rise f of the front foot tips the tool in by f·h/w at the height h of the axis
 */
export function bedTwistOf(
  chuck: { readonly headMm: number; readonly tailMm: number; readonly apartMm: number },
  bed: { readonly axisHighMm: number; readonly feetApartMm: number; readonly feetAtMm: number },
  enoughMm: number,
  between?: { readonly headMm: number; readonly tailMm: number; readonly apartMm: number; readonly wholeMm: number },
  record?: Recorder,
): BedTwist {
  const awayMm = (chuck.tailMm - chuck.headMm) / 2;
  const atFeetMm = (awayMm * bed.feetAtMm) / chuck.apartMm;
  const liftMm = (Math.abs(atFeetMm) * bed.feetApartMm) / bed.axisHighMm;
  record?.({
    code: 'truing.bedTwist',
    values: { ...chuck, ...bed, awayMm, atFeetMm, liftMm },
  });
  const foot = Math.abs(awayMm) <= enoughMm ? 'none' : awayMm > 0 ? 'front' : 'rear';
  if (!between) return { awayMm, foot, liftMm };
  // the bed's share of the taper over the same length
  const bedMm = (2 * awayMm * between.apartMm) / chuck.apartMm;
  const tailstock = tailstockFromDiameters(
    between.headMm,
    between.tailMm - bedMm,
    between.apartMm,
    between.wholeMm,
    enoughMm,
    record,
  );
  return { awayMm, foot, liftMm, tailstock };
}
