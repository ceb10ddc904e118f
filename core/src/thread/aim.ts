import { limitsBySide } from '../gauge/index.ts';
import type { ThreadLimits } from './thread.ts';

/** Aimed at: so far from the limit on which metal is still there, of the tolerance. FIELD 7: the metal-on half */
const METAL_SHARE = 0.3;

/** What a pitch diameter is aimed at, mm: in the half of its limits where metal is still there, so that it can be put right. */
export function threadAimMm({ side, pitchDiameter }: Pick<ThreadLimits, 'side' | 'pitchDiameter'>): number {
  const { metalMm, goneMm } = limitsBySide(pitchDiameter, side);
  return Number((metalMm + METAL_SHARE * (goneMm - metalMm)).toFixed(4));
}
