import type { SizeLimits } from '../thread.ts';
import type { Form, LimitsOf } from './form.ts';
import { metric } from './sixty.ts';
import { whitworth } from './whitworth.ts';

/** One in sixteen on the diameter. ISO 7-1, ASME B1.20.1 */
const TAPER = 1 / 16;
/** A gauge may stand so many turns from its plane either way. ISO 7-1 and ASME B1.20.1: one turn */
const TURNS = 1;
/** The one class: by its gauge. */
const GAUGE = 'gauge';

/** What a gauge's turn either way is on the pitch diameter in the gauge plane. */
const byGauge: LimitsOf = ({ pitchMm, pitchDiameterMm, majorMm, minorMm, holeMm }, side, close) => {
  if (close !== GAUGE) return undefined;
  const off = TURNS * pitchMm * TAPER;
  const about = (mm: number): SizeLimits => ({ upperMm: mm + off, lowerMm: mm - off });
  const pitchDiameter = about(pitchDiameterMm);
  return side === 'inside'
    ? { side, pitchDiameter, major: { leastMm: majorMm - off }, minor: about(holeMm) }
    : { side, pitchDiameter, major: about(majorMm), minor: { basicMm: minorMm } };
};

/** Sizes are those in the gauge plane. @source ISO 7-1 */
export const taperPipe: Form = {
  ...whitworth,
  taperShare: TAPER,
  classes: { outside: [GAUGE], inside: [GAUGE] },
  limits: byGauge,
};
/** @source ASME B1.20.1: depth 0.8 P, 60°, flats of 0.033 P and more */
export const npt: Form = {
  ...metric,
  basic: (d, p) => ({
    ...{ pitchDiameterMm: d - 0.8 * p, minorMm: d - 1.6 * p },
    ...{ holeMm: d - 1.6 * p, nutMajorMm: d },
  }),
  tip: (p) => ({ kind: 'flat', flatMm: (1 - 2 * 0.8 * Math.tan(Math.PI / 6)) * 0.5 * p }),
  crestFlatShare: 0.038,
  taperShare: TAPER,
  classes: { outside: [GAUGE], inside: [GAUGE] },
  limits: byGauge,
};
