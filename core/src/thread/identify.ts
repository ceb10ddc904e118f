import { readThread } from './designation.ts';
import { nameInSeries } from './near.ts';
import { inchMm } from './read/family.ts';
import { series } from './standard/series.ts';
import type { NamedThread, Side } from './thread.ts';

/** A thread that a worn one may be, by how far its pitch and diameter are off. */
export interface Likely {
  readonly name: string;
  readonly thread: NamedThread;
  /** pitch as measured less this one's, mm, and as the whole difference over the length that was pitchCount */
  readonly pitchOffMm: number;
  readonly overLengthMm: number;
  /** how much smaller the crests are than this one's basic size outside; how much larger the bore is inside, mm */
  readonly wornMm: number;
  /** share of belief among all that are named, 0 to 1 */
  readonly share: number;
}
/** What was measured on a worn thread. */
export interface WornThread {
  readonly side: Side;
  /** over the crests outside, the bore inside, mm */
  readonly diameterMm: number;
  /** so many pitches were pitchCount over so much, mm */
  readonly pitchCount: number;
  readonly overMm: number;
  /** how well the length is known, mm */
  readonly byMm: number;
  /** angle between the flanks, where a gauge told it */
  readonly includedDeg?: number;
}

/** A crest is worn or under its size by so much at the most, as a share of the pitch, and never above by more than this, mm. */
const WORN_SHARE = 0.35;
const ABOVE_MM = 0.08;
/** A scale read at both ends of the count has such doubts. */
const PITCH_SIGMAS = 3;
/** How well a gauge tells 55 from 60, degrees. */
const ANGLE_MM = 2;

/**
 * What a worn thread probably is, in both systems: pitch from counting over a length, diameter over the crests. The likeliest first.
 * @source the nearer the pitch over the pitchCount length, against how well that was measured, the likelier; crests are worn, never grown
 */
export function identifyThread(worn: WornThread, most = 6): readonly Likely[] {
  const { side, diameterMm, pitchCount, overMm, byMm, includedDeg } = worn;
  const measured = overMm / pitchCount;
  const found: { row: Omit<Likely, 'share'>; weight: number }[] = [];
  for (const s of series)
    for (const [size, ...pitches] of s.rows)
      for (const pitch of pitches) {
        const pitchMm = s.unit === 'mm' ? pitch : 25.4 / pitch;
        const overLengthMm = (measured - pitchMm) * pitchCount;
        if (Math.abs(overLengthMm) > PITCH_SIGMAS * byMm) continue;
        // sizes far away are not read at all
        const about =
          s.form === 'ba' || s.form === 'pipe' || s.form === 'npt'
            ? undefined
            : s.unit === 'mm'
              ? Number(size)
              : inchMm(size);
        if (about !== undefined && Math.abs(about - diameterMm) > 2 * pitchMm) continue;
        const name = nameInSeries(s, size, pitch);
        const read = readThread(name);
        if (!read.ok) continue;
        const { thread } = read;
        const wornMm = side === 'outside' ? thread.majorMm - diameterMm : diameterMm - thread.holeMm;
        if (wornMm > WORN_SHARE * pitchMm || wornMm < -ABOVE_MM) continue;
        const angle = {
          metric: 60,
          unified: 60,
          whitworth: 55,
          pipe: 55,
          npt: 60,
          ba: 47.5,
          trapezoidal: 30,
          acme: 29,
          stubAcme: 29,
        }[s.form];
        if (includedDeg !== undefined && Math.abs(angle - includedDeg) > ANGLE_MM) continue;
        // a little under its size is usual: a tenth of the pitch
        const under = (wornMm - 0.06 * pitchMm) / (0.12 * pitchMm);
        const weight = Math.exp(-((overLengthMm / byMm) ** 2) / 2 - under ** 2 / 2);
        found.push({ row: { name, thread, pitchOffMm: measured - pitchMm, overLengthMm, wornMm }, weight });
      }
  const all = found.reduce((sum, f) => sum + f.weight, 0);
  return found
    .toSorted((a, b) => b.weight - a.weight)
    .slice(0, most)
    .map(({ row, weight }) => ({ ...row, share: all > 0 ? weight / all : 0 }));
}
