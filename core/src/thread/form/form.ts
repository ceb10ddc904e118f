import type { NamedThread, Side, ThreadLimits } from '../thread.ts';

/** What a tool ends in: a flat across its point, or a round; mm. */
export type ToolTip =
  | { readonly kind: 'flat'; readonly flatMm: number }
  | { readonly kind: 'radius'; readonly radiusMm: number };

/** Diameters of a form as its standard draws it, mm. */
export interface BasicSizes {
  readonly pitchDiameterMm: number;
  /** root of the screw */
  readonly minorMm: number;
  /** bore of the nut */
  readonly holeMm: number;
  /** root of the nut */
  readonly nutMajorMm: number;
}

/** @param engagedMm length of engagement @returns undefined for a class that the standard has not on this side */
export type LimitsOf = (thread: NamedThread, side: Side, close: string, engagedMm: number) => ThreadLimits | undefined;

/** All that is known of a family of threads. A family is one file. */
export interface Form {
  /** half angles from square to the axis, degrees: of the flank that carries, and of the other */
  readonly flanksDeg: readonly [carrying: number, other: number];
  readonly basic: (majorMm: number, pitchMm: number) => BasicSizes;
  /** the tool's point that leaves just the form's own root */
  readonly tip: (pitchMm: number, side: Side) => ToolTip;
  /** flat at the crest that it comes to, as a share of the pitch: wires touch below it */
  readonly crestFlatShare: number;
  /** classes by their names, the usual one first; none: the standard has no limits, and the drawing gives its own */
  readonly classes: Readonly<Record<Side, readonly string[]>>;
  readonly limits: LimitsOf;
  /** how much the diameter grows on a length of one; parallel ones have none */
  readonly taperShare?: number;
}

/** Height of the sharp triangle of two flanks over one pitch, as a share of the pitch. */
export const sharpShare = ([a, b]: readonly [number, number]): number =>
  1 / (Math.tan((a * Math.PI) / 180) + Math.tan((b * Math.PI) / 180));
