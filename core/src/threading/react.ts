/** What the end of a pass leaves to the hand. Lengths in mm, time in seconds. */
export interface RunOut {
  /** room beyond the thread's full length before something is hit: a groove less the tool's breadth */
  readonly usableMm: number;
  readonly leadMm: number;
  /** turns that the spindle makes after it is switched off, at this speed; none known: undefined */
  readonly stopTurns?: number;
  /** whether the half-nuts stay shut, so that only stopping ends the pass */
  readonly nutsShut: boolean;
}
export interface Reacts {
  /** from the end of the thread to what is hit, at this speed */
  readonly seconds: number;
  /** how far the carriage still goes after switching off */
  readonly coastMm: number;
  readonly enough: boolean;
}

/** What a hand takes to open the nuts or to switch off, having waited for it, and what is kept besides, seconds. Shop */
export const REACT_S = 1;

/** @source FIELD 7: width/(rpm·lead)·60; with nuts shut the carriage coasts turns to stop × lead */
export function reacts(rpm: number, { usableMm, leadMm, stopTurns = 0, nutsShut }: RunOut): Reacts {
  const mmPerS = (rpm * leadMm) / 60;
  const coastMm = nutsShut ? stopTurns * leadMm : 0;
  const seconds = usableMm <= coastMm ? 0 : (usableMm - coastMm) / mmPerS;
  return { seconds, coastMm, enough: seconds >= REACT_S };
}

/** Fastest speed at which the hand has the time, for a lathe that coasts so many turns at any; 0: at none. */
export function reactRpm({ usableMm, leadMm, stopTurns = 0, nutsShut }: RunOut): number {
  const roomMm = usableMm - (nutsShut ? stopTurns * leadMm : 0);
  return roomMm <= 0 ? 0 : (60 * roomMm) / (leadMm * REACT_S);
}

/** Long threads are run back by hand with the nuts open, short ones under power with the nuts shut, mm. FIELD 7: by habit */
export const SHORT_THREAD_MM = 40;
