import { z } from 'zod';
import { parseLength, typedLengthSchema } from '../../quantity/index.ts';
import type { Knurl } from '../surface.ts';
import { belonging, type DetailShape, detailFields, placeFields, spanOf, within } from './detail.ts';
import { blank } from './drawn.ts';

export const knurlSchema = z.strictObject({
  ...detailFields,
  kind: z.literal('knurl'),
  pattern: z.enum(['straight', 'crossed']),
  pitch: typedLengthSchema,
  ...placeFields,
});
export type DrawnKnurl = z.infer<typeof knurlSchema>;

/** A knurl over a length, or over a part of it. */
export const knurl: DetailShape<DrawnKnurl, Knurl> = {
  schema: knurlSchema,
  empty: (id, unit) => ({
    ...{
      id,
      kind: 'knurl',
      pattern: 'crossed',
      pitch: blank(unit),
      from: 'right',
      at: blank(unit),
      length: blank(unit),
    },
  }),
  read(d, on, at, reader) {
    const length = reader.sizeOrNone(d.length, at('length'));
    if (d.length.text.trim() !== '' && !length) return undefined;
    const off = reader.distance(d.at, at('at'));
    const span = spanOf(d.from, on, off?.valueOf() ?? 0, length?.valueOf());
    if (!within(span, on, at('length'), reader)) return undefined;
    const pitch = parseLength(d.pitch.text, d.pitch.unit);
    if (!pitch.ok) reader.add({ code: pitch.code, path: at('pitch'), value: pitch.value });
    return {
      ...belonging(d.id, on),
      ...{ kind: 'knurl', pattern: d.pattern, ...span, pitchMm: pitch.ok ? pitch.mm.valueOf() : 1 },
    };
  },
};
