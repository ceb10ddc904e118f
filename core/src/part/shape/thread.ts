import { z } from 'zod';
import { typedLengthSchema } from '../../quantity/index.ts';
import type { Thread } from '../surface.ts';
import { belonging, type DetailShape, detailFields, spanOf, within } from './detail.ts';
import { blank } from './drawn.ts';

export const threadSchema = z.strictObject({
  ...detailFields,
  kind: z.literal('thread'),
  /** as on the drawing: `M24x2`, `1/2-13`, `Tr 20x4` */
  designation: z.string().max(40),
  hand: z.enum(['right', 'left']),
  /** empty: over its whole length */
  length: typedLengthSchema,
  class: z.string().max(16),
});
export type DrawnThread = z.infer<typeof threadSchema>;

/** Pitch in mm of a designation that names it (`M24x2`, `1/2-13`, `Tr 20x4`), for the thin line of the drawing only. */
export function pitchNamed(designation: string): number | undefined {
  const metric = /[x×]\s*(\d+(?:[.,]\d+)?)/i.exec(designation);
  if (metric) return Number(metric[1]!.replace(',', '.'));
  const perInch = /[-–\s](\d{1,2}(?:\.\d+)?)\s*(?:tpi|UN|BSW|$)/i.exec(designation.trim());
  return perInch && Number(perInch[1]) > 0 ? 25.4 / Number(perInch[1]) : undefined;
}

/** A thread as it is drawn on a length: it changes nothing of the outline. */
export const thread: DetailShape<DrawnThread, Thread> = {
  schema: threadSchema,
  empty: (id, unit) => ({
    ...{ id, kind: 'thread', designation: '', hand: 'right', from: 'right', length: blank(unit), class: '' },
  }),
  read(d, on, at, reader) {
    const length = reader.sizeOrNone(d.length, at('length'));
    if (d.length.text.trim() !== '' && !length) return undefined;
    const span = spanOf(d.from, on, 0, length?.valueOf());
    if (!within(span, on, at('length'), reader)) return undefined;
    if (d.designation.trim() === '') reader.add({ code: 'thread.noDesignation', path: at('designation'), value: '' });
    const pitchMm = pitchNamed(d.designation) ?? on.diameterMm * 0.12;
    const lineMm = on.diameterMm + (on.inside ? 1 : -1) * 1.0825 * pitchMm;
    return { ...belonging(d.id, on), kind: 'thread', designation: d.designation, hand: d.hand, ...span, lineMm };
  },
};
