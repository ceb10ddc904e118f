import type { Limits } from '../limit/index.ts';
import type { CentreMark } from './centre.ts';
import type { CutIn } from './shape/details.ts';
import type { Belongs, Common } from './surface-common.ts';
import type { End } from './surface-id.ts';

/** A round surface. Diameters in mm. */
interface RoundCommon extends Common {
  readonly side: 'outside' | 'inside';
  /** place in its list of the drawing */
  readonly index: number;
  readonly name: string;
  /** largest diameter of it */
  readonly diameterMm: number;
  /** diameters at its ends, as the piece lies */
  readonly leftMm: number;
  readonly rightMm: number;
  /** of the diameter that the drawing gives first */
  readonly limits: Limits;
  readonly raUm: number;
}
/** How a step of a hole is made, as the drawing asks for it. */
export const BORE_KINDS = ['drilled', 'bored', 'reamed', 'counterbored', 'countersunk', 'taper', 'arc'] as const;
export type BoreKind = (typeof BORE_KINDS)[number];
/** Of a surface in a hole on the axis: which end of the piece the hole goes in from, as it lies, and how it is made. */
interface InHole {
  readonly side: 'inside';
  readonly from: End;
  readonly made: BoreKind;
  /** right through the part */
  readonly through: boolean;
}
export interface Cylinder extends RoundCommon {
  readonly kind: 'cylinder';
}
export interface Taper extends RoundCommon {
  readonly kind: 'taper';
}
export interface Arc extends RoundCommon {
  readonly kind: 'arc';
  readonly radiusMm: number;
  /** curved into the metal instead of out of it */
  readonly hollow: boolean;
}
export interface Ball extends RoundCommon {
  readonly kind: 'ball';
}
/** A length that keeps the section of its bar; its diameter is that over its corners, its limits are those across its flats. */
export interface BarSection extends RoundCommon {
  readonly kind: 'hexagon' | 'square';
}
export type Round = Cylinder | Taper | Arc | Ball | BarSection;
export type Outside = Round & { readonly side: 'outside' };
export type Inside = (Cylinder | Taper | Arc) & InHole;

/** A face across the axis: an end of the part, a shoulder, or the bottom of a step of a hole. */
export interface Face extends Belongs {
  readonly kind: 'face';
  /** which end of the piece it looks towards, as it lies */
  readonly towards: End;
  /** diameters between which it lies */
  readonly innerMm: number;
  readonly outerMm: number;
  readonly raUm: number;
  /** of an end of the part: how it comes to be */
  readonly made?: 'faced' | 'parted' | 'asBar';
  /** of an end of the part: no centre hole may stay in it. ISO 6411 */
  readonly noCentre?: true;
}
/** An edge broken straight. */
export interface Chamfer extends Belongs {
  readonly kind: 'chamfer';
  readonly towards: End;
  /** along the axis, its angle from the axis, and the change of radius */
  readonly lengthMm: number;
  readonly angleDeg: number;
  readonly depthMm: number;
  readonly limits?: Limits;
}
/** An edge rounded off, or the round in the corner of a shoulder. */
export interface RoundEdge extends Belongs {
  readonly kind: 'round';
  readonly towards: End;
  readonly radiusMm: number;
  /** in the corner of a shoulder */
  readonly inner: boolean;
}
/** A centre hole in an end of the part. */
export interface Centre extends Belongs, CentreMark {
  readonly kind: 'centre';
  readonly towards: End;
  /** whether it may stay in the finished part */
  readonly stays: boolean;
}
/** Metal beyond an end, gripped while the rest is made and taken off at last. */
export interface Spigot extends Belongs {
  readonly kind: 'spigot';
  readonly towards: End;
  readonly diameterMm: number;
  readonly lengthMm: number;
}
/** Holes beside the axis or across it, every one with its place. Angles anticlockwise from three o'clock, from the tailstock. */
export interface CrossHole extends Belongs {
  readonly kind: 'hole';
  readonly name: string;
  /** along the axis from an end of the piece as it lies, or across it */
  readonly way: End | 'radial';
  readonly diameterMm: number;
  readonly limits: Limits;
  /** undefined: right through */
  readonly depthMm?: number;
  readonly counterbore?: { readonly diameterMm: number; readonly depthMm: number };
  readonly countersink?: { readonly diameterMm: number; readonly angleDeg: number };
  /** tapped with this */
  readonly thread?: string;
  /** along the axis: distance of their centres from it; across: 0 */
  readonly radiusMm: number;
  /** across: from the left face as it lies */
  readonly zMm?: number;
  readonly anglesDeg: readonly number[];
}
/** Flats across, as lines at a distance from the axis. */
export interface Flat extends Belongs {
  readonly kind: 'flat';
  readonly distanceMm: number;
  readonly anglesDeg: readonly number[];
  /** of the round that it is cut from */
  readonly diameterMm: number;
}

/** A keyway along the axis, in the outside or in the hole. */
export interface Keyway extends Belongs {
  readonly kind: 'keyway';
  readonly widthMm: number;
  readonly widthLimits?: Limits;
  readonly depthMm: number;
  /** from the axis to its floor, mm */
  readonly floorMm: number;
  /** of the round or the hole that it is cut into */
  readonly diameterMm: number;
  readonly roundEnds: boolean;
  readonly angleDeg: number;
}

/** A ring groove or a recess in an end face. */
export interface FaceGroove extends Belongs {
  readonly kind: 'faceGroove';
  readonly towards: End;
  readonly outerMm: number;
  readonly innerMm: number;
  readonly depthMm: number;
  readonly depthLimits?: Limits;
}

export type Edge = Chamfer | RoundEdge;
/** What lies beside the axis or across it. */
export type AcrossAxis = CrossHole | Flat | Keyway;
export type Surface = Outside | Inside | Face | Edge | CutIn | Centre | Spigot | FaceGroove | AcrossAxis;
export type SurfaceKind = Surface['kind'];
