import { formOf } from './forms.ts';
import type { NamedThread, Side } from './thread.ts';

/** A groove that a thread runs out into: usual and least width, floor; mm. */
export interface RunOutGroove {
  readonly usualMm: number;
  readonly leastMm: number;
  readonly floorMm: number;
}
/** Widths as multiples of the pitch: inside the tool's own breadth and the hand's slowness ask for more. Shop: as ISO 4755 has them, rounded */
const WIDE = { outside: { usual: 3, least: 1.75 }, inside: { usual: 4, least: 2.5 } } as const;
/** A floor is so far past the root, as a share of the pitch, so that the point cuts air. */
const PAST_SHARE = 0.05;
/** A chamfer ends so far past the root, as a share of the pitch. */
const CHAMFER_PAST_SHARE = 0.1;

/** @source FIELD 7: outside to the minor, inside past the major diameter; width by pitches */
export function runOutGroove(thread: NamedThread, side: Side): RunOutGroove {
  const { usual, least } = WIDE[side];
  const { minorMm, nutMajorMm } = formOf(thread).basic(thread.majorMm, thread.pitchMm);
  const past = 2 * PAST_SHARE * thread.pitchMm;
  return {
    ...{ usualMm: usual * thread.pitchMm, leastMm: least * thread.pitchMm },
    floorMm: side === 'outside' ? minorMm - past : nutMajorMm + past,
  };
}

/** The chamfer before a thread: its small diameter outside, its wide one inside, mm; the first thread then comes on full. */
export function threadChamferMm(thread: NamedThread, side: Side): number {
  const { minorMm, nutMajorMm } = formOf(thread).basic(thread.majorMm, thread.pitchMm);
  const past = 2 * CHAMFER_PAST_SHARE * thread.pitchMm;
  return side === 'outside' ? minorMm - past : nutMajorMm + past;
}
