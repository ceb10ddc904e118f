import type { LimitsOf } from './form/form.ts';
import { acmeClasses, acmeClearMm } from './standard/acme.ts';
import type { SizeLimits } from './thread.ts';

const IN = 25.4;
/** Of the crests, as a share of the pitch, and no less than this, inches. */
const CREST_SHARE = 0.05;
const CREST_LEAST = 0.005;
/** The root outside has so much of the pitch diameter's tolerance. */
const ROOT_SHARE = 1.5;
/** Centralizing nuts have this above the screw's major diameter, of the diameter's root, inches. */
const CENTRE_ALLOWANCE = 0.001;

const tenths = (inches: number): number => Number(inches.toFixed(4));
const mm = (inches: number): number => Number((tenths(inches) * IN).toFixed(5));
const sizes = (lower: number, upper: number): SizeLimits => ({ lowerMm: mm(lower), upperMm: mm(upper) });

/** Limits of Acme threads, general purpose, centralizing and stub, to four decimals of an inch. @source ASME B1.5, B1.8 */
export const acmeLimits: LimitsOf = (thread, side, close) => {
  const rule = acmeClasses[close.toUpperCase()];
  const centralizing = thread.form === 'acmeCentralizing';
  if (!rule || centralizing !== (rule.majorOutside !== undefined)) return undefined;
  if (thread.form === 'stubAcme' && close.toUpperCase() !== '2G') return undefined;
  const [d, p] = [thread.majorMm / IN, thread.pitchMm / IN];
  const [d2, bore, root] = [thread.pitchDiameterMm, thread.holeMm, thread.minorMm].map((x) => tenths(x / IN)) as [
    number,
    number,
    number,
  ];
  const tolerance = rule.ofPitch * Math.sqrt(p) + rule.ofDiameter * Math.sqrt(d);
  const crest = tenths(Math.max(CREST_LEAST, CREST_SHARE * p));
  const clear = acmeClearMm(thread.pitchMm) / IN;
  if (side === 'inside') {
    const nut = centralizing ? tenths(d + CENTRE_ALLOWANCE * Math.sqrt(d)) : d + 2 * clear;
    const pitchDiameter = sizes(d2, d2 + tolerance);
    return { side, pitchDiameter, major: { leastMm: mm(nut) }, minor: sizes(bore, bore + crest) };
  }
  const upper = d2 - rule.allowance * Math.sqrt(d);
  const major = rule.majorOutside === undefined ? crest : tenths(rule.majorOutside * Math.sqrt(d));
  return {
    side,
    pitchDiameter: sizes(upper - tolerance, upper),
    major: sizes(d - major, d),
    minor: sizes(root - ROOT_SHARE * tolerance, root),
  };
};
