import type { Limits } from '../limit/index.ts';
import type { CentreMark } from './centre.ts';
import type { CrossHole } from './end-view-schema.ts';

/** Holes beside the axis or across it, every one with its place. Angles anticlockwise from three o'clock, from the tailstock. */
export interface SeenHole {
  readonly id: string;
  readonly name: string;
  readonly way: CrossHole['way'];
  readonly diameterMm: number;
  readonly limits: Limits;
  /** undefined: right through */
  readonly depthMm?: number;
  readonly counterbore?: { readonly diameterMm: number; readonly depthMm: number };
  /** along the axis: distance of their centres from it; across: 0 */
  readonly radiusMm: number;
  /** across: from the left face */
  readonly zMm?: number;
  readonly anglesDeg: readonly number[];
}
/** Flats as lines at a distance from the axis. */
export interface SeenFlat {
  readonly id: string;
  readonly distanceMm: number;
  readonly anglesDeg: readonly number[];
  readonly zFromMm: number;
  readonly zToMm: number;
  /** of the round that it is cut from */
  readonly diameterMm: number;
}
export interface SeenEnd {
  readonly holes: readonly SeenHole[];
  readonly flats: readonly SeenFlat[];
  readonly notes: readonly { readonly angleDeg: number; readonly text: string }[];
}

/** What is said of an end of the part. */
export interface SeenFace {
  readonly centre?: CentreMark & { readonly stays: boolean };
  readonly made: 'faced' | 'parted' | 'asBar';
  /** gripped while the rest is made, and taken off at last */
  readonly spigot?: { readonly diameterMm: number; readonly lengthMm: number };
}
export interface SeenFaces {
  readonly left: SeenFace;
  readonly right: SeenFace;
}
