import { z } from 'zod';
import type { Corner } from '../../contour/index.ts';
import { ROUNDING } from '../../quantity/index.ts';
import type { Path, Reader } from '../read.ts';
import type { CutIn, Groove } from '../surface.ts';
import type { CutOn, DetailShape } from './detail.ts';
import { groove, grooveSchema } from './groove.ts';
import { knurl, knurlSchema } from './knurl.ts';
import { thread, threadSchema } from './thread.ts';

const shapes = { groove, thread, knurl };
/** Kinds of what is cut into a length. */
export const DETAIL_KINDS = ['groove', 'thread', 'knurl'] as const satisfies readonly (keyof typeof shapes)[];
export const detailSchema = z.discriminatedUnion('kind', [grooveSchema, threadSchema, knurlSchema]);
export type Detail = z.infer<typeof detailSchema>;
const shapeOf = (kind: Detail['kind']) => shapes[kind] as unknown as DetailShape<Detail, CutIn>;

/** A detail with nothing typed yet. */
export const emptyDetail = (id: string, kind: Detail['kind'], unit: 'mm' | 'in'): Detail =>
  shapeOf(kind).empty(id, unit);

/** Reads what is cut into one length; what cannot be read is left out, its problems say so. */
export function readDetails(
  details: readonly Detail[],
  on: CutOn,
  at: (...rest: Path) => Path,
  reader: Reader,
): readonly CutIn[] {
  const made = details.flatMap((d, i): CutIn[] => {
    const read = shapeOf(d.kind).read(d, on, (...rest) => at('details', i, ...rest), reader);
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
  made.filter((d) => shapeOf(d.kind).outline).toSorted((a, b) => a.zFromMm - b.zFromMm);

/** Corners of all that is cut into a straight length, from left to right, each by itself. @param surfaceMm radius of the length */
export function detailCorners(made: readonly CutIn[], surfaceMm: number, out: 1 | -1): readonly (readonly Corner[])[] {
  return changing(made).map((d) => shapeOf(d.kind).outline!(d as Groove, surfaceMm, out));
}
