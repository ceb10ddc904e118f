import type { Recorder } from '../../working/index.ts';

/** Where the tail centre stands off the spindle's axis, seen from above, and what to do. */
export interface TailstockMove {
  /** how far to move it, mm */
  readonly byMm: number;
  /** `tool`: towards the side the tool cuts from; `away`: from it; `none`: it stands well enough */
  readonly way: 'tool' | 'away' | 'none';
  /** difference of diameter that it makes over a length of 100 mm now */
  readonly taperPer100Mm: number;
}

function moveOf(towardsToolMm: number, wholeMm: number, enoughMm: number): TailstockMove {
  const byMm = Math.abs(towardsToolMm);
  return {
    byMm,
    way: byMm <= enoughMm ? 'none' : towardsToolMm > 0 ? 'tool' : 'away',
    taperPer100Mm: (2 * byMm * 100) / wholeMm,
  };
}

/**
 * Tailstock from two diameters turned between the centres at one setting of the cross-slide: collars of a bar, or the work's own.
 * Larger at the tail: the tail end stood away from the tool, so it comes towards it.
 * @param headMm, tailMm the two diameters @param apartMm between them @param wholeMm between the centres
 * @param enoughMm an offset that may stay
 * @source offset = (D2 − D1)/2 · L/l
 */
export function tailstockFromDiameters(
  headMm: number,
  tailMm: number,
  apartMm: number,
  wholeMm: number,
  enoughMm: number,
  record?: Recorder,
): TailstockMove {
  const offsetMm = (((tailMm - headMm) / 2) * wholeMm) / apartMm;
  record?.({ code: 'truing.collars', values: { headMm, tailMm, apartMm, wholeMm, offsetMm } });
  return moveOf(offsetMm, wholeMm, enoughMm);
}

/**
 * Tailstock from an indicator that stands on the carriage on the tool's side and runs along a parallel bar between the centres.
 * Rising means that the surface comes nearer: a reading that is higher at the tail says that the tail stands towards the tool.
 * @param headMm, tailMm readings, rising as the surface comes nearer @source reading difference · L/l
 */
export function tailstockFromBar(
  headMm: number,
  tailMm: number,
  apartMm: number,
  wholeMm: number,
  enoughMm: number,
  record?: Recorder,
): TailstockMove {
  const towardsMm = ((tailMm - headMm) * wholeMm) / apartMm;
  record?.({ code: 'truing.testBar', values: { headMm, tailMm, apartMm, wholeMm, offsetMm: towardsMm } });
  return moveOf(-towardsMm, wholeMm, enoughMm);
}
