import { depthRing, dialScale } from './dial.ts';
import type { Lathe } from './schema.ts';

/** Angle of the compound from the bed at which one of its lines moves the tool a tenth of a line across: sin = 0.1. */
export const FINE_ANGLE_DEG = (Math.asin(0.1) * 180) / Math.PI;
/** What such an angle is set to, by the compound's own scale: standard uncertainty of the travel across, as a share of it. */
export const FINE_ANGLE_SHARE = 0.02;

/** How finely a size can be set: by which slide, to which of its marks, and how surely. Lengths on the radius. */
export interface Fineness {
  readonly means: 'lines' | 'halfLines' | 'halfLinesWithCare' | 'compound';
  readonly slide: 'crossSlide' | 'compound';
  /** lines of that ring between two marks that can be set to */
  readonly everyLines: number;
  /** radius that one line of that ring is worth, mm */
  readonly lineMm: number;
  /** radius between two marks, mm */
  readonly stepMm: number;
  /** standard uncertainty of setting, mm of radius */
  readonly setMm: number;
}

/** A ring is set to a tenth of a line by a usual hand, to a twentieth by a careful one (one standard deviation). provenance: recalled */
const USUAL_HAND_LINES = 0.1;
const CAREFUL_HAND_LINES = 0.05;

/** The ways of setting a lathe's cross travel, from the plainest to the finest. @source FIELD 0, fine feed */
export function finenessesOf(lathe: Pick<Lathe, 'slides'>): readonly Fineness[] {
  const line = dialScale(depthRing(lathe)).lineTravelMm.valueOf();
  const fine = dialScale(lathe.slides.compound).lineTravelMm.valueOf() * 0.1;
  const by = (means: Fineness['means'], everyLines: number, hand: number): Fineness => ({
    ...{ means, slide: 'crossSlide', everyLines, lineMm: line, stepMm: line * everyLines, setMm: line * hand },
  });
  const lines = [by('lines', 1, USUAL_HAND_LINES), by('halfLines', 0.5, USUAL_HAND_LINES)];
  // a cutter's own screw is small and close to hand, and no compound moves it
  if (lathe.slides.cutter) return lines;
  return [
    ...lines,
    by('halfLinesWithCare', 0.5, CAREFUL_HAND_LINES),
    { means: 'compound', slide: 'compound', everyLines: 1, lineMm: fine, stepMm: fine, setMm: fine * USUAL_HAND_LINES },
  ];
}

/**
 * The ways of setting a depth in a thread: lines and half lines of the compound that stands at an angle from the cross-slide's line, or
 * of the cross-slide where it goes straight in.
 */
export function threadFinenesses(lathe: Pick<Lathe, 'slides'>, compoundDeg: number): readonly Fineness[] {
  if (compoundDeg === 0) return finenessesOf(lathe).filter((f) => f.slide === 'crossSlide');
  const line = dialScale(lathe.slides.compound).lineTravelMm.valueOf() * acrossShare(compoundDeg);
  const by = (means: Fineness['means'], everyLines: number, hand: number): Fineness => ({
    ...{ means, slide: 'compound', everyLines, lineMm: line, stepMm: line * everyLines, setMm: line * hand },
  });
  return [
    by('lines', 1, USUAL_HAND_LINES),
    by('halfLines', 0.5, USUAL_HAND_LINES),
    by('halfLinesWithCare', 0.5, CAREFUL_HAND_LINES),
  ];
}

/** What of the compound's travel goes across, by its angle from the cross-slide's line. */
export const acrossShare = (compoundDeg: number): number => Math.cos((compoundDeg * Math.PI) / 180);

/** The way of setting by its name. */
export function finenessOf(lathe: Pick<Lathe, 'slides'>, means: Fineness['means']): Fineness {
  return finenessesOf(lathe).find((f) => f.means === means)!;
}

/** What a lathe of which nothing is known gives way under a radial force, mm per newton: a light one, in use for long. provenance: recalled */
const UNKNOWN_GIVES_MM_PER_N = 0.00025;
/** Radial force of the calibration's cuts, newtons for each millimetre of depth: medium carbon steel, 0.1 mm a turn, nose 0.8. */
export const CALIBRATION_N_PER_MM = 300;
/** What a calibration leaves open: a share that is found to be nothing is not taken for none at all. */
const LEAST_SHARE = 0.01;

/**
 * What the lathe itself (bearings, slides, post) gives way at the tool, mm of radius per newton of radial force: as calibrated, else
 * a cautious default.
 */
export function latheGivesMmPerN({ rigidity }: Pick<Lathe, 'rigidity'>): {
  readonly mmPerN: number;
  readonly by: 'calibrated' | 'assumed';
} {
  return rigidity.springShare === undefined
    ? { mmPerN: UNKNOWN_GIVES_MM_PER_N, by: 'assumed' }
    : { mmPerN: Math.max(LEAST_SHARE, rigidity.springShare) / CALIBRATION_N_PER_MM, by: 'calibrated' };
}

/** How surely a tool finds a surface by touching it, half-width on the radius, mm. provenance: recalled */
export const TOUCH_MM = 0.02;

/**
 * Kept from the limit that cannot be put back, mm of radius.
 * @param uncertaintyMm of the gauge on the diameter, half-width at k = 2
 * @param angleMm standard uncertainty of a travel by a swung compound, on the radius; 0 by the cross-slide
 * @source FIELD 13: g = 3·√(u_read² + 2·u_set²), here with the angle's share besides
 * @example guardMm(0.004, 0.002) // 0.009
 */
export function guardMm(uncertaintyMm: number, setMm: number, angleMm = 0): number {
  return 3 * Math.sqrt((uncertaintyMm / 4) ** 2 + 2 * setMm ** 2 + angleMm ** 2);
}
