import { acmeLimits } from '../acme-limits.ts';
import { formulaLimits } from '../formula-limits.ts';
import { acmeClearMm } from '../standard/acme.ts';
import { trapezoidalLimits } from '../trapezoidal-limits.ts';
import type { Form } from './form.ts';

const tan = (deg: number): number => Math.tan((deg * Math.PI) / 180);
const BY_FORMULA = { outside: ['7e', '7h', '8e'], inside: ['7H', '8H'] } as const;

/** Clearance at the crest of a trapezoidal thread by its pitch, mm. ISO 2901; recalled */
const crestMm = (pitchMm: number): number => (pitchMm < 2 ? 0.15 : pitchMm < 6 ? 0.25 : pitchMm < 14 ? 0.5 : 1);
/** @source ISO 2901: H1 = P/2, h3 = P/2 + ac, d2 = d − P/2, D4 = d + 2ac */
export const trapezoidal: Form = {
  flanksDeg: [15, 15],
  basic: (d, p) => ({
    ...{ pitchDiameterMm: d - p / 2, minorMm: d - p - 2 * crestMm(p) },
    ...{ holeMm: d - p, nutMajorMm: d + 2 * crestMm(p) },
  }),
  tip: (p) => ({ kind: 'flat', flatMm: p / 2 - 2 * (p / 4 + crestMm(p)) * tan(15) }),
  crestFlatShare: 0.366,
  classes: { outside: ['7e', '8e', '8c', '9c'], inside: ['7H', '8H', '9H'] },
  limits: trapezoidalLimits,
};

/** A 29° profile of a height as a share of the pitch. @source ASME B1.5 (one half), B1.8 (0.3) */
const twentyNine = (height: number): Omit<Form, 'classes'> => ({
  flanksDeg: [14.5, 14.5],
  basic: (d, p) => ({
    ...{ pitchDiameterMm: d - height * p, minorMm: d - 2 * (height * p + acmeClearMm(p)) },
    ...{ holeMm: d - 2 * height * p, nutMajorMm: d + 2 * acmeClearMm(p) },
  }),
  tip: (p) => ({ kind: 'flat', flatMm: p / 2 - (height * p + 2 * acmeClearMm(p)) * tan(14.5) }),
  crestFlatShare: 0.5 - height * tan(14.5),
  limits: acmeLimits,
});
export const acme: Form = {
  ...twentyNine(0.5),
  classes: { outside: ['2G', '3G', '4G'], inside: ['2G', '3G', '4G'] },
};
export const acmeCentralizing: Form = {
  ...twentyNine(0.5),
  classes: { outside: ['2C', '3C', '4C'], inside: ['2C', '3C', '4C'] },
};
export const stubAcme: Form = { ...twentyNine(0.3), classes: { outside: ['2G'], inside: ['2G'] } };

/** No standard's: as deep as half the pitch and a little, its groove a trifle wider than the thread that goes into it. */
export const square: Form = {
  flanksDeg: [0, 0],
  basic: (d, p) => ({
    ...{ pitchDiameterMm: d - p / 2, minorMm: d - p - 0.04 * p },
    ...{ holeMm: d - p, nutMajorMm: d + 0.04 * p },
  }),
  tip: (p) => ({ kind: 'flat', flatMm: p / 2 }),
  crestFlatShare: 0.5,
  classes: BY_FORMULA,
  limits: formulaLimits,
};
/** @source ASME B1.9: 7° and 45°, basic height 0.6 P, screw 0.66271 P deep with a root rounded by 0.0714 P */
export const buttress: Form = {
  flanksDeg: [7, 45],
  basic: (d, p) => ({
    ...{ pitchDiameterMm: d - 0.6 * p, minorMm: d - 2 * 0.66271 * p },
    ...{ holeMm: d - 1.2 * p, nutMajorMm: d + 2 * 0.06271 * p },
  }),
  tip: (p) => ({ kind: 'radius', radiusMm: 0.0714 * p }),
  crestFlatShare: 0.16316,
  classes: BY_FORMULA,
  limits: formulaLimits,
};
/** @source DIN 513: 3° and 30°, H1 = 0.75 P, h3 = 0.86777 P, R = 0.12427 P */
export const sawtooth: Form = {
  flanksDeg: [3, 30],
  basic: (d, p) => ({
    ...{ pitchDiameterMm: d - 0.75 * p, minorMm: d - 2 * 0.86777 * p },
    ...{ holeMm: d - 1.5 * p, nutMajorMm: d },
  }),
  tip: (p, side) =>
    side === 'outside' ? { kind: 'radius', radiusMm: 0.12427 * p } : { kind: 'flat', flatMm: 0.26384 * p },
  crestFlatShare: 0.26384,
  classes: BY_FORMULA,
  limits: formulaLimits,
};
/** @source DIN 405: 30°, rounded, h3 = P/2, H1 between them 0.45 P, R = 0.238507 P */
export const round: Form = {
  flanksDeg: [15, 15],
  basic: (d, p) => ({
    ...{ pitchDiameterMm: d - p / 2, minorMm: d - p },
    ...{ holeMm: d - 0.9 * p, nutMajorMm: d + 0.1 * p },
  }),
  tip: (p, side) => ({ kind: 'radius', radiusMm: (side === 'outside' ? 0.238507 : 0.221047) * p }),
  crestFlatShare: 0.366,
  classes: BY_FORMULA,
  limits: formulaLimits,
};
