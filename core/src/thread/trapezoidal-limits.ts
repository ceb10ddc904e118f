import type { LimitsOf } from './form/form.ts';
import { graded, INSIDE_STEPS } from './metric-limits.ts';
import { R40 } from './standard/metric-tolerances.ts';
import { TRAPEZOIDAL_RANGES_MM, trapezoidalRows } from './standard/trapezoidal.ts';

/** Grades of the pitch diameter by the letter of its place. ISO 2903: 7e, 8e, 8c, 9c; 7H, 8H, 9H */
const CLASSES = /^(?:(?:7|8)e|(?:8|9)c|[789]H)$/;
/** Tolerance of the root outside: so much of the pitch diameter's, and its place besides. ISO 2903 */
const ROOT_SHARE = 1.25;

/** The preferred number that is nearest. */
function preferred(um: number): number {
  const decade = 10 ** Math.floor(Math.log10(um));
  const all = [...R40, 10].map((r) => Number((r * decade).toFixed(3)));
  return all.reduce((best, n) => (Math.abs(n - um) < Math.abs(best - um) ? n : best));
}

/**
 * Limits of a trapezoidal thread. @source ISO 2903: Td2 of grade 6 = 90·P^0.4·d^0.1 of the range's geometric mean, in preferred numbers;
 * grades a step of 1.25 apart, inside 1.32 times as much; the crests by grade 4
 */
export const trapezoidalLimits: LimitsOf = (thread, side, close) => {
  const { majorMm, pitchMm, pitchDiameterMm, minorMm, holeMm } = thread;
  const row = trapezoidalRows.find((r) => Math.abs(r.pitchMm - pitchMm) < 1e-9);
  const at = TRAPEZOIDAL_RANGES_MM.findLastIndex((mm) => majorMm > mm);
  const to = TRAPEZOIDAL_RANGES_MM[at + 1];
  if (!row || !to || at < 0 || !CLASSES.test(close) || close.endsWith('H') !== (side === 'inside')) return undefined;
  const mean = Math.sqrt(TRAPEZOIDAL_RANGES_MM[at]! * to);
  const of6 = preferred(90 * pitchMm ** 0.4 * mean ** 0.1);
  const grade = Number(close[0]);
  const mm = (n: number): number => Number(n.toFixed(4));
  if (side === 'inside')
    return {
      side,
      pitchDiameter: {
        lowerMm: pitchDiameterMm,
        upperMm: mm(pitchDiameterMm + graded(of6, grade, INSIDE_STEPS) / 1000),
      },
      major: { leastMm: mm(majorMm + (holeMm - minorMm)) },
      minor: { lowerMm: holeMm, upperMm: mm(holeMm + row.td1Of4Um / 1000) },
    };
  const belowUm = close.endsWith('e') ? row.eUm : row.cUm;
  const upperMm = mm(pitchDiameterMm - belowUm / 1000);
  const pitchUm = graded(of6, grade);
  return {
    side,
    pitchDiameter: { upperMm, lowerMm: mm(upperMm - pitchUm / 1000) },
    major: { upperMm: majorMm, lowerMm: mm(majorMm - row.td4Um / 1000) },
    minor: { upperMm: minorMm, lowerMm: mm(minorMm - (ROOT_SHARE * pitchUm + belowUm) / 1000) },
  };
};
