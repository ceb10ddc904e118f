import { z } from 'zod';
import type { Reader } from '../read.ts';
import { partId } from '../schema-parts.ts';
import type { AcrossAxis } from '../surface.ts';
import type { Across } from './across.ts';
import { angleText } from './angles.ts';
import { flat, flatSchema } from './flat.ts';
import { hole, holeSchema } from './hole.ts';
import { keyway, keywaySchema } from './keyway.ts';

/** What is seen along the axis: holes beside it, holes across it, flats, and what only a note can say. */
export const endViewSchema = z.strictObject({
  holes: z.array(holeSchema).max(60),
  flats: z.array(flatSchema).max(20),
  keyways: z.array(keywaySchema).max(20).optional(),
  /** whatever else is milled or sawn: kept in words */
  notes: z.array(z.strictObject({ id: partId, angle: angleText, text: z.string().max(120) })).max(20),
});
export type EndView = z.infer<typeof endViewSchema>;

/** Lists of what is seen along the axis. */
export const END_VIEW_LISTS = ['holes', 'flats', 'keyways', 'notes'] as const;

/** Reads holes, flats and keyways, and says what does not fit the part. */
export function readEndView(
  { holes, flats, keyways = [] }: EndView,
  across: Across,
  reader: Reader,
): readonly AcrossAxis[] {
  return [
    ...holes.flatMap((h, i) => hole.read(h, across, (...rest) => ['endView', 'holes', i, ...rest], reader) ?? []),
    ...flats.flatMap((f, i) => flat.read(f, across, (...rest) => ['endView', 'flats', i, ...rest], reader) ?? []),
    ...keyways.flatMap((k, i) => keyway.read(k, across, (...rest) => ['endView', 'keyways', i, ...rest], reader) ?? []),
  ];
}
