import type { LimitsOf } from './form/form.ts';
import { classesOf } from './metric-limits.ts';

/** Grades are a step of preferred numbers apart, and the pitch diameter inside has a third more than outside. ISO 965-1 */
const GRADE_STEP = 10 ** (4 / 40);
const INSIDE = 1.32;
/** Places of e, f and g outside, G inside: so much and 11 µm for each millimetre of pitch. ISO 965-1 */
const PLACE_UM: Readonly<Record<string, number>> = { e: 50, f: 30, g: 15, G: 15 };
const PLACE_OF_PITCH_UM = 11;
const CREST_LEAST_GRADE = 4;

/**
 * Limits by the formulas of metric threads, for forms and pitches that have no table of their own.
 * @source ISO 965-1: Td2(6) = 90·P^0.4·d^0.1, Td(6) = 180·∛P² − 3.15/√P, TD1(6) = 230·P^0.7, in µm
 */
export const formulaLimits: LimitsOf = ({ majorMm, pitchMm, pitchDiameterMm, minorMm, holeMm }, side, close) => {
  const classes = classesOf(close);
  if (!classes) return undefined;
  const [grade, letter] = classes.pitch;
  if ((letter === letter.toUpperCase()) !== (side === 'inside') || grade < 3 || grade > 9) return undefined;
  const mm = (n: number): number => Number(n.toFixed(3));
  const step = GRADE_STEP ** (grade - 6);
  const placeUm = letter in PLACE_UM ? PLACE_UM[letter]! + PLACE_OF_PITCH_UM * pitchMm : 0;
  const pitchUm = 90 * pitchMm ** 0.4 * majorMm ** 0.1 * step * (side === 'inside' ? INSIDE : 1);
  const crestStep = GRADE_STEP ** (Math.max(CREST_LEAST_GRADE, classes.crest[0]) - 6);
  if (side === 'inside') {
    const [low, bore] = [pitchDiameterMm + placeUm / 1000, holeMm + placeUm / 1000];
    return {
      ...{ side, pitchDiameter: { lowerMm: mm(low), upperMm: mm(low + pitchUm / 1000) } },
      major: { leastMm: mm(majorMm + placeUm / 1000) },
      minor: { lowerMm: mm(bore), upperMm: mm(bore + (230 * pitchMm ** 0.7 * crestStep) / 1000) },
    };
  }
  const crestUm = (180 * pitchMm ** (2 / 3) - 3.15 / Math.sqrt(pitchMm)) * crestStep;
  const [high, major] = [pitchDiameterMm - placeUm / 1000, majorMm - placeUm / 1000];
  return {
    ...{ side, pitchDiameter: { upperMm: mm(high), lowerMm: mm(high - pitchUm / 1000) } },
    major: { upperMm: mm(major), lowerMm: mm(major - crestUm / 1000) },
    minor: { basicMm: mm(minorMm - placeUm / 1000) },
  };
};
