import {
  METRIC_TO_MM,
  metricTolerances,
  type PitchTolerances,
  pitchDiameterTolerances,
  R40,
} from './standard/metric-tolerances.ts';
import type { NamedThread, Side, SizeLimits, ThreadLimits } from './thread.ts';

/** Steps of preferred numbers in a grade, and from the pitch diameter outside to the one inside. ISO 965-1: 1.25 and 1.32 */
const GRADE_STEPS = 4;
export const INSIDE_STEPS = 5;
/** Grades of each tolerance. ISO 965-1 */
const GRADES = {
  ...{ pitchOutside: [3, 9], pitchInside: [4, 8], major: [4, 8], minor: [4, 8] },
} as const satisfies Readonly<Record<string, readonly [least: number, most: number]>>;

/** A preferred number so many steps on. */
function stepped(um: number, steps: number): number {
  const decade = 10 ** Math.floor(Math.log10(um));
  const at = R40.findIndex((r) => Math.abs(r * decade - um) < 1e-6 * um);
  const on = at + steps;
  const whole = Math.floor(on / R40.length);
  return Number((R40[on - whole * R40.length]! * decade * 10 ** whole).toFixed(3));
}
/** A grade's tolerance from that of grade 6. */
export const graded = (of6Um: number, grade: number, more = 0): number =>
  stepped(of6Um, GRADE_STEPS * (grade - 6) + more);
const within = (grade: number, [least, most]: readonly [number, number]): boolean => grade >= least && grade <= most;

const micron = (mm: number): number => Number(mm.toFixed(4));
/** Basic sizes are rounded to thousandths. ISO 724 */
const basic = (mm: number): number => Number(mm.toFixed(3));
/** Shares of the pitch that pitch, minor and root diameter are below the major. ISO 68-1, ISO 724 */
const H = Math.sqrt(3) / 2;
const PITCH_SHARE = (3 / 4) * H;
const MINOR_SHARE = (5 / 4) * H;
const ROOT_SHARE = (17 / 12) * H;

const rowOf = (pitchMm: number): PitchTolerances | undefined =>
  metricTolerances.find((r) => Math.abs(r.pitchMm - pitchMm) < 1e-9);
function td2Of6(majorMm: number, pitchMm: number): number | undefined {
  if (majorMm > METRIC_TO_MM) return undefined;
  const range = pitchDiameterTolerances.findLast((r) => majorMm > r.aboveMm);
  return range?.of6.find(([p]) => Math.abs(p - pitchMm) < 1e-9)?.[1];
}
const deviationUm = (row: PitchTolerances, letter: string): number | undefined =>
  ({ e: row.eUm, f: row.fUm, g: row.gUm, h: 0, G: row.gUm, H: 0 })[letter];

/** Classes of pitch diameter and of the crests' diameter as they are written: `6g`, `7g6g`, `5H`. */
export function classesOf(
  close: string,
): { readonly pitch: [number, string]; readonly crest: [number, string] } | undefined {
  const read = /^(\d)([efghGH])(?:(\d)([efghGH]))?$/.exec(close.trim());
  if (!read) return undefined;
  const pitch: [number, string] = [Number(read[1]), read[2]!];
  const crest: [number, string] = read[3] ? [Number(read[3]), read[4]!] : pitch;
  const inside = (letter: string) => letter === letter.toUpperCase();
  return inside(pitch[1]) === inside(crest[1]) ? { pitch, crest } : undefined;
}

/**
 * Limits of pitch, major and minor diameter of a metric thread.
 * @param close class as a drawing gives it, outside in small letters, inside in capitals; of two grades the second is the crests'
 * @returns undefined for other forms, pitches and sizes beyond the tables, and classes that the standard has not
 * @source ISO 965-1: d2 and d = basic + es, less Td2 and Td; D2 and D1 = basic + EI, plus TD2 and TD1
 * M10 × 1.25 of 6g: pitch diameter 9.16 to 9.042.
 */
export function metricLimits(
  { form, majorMm, pitchMm }: NamedThread,
  side: Side,
  close: string,
): ThreadLimits | undefined {
  const [row, classes] = [rowOf(pitchMm), classesOf(close)];
  const of6 = td2Of6(majorMm, pitchMm);
  if (form !== 'metric' || !row || !classes || of6 === undefined) return undefined;
  const { pitch, crest } = classes;
  const [deviation, ofCrest] = [deviationUm(row, pitch[1]), deviationUm(row, crest[1])];
  if (deviation === undefined || ofCrest === undefined) return undefined;
  const inside = pitch[1] === pitch[1].toUpperCase();
  if (inside !== (side === 'inside')) return undefined;
  const d2 = basic(majorMm - PITCH_SHARE * pitchMm);
  const d1 = basic(majorMm - MINOR_SHARE * pitchMm);
  if (inside) {
    if (!within(pitch[0], GRADES.pitchInside) || !within(crest[0], GRADES.minor) || row.td1Of6Um === undefined)
      return undefined;
    const [least, bore] = [d2 + deviation / 1000, d1 + ofCrest / 1000];
    return {
      side: 'inside',
      pitchDiameter: limits(least, least + graded(of6, pitch[0], INSIDE_STEPS) / 1000),
      major: { leastMm: micron(majorMm + deviation / 1000) },
      minor: limits(bore, bore + graded(row.td1Of6Um, crest[0]) / 1000),
    };
  }
  if (!within(pitch[0], GRADES.pitchOutside)) return undefined;
  const [most, major] = [d2 - deviation / 1000, majorLimitsOf(row, majorMm, crest)];
  if (!major) return undefined;
  return {
    side: 'outside',
    pitchDiameter: limits(most - graded(of6, pitch[0]) / 1000, most),
    major,
    minor: { basicMm: basic(majorMm - ROOT_SHARE * pitchMm) },
  };
}

const limits = (lowerMm: number, upperMm: number): SizeLimits => ({
  upperMm: micron(upperMm),
  lowerMm: micron(lowerMm),
});

/** Over the crests: only even grades are of the major diameter. */
function majorLimitsOf(
  row: PitchTolerances,
  majorMm: number,
  [grade, letter]: [number, string],
): SizeLimits | undefined {
  const deviation = deviationUm(row, letter);
  if (deviation === undefined || grade % 2 !== 0 || !within(grade, GRADES.major)) return undefined;
  const upperMm = majorMm - deviation / 1000;
  return limits(upperMm - graded(row.td6Um, grade) / 1000, upperMm);
}

/**
 * Limits of an outside metric thread's own major diameter: what the blank is turned to, closer than a general tolerance.
 * @param close class as a drawing gives it, `6g` where it is not; of two grades the second is the major diameter's: `5g6g`
 * @returns undefined for other forms, pitches beyond the table and classes that are not known here
 * @source ISO 965-1: upper = D + es, lower = upper − Td
 */
export function majorLimits({ form, majorMm, pitchMm }: NamedThread, close: string): SizeLimits | undefined {
  const [row, classes] = [rowOf(pitchMm), classesOf(close.trim() || '6g')];
  const inside = classes && classes.crest[1] === classes.crest[1].toUpperCase();
  return form === 'metric' && row && classes && !inside ? majorLimitsOf(row, majorMm, classes.crest) : undefined;
}
