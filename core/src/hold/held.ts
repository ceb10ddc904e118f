import { type HoldMethod, JAW_METHODS } from './schema.ts';

/** Overhang in diameters up to which a chuck alone is trusted, and beyond which even a tail centre wants a rest. FIELD 2 */
export const FREE_DIAMETERS = 4;
export const REST_DIAMETERS = 12;
/** Shortest grip against a seat, or inside a hole, that is a grip at all, mm. FIELD 14: about 3 */
export const SEATED_GRIP_MM = 3;
/** Shortest grip in jaws that is a grip at all, mm. FIELD 2: about 10 */
export const SHORTEST_GRIP_MM = 10;

/** Why a setup holds the piece as it does; an end can be too thin for the centre that it would want. */
export type WhyHeld = 'chosen' | 'shortOverhang' | 'longOverhang' | 'bends' | 'thinEnd';

/** A rest that carries the work besides: on the bed at a place (zPart, mm), or on the carriage behind the tool. */
export type Rest =
  | { readonly kind: 'steady'; readonly zMm: number; readonly onMm: number }
  | { readonly kind: 'following' };

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
  /** surface that it is held by */
  readonly onId?: string;
  /** diameter that is held */
  readonly onMm: number;
  /** what presses there, jaws or what is in their place, as the sum of forces that jaws would need for the same hold, N */
  readonly forceN: number;
  /** fastest that it may turn, rpm */
  readonly maxRpm: number;
  /** the chuck it is held in, or that is on meanwhile */
  readonly chuckId: string;
}

/** Grip that a bar wants: three quarters of its diameter, at least 10 mm, no more than the jaws are long. @source FIELD 2 */
export function usualGripMm(diameterMm: number, jawLengthMm: number): number {
  return Math.min(jawLengthMm, Math.max(SHORTEST_GRIP_MM, Math.ceil(diameterMm * 0.75)));
}

/** Grip wanted at the least: half the diameter, and never under the shortest grip, mm. FIELD 2 */
export const wantedGripMm = (diameterMm: number): number => Math.max(SHORTEST_GRIP_MM, diameterMm / 2);

/** Whether the tailstock carries an end of the work. */
export const onTailCentre = (method: HoldMethod): boolean =>
  method === 'chuckAndCentre' || method === 'followingRest' || method === 'betweenCentres' || method === 'mandrel';

/** Whether the work is held by its hole, so that all of its outside can be turned. */
export const heldInside = (method: HoldMethod): boolean =>
  method === 'mandrel' || method === 'expandingMandrel' || method === 'stubArbor';

/** Whether a chuck's jaws hold it, in whatever way. */
export const inChuck = (method: HoldMethod): boolean => JAW_METHODS.some((m) => m === method);
