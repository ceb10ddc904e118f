import { formulaLimits } from '../formula-limits.ts';
import { metricLimits } from '../metric-limits.ts';
import { unifiedLimits } from '../unified-limits.ts';
import type { BasicSizes, Form } from './form.ts';

const H = Math.sqrt(3) / 2;
/** Flat left at the root of the basic profile, as a share of the pitch: outside a round one that a sixth of the pitch comes near to. */
const ROOT_FLAT = { outside: 1 / 6, inside: 1 / 8 } as const;

/** The profile that metric and unified threads share. @source ISO 68-1: H = √3/2·P, d2 = d − ¾H, D1 = d − 1¼H, d3 = d − 17/12·H */
const sixty = {
  flanksDeg: [30, 30],
  basic: (d, p): BasicSizes => ({
    ...{ pitchDiameterMm: d - (3 / 4) * H * p, minorMm: d - (17 / 12) * H * p },
    ...{ holeMm: d - (5 / 4) * H * p, nutMajorMm: d },
  }),
  tip: (p, side) => ({ kind: 'flat', flatMm: ROOT_FLAT[side] * p }),
  crestFlatShare: 1 / 8,
} as const satisfies Partial<Form>;

export const metric: Form = {
  ...sixty,
  classes: {
    outside: ['6g', '6h', '6e', '6f', '5g6g', '4h', '7g6g', '8g', '9g8g', '3h4h', '5h4h', '5h6h', '7h6h', '7e6e'],
    inside: ['6H', '6G', '5H', '5G', '4H', '7H', '7G', '8H', '8G'],
  },
  // pitches that are in no table have limits by the same formulas
  limits: (thread, side, close, engagedMm) =>
    metricLimits(thread, side, close) ?? formulaLimits(thread, side, close, engagedMm),
};
export const unified: Form = {
  ...sixty,
  classes: { outside: ['2A', '3A', '1A'], inside: ['2B', '3B', '1B'] },
  limits: unifiedLimits,
};
