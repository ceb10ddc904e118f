import { z } from 'zod';
import { typedLengthSchema } from '../quantity/index.ts';
import { partId, shortText } from './schema-parts.ts';

/** Cross-sections of grooves; an undercut is one that ends at a shoulder. */
export const GROOVE_SHAPES = ['square', 'round', 'vee', 'angled'] as const;
export type GrooveShape = (typeof GROOVE_SHAPES)[number];

/** What is cut into a length of the outside or of a hole. Places are from that length's left or right end to the near edge. */
export const detailSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    id: partId,
    kind: z.literal('groove'),
    shape: z.enum(GROOVE_SHAPES),
    from: z.enum(['left', 'right']),
    at: typedLengthSchema,
    /** at the surface; of a round or vee groove worked out where it is empty */
    width: typedLengthSchema,
    /** diameter of the floor, or depth below the surface */
    by: z.enum(['floor', 'depth']),
    floor: typedLengthSchema,
    floorLimits: shortText,
    widthLimits: shortText,
    /** included angle of a vee, or of each wall of an angled one from square; empty: 60° and 15° */
    angle: z.string().max(16),
  }),
  z.strictObject({
    id: partId,
    kind: z.literal('thread'),
    /** as on the drawing: `M24x2`, `1/2-13`, `Tr 20x4` */
    designation: z.string().max(40),
    hand: z.enum(['right', 'left']),
    from: z.enum(['left', 'right']),
    /** empty: over its whole length */
    length: typedLengthSchema,
    class: z.string().max(16),
  }),
  z.strictObject({
    id: partId,
    kind: z.literal('knurl'),
    pattern: z.enum(['straight', 'crossed']),
    pitch: typedLengthSchema,
    from: z.enum(['left', 'right']),
    at: typedLengthSchema,
    length: typedLengthSchema,
  }),
]);
export type Detail = z.infer<typeof detailSchema>;
export type Groove = Extract<Detail, { kind: 'groove' }>;
export type Thread = Extract<Detail, { kind: 'thread' }>;
export type Knurl = Extract<Detail, { kind: 'knurl' }>;

/** A detail with nothing typed yet. */
export function emptyDetail(id: string, kind: Detail['kind'], unit: 'mm' | 'in'): Detail {
  const blank = { text: '', unit };
  switch (kind) {
    case 'groove':
      return {
        ...{ id, kind, shape: 'square', from: 'right', at: blank, width: blank, by: 'floor', floor: blank },
        ...{ floorLimits: '', widthLimits: '', angle: '' },
      };
    case 'thread':
      return { id, kind, designation: '', hand: 'right', from: 'right', length: blank, class: '' };
    case 'knurl':
      return { id, kind, pattern: 'crossed', pitch: blank, from: 'right', at: blank, length: blank };
  }
}
