import { type HoldMethod, JAW_METHODS } from './schema.ts';

/** Overhang in diameters up to which a chuck alone is trusted, and beyond which even a tail centre wants a rest. FIELD 2 */
export const FREE_DIAMETERS = 4;
export const REST_DIAMETERS = 12;
/** Shortest grip against a seat, or inside a hole, that is a grip at all, mm. FIELD 14: about 3 */
export const SEATED_GRIP_MM = 3;
/** Plain jaws hold nothing shorter, mm; below this diameter a third of it does. FIELD 14 */
const PLAIN_FLOOR_MM = 3;
const THIN_MM = 9;
/** Shortest grip of a shaft that is usual, mm. FIELD 2: about 10 */
const SHORTEST_GRIP_MM = 10;

/** Why a setup holds the piece as it does; an end can be too thin for the centre that it would want. */
export type WhyHeld = 'chosen' | 'shortOverhang' | 'longOverhang' | 'bends' | 'thinEnd' | 'hollowEnd';

/** A rest that carries the work besides: on the bed at a place (zPart, mm), or on the carriage behind the tool. */
export type Rest =
  | { readonly kind: 'steady'; readonly zMm: number; readonly onMm: number }
  | { readonly kind: 'following' };

/** How a long end is carried while it is faced and centred, where that is not as the work is held afterwards; lengths in mm, zPart. */
export type EndsBy =
  | { readonly kind: 'drawnBack'; readonly outMm: number; readonly gripMm: number; readonly onMm: number }
  | { readonly kind: 'steady'; readonly zMm: number; readonly onMm: number };

/** How a piece is really held in a setup. zPart, mm, as the piece lies. */
export interface Held {
  readonly method: HoldMethod;
  readonly why: WhyHeld;
  /** the jaws' tail side, or what is in their place */
  readonly jawsMm: number;
  /** the raw end at the tail */
  readonly rawEndMm: number;
  readonly overhangMm: number;
  readonly overhangDiameters: number;
  readonly wantsRest: boolean;
  readonly gripMm: number;
  /** the piece's end at the headstock, where the jaws do not hold its very end */
  readonly headEndMm?: number;
  /** where it is carried at the headstock, where that is not at the jaws: a centre, a mandrel's own end */
  readonly supportMm?: number;
  readonly rest?: Rest;
  readonly ends?: EndsBy;
  /** surface that it is held by */
  readonly onId?: string;
  /** diameter that is held */
  readonly onMm: number;
  /** what presses there, jaws or what is in their place, as the sum of forces that jaws would need for the same hold, N */
  readonly forceN: number;
  /** share of the chuck's usual force that it is tightened with, where hollow work does not bear all of it */
  readonly gentleShare?: number;
  /** what goes under it on the cross-slide, so that its axis lies at the spindle's, mm */
  readonly packMm?: number;
  /** fastest that it may turn, rpm */
  readonly maxRpm: number;
  /** the chuck it is held in, or that is on meanwhile */
  readonly chuckId: string;
}

/**
 * Grip that a bar wants, mm: three quarters of its diameter, of a disc half of what stands out, at least 10 mm, no more than the jaws are
 * long.
 * @param outMm how far it stands out of the jaws, where that is known
 * @source FIELD 2; for discs, for which there is no rule, practice
 * @example usualGripMm(40, 45) // 30
 */
export function usualGripMm(diameterMm: number, jawLengthMm: number, outMm = Number.POSITIVE_INFINITY): number {
  const wantedMm = Math.ceil(Math.min(diameterMm * 0.75, outMm / 2));
  return Math.min(jawLengthMm, Math.max(SHORTEST_GRIP_MM, wantedMm));
}

/** How short a grip that was planned may become where the blank came out short, mm: half the diameter and 10 mm, or as it was planned. */
export const leastGripMm = (plannedMm: number, diameterMm: number): number =>
  Math.min(plannedMm, Math.max(SHORTEST_GRIP_MM, diameterMm / 2));

/** Grip below which nothing is held, mm: plain jaws want something to press on, a thin shaft a third of its diameter. @source FIELD 14 */
export const gripFloorMm = (diameterMm: number): number =>
  diameterMm < THIN_MM ? Math.max(1, diameterMm / 3) : PLAIN_FLOOR_MM;

/**
 * Grip that is usual at the least, mm: of a shaft half its diameter and 10 mm, at most one diameter; for discs and rings, which
 * stand out less than they are thick, there is no rule but the floor.
 * @param outMm how far it stands out of the jaws
 * @source FIELD 2
 */
export function wantedGripMm(diameterMm: number, outMm: number): number {
  if (outMm < diameterMm) return gripFloorMm(diameterMm);
  return Math.min(diameterMm, Math.max(SHORTEST_GRIP_MM, diameterMm / 2));
}

/** Whether the tailstock carries an end of the work. */
export const onTailCentre = (method: HoldMethod): boolean =>
  method === 'chuckAndCentre' || method === 'followingRest' || method === 'betweenCentres' || method === 'mandrel';

/** Whether the work is held by its hole, so that all of its outside can be turned. */
export const heldInside = (method: HoldMethod): boolean =>
  method === 'mandrel' || method === 'expandingMandrel' || method === 'stubArbor';

/** Whether a chuck's jaws hold it, in whatever way. */
export const inChuck = (method: HoldMethod): boolean => JAW_METHODS.some((m) => m === method);
