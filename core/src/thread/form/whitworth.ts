import { baLimits, parallelPipeLimits, whitworthLimits } from '../british-limits.ts';
import { type BasicSizes, type Form, sharpShare } from './form.ts';

/** Depth and rounding of the 55° profile as shares of the pitch. BS 84: 2/3 of 0.960491, and 0.137329 */
const DEPTH = (2 / 3) * sharpShare([27.5, 27.5]);
const ROUND = 0.137329;
/** What of a round crest is not flank any more, as a flat of the same height. */
const CREST_FLAT = 1 / 6;

const fiftyFive = {
  flanksDeg: [27.5, 27.5],
  basic: (d, p): BasicSizes => ({
    ...{ pitchDiameterMm: d - DEPTH * p, minorMm: d - 2 * DEPTH * p },
    ...{ holeMm: d - 2 * DEPTH * p, nutMajorMm: d },
  }),
  tip: (p) => ({ kind: 'radius', radiusMm: ROUND * p }),
  crestFlatShare: CREST_FLAT,
} as const satisfies Partial<Form>;

/** @source BS 84 */
export const whitworth: Form = {
  ...fiftyFive,
  classes: { outside: ['medium', 'close', 'free'], inside: ['medium', 'close', 'free'] },
  limits: whitworthLimits,
};
/** @source ISO 228-1 */
export const pipe: Form = {
  ...fiftyFive,
  classes: { outside: ['A', 'B'], inside: ['G'] },
  limits: parallelPipeLimits,
};
/** @source BS 93: depth 0.6 P, rounded by 2/11 P, 47½° */
export const ba: Form = {
  flanksDeg: [23.75, 23.75],
  basic: (d, p) => ({
    ...{ pitchDiameterMm: d - 0.6 * p, minorMm: d - 1.2 * p },
    ...{ holeMm: d - 1.2 * p, nutMajorMm: d },
  }),
  tip: (p) => ({ kind: 'radius', radiusMm: (2 / 11) * p }),
  crestFlatShare: 0.22,
  classes: { outside: ['normal', 'close'], inside: ['normal', 'close'] },
  limits: baLimits,
};
