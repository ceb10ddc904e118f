import { z } from 'zod';
import type { Corner } from '../../contour/index.ts';
import { ROUNDING, typedLengthSchema } from '../../quantity/index.ts';
import type { Path, Reader } from '../read.ts';
import { partId } from '../schema-parts.ts';
import type { CutIn } from '../surface.ts';
import type { End } from '../surface-id.ts';

/** What everything that is cut into a length is drawn with. */
export const detailFields = { id: partId, from: z.enum(['left', 'right']) };
export const placeFields = { at: typedLengthSchema, length: typedLengthSchema };

/** The length that details are cut into; zPart, mm. */
export interface CutOn {
  readonly id: string;
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly diameterMm: number;
  readonly inside: boolean;
}
type At = (...rest: Path) => Path;

/** All that is known of one kind of what is cut into a length. */
export interface DetailShape<Drawn, Made extends CutIn> {
  readonly schema: z.ZodType<Drawn>;
  /** with nothing typed yet */
  empty(id: string, unit: 'mm' | 'in'): Drawn;
  /** reads it; what cannot be read is told and left out */
  read(drawn: Drawn, on: CutOn, at: At, reader: Reader): Made | undefined;
  /** its corners from left to right where it changes the outline; `out` is 1 where metal is inside the surface, −1 around it */
  outline?(made: Made, surfaceMm: number, out: 1 | -1): readonly Corner[];
}

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
