import { z } from 'zod';
import type { Corner } from '../../contour/index.ts';
import { ROUNDING, type TypedLength, typedLengthSchema } from '../../quantity/index.ts';
import type { Path, Reader } from '../read.ts';
import { partId } from '../schema-parts.ts';
import type { Belongs } from '../surface-common.ts';
import type { End } from '../surface-id.ts';

/** What everything that is cut into a length is drawn with. */
export const detailFields = { id: partId, from: z.enum(['left', 'right']) };
export const placeFields = { at: typedLengthSchema, length: typedLengthSchema };

/** The length that details are cut into; zPart, mm. */
export interface CutOn {
  readonly id: string;
  readonly zFromMm: number;
  readonly zToMm: number;
  /** of one that is drawn on; of a cone at its left and its right end */
  readonly diameterMm: number;
  readonly leftMm: number;
  readonly rightMm: number;
  readonly inside: boolean;
}
/** Radius of a length at a place along it, mm. */
export type SurfaceAt = (zMm: number) => number;
/** The radius of a straight length or a cone, from end to end. */
export function surfaceAt({ zFromMm, zToMm, leftMm, rightMm }: Omit<CutOn, 'id' | 'diameterMm' | 'inside'>): SurfaceAt {
  const slope = (rightMm - leftMm) / 2 / Math.max(zToMm - zFromMm, ROUNDING);
  return (zMm) => leftMm / 2 + slope * (zMm - zFromMm);
}
type At = (...rest: Path) => Path;

/** A surface that is cut into a length, with what its kind has of its own. */
export type CutOf<Kind extends string, Own extends z.ZodRawShape> = Belongs & { readonly kind: Kind } & Readonly<
    z.infer<z.ZodObject<Own>>
  >;
/** How sizes and words are put on a drawing on paper. */
export interface PaperWays {
  /** a size as it was typed */
  readonly typed: (size: TypedLength) => string;
  /** a size that follows from others */
  readonly shown: (mm: number) => string;
  readonly words: { readonly leftHand: string; readonly knurl: Readonly<Record<'straight' | 'crossed', string>> };
}
/** A thin line of a picture, places along Z and radii, mm. */
export type ThinLine = readonly { readonly zMm: number; readonly rMm: number }[];

/** All that is known of one kind of what is cut into a length. */
export interface DetailShape<Drawn, Made extends Belongs> {
  readonly schema: z.ZodType<Drawn>;
  /** what the surface has of its own, as a run freezes it */
  readonly own: z.ZodRawShape;
  /** whether it is cut into holes too */
  readonly inHoles: boolean;
  /** whether jaws that grip over it would spoil it */
  readonly spoiltByJaws: boolean;
  /** with nothing typed yet */
  empty(id: string, unit: 'mm' | 'in'): Drawn;
  /** reads it; what cannot be read is told and left out */
  read(drawn: Drawn, on: CutOn, at: At, reader: Reader): Made | undefined;
  /** its corners from left to right where it changes the outline; `out` is 1 where metal is inside the surface, −1 around it */
  outline?(made: Made, surface: SurfaceAt, out: 1 | -1): readonly Corner[];
  /** as its limits leave least metal, or most; where they say nothing, and where it is not given, as it is drawn */
  atLimits?(made: Made, end: 'least' | 'most', inside: boolean): Made;
  /** where it is pressed up and not cut: the diameter that it is begun on, mm */
  begunOnMm?(made: Made, drawnMm: number): number;
  /** thin lines that show it in a picture, on one side of the axis */
  lines?(made: Made, surface: SurfaceAt): readonly ThinLine[];
  /** short strokes across it, about a height on the picture: 0 on the axis, negative below */
  strokes?(made: Made, surfaceMm: number, seen: Seen): readonly ThinLine[];
  /** its size in words on a drawing, and the radius that they point to where it is not the surface's own */
  onPaper(drawn: Drawn, made: Made, ways: PaperWays): { readonly text: string; readonly rMm?: number };
  /** what it is named by where it covers all of its length, so that it stands for the diameter */
  nameOf?(drawn: Drawn): string;
}
/** What is seen of a length: all of it, its upper half, or the far wall of a hole below the centreline. */
export type Seen = 'whole' | 'upper' | 'hole';

/** A size with its limits behind it, where it has any. */
export const withLimits = (size: string, limits: string): string => (limits.trim() ? `${size} ${limits.trim()}` : size);

/** From where to where along Z a detail goes that is so far from an end and so long; to the other end where that is not said. */
export function spanOf(
  from: End,
  on: CutOn,
  offMm: number,
  lengthMm: number | undefined,
): { readonly zFromMm: number; readonly zToMm: number } {
  const long = lengthMm ?? on.zToMm - on.zFromMm - offMm;
  return from === 'left'
    ? { zFromMm: on.zFromMm + offMm, zToMm: on.zFromMm + offMm + long }
    : { zFromMm: on.zToMm - offMm - long, zToMm: on.zToMm - offMm };
}

/** Whether a span lies within the length it is cut into; told where it does not. */
export function within(
  { zFromMm, zToMm }: { readonly zFromMm: number; readonly zToMm: number },
  on: CutOn,
  path: Path,
  reader: Reader,
): boolean {
  if (zFromMm >= on.zFromMm - ROUNDING && zToMm <= on.zToMm + ROUNDING && zToMm > zFromMm) return true;
  reader.add({ code: 'detail.beyondEnds', path, limit: on.zToMm - on.zFromMm, unit: 'mm' });
  return false;
}

/** What every surface cut into a length has. */
export const belonging = (id: string, on: CutOn) =>
  ({ id, of: on.id, side: on.inside ? 'inside' : 'outside' }) as const;
