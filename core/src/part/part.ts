import type { Limits } from '../limit/index.ts';
import type { Problem, Rational } from '../quantity/index.ts';
import type { GeometryKind } from './geometry-schema.ts';
import type { Surface } from './surface.ts';
import type { End, SurfaceId } from './surface-id.ts';

/** A length along the axis with its limits, from one surface to another, as the drawing gives it. */
export interface Length {
  /** of a length of the outside or a step of a hole: its id; of a size from a datum: the size's own */
  readonly id: string;
  readonly from: SurfaceId;
  readonly to: SurfaceId;
  readonly mm: number;
  readonly limits: Limits;
}
/** A surface held to a datum. */
export interface Relation {
  readonly id: string;
  readonly kind: GeometryKind;
  readonly on: SurfaceId;
  readonly toleranceMm: number;
  /** the datum's letter, and the surface that it is */
  readonly datum: string;
  readonly to: SurfaceId;
}

/**
 * A part as drawn, every text of it read: one list of named surfaces. The outside comes first, from its left end to its right one,
 * each length followed by its edges and what is cut into it; then the holes from their faces inwards, faces, ends, and what is
 * seen along the axis. zPart 0 is at the left end as the piece lies.
 */
export interface Part {
  readonly lengthMm: number;
  readonly largestMm: number;
  /** which end of the drawing lies on the right, at the tailstock */
  readonly tail: End;
  readonly surfaces: readonly Surface[];
  readonly lengths: readonly Length[];
  readonly relations: readonly Relation[];
  /** what only words can say: keyways and whatever else is milled or sawn */
  readonly notes: readonly { readonly angleDeg: number; readonly text: string }[];
}
export interface Resolved {
  readonly part: Part;
  /** exact whole length, mm */
  readonly length: Rational;
  readonly problems: readonly Problem[];
}
