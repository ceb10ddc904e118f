import type { LimitsOf } from './form/form.ts';
import { pipeTolerances } from './standard/pipe.ts';
import type { SizeLimits } from './thread.ts';

const IN = 25.4;
const sizes = (lowerMm: number, upperMm: number): SizeLimits => ({
  lowerMm: Number(lowerMm.toFixed(5)),
  upperMm: Number(upperMm.toFixed(5)),
});
/** Shares of the tolerance of a medium fit, and what the crests and the root of a bolt have besides, of the pitch's root. BS 84 */
const FIT: Readonly<Record<string, { readonly share: number; readonly root: number }>> = {
  close: { share: 2 / 3, root: 0.013 },
  medium: { share: 1, root: 0.02 },
  normal: { share: 1, root: 0.02 },
  free: { share: 3 / 2, root: 0.02 },
};
const CREST = 0.01;

/** Tolerance of the bore of a nut, inches, by its pitch. BS 84: 0.2 P and so much besides */
const boreTolerance = (p: number): number => 0.2 * p + (p <= 1 / 26 ? 0.004 : p <= 1 / 22 ? 0.005 : 0.007);

/**
 * Limits of Whitworth threads. @source BS 84: T = 0.002·∛D + 0.003·√L + 0.005·√P in inches, of a close fit two thirds, of a free one half as
 * much again; provenance: recalled
 */
export const whitworthLimits: LimitsOf = (
  { majorMm, pitchMm, pitchDiameterMm, minorMm, holeMm },
  side,
  close,
  engaged,
) => {
  const fit = FIT[close.toLowerCase()];
  if (!fit) return undefined;
  const [d, p, l] = [majorMm / IN, pitchMm / IN, (engaged || majorMm) / IN];
  const t = fit.share * (0.002 * Math.cbrt(d) + 0.003 * Math.sqrt(l) + 0.005 * Math.sqrt(p)) * IN;
  const besides = (share: number): number => t + share * Math.sqrt(p) * IN;
  return side === 'inside'
    ? {
        ...{ side, pitchDiameter: sizes(pitchDiameterMm, pitchDiameterMm + t), major: { leastMm: majorMm } },
        minor: sizes(holeMm, holeMm + boreTolerance(p) * IN),
      }
    : {
        ...{ side, pitchDiameter: sizes(pitchDiameterMm - t, pitchDiameterMm) },
        major: sizes(majorMm - besides(CREST), majorMm),
        minor: sizes(minorMm - besides(fit.root), minorMm),
      };
};

/** Limits of parallel pipe threads. @source ISO 228-1: by threads an inch, outside class B twice as much as A */
export const parallelPipeLimits: LimitsOf = ({ majorMm, pitchMm, pitchDiameterMm, minorMm, holeMm }, side, close) => {
  const row = pipeTolerances.find((r) => Math.abs(IN / r.perInch - pitchMm) < 1e-6 && majorMm <= r.toMm);
  if (!row || (side === 'inside') !== (close.toUpperCase() === 'G')) return undefined;
  const t = (close.toUpperCase() === 'B' ? 2 : 1) * row.pitchUm;
  if (!['A', 'B', 'G'].includes(close.toUpperCase())) return undefined;
  return side === 'inside'
    ? {
        ...{ side, pitchDiameter: sizes(pitchDiameterMm, pitchDiameterMm + t / 1000), major: { leastMm: majorMm } },
        minor: sizes(holeMm, holeMm + row.boreUm / 1000),
      }
    : {
        ...{ side, pitchDiameter: sizes(pitchDiameterMm - t / 1000, pitchDiameterMm), minor: { basicMm: minorMm } },
        major: sizes(majorMm - (2 * row.pitchUm) / 1000, majorMm),
      };
};

/** Shares of the pitch and what is added, mm. BS 93: crests, pitch diameter, root of the screw */
const BA_FIT: Readonly<Record<string, { readonly crest: number; readonly pitch: number; readonly below: number }>> = {
  normal: { crest: 0.2, pitch: 0.1, below: 0.025 },
  close: { crest: 0.15, pitch: 0.08, below: 0 },
};
/** Limits of British Association threads. @source BS 93; provenance: recalled */
export const baLimits: LimitsOf = ({ majorMm, pitchMm, pitchDiameterMm, minorMm, holeMm }, side, close) => {
  const fit = BA_FIT[close.toLowerCase()];
  if (!fit) return undefined;
  const p = pitchMm;
  if (side === 'inside')
    return {
      ...{
        side,
        pitchDiameter: sizes(pitchDiameterMm, pitchDiameterMm + 0.12 * p + 0.03),
        major: { leastMm: majorMm },
      },
      minor: sizes(holeMm, holeMm + 0.375 * p),
    };
  const t = fit.pitch * p + (fit.below || 0.02);
  const [d, d2, d3] = [majorMm, pitchDiameterMm, minorMm].map((mm) => mm - fit.below) as [number, number, number];
  return {
    ...{ side, pitchDiameter: sizes(d2 - t, d2), major: sizes(d - fit.crest * p, d) },
    minor: sizes(d3 - 2 * t, d3),
  };
};
