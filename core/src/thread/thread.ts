import { MM_PER_IN, type Rational, rational } from '../quantity/index.ts';

/** Profiles of threads, by their standards' families. */
export const THREAD_FORMS = [
  ...(['metric', 'unified', 'whitworth', 'pipe', 'taperPipe', 'npt', 'ba', 'trapezoidal'] as const),
  ...(['acme', 'acmeCentralizing', 'stubAcme', 'square', 'buttress', 'sawtooth', 'round', 'own'] as const),
] as const;
export type ThreadForm = (typeof THREAD_FORMS)[number];

/** A pitch as a designation gives it, exact: millimetres, or how many go to the inch. */
export type ExactPitch = { readonly mm: string } | { readonly perInch: string };
export type Side = 'outside' | 'inside';

/** A thread as its designation says it; mm. */
export interface NamedThread {
  readonly form: ThreadForm;
  readonly majorMm: number;
  readonly pitchMm: number;
  readonly pitch: ExactPitch;
  /** pitch times starts: how far a nut goes in a turn */
  readonly leadMm: number;
  readonly starts: number;
  /** diameter at the root outside, and of the hole that it is cut in */
  readonly minorMm: number;
  readonly holeMm: number;
  readonly pitchDiameterMm: number;
  /** the standard's list that it is in: UNC, BSF, coarse; none where it is in none that is known here */
  readonly series?: string;
  /** included angle of a form of one's own, degrees */
  readonly includedDeg?: number;
  /** what a designation says besides; of a drawing its own fields come first */
  readonly hand?: 'left';
  readonly class?: string;
}

/** Largest and smallest size of a diameter, mm. */
export interface SizeLimits {
  readonly upperMm: number;
  readonly lowerMm: number;
}
/** All limits of a thread; of what only has to be clear one size. Diameters in mm. */
export interface ThreadLimits {
  readonly side: Side;
  readonly pitchDiameter: SizeLimits;
  /** outside: over the crests; inside no less than this */
  readonly major: SizeLimits | { readonly leastMm: number };
  /** inside: the bore; outside the root at its basic depth */
  readonly minor: SizeLimits | { readonly basicMm: number };
}

/** The pitch, exact. */
export const exactPitchMm = (pitch: ExactPitch): Rational =>
  'mm' in pitch ? rational(pitch.mm) : MM_PER_IN.div(rational(pitch.perInch));
/** How far the carriage goes in a turn of the work, exact. */
export const exactLeadMm = ({ pitch, starts }: Pick<NamedThread, 'pitch' | 'starts'>): Rational =>
  exactPitchMm(pitch).mul(starts);
