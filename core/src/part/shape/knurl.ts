import { z } from 'zod';
import { parseLength, ROUNDING, typedLengthSchema } from '../../quantity/index.ts';
import { knurlStart } from '../knurl-start.ts';
import { blank } from '../schema-parts.ts';
import {
  belonging,
  type CutOf,
  type DetailShape,
  detailFields,
  placeFields,
  spanOf,
  type ThinLine,
  within,
} from './detail.ts';

export const knurlSchema = z.strictObject({
  ...detailFields,
  kind: z.literal('knurl'),
  pattern: z.enum(['straight', 'crossed']),
  pitch: typedLengthSchema,
  ...placeFields,
});
export type DrawnKnurl = z.infer<typeof knurlSchema>;
const own = { pattern: z.enum(['straight', 'crossed']), pitchMm: z.number() };
export type Knurl = CutOf<'knurl', typeof own>;

/** Its lines begin so deep below the surface, as a share of the radius; never more of them than stay apart on a screen. */
const FOOT_SHARE = 0.86;
const MOST_LINES = 24;

/** A knurl over a length, or over a part of it. */
export const knurl: DetailShape<DrawnKnurl, Knurl> = {
  schema: knurlSchema,
  own,
  inHoles: false,
  spoiltByJaws: true,
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
  begunOnMm: ({ pitchMm, pattern }, drawnMm) => knurlStart(drawnMm, pitchMm, pattern).diameterMm,
  lines({ pattern, pitchMm, zFromMm, zToMm }, surface): ThinLine[] {
    const step = Math.max(pitchMm, (zToMm - zFromMm) / MOST_LINES);
    const lean = pattern === 'crossed' ? step / 2 : 0;
    const lines: ThinLine[] = [];
    for (let z = zFromMm + step; z < zToMm - ROUNDING; z += step) {
      const [before, after] = [Math.max(zFromMm, z - lean), Math.min(zToMm, z + lean)];
      const line = (foot: number, top: number): ThinLine => [
        { zMm: foot, rMm: surface(foot) * FOOT_SHARE },
        { zMm: top, rMm: surface(top) },
      ];
      lines.push(line(before, after));
      if (pattern === 'crossed') lines.push(line(after, before));
    }
    return lines;
  },
  onPaper: (d, _, { typed, words }) => ({ text: `${words.knurl[d.pattern]} ${typed(d.pitch)}` }),
};
