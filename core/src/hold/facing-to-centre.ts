import type { Recorder } from '../working/index.ts';

/** Facing an end that stands on a tail centre: how far in the tool can go, and what is left round the point. */
export interface FacingToCentre {
  /** diameter down to which it is faced */
  readonly toMm: number;
  /** width of the ring that is left, on the radius; 0 with a half-centre */
  readonly ringMm: number;
  /** what takes the ring off: nothing, a file, or the chuck once the centre is away */
  readonly after: 'nothing' | 'file' | 'inChuck';
}

/** Air between the tool's point and the centre, mm. */
const AIR_MM = 1.5;
/** A ring no thicker than this along the axis is filed off; thicker it is faced in the chuck, mm. */
const FILED_MM = 0.5;

/**
 * How an end on the tail centre is faced. The cone stands in the hole's mouth, so that the tool stops short of it; a half-centre, cut
 * away towards the tool, lets it in to the mouth itself.
 * @param endMm diameter of the end @param mouthMm of its centre hole @param offMm what comes off the face
 * @returns undefined where the mouth is as large as the end: nothing can be faced
 * @source geometry; practice of half-centres
 * @example facingToCentre(30, 6.7, 1, false) // { toMm: 9.7, ringMm: 1.5, after: 'inChuck' }
 */
export function facingToCentre(
  endMm: number,
  mouthMm: number,
  offMm: number,
  halfCentre: boolean,
  record?: Recorder,
): FacingToCentre | undefined {
  const toMm = Number((halfCentre ? mouthMm : mouthMm + 2 * AIR_MM).toFixed(6));
  if (toMm >= endMm) return undefined;
  const ringMm = Number(((toMm - mouthMm) / 2).toFixed(6));
  record?.({ code: 'hold.facingToCentre', values: { endMm, mouthMm, airMm: halfCentre ? 0 : AIR_MM, toMm, ringMm } });
  return { toMm, ringMm, after: ringMm === 0 ? 'nothing' : offMm <= FILED_MM ? 'file' : 'inChuck' };
}
