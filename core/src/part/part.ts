import type { Limits } from '../limit/index.ts';
import type { Problem, Rational } from '../quantity/index.ts';
import type { CutDetail } from './details.ts';
import type { BoreKind, FeatureKind } from './drawing.ts';
import type { Chamfer } from './edge.ts';
import type { HeldGeometry } from './geometry-schema.ts';
import type { SeenEnd, SeenFaces } from './seen-end.ts';

/** A length of the outside with every text read: millimetres, zPart 0 at the part's left end. */
export interface Turned {
  readonly id: string;
  readonly index: number;
  readonly kind: FeatureKind;
  readonly name: string;
  readonly zFromMm: number;
  readonly zToMm: number;
  /** largest diameter of it */
  readonly diameterMm: number;
  /** diameters at its ends */
  readonly leftMm: number;
  readonly rightMm: number;
  readonly limits: Limits;
  readonly lengthLimits: Limits;
  readonly raUm: number;
  readonly faceRaUm: number;
  readonly left?: Chamfer;
  readonly right?: Chamfer;
  readonly leftRoundMm?: number;
  readonly rightRoundMm?: number;
  /** arc: its radius, and whether it is curved into the metal */
  readonly arc?: { readonly radiusMm: number; readonly hollow: boolean };
  readonly details: readonly CutDetail[];
}
/** A length of a hole on the axis, from its face inwards. */
export interface Bored {
  readonly id: string;
  readonly index: number;
  readonly side: 'left' | 'right';
  readonly kind: BoreKind;
  readonly name: string;
  readonly zFromMm: number;
  readonly zToMm: number;
  /** diameters where it begins at its face's side, and where it ends */
  readonly outerMm: number;
  readonly innerMm: number;
  readonly through: boolean;
  readonly limits: Limits;
  readonly raUm: number;
  readonly details: readonly CutDetail[];
}
export interface Part {
  readonly lengthMm: number;
  readonly largestMm: number;
  readonly features: readonly Turned[];
  readonly bores: readonly Bored[];
}
export interface Resolved {
  readonly part: Part;
  /** exact whole length, mm */
  readonly length: Rational;
  /** what is seen along the axis */
  readonly endView: SeenEnd;
  readonly faces: SeenFaces;
  readonly geometry: readonly HeldGeometry[];
  readonly problems: readonly Problem[];
}

/** A part as an older version froze it into a run, when there were only outside cylinders. */
export function upgradePart(document: unknown): unknown {
  const old = document as { features?: unknown; bores?: unknown };
  if (typeof document !== 'object' || document === null || !Array.isArray(old.features)) return document;
  const features = (old.features as { diameterMm: number }[]).map((f) => ({
    ...{ kind: 'cylinder', leftMm: f.diameterMm, rightMm: f.diameterMm, details: [] },
    ...f,
  }));
  return { bores: [], ...document, features };
}
