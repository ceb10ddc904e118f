import type { NamedThread, Side, SizeLimits, ThreadLimits } from './thread.ts';

const IN = 25.4;
/** Shares of class 2A's pitch diameter tolerance, by class. ASME B1.1 */
const OF_2A: Readonly<Record<string, number>> = { '1A': 1.5, '2A': 1, '3A': 0.75, '1B': 1.95, '2B': 1.3, '3B': 0.975 };
/** Classes 1A and 2A stay so much of that tolerance below the basic size. */
const ALLOWANCE_SHARE = 0.3;
/** Flat-root and crest heights as shares of the pitch: basic pitch and minor diameter, and the rounded root outside. ISO 68-2, ASME B1.1 */
const PITCH_SHARE = (3 / 4) * (Math.sqrt(3) / 2);
const MINOR_SHARE = (5 / 4) * (Math.sqrt(3) / 2);
const ROUND_ROOT_SHARE = (11 / 8) * (Math.sqrt(3) / 2);

/** Sizes of the standard have four decimals of an inch. */
const tenths = (inches: number): number => Number(inches.toFixed(4));
const inMm = (inches: number): number => Number((tenths(inches) * IN).toFixed(5));
const limits = (lower: number, upper: number): SizeLimits => ({ upperMm: inMm(upper), lowerMm: inMm(lower) });

/** Tolerance of the minor diameter inside, in. @source ASME B1.1: by diameter, pitch and class */
function minorTolerance(d: number, p: number, close: string): number {
  const fine = 0.05 * Math.cbrt(p ** 2) + (0.03 * p) / d - 0.002;
  if (close === '3B') {
    const least = p <= 1 / 13 ? 0.23 * p - 1.5 * p ** 2 : 0.12 * p;
    return Math.min(0.394 * p, Math.max(fine, least));
  }
  const coarse = 0.25 * p - 0.4 * p ** 2;
  if (d < 0.25) return Math.min(0.394 * p, Math.max(fine, coarse));
  return p <= 0.25 ? coarse : 0.15 * p;
}

/** Series whose limits are for an engagement as long as the diameter; all others: nine pitches. ASME B1.1 */
const BY_DIAMETER: readonly string[] = ['UNC', 'UNF', '4UN', '6UN', '8UN'];
const NINE_PITCHES = 9;
/** Length of engagement that the standard's tables are for, mm. */
const engagementOf = ({ majorMm, pitchMm, series = '' }: NamedThread): number =>
  BY_DIAMETER.includes(series) ? majorMm : NINE_PITCHES * pitchMm;

/**
 * Limits of pitch, major and minor diameter of a unified thread.
 * @param close `1A` to `3A` outside, `1B` to `3B` inside
 * @param givenMm length of engagement; 0: as {@link engagementOf}
 * @returns undefined for other forms and classes
 * @source ASME B1.1: Td2 of 2A = 0.0015·∛D + 0.0015·√Le + 0.015·∛P² in inches, its multiples and allowance
 */
export function unifiedLimits(
  thread: NamedThread,
  side: Side,
  close: string,
  givenMm: number,
): ThreadLimits | undefined {
  const { form, majorMm, pitchMm } = thread;
  const named = close.trim().toUpperCase();
  const share = OF_2A[named];
  const engagedMm = givenMm || engagementOf(thread);
  if (form !== 'unified' || share === undefined || named.endsWith('B') !== (side === 'inside')) return undefined;
  const [d, p, le] = [majorMm / IN, pitchMm / IN, engagedMm / IN];
  const of2A = 0.0015 * Math.cbrt(d) + 0.0015 * Math.sqrt(le) + 0.015 * Math.cbrt(p ** 2);
  const tolerance = tenths(share * of2A);
  const [d2, d1] = [tenths(d - PITCH_SHARE * p), tenths(d - MINOR_SHARE * p)];
  if (named.endsWith('B'))
    return {
      side: 'inside',
      pitchDiameter: limits(d2, d2 + tolerance),
      major: { leastMm: inMm(d) },
      minor: limits(d1, d1 + minorTolerance(d, p, named)),
    };
  const allowance = named === '3A' ? 0 : tenths(ALLOWANCE_SHARE * of2A);
  const crest = tenths((named === '1A' ? 0.09 : 0.06) * Math.cbrt(p ** 2));
  const [most, major] = [d2 - allowance, tenths(d) - allowance];
  return {
    side: 'outside',
    pitchDiameter: limits(most - tolerance, most),
    major: limits(major - crest, major),
    minor: { basicMm: inMm(major - ROUND_ROOT_SHARE * p) },
  };
}
