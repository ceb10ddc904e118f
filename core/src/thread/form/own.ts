import { formulaLimits } from '../formula-limits.ts';
import { type Form, sharpShare } from './form.ts';

/**
 * A form of one's own by its included angle, cut as the common triangular ones are: an eighth of the sharp triangle off at the crest,
 * a sixth at the root of the screw, a quarter at the bore of the nut.
 */
export function ownForm(includedDeg: number): Form {
  const h = sharpShare([includedDeg / 2, includedDeg / 2]);
  return {
    flanksDeg: [includedDeg / 2, includedDeg / 2],
    basic: (d, p) => ({
      ...{ pitchDiameterMm: d - 0.75 * h * p, minorMm: d - (17 / 12) * h * p },
      ...{ holeMm: d - 1.25 * h * p, nutMajorMm: d },
    }),
    tip: (p, side) => ({ kind: 'flat', flatMm: p / (side === 'outside' ? 6 : 8) }),
    crestFlatShare: 1 / 8,
    classes: { outside: ['7e', '7h', '8e'], inside: ['7H', '8H'] },
    limits: formulaLimits,
  };
}
