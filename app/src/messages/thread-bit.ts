import type { GrindingSheet } from '@whelk/core/picture';
import { leadAngleDeg, type NamedThread, type Side, threadSheet, tipLimitsMm } from '@whelk/core/thread';

/** Clearance under each flank besides the lead angle, under the front, and the least of all, degrees. FIELD 7: 3 to 6 more */
const RELIEF_DEG = 5;
const FRONT_DEG = 8;
const LEAST_DEG = 2;
const deg = (value: number): string => `${Number(value.toFixed(1))}°`;
const mm = (value: number): string => `${value.toFixed(2)} mm`;

/** The sheet for grinding a bit for one thread: its form, its point with what it may be, the relief that its lead asks of each flank. */
export function threadBitSheet(name: string, thread: NamedThread, side: Side, left: boolean): GrindingSheet {
  const { tip, flanksDeg, includedDeg, depthMm } = threadSheet(thread, side);
  const most = tipLimitsMm(thread, side);
  const lambda = leadAngleDeg(thread.leadMm, thread.pitchDiameterMm);
  // the flank that goes ahead falls away by the lead angle, the other one rises by it
  const [leading, trailing] = [Math.ceil(RELIEF_DEG + lambda), Math.max(LEAST_DEG, Math.round(RELIEF_DEG - lambda))];
  const flat = tip.kind === 'flat';
  const ahead = left ? 'right' : 'left';
  return {
    angles: {
      ...{ sideRakeDeg: 0, backRakeDeg: 0, sideClearanceDeg: leading, endClearanceDeg: trailing },
      ...{ sideEdgeDeg: 90 - flanksDeg[0], endEdgeDeg: 90 - flanksDeg[1], noseMm: flat ? 0 : tip.radiusMm },
    },
    form: {
      flanksDeg: left ? [flanksDeg[1], flanksDeg[0]] : [...flanksDeg],
      tipShare: (flat ? tip.flatMm : 2 * tip.radiusMm) / thread.pitchMm,
    },
    title: `Bit for ${name}, ${side}`,
    underTitle: 'High-speed steel, its top flat: no rake, or the form is not true',
    names: { top: 'In its gauge, at the work', side: 'Leading flank: rake / relief', front: 'Trailing: rake / relief' },
    rows: [
      ['Included angle', deg(includedDeg)],
      ['Flanks, leading and trailing', `${deg(flanksDeg[0])}, ${deg(flanksDeg[1])}`],
      [flat ? 'Flat at its point' : 'Round at its point', flat ? mm(tip.flatMm) : `R${mm(tip.radiusMm)}`],
      ['no wider than', flat ? mm(most.flatMm) : `R${mm(most.radiusMm)}`],
      [`Leading relief, ${ahead}`, deg(leading)],
      ['Trailing relief', deg(trailing)],
      ['Front clearance', deg(FRONT_DEG)],
      ['Form deep at least', mm(depthMm + 0.1)],
    ],
    order: [
      'Lay out with blue and scriber. Eyes, mask, rest close.',
      `Leading flank (${ahead}) with its relief.`,
      'Trailing flank with its relief, to the gauge.',
      'Front with its clearance.',
      flat ? 'Point: stone the flat, measure it.' : 'Point: its round to a radius gauge.',
      'Top flat; stone every edge.',
      'At the lathe: on centre, the gauge against the work,',
      'no light on either flank over white paper.',
    ],
  };
}
