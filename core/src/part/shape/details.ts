import { z } from 'zod';
import type { Corner } from '../../contour/index.ts';
import { ROUNDING } from '../../quantity/index.ts';
import type { Path, Reader } from '../read.ts';
import { type CutOn, type DetailShape, surfaceAt } from './detail.ts';
import { type Groove, groove, grooveSchema } from './groove.ts';
import { type Knurl, knurl, knurlSchema } from './knurl.ts';
import { type Thread, thread, threadSchema } from './thread.ts';

const shapes = { groove, thread, knurl };
const schemas = [grooveSchema, threadSchema, knurlSchema] as const;
/** Kinds of what is cut into a length. */
export const DETAIL_KINDS = Object.keys(shapes) as readonly (keyof typeof shapes)[];
export const detailSchema = z.discriminatedUnion('kind', schemas);
export type Detail = z.infer<typeof detailSchema>;
/** What is cut into a length of the outside or of a hole. */
export type CutIn = Groove | Thread | Knurl;

/** All that is known of a kind; that a detail and its kind belong together the compiler cannot follow. */
export const detailShape = (kind: Detail['kind']) => shapes[kind] as unknown as DetailShape<Detail, CutIn>;
/** Whether a surface is one that is cut into a length. */
export const isCutIn = (surface: { readonly kind: string }): surface is CutIn => surface.kind in shapes;

/** A detail with nothing typed yet. */
export const emptyDetail = (id: string, kind: Detail['kind'], unit: 'mm' | 'in'): Detail =>
  detailShape(kind).empty(id, unit);

/** Reads what is cut into one length; what cannot be read is left out, its problems say so. */
export function readDetails(
  details: readonly Detail[],
  on: CutOn,
  at: (...rest: Path) => Path,
  reader: Reader,
): readonly CutIn[] {
  const made = details.flatMap((d, i): CutIn[] => {
    const read = detailShape(d.kind).read(d, on, (...rest) => at('details', i, ...rest), reader);
    return read ? [read] : [];
  });
  const cut = changing(made);
  for (let i = 1; i < cut.length; i++)
    if (cut[i]!.zFromMm < cut[i - 1]!.zToMm - ROUNDING)
      reader.add({ code: 'groove.overlap', path: at('details'), value: cut[i]!.id });
  return made;
}

/** Those that change the outline, from left to right. */
const changing = (made: readonly CutIn[]): readonly CutIn[] =>
  made.filter((d) => detailShape(d.kind).outline).toSorted((a, b) => a.zFromMm - b.zFromMm);

/** Corners of all that is cut into a straight length or a cone, from left to right, each by itself. */
export function detailCorners(
  made: readonly CutIn[],
  on: Parameters<typeof surfaceAt>[0],
  out: 1 | -1,
): readonly (readonly Corner[])[] {
  const surface = surfaceAt(on);
  return changing(made).map((d) => detailShape(d.kind).outline!(d, surface, out));
}
