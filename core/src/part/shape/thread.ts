import { z } from 'zod';
import { typedLengthSchema } from '../../quantity/index.ts';
import { readThread } from '../../thread/index.ts';
import { blank } from '../schema-parts.ts';
import {
  belonging,
  type CutOf,
  type DetailShape,
  detailFields,
  spanOf,
  surfaceAt,
  type ThinLine,
  within,
} from './detail.ts';

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
/** As drawn, with the diameter of its thin line: about the root outside, about the major inside. Its own computation is elsewhere. */
const own = {
  designation: z.string().max(120),
  hand: z.enum(['right', 'left']),
  class: z.string().max(16).optional(),
  lineMm: z.number(),
  /** limits of its pitch diameter that a measured mate asks for, in place of its class's, mm */
  toMate: z.strictObject({ upperMm: z.number(), lowerMm: z.number() }).optional(),
};
export type Thread = CutOf<'thread', typeof own>;

/** Strokes that show a thread's hand, how far they lean and stand apart as shares of their height, at the most as many. */
const HAND_LEAN = 0.22;
const HAND_APART = 0.4;
const HAND_STROKES = 3;

/** A thread as it is drawn on a length: it changes nothing of the outline. */
export const thread: DetailShape<DrawnThread, Thread> = {
  schema: threadSchema,
  own,
  inHoles: true,
  spoiltByJaws: true,
  empty: (id, unit) => ({
    ...{ id, kind: 'thread', designation: '', hand: 'right', from: 'right', length: blank(unit), class: '' },
  }),
  read(d, on, at, reader) {
    const length = reader.sizeOrNone(d.length, at('length'));
    if (d.length.text.trim() !== '' && !length) return undefined;
    const span = spanOf(d.from, on, 0, length?.valueOf());
    if (!within(span, on, at('length'), reader)) return undefined;
    if (d.designation.trim() === '') reader.add({ code: 'thread.noDesignation', path: at('designation'), value: '' });
    // what cannot be read is drawn about so deep
    const named = readThread(d.designation);
    const pitchMm = named.ok ? named.thread.pitchMm : on.diameterMm * 0.12;
    const hereMm = 2 * surfaceAt(on)((span.zFromMm + span.zToMm) / 2);
    const lineMm = hereMm + (on.inside ? 1 : -1) * 1.0825 * pitchMm;
    return {
      ...belonging(d.id, on),
      kind: 'thread',
      designation: d.designation,
      hand: d.hand,
      class: d.class.trim(),
      ...span,
      lineMm,
    };
  },
  lines({ zFromMm, zToMm, lineMm }, surface): ThinLine[] {
    const deepMm = surface((zFromMm + zToMm) / 2) - lineMm / 2;
    const across = (zMm: number): ThinLine => [
      { zMm, rMm: surface(zMm) },
      { zMm, rMm: surface(zMm) - deepMm },
    ];
    const along = [
      { zMm: zFromMm, rMm: surface(zFromMm) - deepMm },
      { zMm: zToMm, rMm: surface(zToMm) - deepMm },
    ];
    return [along, across(zFromMm), across(zToMm)];
  },
  /**
   * Slanted in the middle, leaning as its crests do where they are seen: the near side of an outside thread, the far side of an inside
   * one. A right-hand thread seen from outside falls to the right, a left-hand one to the left.
   */
  strokes({ hand, zFromMm, zToMm }, surfaceMm, seen): ThinLine[] {
    const highMm = surfaceMm * 0.5;
    const middleMm = { whole: 0, upper: surfaceMm / 2, hole: -surfaceMm / 2 }[seen];
    const falls = (hand === 'right') !== (seen === 'hole');
    const leanMm = (falls ? -1 : 1) * highMm * HAND_LEAN;
    const room = Math.floor((zToMm - zFromMm) / (highMm * HAND_APART));
    const count = Math.min(HAND_STROKES, Math.max(1, room - 1));
    return Array.from({ length: count }, (_, i): ThinLine => {
      const zMm = (zFromMm + zToMm) / 2 + (i - (count - 1) / 2) * highMm * HAND_APART;
      return [
        { zMm: zMm + leanMm / 2, rMm: middleMm + highMm / 2 },
        { zMm: zMm - leanMm / 2, rMm: middleMm - highMm / 2 },
      ];
    });
  },
  onPaper(d, _, { words }) {
    const close = d.class.trim() ? ` ${d.class.trim()}` : '';
    return { text: `${d.designation.trim()}${d.hand === 'left' ? ` ${words.leftHand}` : ''}${close}` };
  },
  nameOf: (d) => d.designation.trim() && `${d.designation.trim()}${d.hand === 'left' ? ' LH' : ''}`,
};
